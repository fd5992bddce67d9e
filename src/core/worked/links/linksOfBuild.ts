import type { Assembled } from '../../base/assembled';
import { CalcError } from '../../base/errors';
import { GRAVITY } from '../../base/constants';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { End } from '../../car/document/suspension';
import { tyreAt } from '../../car/tyres/tyres';
import type { LinksForcesResult, StandardLoads, WorstAt } from '../../physics/links/definition';
import { forcesIn } from '../../physics/links/forces';
import { armsMechanism } from '../../physics/links/mechanism';
import type { LoadCasesInput, LoadCasesResult } from '../../physics/strength/loadCases';
import { frictionOf } from '../motion/tyreOfRun';
import { endOf, steers, travelsOver } from '../suspension/endOfBuild';
import { peaksAt } from '../suspension/landingOfBuild';

/** What acts on the car as a whole, and what it was worked out from. */
export type CarLoads = LoadCasesResult & { input: LoadCasesInput };

const STATIONS = 7;

const known = new WeakMap<CarLoads, Partial<Record<End, Assembled<LinksForcesResult>>>>();

/** Forces in the links of one end over its travel and from lock to lock, or what is missing; worked out once for what acts. */
export function linksOfBuild(
  document: BuildDocument,
  end: End,
  surface: ChosenSurface,
  loads: CarLoads,
): Assembled<LinksForcesResult> {
  const own = known.get(loads) ?? {};
  known.set(loads, own);
  return (own[end] ??= workOut(document, end, surface, loads));
}

function workOut(
  document: BuildDocument,
  end: End,
  surface: ChosenSurface,
  loads: CarLoads,
): Assembled<LinksForcesResult> {
  const found = endOf(document, end);
  if (!found.ok) return { ok: false, missing: found.missing };
  const { corner, droopMm, bumpMm, lockMm } = found.value;
  if (!corner.damper && !corner.rocker)
    return { ok: false, missing: [`suspension.${end}.corner.damperInner`] };
  try {
    return {
      ok: true,
      value: forcesIn(() => armsMechanism(corner), {
        corner,
        travelMm: travelsOver(droopMm, bumpMm, STATIONS),
        rackMm: steers(corner) && lockMm > 0 ? [-lockMm, 0, lockMm] : [0],
        standard: standardLoads(document, end, surface, loads),
      }),
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ok: false, missing: [`suspension.${end}.corner:moves`] };
  }
}

/** What the left wheel of an end meets: landing, kerb, corner, brake, drive, and a servo that stalls. */
export function standardLoads(
  document: BuildDocument,
  end: End,
  surface: ChosenSurface,
  { cases, input }: CarLoads,
): StandardLoads {
  const { brief, suspension } = document;
  const { wheelLoadsN, cgHeightMm, wheelbaseMm, massKg, servoStallNm, servoArmMm, drivenAxles } = input;
  const mu = frictionOf(surface, tyreAt(document.drive, end)!);
  const isFront = end === 'front';
  const axleN = isFront ? wheelLoadsN.fl + wheelLoadsN.fr : wheelLoadsN.rl + wheelLoadsN.rr;
  const weightN = massKg * GRAVITY;
  // what braking or driving at the limit moves from one axle to the other
  const shiftedN = (weightN * mu * cgHeightMm) / wheelbaseMm;
  const wheelN = (gain: 1 | -1) => Math.min(weightN, Math.max(0, axleN + gain * shiftedN)) / 2;
  const drop = brief.dropHeightM;
  const peaks = drop === undefined ? undefined : peaksAt(document, end, drop, 1);
  const landingN = peaks ? Math.max(peaks.peakTyreN, peaks.peakChassisN) : cases.landingOneWheel?.forceN;
  const kerbN = cases.curbStrike?.forceN;
  const corneringN = cases[isFront ? 'corneringVerticalFront' : 'corneringVerticalRear']?.forceN;
  const isDriven = drivenAxles === 'all' || drivenAxles === end;
  const { saverNm } = suspension.steering ?? {};
  return {
    staticN: isFront ? Math.max(wheelLoadsN.fl, wheelLoadsN.fr) : Math.max(wheelLoadsN.rl, wheelLoadsN.rr),
    mu,
    ...(landingN === undefined ? {} : { landingN }),
    ...(kerbN === undefined ? {} : { kerbAheadN: kerbN, kerbSideN: kerbN }),
    ...(corneringN === undefined ? {} : { corneringN }),
    brakingN: wheelN(isFront ? 1 : -1),
    ...(isDriven ? { driveN: wheelN(isFront ? -1 : 1) } : {}),
    ...(isFront && servoStallNm !== undefined && servoArmMm !== undefined
      ? {
          servoNm: servoStallNm,
          servoArmMm,
          ...(saverNm === undefined ? {} : { servoSaverNm: saverNm }),
        }
      : {}),
  };
}

/** The hardest that one member or joint carries. */
export interface HardestForce {
  /** Pull of a member; the whole force of a joint. */
  pullN: number;
  pull?: WorstAt;
  /** Of a member alone. */
  pushN?: number;
  push?: WorstAt;
  bucklingLengthMm?: number;
}

/** The hardest that a member or joint carries under one load, N. */
export function hardestUnder({ stations }: LinksForcesResult, link: string, load: string): number {
  return stations.reduce((most, { loads }) => {
    const found = loads.find(({ name }) => name === load);
    const joint = found?.joints[link];
    const forceN = joint ? Math.hypot(...joint) : Math.abs(found?.members[link] ?? 0);
    return Math.max(most, forceN);
  }, 0);
}

/** Every member and joint of an end with the hardest that it carries, members first. */
export function hardestForces({ worst, worstJoints }: LinksForcesResult): Map<string, HardestForce> {
  return new Map<string, HardestForce>([
    ...Object.entries(worst).map(
      ([name, { tensionN, tension, compressionN, compression, bucklingLengthMm }]): [
        string,
        HardestForce,
      ] => [
        name,
        {
          pullN: tensionN,
          ...(tension ? { pull: tension } : {}),
          pushN: compressionN,
          ...(compression ? { push: compression } : {}),
          bucklingLengthMm,
        },
      ],
    ),
    ...Object.entries(worstJoints).map(([name, { forceN, ...at }]): [string, HardestForce] => [
      name,
      { pullN: forceN, pull: at },
    ]),
  ]);
}
