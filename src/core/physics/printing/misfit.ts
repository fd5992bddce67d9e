/** Width and depth, mm. */
export type BedMm = readonly [number, number];

export interface PlatePart {
  id: string;
  sizeMm: readonly [width: number, depth: number, height: number];
  /** Number of pieces. */
  quantity?: number;
  mayTurn?: boolean;
}

export const MISFITS = ['tooTall', 'mayNotTurn', 'tooLarge'] as const;

export interface Misfit {
  id: string;
  reason: (typeof MISFITS)[number];
  diagonalFits: boolean;
  /** Least number of pieces that would fit. */
  splitPieces: number;
}

/** Room for rounding, mm. */
export const ROUNDING_MM = 1e-9;

export const fits = (width: number, depth: number, [w, d]: BedMm) =>
  width <= w + ROUNDING_MM && depth <= d + ROUNDING_MM;

/** Why a part fits no bed, or nothing where it does. */
export function misfitOf(
  { id, sizeMm: [width, depth, height], mayTurn = true }: PlatePart,
  bed: BedMm,
  heightMm: number,
): Misfit | undefined {
  const [asIs, turned] = [fits(width, depth, bed), fits(depth, width, bed)];
  const tall = height > heightMm + ROUNDING_MM;
  if (!tall && (asIs || (turned && mayTurn))) return undefined;
  const reason = tall ? 'tooTall' : turned ? 'mayNotTurn' : 'tooLarge';
  const pieces = (w: number, d: number) =>
    Math.ceil(w / bed[0] - ROUNDING_MM) *
    Math.ceil(d / bed[1] - ROUNDING_MM) *
    Math.ceil(height / heightMm - ROUNDING_MM);
  return {
    id,
    reason,
    diagonalFits: reason === 'tooLarge' && mayTurn && diagonalFits(width, depth, bed),
    splitPieces: Math.min(pieces(width, depth), ...(mayTurn ? [pieces(depth, width)] : [])),
  };
}

/** Whether a part that is longer than a bed lies on it aslant. Source: Carver 1957, a rectangle in a rectangle. */
function diagonalFits(width: number, depth: number, bed: BedMm): boolean {
  const [p, q] = [Math.max(width, depth), Math.min(width, depth)];
  const [a, b] = [Math.max(...bed), Math.min(...bed)];
  const under = p * p + q * q - a * a;
  if (p <= a || under < 0) return false;
  return b >= (2 * p * q * a + (p * p - q * q) * Math.sqrt(under)) / (p * p + q * q);
}
