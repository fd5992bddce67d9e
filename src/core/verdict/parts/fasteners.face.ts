import { isGrouped } from '../../car/document/print';
import { defineFamilyFace } from '../engine/check';
import { JUDGED_ON_PARTS } from './judgedOnParts';
import type { Worked } from '../../worked/worked';

export const FASTENERS = { ...JUDGED_ON_PARTS, family: 'fasteners' } as const;

/** Each joint whose screws were laid out. */
export const groupsOf = ({ print }: Worked['document']) =>
  (print.joints ?? []).filter(isGrouped).map((of) => ({ id: `fasteners.${of.id}`, named: of.name, of }));

export const fastenersFace = defineFamilyFace(FASTENERS, (document) =>
  groupsOf(document).map(({ of: _, ...face }) => face),
);
