import { GRAVITY } from '../../base/constants';
import { refusal } from '../../base/errors';
import { secantRoot } from '../../base/numeric/root';
import type { OperationFinding } from '../../base/operationFinding';
import { type Corner, type Fall, fall, type FallMoment, USUAL_RIM_N_PER_MM } from './fall';
import type { ForceAt, ImpactInput, ImpactResult, RigidImpact } from './impactDefinition';
import { shaftOf } from './shaft';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.impact.neverBottoms': { drop: Measure };
    'note.impact.neverReached': { drop: Measure };
    'note.impact.crushed': Record<never, never>;
    'note.impact.stifferOrLonger': Record<never, never>;
    'note.impact.travelUsed': Record<never, never>;
    'note.impact.stifferOrDamped': Record<never, never>;
    'note.impact.toRim': Record<never, never>;
    'note.impact.firmerTyre': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'impact.loadShare': Record<never, never>;
    'impact.inertia': Record<never, never>;
    'impact.beside': Record<never, never>;
    'impact.rollInertia': Record<never, never>;
    'impact.rim': Record<never, never>;
    'impact.force': Record<never, never>;
    'impact.forceAt': Record<never, never>;
    'impact.notAscending': Record<never, never>;
    'impact.unequal': { ratioCount: number; travelMmCount: number };
  }
}

const MM_PER_M = 1e3;
const G_PER_KG = 1e3;
const MOST_DROP_M = 10;
const DROP_WITHIN_M = 1e-5;
const USUAL_SHARE = 0.25;

/**
 * A car dropped on its wheels: a quarter car of two masses, with a hard droop stop, a motion ratio by travel, a damper that
 * packs, a bump stop and a tyre that reaches its rim.
 *
 * @returns forces in N, lengths in mm (drops in m), times from touch-down in s, accelerations in g
 * @throws CalcError at `loadShare`, `inertia`, `inertia.besideMm`, `tyre.rimNPerMm`, `suspension.motionRatio…`, `forceN`,
 *   `forceAt` for figures that do not go together
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 5 (quarter car); Goldsmith, Impact, ch. 2
 */
export function landingImpact(input: ImpactInput): ImpactResult {
  refuse(input);
  const { dropM, wheels = 4, suspension, forceN, forceAt = 'chassis' } = input;
  const sprungKg = massOverWheelKg(input);
  const corner = cornerOf(input, sprungKg);
  const from = (height: number, one = corner) => fall(one, Math.sqrt(2 * GRAVITY * height));
  const stiff = from(dropM, { ...corner, shaft: undefined });
  const found = suspension ? from(dropM) : stiff;
  const rimAtM = (input.tyre.rimAtMm ?? Infinity) / MM_PER_M;
  const notes: Finding[] = [];
  return {
    impactSpeedMps: Math.sqrt(2 * GRAVITY * dropM),
    massOverWheelG: sprungKg * G_PER_KG,
    ...peaksOf(found, sprungKg),
    ...(corner.shaft
      ? {
          peakSpringN: found.peakSpringN,
          peakDamperN: found.peakDamperN,
          peakSpringDamperN: found.peakSpringDamperN,
          peakStopN: found.peakStopN,
          peakMountN: found.peakMountN,
          travelUsedMm: found.travelM * MM_PER_M,
          travelUsedPct: (100 * found.travelM) / corner.shaft.travelM,
          bottoms: found.travelM > corner.shaft.travelM,
          solid: found.pressedM > corner.shaft.crushM,
          ...(found.stopMps === undefined ? {} : { stopSpeedMps: found.stopMps }),
        }
      : {}),
    rimHit: found.squashM > rimAtM,
    peakElectronicsGees: found.electronicsGees,
    peakChassisS: found.peakChassisS,
    carN: wheels * found.peakTyreN,
    rigid: peaksOf(stiff, sprungKg),
    ...(corner.shaft
      ? sought(
          'maxDropM',
          (height) => from(height).travelM - corner.shaft!.travelM,
          finding('note.impact.neverBottoms', { drop: measure(MOST_DROP_M, 'distanceM') }),
          notes,
        )
      : {}),
    ...(forceN === undefined
      ? {}
      : sought(
          'dropForForceM',
          (height) => forceOf(from(height), forceAt) - forceN,
          finding('note.impact.neverReached', { drop: measure(MOST_DROP_M, 'distanceM') }),
          notes,
        )),
    findings: findingsOf(found, corner, rimAtM),
    notes,
  };
}

const cornerOf = (input: ImpactInput, sprungKg: number): Corner => ({
  sprungKg,
  unsprungKg: input.unsprungMassG / G_PER_KG,
  tyre: input.tyre,
  shaft: input.suspension && shaftOf(input.suspension),
  electronics: input.electronics,
});

/** The peaks of one drop alone, without what is sought from it; SI. */
export function landingPeaks(input: ImpactInput): Fall {
  return fall(cornerOf(input, massOverWheelKg(input)), Math.sqrt(2 * GRAVITY * input.dropM));
}

/** A landing in time: from touch-down in s, both masses from there downwards in mm, forces in N. */
export interface LandingMotion {
  tS: number[];
  sprungMm: number[];
  unsprungMm: number[];
  tyreN: number[];
  chassisN: number[];
}

/**
 * A landing at even times, until the car rises through the height of touch-down again.
 *
 * @param everyS between the times
 * @see `landingImpact` for the model
 */
export function landingMotion(input: ImpactInput, everyS: number): LandingMotion {
  const found: LandingMotion = { tS: [], sprungMm: [], unsprungMm: [], tyreN: [], chassisN: [] };
  let before: FallMoment | undefined;
  fall(cornerOf(input, massOverWheelKg(input)), Math.sqrt(2 * GRAVITY * input.dropM), (moment) => {
    for (let tS = found.tS.length * everyS; tS <= moment.tS; tS = found.tS.length * everyS) {
      const from = before ?? moment;
      const share = moment.tS > from.tS ? (tS - from.tS) / (moment.tS - from.tS) : 1;
      const at = (key: Exclude<keyof FallMoment, 'tS'>) => from[key] + share * (moment[key] - from[key]);
      found.tS.push(tS);
      found.sprungMm.push(at('sprungM') * MM_PER_M);
      found.unsprungMm.push(at('unsprungM') * MM_PER_M);
      found.tyreN.push(at('tyreN'));
      found.chassisN.push(at('chassisN'));
    }
    before = moment;
  });
  return found;
}

const peaksOf = (found: Fall, sprungKg: number): RigidImpact => ({
  peakTyreN: found.peakTyreN,
  peakChassisN: found.peakChassisN,
  peakSprungGees: found.peakChassisN / (sprungKg * GRAVITY),
  tyreDeflectionMm: found.squashM * MM_PER_M,
  ...(found.turnS === undefined ? {} : { turnS: found.turnS }),
});

const forceOf = (found: Fall, at: ForceAt): number =>
  ({ tyre: found.peakTyreN, chassis: found.peakChassisN, mount: found.peakMountN, stop: found.peakStopN })[
    at
  ];

/** The drop at which something that grows with it reaches its limit; 0 where none is needed, left out with a note beyond 10 m. */
function sought<K extends string>(
  key: K,
  excess: (dropM: number) => number,
  never: Finding,
  notes: Finding[],
): Partial<Record<K, number>> {
  const told = (dropM: number) => ({ [key]: dropM }) as Partial<Record<K, number>>;
  if (excess(0) >= 0) return told(0);
  if (excess(MOST_DROP_M) < 0) {
    notes.push(never);
    return {};
  }
  // what is reached goes with the speed, so the root is sought along it
  const speed = secantRoot((v) => excess(v * v), 0, Math.sqrt(MOST_DROP_M), DROP_WITHIN_M / 10);
  return told(speed ** 2);
}

/** The mass that a wheel stops, kg: the corner's own, or what a free body shows at the point where it is struck. */
function massOverWheelKg({ wheels = 4, sprungMassG, loadShare = USUAL_SHARE, inertia }: ImpactInput): number {
  const massKg = sprungMassG / G_PER_KG;
  if (wheels === 4) return massKg * loadShare;
  if (!inertia) return massKg / 2;
  const { aheadMm, pitchKgM2, besideMm = 0, rollKgM2 = Infinity } = inertia;
  const pitch = (massKg * (aheadMm / MM_PER_M) ** 2) / pitchKgM2;
  const roll = (massKg * (besideMm / MM_PER_M) ** 2) / rollKgM2;
  return wheels === 2 ? (0.5 * massKg) / (1 + pitch) : massKg / (1 + pitch + roll);
}

function findingsOf(
  { travelM, pressedM, squashM }: Fall,
  { shaft }: Corner,
  rimAtM: number,
): OperationFinding[] {
  return [
    ...(shaft && pressedM > shaft.crushM
      ? [
          {
            severity: 'over' as const,
            about: 'bumpStop',
            why: finding('note.impact.crushed', {}),
            remedy: finding('note.impact.stifferOrLonger', {}),
          },
        ]
      : []),
    ...(shaft && travelM > shaft.travelM
      ? [
          {
            severity: 'tight' as const,
            about: 'travel',
            why: finding('note.impact.travelUsed', {}),
            remedy: finding('note.impact.stifferOrDamped', {}),
          },
        ]
      : []),
    ...(squashM > rimAtM
      ? [
          {
            severity: 'tight' as const,
            about: 'tyre',
            why: finding('note.impact.toRim', {}),
            remedy: finding('note.impact.firmerTyre', {}),
          },
        ]
      : []),
  ];
}

function refuse({ wheels = 4, loadShare, inertia, tyre, suspension, forceN, forceAt }: ImpactInput): void {
  if (loadShare !== undefined && wheels !== 4) throw refusal('loadShare', 'impact.loadShare');
  if (inertia && wheels === 4) throw refusal('inertia', 'impact.inertia');
  if (inertia) {
    const { besideMm, rollKgM2 } = inertia;
    if (besideMm === undefined && (rollKgM2 !== undefined || wheels === 1))
      throw refusal('inertia.besideMm', 'impact.beside');
    if (rollKgM2 === undefined && besideMm !== undefined)
      throw refusal('inertia.rollKgM2', 'impact.rollInertia');
  }
  const { rateNPerMm, rimAtMm, rimNPerMm } = tyre;
  if ((rimAtMm !== undefined || rimNPerMm !== undefined) && (rimNPerMm ?? USUAL_RIM_N_PER_MM) < rateNPerMm)
    throw refusal('tyre.rimNPerMm', 'impact.rim');
  if (suspension && typeof suspension.motionRatio !== 'number') refuseTable(suspension.motionRatio);
  if (forceAt !== undefined && forceN === undefined) throw refusal('forceN', 'impact.force');
  if ((forceAt === 'mount' || forceAt === 'stop') && !suspension) throw refusal('forceAt', 'impact.forceAt');
}

function refuseTable({ travelMm, ratio }: { travelMm: readonly number[]; ratio: readonly number[] }): void {
  const at = 'suspension.motionRatio';
  for (let k = 1; k < travelMm.length; k++)
    if (travelMm[k]! <= travelMm[k - 1]!) throw refusal(`${at}.travelMm.${k}`, 'impact.notAscending');
  if (ratio.length !== travelMm.length)
    throw refusal(`${at}.ratio`, 'impact.unequal', {
      ratioCount: ratio.length,
      travelMmCount: travelMm.length,
    });
}
