import { CalcError, refusal } from '../../base/errors';
import { finding } from '../../base/finding';
import { spread, type Values } from '../../base/numeric/values';
import { byLayers, type Layers, type StrengthMaterial } from '../strength/allowable';
import { type BeamSupport, bending } from '../strength/beam';
import { bucklingOf, type ColumnEnds } from '../strength/column';
import type {
  BeamCase,
  LightPart,
  LightestShape,
  LimitedBy,
  PartLightestInput,
  PartLightestResult,
  SizedSection,
} from './lightestDefinition';
import { type Section, type SectionProperties, sectionProperties } from '../strength/section';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.lightest.none': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'lightest.tooMany': { most: number };
    'lightest.noLoad': Record<never, never>;
    'lightest.beyond': Record<never, never>;
    'lightest.noDirection': Record<never, never>;
  }
}

const [MOST, TIE, USUAL_MARGIN] = [200_000, 1e-9, 2];
const MM3_PER_CM3 = 1000;

/** Sizes of each shape, the first outermost. */
export const SIZES_OF: Readonly<Record<LightestShape, readonly string[]>> = {
  rectangle: ['widthMm', 'heightMm'],
  round: ['diameterMm'],
  tube: ['diameterMm', 'boreMm'],
  box: ['widthMm', 'heightMm', 'wallMm'],
  channel: ['widthMm', 'heightMm', 'webMm', 'flangeMm'],
  iBeam: ['widthMm', 'heightMm', 'webMm', 'flangeMm'],
  tee: ['widthMm', 'heightMm', 'webMm', 'flangeMm'],
};

const ENDS: Readonly<Record<BeamSupport, ColumnEnds>> = {
  cantilever: 'fixed-free',
  simple: 'pinned',
  fixed: 'fixed',
};

/**
 * The lightest beam of all materials, layers, shapes and sizes that holds every load with the margin wanted.
 *
 * @returns mass in g; alternatives each the lightest of another material, way of layers or shape
 * @throws CalcError at `sections` with too many combinations, at `cases` where nothing acts
 * @see Ashby, Materials Selection in Mechanical Design, ch. 5; Shigley, Mechanical Engineering Design, ch. 3 and 4
 */
export function partLightest(input: PartLightestInput): PartLightestResult {
  const {
    materials,
    layers,
    sections,
    support,
    lengthMm,
    marginWanted = USUAL_MARGIN,
    deflectionMaxMm,
  } = input;
  const acting = input.cases.map((one, k) => actingOf(one, k, input));
  if (acting.every(({ shearN, axialN }) => shearN === 0 && axialN === 0))
    throw refusal('cases', 'lightest.noLoad');
  const sized = sections.map(sizesOf);
  const combinations = sized.reduce((sum, { count }) => sum + count, 0) * materials.length * layers.length;
  if (combinations > MOST) throw refusal('sections', 'lightest.tooMany', { most: MOST });
  const found = { tried: 0, skipped: 0, enough: 0 };
  const lightest = new Map<string, LightPart>();
  let closest: LightPart | undefined;
  for (const { id, material } of materials)
    for (const way of layers)
      for (const { shape, sections: each } of sized)
        for (const section of each()) {
          const properties = propertiesOf(section);
          if (!properties) {
            found.skipped++;
            continue;
          }
          found.tried++;
          const judged = judge(acting, properties, {
            shape,
            material,
            way,
            support,
            lengthMm,
            marginWanted,
            deflectionMaxMm,
          });
          if (!judged) continue;
          const part: LightPart = {
            material: id,
            layers: way,
            section,
            massG: (material.densityGPerCm3 * properties.areaMm2 * lengthMm) / MM3_PER_CM3,
            ...judged,
          };
          if (!closest || judged.limitedBy.ratio > closest.limitedBy.ratio * (1 + TIE)) closest = part;
          if (judged.limitedBy.ratio < 1 - TIE) continue;
          found.enough++;
          const key = JSON.stringify([id, way, shape]);
          const known = lightest.get(key);
          if (!known || part.massG < known.massG * (1 - TIE)) lightest.set(key, part);
        }
  const best = [...lightest.values()].reduce<LightPart | undefined>(
    (least, part) => (!least || part.massG < least.massG * (1 - TIE) ? part : least),
    undefined,
  );
  if (!best) return { ...found, ...(closest ? { closest } : {}), notes: [finding('note.lightest.none', {})] };
  const others = [...lightest.values()].filter((part) => part !== best).sort((a, b) => a.massG - b.massG);
  const { material } = materials.find(({ id }) => id === best.material)!;
  const properties = propertiesOf(best.section)!;
  return {
    ...found,
    best,
    alternatives: [best, ...others].slice(0, MOST_ALTERNATIVES),
    loadCases: acting.map((one) => {
      const [least] = strengthsOf(one, properties, {
        shape: best.section.shape as LightestShape,
        material,
        way: best.layers,
        support,
        lengthMm,
      }).sort((a, b) => a.margin - b.margin);
      return { name: one.name, ...(least ? { margin: least.margin, by: least.by } : {}) };
    }),
    notes: [],
  };
}

const MOST_ALTERNATIVES = 5;

/** A case as moments, forces and sags that no section changes. */
interface Acting {
  name: string;
  momentX: number;
  momentY: number;
  shearN: number;
  axialN: number;
  sagX: number;
  sagY: number;
  temperatureC: number | undefined;
}

function actingOf(
  { name, forceN, direction: [x, y], atMm, axialN = 0, temperatureC }: BeamCase,
  k: number,
  { support, lengthMm }: PartLightestInput,
): Acting {
  if (atMm !== undefined && atMm > lengthMm) throw refusal(`cases.${k}.atMm`, 'lightest.beyond');
  const length = Math.hypot(x, y);
  if (length === 0) throw refusal(`cases.${k}.direction`, 'lightest.noDirection');
  const one = bending({ support, lengthMm, load: { forceN: 1, ...(atMm === undefined ? {} : { atMm }) } });
  const [fx, fy] = [Math.abs((forceN * x) / length), Math.abs((forceN * y) / length)];
  return {
    name,
    momentX: one.momentNmm * fy,
    momentY: one.momentNmm * fx,
    shearN: one.shearN * Math.hypot(fx, fy),
    axialN,
    sagX: one.sag * fx,
    sagY: one.sag * fy,
    temperatureC,
  };
}

/** Every section of a shape with several sizes. */
function sizesOf(sized: SizedSection): {
  shape: LightestShape;
  count: number;
  sections(): Generator<Section>;
} {
  const { shape } = sized;
  const lists = SIZES_OF[shape].map((size) => {
    const given = sized[size] as number | Values;
    return [size, typeof given === 'number' ? [given] : (spread(given, MOST) ?? [])] as const;
  });
  const tooMany = SIZES_OF[shape].some((size) => {
    const given = sized[size] as number | Values;
    return typeof given !== 'number' && spread(given, MOST) === undefined;
  });
  if (tooMany) throw refusal('sections', 'lightest.tooMany', { most: MOST });
  function* from(at: number, so: Readonly<Record<string, number>>): Generator<Section> {
    if (at === lists.length) {
      yield { shape, ...so } as unknown as Section;
      return;
    }
    const [size, values] = lists[at]!;
    for (const value of values) yield* from(at + 1, { ...so, [size]: value });
  }
  return {
    shape,
    count: lists.reduce((product, [, values]) => product * values.length, 1),
    sections: () => from(0, {}),
  };
}

/** Undefined for sizes that make no section. */
function propertiesOf(section: Section): SectionProperties | undefined {
  try {
    return sectionProperties({ section });
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}

interface Made {
  shape: LightestShape;
  material: StrengthMaterial;
  way: Layers;
  support: BeamSupport;
  lengthMm: number;
}

const ROUND: readonly LightestShape[] = ['round', 'tube'];

/** Margins of what acts in a case: bending with pull, shear, buckling. */
function strengthsOf(
  { momentX, momentY, shearN, axialN, temperatureC }: Acting,
  { areaMm2, i2Mm4, sTopMm3, sBottomMm3, sLeftMm3, sRightMm3 }: SectionProperties,
  { shape, material, way, support, lengthMm }: Made,
): { by: Exclude<LimitedBy, 'deflection'>; margin: number }[] {
  const { allowable, shear, modulus } = byLayers(
    material,
    way,
    temperatureC === undefined ? {} : { temperatureC },
  );
  const [sx, sy] = [Math.min(sTopMm3, sBottomMm3), Math.min(sLeftMm3, sRightMm3)];
  const bent = ROUND.includes(shape) ? Math.hypot(momentX, momentY) / sx : momentX / sx + momentY / sy;
  const stress = bent + Math.abs(axialN) / areaMm2;
  const sheared = (1.5 * shearN) / areaMm2;
  return [
    ...(stress > 0 ? [{ by: 'bending' as const, margin: allowable / stress }] : []),
    ...(sheared > 0 ? [{ by: 'shear' as const, margin: shear / sheared }] : []),
    ...(axialN < 0
      ? [
          {
            by: 'buckling' as const,
            margin:
              allowable === 0
                ? 0
                : bucklingOf({ areaMm2, i2Mm4 }, { allowable, modulus }, lengthMm, ENDS[support]).bucklingN /
                  -axialN,
          },
        ]
      : []),
  ];
}

/** What limits a part of all its cases; undefined where nothing does. */
function judge(
  cases: readonly Acting[],
  properties: SectionProperties,
  {
    marginWanted,
    deflectionMaxMm,
    ...made
  }: Made & { marginWanted: number; deflectionMaxMm: number | undefined },
): Pick<LightPart, 'margin' | 'limitedBy'> | undefined {
  const { modulus } = byLayers(made.material, made.way, {});
  let margin = Infinity;
  let limitedBy: LightPart['limitedBy'] | undefined;
  const look = (name: string, by: LimitedBy, ratio: number) => {
    if (!limitedBy || ratio < limitedBy.ratio * (1 - TIE)) limitedBy = { case: name, by, ratio };
  };
  for (const one of cases) {
    for (const { by, margin: own } of strengthsOf(one, properties, made)) {
      margin = Math.min(margin, own);
      look(one.name, by, own / marginWanted);
    }
    const sag = Math.hypot(one.sagX / (modulus * properties.iyMm4), one.sagY / (modulus * properties.ixMm4));
    if (deflectionMaxMm !== undefined && sag > 0) look(one.name, 'deflection', deflectionMaxMm / sag);
  }
  return limitedBy && { limitedBy, ...(Number.isFinite(margin) ? { margin } : {}) };
}
