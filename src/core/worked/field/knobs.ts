import type { BuildDocument } from '../../car/document/document';
import { airOfBuild, dragSpreadOf } from '../air/airOfBuild';
import { UNCERTAIN_FIGURES, type UncertainFigure } from '../../car/records/uncertain';
import { shaftEfficiencyOf } from '../../car/document/drive';

export const KNOBS = UNCERTAIN_FIGURES;
export type Knob = UncertainFigure;
export type Factors = Readonly<Partial<Record<Knob, number>>>;

/** Figures that belong to a surface; the others go with the car. */
export const OF_SURFACE: ReadonlySet<Knob> = new Set(['grip', 'rolling']);

/**
 * What is usually not known of a figure, one standard deviation over it: drag areas by proportion, gears by kind, data sheets of
 * motors, and surfaces that say no error of their own. By judgement.
 */
export const USUAL_SPREAD: Readonly<Record<Knob, number>> = {
  grip: 0.15,
  rolling: 0.25,
  drag: 0.1,
  efficiency: 0.03,
  motor: 0.02,
};

/** A build whose uncertain figures are multiplied; efficiency ends at 1. */
export function scaled(
  document: BuildDocument,
  surfaceId: string,
  { grip = 1, rolling = 1, drag = 1, efficiency = 1, motor = 1 }: Factors,
): BuildDocument {
  const { brief, chassis, drive } = document;
  const { cdaM2 } = airOfBuild(document);
  return {
    ...document,
    brief: {
      ...brief,
      surfaces: brief.surfaces.map((surface) =>
        surface.id === surfaceId
          ? { ...surface, mu: surface.mu * grip, rollingResistance: surface.rollingResistance * rolling }
          : surface,
      ),
    },
    chassis: cdaM2 === undefined || drag === 1 ? chassis : { ...chassis, cdaM2: cdaM2 * drag },
    drive: {
      ...drive,
      shaftEfficiency: Math.min(1, shaftEfficiencyOf(drive) * efficiency),
      ...(drive.motor ? { motor: { ...drive.motor, kvRpmPerV: drive.motor.kvRpmPerV * motor } } : {}),
      ...(drive.ownMotors
        ? {
            ownMotors: drive.ownMotors.map((one) =>
              one.kvRpmPerV === undefined ? one : { ...one, kvRpmPerV: one.kvRpmPerV * motor },
            ),
          }
        : {}),
    },
  };
}

/** One standard deviation of each figure over it: the surface's own, and what a calibration left of the others. */
export function spreadsOf(document: BuildDocument, surfaceId: string): Record<Knob, number> {
  const { brief } = document;
  const surface = brief.surfaces.find(({ id }) => id === surfaceId);
  const over = (error: number | undefined, value: number | undefined, usual: number) =>
    error === undefined || !value ? usual : error / value;
  return {
    grip: over(surface?.muError, surface?.mu, USUAL_SPREAD.grip),
    rolling: over(surface?.rollingResistanceError, surface?.rollingResistance, USUAL_SPREAD.rolling),
    drag: brief.calibration?.dragSpread ?? dragSpreadOf(document) ?? USUAL_SPREAD.drag,
    efficiency: brief.calibration?.efficiencySpread ?? USUAL_SPREAD.efficiency,
    motor: brief.calibration?.motorSpread ?? USUAL_SPREAD.motor,
  };
}
