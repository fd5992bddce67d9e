import { refusal } from '../../base/errors';
import { add, cross, subtract, type Vec3 } from '../../base/vec3';
import { derate } from '../strength/allowable';
import { bossCheck } from '../strength/boss';
import type { Point2 } from '../strength/section';
import {
  type FastenerShareInput,
  type FastenerShareResult,
  type GroupScrew,
  SCREW_FAILURES,
  type ScrewLost,
  type SharedScrew,
} from './definition';

declare module '../../base/errors' {
  interface RefusalFacts {
    'fastener.twice': { id: string };
    'fastener.same': { other: string };
    'fastener.noWasher': Record<never, never>;
    'fastener.noNut': Record<never, never>;
    'fastener.thread': { known: readonly number[] };
    'fastener.offPlate': { id: string };
    'fastener.tilts': Record<never, never>;
  }
}

const [SAME_MM, NOTHING_N, NOTHING_NMM, ONE_LINE] = [0.01, 1e-9, 1e-6, 1e-9];
const TIE = 1e-9;
/** Coarse pitch by thread, mm. Source: ISO 261. */
const PITCH: Readonly<Record<string, number>> = {
  '1.6': 0.35,
  '2': 0.4,
  '2.5': 0.45,
  '3': 0.5,
  '4': 0.7,
  '5': 0.8,
  '6': 1,
  '8': 1.25,
};
const [SHEAR_OF_TENSILE, USUAL_TENSILE_MPA, USUAL_WALL_MM] = [0.6, 700, 3];
const INSERT_OVER_SCREW = 1.5;

const areaOf = ({ diameterMm }: GroupScrew): number => (Math.PI / 4) * diameterMm ** 2;

/**
 * Shear and pull of every screw of a group under a force anywhere, what it and the plastic carry, and what is left when
 * one is lost. Friction under the heads is not counted.
 *
 * @returns N, mm; margins left out where nothing acts
 * @throws CalcError at `screws` for a load that the group cannot carry, at a screw's own field for a size that is missing
 * @see Shigley, Mechanical Engineering Design, ch. 8-12; Niemann, Maschinenelemente, ch. 10
 */
export function fastenerShare(input: FastenerShareInput): FastenerShareResult {
  const { screws, plate } = input;
  screws.forEach((screw, k) => {
    screws.slice(0, k).forEach((other) => {
      if (other.id === screw.id) throw refusal(`screws.${k}.id`, 'fastener.twice', { id: screw.id });
      if (Math.hypot(other.xMm - screw.xMm, other.yMm - screw.yMm) < SAME_MM)
        throw refusal(`screws.${k}`, 'fastener.same', { other: other.id });
    });
    const { id, xMm, yMm } = screw;
    if (plate && !isIn([xMm, yMm], plate)) throw refusal('plate', 'fastener.offPlate', { id });
  });
  const strengths = new Map(screws.map((screw, k) => [screw.id, strengthOf(screw, k, input)]));
  const whole = shared(screws, input, strengths);
  if (!whole) throw refusal('screws', 'fastener.tilts');
  const loss =
    screws.length < 2
      ? []
      : screws.map(({ id }): ScrewLost => {
          const left = shared(
            screws.filter((screw) => screw.id !== id),
            input,
            strengths,
          );
          if (!left) return { lost: id, held: false };
          const { worst, margin } = worstOf(left.screws);
          return { lost: id, held: true, ...(worst === undefined ? {} : { worst, margin: margin! }) };
        });
  const worstLoss = loss.reduce<ScrewLost | undefined>(
    (worst, one) => (isWorse(one, worst) ? one : worst),
    undefined,
  );
  return {
    ...whole,
    ...worstOf(whole.screws),
    loss,
    ...(worstLoss ? { worstLoss: worstLoss.lost } : {}),
  };
}

/** What is not held comes before any margin. */
function isWorse(one: ScrewLost, than: ScrewLost | undefined): boolean {
  if (one.held && one.margin === undefined) return false;
  if (!than) return true;
  if (one.held !== than.held) return !one.held;
  return one.held && isLess(one.margin!, than.margin!);
}

const isIn = ([x, y]: Point2, { minMm, maxMm }: NonNullable<FastenerShareInput['plate']>): boolean =>
  x >= minMm[0] && x <= maxMm[0] && y >= minMm[1] && y <= maxMm[1];

interface ScrewStrength {
  pullOutN: number;
  bearingN: number;
  tensileN: number;
  shearN: number;
}

function strengthOf(screw: GroupScrew, k: number, input: FastenerShareInput): ScrewStrength {
  const { material, layers, temperatureC, thicknessMm, wallMm = USUAL_WALL_MM } = input;
  const { screwTensileMpa = USUAL_TENSILE_MPA } = input;
  const { diameterMm: d, kind, engagementMm = thicknessMm } = screw;
  const insertMm = screw.insertDiameterMm ?? INSERT_OVER_SCREW * d;
  const left = derate(material, temperatureC);
  const held = bossCheck({
    screwMm: d,
    engagementMm,
    wallMm,
    material,
    layers,
    forceN: 0,
    insertDiameterMm: insertMm,
    ...(screw.washerDiameterMm === undefined ? {} : { washerDiameterMm: screw.washerDiameterMm }),
    ...(screw.nutAcrossFlatsMm === undefined ? {} : { nutAcrossFlatsMm: screw.nutAcrossFlatsMm }),
  }).kinds[kind];
  if (!held)
    throw kind === 'throughBolt'
      ? refusal(`screws.${k}.washerDiameterMm`, 'fastener.noWasher')
      : refusal(`screws.${k}.nutAcrossFlatsMm`, 'fastener.noNut');
  const pitch = PITCH[String(d)];
  const stressMm2 =
    screw.stressAreaMm2 ?? (pitch === undefined ? undefined : (Math.PI / 4) * (d - 0.9382 * pitch) ** 2);
  if (stressMm2 === undefined)
    throw refusal(`screws.${k}.stressAreaMm2`, 'fastener.thread', { known: Object.keys(PITCH).map(Number) });
  const strength = material.inPlaneStrengthMpa * left;
  const through = strength * d * thicknessMm;
  const inPlastic =
    kind === 'heatSetInsert' || kind === 'screwInPlastic'
      ? strength * (kind === 'heatSetInsert' ? insertMm : d) * engagementMm
      : Infinity;
  return {
    pullOutN: held.pullOutN * left,
    bearingN: Math.min(through, inPlastic),
    tensileN: screwTensileMpa * stressMm2,
    shearN: SHEAR_OF_TENSILE * screwTensileMpa * stressMm2,
  };
}

/** Shares of a group; undefined where it cannot carry the load. */
function shared(
  screws: readonly GroupScrew[],
  { load, plate }: FastenerShareInput,
  strengths: ReadonlyMap<string, ScrewStrength>,
): Pick<FastenerShareResult, 'centroidMm' | 'polarMm4' | 'screws'> | undefined {
  const area = screws.reduce((sum, screw) => sum + areaOf(screw), 0);
  const mean = (of: (screw: GroupScrew) => number) =>
    screws.reduce((sum, screw) => sum + areaOf(screw) * of(screw), 0) / area;
  const centroidMm: Point2 = [mean(({ xMm }) => xMm), mean(({ yMm }) => yMm)];
  const arms = screws.map(({ xMm, yMm }): Point2 => [xMm - centroidMm[0], yMm - centroidMm[1]]);
  const polarMm4 = screws.reduce(
    (sum, screw, k) => sum + areaOf(screw) * (arms[k]![0] ** 2 + arms[k]![1] ** 2),
    0,
  );
  const [fx, fy, fz] = load.forceN;
  const moment = add(
    cross(subtract(load.atMm, [...centroidMm, 0]), load.forceN),
    load.momentNmm ?? [0, 0, 0],
  );
  const tilts = tiltOf(screws, arms, moment, plate);
  if (!tilts || (screws.length === 1 && Math.abs(moment[2]) > NOTHING_NMM)) return undefined;
  const turn = polarMm4 === 0 ? 0 : moment[2] / polarMm4;
  return {
    centroidMm,
    polarMm4,
    screws: screws.map((screw, k) => {
      const a = areaOf(screw);
      const [x, y] = arms[k]!;
      const shearXYN: Point2 = [(a / area) * fx - turn * a * y, (a / area) * fy + turn * a * x];
      return judged(screw, shearXYN, a * (fz / area + tilts[k]!), strengths.get(screw.id)!);
    }),
  };
}

/** Pull of each screw over its area by the tilting moment; undefined where nothing holds it. */
function tiltOf(
  screws: readonly GroupScrew[],
  arms: readonly Point2[],
  [mx, my]: Vec3,
  plate: FastenerShareInput['plate'],
): number[] | undefined {
  const sum = (of: (k: number) => number) => screws.reduce((all, screw, k) => all + areaOf(screw) * of(k), 0);
  if (plate) {
    const { minMm, maxMm } = plate;
    const d = screws.map(({ yMm }) => (mx > 0 ? yMm - minMm[1] : maxMm[1] - yMm));
    const e = screws.map(({ xMm }) => (my > 0 ? maxMm[0] - xMm : xMm - minMm[0]));
    const [dd, ee] = [sum((k) => d[k]! ** 2), sum((k) => e[k]! ** 2)];
    if ((dd === 0 && Math.abs(mx) > NOTHING_NMM) || (ee === 0 && Math.abs(my) > NOTHING_NMM))
      return undefined;
    return screws.map(
      (_, k) => (dd === 0 ? 0 : (Math.abs(mx) * d[k]!) / dd) + (ee === 0 ? 0 : (Math.abs(my) * e[k]!) / ee),
    );
  }
  const [xx, yy, xy] = [
    sum((k) => arms[k]![0] ** 2),
    sum((k) => arms[k]![1] ** 2),
    sum((k) => arms[k]![0] * arms[k]![1]),
  ];
  const [mean, root] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  if (mean - root >= ONE_LINE * (mean + root) && mean > 0) {
    const size = xx * yy - xy * xy;
    // Σ N·y = M_x and Σ N·x = −M_y
    const along = (-my * yy - mx * xy) / size;
    const up = (mx * xx + my * xy) / size;
    return arms.map(([x, y]) => along * x + up * y);
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const bare = screws.length === 1;
  const aboutLine = bare ? Math.hypot(mx, my) : Math.abs(mx * ux + my * uy);
  if (aboutLine > NOTHING_NMM) return undefined;
  const acrossLine = mx * uy - my * ux;
  return arms.map(([x, y]) => (bare ? 0 : (acrossLine * (x * ux + y * uy)) / (mean + root)));
}

function judged(
  { id }: GroupScrew,
  shearXYN: Point2,
  axialN: number,
  { pullOutN, bearingN, tensileN, shearN: screwShearN }: ScrewStrength,
): SharedScrew {
  const shearN = Math.hypot(...shearXYN);
  const tensionN = Math.max(0, axialN);
  const [pulled, sheared] = [tensionN >= NOTHING_N, shearN >= NOTHING_N];
  const margins: SharedScrew['margins'] = {
    ...(pulled ? { pullOut: pullOutN / tensionN } : {}),
    ...(sheared ? { bearing: bearingN / shearN } : {}),
    ...(pulled || sheared ? { screw: 1 / Math.hypot(tensionN / tensileN, shearN / screwShearN) } : {}),
  };
  const failsBy = SCREW_FAILURES.reduce<SharedScrew['failsBy']>(
    (worst, one) =>
      margins[one] !== undefined && (worst === undefined || isLess(margins[one], margins[worst]!))
        ? one
        : worst,
    undefined,
  );
  return {
    id,
    shearN,
    shearXYN,
    tensionN,
    axialN,
    margins,
    ...(failsBy === undefined ? {} : { margin: margins[failsBy]!, failsBy }),
  };
}

const isLess = (value: number, than: number): boolean => value < than * (1 - TIE);

function worstOf(screws: readonly SharedScrew[]): Pick<FastenerShareResult, 'worst' | 'margin' | 'failsBy'> {
  const worst = screws.reduce<SharedScrew | undefined>(
    (least, one) =>
      one.margin !== undefined && (least === undefined || isLess(one.margin, least.margin!)) ? one : least,
    undefined,
  );
  return worst ? { worst: worst.id, margin: worst.margin!, failsBy: worst.failsBy! } : {};
}
