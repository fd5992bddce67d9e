import { MaxRectsPacker, PACKING_LOGIC } from 'maxrects-packer';
import { fits, type Misfit, misfitOf, type PlatePart, ROUNDING_MM } from './misfit';

export interface PlatesInput {
  bedMm: readonly [width: number, depth: number];
  heightMm: number;
  spacingMm?: number;
  parts: readonly PlatePart[];
}

export interface PlateItem {
  id: string;
  /** Low corner, the bed from 0, 0. */
  xMm: number;
  yMm: number;
  /** By a quarter turn. */
  turned: boolean;
}

export interface PlatesResult {
  plates: { items: PlateItem[]; usedPct: number }[];
  doesNotFit: Misfit[];
}

const USUAL_SPACING_MM = 5;

/** One of a part to be laid down. */
interface Piece {
  id: string;
  width: number;
  depth: number;
  mayTurn: boolean;
}

/**
 * Parts laid on as few beds as a packing finds, never more than shelves by depth would take.
 *
 * @returns places in mm, the share of the bed that is covered in per cent, and what fits no bed
 * @see Jylänki, A Thousand Ways to Pack the Bin (2010): maximal rectangles; Coffman et al. 1980: shelves
 */
export function printPlates({
  bedMm,
  heightMm,
  spacingMm = USUAL_SPACING_MM,
  parts,
}: PlatesInput): PlatesResult {
  const doesNotFit = parts.flatMap((part) => misfitOf(part, bedMm, heightMm) ?? []);
  const out = new Set(doesNotFit.map(({ id }) => id));
  const pieces = parts
    .filter(({ id }) => !out.has(id))
    .flatMap(({ id, sizeMm: [width, depth], quantity = 1, mayTurn = true }): Piece[] =>
      Array.from({ length: quantity }, () => ({ id, width, depth, mayTurn })),
    );
  const [packedBest, shelved] = [byRectangles(pieces, bedMm, spacingMm), byShelves(pieces, bedMm, spacingMm)];
  const best = packedBest.length <= shelved.length ? packedBest : shelved;
  const bed = bedMm[0] * bedMm[1];
  const areaOf = new Map(parts.map(({ id, sizeMm }) => [id, sizeMm[0] * sizeMm[1]]));
  return {
    plates: best.map((items) => ({
      items,
      usedPct: (100 * items.reduce((sum, { id }) => sum + areaOf.get(id)!, 0)) / bed,
    })),
    doesNotFit,
  };
}

/** The bed is taken larger by the spacing and so is every part, so that none is owed to the edge; the largest go first. */
function byRectangles(pieces: readonly Piece[], bed: PlatesInput['bedMm'], spacing: number): PlateItem[][] {
  const tries = [PACKING_LOGIC.MAX_EDGE, PACKING_LOGIC.MAX_AREA].flatMap((logic) =>
    ORDERS.map((order) => packed([...pieces].sort(order), bed, spacing, logic)),
  );
  return tries.reduce((best, one) => (one.length < best.length ? one : best));
}

const side = ({ width, depth }: Piece) => Math.max(width, depth);
const area = ({ width, depth }: Piece) => width * depth;
const ORDERS = [
  (a: Piece, b: Piece) => side(b) - side(a) || area(b) - area(a),
  (a: Piece, b: Piece) => area(b) - area(a),
  (a: Piece, b: Piece) => Math.min(b.width, b.depth) - Math.min(a.width, a.depth) || side(b) - side(a),
];

function packed(
  pieces: readonly Piece[],
  [w, d]: PlatesInput['bedMm'],
  spacing: number,
  logic: PACKING_LOGIC,
): PlateItem[][] {
  const packer = new MaxRectsPacker(w + spacing, d + spacing, 0, {
    smart: false,
    pot: false,
    square: false,
    allowRotation: true,
    border: 0,
    logic,
  });
  for (const { id, width, depth, mayTurn } of pieces) {
    const lies = fits(width, depth, [w, d]);
    packer.add((lies ? width : depth) + spacing, (lies ? depth : width) + spacing, {
      id,
      lies,
      allowRotation: mayTurn,
    });
  }
  return packer.bins.map(({ rects }) =>
    rects.map(({ data, x, y, rot }) => ({
      id: data.id as string,
      xMm: x,
      yMm: y,
      turned: rot === data.lies,
    })),
  );
}

/** First shelf that is deep enough and has room, the deepest parts first, as they are given. */
function byShelves(pieces: readonly Piece[], [w, d]: PlatesInput['bedMm'], spacing: number): PlateItem[][] {
  const plates: { shelves: { y: number; depth: number; next: number }[]; items: PlateItem[] }[] = [];
  const laid = pieces.map((piece) =>
    fits(piece.width, piece.depth, [w, d])
      ? { ...piece, turned: false }
      : { ...piece, width: piece.depth, depth: piece.width, turned: true },
  );
  for (const { id, width, depth, turned } of laid.sort((a, b) => b.depth - a.depth)) {
    const place = (plate: (typeof plates)[number]): boolean => {
      const shelf = plate.shelves.find((one) => one.depth >= depth && one.next + width <= w + ROUNDING_MM);
      const last = plate.shelves.at(-1);
      const top = last ? last.y + last.depth + spacing : 0;
      if (!shelf && top + depth > d + ROUNDING_MM) return false;
      const own = shelf ?? { y: top, depth, next: 0 };
      if (!shelf) plate.shelves.push(own);
      plate.items.push({ id, xMm: own.next, yMm: own.y, turned });
      own.next += width + spacing;
      return true;
    };
    if (plates.some(place)) continue;
    const fresh = { shelves: [], items: [] };
    plates.push(fresh);
    place(fresh);
  }
  return plates.map(({ items }) => items);
}
