import { CalcError, refusal } from '../../base/errors';
import { randomFrom } from '../../base/numeric/random';
import type { Vec3 } from '../../base/vec3';
import type { Corner, PointName } from '../../physics/corner/corner';
import { steers, travelsOver } from './endOfBuild';
import { type Linkage, linkageOf } from '../../physics/corner/linkage';
import { restAxis, steeringOf, wheelOf } from '../../physics/corner/readings';
import { groundTrack, rowAt, steerOf } from '../../physics/corner/steering';
import { rollCentreAtRest, slopesAt } from '../../physics/corner/sweep';
import { atRest, march, type Reached } from '../../physics/corner/travel';

declare module '../../base/errors' {
  interface RefusalFacts {
    'better.noPoint': Record<never, never>;
    'better.noWish': Record<never, never>;
    'better.unknownPoint': { point: string };
    'better.reach': Record<never, never>;
    'better.ackermann': Record<never, never>;
    'better.caster': Record<never, never>;
  }
}

/** One coordinate of a point that may be moved, each way from where it is. */
export interface Freedom {
  point: PointName;
  axis: 0 | 1 | 2;
  plusMinusMm: number;
}

/** What is wished for; a reading left out does not count. */
export interface Wants {
  bumpSteerDegPerMm?: number;
  camberGainDegPerMm?: number;
  casterDeg?: number;
  rollCentreMm?: number;
  ackermannPct?: number;
}

export interface BetterTask {
  corner: Corner;
  wheelbaseMm: number;
  bumpMm: number;
  droopMm: number;
  /** Rack at which Ackermann is read, mm; only where it is wished for. */
  rackMm?: number;
  free: readonly Freedom[];
  wants: Wants;
  trials?: number;
  seed?: number;
}

/** What a corner does, as far as it is wished for. */
export interface BetterReadings extends Wants {
  /** Largest difference of the toe from the wish over the travel, degrees. */
  toeOffDeg: number;
}

export interface MovedPoint {
  point: PointName;
  from: Vec3;
  to: Vec3;
}

export interface BetterResult {
  corner: Corner;
  moved: MovedPoint[];
  before: BetterReadings;
  after: BetterReadings;
  trials: number;
  /** Cost before and after: squares of the differences from the wish, each over what a builder would notice. */
  costBefore: number;
  costAfter: number;
}

export const USUAL_TRIALS = 10_000;
const STATIONS = 11;
/** Differences that a builder would notice. */
const NOTICED: Readonly<Record<keyof Wants | 'toeOffDeg', number>> = {
  bumpSteerDegPerMm: 0.01,
  toeOffDeg: 0.1,
  camberGainDegPerMm: 0.01,
  casterDeg: 0.5,
  rollCentreMm: 2,
  ackermannPct: 10,
};
/** Differential evolution: Storn and Price, Journal of Global Optimization 11 (1997), rand/1/bin. */
const [WEIGHT, CROSSOVER] = [0.6, 0.9];
const A_COORDINATE = 8;
const [LEAST_CROWD, MOST_CROWD] = [16, 40];
/** So that of two corners alike the one that moved less is taken. */
const MOVE_COST = 1e-3;
const NO_CORNER = 1e9;
const MISSED_STATION = 1e6;

/**
 * Moves the free coordinates within their boxes towards what is wished for; yields the number of corners tried after every
 * generation, so that a worker can report and stop.
 *
 * @throws CalcError at `free` without one, at `wants` without one, at a free point that the corner has not
 */
export function* searchBetter(task: BetterTask): Generator<number, BetterResult> {
  const { corner, free, wants, trials = USUAL_TRIALS, seed = 1 } = task;
  refuse(task);
  const random = randomFrom(seed);
  const crowd = Math.min(MOST_CROWD, Math.max(LEAST_CROWD, A_COORDINATE * free.length));
  const costOf = (move: readonly number[]) =>
    scored(task, movedBy(corner, free, move)).cost +
    MOVE_COST * move.reduce((sum, value, index) => sum + (value / free[index]!.plusMinusMm) ** 2, 0);
  const members = Array.from({ length: crowd }, (_, index) =>
    free.map(({ plusMinusMm }) => (index === 0 ? 0 : plusMinusMm * (2 * random() - 1))),
  );
  const costs = members.map(costOf);
  let done = crowd;
  yield done;
  while (done < trials) {
    for (let index = 0; index < crowd && done < trials; index++, done++) {
      const [a, b, c] = threeOthers(index, crowd, random).map((other) => members[other]!) as [
        number[],
        number[],
        number[],
      ];
      const sure = Math.floor(random() * free.length);
      const trial = members[index]!.map((value, axis) => {
        if (axis !== sure && random() > CROSSOVER) return value;
        const { plusMinusMm } = free[axis]!;
        const next = a[axis]! + WEIGHT * (b[axis]! - c[axis]!);
        return Math.abs(next) <= plusMinusMm ? next : plusMinusMm * (2 * random() - 1);
      });
      const cost = costOf(trial);
      if (cost > costs[index]!) continue;
      members[index] = trial;
      costs[index] = cost;
    }
    yield done;
  }
  const best = members[costs.indexOf(Math.min(...costs))]!.map((value) => Number(value.toFixed(2)));
  const found = movedBy(corner, free, best);
  const [before, after] = [scored(task, corner), scored(task, found)];
  const names = [...new Set(free.map(({ point }) => point))].filter(
    (name) => !same(pointOf(corner, name)!, pointOf(found, name)!),
  );
  return {
    corner: found,
    moved: names.map((point) => ({ point, from: pointOf(corner, point)!, to: pointOf(found, point)! })),
    before: wished(before, wants),
    after: wished(after, wants),
    trials: done,
    costBefore: before.cost,
    costAfter: after.cost,
  };
}

const pointOf = (corner: Corner, name: PointName): Vec3 | undefined =>
  (corner as unknown as Partial<Record<PointName, Vec3>>)[name];
const same = (a: Vec3, b: Vec3) => a.every((value, axis) => value === b[axis]);

function refuse({ corner, free, wants, rackMm }: BetterTask): void {
  if (free.length === 0) throw refusal('free', 'better.noPoint');
  if (Object.values(wants).every((want) => want === undefined)) throw refusal('wants', 'better.noWish');
  free.forEach(({ point, plusMinusMm }, index) => {
    if (!pointOf(corner, point)) throw refusal(`free.${index}.point`, 'better.unknownPoint', { point });
    if (!(plusMinusMm > 0)) throw refusal(`free.${index}.plusMinusMm`, 'better.reach');
  });
  if (wants.ackermannPct !== undefined && (!rackMm || !steers(corner)))
    throw refusal('wants.ackermannPct', 'better.ackermann');
  if (wants.casterDeg !== undefined && !steers(corner)) throw refusal('wants.casterDeg', 'better.caster');
  linkageOf(corner);
}

function threeOthers(index: number, count: number, random: () => number): number[] {
  const chosen: number[] = [];
  while (chosen.length < 3) {
    const next = Math.floor(random() * count);
    if (next !== index && !chosen.includes(next)) chosen.push(next);
  }
  return chosen;
}

function movedBy(corner: Corner, free: readonly Freedom[], move: readonly number[]): Corner {
  const points: Partial<Record<PointName, number[]>> = {};
  free.forEach(({ point, axis }, index) => {
    const at = (points[point] ??= [...pointOf(corner, point)!]);
    at[axis] = Number((at[axis]! + move[index]!).toFixed(6));
  });
  return { ...corner, ...points } as Corner;
}

interface Scored {
  cost: number;
  readings?: BetterReadings;
}

const wished = ({ readings }: Scored, wants: Wants): BetterReadings => {
  const known = readings ?? { toeOffDeg: NaN };
  return Object.fromEntries(
    Object.entries(known).filter(([key]) => key === 'toeOffDeg' || wants[key as keyof Wants] !== undefined),
  ) as unknown as BetterReadings;
};

function scored(task: BetterTask, corner: Corner): Scored {
  const { wants } = task;
  let linkage: Linkage;
  try {
    linkage = linkageOf(corner);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { cost: NO_CORNER };
  }
  const toes = toesOver(linkage, task);
  if ('missed' in toes) return { cost: MISSED_STATION * toes.missed };
  const slopes = slopesAt(linkage);
  const pose = linkage.pose(0, 0)!;
  const steering = steeringOf(corner, pose, wheelOf(corner, pose.upright, restAxis(corner)));
  const ackermannPct =
    wants.ackermannPct === undefined || !task.rackMm
      ? undefined
      : rowAt(steerOf(linkage), task.rackMm, groundTrack(linkage), task.wheelbaseMm)?.ackermannPct;
  if (wants.ackermannPct !== undefined && ackermannPct === undefined) return { cost: MISSED_STATION };
  const bump = wants.bumpSteerDegPerMm ?? 0;
  const off = toes.map(({ travelMm, toeDeg }) => toeDeg - bump * travelMm);
  const readings: BetterReadings = {
    ...slopes,
    toeOffDeg: Math.max(...off.map(Math.abs)),
    ...(steering ? { casterDeg: steering.casterDeg } : {}),
    rollCentreMm: rollCentreAtRest(linkage),
    ...(ackermannPct === undefined ? {} : { ackermannPct }),
  };
  const differences = (Object.keys(wants) as (keyof Wants)[])
    .filter((key) => wants[key] !== undefined)
    .map((key) => (readings[key]! - wants[key]!) / NOTICED[key]);
  const curve =
    wants.bumpSteerDegPerMm === undefined
      ? []
      : off.map((value) => value / NOTICED.toeOffDeg / Math.sqrt(STATIONS));
  return { cost: [...differences, ...curve].reduce((sum, value) => sum + value * value, 0), readings };
}

/** Change of the toe from rest at every station, or how many are not reached. */
function toesOver(
  linkage: Linkage,
  { droopMm, bumpMm }: BetterTask,
): { travelMm: number; toeDeg: number }[] | { missed: number } {
  const axis = restAxis(linkage.corner);
  const rest = atRest(linkage);
  const toeOf = ({ pose }: Reached) => wheelOf(linkage.corner, pose.upright, axis).toeDeg;
  const still = toeOf(rest);
  const travels = travelsOver(droopMm, bumpMm, STATIONS);
  const found: { travelMm: number; toeDeg: number }[] = [];
  for (const side of [1, -1]) {
    let at = rest;
    for (const travelMm of travels.filter((travel) => side * travel > 0).sort((a, b) => side * (a - b))) {
      const { reached } = march(linkage, at, travelMm, 0);
      if (!reached) return { missed: STATIONS - 1 - found.length };
      at = reached;
      found.push({ travelMm, toeDeg: toeOf(reached) - still });
    }
  }
  return found;
}
