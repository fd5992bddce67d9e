import { formatText, type Reader } from '../../base/units/formatQuantity';
import type { BuildDocument } from '../document/document';
import { HOUSING_NAMES, JOINT_NAMES, MOUNT_NAMES, PRESET_NAMES } from './heatWords';
import { labelOf } from './labels';
import { type Change, changesBetween, type Path, valueAt } from '../../base/patch';

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
  'drive.heat.pinionJoint': JOINT_NAMES,
  'drive.heat.mountMaterial': MOUNT_NAMES,
  'drive.heat.preset': PRESET_NAMES,
  'drive.motor.housing': HOUSING_NAMES,
  'drive.motorAxis': { x: 'along the car', y: 'across the car' },
  'drive.motorsAt': { car: 'the whole car', axle: 'each driven axle', wheel: 'each driven wheel' },
  'drive.mounting': { chassis: 'on the chassis', wheel: 'in the wheels' },
  'suspension.front.corner': CORNER_WORDS,
  'suspension.rear.corner': CORNER_WORDS,
  'suspension.front.links': LINK_WORDS,
  'suspension.rear.links': LINK_WORDS,
  'drive.steering': { steered: 'steered wheels', skid: 'driving the sides apart' },
};

/** What changed from one document to the next, as a reader says it. */
export function describeChanges(
  before: BuildDocument,
  after: BuildDocument,
  reader: Reader,
): DescribedChange[] {
  return changesBetween(before, after)
    .flatMap(leavesOf)
    .filter(tellsSomething)
    .map((change) => ({
      path: change.path,
      segment: change.path[0] ?? '',
      label: placeOf(change, before, after),
      before: describeValue(change.path, named(change.path, change.before, before), reader),
      after: describeValue(change.path, named(change.path, change.after, after), reader),
    }));
}

/** Of a part's mesh its file and its way up, of a test that was passed that it was; the rest comes with them. */
const tellsSomething = ({ path }: Change): boolean =>
  (path[3] !== 'mesh' || path.length < 5 || path[4] === 'name' || path[4] === 'up') &&
  !(path[1] === 'failsafe' && path.length > 3);

/** What another thing of the document is called, in place of its id. */
function named(path: Path, value: unknown, document: BuildDocument): unknown {
  const feeds = path[0] === 'power' && (path.at(-1) === 'rail' || path.at(-1) === 'from');
  return feeds && typeof value === 'string'
    ? (valueAt(document, ['power', 'rails', value, 'name']) ?? (value === 'battery' ? 'the pack' : value))
    : value;
}

type Bag = Readonly<Record<string, unknown>>;
const isBag = (value: unknown): value is Bag =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A nameless bag that is new or gone, and a thing that kept its name, field by field. */
function leavesOf(change: Change): Change[] {
  if (
    isBag(change.before) &&
    isBag(change.after) &&
    change.before.name !== undefined &&
    change.before.name === change.after.name
  ) {
    const [{ libraryId: _before, ...was }, { libraryId: _after, ...is }] = [change.before, change.after];
    return changesBetween(was, is, change.path).flatMap(leavesOf);
  }
  const bag = change.before ?? change.after;
  const nameless =
    typeof bag === 'object' &&
    bag !== null &&
    !Array.isArray(bag) &&
    !('name' in bag) &&
    !('kind' in bag) &&
    !('factor' in bag);
  if (!nameless || (change.before !== undefined && change.after !== undefined)) return [change];
  return Object.entries(bag).flatMap(([key, value]) =>
    leavesOf({
      path: [...change.path, key],
      before: change.before === undefined ? undefined : value,
      after: change.after === undefined ? undefined : value,
    }),
  );
}

function placeOf({ path }: Change, before: BuildDocument, after: BuildDocument): string {
  const { label } = labelOf(path);
  if (path.length < 4) return label;
  const owner = path.slice(0, 3);
  const item = (valueAt(after, owner) ?? valueAt(before, owner)) as { name?: string } | undefined;
  if (path[1] === 'stages') {
    const index = after.drive.stages.findIndex((stage) => stage.id === path[2]);
    return `Stage ${index + 1}: ${label.toLowerCase()}`;
  }
  return path[3] === 'name' || item?.name === undefined ? label : `${item.name}: ${label.toLowerCase()}`;
}

/** A value of the document in words and the reader's units. */
export function describeValue(path: Path, value: unknown, reader: Reader): string {
  if (value === undefined) return NOTHING;
  if (typeof value === 'number') return formatText(value, labelOf(path).quantity ?? 'coefficient', reader, 4);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return WORDS[path.join('.')]?.[value] ?? value;
  if (path.join('.') === 'suspension.bench')
    return `${(value as unknown[]).length} ${(value as unknown[]).length === 1 ? 'look' : 'looks'} passed`;
  if (path.join('.') === 'drive.heat.readings')
    return `${(value as unknown[]).length} ${(value as unknown[]).length === 1 ? 'reading' : 'readings'}`;
  if (path.join('.') === 'drive.heat.calibration')
    return `${describeValue([...path, 'factor'], (value as { factor: number }).factor, reader)} of the first guess`;
  if (path[0] === 'unfinished')
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
