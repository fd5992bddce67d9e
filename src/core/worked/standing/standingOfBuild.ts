import { GRAVITY } from '../../base/constants';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { chassisStability, type StabilityResult } from '../../physics/balance/stability';
import type { DriveRunInput } from '../../physics/motion/definition';
import { createPlant, resistanceN, wheelForceN } from '../../physics/motion/plant';
import { airOfBuild } from '../air/airOfBuild';
import { frictionOfCar } from '../motion/tyreOfRun';
import { steeringOfBuild } from '../suspension/steeringOfBuild';
import { weightOf, type WeightOfBuild } from '../chassis/weightOfBuild';

export interface Standing {
  weight: WeightOfBuild;
  stability: StabilityResult;
  mu: number;
  /** Of the tightest corner at speed, m: as given, or what the steering reaches. */
  cornerRadiusM?: number;
}

/** Where a centre of gravity lies that no wheels carry: it falls over as it stands. */
export type Outside = 'ahead' | 'behind' | 'aside' | 'ground';

export type StandingFound = { missing: readonly string[] } | { outside: Outside } | Standing;

/** How a build stands on a surface, or what is missing, or where its centre of gravity lies outside its wheels. */
export function standingOf({
  document,
  surface,
}: {
  document: BuildDocument;
  surface: ChosenSurface | undefined;
}): StandingFound {
  const weight = weightOf(document);
  const { tyre } = document.drive;
  const missing = [
    ...(weight.ok ? [] : weight.missing),
    ...(surface ? [] : ['brief.surfaces']),
    ...(tyre ? [] : ['drive.tyre']),
  ];
  if (missing.length > 0 || !weight.ok || !surface || !tyre) return { missing };
  const { chassis, brief } = document;
  const wheels = {
    wheelbaseMm: chassis.wheelbaseMm!,
    trackFrontMm: chassis.trackFrontMm!,
    trackRearMm: chassis.trackRearMm!,
  };
  const outside = outsideOf(weight.value, wheels);
  if (outside) return { outside };
  const mu = frictionOfCar(document.drive, surface, 1 + weight.value.cgMm[0] / wheels.wheelbaseMm);
  const air = airOfBuild(document);
  const cornerRadiusM = chassis.cornerRadiusM ?? tightestRadiusM(document);
  const stability = chassisStability({
    ...wheels,
    cgMm: weight.value.cgMm,
    massG: weight.value.massG,
    mu,
    ...(cornerRadiusM === undefined ? {} : { cornerRadiusM }),
    cdaM2: air.cdaM2 ?? 0,
    claFrontM2: air.claFrontM2,
    claRearM2: air.claRearM2,
    speedMps: brief.targetMps ?? 0,
  });
  return { weight: weight.value, stability, mu, ...(cornerRadiusM === undefined ? {} : { cornerRadiusM }) };
}

function outsideOf(
  { cgMm: [x, y, h] }: WeightOfBuild,
  {
    wheelbaseMm,
    trackFrontMm,
    trackRearMm,
  }: { wheelbaseMm: number; trackFrontMm: number; trackRearMm: number },
): Outside | undefined {
  if (h <= 0) return 'ground';
  if (x >= 0) return 'ahead';
  if (x <= -wheelbaseMm) return 'behind';
  const trackMm = trackFrontMm + ((trackRearMm - trackFrontMm) * -x) / wheelbaseMm;
  return Math.abs(y) >= trackMm / 2 ? 'aside' : undefined;
}

/** The tightest circle that the steering reaches, m; undefined where none is drawn. */
function tightestRadiusM(document: BuildDocument): number | undefined {
  const steering = steeringOfBuild(document);
  if (!steering.ok) return undefined;
  const radii = steering.value.geometry.rows.flatMap(({ turnRadiusM }) =>
    turnRadiusM === undefined ? [] : [Math.abs(turnRadiusM)],
  );
  return radii.length === 0 ? undefined : Math.min(...radii);
}

/** Accelerations that drive and brakes would reach if no axle could lift, m/s². */
export interface Pushes {
  drive: number;
  brake: number;
}

/**
 * What the drive reaches from rest, and what braking on the driven wheels does, by motor and grip alone, with the load that
 * braking or driving itself moves.
 *
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 2 and 3
 */
export function pushesOf(input: DriveRunInput): Pushes {
  const { car, tyre } = input;
  const plant = createPlant(input);
  const transfer = car.cgHeightMm / car.wheelbaseMm;
  const weightN = car.massKg * GRAVITY;
  const [frontN, rearN] = [weightN * car.frontLoadShare, weightN * (1 - car.frontLoadShare)];
  // an axle that the transfer loads beyond all bounds is limited by the other's lifting alone
  const gained = (loadN: number) =>
    tyre.mu * transfer < 1 ? (tyre.mu * loadN) / (1 - tyre.mu * transfer) : Infinity;
  const lost = (loadN: number) => (tyre.mu * loadN) / (1 + tyre.mu * transfer);
  const all = tyre.mu * weightN;
  const drivenGripN = { front: lost(frontN), rear: gained(rearN), all }[car.drivenAxles];
  const brakedGripN = { front: gained(frontN), rear: lost(rearN), all }[car.drivenAxles];
  return {
    drive: Math.max(0, Math.min(wheelForceN(plant, 0), drivenGripN) - resistanceN(plant, 0)) / car.massKg,
    brake: Math.min(brakedGripN, all) / car.massKg,
  };
}
