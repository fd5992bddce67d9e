import { HOLD_NAMES } from './tyres';
import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { BuildDocument } from '@/core/car/document/document';
import { JOINT_SOFTENS_C, MOUNT_SOFTENS_C } from '@/core/car/document/heat';
import {
  BODY_NAMES,
  CONTROLLER_COOLING_NAMES,
  DUTY_NAMES,
  FAN_BLOWS_NAMES,
  HOUSING_NAMES,
  JOINT_NAMES,
  MOTOR_KIND_NAMES,
  MOTORS_AT_NAMES,
  MOUNT_NAMES,
} from './heatWords';
import { labelOf } from './labels';
import type { Path } from '@/core/base/patch';
import { type Exchange, exchangesBetween } from '@/core/car/document/exchange';

/** A difference in words. */
export interface DescribedChange {
  readonly path: Path;
  readonly segment: string;
  readonly label: string;
  readonly before: string;
  readonly after: string;
}

const NOTHING = 'none';

const CORNER_WORDS = { wishbones: 'upper and lower wishbones', hingePins: 'arm on hinge pins' };
const LINK_WORDS = { fixed: 'printed to length', threaded: 'threaded' };

/** What a page calls a word of the document. */
const WORDS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'drive.heat.housing': HOUSING_NAMES,
  'drive.heat.body': BODY_NAMES,
  'drive.heat.fanBlows': FAN_BLOWS_NAMES,
  'drive.heat.pinionJoint': JOINT_NAMES,
  'drive.tyreHold.by': HOLD_NAMES,
  'drive.frontTyreHold.by': HOLD_NAMES,
  'drive.heat.mountMaterial': MOUNT_NAMES,
  'drive.heat.duty': DUTY_NAMES,
  'drive.motor.housing': HOUSING_NAMES,
  'drive.motor.kind': MOTOR_KIND_NAMES,
  'power.controller.kind': MOTOR_KIND_NAMES,
  'power.controller.cooling': CONTROLLER_COOLING_NAMES,
  'drive.motorAxis': { x: 'along the car', y: 'across the car' },
  'drive.motorsAt': MOTORS_AT_NAMES,
  'drive.mounting': { chassis: 'on the chassis', wheel: 'in the wheels' },
  'suspension.front.corner': CORNER_WORDS,
  'suspension.rear.corner': CORNER_WORDS,
  'suspension.front.links': LINK_WORDS,
  'suspension.rear.links': LINK_WORDS,
  'drive.steering': { steered: 'steered wheels', skid: 'driving the sides apart' },
};

/** An exchange as a reader says it. */
export const describeExchange = (exchange: Exchange, reader: Reader): DescribedChange => ({
  path: exchange.path,
  segment: exchange.path[0] ?? '',
  label: placeOf(exchange),
  before: describeValue(exchange.path, exchange.from, reader),
  after: describeValue(exchange.path, exchange.to, reader),
});

/** What an exchange did to the weighed car. */
export const massFollows = ({ fromG, toG }: { fromG: number; toG: number }, reader: Reader): string =>
  `The car’s mass follows: ${formatText(fromG, 'massG', reader, 4)} → ${formatText(toG, 'massG', reader, 4)}.`;

/** What changed from one document to the next, as a reader says it. */
export const describeChanges = (
  before: BuildDocument,
  after: BuildDocument,
  reader: Reader,
): DescribedChange[] => exchangesBetween(before, after).map((exchange) => describeExchange(exchange, reader));

function placeOf({ path, of, stage }: Exchange): string {
  const { label } = labelOf(path);
  const owner = stage === undefined ? of : `Stage ${stage}`;
  return owner === undefined ? label : `${owner}: ${label.toLowerCase()}`;
}

/** What a page calls a word of the document. */
function wordFor(path: Path, value: string): string | undefined {
  const feeds = path[0] === 'power' && (path.at(-1) === 'rail' || path.at(-1) === 'from');
  return feeds && value === 'battery' ? 'the pack' : WORDS[path.join('.')]?.[value];
}

/** Where a kind of joint or mount softens, °C, by its path; a press fit does as its pinion does. */
const SOFTENS: Readonly<Record<string, Readonly<Record<string, number | undefined>>>> = {
  'drive.heat.pinionJoint': { ...JOINT_SOFTENS_C, printed: undefined },
  'drive.heat.mountMaterial': MOUNT_SOFTENS_C,
};

/** What is chosen by the heat that it stands says it. */
function softening(path: Path, value: string, name: string, reader: Reader): string {
  const atC = SOFTENS[path.join('.')]?.[value];
  return atC === undefined ? name : `${name}, ${formatText(atC, 'temperatureC', reader)}`;
}

/** A value of the document in words and the reader's units. */
export function describeValue(path: Path, value: unknown, reader: Reader): string {
  if (value === undefined) return NOTHING;
  if (typeof value === 'number') return formatText(value, labelOf(path).quantity ?? 'coefficient', reader, 4);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return softening(path, value, wordFor(path, value) ?? value, reader);
  if (path.join('.') === 'suspension.bench')
    return `${(value as unknown[]).length} ${(value as unknown[]).length === 1 ? 'look' : 'looks'} passed`;
  if (path.join('.') === 'drive.heat.readings')
    return `${(value as unknown[]).length} ${(value as unknown[]).length === 1 ? 'reading' : 'readings'}`;
  if (path.join('.') === 'brief.calibration.corrected') return `${(value as unknown[]).length} of them`;
  if (path.join('.') === 'drive.heat.calibration')
    return `${describeValue([...path, 'factor'], (value as { factor: number }).factor, reader)} of the first guess`;
  if (path[0] === 'unfinished' || path[0] === 'assumed')
    return (
      (value as string[]).map((key) => labelOf(key.split('/')).label.toLowerCase()).join(', ') || NOTHING
    );
  if (Array.isArray(value))
    return value.length === 0 ? NOTHING : value.map((item) => describeValue(path, item, reader)).join(', ');
  const item = value as { name?: string; kind?: string; pinionTeeth?: number; wheelTeeth?: number };
  if (item.name !== undefined) return item.name;
  if (item.pinionTeeth !== undefined) return `${item.kind} ${item.pinionTeeth} to ${item.wheelTeeth ?? '?'}`;
  return item.kind === undefined ? 'set' : (WORDS[path.join('.')]?.[item.kind] ?? item.kind);
}
