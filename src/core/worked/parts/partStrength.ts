import { type ChosenSurface } from '../../car/document/brief';
import { type BuildDocument } from '../../car/document/document';
import { finding } from '../../base/finding';
import { measure } from '../../base/measure';
import { type Part, type PartPull, type SolidFailure, type SolidResult } from '../../car/parts/parts';
import { type PartLoad } from '../../car/parts/partShape';
import { type Assembled } from '../../base/assembled';
import { casesOfBuild } from './casesOfBuild';
import { CASE_NEEDS, forceOf, type ForcesOnParts } from './forceOnPart';
import { type BreakMode } from './partWorking';

import { isSameCase, shapeMark, solidIsCurrent } from './solidOfPart';
import { fatigueLeft } from '../../physics/strength/fatigue';
import { asBeam, drilledShare } from './beamOfPart';
import { at, LoadedPart } from './loadedPart';
import { asColumn } from './columnOfPart';
import { asBoss } from './bossOfPart';

export interface PartStrength {
  loads: LoadedPart[];
  /** The weakest; a current solid analysis takes the place of the beam for the loads that it was solved under. */
  worst: LoadedPart;
}

/** What every load leaves of a part on one surface, or what is still needed. */
export function partStrength(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
): Assembled<PartStrength> {
  const { material, shape, loads = [], mesh } = part;
  const solid = mesh?.solid && material && solidIsCurrent(document, surface, part) ? mesh.solid : undefined;
  const missing = [
    ...(material ? [] : [at(part, 'material')]),
    ...(shape || solid ? [] : [mesh?.solid ? at(part, 'mesh.solid:stale') : at(part, 'shape')]),
    ...(loads.length > 0 || solid ? [] : [at(part, 'loads')]),
  ];
  if (missing.length > 0) return { ok: false, missing };
  const cases = casesOfBuild(document, surface);
  if (!cases.ok) return cases;
  const solved = (load: PartLoad) => isSolvedUnder(part, load, cases.value);
  const few = loads.map((load) =>
    shape ? loaded(part, load, cases.value) : { ok: false as const, missing: [at(part, 'shape')] },
  );
  const open = few.flatMap((one, at) => (one.ok || (solid && solved(loads[at]!)) ? [] : one.missing));
  if (open.length > 0) return { ok: false, missing: [...new Set(open)] };
  const list = few
    .flatMap((one, at) =>
      one.ok
        ? [tired(part, loads[at], solid && solved(loads[at]!) ? one.value : notched(part, one.value))]
        : [],
    )
    .sort((a, b) => a.margin - b.margin);
  if (!solid) return { ok: true, value: { loads: list, worst: list[0]! } };
  const wholes = solidLoads(part, solid, cases.value).map((one) => tired(part, oftenest(loads, one), one));
  const others = list.filter(({ load }) => load && !solved(load));
  return {
    ok: true,
    value: {
      loads: [...wholes, ...list],
      worst: [...wholes, ...others].reduce((weakest, one) => (one.margin < weakest.margin ? one : weakest)),
    },
  };
}

/** What the solid leaves under each case that it was solved for. */
function solidLoads({ mesh }: Part, solid: SolidResult, cases: ForcesOnParts): LoadedPart[] {
  const pulls = mesh!.pulls ?? [];
  const together: 'all' | PartPull['from'] = pulls.length === 1 ? pulls[0]!.from : 'all';
  const solvedFor: readonly (SolidFailure & Pick<LoadedPart, 'from' | 'wheelLoad'>)[] = solid.cases?.map(
    ({ end, load, ...one }) => ({
      ...one,
      ...(end && load !== undefined ? { wheelLoad: { end, load } } : {}),
    }),
  ) ?? [{ ...solid, from: together }];
  return solvedFor.map(({ from, wheelLoad, margin, failsBy, moveMm, atMm }) => {
    const forceN = pulls
      .filter((pull) => from === 'all' || isSameCase(pull, { from, ...wheelLoad }))
      .reduce((sum, pull) => sum + (forceOf(pull, cases)?.forceN ?? 0), 0);
    const mode = SOLID_MODES[failsBy];
    return {
      load: undefined,
      from,
      ...(wheelLoad ? { wheelLoad } : {}),
      forceN,
      how: finding('parts.solid', { voxels: solid.voxels, voxel: measure(solid.voxelMm, 'lengthMm') }),
      margin,
      breaksAtN: forceN * margin,
      between: failsBy !== 'in the layer',
      mode,
      deflectionMm: moveMm,
      depth: 'solid',
      working: { as: 'solid', voxels: solid.voxels, voxelMm: solid.voxelMm, atMm, mode, margin },
    };
  });
}

/** Forces that differ by less are the same. */
const SAME_FORCE = 1.001;

/** Whether what pulls at the mesh is this load, with no less force. */
function isSolvedUnder({ mesh }: Part, load: PartLoad, cases: ForcesOnParts): boolean {
  const asked = forceOf(load, cases)?.forceN;
  return (mesh?.pulls ?? []).some(
    (pull) =>
      pull.from === load.from &&
      pull.end === load.end &&
      pull.link === load.link &&
      (asked === undefined || asked <= SAME_FORCE * (forceOf(pull, cases)?.forceN ?? 0)),
  );
}

/** The weakest margin from the few dimensions under the loads of a case that the mesh is pulled by; none where they name none of these. */
export function beamUnderPulls(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
  from: PartPull['from'],
): number | undefined {
  // which link a dimension stands for is not known
  if (from === 'link') return undefined;
  const cases = casesOfBuild(document, surface);
  if (!cases.ok || !part.shape) return undefined;
  const margins = (part.loads ?? [])
    .filter((load) => load.from === from && isSolvedUnder(part, load, cases.value))
    .flatMap((load) => {
      const found = loaded(part, load, cases.value);
      return found.ok ? [found.value.margin] : [];
    });
  return margins.length === 0 ? undefined : Math.min(...margins);
}

/** What a load waits for that the build does not have. */
function neededBy(part: Part, { from, end, link }: PartLoad): string {
  if (from === 'own') return at(part, 'loads:force');
  if (from !== 'link') return CASE_NEEDS[from];
  return end && link !== undefined ? `suspension.${end}.corner` : at(part, 'loads:link');
}

function loaded(part: Part, load: PartLoad, cases: ForcesOnParts): Assembled<LoadedPart> {
  const { shape, material } = part;
  const force = forceOf(load, cases);
  const missing = force ? [] : [neededBy(part, load)];
  if (!force || !shape || !material) return { ok: false, missing };
  const base = { load, from: load.from, ...force };
  switch (shape.as) {
    case 'beam':
      return asBeam(part, load, base);
    case 'column':
      return asColumn(part, base);
    case 'boss':
      return asBoss(part, base);
  }
}

/** Of the loads that a solved case stands for, the one that comes most often; of one that no load stands for, none. */
const oftenest = (loads: readonly PartLoad[], { from, wheelLoad }: LoadedPart): PartLoad | undefined =>
  loads
    .filter((load) => from === 'all' || (load.from === from && load.end === wheelLoad?.end))
    .reduce<PartLoad | undefined>(
      (most, one) => ((one.times ?? 1) > (most?.times ?? 1) ? one : most),
      undefined,
    );

/** What a load leaves that comes again and again; what buckles springs back. */
function tired(part: Part, load: PartLoad | undefined, found: LoadedPart): LoadedPart {
  const times = load?.times ?? 1;
  if (times <= 1 || found.mode === 'buckled') return found;
  const { strainAtBreakPct } = part.material!;
  const left = fatigueLeft({
    times,
    across: found.between,
    // a solid analysis has seen the hole, here or when it was last made
    ...(found.depth === 'beam' && found.leftOfBeam === undefined ? { holeShare: drilledShare(part) } : {}),
    ...(strainAtBreakPct === undefined ? {} : { strainAtBreakPct }),
  });
  return {
    ...found,
    margin: found.margin * left.left,
    breaksAtN: found.breaksAtN * left.left,
    tired: { times, ...left },
    working: { ...found.working, tired: { times, ...left } },
  };
}

const SOLID_MODES = {
  'in the layer': 'tornInLayer',
  'layers pulled apart': 'layersApart',
  'layers sheared': 'layersSheared',
} as const satisfies Record<string, BreakMode>;

/**
 * A beam with what its own corners and holes cost it at the last solid analysis: the margin of its load case over the beam's at the
 * time, of a case that was not solved the least of all. Until it is solved again this holds for another material, fill or layer,
 * not for another mesh; it may weaken the beam, but not make it stronger.
 */
function notched(part: Part, beam: LoadedPart): LoadedPart {
  const solid = part.mesh?.solid;
  if (!solid || solid.shape !== shapeMark(part)) return beam;
  const cases = solid.cases ?? [solid];
  const own = solid.cases?.filter(({ from }) => from === beam.from) ?? [];
  const left = (own.length > 0 ? own : cases).flatMap(({ margin, beam: beamMargin }) =>
    beamMargin === undefined
      ? []
      : [{ solidMargin: margin, beamMargin, share: Math.min(1, margin / beamMargin) }],
  );
  const corners = left.reduce<(typeof left)[number] | undefined>(
    (a, b) => (!a || b.share < a.share ? b : a),
    undefined,
  );
  if (!corners || corners.share === 1) return beam;
  return {
    ...beam,
    margin: beam.margin * corners.share,
    breaksAtN: beam.breaksAtN * corners.share,
    leftOfBeam: corners.share,
    working: { ...beam.working, corners },
  };
}
