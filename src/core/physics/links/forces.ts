import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import { add, cross, distance, dot, scale, subtract, unit, type Vec3 } from '../../base/vec3';
import type { Pose } from '../corner/linkage';
import { ASIDE_MM, sloped } from '../corner/station';
import { arrivals, travelsOf } from '../corner/sweep';
import { locked, type SweepFinding } from '../corner/sweepFindings';
import { aside, atRest, type Reached } from '../corner/travel';
import type {
  ForcedCorner,
  ForcesStation,
  LinksForcesInput,
  LinksForcesResult,
  LoadForces,
  WheelLoad,
} from './definition';
import type { Mechanism } from './mechanism';
import { about, CHASSIS, type Held, heldBy, type Hold, type Wrench, wrenchAt } from './statics';
import { stallN, usualLoads } from './wheelLoads';
import { worstJointsOf, worstOf } from './worst';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.links.damperIdle': { travel: Measure };
    'note.links.noTie': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'links.noLoad': Record<never, never>;
    'links.loadTwice': { name: string };
    'links.damperStill': Record<never, never>;
    'links.rackFixed': Record<never, never>;
  }
}

const STILL_RATIO = 1e-6;

/** Forces in the links of a corner that is taken apart; what refuses the corner itself comes after a missing load. */
export function forcesIn(mechanismOf: () => Mechanism, input: LinksForcesInput): LinksForcesResult {
  const { corner, loads = [], standard, travelMm = [0], rackMm = [0] } = input;
  if (loads.length === 0 && !standard) throw refusal('loads', 'links.noLoad');
  const mechanism = mechanismOf();
  const turned = rackMm.findIndex((rack) => rack !== 0);
  if (turned >= 0 && !mechanism.steers) throw refusal(`rackMm.${turned}`, 'links.rackFixed');
  const rest = atRest(mechanism.posable);
  if (Math.abs(damperRatio(mechanism, rest) ?? 0) < STILL_RATIO)
    throw refusal(`corner.${mechanism.sprungBy}`, 'links.damperStill');
  const all = [...loads, ...(standard ? usualLoads(standard) : [])];
  all.forEach(({ name }, k) => {
    const first = all.findIndex((one) => one.name === name);
    if (first < k) throw refusal(`loads.${k < loads.length ? k : first}.name`, 'links.loadTwice', { name });
  });
  const jammedN = standard && stallN(standard);
  const hasTie = mechanism.holds(rest.pose).some((hold) => hold.kind === 'rod' && isTie(hold, corner));
  const findings: SweepFinding[] = [];
  const stations: ForcesStation[] = [];
  const poses: Pose[] = [];
  for (const { travelMm: travel, rackMm: rack, from } of arrivals(
    mechanism.posable,
    travelsOf(travelMm),
    rackMm,
  )) {
    if ('stoppedAt' in from) {
      findings.push(locked(travel, rack, from.stoppedAt));
      continue;
    }
    if (Math.abs(damperRatio(mechanism, from) ?? 0) < STILL_RATIO) {
      findings.push({
        severity: 'over',
        about: mechanism.sprungBy,
        why: finding('note.links.damperIdle', { travel: measure(travel, 'lengthMm') }),
        travelMm: travel,
        rackMm: rack,
      });
      continue;
    }
    stations.push({
      travelMm: travel,
      rackMm: rack,
      loads: stationLoads(
        mechanism,
        from.pose,
        all,
        standard && jammedN && hasTie ? { staticN: standard.staticN, jammedN, corner } : undefined,
      ),
    });
    poses.push(from.pose);
  }
  const lengthsAt = (pose: Pose) =>
    new Map(
      mechanism
        .holds(pose)
        .flatMap((hold) =>
          hold.kind === 'rod' ? [[hold.member, distance(hold.inner, hold.outer)] as const] : [],
        ),
    );
  const notes: Finding[] = jammedN !== undefined && !hasTie ? [finding('note.links.noTie', {})] : [];
  return {
    stations,
    worst: worstOf(stations, (at) => lengthsAt(at === undefined ? rest.pose : poses[at]!)),
    worstJoints: worstJointsOf(stations),
    ...(mechanism.conditionNumber === undefined ? {} : { conditionNumber: mechanism.conditionNumber }),
    findings,
    notes,
  };
}

/** How the damper shortens with the travel. */
function damperRatio({ posable, damperMm }: Mechanism, at: Reached): number | undefined {
  const slope = sloped(aside(posable, at, -ASIDE_MM), at, aside(posable, at, ASIDE_MM))(damperMm);
  return slope === undefined ? undefined : -slope;
}

/** Whether a rod is what a servo turns the wheel by. */
const isTie = ({ member }: Extract<Hold, { kind: 'rod' }>, corner: ForcedCorner): boolean =>
  corner.kind === 'links'
    ? corner.links.some(({ id, steer }) => id === member && steer === true)
    : member === 'tie';

interface Jammed {
  staticN: number;
  jammedN: number;
  corner: ForcedCorner;
}

function stationLoads(
  mechanism: Mechanism,
  pose: Pose,
  loads: readonly WheelLoad[],
  jammed: Jammed | undefined,
): LoadForces[] {
  const holds = mechanism.holds(pose);
  const stand = mechanism.stand(pose);
  const solve = (wrenches: readonly Wrench[]) => heldBy(holds, mechanism.bodies, mechanism.upright, wrenches);
  const wrenchOf = ({
    forceN,
    at = 'contact',
    torque = 'inboard',
    momentNmm = [0, 0, 0],
  }: WheelLoad): Wrench => {
    const hub = wrenchAt(forceN, stand.centre);
    const arm = at === 'hub' ? ZERO : cross(subtract(stand.contact, stand.centre), forceN);
    // a shaft to the chassis, or a wheel that rolls freely, gives the upright no moment about the axle
    const kept = torque === 'inboard' ? subtract(arm, about(arm, stand.axis)) : arm;
    return { forceN, momentNmm: add(add(hub.momentNmm, kept), momentNmm) };
  };
  const wrenches = loads.map(wrenchOf);
  const names = loads.map(({ name }) => name);
  if (jammed) {
    const standing = wrenchOf({ name: '', forceN: [0, 0, jammed.staticN] });
    const told = solve([standing, { forceN: ZERO, momentNmm: [0, 0, 1] }]);
    const tie = (held: readonly Held[]) =>
      held.find(({ hold }) => hold.kind === 'rod' && isTie(hold, jammed.corner))!.tensionN!;
    if (told) {
      const [still, perNmm] = [tie(told[0]!), tie(told[1]!)];
      for (const [name, pull] of [
        ['servoStallPull', jammed.jammedN],
        ['servoStallPush', -jammed.jammedN],
      ] as const) {
        wrenches.push({
          ...standing,
          momentNmm: add(standing.momentNmm, [0, 0, (pull - still) / perNmm]),
        });
        names.push(name);
      }
    }
  }
  return (solve(wrenches) ?? []).map((held, k) => loadForces(names[k]!, held));
}

const ZERO: Vec3 = [0, 0, 0];

function loadForces(name: string, held: readonly Held[]): LoadForces {
  const found: LoadForces = { name, members: {}, joints: {}, chassis: {} };
  const against = (force: Vec3): Vec3 => scale(force, -1);
  for (const { hold, forces, tensionN } of held) {
    switch (hold.kind) {
      case 'rod':
        found.members[hold.member] = tensionN!;
        if (hold.outerName) found.joints[hold.outerName] = forces[0]!;
        if (hold.from === CHASSIS) found.chassis[hold.innerName] = against(forces[0]!);
        break;
      case 'ball':
        found.joints[hold.name] = forces[0]!;
        break;
      case 'hinge':
        hold.names.forEach((point, k) => {
          found.joints[point] = forces[k]!;
          if (hold.from === CHASSIS) found.chassis[point] = against(forces[k]!);
        });
        break;
      case 'pivot':
        found.chassis[hold.name] = against(forces[0]!);
        break;
    }
  }
  const legsN = legsOf(held);
  return { ...found, ...(legsN ? { legsN } : {}) };
}

const ARMS = { lower: 'lowerOuter', upper: 'upperOuter' } as const;

/** The force of an arm's ball along the lines to its inner points, where nothing else pushes the arm. */
function legsOf(held: readonly Held[]): LoadForces['legsN'] {
  const found: NonNullable<LoadForces['legsN']> = {};
  for (const arm of ['lower', 'upper'] as const) {
    const ball = held.find(({ hold }) => hold.kind === 'ball' && hold.name === ARMS[arm]);
    if (ball?.hold.kind !== 'ball') continue;
    const { at, from: body } = ball.hold;
    const hinge = held.find(({ hold }) => hold.kind === 'hinge' && hold.to === body)?.hold;
    const isPushed = held.some(({ hold }) => hold.kind === 'rod' && hold.to === body);
    if (hinge?.kind !== 'hinge' || isPushed) continue;
    const [front, rear] = hinge.points.map((point) => unit(subtract(point, at))) as [Vec3, Vec3];
    const force = ball.forces[0]!;
    const [c, f, r] = [dot(front, rear), dot(front, force), dot(rear, force)];
    const size = 1 - c * c;
    found[arm] = [(f - c * r) / size, (r - c * f) / size];
  }
  return Object.keys(found).length > 0 ? found : undefined;
}
