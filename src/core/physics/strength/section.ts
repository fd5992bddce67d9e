import { refusal } from '../../base/errors';

declare module '../../base/errors' {
  interface RefusalFacts {
    'section.noWall': Record<never, never>;
    'section.noHollow': Record<never, never>;
    'section.webTooWide': Record<never, never>;
    'section.noWeb': Record<never, never>;
    'section.crosses': Record<never, never>;
    'section.holeCrosses': Record<never, never>;
    'section.noArea': Record<never, never>;
  }
}

export type Point2 = readonly [x: number, y: number];

export type Section =
  | { shape: 'rectangle'; widthMm: number; heightMm: number }
  | { shape: 'round'; diameterMm: number }
  | { shape: 'tube'; diameterMm: number; boreMm: number }
  | { shape: 'box'; widthMm: number; heightMm: number; wallMm: number }
  | { shape: 'channel' | 'iBeam' | 'tee'; widthMm: number; heightMm: number; webMm: number; flangeMm: number }
  | { shape: 'polygon'; outerMm: readonly Point2[]; holesMm?: readonly (readonly Point2[])[] };

export interface SectionProperties {
  areaMm2: number;
  centroidMm: Point2;
  ixMm4: number;
  iyMm4: number;
  /** ∫xy dA about the centroid. */
  ixyMm4: number;
  i1Mm4: number;
  i2Mm4: number;
  /** Of the axis of the larger one, counter-clockwise from x. */
  angleDeg: number;
  sTopMm3: number;
  sBottomMm3: number;
  sLeftMm3: number;
  sRightMm3: number;
  /** Of torsion, where a formula exists. */
  jMm4?: number;
}

const TORSION_TERMS = 60;
const DEG = 180 / Math.PI;

/**
 * Area, centroid, second moments and section moduli of a cross-section.
 *
 * @returns mm², mm³ and mm⁴; the centroid from the lower left corner of the bounding box (round and tube: their centre;
 * polygon: its own axes)
 * @throws CalcError at walls that leave no room, at `section.outerMm` and `section.holesMm` of a polygon that crosses itself
 * @see Pilkey, Analysis and Design of Elastic Beams, ch. 1; Timoshenko and Goodier, Theory of Elasticity, ch. 10 (torsion)
 */
export function sectionProperties({ section }: { section: Section }): SectionProperties {
  switch (section.shape) {
    case 'round':
      return ring(section.diameterMm, 0);
    case 'tube':
      if (section.boreMm >= section.diameterMm) throw refusal('section.diameterMm', 'section.noWall');
      return ring(section.diameterMm, section.boreMm);
    case 'polygon':
      return ofPolygon(section.outerMm, section.holesMm ?? []);
    case 'rectangle':
      return {
        ...ofLoops([rectangle(0, 0, section.widthMm, section.heightMm)]),
        jMm4: rectangleTorsion(section.widthMm, section.heightMm),
      };
    case 'box':
      return ofBox(section);
    default:
      return ofLoops([profile(section)]);
  }
}

function ring(outer: number, bore: number): SectionProperties {
  const areaMm2 = (Math.PI / 4) * (outer ** 2 - bore ** 2);
  const i = (Math.PI / 64) * (outer ** 4 - bore ** 4);
  const s = i / (outer / 2);
  return {
    areaMm2,
    centroidMm: [0, 0],
    ixMm4: i,
    iyMm4: i,
    ixyMm4: 0,
    i1Mm4: i,
    i2Mm4: i,
    angleDeg: 0,
    sTopMm3: s,
    sBottomMm3: s,
    sLeftMm3: s,
    sRightMm3: s,
    jMm4: 2 * i,
  };
}

const rectangle = (x: number, y: number, w: number, h: number): Point2[] => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
];

function ofBox({
  widthMm: w,
  heightMm: h,
  wallMm: t,
}: Extract<Section, { shape: 'box' }>): SectionProperties {
  if (2 * t >= Math.min(w, h)) throw refusal('section.wallMm', 'section.noHollow');
  // Bredt: 4·A²·t over the length of the wall's middle line
  const [mw, mh] = [w - t, h - t];
  return {
    ...ofLoops([rectangle(0, 0, w, h), [...rectangle(t, t, w - 2 * t, h - 2 * t)].reverse()]),
    jMm4: (2 * t * (mw * mh) ** 2) / (mw + mh),
  };
}

/** Torsion of a solid rectangle by its series. */
export function rectangleTorsion(w: number, h: number): number {
  const [a, b] = [Math.max(w, h), Math.min(w, h)];
  let sum = 0;
  for (let n = 1; n < 2 * TORSION_TERMS; n += 2) sum += Math.tanh((n * Math.PI * a) / (2 * b)) / n ** 5;
  return ((a * b ** 3) / 3) * (1 - ((192 * b) / (Math.PI ** 5 * a)) * sum);
}

function profile({
  shape,
  widthMm: w,
  heightMm: h,
  webMm: web,
  flangeMm: f,
}: Extract<Section, { shape: 'channel' | 'iBeam' | 'tee' }>): Point2[] {
  if (web > w) throw refusal('section.webMm', 'section.webTooWide');
  if ((shape === 'tee' ? f : 2 * f) >= h) throw refusal('section.flangeMm', 'section.noWeb');
  if (shape === 'channel')
    return [
      [0, 0],
      [w, 0],
      [w, f],
      [web, f],
      [web, h - f],
      [w, h - f],
      [w, h],
      [0, h],
    ];
  const [left, right] = [(w - web) / 2, (w + web) / 2];
  if (shape === 'tee')
    return [
      [left, 0],
      [right, 0],
      [right, h - f],
      [w, h - f],
      [w, h],
      [0, h],
      [0, h - f],
      [left, h - f],
    ];
  return [
    [0, 0],
    [w, 0],
    [w, f],
    [right, f],
    [right, h - f],
    [w, h - f],
    [w, h],
    [0, h],
    [0, h - f],
    [left, h - f],
    [left, f],
    [0, f],
  ];
}

function ofPolygon(outer: readonly Point2[], holes: readonly (readonly Point2[])[]): SectionProperties {
  if (crosses(outer)) throw refusal('section.outerMm', 'section.crosses');
  const bad = holes.findIndex(crosses);
  if (bad >= 0) throw refusal(`section.holesMm.${bad}`, 'section.holeCrosses');
  const turned = (loop: readonly Point2[], sense: 1 | -1) =>
    Math.sign(areaOf(loop)) === sense ? loop : [...loop].reverse();
  const whole = ofLoops([turned(outer, 1), ...holes.map((hole) => turned(hole, -1))]);
  if (whole.areaMm2 <= 0) throw refusal('section.outerMm', 'section.noArea');
  return whole;
}

const areaOf = (loop: readonly Point2[]) =>
  loop.reduce(
    (sum, [x, y], i) => sum + x * loop[(i + 1) % loop.length]![1] - loop[(i + 1) % loop.length]![0] * y,
    0,
  ) / 2;

/** Whether two edges that are no neighbours meet. */
function crosses(loop: readonly Point2[]): boolean {
  const n = loop.length;
  const side = (a: Point2, b: Point2, c: Point2) =>
    Math.sign((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]));
  for (let i = 0; i < n; i++) {
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue;
      const [a, b, c, d] = [loop[i]!, loop[(i + 1) % n]!, loop[j]!, loop[(j + 1) % n]!];
      if (
        side(a, b, c) !== side(a, b, d) &&
        side(c, d, a) !== side(c, d, b) &&
        (side(a, b, c) !== 0 || side(a, b, d) !== 0)
      )
        return true;
    }
  }
  return false;
}

/** Loops counter-clockwise, holes clockwise; exact by Green's theorem. */
export function ofLoops(loops: readonly (readonly Point2[])[]): SectionProperties {
  let [area, sx, sy, ixx, iyy, ixy] = [0, 0, 0, 0, 0, 0];
  const [ox, oy] = loops[0]![0]!;
  for (const loop of loops) {
    for (let i = 0; i < loop.length; i++) {
      const [x0, y0] = [loop[i]![0] - ox, loop[i]![1] - oy];
      const next = loop[(i + 1) % loop.length]!;
      const [x1, y1] = [next[0] - ox, next[1] - oy];
      const c = x0 * y1 - x1 * y0;
      area += c / 2;
      sx += (c * (x0 + x1)) / 6;
      sy += (c * (y0 + y1)) / 6;
      ixx += (c * (y0 * y0 + y0 * y1 + y1 * y1)) / 12;
      iyy += (c * (x0 * x0 + x0 * x1 + x1 * x1)) / 12;
      ixy += (c * (x0 * y1 + 2 * x0 * y0 + 2 * x1 * y1 + x1 * y0)) / 24;
    }
  }
  const [cx, cy] = [sx / area, sy / area];
  return bounded(loops.flat(), {
    area,
    cx: cx + ox,
    cy: cy + oy,
    ix: ixx - area * cy * cy,
    iy: iyy - area * cx * cx,
    ixy: ixy - area * cx * cy,
  });
}

function bounded(
  points: readonly Point2[],
  {
    area,
    cx,
    cy,
    ix,
    iy,
    ixy,
  }: { area: number; cx: number; cy: number; ix: number; iy: number; ixy: number },
): SectionProperties {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const half = (ix - iy) / 2;
  const root = Math.hypot(half, ixy);
  const mean = (ix + iy) / 2;
  const round = root < 1e-12 * mean;
  return {
    areaMm2: area,
    centroidMm: [cx, cy],
    ixMm4: ix,
    iyMm4: iy,
    ixyMm4: ixy,
    i1Mm4: mean + root,
    i2Mm4: mean - root,
    angleDeg: round ? 0 : principalAngle(half, ixy),
    sTopMm3: ix / (Math.max(...ys) - cy),
    sBottomMm3: ix / (cy - Math.min(...ys)),
    sLeftMm3: iy / (cx - Math.min(...xs)),
    sRightMm3: iy / (Math.max(...xs) - cx),
  };
}

/** I about an axis at φ is mean + half·cos 2φ − ixy·sin 2φ; φ of its largest, in (−90, 90]. */
function principalAngle(half: number, ixy: number): number {
  const angle = (Math.atan2(-ixy, half) / 2) * DEG;
  return angle <= -90 + 1e-12 ? angle + 180 : angle;
}
