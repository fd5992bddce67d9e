import type { Assembled } from '../../base/assembled';
import { keepLast } from '../../base/kept';
import { ENDS } from '../../car/document/suspension';
import type { BuildDocument } from '../../car/document/document';
import { tyreAt } from '../../car/tyres/tyres';
import { nearestOver } from '../../physics/clearance/check';
import { CAR, type GroundResult } from '../../physics/clearance/definition';
import { groundOf } from '../../physics/clearance/ground';
import { bodyOf, compoundOf, CONTACT_MM } from '../../physics/clearance/tree';
import { bodiesOf, REST } from '../chassis/bodiesOfBuild';
import { playOf } from '../suspension/playOfBuild';
import { cornerOf } from '../suspension/endOfBuild';
import { type CarPose, carPoses, posedBodies } from './posesOfCar';
import { isOfWheel, type Thing, thingsOf, TRAIN } from './thingsOfCar';
import { lineOf } from '../train/lines';
import type { TrainThing } from '../train/trainOfCar';

/** Distances that are wanted, mm: of what moves; of what is hot, a wire and the pack from it. */
export const WANTED = { movingMm: 1.5, hotMm: 5, wireMm: 3, packMm: 3 } as const;

/** Two things of the car where they come nearest. */
export interface NearThings {
  a: Thing;
  b: Thing;
  /** Less than nothing by how deep they lie in each other. */
  signedMm: number;
  contact: boolean;
  wantedMm: number;
  marginMm: number;
  /** Where they come nearest; both stand still where it is the first. */
  pose: CarPose;
  moves: boolean;
  /** May touch, by its owner. */
  allowed: boolean;
  /** Of what stands still only what lies in each other counts, and a wire beside what is hot. */
  counts: boolean;
}

export interface ClearanceOfBuild {
  things: Thing[];
  /** Components without a place of their own: not looked at. */
  unplaced: number;
  /** What is nearer than three times what is wanted, the worst first. */
  near: NearThings[];
  ground?: GroundResult;
}

const keep = keepLast<Assembled<ClearanceOfBuild>>(4);
const SHOWN_TIMES = 3;

/** What of the car comes near what, over travel and steering; or what is missing. */
export function clearanceOf(document: BuildDocument): Assembled<ClearanceOfBuild> {
  const { chassis, suspension, drive } = document;
  const key = JSON.stringify([
    chassis,
    suspension,
    drive.tyre,
    drive.frontTyre,
    drive.tyreHold,
    drive.frontTyreHold,
    thingsOf(document),
  ]);
  return keep(key, () => workOut(document));
}

function workOut(document: BuildDocument): Assembled<ClearanceOfBuild> {
  const { wheelbaseMm, touching = [] } = document.chassis;
  const things = thingsOf(document);
  const missing = [
    ...(wheelbaseMm === undefined ? ['chassis.wheelbaseMm'] : []),
    ...((['front', 'rear'] as const).every((end) => !cornerOf(document, end).ok)
      ? ['suspension.front.corner']
      : []),
  ];
  if (missing.length > 0) return { ok: false, missing };
  const poses = carPoses(document);
  const posed = posedBodies(document, poses);
  const bodies = things.map(({ forms }) => compoundOf(forms));
  const allowed = new Set(touching.flatMap(({ a, b }) => [`${a} ${b}`, `${b} ${a}`]));
  const near: NearThings[] = [];
  things.forEach((a, i) =>
    things.slice(i + 1).forEach((b, k) => {
      if (areJoined(document, a, b)) return;
      const moves = a.body !== CAR || b.body !== CAR;
      const wantedMm = wantedOf(document, a, b, moves);
      const shownMm = Math.max(SHOWN_TIMES * wantedMm, CONTACT_MM);
      const found = nearestOver(
        posed,
        [a.body, bodies[i]!],
        [b.body, bodies[i + 1 + k]!],
        shownMm + CONTACT_MM,
      );
      if (!found || found.signedMm > shownMm) return;
      const { signedMm } = found;
      near.push({
        a,
        b,
        signedMm,
        contact: signedMm <= CONTACT_MM,
        wantedMm,
        marginMm: signedMm - wantedMm,
        pose: poses[Number(found.pose)]!,
        moves,
        allowed: allowed.has(`${a.id} ${b.id}`),
        counts: !allowed.has(`${a.id} ${b.id}`) && (moves || signedMm <= CONTACT_MM || isWireAtHot(a, b)),
      });
    }),
  );
  near.sort((one, other) => one.marginMm - other.marginMm);
  const unplaced = bodiesOf(document).filter(({ id, placed }) => !placed && id !== REST).length;
  const still = things.flatMap(({ id, body, forms }) =>
    (body === CAR || body === TRAIN) && !ENDS.some((end) => isOfWheel(id, end)) ? forms.map(bodyOf) : [],
  );
  const [front, rear] = (['front', 'rear'] as const).map((end) => tyreAt(document.drive, end)?.radiusMm);
  return {
    ok: true,
    value: {
      things,
      unplaced,
      near,
      ...(still.length > 0 && front !== undefined && rear !== undefined
        ? {
            ground: groundOf(still, {
              wheelbaseMm: wheelbaseMm!,
              frontRadiusMm: front,
              rearRadiusMm: rear,
            }),
          }
        : {}),
    },
  };
}

/** How far two things are apart in a pose, mm; less than nothing by how deep they lie in each other. */
export function apartIn(document: BuildDocument, a: Thing, b: Thing, pose: CarPose): number {
  const near = nearestOver(
    posedBodies(document, [pose]),
    [a.body, compoundOf(a.forms)],
    [b.body, compoundOf(b.forms)],
  );
  return near!.signedMm;
}

const HALVINGS = 14;

/** Travel of an end up to which two things stay as far apart as wanted, on the way from rest to full bump, or droop, mm. */
export function freeTravelMm(
  document: BuildDocument,
  { a, b, pose, wantedMm }: NearThings,
): number | undefined {
  const end = (a.of ?? b.of)?.end;
  if (!end) return undefined;
  const whole = pose.travelMm[end];
  const isFree = (share: number) => {
    const there = {
      ...pose,
      travelMm: { front: share * pose.travelMm.front, rear: share * pose.travelMm.rear },
    };
    return apartIn(document, a, b, there) >= wantedMm;
  };
  if (!isFree(0)) return undefined;
  let [free, not] = [0, 1];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (free + not) / 2;
    if (isFree(middle)) free = middle;
    else not = middle;
  }
  return free * whole;
}

/** What the wheel wobbles by through its bearings and joints counts as well. */
function wantedOf(document: BuildDocument, a: Thing, b: Thing, moves: boolean): number {
  const wobble = [a, b].map(({ of }) => {
    if (of?.thing !== 'wheel') return 0;
    const play = playOf(document, of.end);
    return play.ok ? play.value.rimPlayMm / 2 : 0;
  });
  const is = (kind: Thing['class']) => a.class === kind || b.class === kind;
  return (
    Math.max(
      moves ? WANTED.movingMm : 0,
      is('hot') && (moves || isWireAtHot(a, b)) ? WANTED.hotMm : 0,
      is('wire') && moves ? WANTED.wireMm : 0,
      (isPack(a) || isPack(b)) && moves ? WANTED.packMm : 0,
    ) + Math.max(...wobble)
  );
}

const isPack = ({ id, of }: Thing): boolean => !of && id === 'pack';

const isWireAtHot = (a: Thing, b: Thing): boolean =>
  (a.class === 'wire' && b.class === 'hot') || (a.class === 'hot' && b.class === 'wire');

/** A wire may lie on all that stands still and is not hot, and on what it joins. */
const liesOn = ({ wire }: Thing, other: Thing): boolean =>
  wire !== undefined &&
  (other.id === wire.from || other.id === wire.to || (other.body === CAR && other.class !== 'hot'));

/** What hangs on each other by a joint meets there. */
function areJoined({ suspension }: BuildDocument, one: Thing, other: Thing): boolean {
  if (liesOn(one, other) || liesOn(other, one)) return true;
  if (one.train && other.train) return turnTogether(one.train, other.train);
  if (one.train || other.train) return one.train ? isOn(one.train, other) : isOn(other.train!, one);
  const [a, b] = [one.of, other.of];
  if (!a || !b || a.end !== b.end || a.side !== b.side) return false;
  const pair = new Set([a.thing, b.thing]);
  const has = (...names: (typeof a.thing)[]) => names.every((name) => pair.has(name));
  const corner = suspension[a.end]?.corner;
  const on = corner?.damper?.on ?? corner?.rocker?.pushrodArmOn;
  return (
    has('damper', 'damperRod') ||
    has('shaft', 'upright') ||
    has('shaft', 'wheel') ||
    (pair.has('upright') && (pair.has('lower') || pair.has('upper') || pair.has('tie'))) ||
    (pair.has('damperRod') &&
      ((on === 'lower' && pair.has('lower')) || (on === 'upper' && pair.has('upper')))) ||
    (pair.has('damper') && on === 'lower' && pair.has('lower'))
  );
}

/** On one line, or with teeth in each other; a shaft ends in the gears that it drives. */
function turnTogether(a: TrainThing, b: TrainThing): boolean {
  return lineOf(a.axis) === lineOf(b.axis) || (a.role !== 'shaft' && a.stage === b.stage && a.end === b.end);
}

/** What sits on the motor's own shaft, and what turns an axle's drive shafts. */
const isOn = ({ motor, role, end }: TrainThing, { id, of }: Thing): boolean =>
  (id === 'motor' && motor === true) ||
  (of?.thing === 'shaft' && role === 'wheel' && (end === undefined || end === of.end));
