import { refusal } from '../../base/errors';

declare module '../../base/errors' {
  interface RefusalFacts {
    'motorLog.lengths': Record<never, never>;
  }
}

/** One steady reading; `duty` is the share of the volts that the controller passes on. */
export interface MotorReading {
  voltageV: number;
  rpm: number;
  currentA: number;
  duty?: number;
}

/** Columns of a log, equally long. */
export interface MotorLog {
  voltageV: number[];
  currentA: number[];
  rpm: number[];
  duty?: number[];
}

/** Volts at the motor, its turns a minute and its own current. */
export interface MotorPoint {
  volts: number;
  rpm: number;
  amps: number;
}

/** A controller that passes less on, or changes it within a row, is not steady enough. */
const [LEAST_DUTY, SAME_DUTY] = [0.1, 0.05];

/** A reading as the motor sees it: a battery's current is the motor's times the duty. */
export const pointOf = (
  { voltageV, rpm, currentA, duty = 1 }: MotorReading,
  currentIs: 'motor' | 'battery',
): MotorPoint => ({
  volts: duty * voltageV,
  rpm,
  amps: currentIs === 'battery' ? currentA / duty : currentA,
});

/** Rows of a log that turn under a steady duty. */
export function steadyRows({ voltageV, currentA, rpm, duty }: MotorLog): MotorReading[] {
  const lists = [voltageV, currentA, rpm, ...(duty ? [duty] : [])];
  if (lists.some(({ length }) => length !== voltageV.length)) throw refusal('log', 'motorLog.lengths');
  return voltageV.flatMap((volts, k): MotorReading[] => {
    const now = duty?.[k] ?? 1;
    const before = duty?.[k - 1] ?? now;
    const steady = now >= LEAST_DUTY && Math.abs(now - before) <= SAME_DUTY;
    return steady && rpm[k]! > 0 && currentA[k]! > 0
      ? [{ voltageV: volts, rpm: rpm[k]!, currentA: currentA[k]!, duty: now }]
      : [];
  });
}
