import { CalcError, type Refused } from '../../base/errors';
import type { MeasuredBalance } from '../../car/records/benchReport';
import { type BalanceRunResult, wheelBalanceRun } from '../../physics/bench/balanceRun';

/** Of small parts of machines, and what a fast car's wheels are held against. Source: ISO 21940-11, table 1. */
export const FAST_WHEEL_GRADE_MMPS = 16;

export type BalanceTold = { ok: true; value: BalanceRunResult } | { ok: false; refused: Refused };

/** What amplitudes with a trial weight say of a wheel; nothing while they are too few. */
export function balanceOfRun(measured: MeasuredBalance | undefined): BalanceTold | undefined {
  const { amplitude, trialMassG, trialRadiusMm, runs = [] } = measured ?? {};
  if (amplitude === undefined || trialMassG === undefined || trialRadiusMm === undefined || runs.length < 3)
    return undefined;
  const { errorPct, correctionRadiusMm, massG, rpm, placesDeg, amplitudeAfter } = measured!;
  try {
    return {
      ok: true,
      value: wheelBalanceRun({
        amplitude,
        trialMassG,
        trialRadiusMm,
        runs,
        gradeMmps: FAST_WHEEL_GRADE_MMPS,
        ...(errorPct === undefined ? {} : { amplitudeErrorPct: errorPct }),
        ...(correctionRadiusMm === undefined ? {} : { correctionRadiusMm }),
        ...(massG === undefined || rpm === undefined ? {} : { massG, rpm }),
        ...(placesDeg && new Set(placesDeg).size > 1 ? { positionsDeg: placesDeg } : {}),
        ...(amplitudeAfter === undefined ? {} : { amplitudeAfter }),
      }),
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ok: false, refused: error.refused };
  }
}
