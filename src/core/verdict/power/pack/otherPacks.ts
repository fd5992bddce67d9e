import type { BuildDocument } from '../../../car/document/document';
import { otherPack } from '../../../worked/exchange/otherPack';
import type { Proposal } from '../../engine/check';

/** Capacity of the next larger pack over the present one's. */
const LARGER = 1.3;

/** A larger pack of the same make, or two of the present one in parallel, with their mass. */
export const strongerPacks = (document: BuildDocument): Proposal[] =>
  [otherPack(document, { capacity: LARGER }), otherPack(document, { packs: 2 })].flatMap((pack) =>
    pack ? [{ patch: pack.patch, cost: 2 as const }] : [],
  );
