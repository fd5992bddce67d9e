import { ENDS } from '../../car/document/suspension';
import { defineFamilyFace, type Shared } from '../engine/check';
import type { Worked } from '../../worked/worked';

export const LINKS = {
  family: 'links',
  at: { segment: 'parts', side: 'few' },
  heavy: true,
  quantity: 'forceN',
  kind: 'floor',
  tightUnder: 1.5,
  provenBy: { run: 'blows', how: 'clampAndHit' },
  supports: [],
} as const satisfies Shared;

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
