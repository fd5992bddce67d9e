import { plainUnit, type LogRole, wordsOf } from './roles';

type ToSi = (value: number) => number;

const times =
  (factor: number): ToSi =>
  (value) =>
    value * factor;
const MPH = 0.44704;
const [NEUTRAL_US, FULL_US] = [1500, 500];

/** In °C, deg/s, A, V, turns a minute, share and m/s. */
const BY_UNIT: Readonly<Partial<Record<LogRole, Readonly<Record<string, ToSi>>>>> = {
  motorTemperature: { f: (value) => ((value - 32) * 5) / 9, k: (value) => value - 273.15 },
  controllerTemperature: { f: (value) => ((value - 32) * 5) / 9, k: (value) => value - 273.15 },
  yawRate: { 'rad/s': times(180 / Math.PI) },
  motorCurrent: { ma: times(0.001) },
  batteryCurrent: { ma: times(0.001) },
  voltage: { mv: times(0.001) },
  throttle: { '%': times(0.01), us: (value) => (value - NEUTRAL_US) / FULL_US },
  speed: { 'km/h': times(1 / 3.6), kmh: times(1 / 3.6), kph: times(1 / 3.6), mph: times(MPH) },
};
const SPEED_IN_NAME = ['kmh', 'kph', 'mph'];
const MOST_SHARE = 1.5;

/**
 * A column's values in the units that the program works in. Without a unit a speed goes by its name, else it is m/s, and a
 * throttle over 1.5 is in per cent.
 *
 * @param most largest value of the column
 */
export function inWorkingUnits(role: LogRole, name: string, unit: string | undefined, most: number): ToSi {
  const table = BY_UNIT[role] ?? {};
  if (unit !== undefined) return table[plainUnit(unit)] ?? ((value) => value);
  if (role === 'speed') {
    const said = SPEED_IN_NAME.find((one) => wordsOf(name).includes(one));
    return said ? table[said]! : (value) => value;
  }
  return role === 'throttle' && most > MOST_SHARE ? table['%']! : (value) => value;
}
