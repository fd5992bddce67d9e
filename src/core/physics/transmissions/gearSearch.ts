import { refusal } from '../../base/errors';
import { commonDivisor } from '../../base/numeric/divisor';
import { type Finding, finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.gearSearch.none': Record<never, never>;
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'gearSearch.many': { combinations: number; most: number };
  }
}

export interface SearchStage {
  pinions: number[];
  wheels: number[];
  moduleMm?: number;
  centreMinMm?: number;
  centreMaxMm?: number;
}

export const SEARCH_SORTS = ['closest', 'hunting', 'small'] as const;
export type SearchSort = (typeof SEARCH_SORTS)[number];

export interface GearSearchInput {
  wantedRatio: number;
  tolerancePct?: number;
  stages: SearchStage[];
  sort?: SearchSort;
  maxResults?: number;
}

export interface FoundGears {
  /** Pinion and wheel of each stage. */
  stages: [number, number][];
  ratio: number;
  /** Signed. */
  errorPct: number;
  centresMm: number[];
  /** Sum of the centres. */
  sizeMm: number;
  /** Stages whose teeth have no common divisor, so that each meets each. */
  huntingStages: number;
  /** Turns of the pinion until the same teeth meet again. */
  pinionTurnsToRepeat: number[];
}

export interface GearSearchResult {
  /** Combinations of the pairs within the centre limits. */
  searched: number;
  /** Of them within the tolerance. */
  found: number;
  rows: FoundGears[];
  findings: OperationFinding[];
  notes: Finding[];
}

const MOST = 2_000_000;
const SAME = 1e-9;

interface Pair {
  pinion: number;
  wheel: number;
  ratio: number;
  centreMm: number;
  divisor: number;
}

/** What rows are sorted by: distance, hunting stages and size, then their place in the order of teeth. */
interface Ranked {
  distance: number;
  hunting: number;
  sizeMm: number;
  place: number;
}

const BY: Readonly<Record<SearchSort, readonly ((row: Ranked) => number)[]>> = {
  closest: [({ distance }) => distance, ({ hunting }) => -hunting, ({ sizeMm }) => sizeMm],
  hunting: [({ hunting }) => -hunting, ({ distance }) => distance, ({ sizeMm }) => sizeMm],
  small: [({ sizeMm }) => sizeMm, ({ distance }) => distance, ({ hunting }) => -hunting],
};

/**
 * A ratio from the gears at hand over one to three stages.
 *
 * @param onProgress share of the combinations that are looked at
 * @returns lengths in mm
 * @throws CalcError at `stages` for more than 2,000,000 combinations
 */
export function gearSearch(input: GearSearchInput, onProgress?: (share: number) => void): GearSearchResult {
  const { wantedRatio, tolerancePct = 2, stages, sort = 'closest', maxResults = 50 } = input;
  const combinations = stages.reduce((all, { pinions, wheels }) => all * pinions.length * wheels.length, 1);
  if (combinations > MOST) throw refusal('stages', 'gearSearch.many', { combinations, most: MOST });
  const lists = stages.map(pairsOf);
  const searched = lists.reduce((all, { length }) => all * length, 1);
  const keys = BY[sort];
  const best: Ranked[] = [];
  let found = 0;
  const tolerance = tolerancePct / 100 + SAME;
  const strides = lists.map((_, at) => lists.slice(at + 1).reduce((all, { length }) => all * length, 1));
  const pairAt = (place: number, stage: number) =>
    lists[stage]![Math.floor(place / strides[stage]!) % lists[stage]!.length]!;
  const told = Math.max(1, Math.floor(searched / 50));
  for (let place = 0; place < searched; place++) {
    if (onProgress && place % told === 0) onProgress(place / searched);
    let ratio = 1;
    for (let stage = 0; stage < lists.length; stage++) ratio *= pairAt(place, stage).ratio;
    const distance = Math.abs(ratio / wantedRatio - 1);
    if (distance > tolerance) continue;
    found++;
    let [sizeMm, hunting] = [0, 0];
    for (let stage = 0; stage < lists.length; stage++) {
      const pair = pairAt(place, stage);
      sizeMm += pair.centreMm;
      if (pair.divisor === 1) hunting++;
    }
    keep(
      best,
      { distance: Math.round(distance * 1e9), hunting, sizeMm: Math.round(sizeMm * 1e6), place },
      keys,
      maxResults,
    );
  }
  const rows = best.map(({ place }) =>
    rowOf(
      lists.map((_, stage) => pairAt(place, stage)),
      wantedRatio,
    ),
  );
  return {
    searched,
    found,
    rows,
    findings: [],
    notes: found === 0 ? [finding('note.gearSearch.none', {})] : [],
  };
}

/** Pairs of one stage within its centres, teeth rising, the pinion first. */
function pairsOf({
  pinions,
  wheels,
  moduleMm = 1,
  centreMinMm = 0,
  centreMaxMm = Infinity,
}: SearchStage): Pair[] {
  const rising = (list: readonly number[]) => list.toSorted((a, b) => a - b);
  return rising(pinions).flatMap((pinion) =>
    rising(wheels).flatMap((wheel) => {
      const centreMm = (moduleMm * (pinion + wheel)) / 2;
      if (centreMm < centreMinMm - SAME || centreMm > centreMaxMm + SAME) return [];
      return [{ pinion, wheel, ratio: wheel / pinion, centreMm, divisor: commonDivisor(pinion, wheel) }];
    }),
  );
}

/** Puts a row where it belongs among the best; those that come later in the order of teeth go behind. */
function keep(best: Ranked[], row: Ranked, keys: readonly ((row: Ranked) => number)[], most: number): void {
  const isBefore = (other: Ranked) => {
    for (const key of keys) {
      const difference = key(row) - key(other);
      if (difference !== 0) return difference < 0;
    }
    return false;
  };
  if (best.length === most && !isBefore(best[most - 1]!)) return;
  let [low, high] = [0, best.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (isBefore(best[middle]!)) high = middle;
    else low = middle + 1;
  }
  best.splice(low, 0, row);
  if (best.length > most) best.pop();
}

function rowOf(pairs: readonly Pair[], wantedRatio: number): FoundGears {
  const ratio = pairs.reduce((all, pair) => all * pair.ratio, 1);
  return {
    stages: pairs.map(({ pinion, wheel }) => [pinion, wheel]),
    ratio,
    errorPct: 100 * (ratio / wantedRatio - 1),
    centresMm: pairs.map(({ centreMm }) => centreMm),
    sizeMm: pairs.reduce((all, { centreMm }) => all + centreMm, 0),
    huntingStages: pairs.filter(({ divisor }) => divisor === 1).length,
    pinionTurnsToRepeat: pairs.map(({ wheel, divisor }) => wheel / divisor),
  };
}
