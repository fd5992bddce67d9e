import { carry, type Motion } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { type End, ENDS } from '../../car/document/suspension';
import { between, type PosedBodies } from '../../physics/clearance/poses';
import { cornerOf, endOf, steers } from '../suspension/endOfBuild';
import { posedCorner } from '../suspension/posedCorner';
import { shaftEnds } from '../train/shaftEnds';
import { bodyName, motionOnCar, SIDES } from './sides';

/** Shares of the way from rest to full bump, or to full droop. */
const SHARES = [0, -0.5, -1, 0.25, 0.5, 0.75, 1] as const;

/** Where both wheels of each end stand, and the rack. */
export interface CarPose {
  travelMm: Readonly<Record<End, number>>;
  rackMm: number;
  /** By how much more the left wheels are in than the right ones, half to each side. */
  leanMm?: number;
}

/** Every pose of the car in which something might meet: from rest to full droop and full bump, ahead and at both locks. */
export function carPoses(document: BuildDocument): CarPose[] {
  const travelAt = (share: number): CarPose['travelMm'] => {
    const of = (end: End) => {
      const { bumpMm = 0, droopMm = 0 } = document.suspension[end] ?? {};
      return share < 0 ? share * droopMm : share * bumpMm;
    };
    return { front: of('front'), rear: of('rear') };
  };
  const front = endOf(document, 'front');
  const lockMm = front.ok && steers(front.value.corner) ? front.value.lockMm : 0;
  return SHARES.flatMap((share) =>
    (lockMm > 0 ? [0, -lockMm, lockMm] : [0]).map((rackMm): CarPose => ({
      travelMm: travelAt(share),
      rackMm,
    })),
  );
}

/** The bodies of all drawn corners in a pose; those of a corner that does not reach it stay at rest. */
export function bodiesIn(
  document: BuildDocument,
  { travelMm, rackMm, leanMm = 0 }: CarPose,
): Map<string, Motion> {
  const { wheelbaseMm = 0 } = document.chassis;
  const found = new Map<string, Motion>();
  for (const end of ENDS) {
    const corner = cornerOf(document, end);
    if (!corner.ok) continue;
    const rack = end === 'front' && steers(corner.value) ? rackMm : 0;
    for (const side of SIDES) {
      // the right wheel is the mirror image, with the rack the other way
      const own = side === 'left' || rack === 0 ? rack : -rack;
      const { bumpMm = 0, droopMm = 0 } = document.suspension[end] ?? {};
      const leaning = travelMm[end] + (side === 'left' ? leanMm : -leanMm) / 2;
      const travel = leanMm === 0 ? leaning : Math.min(bumpMm, Math.max(-droopMm, leaning));
      const posed = posedCorner(corner.value, travel, own);
      const shaft = shaftEnds(document, end, corner.value);
      const upright = posed.get('upright');
      const moved =
        shaft && upright
          ? [['shaft', between([shaft[0], shaft[0]], [shaft[1], carry(upright, shaft[1])])] as const]
          : [];
      for (const [body, motion] of [...posed, ...moved])
        found.set(bodyName(end, side, body), motionOnCar(motion, end, side, wheelbaseMm));
    }
  }
  return found;
}

/** The poses as the distances of bodies take them. */
export const posedBodies = (document: BuildDocument, poses: readonly CarPose[]): PosedBodies[] =>
  poses.map((pose, k) => ({ name: String(k), bodies: bodiesIn(document, pose) }));
