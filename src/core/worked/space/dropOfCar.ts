import type { Assembled } from '../../base/assembled';
import { keepLast } from '../../base/kept';
import type { Motion } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import type { End } from '../../car/document/suspension';
import { type LandingMotion, landingMotion } from '../../physics/loads/impact';
import { impactInputOf } from '../suspension/landingOfBuild';
import type { CarPose } from './posesOfCar';

/** The car at one time of its landing. */
export interface DropMoment {
  tS: number;
  /** Travel of the wheels from where they stand at rest; no steering. */
  pose: CarPose;
  /** How far each axle of the car is over where it stands at rest, mm. */
  liftMm: Readonly<Record<End, number>>;
  /** On one tyre of each end, and into the car over it, N. */
  tyreN: Readonly<Record<End, number>>;
  chassisN: Readonly<Record<End, number>>;
}

export interface DropOfCar {
  dropM: number;
  /** In even steps of time, the first at touch-down. */
  moments: DropMoment[];
}

const EVERY_S = 5e-4;
const keep = keepLast<Assembled<DropOfCar>>(3);

/** The car landing on four wheels, each end on its own corners, in time; or what is missing. */
export function dropOfCar(document: BuildDocument, dropM: number): Assembled<DropOfCar> {
  const [front, rear] = [impactInputOf(document, 'front', dropM), impactInputOf(document, 'rear', dropM)];
  if (!front.ok || !rear.ok)
    return {
      ok: false,
      missing: [...new Set([front, rear].flatMap((input) => (input.ok ? [] : input.missing)))],
    };
  return keep(JSON.stringify([front.value, rear.value]), () => {
    const motions = {
      front: landingMotion(front.value, EVERY_S),
      rear: landingMotion(rear.value, EVERY_S),
    };
    return { ok: true, value: { dropM, moments: momentsOf(document, motions) } };
  });
}

/** Of the hardest force: what is nearer to its last one counts as at rest. */
const CALM = 0.03;
const AFTERWARDS = 1.2;

/** How many moments of a landing are worth a look: until its force stays where it ends, and a little longer. */
function lively({ tyreN }: LandingMotion): number {
  const [last, most] = [tyreN.at(-1)!, Math.max(...tyreN)];
  const calmFrom = tyreN.findLastIndex((force) => Math.abs(force - last) > CALM * most) + 1;
  return Math.min(tyreN.length, Math.ceil(AFTERWARDS * calmFrom) + 1);
}

function momentsOf(document: BuildDocument, motions: Readonly<Record<End, LandingMotion>>): DropMoment[] {
  const { front, rear } = motions;
  // the end that has risen from the ground first hangs there until the other has
  const count = Math.max(lively(front), lively(rear));
  return Array.from({ length: count }, (_, k): DropMoment => {
    const at = <T>(of: (motion: LandingMotion, k: number, end: End) => T): Readonly<Record<End, T>> => ({
      front: of(front, Math.min(k, front.tS.length - 1), 'front'),
      rear: of(rear, Math.min(k, rear.tS.length - 1), 'rear'),
    });
    const droop = (end: End) => document.suspension[end]?.droopMm ?? 0;
    return {
      tS: k * EVERY_S,
      pose: {
        travelMm: at(({ sprungMm, unsprungMm }, i, end) => sprungMm[i]! - unsprungMm[i]! - droop(end)),
        rackMm: 0,
      },
      liftMm: at(({ sprungMm }, i, end) => droop(end) - sprungMm[i]!),
      tyreN: at(({ tyreN }, i) => tyreN[i]!),
      chassisN: at(({ chassisN }, i) => chassisN[i]!),
    };
  });
}

/** How the car stands as a whole at a moment, from where it is drawn at rest: lifted, with its nose up or down. */
export function standsAt({ liftMm }: Pick<DropMoment, 'liftMm'>, wheelbaseMm: number): Motion {
  const nose = Math.atan2(liftMm.front - liftMm.rear, wheelbaseMm);
  const [s, c] = [Math.sin(nose), Math.cos(nose)];
  return {
    rows: [
      [c, 0, -s],
      [0, 1, 0],
      [s, 0, c],
    ],
    shift: [0, 0, liftMm.front],
  };
}
