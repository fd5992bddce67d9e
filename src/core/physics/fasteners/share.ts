import { refusal } from '../../base/errors';
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
import { forcesOfGroup } from './group';

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

const [SAME_MM, NOTHING_N] = [0.01, 1e-9];
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
  const group = forcesOfGroup(screws, load, plate);
  return (
    group && {
      centroidMm: group.centroidMm,
      polarMm4: group.polarMm4,
      screws: screws.map((screw, k) => {
        const [x, y, axialN] = group.forcesN[k]!;
        return judged(screw, [x, y], axialN, strengths.get(screw.id)!);
      }),
    }
  );
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
