import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { ChosenMaterial } from '../../car/material/material';
import type { Part } from '../../car/parts/parts';
import { hasLayers } from './materialOfBuild';
import { partStrength } from './partStrength';
import { type LoadedPart } from './loadedPart';

/** One part in one material under its worst load. */
export interface InMaterial {
  name: string;
  margin: number;
  /** Under that load, mm. */
  deflectionMm?: number;
  /** To bend it until it breaks, J. */
  energyJ?: number;
  chosen: boolean;
}

const MM_PER_M = 1000;

/** A part side by side in several materials, its own first. */
export function stiffOrTough(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
  materials: readonly ChosenMaterial[],
): InMaterial[] {
  const { mesh: _, ...bare } = part;
  const others = materials.filter(({ name }) => name !== part.material?.name);
  return [...(part.material ? [part.material] : []), ...others].flatMap((material): InMaterial[] => {
    const found = partStrength(document, surface, { ...bare, material });
    if (!found.ok) return [];
    const { worst } = found.value;
    const energyJ = energyToBreakJ(worst, material, part.layers === 'across');
    return [
      {
        name: material.name,
        margin: worst.margin,
        chosen: material === part.material,
        ...(worst.deflectionMm === undefined ? {} : { deflectionMm: worst.deflectionMm }),
        ...(energyJ === undefined ? {} : { energyJ }),
      },
    ];
  });
}

/**
 * Work that bends a beam until it breaks: half of force times way up to the strength, and behind it, where the material
 * stretches on, the same strained volume at that strength, U = F·δ/2·(2·ε_b/ε_y − 1). Between layers nothing stretches on.
 * An upper bound: a neck or a hinge strains less of it.
 *
 * @returns J; undefined where no deflection is known
 * @see Ashby, Materials Selection in Mechanical Design, ch. 4 (modulus of toughness)
 */
export function energyToBreakJ(
  {
    forceN,
    deflectionMm,
    margin,
    between,
  }: Pick<LoadedPart, 'forceN' | 'deflectionMm' | 'margin' | 'between'>,
  material: ChosenMaterial,
  across: boolean,
): number | undefined {
  if (deflectionMm === undefined) return undefined;
  const elastic = (forceN * margin * deflectionMm * margin) / 2 / MM_PER_M;
  const yieldPct = (100 * material.inPlaneStrengthMpa) / material.modulusMpa;
  const { strainAtBreakPct } = material;
  if (
    between ||
    (across && hasLayers(material)) ||
    strainAtBreakPct === undefined ||
    strainAtBreakPct <= yieldPct
  )
    return elastic;
  return elastic * ((2 * strainAtBreakPct) / yieldPct - 1);
}
