export interface Point {
  x: number;
  y: number;
}

export interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

export type Anchor = 'start' | 'middle' | 'end';

/** A place where a label could stand: the end, middle or start of its base line. */
export interface Spot extends Point {
  anchor: Anchor;
}

export interface LabelWish {
  key: string;
  text: string;
  strong?: boolean;
  ink?: string;
  /** Where it could stand, best first. */
  spots: readonly Spot[];
}

export interface PlacedLabel extends Spot {
  key: string;
  text: string;
  strong: boolean;
  ink?: string;
}

/** Widths of a letter and heights over and under the base line, px. */
const LETTER = { strong: 7, plain: 6.1 } as const;
const [RISES, FALLS, GAP] = [10, 3, 2] as const;
/** What a place costs: each step down its list, each covered point of a curve, a covered label, being cut. */
const COST = { step: 1, curve: 12, label: 500, cut: 2000 } as const;
const EVERY_PX = 4;
/** Of a curve that leaves the picture far behind. */
const MOST_STEPS = 2000;

export function boxOf(text: string, strong: boolean, { x, y, anchor }: Spot): Box {
  const width = text.length * (strong ? LETTER.strong : LETTER.plain);
  const left = anchor === 'start' ? x : anchor === 'end' ? x - width : x - width / 2;
  return { left, right: left + width, top: y - RISES, bottom: y + FALLS };
}

const meets = (one: Box, other: Box): boolean =>
  one.left < other.right + GAP &&
  other.left < one.right + GAP &&
  one.top < other.bottom + GAP &&
  other.top < one.bottom + GAP;

/** Points along all curves, close enough that none passes a label unseen; what is off the frame is left out. */
function along(curves: readonly (readonly Point[])[], frame: Box): { xs: number[]; ys: number[] } {
  const [xs, ys]: [number[], number[]] = [[], []];
  for (const curve of curves) {
    let [lastX, lastY] = [Infinity, Infinity];
    for (let i = 1; i < curve.length; i++) {
      const [from, to] = [curve[i - 1]!, curve[i]!];
      if (Math.max(from.y, to.y) < frame.top || Math.min(from.y, to.y) > frame.bottom) continue;
      const steps = Math.ceil((Math.abs(to.x - from.x) + Math.abs(to.y - from.y)) / EVERY_PX) || 1;
      for (let step = 0; step < Math.min(steps, MOST_STEPS); step++) {
        const x = from.x + ((to.x - from.x) * step) / steps;
        const y = from.y + ((to.y - from.y) * step) / steps;
        if (y < frame.top || y > frame.bottom || Math.abs(lastX - x) + Math.abs(lastY - y) < EVERY_PX)
          continue;
        [lastX, lastY] = [x, y];
        xs.push(x);
        ys.push(y);
      }
    }
  }
  return { xs, ys };
}

/**
 * Places for the labels of a chart, so that none lies on a curve, on another label or over the edge while there
 * is a place where it does not; labels are placed in their order.
 *
 * @param curves polylines that are drawn, px
 * @param frame inside of which labels stay, px
 * @param taken boxes that are covered already, px
 */
export function placeLabels(
  wishes: readonly LabelWish[],
  curves: readonly (readonly Point[])[],
  frame: Box,
  taken: readonly Box[] = [],
): PlacedLabel[] {
  const { xs, ys } = along(curves, frame);
  const boxes = [...taken];
  return wishes.flatMap(({ key, text, strong = false, ink, spots }) => {
    let best: { spot: Spot; box: Box; cost: number } | undefined;
    for (const [step, spot] of spots.entries()) {
      const box = boxOf(text, strong, spot);
      let cost = step * COST.step;
      if (best && cost >= best.cost) break;
      if (
        box.left < frame.left ||
        box.right > frame.right ||
        box.top < frame.top ||
        box.bottom > frame.bottom
      )
        cost += COST.cut;
      for (const other of boxes) if (meets(box, other)) cost += COST.label;
      for (let i = 0; i < xs.length && (!best || cost < best.cost); i++) {
        const [x, y] = [xs[i]!, ys[i]!];
        if (x > box.left - GAP && x < box.right + GAP && y > box.top - GAP && y < box.bottom + GAP)
          cost += COST.curve;
      }
      if (!best || cost < best.cost) best = { spot, box, cost };
    }
    if (!best) return [];
    boxes.push(best.box);
    return [{ key, text, strong, ...best.spot, ...(ink === undefined ? {} : { ink }) }];
  });
}

const [OVER, UNDER, BESIDE] = [7, 15, 8] as const;

/** Round a point: over it and under it, to the right and to the left. */
export const aroundPoint = ({ x, y }: Point): Spot[] => [
  { x: x + BESIDE + 1, y: y - 10, anchor: 'start' },
  { x: x - BESIDE - 1, y: y - 10, anchor: 'end' },
  { x: x + BESIDE + 1, y: y + 20, anchor: 'start' },
  { x: x - BESIDE - 1, y: y + 20, anchor: 'end' },
  { x, y: y - 14, anchor: 'middle' },
  { x, y: y + 24, anchor: 'middle' },
];

const PLACES = 20;

/** Along a curve, over it, under it and beside it, nearest to a share of its length first. */
export function alongCurve(curve: readonly Point[], share: number): Spot[] {
  const shares = Array.from({ length: PLACES + 1 }, (_, at) => at / PLACES).sort(
    (one, other) => Math.abs(one - share) - Math.abs(other - share),
  );
  return shares.flatMap((one): Spot[] => {
    const { x, y } = curve[Math.round(one * (curve.length - 1))]!;
    return [
      { x, y: y - OVER, anchor: 'start' },
      { x, y: y + UNDER, anchor: 'start' },
      { x, y: y - OVER, anchor: 'end' },
      { x, y: y + UNDER, anchor: 'end' },
      { x: x + BESIDE, y: y + 4, anchor: 'start' },
      { x: x - BESIDE, y: y + 4, anchor: 'end' },
    ];
  });
}
