import type { PartLoad } from '../../car/document/parts';
import { plain } from '../../base/units/plain';
import type { LoadCaseName, LoadCasesResult } from '../../physics/strength/loadCases';

export const CASE_WORDS: Readonly<Record<LoadCaseName, string>> = {
  landingFourWheels: 'a landing on four wheels',
  landingOneWheel: 'a landing on one wheel',
  noseCrash: 'a crash on the nose',
  curbStrike: 'a kerb',
  corneringVerticalFront: 'cornering, weight in front',
  corneringVerticalRear: 'cornering, weight at the rear',
  corneringLateralFront: 'cornering, front grip',
  corneringLateralRear: 'cornering, rear grip',
  brakingFront: 'braking in front',
  brakingRear: 'braking at the rear',
  tieRod: 'the stalled servo',
  driveshaft: 'the drive',
};

export const nameOf = ({ from }: Pick<PartLoad, 'from'>): string =>
  from === 'own' ? 'the force given' : CASE_WORDS[from];

/** The force of a load, or undefined where the build does not have its case. */
export function forceOf(
  { from, share = 1, forceN }: Pick<PartLoad, 'from' | 'share' | 'forceN'>,
  { cases }: LoadCasesResult,
): { forceN: number; how: string } | undefined {
  if (from === 'own') return forceN === undefined ? undefined : { forceN: forceN * share, how: 'As given.' };
  const found = cases[from];
  return found?.forceN === undefined
    ? undefined
    : {
        forceN: found.forceN * share,
        how: `${share === 1 ? '' : `${plain(100 * share)} % of ${plain(found.forceN)} N. `}${found.how}`,
      };
}
