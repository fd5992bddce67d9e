import { finding } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import type { Patch } from '../../../base/patch';
import type { Stage } from '../../../car/stages/stage';
import { planetarySearch } from '../../../physics/planetary/planetarySearch';
import type { PlanetaryResult } from '../../../physics/planetary/definition';
import { placesMissing, setOfStage } from '../../../worked/transmissions/setOfBuild';
import { planetaryStages } from '../../../worked/drive/stageKinds';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { assemblyFace } from './assembly.face';

interface OfSet {
  sun: number;
  ring: number;
  planets: number;
}

declare module '../../../base/finding' {
  interface FindingFacts {
    'gears.assembly.uneven': OfSet & { places: number };
    'gears.assembly.touch': OfSet & { overlap: Measure };
    'gears.assembly.involute': OfSet & { limit: Measure };
    'gears.assembly.goes': OfSet & { gap?: Measure };
  }
}

/** Whether the planets go in, clear each other, and mesh the ring without interference. */
export const assembly = defineCheck({
  ...assemblyFace,
  find: ({ document }): Found => {
    const stages = planetaryStages(document.drive.stages);
    const missing = stages.flatMap(placesMissing);
    if (missing.length > 0) return { missing };
    const told = stages.map((stage) => tell(stage, setOfStage(stage)));
    return told.find(({ state }) => state === 'over') ?? told[0]!;
  },
  remedies: ({ document }) =>
    planetaryStages(document.drive.stages)
      .filter((stage) => placesMissing(stage).length === 0)
      .flatMap(otherSets),
});

type Told = Extract<Found, { finding: object; state?: unknown }> & { state: 'over' | 'clear' };

function tell({ pinionTeeth, wheelTeeth, planets, moduleMm }: Stage, set: PlanetaryResult): Told {
  const of = { sun: pinionTeeth!, ring: wheelTeeth!, planets: planets! };
  const gap = set.planetGapMm;
  const inMm = (mm: number) => measure(mm, 'fitMm', 3);
  if (!set.planetsClear)
    return {
      state: 'over',
      finding: finding('gears.assembly.touch', { ...of, overlap: inMm(-gap!) }),
    };
  if (!set.assembles)
    return {
      state: 'over',
      finding: finding('gears.assembly.uneven', { ...of, places: of.sun + of.ring }),
    };
  if (set.involuteInterference)
    return {
      state: 'over',
      finding: finding('gears.assembly.involute', {
        ...of,
        limit: measure(set.ringAddendumLimit, 'coefficient', 3),
      }),
    };
  return {
    state: 'clear',
    finding: finding('gears.assembly.goes', {
      ...of,
      ...(gap === undefined || moduleMm === undefined ? {} : { gap: inMm(gap) }),
    }),
  };
}

/** A change of a set, with the ring's teeth so low that they stay on the planets' involutes. */
function withLowRing(
  stage: Stage,
  change: Partial<Pick<Stage, 'pinionTeeth' | 'wheelTeeth' | 'planets'>>,
): Patch {
  const path = (key: string) => ['drive', 'stages', stage.id, key];
  const { involuteInterference, ringAddendumLimit } = setOfStage({ ...stage, ...change });
  const height = Math.floor(ringAddendumLimit * 100) / 100;
  return [
    ...Object.entries(change).map(([key, value]) => ({ path: path(key), value })),
    ...(involuteInterference && height > 0 ? [{ path: path('ringAddendum'), value: height }] : []),
  ];
}

const [WITHIN_PCT, FEWEST, MOST] = [8, 2, 6];

/** Another number of planets, and the sets nearest in ratio that go in. */
function otherSets(stage: Stage): Proposal[] {
  const { pinionTeeth, wheelTeeth, planets } = stage;
  const counts = Array.from({ length: MOST - FEWEST + 1 }, (_, k) => FEWEST + k);
  const sets = planetarySearch({
    wantedRatio: 1 + wheelTeeth! / pinionTeeth!,
    tolerancePct: WITHIN_PCT,
    held: 'ring',
    driving: 'sun',
    planets: [planets!].filter((count) => count >= FEWEST && count <= MOST + 2),
    ringTeethMax: Math.min(400, wheelTeeth! + 12),
    maxResults: 3,
  }).rows;
  const lower = withLowRing(stage, {});
  return [
    ...(lower.length > 0 ? [{ patch: lower, cost: 1 as const }] : []),
    ...counts
      .filter((count) => count !== planets)
      .sort((a, b) => Math.abs(a - planets!) - Math.abs(b - planets!))
      .map((count) => ({ patch: withLowRing(stage, { planets: count }), cost: 2 as const })),
    ...sets.map((row) => ({
      patch: withLowRing(stage, { pinionTeeth: row.sunTeeth, wheelTeeth: row.ringTeeth }),
      cost: 2 as const,
    })),
  ];
}
