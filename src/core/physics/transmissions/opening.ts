import { type Finding, finding } from '../../base/finding';
import { refusal } from '../../base/errors';
import { bisect } from '../../base/numeric/root';
import type { OperationFinding } from '../../base/operationFinding';
import { gearMesh, type MeshInput } from '../gears/mesh';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.opening.openAtRest': Record<never, never>;
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'opening.mount': Record<never, never>;
  }
}

export const BEAM_SUPPORTS = ['cantilever', 'simple', 'fixed'] as const;
export type BeamSupport = (typeof BEAM_SUPPORTS)[number];

export interface MountBeam {
  support: BeamSupport;
  lengthMm: number;
  widthMm: number;
  /** Along the force. */
  thicknessMm: number;
  modulusMpa: number;
}

/** What holds a gear's shaft: its stiffness, or the beam that it is. */
export interface Mount {
  stiffnessNPerMm?: number;
  beam?: MountBeam;
}

export interface OpeningInput extends Pick<
  MeshInput,
  | 'pinionTeeth'
  | 'wheelTeeth'
  | 'moduleMm'
  | 'diametralPitch'
  | 'pressureAngleDeg'
  | 'helixDeg'
  | 'pinionShift'
  | 'wheelShift'
  | 'backlashMm'
> {
  /** Peak, on the pinion. */
  torqueNm: number;
  overloadFactor?: number;
  /** Of both bearings, along the centres. */
  playMm?: number;
  mount: Mount;
  wheelMount?: Mount;
}

export const MESH_STATES = ['holds', 'rough', 'skips'] as const;
export type MeshState = (typeof MESH_STATES)[number];

export interface OpeningResult {
  stiffnessNPerMm: number;
  normalForceN: number;
  separationForceN: number;
  openingMm: number;
  centreDistanceMm: number;
  openedCentreDistanceMm: number;
  openedPressureAngleDeg: number;
  engagementMm: number;
  /** Over that at rest. */
  engagementShare: number;
  contactRatio: number;
  contactRatioOpened: number;
  state: MeshState;
  /** Left out where the teeth do not reach each other without load. */
  torqueAtSkipNm?: number;
  skipMargin?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

/** Force for a deflection of one, over E·I/L³, by how a beam is held: at its tip, or in its middle. */
const HELD: Readonly<Record<BeamSupport, number>> = { cantilever: 3, simple: 48, fixed: 192 };
const [SKIPS, ROUGH] = [1, 1.1];
const [MOST_TURNS, FINE] = [100_000, 1e-14];
const RAD = Math.PI / 180;

/**
 * How far the teeth push two gears apart, and whether they skip.
 *
 * @returns lengths in mm, forces in N, torques in Nm
 * @throws CalcError at `mount.stiffnessNPerMm` for both or neither of stiffness and beam, and as `gear.mesh` does
 * @see statics; Euler and Bernoulli (beams); ISO 21771 (contact ratio)
 */
export function gearOpening(input: OpeningInput): OpeningResult {
  const { torqueNm, overloadFactor = 1, playMm = 0, mount, wheelMount, ...pair } = input;
  const mesh = gearMesh(pair);
  const stiffnesses = [
    stiffnessOf(mount, 'mount'),
    ...(wheelMount ? [stiffnessOf(wheelMount, 'wheelMount')] : []),
  ];
  const stiffnessNPerMm = 1 / stiffnesses.reduce((sum, one) => sum + 1 / one, 0);
  const radii = (diameters: readonly [number, number]) => [diameters[0] / 2, diameters[1] / 2] as const;
  const [base, tip] = [radii(mesh.baseDiametersMm), radii(mesh.tipDiametersMm)];
  const a0 = mesh.centreDistanceMm;
  const sinAt = (centre: number) => Math.sqrt(1 - ((base[0] + base[1]) / centre) ** 2);
  const contactAt = (centre: number) => {
    const line = centre * sinAt(centre);
    const reach = (i: 0 | 1) => Math.min(line, Math.sqrt(tip[i] ** 2 - base[i] ** 2));
    return ((reach(0) + reach(1) - line) * pair.pinionTeeth) / (2 * Math.PI * base[0]);
  };
  const normalForceN = (1000 * overloadFactor * torqueNm) / base[0];
  let openingMm = playMm;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const next = playMm + (normalForceN * sinAt(a0 + openingMm)) / stiffnessNPerMm;
    const done = Math.abs(next - openingMm) <= FINE * a0;
    openingMm = next;
    if (done) break;
  }
  const centre = a0 + openingMm;
  const contactRatioOpened = contactAt(centre);
  const skip = skipTorque();
  return {
    stiffnessNPerMm,
    normalForceN,
    separationForceN: normalForceN * sinAt(centre),
    openingMm,
    centreDistanceMm: a0,
    openedCentreDistanceMm: centre,
    openedPressureAngleDeg: Math.acos((base[0] + base[1]) / centre) / RAD,
    engagementMm: tip[0] + tip[1] - centre,
    engagementShare: (tip[0] + tip[1] - centre) / (tip[0] + tip[1] - a0),
    contactRatio: contactAt(a0),
    contactRatioOpened,
    state: contactRatioOpened < SKIPS ? 'skips' : contactRatioOpened < ROUGH ? 'rough' : 'holds',
    ...(skip === undefined
      ? {}
      : { torqueAtSkipNm: skip, ...(torqueNm > 0 ? { skipMargin: skip / torqueNm } : {}) }),
    findings: [],
    notes: skip === undefined ? [finding('note.opening.openAtRest', {})] : [],
  };

  function skipTorque(): number | undefined {
    const from = a0 + playMm;
    if (contactAt(from) < SKIPS) return undefined;
    const apart = bisect((c) => (contactAt(c) >= SKIPS ? 1 : -1), from, tip[0] + tip[1] + from);
    return (stiffnessNPerMm * (apart - from) * base[0]) / (1000 * overloadFactor * sinAt(apart));
  }
}

function stiffnessOf({ stiffnessNPerMm, beam }: Mount, at: 'mount' | 'wheelMount'): number {
  if ((stiffnessNPerMm === undefined) === (beam === undefined))
    throw refusal(`${at}.stiffnessNPerMm`, 'opening.mount');
  if (!beam) return stiffnessNPerMm!;
  const { support, lengthMm, widthMm, thicknessMm, modulusMpa } = beam;
  return (HELD[support] * modulusMpa * widthMm * thicknessMm ** 3) / (12 * lengthMm ** 3);
}
