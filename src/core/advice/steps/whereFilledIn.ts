import { LABELS } from '../../car/labels/labels';
import { type Check, type Segment, SEGMENTS } from '../../verdict/engine/check';

/** What checks call by another name than its field. */
const NAMED: Readonly<Record<string, Segment>> = {
  'mass ready to run': 'chassis',
  'reduction teeth': 'drive',
  'height it lands from': 'brief',
  'steering servo': 'power',
  'a price in the make-or-buy list': 'print',
};

const BY_LABEL = new Map(
  Object.entries(LABELS).map(([path, { label }]) => [label.toLowerCase(), path.split('.')[0]!]),
);

/** The page on which a missing figure is filled in: that of the field of its name, else of the last of the job that waits for it. */
export function whereFilledIn(missing: string, waiting: readonly Pick<Check, 'segment'>[]): Segment {
  const section = NAMED[missing] ?? BY_LABEL.get(missing.toLowerCase());
  const known = SEGMENTS.find((segment) => segment === section);
  return (
    known ?? SEGMENTS.findLast((segment) => waiting.some((check) => check.segment === segment)) ?? 'brief'
  );
}
