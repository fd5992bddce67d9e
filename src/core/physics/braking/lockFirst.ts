import { balanceAt, type Brakes, excesses, pullAt } from './brakes';

export type LockFirst = 'front' | 'rear' | 'both' | 'lift' | 'none';

const [LEAST, MOST, STEPS] = [1e-4, 1e4, 480];
const HALVINGS = 60;
const EQUAL = 1e-6;

/** Which axle locks first, and at which factor on all brakes; without one where they never do, up to 10,000 times. */
export function lockFirst(b: Brakes, speedMps: number): { lockFirst: LockFirst; lockAtShare?: number } {
  const pull = pullAt(b, speedMps, true);
  if (pull.motorN + pull.frontN + pull.rearN <= 0) return { lockFirst: 'none' };
  const excess = excesses(b, pull);
  const overAt = (share: number) => excess(share) > 0;
  let low = 0;
  let high: number | undefined;
  for (let step = 0; step <= STEPS && high === undefined; step++) {
    const share = step === 0 ? 0 : LEAST * (MOST / LEAST) ** (step / STEPS);
    if (overAt(share)) high = share;
    else low = share;
  }
  if (high === undefined) return { lockFirst: 'none' };
  for (let at = 0; at < HALVINGS && high > low; at++) {
    const middle: number = (low + high) / 2;
    if (overAt(middle)) high = middle;
    else low = middle;
  }
  const { useFront, useRear, loadRearN } = balanceAt(b, pull, high);
  const first =
    useFront <= 1 && useRear <= 1 && loadRearN < 0
      ? 'lift'
      : useFront === useRear || Math.abs(useFront - useRear) <= EQUAL
        ? 'both'
        : useFront > useRear
          ? 'front'
          : 'rear';
  return { lockFirst: first, lockAtShare: high };
}
