import { formatText, type Reader } from '../units/formatQuantity';
import type { BuildDocument } from './document';
import { labelOf } from './labels';
import { type Change, changesBetween, type Path, valueAt } from './patch';

/** A difference in words. */
export interface DescribedChange {
  readonly path: Path;
  readonly segment: string;
  readonly label: string;
  readonly before: string;
  readonly after: string;
}

const NOTHING = 'none';

/** What changed from one document to the next, as a reader says it. */
export function describeChanges(before: BuildDocument, after: BuildDocument, reader: Reader): DescribedChange[] {
  return changesBetween(before, after).map((change) => ({
    path: change.path,
    segment: change.path[0] ?? '',
    label: placeOf(change, before, after),
    before: describeValue(change.path, change.before, reader),
    after: describeValue(change.path, change.after, reader),
  }));
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
  if (typeof value === 'string') return value;
  if (Array.isArray(value)) return value.length === 0 ? NOTHING : value.map((item) => describeValue(path, item, reader)).join(', ');
  const item = value as { name?: string; kind?: string; pinionTeeth?: number; wheelTeeth?: number };
  if (item.name !== undefined) return item.name;
  if (item.pinionTeeth !== undefined) return `${item.kind} ${item.pinionTeeth} to ${item.wheelTeeth ?? '?'}`;
  return item.kind ?? 'set';
}
