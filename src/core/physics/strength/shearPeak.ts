import { type Section, sectionProperties } from './section';

/** A softer middle of a section, in the middle of what surrounds it, and its stiffness over that of the rest. */
export interface SoftCore {
  section: Section;
  share: number;
}

type Span = readonly [from: number, to: number];
/** A rectangle or disc that counts with a weight: a core takes away what it is softer by. */
interface Weighed<T> {
  weight: number;
  of: T;
}
type Box = Readonly<Record<'x' | 'y', Span>>;

const RECTANGLE_PEAK = 1.5;
/** Beside a step of the width, in shares of the height. */
const BESIDE = 1e-9;

/**
 * The largest shear stress of a bar for each newton across it, in the stiffest plastic of the section.
 *
 * @param along axis of the force
 * @returns 1/mm²; of a polygon 1.5 over its area, as of a rectangle
 * @see Gere, Mechanics of Materials, ch. 5 (V·Q over I·b, Zhuravsky) and 6 (transformed section)
 */
export function shearPeak(section: Section, along: 'x' | 'y', core?: SoftCore): number {
  const discs = discsOf(section);
  if (discs) return peakOfDiscs(withCore(discs, core && discsOf(core.section), core));
  const boxes = boxesOf(section);
  if (!boxes) return RECTANGLE_PEAK / sectionProperties({ section }).areaMm2;
  const softer = core && boxesOf(core.section);
  const centred =
    softer &&
    moved(softer, middleOf(boxes, 'x') - middleOf(softer, 'x'), middleOf(boxes, 'y') - middleOf(softer, 'y'));
  return peakOfBoxes(withCore(boxes, centred, core), along, along === 'x' ? 'y' : 'x');
}

const withCore = <T>(
  whole: readonly Weighed<T>[],
  softer: readonly Weighed<T>[] | undefined,
  core: SoftCore | undefined,
): Weighed<T>[] => [
  ...whole,
  ...(softer ?? []).map(({ weight, of }) => ({ weight: weight * (core!.share - 1), of })),
];

/** Radii, the hole taken away; nothing of what is not round. */
function discsOf(section: Section): Weighed<number>[] | undefined {
  if (section.shape === 'round') return [{ weight: 1, of: section.diameterMm / 2 }];
  return section.shape === 'tube'
    ? [
        { weight: 1, of: section.diameterMm / 2 },
        { weight: -1, of: section.boreMm / 2 },
      ]
    : undefined;
}

/** Where round things are sheared the hardest is their middle. */
function peakOfDiscs(discs: readonly Weighed<number>[]): number {
  const sum = (of: (radius: number) => number) =>
    discs.reduce((all, { weight, of: radius }) => all + weight * of(radius), 0);
  return sum((r) => (2 / 3) * r ** 3) / (sum((r) => (Math.PI / 4) * r ** 4) * sum((r) => 2 * r));
}

const one = (x: Span, y: Span, weight = 1): Weighed<Box> => ({ weight, of: { x, y } });

function boxesOf(section: Section): Weighed<Box>[] | undefined {
  switch (section.shape) {
    case 'rectangle':
      return [one([0, section.widthMm], [0, section.heightMm])];
    case 'box': {
      const { widthMm: w, heightMm: h, wallMm: t } = section;
      return [one([0, w], [0, h]), one([t, w - t], [t, h - t], -1)];
    }
    case 'channel':
    case 'iBeam':
    case 'tee': {
      const { shape, widthMm: w, heightMm: h, webMm, flangeMm: f } = section;
      const from = shape === 'channel' ? 0 : (w - webMm) / 2;
      const web: Span = [from, from + webMm];
      return shape === 'tee'
        ? [one([0, w], [h - f, h]), one(web, [0, h - f])]
        : [one([0, w], [0, f]), one([0, w], [h - f, h]), one(web, [f, h - f])];
    }
    default:
      return undefined;
  }
}

const ends = (boxes: readonly Weighed<Box>[], axis: 'x' | 'y'): Span => [
  Math.min(...boxes.map(({ of }) => of[axis][0])),
  Math.max(...boxes.map(({ of }) => of[axis][1])),
];

function middleOf(boxes: readonly Weighed<Box>[], axis: 'x' | 'y'): number {
  const [from, to] = ends(boxes, axis);
  return (from + to) / 2;
}

const moved = (boxes: readonly Weighed<Box>[], dx: number, dy: number): Weighed<Box>[] =>
  boxes.map(({ weight, of: { x, y } }) => one([x[0] + dx, x[1] + dx], [y[0] + dy, y[1] + dy], weight));

function peakOfBoxes(boxes: readonly Weighed<Box>[], along: 'x' | 'y', across: 'x' | 'y'): number {
  const long = ([from, to]: Span) => to - from;
  const areas = boxes.map(({ weight, of }) => weight * long(of.x) * long(of.y));
  const area = areas.reduce((sum, one) => sum + one, 0);
  const neutral =
    boxes.reduce((sum, { of }, k) => sum + (areas[k]! * (of[along][0] + of[along][1])) / 2, 0) / area;
  const inertia = boxes.reduce((sum, { of }, k) => {
    const off = (of[along][0] + of[along][1]) / 2 - neutral;
    return sum + areas[k]! * (long(of[along]) ** 2 / 12 + off ** 2);
  }, 0);
  const stressAt = (level: number): number => {
    let [width, moment] = [0, 0];
    for (const { weight, of } of boxes) {
      const [from, to] = of[along];
      const wide = weight * long(of[across]);
      if (level > from && level < to) width += wide;
      const low = Math.max(from, level);
      if (low < to) moment += wide * (to - low) * ((to + low) / 2 - neutral);
    }
    return width > 0 ? moment / (inertia * width) : 0;
  };
  const [low, high] = ends(boxes, along);
  const beside = BESIDE * (high - low);
  const levels = [
    neutral,
    ...boxes.flatMap(({ of }) => of[along].flatMap((edge) => [edge - beside, edge + beside])),
  ].filter((level) => level > low && level < high);
  return Math.max(...levels.map(stressAt));
}
