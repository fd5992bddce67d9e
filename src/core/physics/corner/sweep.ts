import { refusal } from '../../base/errors';
import type { Corner } from './corner';
import { type Linkage, linkageOf, type Posable } from './linkage';
import { reaching, restAxis, wheelOf } from './readings';
import { aside, atRest, march, type Reached } from './travel';
import { groundFindings, limitFindings, locked, type SweepFinding } from './sweepFindings';
import { ASIDE_MM, reader, rollCentre, sloped, type Station } from './station';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.linkage.pushrod': { travel: Measure };
    'note.linkage.bumpSteers': { slope: Measure };
    'note.linkage.tieRodHeight': Record<never, never>;
    'note.linkage.doesNotSteer': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'corner.steeringPart': Record<never, never>;
  }
}

export type SweepInput = Corner & {
  /** Ends included where the step divides; or each travel. */
  travelMm: { from: number; to: number; step: number } | readonly number[];
  rackMm?: readonly number[];
};

export interface SuspensionSweepResult {
  stations: Station[];
  bumpSteerDegPerMm: number;
  camberGainDegPerMm: number;
  findings: SweepFinding[];
  notes: Finding[];
}

const MOST_BUMP_STEER = 0.05;
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
  const travels = travelsOf(input.travelMm);
  const findings: SweepFinding[] = groundFindings(input);
  const stations: Station[] = [];
  for (const { travelMm, rackMm, from } of arrivals(linkage, travels, input.rackMm)) {
    if ('stoppedAt' in from) {
      findings.push(locked(travelMm, rackMm, from.stoppedAt));
      continue;
    }
    const station = read(from);
    if (station) stations.push(station);
    else
      findings.push({
        severity: 'over',
        about: 'rocker',
        why: finding('note.linkage.pushrod', { travel: measure(travelMm, 'lengthMm') }),
        travelMm,
        rackMm,
      });
  }
  const { bumpSteerDegPerMm, camberGainDegPerMm } = slopesAt(linkage);
  if (Math.abs(bumpSteerDegPerMm) > MOST_BUMP_STEER)
    findings.push({
      severity: 'over',
      about: 'bumpSteerDegPerMm',
      why: finding('note.linkage.bumpSteers', { slope: measure(bumpSteerDegPerMm, 'degPerMm') }),
      remedy: finding('note.linkage.tieRodHeight', {}),
      travelMm: 0,
      rackMm: 0,
    });
  findings.push(...limitFindings(input, stations));
  const notes =
    input.kind === 'hingePins' && !input.kingpinLower ? [finding('note.linkage.doesNotSteer', {})] : [];
  return { stations, bumpSteerDegPerMm, camberGainDegPerMm, findings, notes };
}

export function travelsOf(travel: SweepInput['travelMm']): readonly number[] {
  if (!('step' in travel)) return travel;
  const { from, to, step } = travel;
  const count = Math.floor((to - from) / step + 1e-9);
  return Array.from({ length: count + 1 }, (_, index) => from + index * step);
}

interface Arrived {
  travelMm: number;
  rackMm: number;
  from: Reached | { stoppedAt: { travelMm: number; rackMm: number } };
}

/** Every travel at every rack as it is reached from rest, or where it stops on the way: racks outside, travels inside. */
export function arrivals(
  linkage: Posable,
  travels: readonly number[],
  racks: readonly number[] = [0],
): Arrived[] {
  const rest = atRest(linkage);
  return racks.flatMap((rackMm): Arrived[] => {
    const steered = march(linkage, rest, 0, rackMm);
    if (steered.reached) return outward(linkage, steered.reached, travels);
    return travels.map((travelMm) => ({ travelMm, rackMm, from: { stoppedAt: steered.stoppedAt } }));
  });
}

/** Each travel reached along its own side of rest, in the order given. */
function outward(linkage: Posable, start: Reached, travels: readonly number[]): Arrived[] {
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
  return travels.map((travelMm) => ({ travelMm, rackMm: start.pose.rackMm, from: found.get(travelMm)! }));
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

/** On hinge pins the four points of the steering come together or not at all. */
export function refuseHalfSteered(corner: Corner): void {
  if (corner.kind !== 'hingePins') return;
  const four = ['kingpinLower', 'kingpinUpper', 'tieInner', 'tieOuter'] as const;
  const missing = four.filter((key) => corner[key] === undefined);
  if (missing.length > 0 && missing.length < four.length) throw refusal(missing[0]!, 'corner.steeringPart');
}
