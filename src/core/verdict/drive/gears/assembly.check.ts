import { finding } from '../../../base/finding';
import { type Measure, measure } from '../../../base/measure';
import type { Patch } from '../../../base/patch';
import type { Stage } from '../../../car/stages/stage';
import { planetarySearch } from '../../../physics/planetary/planetarySearch';
import type { PlanetaryResult } from '../../../physics/planetary/definition';
import { placesMissing, setOfStage } from '../../../worked/transmissions/setOfBuild';
import { differentialStages, planetaryStages } from '../../../worked/drive/stageKinds';
import { insideMissing, insideOfStage } from '../../../worked/transmissions/insideOfStage';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { assemblyFace } from './assembly.face';

/** The planets of a differential, and the teeth of a side gear. */
interface Inside {
  planets: number;
  side: number;
}

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
    'gears.assembly.insideUneven': Inside;
    'gears.assembly.insideTouch': Inside & { overlap: Measure };
    'gears.assembly.insideGoes': Inside & { gap?: Measure };
  }
}

/** Whether the planets of a set or a differential go in, clear each other, and mesh without interference. */
export const assembly = defineCheck({
  ...assemblyFace,
  find: ({ document }): Found => {
    const stages = planetaryStages(document.drive.stages);
    const inside = differentialStages(document.drive.stages);
    const missing = [...stages.flatMap(placesMissing), ...inside.flatMap(insideMissing)];
    if (missing.length > 0) return { missing };
    const told = [...stages.map((stage) => tell(stage, setOfStage(stage))), ...inside.map(tellInside)];
    return told.find(({ state }) => state === 'over') ?? told[0]!;
  },
  remedies: ({ document }) => [
    ...planetaryStages(document.drive.stages)
      .filter((stage) => placesMissing(stage).length === 0)
      .flatMap(otherSets),
    ...differentialStages(document.drive.stages)
      .filter((stage) => insideMissing(stage).length === 0)
      .flatMap(otherInsides),
  ],
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

function tellInside(stage: Stage): Told {
  const { assembles, clear, gapDeg } = insideOfStage(stage);
  const of = { planets: stage.planets!, side: stage.wheelTeeth! };
  const inDeg = (deg: number) => measure(deg, 'angleDeg', 3);
  if (!clear)
    return {
      state: 'over',
      finding: finding('gears.assembly.insideTouch', { ...of, overlap: inDeg(-gapDeg!) }),
    };
  if (!assembles) return { state: 'over', finding: finding('gears.assembly.insideUneven', of) };
  return {
    state: 'clear',
    finding: finding('gears.assembly.insideGoes', {
      ...of,
      ...(gapDeg === undefined ? {} : { gap: inDeg(gapDeg) }),
    }),
  };
}

/** Another number of planets, or side gears whose teeth they divide. */
function otherInsides(stage: Stage): Proposal[] {
  const path = (key: string) => ['drive', 'stages', stage.id, key];
  const goes = (change: Partial<Stage>) => {
    const { assembles, clear } = insideOfStage({ ...stage, ...change });
    return assembles && clear;
  };
  return [
    ...[2, 4, 3]
      .filter((planets) => planets !== stage.planets && goes({ planets }))
      .map((planets) => ({ patch: [{ path: path('planets'), value: planets }], cost: 2 as const })),
    ...[1, -1, 2]
      .map((more) => stage.wheelTeeth! + more)
      .filter((wheelTeeth) => wheelTeeth >= stage.pinionTeeth! && goes({ wheelTeeth }))
      .map((wheelTeeth) => ({ patch: [{ path: path('wheelTeeth'), value: wheelTeeth }], cost: 2 as const })),
  ];
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
