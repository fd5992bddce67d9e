import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { type Finding, finding } from '../../base/finding';
import { measure } from '../../base/measure';
import type {
  Part,
  PartLoad,
  PartPull,
  ScrewKind,
  SolidFailure,
  SolidResult,
} from '../../car/document/parts';
import { type Assembled, missingOf } from '../../base/assembled';
import { derate } from '../../physics/strength/allowable';
import { type BeamInput, beamStresses } from '../../physics/strength/beam';
import { bossCheck } from '../../physics/strength/boss';
import { casesOfBuild } from './casesOfBuild';
import { printedBar } from '../../physics/strength/printedBar';
import { columnCheck } from '../../physics/strength/column';
import { filletFactor } from '../../physics/strength/fillet';
import { CASE_NEEDS, forceOf } from './forceOnPart';
import type { BreakMode, PartWorking } from './partWorking';
import type { LoadCasesResult } from '../../physics/strength/loadCases';
import { hasLayers, strengthOf } from './materialOfBuild';
import { keptOf, sectionOfShape, USUAL_LINE_MM } from './partSection';
import { shapeMark, solidIsCurrent } from './solidOfPart';

/** A load on a part and what it leaves. */
export interface LoadedPart {
  load: PartLoad | undefined;
  /** The case that it comes from, the part's own force, or all that pulls at the mesh. */
  from: PartLoad['from'] | 'all';
  forceN: number;
  /** Share of the case's force, where not the whole, and that force, N. */
  share?: number;
  caseN?: number;
  how: Finding;
  margin: number;
  /** What corners and holes left of the beam at the last solid analysis. */
  leftOfBeam?: number;
  /** Force at which it breaks. */
  breaksAtN: number;
  between: boolean;
  mode: BreakMode;
  /** What holds the screws that pull out. */
  screwKind?: ScrewKind;
  deflectionMm?: number;
  /** As a beam bent upright: what it was worked out from, and how much its root raises the stress. */
  upright?: { beam: BeamInput; raised: number };
  depth: 'beam' | 'column' | 'boss' | 'solid';
  working: PartWorking;
}

export interface PartStrength {
  loads: LoadedPart[];
  /** The weakest; a current solid analysis takes the place of the beam for the loads that it was solved under. */
  worst: LoadedPart;
}

const at = ({ id }: Part, key: string) => `parts.items.${id}.${key}`;

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
      one.ok ? [solid && solved(loads[at]!) ? one.value : notched(part, one.value)] : [],
    )
    .sort((a, b) => a.margin - b.margin);
  if (!solid) return { ok: true, value: { loads: list, worst: list[0]! } };
  const wholes = solidLoads(part, solid, cases.value);
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
function solidLoads({ mesh }: Part, solid: SolidResult, cases: LoadCasesResult): LoadedPart[] {
  const pulls = mesh!.pulls ?? [];
  const together: 'all' | PartPull['from'] = pulls.length === 1 ? pulls[0]!.from : 'all';
  const solvedFor: readonly (SolidFailure & { from: LoadedPart['from'] })[] = solid.cases ?? [
    { ...solid, from: together },
  ];
  return solvedFor.map(({ from, margin, failsBy, moveMm, atMm }) => {
    const forceN = pulls
      .filter((pull) => from === 'all' || pull.from === from)
      .reduce((sum, pull) => sum + (forceOf(pull, cases)?.forceN ?? 0), 0);
    const mode = SOLID_MODES[failsBy];
    return {
      load: undefined,
      from,
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
function isSolvedUnder({ mesh }: Part, load: PartLoad, cases: LoadCasesResult): boolean {
  const asked = forceOf(load, cases)?.forceN;
  return (mesh?.pulls ?? []).some(
    (pull) =>
      pull.from === load.from &&
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

function loaded(part: Part, load: PartLoad, cases: LoadCasesResult): Assembled<LoadedPart> {
  const { shape, material } = part;
  const force = forceOf(load, cases);
  const missing = [...(force ? [] : [load.from === 'own' ? at(part, 'loads:force') : CASE_NEEDS[load.from]])];
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

/** A margin where nothing is carried. */
const NOT_LOADED = 1e6;

type Base = Pick<LoadedPart, 'load' | 'from' | 'forceN' | 'share' | 'caseN' | 'how'>;

const layersOf = ({ layers, material }: Part) => (material && !hasLayers(material) ? 'along' : layers);

function asBeam(part: Part, load: PartLoad, base: Base): Assembled<LoadedPart> {
  const { lengthMm, support = 'cantilever' } = part.shape!;
  const section = sectionOfShape(part.shape!);
  const layers = layersOf(part);
  const missing = [
    ...missingOf({ [at(part, 'shape.lengthMm')]: lengthMm, [at(part, 'layers')]: layers }),
    ...('section' in section ? [] : section.map((key) => at(part, `shape.${key}`))),
  ];
  if (!('section' in section) || missing.length > 0) return { ok: false, missing };
  const upright = (load.bends ?? 'upright') === 'upright';
  const about = upright ? section.upright : section.upright === 'x' ? 'y' : 'x';
  const kept = keptOf(part, section);
  const beam: BeamInput = {
    support,
    lengthMm: lengthMm!,
    load: { forceN: base.forceN },
    section: section.section,
    bendingAbout: about,
    material: strengthOf(part.material!),
    layers: layers!,
    ...warm(part),
  };
  const found = beamStresses(beam);
  const { rootMm, filletMm, widthMm, heightMm } = part.shape!;
  const bar = upright ? heightMm : (widthMm ?? heightMm);
  const raised =
    rootMm === undefined || filletMm === undefined || bar === undefined
      ? 1
      : filletFactor(bar, rootMm, filletMm);
  const stiffness = upright ? kept.upright : kept.sideways;
  const inside = part.shape!.profile === 'plate' ? plateOf(part, beam, found, upright) : undefined;
  const shearStressMpa = inside ? inside.shearMpa : found.shearStressMpa / kept.area;
  const shearAllowableMpa = inside ? inside.shearMpa * inside.byShear : found.shearAllowableMpa;
  const [byBending, byShear] = [
    ((found.allowableMpa / found.stressMpa) * stiffness) / raised,
    inside ? inside.byShear : found.shearAllowableMpa / shearStressMpa,
  ];
  const bending = byBending <= byShear;
  const margin = Math.min(NOT_LOADED, byBending, byShear);
  const layered = hasLayers(part.material!);
  // a plate's section is a layer where they lie across, so it shears between them either way
  const shearedBetween = layers === 'along' || inside !== undefined;
  return {
    ok: true,
    value: {
      ...base,
      margin,
      breaksAtN: base.forceN * margin,
      between: layered && (bending ? layers === 'across' : shearedBetween),
      mode: bending ? (layers === 'across' && layered ? 'bentAcross' : 'bent') : 'sheared',
      deflectionMm: found.deflectionMm / stiffness,
      ...(upright ? { upright: { beam, raised: raised / stiffness } } : {}),
      depth: 'beam',
      working: {
        as: 'beam',
        support,
        forceN: base.forceN,
        lengthMm: lengthMm!,
        momentNm: found.momentNmm / 1000,
        bending,
        stressMpa: bending ? found.stressMpa / stiffness : shearStressMpa,
        ...(raised > 1 ? { root: { rootMm: rootMm!, filletMm: filletMm!, raised } } : {}),
        ...(layered ? { layers: layers! } : {}),
        kept: bending ? stiffness : kept.area,
        ...(part.temperatureC === undefined
          ? {}
          : { warmShare: derate(strengthOf(part.material!), part.temperatureC) }),
        allowableMpa: bending ? found.allowableMpa : shearAllowableMpa,
      },
    },
  };
}

/** Shear of a plate by its walls and core, with perimeters all round it, MPa, and what it leaves. */
function plateOf(
  { perimeters, lineMm = USUAL_LINE_MM, infill = 1, shape }: Part,
  beam: BeamInput,
  { shearN }: { shearN: number },
  upright: boolean,
): { shearMpa: number; byShear: number } {
  const { widthMm, heightMm } = shape!;
  const walls = perimeters === undefined || infill >= 1 ? Math.max(widthMm!, heightMm!) / lineMm : perimeters;
  const found = printedBar({
    widthMm: widthMm!,
    heightMm: heightMm!,
    // walls as thick on every side, whichever way it lies
    settings: {
      lineWidthMm: lineMm,
      layerMm: lineMm,
      perimeters: walls,
      topBottomLayers: walls,
      infillPct: 100 * infill,
    },
    layers: beam.layers,
    material: beam.material,
    ...(beam.temperatureC === undefined ? {} : { temperatureC: beam.temperatureC }),
    load: upright ? { shearYN: shearN } : { shearXN: shearN },
  });
  const { shellShear = NOT_LOADED, coreShear = NOT_LOADED } = found.margins;
  return { shearMpa: found.shellShearMpa, byShear: Math.min(shellShear, coreShear) };
}

const warm = ({ temperatureC }: Part) => (temperatureC === undefined ? {} : { temperatureC });

function asColumn(part: Part, base: Base): Assembled<LoadedPart> {
  const { lengthMm, ends = 'pinned' } = part.shape!;
  const section = sectionOfShape(part.shape!);
  const layers = layersOf(part);
  const missing = [
    ...missingOf({ [at(part, 'shape.lengthMm')]: lengthMm, [at(part, 'layers')]: layers }),
    ...('section' in section ? [] : section.map((key) => at(part, `shape.${key}`))),
  ];
  if (!('section' in section) || missing.length > 0) return { ok: false, missing };
  const found = columnCheck({
    lengthMm: lengthMm!,
    section: section.section,
    material: strengthOf(part.material!),
    ends,
    layers: layers!,
    forceN: base.forceN,
    ...warm(part),
  });
  const kept = keptOf(part, section);
  const left = found.mode === 'Euler' ? Math.min(kept.upright, kept.sideways) : kept.area;
  return {
    ok: true,
    value: {
      ...base,
      margin: Math.min(NOT_LOADED, found.margin * left),
      breaksAtN: found.bucklingN * left,
      between: false,
      mode: found.mode === 'Euler' ? 'buckled' : 'crushed',
      depth: 'column',
      working: {
        as: 'column',
        lengthMm: lengthMm!,
        ends,
        formula: found.mode,
        bucklingN: found.bucklingN * left,
      },
    },
  };
}

function asBoss(part: Part, base: Base): Assembled<LoadedPart> {
  const { screwMm, engagementMm, wallMm, screws = 1, screwKind = 'screwInPlastic' } = part.shape!;
  const layers = layersOf(part);
  const missing = missingOf({
    [at(part, 'shape.screwMm')]: screwMm,
    [at(part, 'shape.engagementMm')]: engagementMm,
    [at(part, 'shape.wallMm')]: wallMm,
    [at(part, 'layers')]: layers,
  });
  if (missing.length > 0) return { ok: false, missing };
  const material = strengthOf(part.material!);
  const left = derate(material, part.temperatureC);
  const found = bossCheck({
    screwMm: screwMm!,
    engagementMm: engagementMm!,
    wallMm: wallMm!,
    material,
    layers: layers === 'across' ? 'acrossAxis' : 'alongAxis',
    forceN: base.forceN / screws,
  });
  const own = found.kinds[screwKind];
  if (!own) return { ok: false, missing: [at(part, 'shape.screwMm:standard')] };
  return {
    ok: true,
    value: {
      ...base,
      margin: own.margin * left,
      breaksAtN: own.pullOutN * left * screws,
      between: hasLayers(part.material!) && layers === 'across' && screwKind !== 'throughBolt',
      mode: 'pulledOut',
      screwKind,
      depth: 'boss',
      working: {
        as: 'boss',
        forceN: base.forceN,
        screws,
        screwMm: screwMm!,
        engagementMm: engagementMm!,
        screwKind,
        pullOutN: own.pullOutN * left,
      },
    },
  };
}
