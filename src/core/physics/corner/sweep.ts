import type { OperationFinding } from '../../base/operationFinding';
import { CalcError } from '../../base/errors';
import { plain } from '../../base/units/plain';
import { carry, subtract, turnBack, type Vec3 } from '../../base/vec3';
import type { Corner } from './corner';
import { type Linkage, linkageOf, type Pose } from './linkage';
import {
  type Articulation,
  articulationOf,
  type CornerPoints,
  damperOf,
  pointsOf,
  restAxis,
  type SteeringReading,
  steeringOf,
  wheelOf,
  reaching,
} from './readings';
import { type Aside, aside, atRest, march, type Reached, slopeOf } from './travel';

export type SweepInput = Corner & {
  /** Ends included where the step divides; or each travel. */
  travelMm: { from: number; to: number; step: number } | readonly number[];
  rackMm?: readonly number[];
};

export interface Station extends Partial<SteeringReading> {
  travelMm: number;
  rackMm: number;
  camberDeg: number;
  toeDeg: number;
  steerDeg: number;
  trackChangeMm: number;
  wheelbaseChangeMm: number;
  rollCentreMm?: number;
  motionRatio?: number;
  damperLengthMm?: number;
  articulationDeg: Articulation;
  points: CornerPoints;
}

/** What was found, with where in the travel. */
export interface SweepFinding extends OperationFinding {
  travelMm?: number;
  rackMm?: number;
}

export interface SuspensionSweepResult {
  stations: Station[];
  bumpSteerDegPerMm: number;
  camberGainDegPerMm: number;
  findings: SweepFinding[];
  notes: string[];
}

const ASIDE_MM = 0.05;
const MOST_BUMP_STEER = 0.05;
const GROUND_OFF_MM = 0.5;

/**
 * One corner through its travel and its rack, three-dimensional: every link keeps its length, and a station exists only
 * where it is reached from rest without passing a turning point.
 *
 * @returns angles in degrees, lengths in mm
 * @throws CalcError at points that coincide or lie on their hinge, with an empty path where the corner is stuck at rest
 * @see Milliken, Race Car Vehicle Dynamics, ch. 17; ISO 8855
 */
export function suspensionSweep(input: SweepInput): SuspensionSweepResult {
  refuseHalfSteered(input);
  const linkage = reaching(linkageOf(input));
  const read = reader(linkage);
  const rest = atRest(linkage);
  const travels = travelsOf(input.travelMm);
  const findings: SweepFinding[] = groundFindings(input);
  const stations: Station[] = [];
  for (const rackMm of input.rackMm ?? [0]) {
    const steered = march(linkage, rest, 0, rackMm);
    if (!steered.reached) {
      travels.forEach((travelMm) => findings.push(locked(travelMm, rackMm, steered.stoppedAt)));
      continue;
    }
    for (const { travelMm, from } of outward(linkage, steered.reached, travels)) {
      if ('stoppedAt' in from) findings.push(locked(travelMm, rackMm, from.stoppedAt));
      else {
        const station = read(from);
        if (station) stations.push(station);
        else
          findings.push({
            severity: 'over',
            about: 'rocker',
            why: `At ${plain(travelMm)} mm of travel the pushrod does not reach the rocker.`,
            travelMm,
            rackMm,
          });
      }
    }
  }
  const { bumpSteerDegPerMm, camberGainDegPerMm } = slopesAt(linkage);
  if (Math.abs(bumpSteerDegPerMm) > MOST_BUMP_STEER)
    findings.push({
      severity: 'over',
      about: 'bumpSteerDegPerMm',
      why: `The wheel steers by ${plain(bumpSteerDegPerMm)}° for each millimetre of travel.`,
      remedy: 'Bring the tie rod’s inner end to the height at which it swings like the arms.',
      travelMm: 0,
      rackMm: 0,
    });
  findings.push(...limitFindings(input, stations));
  const notes =
    input.kind === 'hingePins' && !input.kingpinLower
      ? ['It does not steer, so it has no caster, kingpin, scrub radius or trail.']
      : [];
  return { stations, bumpSteerDegPerMm, camberGainDegPerMm, findings, notes };
}

const locked = (
  travelMm: number,
  rackMm: number,
  at: { travelMm: number; rackMm: number },
): SweepFinding => ({
  severity: 'over',
  about: 'travelMm',
  why: `The linkage locks at ${plain(at.travelMm)} mm of travel${at.rackMm === 0 ? '' : ` and ${plain(at.rackMm)} mm of rack`}, before it reaches ${plain(travelMm)} mm${rackMm === 0 ? '' : ` at ${plain(rackMm)} mm of rack`}.`,
  travelMm: at.travelMm,
  rackMm: at.rackMm,
});

function travelsOf(travel: SweepInput['travelMm']): readonly number[] {
  if (!('step' in travel)) return travel;
  const { from, to, step } = travel;
  const count = Math.floor((to - from) / step + 1e-9);
  return Array.from({ length: count + 1 }, (_, index) => from + index * step);
}

type Arrived = { travelMm: number; from: Reached | { stoppedAt: { travelMm: number; rackMm: number } } };

/** Each travel reached along its own side of rest, in the order given. */
function outward(linkage: Linkage, start: Reached, travels: readonly number[]): Arrived[] {
  const found = new Map<number, Arrived['from']>();
  for (const side of [1, -1]) {
    let at: Arrived['from'] = start;
    for (const travelMm of [...new Set(travels)]
      .filter((travel) => (side > 0 ? travel >= 0 : travel < 0))
      .sort((a, b) => side * (a - b))) {
      if (!('stoppedAt' in at)) {
        const arrived: ReturnType<typeof march> =
          travelMm === at.travelMm ? { reached: at } : march(linkage, at, travelMm, start.pose.rackMm);
        at = arrived.reached ?? {
          stoppedAt: (arrived as { stoppedAt: { travelMm: number; rackMm: number } }).stoppedAt,
        };
      }
      found.set(travelMm, at);
    }
  }
  return travels.map((travelMm) => ({ travelMm, from: found.get(travelMm)! }));
}

/** Reads a station; undefined where the pushrod does not reach. */
export function reader(linkage: Linkage): (at: Reached) => Station | undefined {
  const { corner } = linkage;
  const axis = restAxis(corner);
  const damper = damperOf(corner);
  const still = wheelOf(
    corner,
    {
      rows: [
        [1, 0, 0],
        [0, 1, 0],
        [0, 0, 1],
      ],
      shift: [0, 0, 0],
    },
    axis,
  );
  const forward = corner.end === 'rear' ? -1 : 1;
  return (at) => {
    const { pose } = at;
    const wheel = wheelOf(corner, pose.upright, axis);
    const lengthMm = damper?.(pose);
    if (damper && lengthMm === undefined) return undefined;
    const [up, down] = [aside(linkage, at, ASIDE_MM), aside(linkage, at, -ASIDE_MM)];
    const slope = sloped(down, at, up);
    const rollCentreMm = rollCentre(wheel.contact, pose, slope);
    const lengthening = damper && slope(damper);
    return {
      travelMm: at.travelMm,
      rackMm: pose.rackMm,
      camberDeg: wheel.camberDeg,
      toeDeg: wheel.toeDeg,
      steerDeg: still.toeDeg - wheel.toeDeg,
      ...steeringOf(corner, pose, wheel),
      trackChangeMm: wheel.contact[1] - still.contact[1],
      wheelbaseChangeMm: forward * (wheel.contact[0] - still.contact[0]),
      ...(rollCentreMm === undefined ? {} : { rollCentreMm }),
      ...(lengthening === undefined ? {} : { motionRatio: -lengthening }),
      ...(lengthMm === undefined ? {} : { damperLengthMm: lengthMm }),
      articulationDeg: articulationOf(corner, pose),
      points: pointsOf(corner, pose, wheel.contact),
    };
  };
}

type Slope = (reading: (of: Pose) => number | undefined) => number | undefined;

/** How a reading goes with the travel between poses close by. */
function sloped(down: Aside | undefined, at: Aside, up: Aside | undefined): Slope {
  return (reading) => {
    const place = (of: Aside | undefined) => {
      const value = of && reading(of.pose);
      return of && value !== undefined ? ([of.travelMm, value] as const) : undefined;
    };
    return slopeOf(place(down), place(at)!, place(up));
  };
}

/** Height over the contact point where the normal of its path meets the middle of the car. */
function rollCentre(contact: Vec3, { upright }: Pose, slope: Slope): number | undefined {
  const material = turnBack(upright, subtract(contact, upright.shift));
  const [sideways, lift] = [
    slope((of) => carry(of.upright, material)[1]),
    slope((of) => carry(of.upright, material)[2]),
  ];
  return sideways === undefined || lift === undefined ? undefined : (contact[1] * sideways) / lift;
}

/** Roll centre at rest, mm over the ground under the wheel. */
export function rollCentreAtRest(linkage: Linkage): number {
  const rest = atRest(linkage);
  const { contact } = wheelOf(linkage.corner, rest.pose.upright, restAxis(linkage.corner));
  return rollCentre(
    contact,
    rest.pose,
    sloped(aside(linkage, rest, -ASIDE_MM), rest, aside(linkage, rest, ASIDE_MM)),
  )!;
}

/** How toe and camber go with the travel, degrees a millimetre: at static, or where the wheel stands at a travel that it reaches. */
export function slopesAt(
  linkage: Linkage,
  travelMm = 0,
): { bumpSteerDegPerMm: number; camberGainDegPerMm: number } {
  const static_ = atRest(linkage);
  const rest = march(linkage, static_, travelMm, 0).reached ?? static_;
  const axis = restAxis(linkage.corner);
  const slope = sloped(aside(linkage, rest, -ASIDE_MM), rest, aside(linkage, rest, ASIDE_MM));
  const of = (key: 'toeDeg' | 'camberDeg') =>
    slope(({ upright }) => wheelOf(linkage.corner, upright, axis)[key]) ?? 0;
  return { bumpSteerDegPerMm: of('toeDeg'), camberGainDegPerMm: of('camberDeg') };
}

function groundFindings({ wheelCentre, tyreRadiusMm, staticCamberDeg }: Corner): SweepFinding[] {
  const height = tyreRadiusMm * Math.cos((staticCamberDeg * Math.PI) / 180);
  const off = wheelCentre[2] - height;
  return Math.abs(off) <= GROUND_OFF_MM
    ? []
    : [
        {
          severity: 'tight',
          about: 'wheelCentre',
          why: `The tyre stands ${plain(Math.abs(off))} mm ${off > 0 ? 'over' : 'in'} the ground at rest.`,
          remedy: `Put the wheel centre ${plain(height)} mm over the ground.`,
        },
      ];
}

function limitFindings(
  { jointLimitDeg, damper, rocker }: Corner,
  stations: readonly Station[],
): SweepFinding[] {
  const closed = damper?.closedLengthMm ?? rocker?.closedLengthMm;
  const bottomed =
    closed === undefined
      ? undefined
      : stations.find(({ damperLengthMm = Infinity }) => damperLengthMm < closed);
  const joints =
    jointLimitDeg === undefined
      ? []
      : (['lower', 'upper', 'upperInner', 'tieInner', 'tieOuter'] as const).flatMap(
          (joint): SweepFinding[] => {
            const past = stations
              .filter(({ articulationDeg }) => (articulationDeg[joint] ?? 0) > jointLimitDeg)
              .sort((a, b) => Math.abs(a.travelMm) - Math.abs(b.travelMm))[0];
            return past
              ? [
                  {
                    severity: 'over',
                    about: joint,
                    why: `The joint ${joint} turns ${plain(past.articulationDeg[joint]!)}° at ${plain(past.travelMm)} mm of travel; it goes to ${plain(jointLimitDeg)}°.`,
                    travelMm: past.travelMm,
                    rackMm: past.rackMm,
                  },
                ]
              : [];
          },
        );
  return [
    ...(bottomed
      ? [
          {
            severity: 'over' as const,
            about: damper ? 'damper' : 'rocker',
            why: `The damper is shorter than its closed ${plain(closed!)} mm at ${plain(bottomed.travelMm)} mm of travel.`,
            travelMm: bottomed.travelMm,
            rackMm: bottomed.rackMm,
          },
        ]
      : []),
    ...joints,
  ];
}

/** On hinge pins the four points of the steering come together or not at all. */
export function refuseHalfSteered(corner: Corner): void {
  if (corner.kind !== 'hingePins') return;
  const four = ['kingpinLower', 'kingpinUpper', 'tieInner', 'tieOuter'] as const;
  const missing = four.filter((key) => corner[key] === undefined);
  if (missing.length > 0 && missing.length < four.length)
    throw new CalcError(
      missing[0]!,
      'is missing while others of the steering are given',
      'give kingpinLower, kingpinUpper, tieInner and tieOuter together, or none of them',
    );
}
