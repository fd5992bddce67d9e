import type { BuildDocument } from '../../car/document/document';
import { type Assembled, missingOf } from '../../base/assembled';
import { CalcError } from '../../base/errors';
import type { Corner } from '../../physics/corner/corner';
import { cornerOf, steers } from './endOfBuild';
import { restOf } from './restOfBuild';
import { type Linkage, linkageOf } from '../../physics/corner/linkage';
import { restAxis, steeringOf, wheelOf } from '../../physics/corner/readings';
import { groundTrack, steeringGeometry, type SteeringResult } from '../../physics/corner/steering';
import { atRest, march } from '../../physics/corner/travel';

const DEG = 180 / Math.PI;

/** What the front corner says of the servo's work. */
export interface SteerGeometry {
  scrubRadiusMm: number;
  /** Wheel degrees a millimetre of rack at rest, both wheels alike. */
  degPerMm: number;
  /** Servo degrees a wheel degree, straight ahead; needs the horn. */
  linkageRatio?: number;
  /** Servo to full lock, degrees; left out where the horn does not reach it. */
  servoDeg?: number;
  /** Torque about both kingpins at full lock that lifts the car, a newton on each wheel, Nmm. */
  liftMmPerN?: number;
}

const known = new WeakMap<BuildDocument, SteerGeometry | 'none'>();

/** The servo's work as the front corner draws it; undefined where it is not drawn, cannot move or does not steer. */
export function steerGeometryOf(document: BuildDocument): SteerGeometry | undefined {
  const kept = known.get(document);
  if (kept) return kept === 'none' ? undefined : kept;
  const found = workOut(document);
  known.set(document, found ?? 'none');
  return found;
}

function workOut(document: BuildDocument): SteerGeometry | undefined {
  const drawn = cornerOf(document, 'front');
  if (!drawn.ok || !steers(drawn.value)) return undefined;
  try {
    const corner = restOf(document, 'front')?.corner ?? drawn.value;
    const linkage = linkageOf(corner);
    const { lockMm, hornMm } = document.suspension.steering ?? {};
    const rest = atRest(linkage);
    const { scrubRadiusMm } = steeringOf(
      corner,
      rest.pose,
      wheelOf(corner, rest.pose.upright, restAxis(corner)),
    )!;
    const degPerMm = Math.abs((steerAt(linkage, ASIDE_MM)! - steerAt(linkage, -ASIDE_MM)!) / (2 * ASIDE_MM));
    const liftMmPerN = lockMm === undefined ? undefined : liftOf(linkage, lockMm);
    return {
      scrubRadiusMm,
      degPerMm,
      ...(hornMm === undefined ? {} : { linkageRatio: DEG / hornMm / degPerMm }),
      ...(hornMm === undefined || lockMm === undefined || lockMm >= hornMm
        ? {}
        : { servoDeg: Math.asin(lockMm / hornMm) * DEG }),
      ...(liftMmPerN === undefined ? {} : { liftMmPerN }),
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}

const ASIDE_MM = 0.01;
const TELLING_MM = 0.2;

/** Change of the wheel's angle at a rack with the arm at rest, degrees, positive to the left. */
function steerAt(linkage: Linkage, rackMm: number): number | undefined {
  const pose = linkage.pose(0, rackMm);
  if (!pose) return undefined;
  const axis = restAxis(linkage.corner);
  return (
    wheelOf(linkage.corner, linkage.pose(0, 0)!.upright, axis).toeDeg -
    wheelOf(linkage.corner, pose.upright, axis).toeDeg
  );
}

/** dz/dδ of the contact point at full lock one way less the other way, mm: the springs held, the body lifts. */
function liftOf(linkage: Linkage, lockMm: number): number | undefined {
  const axis = restAxis(linkage.corner);
  const contactZ = (rackMm: number) => {
    const pose = linkage.pose(0, rackMm);
    return pose && wheelOf(linkage.corner, pose.upright, axis).contact[2];
  };
  const slopeAt = (rackMm: number) => {
    const [a, b, c, d] = [
      contactZ(rackMm - TELLING_MM),
      contactZ(rackMm + TELLING_MM),
      steerAt(linkage, rackMm - TELLING_MM),
      steerAt(linkage, rackMm + TELLING_MM),
    ];
    return a === undefined || b === undefined || c === undefined || d === undefined
      ? undefined
      : (b - a) / ((d - c) / DEG);
  };
  const [one, other] = [slopeAt(lockMm), slopeAt(-lockMm)];
  return one === undefined || other === undefined ? undefined : Math.abs(one - other);
}

export interface SteeringOfBuild {
  corner: Corner;
  geometry: SteeringResult;
  lockMm: number;
  /** Axis to axis on the ground, both sides, mm. */
  groundTrackMm: number;
}

const RACKS = 21;

/** What the rack does to both front wheels from lock to lock, or what is missing. */
export function steeringOfBuild(document: BuildDocument): Assembled<SteeringOfBuild> {
  const corner = cornerOf(document, 'front');
  const { lockMm } = document.suspension.steering ?? {};
  const missing = [
    ...(corner.ok ? [] : corner.missing),
    ...missingOf({
      'chassis.wheelbaseMm': document.chassis.wheelbaseMm,
      'suspension.steering.lockMm': lockMm,
    }),
  ];
  if (missing.length > 0 || !corner.ok) return { ok: false, missing };
  if (!steers(corner.value)) return { ok: false, missing: ['suspension.front.corner:steers'] };
  try {
    const rackMm = Array.from({ length: RACKS }, (_, index) => lockMm! * ((2 * index) / (RACKS - 1) - 1));
    const standing = restOf(document, 'front')?.corner ?? corner.value;
    const geometry = steeringGeometry({
      corner: standing,
      wheelbaseMm: document.chassis.wheelbaseMm!,
      rackMm,
    });
    const linkage = linkageOf(standing);
    return {
      ok: true,
      value: { corner: standing, geometry, lockMm: lockMm!, groundTrackMm: groundTrack(linkage) },
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ok: false, missing: ['suspension.front.corner:moves'] };
  }
}

/** How far the wheel gets of the travel asked for, up and down, straight and at full lock; share of it, at most `most`. */
export function reachOf(
  { corner, bumpMm, droopMm, lockMm }: { corner: Corner; bumpMm: number; droopMm: number; lockMm: number },
  most: number,
): { share: number; travelMm: number; rackMm: number } {
  const linkage = linkageOf(corner);
  const rest = atRest(linkage);
  let worst = { share: most, travelMm: bumpMm, rackMm: 0 };
  for (const rackMm of lockMm === 0 ? [0] : [0, lockMm, -lockMm]) {
    const steered = march(linkage, rest, 0, rackMm);
    if (!steered.reached)
      return {
        share: Math.min(1, Math.abs(steered.stoppedAt.rackMm / rackMm)) * 0.999,
        travelMm: 0,
        rackMm: steered.stoppedAt.rackMm,
      };
    for (const asked of [bumpMm, -droopMm]) {
      const end = march(linkage, steered.reached, most * asked, rackMm);
      const share = end.reached ? most : end.stoppedAt.travelMm / asked;
      if (share < worst.share)
        worst = { share, travelMm: end.reached ? asked : end.stoppedAt.travelMm, rackMm };
    }
  }
  return worst;
}
