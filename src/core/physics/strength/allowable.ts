/** A material of parts: printed ones are weaker and softer across their layers. */
export interface StrengthMaterial {
  /** g/cm³. */
  densityGPerCm3?: number;
  /** In the layers' plane. */
  modulusMpa: number;
  /** Across the layers over in-plane. */
  modulusRatio?: number;
  /** Poisson’s ratio. */
  poisson?: number;
  inPlaneStrengthMpa: number;
  interlayerStrengthMpa: number;
  interlayerShearMpa: number;
  softeningC?: number;
  strainAtBreakPct?: number;
  notchedImpactKJPerM2?: number;
  pricePerKg?: number;
}

/** How the part is printed and how warm it is. */
export interface PartState {
  /** Share of solid. */
  fill?: number;
  temperatureC?: number;
}

const ROOM_C = 23;
const FILL_EXPONENT = 1.5;

/** Share of the strength that is left at a temperature: straight to nothing at the softening. */
export function derate({ softeningC }: Pick<StrengthMaterial, 'softeningC'>, temperatureC = ROOM_C): number {
  if (softeningC === undefined) return 1;
  return Math.min(1, Math.max(0, (softeningC - temperatureC) / (softeningC - ROOM_C)));
}

export const fillFactor = (fill = 1): number => fill ** FILL_EXPONENT;

/**
 * Tensile allowable at an angle to the build direction, S_xy·S_z/(S_xy·cos²θ + S_z·sin²θ), times fill and warmth.
 *
 * @param angleRad 0 along the build direction
 * @returns MPa
 * @see Hankinson; Bodig and Jayne, Mechanics of Wood and Wood Composites, ch. 7
 */
export function allowableMpa(
  material: StrengthMaterial,
  angleRad: number,
  { fill, temperatureC }: PartState = {},
): number {
  const { inPlaneStrengthMpa: plane, interlayerStrengthMpa: across } = material;
  const [c, s] = [Math.cos(angleRad) ** 2, Math.sin(angleRad) ** 2];
  return ((plane * across) / (plane * c + across * s)) * fillFactor(fill) * derate(material, temperatureC);
}

/** In-plane shear strength where nothing else is known. Source: von Mises. */
export const inPlaneShearMpa = ({
  inPlaneStrengthMpa,
}: Pick<StrengthMaterial, 'inPlaneStrengthMpa'>): number => inPlaneStrengthMpa / Math.sqrt(3);

export const LAYERS = ['along', 'across'] as const;
/** Layers lie along the beam, or their normal runs along it, the weak way. */
export type Layers = (typeof LAYERS)[number];

/** Strength, shear strength and stiffness of a beam by its layers. */
export function byLayers(
  material: StrengthMaterial,
  layers: Layers,
  state: PartState,
): { allowable: number; shear: number; modulus: number } {
  const across = layers === 'across';
  const left = fillFactor(state.fill) * derate(material, state.temperatureC);
  return {
    allowable: allowableMpa(material, across ? 0 : Math.PI / 2, state),
    // along, the layers slide on each other; across, the section is itself a layer
    shear: material.interlayerShearMpa * left,
    modulus: material.modulusMpa * (across ? (material.modulusRatio ?? 1) : 1) * fillFactor(state.fill),
  };
}
