import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { sidesApart } from '../../car/document/drive';
import { finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { type End, USUAL_KERB_STOP_MM, USUAL_STOP_MM } from '../../car/document/suspension';
import { weightOf } from '../chassis/weightOfBuild';
import { GRAVITY, RAD_PER_S_PER_RPM } from '../../base/constants';
import { createPlant } from '../../physics/motion/plant';
import { motorLimitsA, runInputOf } from '../motion/runOfBuild';
import { frictionOf } from '../motion/tyreOfRun';
import { type Assembled, missingOf } from '../../base/assembled';
import { landingForces } from '../suspension/landingOfBuild';
import { steeringServo } from '../power/steeringServo';
import { type CarLoads, hardestForces, hardestUnder, linksOfBuild } from '../links/linksOfBuild';
import type { ForcesOnParts, LinkForceAt } from './forceOnPart';
import { loadCases, type LoadCasesInput, type LoadCasesResult } from '../../physics/strength/loadCases';

declare module '../../base/finding' {
  interface FindingFacts {
    'load.impactAll': { drop: Measure };
    'load.impact': { drop: Measure; end: End; bottoms: boolean };
  }
}

/** What the nose of a car without a figure of its own gives way, mm. */
export const USUAL_CRUSH_MM = 15;
const NM_PER_KGCM = 0.0980665;

type Cases = Assembled<CarLoads & ForcesOnParts>;

const known = new WeakMap<BuildDocument, Map<ChosenSurface | undefined, Cases>>();

/** What acts on the parts of a build on one surface; worked out once a document and surface. */
export function casesOfBuild(document: BuildDocument, surface: ChosenSurface | undefined): Cases {
  const own = known.get(document) ?? new Map<ChosenSurface | undefined, Cases>();
  known.set(document, own);
  const found = own.get(surface) ?? workOut(document, surface);
  own.set(surface, found);
  return found;
}

function workOut(document: BuildDocument, surface: ChosenSurface | undefined): Cases {
  const weight = weightOf(document);
  const {
    chassis: { wheelbaseMm, trackFrontMm, trackRearMm },
    drive: { tyre },
    brief,
    suspension,
    parts,
  } = document;
  const missing = [
    ...(weight.ok ? [] : weight.missing),
    ...missingOf({ 'brief.surfaces': surface, 'drive.tyre': tyre }),
  ];
  if (!weight.ok || !surface || !tyre) return { ok: false, missing };
  const { massG, cgMm, leftLoadShare } = weight.value;
  const [whole, front] = [(massG / 1000) * GRAVITY, 1 + cgMm[0] / wheelbaseMm!];
  const on = (axle: number, side: number) => whole * axle * side;
  const { dropHeightM, kerbMps, targetMps } = brief;
  const input: LoadCasesInput = {
    massKg: massG / 1000,
    cgHeightMm: cgMm[2],
    wheelbaseMm: wheelbaseMm!,
    trackMm: (trackFrontMm! + trackRearMm!) / 2,
    mu: frictionOf(surface, tyre),
    wheelLoadsN: {
      fl: on(front, leftLoadShare),
      fr: on(front, 1 - leftLoadShare),
      rl: on(1 - front, leftLoadShare),
      rr: on(1 - front, 1 - leftLoadShare),
    },
    ...(dropHeightM === undefined
      ? {}
      : { dropHeightM, suspensionStopMm: suspension.stopMm ?? USUAL_STOP_MM }),
    ...(targetMps === undefined
      ? {}
      : { crashSpeedMps: targetMps, crushMm: parts.crushMm ?? USUAL_CRUSH_MM }),
    ...(kerbMps === undefined
      ? {}
      : { curbSpeedMps: kerbMps, curbStopMm: suspension.kerbStopMm ?? USUAL_KERB_STOP_MM }),
    ...servoFigures(document),
    ...motorFigures(document, surface, tyre.radiusMm),
  };
  const found = loadCases(input);
  const value: CarLoads & ForcesOnParts = {
    ...found,
    cases: { ...found.cases, ...landingCases(document) },
    input,
    linkForce: linkForceAt(document, surface, () => value),
  };
  return { ok: true, value };
}

/** What links carry at the hardest, worked out when a part first asks for it. */
const linkForceAt =
  (document: BuildDocument, surface: ChosenSurface, loads: () => CarLoads): LinkForceAt =>
  (end, link, load) => {
    const found = linksOfBuild(document, end, surface, loads());
    const hardest = found.ok ? hardestForces(found.value).get(link) : undefined;
    if (!hardest) return undefined;
    const { pullN, pull, pushN = 0, push } = hardest;
    const where = pushN > pullN ? push : pull;
    const forceN =
      load === undefined || !found.ok ? Math.max(pullN, pushN) : hardestUnder(found.value, link, load);
    return where && { forceN, at: where };
  };

/** Landings on springs, dampers and stops, in place of a guessed travel, where the springs are known. */
function landingCases(document: BuildDocument): Partial<LoadCasesResult['cases']> {
  const landing = landingForces(document);
  if (!landing) return {};
  const drop = measure(document.brief.dropHeightM! * 1000, 'lengthMm');
  const { end, bottoms } = landing;
  return {
    landingFourWheels: {
      forceN: landing.fourWheelsN,
      on: 'all four wheels together',
      direction: [0, 0, 1],
      how: finding('load.impactAll', { drop }),
    },
    landingOneWheel: {
      forceN: landing.oneWheelN,
      on: 'the wheel that lands first',
      direction: [0, 0, 1],
      how: finding('load.impact', { drop, end, bottoms }),
    },
  };
}

function servoFigures(document: BuildDocument): Partial<LoadCasesInput> {
  const { servo } = steeringServo(document) ?? {};
  const torqueKgcm = servo?.highTorqueKgcm ?? servo?.lowTorqueKgcm;
  const servoArmMm = document.suspension.steering?.hornMm;
  return torqueKgcm === undefined || servoArmMm === undefined
    ? {}
    : { servoStallNm: torqueKgcm * NM_PER_KGCM, servoArmMm };
}

/** What the motors that turn one axle give in a stall: held by controller, own limit or clutch, else by what the windings let through. */
function motorFigures(
  document: BuildDocument,
  surface: ChosenSurface,
  tyreRadiusMm: number,
): Partial<LoadCasesInput> {
  const { drive } = document;
  const { motor, drivenAxles, motorCount = 1 } = drive;
  const run = runInputOf(document, surface);
  if (!motor || !run.ok || !drivenAxles) return {};
  const { appliedV, loopOhm } = createPlant(run.value);
  const amps = Math.min(...Object.values(motorLimitsA(document, motor)), appliedV / loopOhm);
  const motors = motorCount * (sidesApart(drive) ? 2 : 1);
  const motorStallNm =
    (motors * Math.max(0, amps - motor.noLoadCurrentA)) / (motor.kvRpmPerV * RAD_PER_S_PER_RPM);
  const { ratio, efficiency } = run.value.drive;
  return motorStallNm === 0 ? {} : { motorStallNm, ratio, efficiency, tyreRadiusMm, drivenAxles };
}
