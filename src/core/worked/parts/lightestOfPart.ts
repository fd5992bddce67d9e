import type { Assembled } from '../../base/assembled';
import type { Edit } from '../../base/patch';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { ChosenMaterial } from '../../car/material/material';
import type { Part } from '../../car/parts/parts';
import type { PartShape } from '../../car/parts/partShape';
import { partLightest } from '../../physics/lightest/lightest';
import type {
  BeamCase,
  LightPart,
  PartLightestResult,
  SizedSection,
} from '../../physics/lightest/lightestDefinition';
import type { Section } from '../../physics/strength/section';
import { casesOfBuild } from './casesOfBuild';
import { CASE_NEEDS, forceOf } from './forceOnPart';
import { at } from './loadedPart';
import { hasLayers, strengthOf } from './materialOfBuild';

/** What the part may become. */
export interface LightestAsk {
  marginWanted: number;
  widthMostMm: number;
  heightMostMm: number;
  deflectionMaxMm?: number;
}

const [LEAST_MM, STEP_MM, BORE_MM] = [3, 0.5, 1];
const MOST_SIZES = 40;
const WALLS_MM = [1.2, 1.6, 2, 2.4, 3.2] as const;

/** The lightest bar that holds all loads of a part, of the materials at hand; or what is missing. */
export function lightestOfPart(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
  materials: readonly ChosenMaterial[],
  { marginWanted, widthMostMm, heightMostMm, deflectionMaxMm }: LightestAsk,
): Assembled<PartLightestResult> {
  const { shape, loads = [], temperatureC } = part;
  const cases = casesOfBuild(document, surface);
  if (!cases.ok) return cases;
  const missing = [
    ...(shape?.as === 'beam' && shape.lengthMm !== undefined ? [] : [at(part, 'shape.lengthMm')]),
    ...(loads.length > 0 ? [] : [at(part, 'loads')]),
    ...loads.flatMap((load) =>
      forceOf(load, cases.value)
        ? []
        : [load.from === 'own' || load.from === 'link' ? at(part, 'loads:force') : CASE_NEEDS[load.from]],
    ),
  ];
  if (missing.length > 0) return { ok: false, missing };
  const heights = { from: LEAST_MM, to: heightMostMm, step: stepTo(heightMostMm) };
  const widths = { from: LEAST_MM, to: widthMostMm, step: 2 * stepTo(widthMostMm) };
  const round = Math.min(widthMostMm, heightMostMm);
  const sections: SizedSection[] = [
    { shape: 'rectangle', widthMm: widths, heightMm: heights },
    { shape: 'round', diameterMm: { from: LEAST_MM, to: round, step: stepTo(round) } },
    {
      shape: 'tube',
      diameterMm: { from: LEAST_MM, to: round, step: stepTo(round) },
      boreMm: { from: BORE_MM, to: round, step: BORE_MM },
    },
    { shape: 'box', widthMm: widths, heightMm: { ...heights, step: 2 * heights.step }, wallMm: WALLS_MM },
  ];
  return {
    ok: true,
    value: partLightest({
      support: shape!.support ?? 'cantilever',
      lengthMm: shape!.lengthMm!,
      cases: loads.map((load): BeamCase => ({
        name: load.id,
        forceN: forceOf(load, cases.value)!.forceN,
        direction: load.bends === 'sideways' ? [1, 0] : [0, 1],
        ...(temperatureC === undefined ? {} : { temperatureC }),
      })),
      materials: materials.map((material) => ({
        id: material.name,
        material: { ...strengthOf(material), densityGPerCm3: material.densityGPerCm3 },
      })),
      layers: materials.some(hasLayers) ? ['along', 'across'] : ['along'],
      sections,
      marginWanted,
      ...(deflectionMaxMm === undefined ? {} : { deflectionMaxMm }),
    }),
  };
}

/** Half a millimetre, or as many of it as keep the sizes countable. */
const stepTo = (mostMm: number): number =>
  STEP_MM * Math.max(1, Math.ceil((mostMm - LEAST_MM) / (STEP_MM * MOST_SIZES)));

/** What the part is given to become one of the answers: solid, of its material, as it lies. */
export function becoming(
  part: Part,
  { section, layers, material }: LightPart,
  materials: readonly ChosenMaterial[],
): Edit[] {
  const path = (key: string) => ['parts', 'items', part.id, key];
  return [
    { path: path('material'), value: materials.find(({ name }) => name === material) },
    { path: path('layers'), value: layers },
    { path: path('infill'), value: 1 },
    { path: path('shape'), value: { ...bare(part.shape!), ...shapeOf(section) } },
  ];
}

/** Without what belonged to the old section. */
function bare({ as, support, ends, lengthMm, rootMm, filletMm }: PartShape): PartShape {
  return JSON.parse(JSON.stringify({ as, support, ends, lengthMm, rootMm, filletMm })) as PartShape;
}

function shapeOf(section: Section): Partial<PartShape> {
  switch (section.shape) {
    case 'round':
      return { profile: 'round', heightMm: section.diameterMm };
    case 'tube':
      return {
        profile: 'tube',
        heightMm: section.diameterMm,
        wallMm: (section.diameterMm - section.boreMm) / 2,
      };
    case 'box':
      return {
        profile: 'box',
        widthMm: section.widthMm,
        heightMm: section.heightMm,
        wallMm: section.wallMm,
      };
    case 'rectangle':
      return { profile: 'plate', widthMm: section.widthMm, heightMm: section.heightMm };
    default:
      throw new Error(`a part is no ${section.shape}`);
  }
}
