import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';
import { type Member, setOf } from './definition';
import { ringMesh } from './ringMesh';
import { setRatio } from './willis';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.planetarySearch.none': Record<never, never>;
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'planetary.needsModule': Record<never, never>;
  }
}

export interface PlanetarySearchInput {
  /** Negative for a shaft that turns round. */
  wantedRatio: number;
  tolerancePct?: number;
  held: Member;
  driving: Member;
  planets?: number[];
  sunTeethMin?: number;
  planetTeethMin?: number;
  ringTeethMax: number;
  moduleMm?: number;
  /** Plastic outside the ring's roots. */
  rimMm?: number;
  ringOutsideMaxMm?: number;
  pressureAngleDeg?: number;
  maxResults?: number;
}

export interface FoundSet {
  sunTeeth: number;
  planetTeeth: number;
  ringTeeth: number;
  planets: number;
  ratio: number;
  /** Signed. */
  errorPct: number;
  ringAddendumLimit: number;
  /** Where a module is given. */
  ringOutsideMm?: number;
}

export interface PlanetarySearchResult {
  found: number;
  rows: FoundSet[];
  findings: OperationFinding[];
  notes: Finding[];
}

const [SAME, ROOT_DEPTH] = [1e-9, 2.5];

/**
 * Every plain set that assembles, clears and comes near a ratio.
 *
 * @returns lengths in mm
 * @throws CalcError at `held` where it drives, at `moduleMm` for an outside that needs it
 * @see Willis; Dudley, Handbook of Practical Gear Design
 */
export function planetarySearch(input: PlanetarySearchInput): PlanetarySearchResult {
  const { wantedRatio, tolerancePct = 5, held, driving, planets = [3], maxResults = 50 } = input;
  const { sunTeethMin = 12, planetTeethMin = 12, ringTeethMax, moduleMm, rimMm = 3 } = input;
  const { ringOutsideMaxMm = Infinity } = input;
  if (held === driving) throw refusal('held', 'planetary.held');
  if (input.ringOutsideMaxMm !== undefined && moduleMm === undefined)
    throw refusal('moduleMm', 'planetary.needsModule');
  const tolerance = tolerancePct / 100 + SAME;
  const outsideOf = (ringTeeth: number) =>
    moduleMm === undefined ? undefined : moduleMm * (ringTeeth + ROOT_DEPTH) + 2 * rimMm;
  const found: (Omit<FoundSet, 'ringAddendumLimit'> & { distance: number })[] = [];
  for (let sunTeeth = sunTeethMin; sunTeeth + 2 * planetTeethMin <= ringTeethMax; sunTeeth++)
    for (let planetTeeth = planetTeethMin; sunTeeth + 2 * planetTeeth <= ringTeethMax; planetTeeth++) {
      const ringTeeth = sunTeeth + 2 * planetTeeth;
      const ringOutsideMm = outsideOf(ringTeeth);
      if (ringOutsideMm !== undefined && ringOutsideMm > ringOutsideMaxMm * (1 + SAME)) break;
      const ratio = setRatio(ringTeeth / sunTeeth, held, driving);
      const error = ratio / wantedRatio - 1;
      if (Math.abs(error) > tolerance) continue;
      for (const n of planets) {
        if ((sunTeeth + ringTeeth) % n !== 0) continue;
        if ((sunTeeth + planetTeeth) * Math.sin(Math.PI / n) <= planetTeeth + 2 + SAME) continue;
        found.push({
          sunTeeth,
          planetTeeth,
          ringTeeth,
          planets: n,
          ratio,
          errorPct: 100 * error,
          ...(ringOutsideMm === undefined ? {} : { ringOutsideMm }),
          distance: Math.round(Math.abs(error) / SAME),
        });
      }
    }
  found.sort(
    (a, b) =>
      a.distance - b.distance ||
      a.ringTeeth - b.ringTeeth ||
      b.planets - a.planets ||
      a.sunTeeth - b.sunTeeth,
  );
  return {
    found: found.length,
    rows: found.slice(0, maxResults).map(({ distance: _, ...row }) => ({
      ...row,
      ringAddendumLimit: limitOf(row, input),
    })),
    findings: [],
    notes: found.length > 0 ? [] : [finding('note.planetarySearch.none', {})],
  };
}

const limitOf = (
  {
    sunTeeth,
    planetTeeth,
    ringTeeth,
    planets,
  }: Pick<FoundSet, 'sunTeeth' | 'planetTeeth' | 'ringTeeth' | 'planets'>,
  { held, driving, pressureAngleDeg }: PlanetarySearchInput,
): number =>
  ringMesh(
    setOf({
      sunTeeth,
      planetTeeth,
      ringTeeth,
      planets,
      moduleMm: 1,
      held,
      driving,
      ...(pressureAngleDeg === undefined ? {} : { pressureAngleDeg }),
    }),
  ).ringAddendumLimit;
