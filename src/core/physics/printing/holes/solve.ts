import { refusal } from '../../../base/errors';
import { normalFrom } from '../../../base/numeric/random';
import {
  type Hole,
  type HolesInput,
  type HolesResult,
  type Link,
  type Reading,
  type Residual,
  type Suspect,
  USUAL_PLUS_MINUS_MM,
} from './definition';
import { plateFiles } from './files';
import { chiSquareOf, covarianceOf, freeOf, nearestFit, type Places, slopesOf } from './fit';
import { rigidityOf } from './rigidity';
import { anchored, scaled } from './start';
import { type Finding, finding } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'note.holes.mirror': Record<never, never>;
    'note.holes.loose': Record<never, never>;
    'note.holes.others': { others: number };
    'note.holes.oneWrong': Record<never, never>;
  }
}

declare module '../../../base/errors' {
  interface RefusalFacts {
    'holes.origin': Record<never, never>;
    'holes.twice': { id: string };
    'holes.unknown': { id: string };
    'holes.same': Record<never, never>;
    'holes.reading': Record<never, never>;
  }
}

const SCATTERINGS = 60;
/** Of the longest distance: how far the starts are strewn. */
const SPREADS = [0.05, 0.2, 0.6] as const;
/** A hole off the axis by this share of the longest distance may say which side is up. */
const OFF_AXIS = 0.05;
/** Other shapes are those whose squares are larger by no more than this, three standard deviations. */
const WITHIN = 9;
const SAME_SHAPE_MM = 1e-3;
const [SUSPICIOUS, TIED, LEVERAGE_ONE] = [3, 1e-6, 1 - 1e-9];

/**
 * Where the holes of a pattern lie, from caliper readings between them.
 *
 * @returns mm; errors of one standard deviation with the anchors held
 * @throws CalcError at `holes.N.id` for an id twice, at `readings.N.to` for a reading of a hole with itself,
 * at `readings.N.valueMm` where the centres would meet
 * @see Ghilani, Adjustment Computations, ch. 14, 15 and 21 (trilateration, blunders by standardised residuals); Laman 1970 (rigidity in the plane)
 */
export function holesSolve({ holes, readings, anchors, files, seed = 1 }: HolesInput): HolesResult {
  const numberOf = numbered(holes);
  const links = linksOf(holes, readings, numberOf);
  const origin = anchors ? known(numberOf, anchors.origin, 'anchors.origin') : 0;
  const axis = anchors ? known(numberOf, anchors.axis, 'anchors.axis') : 1;
  if (origin === axis) throw refusal('anchors.axis', 'holes.origin');
  const named = anchors?.above === undefined ? undefined : known(numberOf, anchors.above, 'anchors.above');
  const { best, others } = allShapes(holes.length, links, origin, axis, seed);
  const above = named ?? firstOff(best, origin, axis);
  const places = anchored(best, origin, axis, above);
  const free = freeOf(holes.length, origin, axis);
  const { rigid, loose } = rigidityOf(holes.length, links, origin, axis, seed);
  const chiSquare = chiSquareOf(links, places);
  const covariance = rigid ? covarianceOf(links, places, free) : undefined;
  const residuals = readings.map((reading, index) => residualOf(reading, links[index]!, holes, places));
  const doubted = covariance
    ? suspects(readings, links, places, free, covariance, chiSquare)
    : { suspect: [], notes: [] };
  const centresMm = holes.map(({ id }, at) => ({
    id,
    xMm: places[2 * at]! + 0,
    yMm: places[2 * at + 1]! + 0,
  }));
  return {
    centresMm,
    ...(covariance ? { standardErrorMm: errorsOf(holes, free, covariance) } : {}),
    residuals,
    suspect: doubted.suspect,
    chiSquare,
    rigid,
    ...(rigid ? {} : { looseHoles: loose.map((at) => holes[at]!.id) }),
    otherShapes: others,
    ...(files && files.length > 0 ? { files: plateFiles(holes, centresMm, files) } : {}),
    notes: [
      finding('note.holes.mirror', {}),
      ...doubted.notes,
      ...(rigid ? [] : [finding('note.holes.loose', {})]),
      ...(others > 0 ? [finding('note.holes.others', { others })] : []),
    ],
  };
}

/** The readings as distances of centres. */
export const linksOf = (
  holes: readonly Hole[],
  readings: readonly Reading[],
  numbers = numbered(holes),
): Link[] => readings.map((reading, index) => linkOf(reading, index, holes, numbers));

function numbered(holes: readonly Hole[]): ReadonlyMap<string, number> {
  const numbers = new Map<string, number>();
  holes.forEach(({ id }, index) => {
    if (numbers.has(id)) throw refusal(`holes.${index}.id`, 'holes.twice', { id });
    numbers.set(id, index);
  });
  return numbers;
}

function known(numbers: ReadonlyMap<string, number>, id: string, path: string): number {
  const found = numbers.get(id);
  if (found === undefined) throw refusal(path, 'holes.unknown', { id });
  return found;
}

/** What the caliper adds to or takes off the distance of the centres. */
const edgesOf = (kind: Reading['kind'], a: number, b: number): number =>
  kind === 'outside' ? (a + b) / 2 : kind === 'inside' ? -(a + b) / 2 : 0;

function linkOf(
  { from, to, kind, valueMm, plusMinusMm = USUAL_PLUS_MINUS_MM }: Reading,
  index: number,
  holes: readonly Hole[],
  numbers: ReadonlyMap<string, number>,
): Link {
  const [i, j] = [known(numbers, from, `readings.${index}.from`), known(numbers, to, `readings.${index}.to`)];
  if (i === j) throw refusal(`readings.${index}.to`, 'holes.same');
  const mm = valueMm - edgesOf(kind, holes[i]!.diameterMm, holes[j]!.diameterMm);
  if (!(mm > 0)) throw refusal(`readings.${index}.valueMm`, 'holes.reading');
  return { i, j, mm, sigma: plusMinusMm };
}

/** The lowest minimum from many starts, and how many others are about as good. */
function allShapes(
  count: number,
  links: readonly Link[],
  origin: number,
  axis: number,
  seed: number,
): { best: Places; others: number } {
  const sorted = [...links].sort(
    (a, b) =>
      Math.min(a.i, a.j) - Math.min(b.i, b.j) ||
      Math.max(a.i, a.j) - Math.max(b.i, b.j) ||
      a.mm - b.mm ||
      a.sigma - b.sigma,
  );
  const free = freeOf(count, origin, axis);
  const first = anchored(scaled(count, sorted), origin, axis, undefined);
  const longest = Math.max(...sorted.map(({ mm }) => mm), 1e-9);
  const normal = normalFrom(seed);
  const starts = [
    first,
    ...Array.from({ length: SCATTERINGS }, (_, at) =>
      anchored(
        first.map((one) => one + SPREADS[at % SPREADS.length]! * longest * normal()),
        origin,
        axis,
        undefined,
      ),
    ),
  ];
  const found = starts
    .map((start) => nearestFit(sorted, start, free))
    .sort((a, b) => a.chiSquare - b.chiSquare);
  const best = found[0]!;
  const shapes: Places[] = [best.places];
  for (const { places, chiSquare } of found)
    if (chiSquare <= best.chiSquare + WITHIN && !shapes.some((one) => sameShape(one, places)))
      shapes.push(places);
  return { best: best.places, others: shapes.length - 1 };
}

function sameShape(a: Places, b: Places): boolean {
  for (let i = 0; i < a.length; i += 2)
    for (let j = 0; j < i; j += 2)
      if (
        Math.abs(
          Math.hypot(a[i]! - a[j]!, a[i + 1]! - a[j + 1]!) - Math.hypot(b[i]! - b[j]!, b[i + 1]! - b[j + 1]!),
        ) > SAME_SHAPE_MM
      )
        return false;
  return true;
}

function firstOff(p: Places, origin: number, axis: number): number | undefined {
  const flat = anchored(p, origin, axis, undefined);
  let longest = 0;
  for (let i = 0; i < flat.length; i += 2)
    for (let j = 0; j < i; j += 2)
      longest = Math.max(longest, Math.hypot(flat[i]! - flat[j]!, flat[i + 1]! - flat[j + 1]!));
  for (let at = 0; at < flat.length / 2; at++)
    if (Math.abs(flat[2 * at + 1]!) > OFF_AXIS * longest) return at;
  return undefined;
}

function errorsOf(
  holes: readonly Hole[],
  free: readonly number[],
  covariance: Float64Array,
): HolesResult['standardErrorMm'] {
  const errors = new Float64Array(2 * holes.length);
  free.forEach((at, index) => {
    errors[at] = Math.sqrt(covariance[index * free.length + index]!);
  });
  return holes.map(({ id }, at) => ({ id, xMm: errors[2 * at]!, yMm: errors[2 * at + 1]! }));
}

function residualOf(
  { from, to, kind, valueMm }: Reading,
  { i, j, mm, sigma }: Link,
  holes: readonly Hole[],
  p: Places,
): Residual {
  const distance = Math.hypot(p[2 * i]! - p[2 * j]!, p[2 * i + 1]! - p[2 * j + 1]!);
  return {
    from,
    to,
    readMm: valueMm,
    fitMm: distance + edgesOf(kind, holes[i]!.diameterMm, holes[j]!.diameterMm),
    offBySigma: (mm - distance) / sigma,
  };
}

/** Readings that the others speak against; where one cannot be told from another, that some reading is wrong. */
function suspects(
  readings: readonly Reading[],
  links: readonly Link[],
  places: Places,
  free: readonly number[],
  covariance: Float64Array,
  chiSquare: number,
): { suspect: Suspect[]; notes: Finding[] } {
  const n = free.length;
  const j = slopesOf(links, places, free);
  const standardised = links.map(({ i, j: k, mm, sigma }, row) => {
    let leverage = 0;
    for (let p = 0; p < n; p++)
      for (let q = 0; q < n; q++) leverage += j[row * n + p]! * covariance[p * n + q]! * j[row * n + q]!;
    const off =
      Math.abs(Math.hypot(places[2 * i]! - places[2 * k]!, places[2 * i + 1]! - places[2 * k + 1]!) - mm) /
      sigma;
    return leverage > LEVERAGE_ONE ? 0 : off / Math.sqrt(1 - leverage);
  });
  const bad = standardised
    .map((value, index) => ({ value, index }))
    .filter(({ value }) => value > SUSPICIOUS)
    .sort((a, b) => b.value - a.value);
  if (bad.length === 0) return { suspect: [], notes: [] };
  const tied = bad.length > 1 && bad[0]!.value - bad[1]!.value <= TIED * bad[0]!.value;
  if (links.length - n === 1 || tied)
    return {
      suspect: [],
      notes: [finding('note.holes.oneWrong', {})],
    };
  const suspect = bad.map(({ value, index }) => {
    const without = links.filter((_, at) => at !== index);
    return {
      from: readings[index]!.from,
      to: readings[index]!.to,
      standardised: value,
      chiSquareWithout: Math.min(chiSquare, nearestFit(without, places, free).chiSquare),
    };
  });
  return { suspect, notes: [] };
}
