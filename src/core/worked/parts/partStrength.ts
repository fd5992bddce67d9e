import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { Part, PartLoad } from '../../car/document/parts';
import type { WorkingStep } from '../../base/workingStep';
import { type Assembled, missingOf } from '../../base/assembled';
import { plain } from '../../base/units/plain';
import { derate } from '../../physics/strength/allowable';
import { type BeamInput, beamStresses } from '../../physics/strength/beam';
import { bossCheck } from '../../physics/strength/boss';
import { casesOfBuild } from './casesOfBuild';
import { columnCheck } from '../../physics/strength/column';
import { filletFactor } from '../../physics/strength/fillet';
import { forceOf, nameOf } from './forceOnPart';
import type { LoadCasesResult } from '../../physics/strength/loadCases';
import { hasLayers, strengthOf } from './materialOfBuild';
import { fillOf, sectionOfShape } from './partSection';
import { SCREW_WORDS } from './screwWords';
import { shapeMark, solidIsCurrent } from './solidOfPart';

/** A load on a part and what it leaves. */
export interface LoadedPart {
  load: PartLoad | undefined;
  /** Of the load, as a reader says it. */
  called: string;
  forceN: number;
  how: string;
  margin: number;
  /** Force at which it breaks. */
  breaksAtN: number;
  between: boolean;
  mode: string;
  deflectionMm?: number;
  /** As a beam bent upright: what it was worked out from, and how much its root raises the stress. */
  upright?: { beam: BeamInput; raised: number };
  depth: 'beam' | 'column' | 'boss' | 'solid';
  working: WorkingStep[];
}

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
    ...(material ? [] : ['material']),
    ...(shape || solid
      ? []
      : [mesh?.solid ? 'a new solid analysis: something it was made from has changed' : 'dimensions']),
    ...(loads.length > 0 || solid ? [] : ['what acts on it']),
  ];
  if (missing.length > 0) return { ok: false, missing };
  const cases = casesOfBuild(document, surface);
  if (!cases.ok) return cases;
  const solved = (load: PartLoad) => isSolvedUnder(part, load, cases.value);
  const few = loads.map((load) =>
    shape
      ? loaded(part, load, cases.value)
      : { ok: false as const, missing: [`dimensions, or a solid analysis under ${nameOf(load)}`] },
  );
  const open = few.flatMap((one, at) => (one.ok || (solid && solved(loads[at]!)) ? [] : one.missing));
  if (open.length > 0) return { ok: false, missing: [...new Set(open)] };
  const list = few
    .flatMap((one, at) =>
      one.ok ? [solid && solved(loads[at]!) ? one.value : notched(part, one.value, solved(loads[at]!))] : [],
    )
    .sort((a, b) => a.margin - b.margin);
  if (!solid) return { ok: true, value: { loads: list, worst: list[0]! } };
  const pulls = mesh!.pulls ?? [];
  const called = pulls.length === 1 ? nameOf(pulls[0]!) : 'all that pulls at it';
  const forceN = pulls.reduce((sum, pull) => sum + (forceOf(pull, cases.value)?.forceN ?? 0), 0);
  const whole: LoadedPart = {
    load: undefined,
    called,
    forceN,
    how: `The part’s own mesh in ${solid.voxels} voxels of ${plain(solid.voxelMm)} mm.`,
    margin: solid.margin,
    breaksAtN: forceN * solid.margin,
    between: solid.failsBy !== 'in the layer',
    mode: SOLID_WORDS[solid.failsBy],
    deflectionMm: solid.moveMm,
    depth: 'solid',
    working: [
      {
        label: 'Solid analysis',
        formula: `${solid.voxels} voxels of ${plain(solid.voxelMm)} mm, weakest at ${solid.atMm.map((one) => plain(one)).join(', ')} mm: ${solid.failsBy}`,
        value: solid.margin,
        quantity: 'coefficient',
        source: 'Zienkiewicz and Taylor, The Finite Element Method',
      },
    ],
  };
  const others = list.filter(({ load }) => load && !solved(load));
  return {
    ok: true,
    value: {
      loads: [whole, ...list],
      worst: others.reduce((weakest, one) => (one.margin < weakest.margin ? one : weakest), whole),
    },
  };
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

/** The weakest margin from the few dimensions under the loads that the mesh is pulled by; none where they name none of these. */
export function beamUnderPulls(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
): number | undefined {
  const cases = casesOfBuild(document, surface);
  if (!cases.ok || !part.shape) return undefined;
  const margins = (part.loads ?? [])
    .filter((load) => isSolvedUnder(part, load, cases.value))
    .flatMap((load) => {
      const found = loaded(part, load, cases.value);
      return found.ok ? [found.value.margin] : [];
    });
  return margins.length === 0 ? undefined : Math.min(...margins);
}

function loaded(part: Part, load: PartLoad, cases: LoadCasesResult): Assembled<LoadedPart> {
  const { shape, material } = part;
  const force = forceOf(load, cases);
  const missing = [...(force ? [] : [load.from === 'own' ? 'force' : `what ${nameOf(load)} needs`])];
  if (!force || !shape || !material) return { ok: false, missing };
  const base = { load, called: nameOf(load), ...force };
  switch (shape.as) {
    case 'beam':
      return asBeam(part, load, base);
    case 'column':
      return asColumn(part, base);
    case 'boss':
      return asBoss(part, base);
  }
}

const SOLID_WORDS = {
  'in the layer': 'torn in the layer',
  'layers pulled apart': 'its layers pulled apart',
  'layers sheared': 'its layers sheared',
} as const;

/**
 * A beam with what its own corners and holes cost it at the last solid analysis: that margin over the beam's of the same loads at the time.
 * Until it is solved again this holds for another material, fill or layer, not for another mesh; under a load that was not solved
 * they may weaken it, but not make it stronger.
 */
function notched(part: Part, beam: LoadedPart, solved: boolean): LoadedPart {
  const solid = part.mesh?.solid;
  if (solid?.beam === undefined || solid.shape !== shapeMark(part)) return beam;
  const share = solved ? solid.margin / solid.beam : Math.min(1, solid.margin / solid.beam);
  if (share === 1) return beam;
  return {
    ...beam,
    margin: beam.margin * share,
    breaksAtN: beam.breaksAtN * share,
    how: `${beam.how} Its corners and holes left ${plain(share)} of the beam when it was last solved; solve it again.`,
    working: [
      ...beam.working,
      {
        label: 'Corners and holes',
        formula: `margin of the last solid analysis ${plain(solid.margin)} over the beam’s ${plain(solid.beam)}`,
        value: share,
        quantity: 'coefficient',
      },
    ],
  };
}

/** A margin where nothing is carried. */
const NOT_LOADED = 1e6;

type Base = Pick<LoadedPart, 'load' | 'called' | 'forceN' | 'how'>;

const layersOf = ({ layers, material }: Part) => (material && !hasLayers(material) ? 'along' : layers);

function asBeam(part: Part, load: PartLoad, base: Base): Assembled<LoadedPart> {
  const { lengthMm, support = 'cantilever' } = part.shape!;
  const section = sectionOfShape(part.shape!);
  const layers = layersOf(part);
  const missing = [
    ...missingOf({ length: lengthMm, 'way up on the bed': layers }),
    ...('section' in section ? [] : section),
  ];
  if (!('section' in section) || missing.length > 0) return { ok: false, missing };
  const upright = (load.bends ?? 'upright') === 'upright';
  const about = upright ? section.upright : section.upright === 'x' ? 'y' : 'x';
  const fill = fillOf(part, section.coreOf);
  const beam: BeamInput = {
    support,
    lengthMm: lengthMm!,
    load: { forceN: base.forceN },
    section: section.section,
    bendingAbout: about,
    material: strengthOf(part.material!),
    layers: layers!,
    fill,
    ...warm(part),
  };
  const found = beamStresses(beam);
  const { rootMm, filletMm, widthMm, heightMm } = part.shape!;
  const bar = upright ? heightMm : (widthMm ?? heightMm);
  const raised =
    rootMm === undefined || filletMm === undefined || bar === undefined
      ? 1
      : filletFactor(bar, rootMm, filletMm);
  const [byBending, byShear] = [
    found.allowableMpa / found.stressMpa / raised,
    found.shearAllowableMpa / found.shearStressMpa,
  ];
  const bending = byBending <= byShear;
  const margin = Math.min(NOT_LOADED, byBending, byShear);
  const layered = hasLayers(part.material!);
  return {
    ok: true,
    value: {
      ...base,
      margin,
      breaksAtN: base.forceN * margin,
      between: layered && (bending ? layers === 'across' : layers === 'along'),
      mode: bending ? (layers === 'across' && layered ? 'bent until the layers part' : 'bent') : 'sheared',
      deflectionMm: found.deflectionMm,
      ...(upright ? { upright: { beam, raised } } : {}),
      depth: 'beam',
      working: [
        {
          label: 'Moment',
          formula:
            support === 'cantilever'
              ? `${plain(base.forceN)} N · ${plain(lengthMm!)} mm`
              : `${plain(base.forceN)} N over ${plain(lengthMm!)} mm, ${support === 'simple' ? 'resting' : 'held'} at both ends`,
          value: found.momentNmm / 1000,
          quantity: 'torqueNm',
        },
        {
          label: bending ? 'Bending stress' : 'Shear stress',
          formula: bending ? 'moment over the section modulus' : '1.5 · force over area',
          value: bending ? found.stressMpa : found.shearStressMpa,
          quantity: 'stressMpa',
          source: 'Shigley, Mechanical Engineering Design, ch. 3',
        },
        ...(raised > 1
          ? [
              {
                label: 'Raised at its root',
                formula: `out of a body of ${plain(rootMm!)} mm with a fillet of ${plain(filletMm!)} mm`,
                value: raised,
                quantity: 'coefficient' as const,
                source: 'Peterson’s Stress Concentration Factors, ch. 3',
              },
            ]
          : []),
        {
          label: 'Bears',
          formula: `${layered ? `layers ${layers} it, ` : ''}${plain(100 * fill)} % solid${part.temperatureC === undefined ? '' : `, ${plain(100 * derate(strengthOf(part.material!), part.temperatureC))} % left of it in the warmth`}`,
          value: bending ? found.allowableMpa : found.shearAllowableMpa,
          quantity: 'stressMpa',
          source: 'Hankinson',
        },
      ],
    },
  };
}

const warm = ({ temperatureC }: Part) => (temperatureC === undefined ? {} : { temperatureC });

function asColumn(part: Part, base: Base): Assembled<LoadedPart> {
  const { lengthMm, ends = 'pinned' } = part.shape!;
  const section = sectionOfShape(part.shape!);
  const layers = layersOf(part);
  const missing = [
    ...missingOf({ length: lengthMm, 'way up on the bed': layers }),
    ...('section' in section ? [] : section),
  ];
  if (!('section' in section) || missing.length > 0) return { ok: false, missing };
  const found = columnCheck({
    lengthMm: lengthMm!,
    section: section.section,
    material: strengthOf(part.material!),
    ends,
    layers: layers!,
    forceN: base.forceN,
    fill: fillOf(part, section.coreOf),
    ...warm(part),
  });
  return {
    ok: true,
    value: {
      ...base,
      margin: found.margin,
      breaksAtN: found.bucklingN,
      between: false,
      mode: found.mode === 'Euler' ? 'buckled' : 'crushed',
      depth: 'column',
      working: [
        {
          label: 'Buckles at',
          formula: `${plain(lengthMm!)} mm between ${ends} ends, ${found.mode}`,
          value: found.bucklingN,
          quantity: 'forceN',
          source: 'Shigley, Mechanical Engineering Design, ch. 4',
        },
      ],
    },
  };
}

function asBoss(part: Part, base: Base): Assembled<LoadedPart> {
  const { screwMm, engagementMm, wallMm, screws = 1, screwKind = 'screwInPlastic' } = part.shape!;
  const layers = layersOf(part);
  const missing = missingOf({
    screw: screwMm,
    'depth of the thread': engagementMm,
    'wall around it': wallMm,
    'way up on the bed': layers,
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
  if (!own) return { ok: false, missing: ['a screw of a standard size'] };
  return {
    ok: true,
    value: {
      ...base,
      margin: own.margin * left,
      breaksAtN: own.pullOutN * left * screws,
      between: hasLayers(part.material!) && layers === 'across' && screwKind !== 'throughBolt',
      mode: `${SCREW_WORDS[screwKind]} pulled out`,
      depth: 'boss',
      working: [
        {
          label: 'On each screw',
          formula: `${plain(base.forceN)} N over ${screws}`,
          value: base.forceN / screws,
          quantity: 'forceN',
        },
        {
          label: 'Pulls out at',
          formula: `M${plain(screwMm!)}, ${plain(engagementMm!)} mm deep, ${SCREW_WORDS[screwKind]}`,
          value: own.pullOutN * left,
          quantity: 'forceN',
          source: 'Shigley, Mechanical Engineering Design, ch. 8; ISO 4032, ISO 7089',
        },
      ],
    },
  };
}
