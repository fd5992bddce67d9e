import type { OperationFinding } from '../../base/operationFinding';
import { refusal } from '../../base/errors';
import { bisect } from '../../base/numeric/root';
import type { Corner } from './corner';
import { type Linkage, linkageOf } from './linkage';
import { inCorner } from './inCorner';
import { restAxis, steeringOf, wheelOf } from './readings';
import { refuseHalfSteered } from './sweep';
import { atRest, march } from './travel';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.steering.rackNotReached': { rack: Measure };
    'note.steering.stopRack': Record<never, never>;
    'note.steering.noRack': { wanted: Measure };
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'steering.fixed': Record<never, never>;
  }
}

export interface SteeringInput {
  corner: Corner;
  wheelbaseMm: number;
  rackMm: readonly number[];
  wantedDeg?: number;
}

export interface SteeringRow {
  rackMm: number;
  /** Changes from rest, positive to the left. */
  leftDeg: number;
  rightDeg: number;
  innerDeg?: number;
  outerDeg?: number;
  ackermannPct?: number;
  turnRadiusM?: number;
}

export interface SteeringResult {
  rows: SteeringRow[];
  rackForWantedMm?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

const DEG = 180 / Math.PI;
/** Angle under which a wheel counts as straight. */
const STRAIGHT_DEG = 0.05;
const SEARCH_STEP_MM = 0.5;
const MOST_RACK_MM = 200;

/**
 * What the rack does to both front wheels: angles, Ackermann and the circle. The right wheel is the mirror image with the
 * rack reversed.
 *
 * @returns angles in degrees, the radius in m
 * @throws CalcError at `corner` of a corner that does not steer, or as `suspension.sweep` does
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 8
 */
export function steeringGeometry({ corner, wheelbaseMm, rackMm, wantedDeg }: SteeringInput): SteeringResult {
  const linkage = steered(corner);
  const steerAt = steerOf(linkage);
  const track = groundTrack(linkage);
  const rows: SteeringRow[] = [];
  const findings: OperationFinding[] = [];
  for (const rack of rackMm) {
    const row = rowAt(steerAt, rack, track, wheelbaseMm);
    if (!row) {
      findings.push({
        severity: 'over',
        about: 'rackMm',
        why: finding('note.steering.rackNotReached', { rack: measure(rack, 'lengthMm') }),
        remedy: finding('note.steering.stopRack', {}),
      });
      continue;
    }
    rows.push(row);
  }
  const wanted = wantedDeg === undefined ? undefined : rackFor(steerAt, wantedDeg);
  return {
    rows,
    ...(wanted === undefined ? {} : { rackForWantedMm: wanted }),
    findings,
    notes:
      wantedDeg !== undefined && wanted === undefined
        ? [finding('note.steering.noRack', { wanted: measure(wantedDeg, 'angleDeg') })]
        : [],
  };
}

/** Both wheels at a rack; undefined where either does not reach it. */
export function rowAt(
  steerAt: (rackMm: number) => number | undefined,
  rackMm: number,
  track: number,
  wheelbaseMm: number,
): SteeringRow | undefined {
  const [left, mirrored] = [steerAt(rackMm), steerAt(-rackMm)];
  return left === undefined || mirrored === undefined
    ? undefined
    : { rackMm, leftDeg: left, rightDeg: -mirrored, ...circle(left, -mirrored, track, wheelbaseMm) };
}

function steered(corner: Corner): Linkage {
  refuseHalfSteered(corner);
  if (corner.kind === 'hingePins' && !corner.kingpinLower) throw refusal('corner', 'steering.fixed');
  return inCorner(() => linkageOf(corner));
}

/** Change of the left wheel's angle at a rack, travel 0; undefined where it is not reached. */
export function steerOf(linkage: Linkage): (rackMm: number) => number | undefined {
  const axis = restAxis(linkage.corner);
  const rest = atRest(linkage);
  const still = wheelOf(linkage.corner, rest.pose.upright, axis).toeDeg;
  return (rackMm) => {
    const { reached } = march(linkage, rest, 0, rackMm);
    return reached && still - wheelOf(linkage.corner, reached.pose.upright, axis).toeDeg;
  };
}

/** Between the points where both steering axes meet the ground at rest, mm. */
export function groundTrack(linkage: Linkage): number {
  const { corner } = linkage;
  const { pose } = atRest(linkage);
  const wheel = wheelOf(corner, pose.upright, restAxis(corner));
  const { scrubRadiusMm, trailMm } = steeringOf(corner, pose, wheel)!;
  const toe = wheel.toeDeg / DEG;
  // back from the wheel's axes to the car's
  return 2 * (wheel.contact[1] - trailMm * Math.sin(toe) - scrubRadiusMm * Math.cos(toe));
}

const cot = (degrees: number) => 1 / Math.tan(degrees / DEG);

function circle(
  leftDeg: number,
  rightDeg: number,
  track: number,
  wheelbaseMm: number,
): Pick<SteeringRow, 'innerDeg' | 'outerDeg' | 'ackermannPct' | 'turnRadiusM'> {
  if (Math.abs(leftDeg) < STRAIGHT_DEG || Math.abs(rightDeg) < STRAIGHT_DEG) return {};
  const [innerDeg, outerDeg] =
    leftDeg > 0 ? [Math.abs(leftDeg), Math.abs(rightDeg)] : [Math.abs(rightDeg), Math.abs(leftDeg)];
  const ideal = Math.atan(1 / (cot(outerDeg) - track / wheelbaseMm)) * DEG;
  const idealDeg = ideal < 0 ? ideal + 180 : ideal;
  return {
    innerDeg,
    outerDeg,
    ackermannPct: (100 * (innerDeg - outerDeg)) / (idealDeg - outerDeg),
    turnRadiusM: (wheelbaseMm * (cot(innerDeg) + cot(outerDeg))) / 2000,
  };
}

/** The rack nearest to rest that steers the left wheel so far. */
function rackFor(steerAt: (rackMm: number) => number | undefined, wantedDeg: number): number | undefined {
  if (wantedDeg === 0) return 0;
  const off = (rack: number) => (steerAt(rack) ?? NaN) - wantedDeg;
  const open = { up: true, down: true };
  for (let rack = SEARCH_STEP_MM; rack <= MOST_RACK_MM && (open.up || open.down); rack += SEARCH_STEP_MM) {
    const found: number[] = [];
    for (const [key, sign] of [
      ['up', 1],
      ['down', -1],
    ] as const) {
      if (!open[key]) continue;
      const [near, far] = [off(sign * (rack - SEARCH_STEP_MM)), off(sign * rack)];
      if (Number.isNaN(far)) open[key] = false;
      else if (near * far <= 0) found.push(bisect(off, sign * (rack - SEARCH_STEP_MM), sign * rack));
    }
    if (found.length > 0) return found.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a));
  }
  return undefined;
}
