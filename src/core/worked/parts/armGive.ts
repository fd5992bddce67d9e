import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import type { End } from '../../car/document/suspension';
import type { Assembled } from '../../base/assembled';
import type { Corner } from '../../physics/corner/corner';
import { cornerOf } from '../suspension/endOfBuild';
import { middle, type Vec3 } from '../../base/vec3';
import { byLayers } from '../../physics/strength/allowable';
import { casesOfBuild } from './casesOfBuild';
import { hasLayers, strengthOf } from './materialOfBuild';
import { keptOf, sectionOfShape } from './partSection';
import { sectionProperties } from '../../physics/strength/section';

/** What an arm gives away at the tyres' limit in a corner. */
export interface ArmGive {
  /** At the ground, N. */
  lateralN: number;
  /** Along the lower arm, N: more than at the ground, by the lever over the upper joint. */
  armN: number;
  camberDeg: number;
  toeDeg: number;
}

const DEG = 180 / Math.PI;
/** Half the length of a tyre's contact over its radius, by judgement. */
const CONTACT_SHARE = 0.2;

/**
 * Camber and toe that a lower arm gives away under the cornering force at the ground. About the upper joint it carries
 * F·h_u/(h_u − h_l) and shortens by F·L/(E·A), so the wheel leans by that over the distance of the joints. The force acts a third
 * of half the contact behind its middle and turns the end of the arm as a cantilever by M·L/(E·I); where a tie rod holds the wheel
 * it takes most of that, so the toe is an upper bound. The section at its weakest place stands for the whole arm.
 *
 * @returns N and degrees
 * @see Shigley, Mechanical Engineering Design, table A-9; Pacejka, Tire and Vehicle Dynamics, ch. 3 (trail of a brush)
 */
export function armGive(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  end: End,
  part: Part,
): Assembled<ArmGive> {
  const corner = cornerOf(document, end);
  const cases = casesOfBuild(document, surface);
  if (!corner.ok) return corner;
  if (!cases.ok) return cases;
  const { shape, material, layers } = part;
  const section = shape ? sectionOfShape(shape) : [];
  if (!material || !('section' in section))
    return { ok: false, missing: [`parts.items.${part.id}.shape`, `parts.items.${part.id}.material`] };
  const { inner, lower, upper } = jointsOf(corner.value);
  const lateralN =
    cases.value.cases[end === 'front' ? 'corneringLateralFront' : 'corneringLateralRear']!.forceN!;
  const { areaMm2, ixMm4, iyMm4 } = sectionProperties({ section: section.section });
  const { modulus } = byLayers(
    strengthOf(material),
    layers === 'across' && hasLayers(material) ? 'across' : 'along',
    {},
  );
  const kept = keptOf(part, section);
  const [length, apart] = [lower[1] - inner[1], upper[2] - lower[2]];
  const armN = (lateralN * upper[2]) / apart;
  const trailMm = (CONTACT_SHARE * corner.value.tyreRadiusMm) / 3;
  const sideways = section.upright === 'x' ? iyMm4 : ixMm4;
  return {
    ok: true,
    value: {
      lateralN,
      armN,
      camberDeg: ((armN * length) / (modulus * kept.area * areaMm2) / apart) * DEG,
      toeDeg: ((lateralN * trailMm * length) / (modulus * kept.sideways * sideways)) * DEG,
    },
  };
}

/** Hinge, lower and upper outer joints of a corner. */
function jointsOf(corner: Corner): { inner: Vec3; lower: Vec3; upper: Vec3 } {
  return {
    inner: middle(corner.lowerFront, corner.lowerRear),
    lower: corner.kind === 'wishbones' ? corner.lowerOuter : middle(corner.outerFront, corner.outerRear),
    upper: corner.upperOuter,
  };
}
