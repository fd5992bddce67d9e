import { CalcError } from '../../base/errors';
import type { Assembled } from '../../base/assembled';
import type { BuildDocument } from '../../car/document/document';
import type { PackMeasure, PackPredicted, PackSpread } from '../../car/records/packPredicted';
import { PACK_MEASURES } from '../../car/records/packPredicted';
import type { Conditions } from '../../car/records/records';
import { cellCharge } from '../../physics/motion/cell';
import type { EnduranceResult } from '../../physics/heat/enduranceDefinition';
import { packOfBuild, type PackOfBuild } from '../heat/enduranceOfBuild';
import { drivePack } from '../heat/wholePack';
import type { RunConditions } from '../motion/runOfBuild';
import { packShares, togetherOf } from './packBands';

/** One standard deviation of each figure of a pack, and what does most to it. */
export type PackErrors = Partial<Record<PackMeasure, { error: number; mostFrom?: PackSpread }>>;

export interface PackExpected {
  input: PackOfBuild;
  pack: EnduranceResult;
  errors: PackErrors;
}

export function packErrors(
  document: BuildDocument,
  surfaceId: string,
  conditions: RunConditions = {},
): PackErrors {
  const shares = packShares(document, surfaceId, conditions);
  if (shares.size === 0) return {};
  return Object.fromEntries(PACK_MEASURES.map((measure) => [measure, togetherOf(shares, measure)]));
}

/** What a run differs in from the build as it stands. */
export function packConditions(document: BuildDocument, conditions: Conditions): RunConditions {
  const { battery } = document.power;
  const { extraMassG, ambientC, packVBefore } = conditions;
  return {
    ...(extraMassG === undefined ? {} : { extraMassG }),
    ...(ambientC === undefined ? {} : { ambientC }),
    ...(packVBefore === undefined || !battery
      ? {}
      : { stateOfCharge: Math.max(0.01, cellCharge(packVBefore / battery.cells)) }),
  };
}

/** A pack as an endurance run drives it: its own surface, air, load and start charge, with the build's duty. */
export function packOfRun(document: BuildDocument, conditions: Conditions): Assembled<PackOfBuild> {
  const surface = document.brief.surfaces.find(({ id }) => id === conditions.surfaceId);
  return surface
    ? packOfBuild(document, surface, packConditions(document, conditions))
    : { ok: false, missing: ['brief.surfaces:ofRun'] };
}

/** What is to be expected of an endurance run, with its errors. */
export function expectPack(document: BuildDocument, conditions: Conditions): Assembled<PackExpected> {
  const input = packOfRun(document, conditions);
  if (!input.ok) return input;
  const errors = packErrors(document, conditions.surfaceId!, packConditions(document, conditions));
  return { ok: true, value: { input: input.value, pack: drivePack(input.value), errors } };
}

/** The same as a run keeps it. */
export const predictedOf = ({ pack, errors }: PackExpected): PackPredicted => ({
  minutes: pack.durationS / 60,
  minutesError: errors.minutes?.error ?? 0,
  endedBy: pack.endedBy,
  peakCaseC: pack.peakCaseC,
  caseErrorC: errors.peakCaseC?.error ?? 0,
  ...(errors.minutes?.mostFrom ? { mostFrom: errors.minutes.mostFrom } : {}),
});

/** What a run keeps of what was expected of it; nothing where the build is not ready for it. */
export function predictPack(document: BuildDocument, conditions: Conditions): PackPredicted | undefined {
  try {
    const found = expectPack(document, conditions);
    return found.ok ? predictedOf(found.value) : undefined;
  } catch (error) {
    if (error instanceof CalcError) return undefined;
    throw error;
  }
}
