import { rpmOf } from '../../base/units/convert';
import { USUAL_SLIP_AID } from '../../car/document/aids';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { overallRatio } from '../../car/document/drive';
import { slipOf } from '../../physics/aids/slipCar';
import { tractionAssist } from '../../physics/aids/tractionAssist';
import type { ReadLog } from '../../physics/logs/logRead';
import { factorAt } from '../../physics/motion/plant';
import { tractionInputOf } from '../aids/slipOfBuild';
import { runInputOf } from '../motion/runOfBuild';
import { thinned, valuesOf } from './seenLog';

/** How much the driven wheels turn over the road, per cent of the car's speed. */
export interface SlipLine {
  tS: readonly number[];
  slipPct: readonly number[];
}

export interface SlipOfLog {
  logged: SlipLine;
  /** The same car from rest at full throttle without an aid; times from its start. */
  simulated?: SlipLine;
}

const LEAST_MPS = 0.5;
/** Throttle held back by nothing. */
const OFF_PCT = 100;
const FAR_M = 60;

/**
 * Slip by the turns and the speed of a log, beside the slip simulator's; nothing where the log or the build lacks something.
 * The tyre's growth is taken at the speed of its tread.
 *
 * @param polePairs what the log's turns are divided by to be the motor's
 */
export function slipOfLog(
  log: ReadLog,
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  polePairs = 1,
): SlipOfLog | undefined {
  const speed = valuesOf(log, 'speed');
  const rpm = valuesOf(log, 'rpm');
  const throttle = valuesOf(log, 'throttle');
  const ratio = overallRatio(document.drive);
  const run = surface ? runInputOf(document, surface) : undefined;
  if (!speed || !rpm || ratio === undefined || !run?.ok) return undefined;
  const { radiusMm, grown } = run.value.tyre;
  const rpmPerMps = rpmOf(1, radiusMm / 1000) * ratio * polePairs;
  const slips = speed.map((mps, k) => {
    if (!(mps > LEAST_MPS) || (throttle && !(throttle[k]! > 0))) return NaN;
    const stiff = rpm[k]! / rpmPerMps;
    const tread = grown ? stiff * factorAt(grown, stiff * factorAt(grown, stiff)) : stiff;
    return 100 * slipOf(tread, mps);
  });
  const { tS, values } = thinned(log.tS, slips);
  if (values.length === 0) return undefined;
  return { logged: { tS, slipPct: values }, ...simulatedOf(document, surface) };
}

function simulatedOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
): Pick<SlipOfLog, 'simulated'> {
  const input = tractionInputOf(document, surface, USUAL_SLIP_AID, { distanceM: FAR_M });
  if (!input.ok) return {};
  const { series } = tractionAssist({
    ...input.value,
    controller: { ...input.value.controller, targetSlipPct: OFF_PCT },
  });
  const from = series.speedMps.findIndex((mps) => mps > LEAST_MPS);
  return from < 0 ? {} : { simulated: { tS: series.tS.slice(from), slipPct: series.slipPct.slice(from) } };
}
