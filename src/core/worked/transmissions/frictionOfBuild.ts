import { CalcError } from '../../base/errors';
import { MEAN_CELL_V } from '../../base/constants';
import type { Assembled } from '../../base/assembled';
import { bisect } from '../../base/numeric/root';
import type { Patch } from '../../base/patch';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type Drive, overallEfficiency, overallRatio, shaftEfficiencyOf } from '../../car/document/drive';
import { motorsInAll } from '../../car/document/motors';
import type { MeasuredFriction } from '../../car/records/report';
import { driveFriction, type FrictionInput, type FrictionResult } from '../../physics/transmissions/friction';
import { worked } from '../worked';

export interface FrictionOfBuild {
  input: FrictionInput;
  found: FrictionResult;
  /** At which the drive loses what was measured, as the run takes it. */
  efficiency?: number;
}

/** A shaft or stage passes on no more than this. */
const MOST_EFFICIENT = 0.99;

/**
 * What was measured of a build's drive, with its ratio, wheel, motor, and the loads to start and to cruise on a surface.
 *
 * @returns torques in Nm at one motor, as if each of several carried its part
 * @throws CalcError as `drive.friction` does
 */
export function frictionOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  measured: MeasuredFriction,
): Assembled<FrictionOfBuild> {
  const { drive, brief } = document;
  const ratio = overallRatio(drive);
  const radiusMm = measured.radiusMm ?? drive.tyre?.radiusMm;
  const missing = [
    ...(ratio === undefined ? ['drive.stages'] : []),
    ...(radiusMm === undefined ? ['drive.tyre'] : []),
  ];
  if (missing.length > 0) return { ok: false, missing };
  const { pulls = [], errorG = 0, freeA, freeRpm = 0, aloneA, aloneRpm = 0 } = measured;
  const subject = worked(document, surface);
  const run = subject.runInput();
  const standing = run.ok ? subject.standstill() : undefined;
  const demand = run.ok && brief.targetMps !== undefined ? subject.demand() : undefined;
  const wheelM = (drive.tyre?.radiusMm ?? radiusMm!) / 1000;
  const resistanceN = surface && demand?.ok ? demand.value.surfaces[0]?.resistanceN : undefined;
  const input: FrictionInput = {
    ratio: ratio!,
    radiusMm: radiusMm!,
    readings: pulls.map(({ part, startG, keepG }) => ({ part, startG, keepG, errorG })),
    ...(run.ok
      ? {
          motor: {
            kind: drive.motor!.kind ?? 'sensored',
            kvRpmPerV: run.value.motor.kvRpmPerV,
            resistanceMilliOhm: run.value.motor.resistanceMilliOhm + (run.value.esc.resistanceMilliOhm ?? 0),
            volts: MEAN_CELL_V * run.value.battery.cells,
            currentLimitA: run.value.esc.currentLimitA,
          },
        }
      : {}),
    ...(freeA === undefined || !run.ok ? {} : { freeSpin: { currentA: freeA, rpm: freeRpm } }),
    ...(aloneA === undefined || !run.ok ? {} : { motorAlone: { currentA: aloneA, rpm: aloneRpm } }),
    ...(standing ? { startLoadNm: (standing.neededN * wheelM) / motorsInAll(drive) } : {}),
    ...(resistanceN !== undefined && resistanceN > 0
      ? { loadNm: (resistanceN * wheelM) / motorsInAll(drive) }
      : {}),
  };
  const found = driveFriction(input);
  const { efficiencyAtLoad } = found;
  return {
    ok: true,
    value: { input, found, ...(efficiencyAtLoad === undefined ? {} : { efficiency: efficiencyAtLoad }) },
  };
}

/** The same with the refusal of what does not go together. */
export function frictionOrRefusal(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  measured: MeasuredFriction,
): Assembled<FrictionOfBuild> | { refused: CalcError } {
  try {
    return frictionOf(document, surface, measured);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: error };
  }
}

/** Stages and shafts each a little better or worse, none beyond what such a thing can, so that the drive passes on a share. */
export function efficiencyTaken({ drive }: BuildDocument, share: number): Patch {
  const at = (factor: number): Drive => ({
    ...drive,
    stages: drive.stages.map((stage) => ({ ...stage, efficiency: held(stage.efficiency * factor) })),
    shaftEfficiency: held(shaftEfficiencyOf(drive) * factor),
  });
  const best = overallEfficiency(at(MOST_FACTOR));
  const wanted = Math.min(share, best * (1 - 1e-9));
  const factor = bisect((one) => (overallEfficiency(at(one)) < wanted ? 1 : -1), 0, MOST_FACTOR);
  const { stages, shaftEfficiency } = at(factor);
  return [
    ...stages.map(({ id, efficiency }) => ({
      path: ['drive', 'stages', id, 'efficiency'],
      value: Number(efficiency.toPrecision(3)),
    })),
    { path: ['drive', 'shaftEfficiency'], value: Number(shaftEfficiency!.toPrecision(3)) },
  ];
}

const MOST_FACTOR = 10;
const held = (efficiency: number) => Math.min(MOST_EFFICIENT, efficiency);
