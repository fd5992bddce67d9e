import { formatNumber, formatText, formatWithError, type Reader } from '@/core/base/units/formatQuantity';
import { counted } from '../lists';
import type { BudgetInput, GripMethod } from '@/core/physics/grip/definition';
import type { CoastResult } from '@/core/physics/air/coastDefinition';
import type { CircleResult } from '@/core/physics/handling/circle';
import type { StraightResult, Suspect } from '@/core/physics/handling/straight';

interface MethodWords {
  /** What to do. */
  how: string;
  reading: string;
  example: number;
}

/** The home methods: how it goes, and what is read. */
export const METHOD_WORDS: Readonly<Record<GripMethod, MethodWords>> = {
  pull: {
    how: 'Hold the wheels so that they cannot turn. Hook a spring scale to the chassis, low, and pull level until it just slides on; read it while it slides.',
    reading: 'Pull',
    example: 11,
  },
  tilt: {
    how: 'Glue the surface to a board or tilt a piece of it. Hold the wheels, raise one end slowly, and read the angle at which the car slides on.',
    reading: 'Angle',
    example: 32,
  },
  circle: {
    how: 'Mark a circle and drive it as fast as it holds the line; stop the lap. The radius is that of the car’s middle.',
    reading: 'Lap',
    example: 4.2,
  },
  brakeLength: {
    how: 'Pass a mark at a known speed, brake with sliding wheels at the mark, and measure from there to where it stands.',
    reading: 'Length',
    example: 4.5,
  },
  brakeTime: {
    how: 'Brake from a known speed with sliding wheels, and count the frames of a video until it stands.',
    reading: 'Time',
    example: 1.1,
  },
  launch: {
    how: 'Start with so much throttle that the driven wheels just spin, and time it until a known speed.',
    reading: 'Time',
    example: 1.2,
  },
};

/** What a friction is uncertain by. */
export const BUDGET_WORDS: Readonly<Record<BudgetInput, string>> = {
  scatter: 'how the readings scatter',
  instrument: 'how well it can be read',
  pullHeightMm: 'the height of the pull',
  resistanceN: 'what the rolling wheels take',
  radiusM: 'the radius',
  speedMps: 'the speed',
  fromMps: 'the speed at its start',
  toMps: 'the speed at its end',
  massKg: 'the mass of the car',
  wheelbaseMm: 'the wheelbase',
  cgHeightMm: 'the height of the weight',
  frontLoadShare: 'the weight on the front axle',
};

const SUSPECTED: Readonly<Record<Suspect, string>> = {
  place: 'mostly the place: slope or wind',
  play: 'it scatters as play in the steering does, or aiming',
  trim: 'steering trim sets it right',
  alignment: 'look at tie rods and toe',
  bent: 'something is bent, a brake or bearing drags, or tyres are unlike',
};

/** What drifts said. */
export function straightSentence(
  { biasM, biasErrorM, side, trimDeg, suspects }: StraightResult,
  distanceM: number,
  reader: Reader,
): string {
  const over = formatText(distanceM, 'distanceM', reader, 2);
  const away = formatWithError(Math.abs(biasM), biasErrorM, 'distanceM', reader);
  const trim = `Trim ${formatText(Math.abs(trimDeg), 'angleDeg', reader, 2)} to the ${trimDeg > 0 ? 'left' : 'right'}`;
  const because = suspects.map((suspect) => SUSPECTED[suspect]).join('; ');
  return side === 'none shown'
    ? `No pull to a side shown over ${over} (${away}).${because ? ` ${because.charAt(0).toUpperCase()}${because.slice(1)}.` : ''}`
    : `It pulls ${away} to the ${side} over ${over}. ${trim}: ${because}.`;
}

/** What roll-outs said of drag and rolling resistance. */
export function coastSentence(found: CoastResult, reader: Reader): string {
  const { cdaM2, cdaErrorM2, rollingResistance, rollingResistanceError, windMps, gradePct } = found;
  const place = [
    windMps === undefined
      ? ''
      : `${formatText(Math.abs(windMps), 'speedMps', reader, 2)} of wind ${windMps >= 0 ? 'from behind' : 'against it'} on the way out`,
    gradePct === undefined
      ? ''
      : `a slope of ${formatText(Math.abs(gradePct), 'percent', reader, 2)} ${gradePct >= 0 ? 'up' : 'down'}`,
  ].filter(Boolean);
  return `Drag area ${formatWithError(cdaM2, cdaErrorM2, 'areaM2', reader)}, rolling resistance with gears and motor ${formatWithError(rollingResistance, rollingResistanceError, 'coefficient', reader)}${place.length ? `; told apart from ${place.join(' and ')}` : ''}.`;
}

/** What circles said of the balance. */
export function circleSentence(found: CircleResult, reader: Reader): string {
  const { understeerDegPerGee: K, understeerErrorDegPerMps2, differenceDegPerMps2, agrees } = found;
  const error = understeerErrorDegPerMps2 * (K / found.understeerDegPerMps2);
  const number = (value: number) => formatNumber(value, reader.locale, 2);
  const shown = found.characteristicSpeedMps ?? found.criticalSpeedMps;
  const steers =
    shown === undefined ? 'neither under- nor oversteer shown' : K > 0 ? 'understeer' : 'oversteer';
  const told =
    differenceDegPerMps2 === undefined
      ? ''
      : agrees
        ? ' The prediction agrees.'
        : ` Predicted was ${number(K - differenceDegPerMps2 * (K / found.understeerDegPerMps2))}: the model’s tyres are not these.`;
  const critical =
    found.criticalSpeedMps === undefined
      ? ''
      : ` Straight ahead it is not steady beyond ${formatText(found.criticalSpeedMps, 'speedMps', reader)}.`;
  return `${number(K)} ± ${number(Math.abs(error))} ° of steering for each g: ${steers}.${told}${critical}`;
}

/** Why a friction should be read again. */
export const oldGrip = (days: number, minutes: number, reader: Reader): string =>
  `Measured ${counted(days, 'day')} ago${minutes > 0 ? `, ${formatText(minutes, 'minutes', reader, 2)} of driving on these tyres since` : ''}: tyres wear and ground changes. Pull it once more; one reading shows whether it still holds.`;
