import { ENDS } from '../../car/document/suspension';
import { defineFamilyFace } from '../engine/check';
import { JUDGED_ON_PARTS } from './judgedOnParts';
import type { Worked } from '../../worked/worked';

export const LINKS = { ...JUDGED_ON_PARTS, family: 'links' } as const;

/** Each rod, ball, hinge and mount whose strength is known. */
export const linksHeldOf = ({ suspension }: Worked['document']) =>
  ENDS.flatMap((end) =>
    (suspension[end]?.held ?? []).map((held) => ({
      id: `links.${end}.${held.id}`,
      named: `${end}.${held.id}`,
      about: [`${end}.${held.id}`],
      end,
      held,
    })),
  );

export const linksFace = defineFamilyFace(LINKS, (document) =>
  linksHeldOf(document).map(({ end: _, held: __, ...face }) => face),
);
