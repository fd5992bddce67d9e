import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.shaft.noLoad': Record<never, never>;
    'note.shaft.supportIt': Record<never, never>;
  }
}
export interface ShaftInput {
  diameterMm: number;
  boreMm?: number;
  bendingNm?: number;
  /** In place of the bending: a force, and how far out it acts. */
  forceN?: number;
  overhangMm?: number;
  torqueNm?: number;
  yieldMpa: number;
  modulusMpa: number;
  densityKgM3: number;
  spanMm?: number;
  maxRpm?: number;
}

export interface ShaftResult {
  bendingStressMpa: number;
  shearStressMpa: number;
  vonMisesMpa: number;
  /** What it bears over what it has to; a plain number. */
  margin?: number;
  whirlRpm?: number;
  /** Critical speed over the fastest speed. */
  whirlMargin?: number;
  advice?: Finding;
  notes: Finding[];
}

const WHIRL_TIGHT = 1.3;

/**
 * Bending, torsion and whirl of a round shaft, solid or bored.
 *
 * @returns stresses in MPa, speeds in rpm
 * @see Shigley, Mechanical Engineering Design, ch. 7 (shafts; Rayleigh's whirl of a uniform shaft on two bearings)
 */
export function shaftCheck(input: ShaftInput): ShaftResult {
  const { diameterMm: d, boreMm = 0, torqueNm = 0, forceN, overhangMm, yieldMpa, spanMm, maxRpm } = input;
  const bendingNm =
    forceN !== undefined && overhangMm !== undefined ? (forceN * overhangMm) / 1000 : (input.bendingNm ?? 0);
  const hollow = 1 - (boreMm / d) ** 4;
  const bendingStressMpa = (32_000 * bendingNm) / (Math.PI * d ** 3 * hollow);
  const shearStressMpa = (16_000 * torqueNm) / (Math.PI * d ** 3 * hollow);
  const vonMisesMpa = Math.hypot(bendingStressMpa, Math.sqrt(3) * shearStressMpa);
  const result: ShaftResult = { bendingStressMpa, shearStressMpa, vonMisesMpa, notes: [] };
  if (vonMisesMpa > 0) result.margin = yieldMpa / vonMisesMpa;
  else result.notes.push(finding('note.shaft.noLoad', {}));
  if (spanMm === undefined) return result;
  result.whirlRpm = whirlRpm(input, spanMm);
  if (maxRpm !== undefined) {
    result.whirlMargin = result.whirlRpm / maxRpm;
    if (result.whirlMargin < WHIRL_TIGHT) result.advice = finding('note.shaft.supportIt', {});
  }
  return result;
}

/** ω = π²·√(EI/(μL⁴)) of a uniform shaft with pinned ends. */
function whirlRpm({ diameterMm, boreMm = 0, modulusMpa, densityKgM3 }: ShaftInput, spanMm: number): number {
  const [d, bore, span] = [diameterMm / 1000, boreMm / 1000, spanMm / 1000];
  const stiffness = modulusMpa * 1e6 * (Math.PI / 64) * (d ** 4 - bore ** 4);
  const massPerMetre = densityKgM3 * (Math.PI / 4) * (d ** 2 - bore ** 2);
  return 60 * (Math.PI / 2) * Math.sqrt(stiffness / (massPerMetre * span ** 4));
}
