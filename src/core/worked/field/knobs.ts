import type { BuildDocument } from '../../car/document/document';
import { shaftEfficiencyOf } from '../../car/document/drive';

/** Figures of a build that are not known exactly and that a run feels. */
export const KNOBS = ['grip', 'rolling', 'drag', 'efficiency', 'motor'] as const;
export type Knob = (typeof KNOBS)[number];
export type Factors = Readonly<Partial<Record<Knob, number>>>;

export const KNOB_WORDS: Readonly<Record<Knob, string>> = {
  grip: 'grip of the tyres',
  rolling: 'rolling resistance',
  drag: 'drag area',
  efficiency: 'efficiency of the drive',
  motor: 'motor constant',
};

/** What is usually not known of a figure, one standard deviation over it: drag areas by proportion, gears by kind, data sheets of motors. By judgement. */
const USUAL_SPREAD = { drag: 0.1, efficiency: 0.03, motor: 0.02 } as const;

/** A build whose uncertain figures are multiplied; efficiency ends at 1. */
export function scaled(
  document: BuildDocument,
  surfaceId: string,
  { grip = 1, rolling = 1, drag = 1, efficiency = 1, motor = 1 }: Factors,
): BuildDocument {
  const { brief, chassis, drive } = document;
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
    chassis: chassis.cdaM2 === undefined ? chassis : { ...chassis, cdaM2: chassis.cdaM2 * drag },
    drive: {
      ...drive,
      shaftEfficiency: Math.min(1, shaftEfficiencyOf(drive) * efficiency),
      ...(drive.motor ? { motor: { ...drive.motor, kvRpmPerV: drive.motor.kvRpmPerV * motor } } : {}),
    },
  };
}

/** One standard deviation of each figure over it: the surface's own, and what a calibration left of the others. */
export function spreadsOf({ brief }: BuildDocument, surfaceId: string): Record<Knob, number> {
  const surface = brief.surfaces.find(({ id }) => id === surfaceId);
  const over = (error: number | undefined, value: number | undefined) => (error && value ? error / value : 0);
  return {
    grip: over(surface?.muError, surface?.mu),
    rolling: over(surface?.rollingResistanceError, surface?.rollingResistance),
    drag: brief.calibration?.dragSpread ?? USUAL_SPREAD.drag,
    efficiency: brief.calibration?.efficiencySpread ?? USUAL_SPREAD.efficiency,
    motor: USUAL_SPREAD.motor,
  };
}
