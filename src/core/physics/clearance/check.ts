import { refusal } from '../../base/errors';
import { finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';
import { STILL } from '../../base/vec3';
import { isFlat } from './convex';
import {
  CAR,
  type ClearanceInput,
  type ClearanceResult,
  type NearPair,
  type PoseName,
  type Shape,
} from './definition';
import { groundOf } from './ground';
import { motionIn, type PosedBodies, posesOf } from './poses';
import { bodiesMm, type Body, bodyOf, CONTACT_MM } from './tree';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.clearance.touches': { a: string; b: string; at: PosePlace; deep?: Measure };
    'note.clearance.near': { a: string; b: string; at: PosePlace; apart: Measure; wanted: Measure };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'clearance.twice': { id: string };
    'clearance.unknown': { id: string };
    'clearance.flat': Record<never, never>;
    'clearance.noCar': Record<never, never>;
    'clearance.noCorner': { points: number };
  }
}

/** A pose by its name, or by travel and rack. */
export type PosePlace = { name: string } | { travel: Measure; rack?: Measure };

const [TIE_MM, TIGHT] = [1e-6, 1.3];

/**
 * What comes near what over every pose, against the distance that is wanted, and how the car stands over the ground.
 *
 * @returns mm; every pair but those within one moving body, in the order of the shapes
 * @throws CalcError at `shapes.k…`, `allowed.k.i`, `poses.k.bodies.NAME` for what is not there or is no body, at `ground` where
 * every shape moves
 * @see Ericson, Real-Time Collision Detection, ch. 4, 5 and 9; ISO 612
 */
export function clearanceCheck(input: ClearanceInput): ClearanceResult {
  const { shapes, ground } = input;
  refuseShapes(shapes);
  if (ground && !shapes.some((shape) => bodyName(shape) === CAR)) throw refusal('ground', 'clearance.noCar');
  const allowed = allowedOf(input);
  const { poses, findings } = posesOf(input);
  const bodies = shapes.map(bodyOf);
  const pairs: NearPair[] = [];
  for (let i = 0; i < shapes.length; i++)
    for (let j = i + 1; j < shapes.length; j++) {
      const [a, b] = [shapes[i]!, shapes[j]!];
      const sameBody = bodyName(a) === bodyName(b);
      if (sameBody && bodyName(a) !== CAR) continue;
      const near = nearestOver(poses, [bodyName(a), bodies[i]!], [bodyName(b), bodies[j]!]);
      if (near) pairs.push(pairOf(a, b, near, wantedOf(a, b, input), allowed.has(keyOf(a.id, b.id))));
    }
  const counted = pairs.filter((pair) => !pair.allowed);
  const worst = counted.reduce<NearPair | undefined>(
    (least, pair) => (!least || pair.marginMm < least.marginMm - TIE_MM ? pair : least),
    undefined,
  );
  return {
    pairs,
    contacts: counted.filter(({ contact }) => contact).length,
    ...(worst ? { worst: { a: worst.a, b: worst.b, pose: worst.pose, marginMm: worst.marginMm } } : {}),
    findings: [
      ...[...counted].sort((one, other) => one.marginMm - other.marginMm).flatMap(findingOf),
      ...findings,
    ],
    ...(ground
      ? {
          ground: groundOf(
            shapes.flatMap((shape, k) => (bodyName(shape) === CAR ? [bodies[k]!] : [])),
            ground,
          ),
        }
      : {}),
  };
}

const bodyName = ({ body = CAR }: Shape): string => body;
const keyOf = (a: string, b: string): string => JSON.stringify([a, b].sort());

function refuseShapes(shapes: readonly Shape[]): void {
  const seen = new Set<string>();
  shapes.forEach((shape, k) => {
    const { id } = shape;
    if (seen.has(id)) throw refusal(`shapes.${k}.id`, 'clearance.twice', { id });
    seen.add(id);
    if (shape.kind === 'hull' && isFlat(shape.pointsMm))
      throw refusal(`shapes.${k}.pointsMm`, 'clearance.flat');
    if (shape.kind === 'mesh')
      shape.triangles.forEach((corners, t) => {
        if (corners.some((corner) => corner >= shape.pointsMm.length))
          throw refusal(`shapes.${k}.triangles.${t}`, 'clearance.noCorner', {
            points: shape.pointsMm.length,
          });
      });
  });
}

function allowedOf({ allowed = [], shapes }: ClearanceInput): Set<string> {
  const known = new Set(shapes.map(({ id }) => id));
  allowed.forEach((pair, k) =>
    pair.forEach((id, i) => {
      if (!known.has(id)) throw refusal(`allowed.${k}.${i}`, 'clearance.unknown', { id });
    }),
  );
  return new Set(allowed.map(([a, b]) => keyOf(a, b)));
}

function wantedOf(a: Shape, b: Shape, { required = {} }: ClearanceInput): number {
  const { fixedMm = 0, movingMm = 1.5, hotMm = 5, wireMm = 3 } = required;
  const isApart = bodyName(a) !== bodyName(b);
  const either = (kind: Shape['class']) => a.class === kind || b.class === kind;
  return Math.max(
    fixedMm,
    isApart ? movingMm : 0,
    either('hot') ? hotMm : 0,
    either('wire') && isApart ? wireMm : 0,
  );
}

export interface Near {
  signedMm: number;
  pose: PoseName;
  isMesh: boolean;
}

/** Where two bodies come nearest over all poses, the first of them; each on the body that is named. None where never so near. */
export function nearestOver(
  poses: readonly PosedBodies[],
  [nameA, bodyA]: readonly [string, Body],
  [nameB, bodyB]: readonly [string, Body],
  withinMm = Infinity,
): Near | undefined {
  const isMesh = bodyA.mesh !== undefined || bodyB.mesh !== undefined;
  let near: Near | undefined;
  let still = false;
  for (const pose of poses) {
    const [inA, inB] = [motionIn(pose, nameA), motionIn(pose, nameB)];
    const stands = inA === STILL && inB === STILL;
    if (stands && still) continue;
    still ||= stands;
    const signedMm = bodiesMm(bodyA, inA, bodyB, inB, near?.signedMm ?? withinMm);
    if (signedMm === undefined) continue;
    if (near ? signedMm < near.signedMm - TIE_MM : signedMm < withinMm)
      near = { signedMm, pose: pose.name, isMesh };
  }
  return near;
}

function pairOf(
  { id: a }: Shape,
  { id: b }: Shape,
  { signedMm, pose, isMesh }: Near,
  requiredMm: number,
  allowed: boolean,
): NearPair {
  const contact = signedMm <= CONTACT_MM;
  return {
    a,
    b,
    distanceMm: Math.max(0, signedMm),
    contact,
    ...(contact && !isMesh ? { penetrationMm: Math.max(0, -signedMm) } : {}),
    pose,
    requiredMm,
    marginMm: (contact && isMesh ? 0 : signedMm) - requiredMm,
    allowed,
  };
}

const placeOf = (pose: PoseName): PosePlace =>
  typeof pose === 'string'
    ? { name: pose }
    : {
        travel: measure(pose.travelMm, 'lengthMm'),
        ...(pose.rackMm === 0 ? {} : { rack: measure(pose.rackMm, 'lengthMm') }),
      };

function findingOf({
  a,
  b,
  pose,
  contact,
  distanceMm,
  penetrationMm,
  requiredMm,
}: NearPair): OperationFinding[] {
  const at = placeOf(pose);
  if (contact) {
    if (requiredMm <= 0 && (penetrationMm ?? 0) <= CONTACT_MM) return [];
    const deep = penetrationMm ? { deep: measure(penetrationMm, 'lengthMm', 2) } : {};
    return [{ severity: 'over', about: a, why: finding('note.clearance.touches', { a, b, at, ...deep }) }];
  }
  if (distanceMm >= TIGHT * requiredMm) return [];
  return [
    {
      severity: distanceMm < requiredMm ? 'over' : 'tight',
      about: a,
      why: finding('note.clearance.near', {
        a,
        b,
        at,
        apart: measure(distanceMm, 'lengthMm', 2),
        wanted: measure(requiredMm, 'lengthMm'),
      }),
    },
  ];
}
