/** What a column of a log can be. */
export const LOG_ROLES = [
  'time',
  'motorTemperature',
  'controllerTemperature',
  'yawRate',
  'motorCurrent',
  'batteryCurrent',
  'voltage',
  'rpm',
  'throttle',
  'speed',
] as const;
export type LogRole = (typeof LOG_ROLES)[number];

interface RoleWords {
  /** Words of a name that make it this one: all of one way. */
  ways: readonly (readonly string[])[];
  units: readonly string[];
}

const each = (first: readonly string[], ...then: string[]) => first.map((one) => [one, ...then]);
const alone = (...words: string[]) => words.map((word) => [word]);
const TEMPERATURES = ['c', 'f', 'k'];
const AMPS = ['a', 'ma'];

const WORDS: Readonly<Record<LogRole, RoleWords>> = {
  time: {
    ways: alone('time', 'timestamp', 'elapsed', 't', 'millis'),
    units: ['s', 'sec', 'ms', 'us', 'min', 'h'],
  },
  motorTemperature: {
    ways: [...each(['motor', 'mot', 'winding'], 'temp'), ['motor', 'temperature'], ['tmot']],
    units: TEMPERATURES,
  },
  controllerTemperature: {
    ways: [
      ...each(['esc', 'controller', 'fet', 'mosfet'], 'temp'),
      ...each(['esc', 'controller'], 'temperature'),
    ],
    units: TEMPERATURES,
  },
  yawRate: {
    ways: [['yaw'], ['yawrate'], ['gyro', 'z'], ['gyroz'], ['gz']],
    units: ['deg/s', 'dps', 'rad/s'],
  },
  motorCurrent: {
    ways: [['motor', 'current'], ['motor', 'amps'], ['phase', 'current'], ['imot']],
    units: AMPS,
  },
  batteryCurrent: {
    ways: [...each(['battery', 'batt', 'input', 'pack'], 'current'), ['ibat'], ['current'], ['amps']],
    units: AMPS,
  },
  voltage: { ways: alone('voltage', 'volts', 'volt', 'vbat'), units: ['v', 'mv'] },
  rpm: { ways: alone('rpm', 'erpm', 'revs'), units: ['rpm', '1/min', 'r/min'] },
  throttle: { ways: alone('throttle', 'thr', 'duty'), units: ['%', 'us'] },
  speed: {
    ways: alone('speed', 'velocity', 'kmh', 'mph'),
    units: ['m/s', 'km/h', 'kmh', 'kph', 'mph'],
  },
};
/** Roles that a unit tells by itself. */
const TOLD_BY_UNIT: readonly LogRole[] = ['voltage', 'rpm', 'speed', 'yawRate'];
const BARE: ReadonlySet<string> = new Set(['current', 'amps']);
const [SUITS, NO_UNIT, ANOTHER, BY_UNIT, LESS_BARE] = [0.95, 0.75, 0.3, 0.5, 0.2];

export interface Guess {
  role: LogRole;
  confidence: number;
}

/** A unit without its case and its signs of degree and micro. */
export const plainUnit = (unit: string): string =>
  unit
    .toLowerCase()
    .replace(/[µμ]/g, 'u')
    .replace(/^°\/s$/, 'deg/s')
    .replace(/°/g, '');

export const wordsOf = (name: string): string[] =>
  name
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((word) => word !== '');

/** What a column is by its name and its unit, and how sure that is. */
export function guessOf(name: string, unit: string | undefined): Guess | undefined {
  const words = new Set(wordsOf(name));
  const plain = unit === undefined ? undefined : plainUnit(unit);
  const byUnit = TOLD_BY_UNIT.find((role) => plain !== undefined && WORDS[role].units.includes(plain));
  for (const role of LOG_ROLES) {
    const way = WORDS[role].ways.find((one) => one.every((word) => words.has(word)));
    if (!way) continue;
    const less = way.length === 1 && BARE.has(way[0]!) ? LESS_BARE : 0;
    if (plain === undefined) return { role, confidence: NO_UNIT - less };
    if (WORDS[role].units.includes(plain)) return { role, confidence: SUITS - less };
    return byUnit ? { role: byUnit, confidence: BY_UNIT } : { role, confidence: ANOTHER - less };
  }
  return byUnit ? { role: byUnit, confidence: BY_UNIT } : undefined;
}
