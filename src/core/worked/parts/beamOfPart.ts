import { type Assembled, missingOf } from '../../base/assembled';
import { type Part } from '../../car/parts/parts';
import { type PartLoad } from '../../car/parts/partShape';
import { derate } from '../../physics/strength/allowable';
import { type BeamInput, beamStresses } from '../../physics/strength/beam';
import { filletFactor } from '../../physics/strength/fillet';
import { printedBar } from '../../physics/strength/printedBar';
import { strengthOf, hasLayers } from './materialOfBuild';
import { keptOf, sectionOfShape, shearedBy, USUAL_LINE_MM } from './partSection';
import { warm, layersOf, Base, NOT_LOADED, at, LoadedPart } from './loadedPart';

export function asBeam(part: Part, load: PartLoad, base: Base): Assembled<LoadedPart> {
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
  const drilled = drilledShare(part);
  const solidPart = 1 - (upright ? drilled : drilled ** 3);
  const bar = upright ? heightMm : (widthMm ?? heightMm);
  const raised =
    rootMm === undefined || filletMm === undefined || bar === undefined
      ? 1
      : filletFactor(bar, rootMm, filletMm);
  const stiffness = (upright ? kept.upright : kept.sideways) * solidPart;
  const inside = part.shape!.profile === 'plate' ? plateOf(part, beam, found, upright) : undefined;
  // a force that bends about one axis runs along the other
  const own = shearedBy(part, section, about === 'x' ? 'y' : 'x');
  const sheared = inside ? inside.shearMpa : found.shearN * own.peak;
  const shearStressMpa = sheared / (1 - drilled);
  const shearAllowableMpa = inside ? sheared * inside.byShear : found.shearAllowableMpa;
  const [byBending, byShear] = [
    ((found.allowableMpa / found.stressMpa) * stiffness) / raised,
    shearAllowableMpa / shearStressMpa,
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
      // one hole hardly softens the whole length
      deflectionMm: found.deflectionMm / (upright ? kept.upright : kept.sideways),
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
        kept: bending ? stiffness : inside ? kept.area : own.kept,
        ...(part.temperatureC === undefined
          ? {}
          : { warmShare: derate(strengthOf(part.material!), part.temperatureC) }),
        allowableMpa: bending ? found.allowableMpa : shearAllowableMpa,
      },
    },
  };
}
/** Share of the width that a hole takes; none of what is round. */
export function drilledShare({ shape }: Part): number {
  const { profile, holeMm, widthMm } = shape ?? {};
  if (holeMm === undefined || widthMm === undefined || profile === 'round' || profile === 'tube') return 0;
  return Math.min(MOST_DRILLED, holeMm / widthMm);
}

/** A hole as wide as the part leaves almost nothing. */
const MOST_DRILLED = 0.98;

/** Shear of a plate by its walls and core, with perimeters all round it, MPa, and what it leaves. */
export function plateOf(
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
