import { carry, turn, type Vec3 } from '../../base/vec3';
import { refusal } from '../../base/errors';
import type { Corner, HingePinCorner, WishboneCorner } from '../corner/corner';
import { inCorner } from '../corner/inCorner';
import { linkageOf, type Posable, type Pose } from '../corner/linkage';
import { damperOf, reaching, restAxis, rockerOf, wheelOf } from '../corner/readings';
import { refuseHalfSteered } from '../corner/sweep';
import { type Body, CHASSIS, type Hold } from './statics';

declare module '../../base/errors' {
  interface RefusalFacts {
    'links.noDamper': Record<never, never>;
  }
}

/** Where a wheel stands, and which way its axle points outboard. */
export interface Stand {
  centre: Vec3;
  contact: Vec3;
  axis: Vec3;
}

/** A corner as bodies and what holds them, wherever it stands. */
export interface Mechanism {
  posable: Posable;
  bodies: number;
  /** What the wheel turns on. */
  upright: Body;
  holds(pose: Pose): Hold[];
  stand(pose: Pose): Stand;
  damperMm(pose: Pose): number | undefined;
  /** What springs it: where the damper is refused. */
  sprungBy: 'damper' | 'rocker';
  /** Whether the rack moves something. */
  steers: boolean;
  conditionNumber?: number;
}

/** Arms of a corner by what hangs on them. */
const [LOWER, SECOND, THIRD, ROCKER] = [0, 1, 2, 3];

/**
 * Two arms, or an arm with a carrier on hinge pins, as bodies.
 *
 * @throws CalcError at `corner.damper` where nothing holds the travel, else as `suspension.sweep` under `corner`
 */
export function armsMechanism(corner: Corner): Mechanism {
  const linkage = inCorner(() => {
    refuseHalfSteered(corner);
    return reaching(linkageOf(corner));
  });
  if (!corner.damper && !corner.rocker) throw refusal('corner.damper', 'links.noDamper');
  const axis = restAxis(corner);
  const isSteered = corner.kind === 'wishbones' || corner.kingpinLower !== undefined;
  const upright = isSteered ? THIRD : SECOND;
  const bodies = upright + 1 + (corner.rocker ? 1 : 0);
  const on: Readonly<Record<'lower' | 'upper' | 'carrier' | 'upright', Body>> = {
    lower: LOWER,
    upper: SECOND,
    carrier: corner.kind === 'wishbones' ? upright : SECOND,
    upright,
  };
  const arms = corner.kind === 'wishbones' ? wishboneHolds(corner) : hingePinHolds(corner);
  return {
    posable: linkage,
    bodies,
    upright,
    holds: (pose) => [...arms(pose), ...springHolds(corner, pose, on, isSteered ? ROCKER : THIRD)],
    stand: (pose) => ({
      centre: carry(pose.upright, corner.wheelCentre),
      contact: wheelOf(corner, pose.upright, axis).contact,
      axis: turn(pose.upright, axis),
    }),
    damperMm: damperOf(corner)!,
    sprungBy: corner.damper ? 'damper' : 'rocker',
    steers: isSteered,
  };
}

const tieHold = (inner: Vec3, outer: Vec3, { rackMm, upright }: Pose): Hold => ({
  kind: 'rod',
  member: 'tie',
  inner: [inner[0], inner[1] + rackMm, inner[2]],
  outer: carry(upright, outer),
  from: CHASSIS,
  to: THIRD,
  innerName: 'tieInner',
  outerName: 'tieOuter',
});

const wishboneHolds =
  (corner: WishboneCorner) =>
  (pose: Pose): Hold[] => [
    {
      kind: 'hinge',
      points: [corner.lowerFront, corner.lowerRear],
      names: ['lowerFront', 'lowerRear'],
      from: CHASSIS,
      to: LOWER,
    },
    {
      kind: 'hinge',
      points: [corner.upperFront, corner.upperRear],
      names: ['upperFront', 'upperRear'],
      from: CHASSIS,
      to: SECOND,
    },
    { kind: 'ball', at: carry(pose.lower, corner.lowerOuter), name: 'lowerOuter', from: LOWER, to: THIRD },
    { kind: 'ball', at: carry(pose.upper, corner.upperOuter), name: 'upperOuter', from: SECOND, to: THIRD },
    tieHold(corner.tieInner, corner.tieOuter, pose),
  ];

const hingePinHolds =
  (corner: HingePinCorner) =>
  (pose: Pose): Hold[] => {
    const { kingpinLower, kingpinUpper, tieInner, tieOuter } = corner;
    return [
      {
        kind: 'hinge',
        points: [corner.lowerFront, corner.lowerRear],
        names: ['lowerFront', 'lowerRear'],
        from: CHASSIS,
        to: LOWER,
      },
      {
        kind: 'hinge',
        points: [carry(pose.lower, corner.outerFront), carry(pose.lower, corner.outerRear)],
        names: ['outerFront', 'outerRear'],
        from: LOWER,
        to: SECOND,
      },
      {
        kind: 'rod',
        member: 'upper',
        inner: corner.upperInner,
        outer: carry(pose.carrier, corner.upperOuter),
        from: CHASSIS,
        to: SECOND,
        innerName: 'upperInner',
        outerName: 'upperOuter',
      },
      ...(kingpinLower && kingpinUpper && tieInner && tieOuter
        ? [
            {
              kind: 'hinge' as const,
              points: [carry(pose.carrier, kingpinLower), carry(pose.carrier, kingpinUpper)] as const,
              names: ['kingpinLower', 'kingpinUpper'] as const,
              from: SECOND,
              to: THIRD,
            },
            tieHold(tieInner, tieOuter, pose),
          ]
        : []),
    ];
  };

function springHolds(
  corner: Corner,
  pose: Pose,
  on: Readonly<Record<'lower' | 'upper' | 'carrier' | 'upright', Body>>,
  rockerBody: Body,
): Hold[] {
  const { damper, rocker } = corner;
  if (damper)
    return [
      {
        kind: 'rod',
        member: 'damper',
        inner: damper.inner,
        outer: carry(pose[damper.on], damper.outer),
        from: CHASSIS,
        to: on[damper.on],
        innerName: 'damperInner',
        outerName: 'damperOuter',
      },
    ];
  const posed = rockerOf(corner)!(pose)!;
  return [
    { kind: 'pivot', at: posed.pivot, axis: rocker!.axis, to: rockerBody, name: 'rockerPivot' },
    {
      kind: 'rod',
      member: 'pushrod',
      inner: posed.pushrod[1],
      outer: posed.pushrod[0],
      from: rockerBody,
      to: on[rocker!.pushrodArmOn],
      innerName: 'pushrodRocker',
      outerName: 'pushrodArm',
    },
    {
      kind: 'rod',
      member: 'damper',
      inner: posed.damper[1],
      outer: posed.damper[0],
      from: CHASSIS,
      to: rockerBody,
      innerName: 'damperChassis',
    },
  ];
}
