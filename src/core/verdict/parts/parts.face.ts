import { PART_KIND_RECORDS } from '../../car/parts/partKinds';
import type { Part } from '../../car/parts/parts';
import { defineFamilyFace } from '../engine/check';
import { JUDGED_ON_PARTS } from './judgedOnParts';
import type { Worked } from '../../worked/worked';

export const PARTS = {
  ...JUDGED_ON_PARTS,
  family: 'parts',
  supports: ['wallTooThin', 'layersAcrossLoad', 'hardPointNotSpread'],
} as const;

/** A mesh that was told where it is held or pulled; any other is there to be printed. */
const isHeld = ({ mesh }: Part) => (mesh?.held ?? []).length + (mesh?.pulls ?? []).length > 0;

/** Each part that carries something, or was told what acts on it. */
export const judgedPartsOf = ({ parts }: Worked['document']) =>
  parts.items
    .filter((part) => PART_KIND_RECORDS[part.kind].carries || part.shape !== undefined || isHeld(part))
    .map((of) => ({ id: `parts.${of.id}`, named: of.name, about: [`part-${of.id}`], of }));

export const partsFace = defineFamilyFace(PARTS, (document) =>
  judgedPartsOf(document).map(({ of: _, ...face }) => face),
);
