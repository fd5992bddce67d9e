import { refusal } from '../../base/errors';
import { allowableMpa } from '../strength/allowable';
import { cross, dot, lengthOf, subtract, unit, type Vec3 } from '../../base/vec3';
import type { Mesh } from '../meshFiles/mesh';
import { readMesh } from '../meshFiles/readMesh';
import { finding } from '../../base/finding';
import { measure } from '../../base/measure';
import type { Axis, SectionSeries, SectionsHow, SectionsInput, SectionsResult } from './sectionsDefinition';

declare module '../../base/errors' {
  interface RefusalFacts {
    'sections.axis': Record<never, never>;
  }
}

export const USUAL_STATIONS = 50;
export const NOT_LOADED = 1e6;
/** Share of the largest section under which a cut counts as none. */
const NO_SECTION = 1e-9;
const SAME_STRESS = 1 - 1e-12;
/** Share of force times length under which torsion is rounding. */
const NO_TORSION = 1e-9;

export const axisOf = (axis: Axis): Vec3 =>
  axis === 'x' ? [1, 0, 0] : axis === 'y' ? [0, 1, 0] : axis === 'z' ? [0, 0, 1] : unit(axis);

/**
 * A part cut across its axis, each cut carrying the load that stands beyond it as a beam does.
 *
 * @returns stresses in MPa, the weakest station; a margin of 1e6 where nothing is carried
 * @throws CalcError at the mesh's field where it is broken, at `axis` where the part has no length along it
 * @see Pilkey, Analysis and Design of Elastic Beams, ch. 1 (unsymmetric bending); Hankinson for the layers
 */
export function meshSections({ mesh, ...how }: SectionsInput): SectionsResult {
  return sectionsOf(readMesh(mesh), how);
}

/** How a mesh is cut; `holdAtMm` is where along the axis it is held, beyond which nothing is carried. */
export function sectionsOf(
  mesh: Mesh,
  {
    axis,
    stations = USUAL_STATIONS,
    load,
    heldEnd,
    holdAtMm,
    material,
    buildDirection = [0, 0, 1],
    fill,
    temperatureC,
  }: SectionsHow,
): SectionsResult {
  const a = axisOf(axis);
  const cuts = cutAlong(mesh, a, stations);
  const loadAt = dot(a, load.atMm);
  const middle = (cuts.low + cuts.high) / 2;
  const held = heldEnd ?? (loadAt < middle ? 'max' : 'min');
  const n: Vec3 = held === 'min' ? a : [-a[0], -a[1], -a[2]];
  const state = {
    ...(fill === undefined ? {} : { fill }),
    ...(temperatureC === undefined ? {} : { temperatureC }),
  };
  const allowable = allowableMpa(
    material,
    Math.acos(Math.min(1, Math.abs(dot(a, unit(buildDirection))))),
    state,
  );
  const series: SectionSeries = {
    atMm: [],
    areaMm2: [],
    centroidMm: [],
    i1Mm4: [],
    i2Mm4: [],
    stressMpa: [],
    shearMpa: [],
    allowableMpa: [],
    margin: [],
  };
  const most = Math.max(...cuts.sections.map(({ area }) => area));
  let [torsion, gaps] = [0, 0];
  for (const cut of cuts.sections) {
    const empty = cut.area <= NO_SECTION * most;
    const free = holdAtMm === undefined || (held === 'min' ? cut.at > holdAtMm : cut.at < holdAtMm);
    const carries = free && (held === 'min' ? cut.at < loadAt : cut.at > loadAt);
    if (empty) gaps++;
    const found =
      empty || !carries ? { stress: 0, shear: 0, torsion: 0 } : stressed(cut, cuts.basis, n, load);
    torsion = Math.max(torsion, found.torsion);
    series.atMm.push(cut.at);
    series.areaMm2.push(empty ? 0 : cut.area);
    series.centroidMm.push(cut.centroid);
    series.i1Mm4.push(cut.mean + cut.root);
    series.i2Mm4.push(Math.max(0, cut.mean - cut.root));
    series.stressMpa.push(found.stress);
    series.shearMpa.push(found.shear);
    series.allowableMpa.push(allowable);
    series.margin.push(
      found.stress === 0 ? NOT_LOADED : Math.min(NOT_LOADED, allowable / Math.abs(found.stress)),
    );
  }
  const margin = Math.min(...series.margin);
  const index = series.margin.indexOf(margin);
  return {
    series,
    weakest: { index, atMm: series.atMm[index]!, margin },
    notes: [
      ...(torsion > NO_TORSION * lengthOf(load.forceN) * (cuts.high - cuts.low)
        ? [finding('note.sections.torsion', { torsion: measure(torsion / 1000, 'torqueNm') })]
        : []),
      ...(gaps > 0 ? [finding('note.sections.gaps', { gaps, stations })] : []),
    ],
  };
}

interface Cut {
  at: number;
  area: number;
  centroid: Vec3;
  /** In the plane's own axes, about the centroid. */
  xx: number;
  yy: number;
  xy: number;
  mean: number;
  root: number;
  centre: readonly [number, number];
  /** Corners of the cut, x and y in turn. */
  points: number[];
}

/** The part cut at evenly spaced stations, every triangle's piece an edge of the section with the inside to its left. */
export function cutAlong(
  { vertices, triangles }: Mesh,
  a: Vec3,
  stations: number,
): { sections: Cut[]; basis: readonly [Vec3, Vec3]; low: number; high: number } {
  const e1 = unit(cross(a, Math.abs(a[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]));
  const e2 = cross(a, e1);
  const count = vertices.length / 3;
  const [s, x, y] = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  let [low, high] = [Infinity, -Infinity];
  for (let at = 0; at < count; at++) {
    const [px, py, pz] = [vertices[3 * at]!, vertices[3 * at + 1]!, vertices[3 * at + 2]!];
    s[at] = px * a[0] + py * a[1] + pz * a[2];
    x[at] = px * e1[0] + py * e1[1] + pz * e1[2];
    y[at] = px * e2[0] + py * e2[1] + pz * e2[2];
    if (s[at]! < low) low = s[at]!;
    if (s[at]! > high) high = s[at]!;
  }
  if (!(high > low)) throw refusal('axis', 'sections.axis');
  const step = (high - low) / stations;
  const edges: number[][] = Array.from({ length: stations }, () => []);
  for (let at = 0; at < triangles.length; at += 3) {
    const corner = [triangles[at]!, triangles[at + 1]!, triangles[at + 2]!] as const;
    const [p, q, r] = [s[corner[0]]!, s[corner[1]]!, s[corner[2]]!];
    const first = Math.max(0, Math.ceil((Math.min(p, q, r) - low) / step - 0.5));
    const last = Math.min(stations - 1, Math.floor((Math.max(p, q, r) - low) / step - 0.5));
    for (let station = first; station <= last; station++)
      edgeOf(corner, s, x, y, low + (station + 0.5) * step, edges[station]!);
  }
  return {
    sections: edges.map((edge, station) => cutOf(edge, low + (station + 0.5) * step, a, e1, e2)),
    basis: [e1, e2],
    low,
    high,
  };
}

/** The piece of a triangle at a height, from where its rim comes up through the plane to where it goes down. */
function edgeOf(
  corner: readonly [number, number, number],
  s: Float64Array,
  x: Float64Array,
  y: Float64Array,
  at: number,
  into: number[],
): void {
  let [fx, fy, tx, ty, found] = [0, 0, 0, 0, 0];
  for (let k = 0; k < 3; k++) {
    const [i, j] = [corner[k]!, corner[(k + 1) % 3]!];
    const [under, over] = [s[i]! < at, s[j]! < at];
    if (under === over) continue;
    const share = (at - s[i]!) / (s[j]! - s[i]!);
    const [px, py] = [x[i]! + share * (x[j]! - x[i]!), y[i]! + share * (y[j]! - y[i]!)];
    found++;
    if (under) {
      tx = px;
      ty = py;
    } else {
      fx = px;
      fy = py;
    }
  }
  if (found === 2) into.push(fx, fy, tx, ty);
}

function cutOf(edges: number[], at: number, a: Vec3, e1: Vec3, e2: Vec3): Cut {
  const [ox, oy] = [edges[0] ?? 0, edges[1] ?? 0];
  let [area, sx, sy, xx, yy, xy] = [0, 0, 0, 0, 0, 0];
  for (let k = 0; k < edges.length; k += 4) {
    const [x0, y0, x1, y1] = [edges[k]! - ox, edges[k + 1]! - oy, edges[k + 2]! - ox, edges[k + 3]! - oy];
    const c = x0 * y1 - x1 * y0;
    area += c / 2;
    sx += (c * (x0 + x1)) / 6;
    sy += (c * (y0 + y1)) / 6;
    xx += (c * (x0 * x0 + x0 * x1 + x1 * x1)) / 12;
    yy += (c * (y0 * y0 + y0 * y1 + y1 * y1)) / 12;
    xy += (c * (x0 * y1 + 2 * x0 * y0 + 2 * x1 * y1 + x1 * y0)) / 24;
  }
  const sign = area < 0 ? -1 : 1;
  const [cx, cy] = area === 0 ? [0, 0] : [sx / area, sy / area];
  const [ix, iy, ixy] = [
    sign * (xx - area * cx * cx),
    sign * (yy - area * cy * cy),
    sign * (xy - area * cx * cy),
  ];
  const centre = [cx + ox, cy + oy] as const;
  const centroid = [0, 1, 2].map(
    (axis) => at * a[axis]! + centre[0] * e1[axis]! + centre[1] * e2[axis]!,
  ) as unknown as Vec3;
  return {
    at,
    area: Math.abs(area),
    centroid,
    xx: ix,
    yy: iy,
    xy: ixy,
    mean: (ix + iy) / 2,
    root: Math.hypot((ix - iy) / 2, ixy),
    centre,
    points: edges,
  };
}

/** Direct stress at the worst fibre and mean shear of a cut that carries what stands beyond it. */
function stressed(
  { area, centroid, xx, yy, xy, centre, points }: Cut,
  [e1, e2]: readonly [Vec3, Vec3],
  n: Vec3,
  { forceN, atMm }: SectionsInput['load'],
): { stress: number; shear: number; torsion: number } {
  const moment = cross(subtract(atMm, centroid), forceN);
  const axial = dot(forceN, n) / area;
  // ∫ r × σn dA = M with σ = αx + βy: for n along e1 × e2 or against it
  const side = Math.sign(dot(cross(e1, e2), n));
  const [m1, m2] = [side * dot(moment, e1), side * dot(moment, e2)];
  const det = xx * yy - xy * xy;
  const [alpha, beta] = det > 0 ? [(-m2 * yy - m1 * xy) / det, (m1 * xx + m2 * xy) / det] : [0, 0];
  let worst = 0;
  for (let k = 0; k < points.length; k += 2) {
    const sigma = axial + alpha * (points[k]! - centre[0]) + beta * (points[k + 1]! - centre[1]);
    if (
      Math.abs(sigma) * SAME_STRESS > Math.abs(worst) ||
      (sigma > 0 && worst < 0 && sigma >= Math.abs(worst) * SAME_STRESS)
    )
      worst = sigma;
  }
  const along = dot(forceN, n);
  return {
    stress: worst,
    shear: Math.sqrt(Math.max(0, dot(forceN, forceN) - along * along)) / area,
    torsion: Math.abs(dot(moment, n)),
  };
}
