import { refusal } from '../../base/errors';
import { add, carry, type Motion, rotationAbout, STILL, subtract, unit, type Vec3 } from '../../base/vec3';
import type { Corner } from '../corner/corner';
import { inCorner } from '../corner/inCorner';
import { linkageOf, type Pose, swung } from '../corner/linkage';
import { reaching, rockerOf } from '../corner/readings';
import { arrivals, refuseHalfSteered, travelsOf } from '../corner/sweep';
import { locked, type SweepFinding } from '../corner/sweepFindings';
import type { BodyMove, ClearanceInput, PoseName } from './definition';

declare module '../../base/errors' {
  interface RefusalFacts {
    'clearance.posesAndCorner': Record<never, never>;
    'clearance.noBody': { name: string };
    'clearance.noAxis': Record<never, never>;
  }
}

/** Where the bodies stand; one that is not named stands as at static. */
export interface PosedBodies {
  name: PoseName;
  bodies: ReadonlyMap<string, Motion>;
}

const RAD = Math.PI / 180;

/** Every pose that is asked for, and the stations of a corner that do not exist. */
export function posesOf({ poses, corner, shapes }: ClearanceInput): {
  poses: PosedBodies[];
  findings: SweepFinding[];
} {
  if (poses && corner) throw refusal('poses', 'clearance.posesAndCorner');
  if (corner) return stationsOf(corner);
  if (!poses) return { poses: [{ name: 'static', bodies: new Map() }], findings: [] };
  const known = new Set(shapes.map(({ body }) => body));
  return {
    poses: poses.map(({ name, bodies }, k) => ({
      name,
      bodies: new Map(
        Object.entries(bodies).map(([body, move]) => {
          const path = `poses.${k}.bodies.${body}`;
          if (!known.has(body)) throw refusal(path, 'clearance.noBody', { name: body });
          return [body, motionOf(move, path)];
        }),
      ),
    })),
    findings: [],
  };
}

function motionOf({ moveMm = [0, 0, 0], turn }: BodyMove, path: string): Motion {
  if (!turn) return { rows: STILL.rows, shift: moveMm };
  if (Math.hypot(...turn.axis) === 0) throw refusal(`${path}.turn.axis`, 'clearance.noAxis');
  const turned = rotationAbout(turn.aboutMm, unit(turn.axis), turn.deg * RAD);
  return { rows: turned.rows, shift: add(turned.shift, moveMm) };
}

function stationsOf(corner: NonNullable<ClearanceInput['corner']>): {
  poses: PosedBodies[];
  findings: SweepFinding[];
} {
  const linkage = inCorner(() => {
    refuseHalfSteered(corner);
    return reaching(linkageOf(corner));
  });
  const found: { poses: PosedBodies[]; findings: SweepFinding[] } = { poses: [], findings: [] };
  for (const { travelMm, rackMm, from } of arrivals(linkage, travelsOf(corner.travelMm), corner.rackMm)) {
    if ('stoppedAt' in from) found.findings.push(locked(travelMm, rackMm, from.stoppedAt));
    else found.poses.push({ name: { travelMm, rackMm }, bodies: bodiesOfCorner(corner, from.pose) });
  }
  return found;
}

/** Motion of a straight piece between two points that takes one end along and turns as little as it can. */
export function between(
  kept: readonly [rest: Vec3, now: Vec3],
  other: readonly [rest: Vec3, now: Vec3],
): Motion {
  return swung(unit(subtract(other[0], kept[0])), unit(subtract(other[1], kept[1])), kept[0], kept[1]);
}

/** The bodies of a corner where it stands. */
export function bodiesOfCorner(corner: Corner, pose: Pose): Map<string, Motion> {
  const found = new Map<string, Motion>([
    ['lower', pose.lower],
    ['carrier', pose.carrier],
    ['upright', pose.upright],
  ]);
  if (corner.kind === 'wishbones') found.set('upper', pose.upper);
  else
    found.set(
      'upper',
      between(
        [corner.upperInner, corner.upperInner],
        [corner.upperOuter, carry(pose.carrier, corner.upperOuter)],
      ),
    );
  const { tieInner, tieOuter } = corner;
  if (tieInner && tieOuter)
    found.set(
      'tie',
      between([tieInner, add(tieInner, [0, pose.rackMm, 0])], [tieOuter, carry(pose.upright, tieOuter)]),
    );
  const ends = damperEnds(corner, pose);
  if (ends) {
    const [inner, outer] = ends;
    found.set('damperInner', between(inner, outer));
    found.set('damperOuter', between(outer, inner));
  }
  return found;
}

type End = readonly [rest: Vec3, now: Vec3];

function damperEnds(corner: Corner, pose: Pose): readonly [inner: End, outer: End] | undefined {
  const { damper, rocker } = corner;
  if (damper)
    return [
      [damper.inner, damper.inner],
      [damper.outer, carry(pose[damper.on], damper.outer)],
    ];
  const posed = rocker && rockerOf(corner)!(pose);
  return (
    posed && [
      [rocker.damperChassis, rocker.damperChassis],
      [rocker.damperRocker, posed.damper[0]],
    ]
  );
}

/** Motion of a body in a pose. */
export const motionIn = ({ bodies }: PosedBodies, body: string): Motion => bodies.get(body) ?? STILL;
