import { isGrouped } from '../../car/document/print';
import { defineFamilyFace, type Shared } from '../engine/check';
import type { Worked } from '../../worked/worked';

export const FASTENERS = {
  family: 'fasteners',
  at: { segment: 'parts', side: 'few' },
  heavy: true,
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.5,
  provenBy: { run: 'blows', how: 'clampAndHit' },
  supports: [],
} as const satisfies Shared;

/** Each joint whose screws were laid out. */
export const groupsOf = ({ print }: Worked['document']) =>
  (print.joints ?? []).filter(isGrouped).map((of) => ({ id: `fasteners.${of.id}`, named: of.name, of }));

export const fastenersFace = defineFamilyFace(FASTENERS, (document) =>
  groupsOf(document).map(({ of: _, ...face }) => face),
);
