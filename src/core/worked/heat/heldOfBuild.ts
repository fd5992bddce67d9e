import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { driveStandstill, type StandstillResult } from '../../physics/heat/standstill';
import { thermalOf, underAir } from './thermalOfBuild';
import { runInputOf } from '../motion/runOfBuild';
import { onSteepest } from '../motion/standstillOfBuild';

export interface StandstillOfBuild {
  standing: StandstillResult;
  gradePct: number;
  /** Throttles up to the one that the driver may give, and the seconds that a held motor lasts at each; none for ever. */
  held: { throttle: number; lastsS?: number }[];
}

const STEPS = 20;

/** What full throttle does to the standing car on the steepest slope wished, and how long its motor lasts when held. */
export function standstillOfBuild(
  document: BuildDocument,
  surface: ChosenSurface,
): Assembled<StandstillOfBuild> {
  const run = runInputOf(document, surface);
  if (!run.ok) return run;
  const thermal = thermalOf(document.drive, document.drive.motor!);
  const missing = underAir(thermal);
  if (missing.length > 0) return { ok: false, missing };
  const { throttle = 1 } = run.value;
  const input = onSteepest(document, run.value);
  const standing = driveStandstill({
    ...input,
    thermal,
    throttles: Array.from({ length: STEPS }, (_, at) => (throttle * (at + 1)) / STEPS),
  });
  const held = standing.holdCurve.map((one) => {
    const lastsS = Math.min(one.windingLimitS ?? Infinity, one.caseLimitS ?? Infinity);
    return { throttle: one.throttle, ...(lastsS === Infinity ? {} : { lastsS }) };
  });
  return { ok: true, value: { standing, gradePct: input.gradePct ?? 0, held } };
}
