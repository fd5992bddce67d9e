import { type Measure, measure } from '../../base/measure';
import { refusal } from '../../base/errors';
import { bisect } from '../../base/numeric/root';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.gearMesh.pointed': { gear: 'pinion' | 'wheel' };
    'note.gearMesh.noPinion': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'gearMesh.noAngle': Record<never, never>;
    'gearMesh.modules': { other: Measure; normal: Measure; pitch: Measure; otherPitch: Measure };
    'gearMesh.tips': Record<never, never>;
    'gearMesh.slot': { slotMinMm: Measure; slotMaxMm: Measure };
  }
}

export interface MeshInput {
  pinionTeeth: number;
  wheelTeeth: number;
  /** Normal module; or the diametral pitch, teeth an inch. */
  moduleMm?: number;
  /** Teeth per inch of pitch diameter. */
  diametralPitch?: number;
  wheelModuleMm?: number;
  /** Teeth per inch of pitch diameter. */
  wheelDiametralPitch?: number;
  pressureAngleDeg?: number;
  helixDeg?: number;
  /** Profile shifts, in modules. */
  pinionShift?: number;
  /** Profile shift, shares of the module. */
  wheelShift?: number;
  /** Along the line of action. */
  backlashMm?: number;
  /** Reach of the motor's slot, as centre distances. */
  slotMinMm?: number;
  slotMaxMm?: number;
}

type Pair = [pinion: number, wheel: number];

export interface MeshResult {
  /** Turns of the pinion for one of the wheel. */
  ratio: number;
  pitchDiametersMm: Pair;
  baseDiametersMm: Pair;
  tipDiametersMm: Pair;
  rootDiametersMm: Pair;
  workingPressureAngleDeg: number;
  /** With the backlash. */
  centreDistanceMm: number;
  contactRatio: number;
  /** Mean number of pairs in mesh at the opened centre distance. */
  contactRatioOpened: number;
  undercut: [boolean, boolean];
  minTeethNoUndercut: Pair;
  fitsSlot?: boolean;
  pinionRange?: { min: number; max: number };
  notes: Finding[];
}

const MM_PER_INCH = 25.4;
const SAME = 1e-9;
const CLEARANCE = 1.25;
const FEWEST_PINION = 6;
const MOST_PINION = 20_000;
const RAD = Math.PI / 180;

export const involute = (angle: number) => Math.tan(angle) - angle;

/** Angle of an involute function's value, rad. */
export const involuteAngle = (value: number) =>
  bisect((angle) => (involute(angle) < value ? 1 : -1), 0, 1.57);

interface Flank {
  module: number;
  transverseModule: number;
  normalAngle: number;
  transverseAngle: number;
  helix: number;
}

/**
 * How two gears mesh: sizes, centre distance, contact ratio, undercut, and what a motor's slot takes.
 *
 * @returns lengths in mm, angles in degrees
 * @throws CalcError at `wheelModuleMm` for gears of different modules, at a shift that leaves no mesh or no
 * tip, at `slotMinMm` for an inverted slot
 * @see ISO 21771; Shigley, Mechanical Engineering Design, ch. 13
 */
export function gearMesh(input: MeshInput): MeshResult {
  const { pinionTeeth, wheelTeeth, pinionShift = 0, wheelShift = 0, backlashMm = 0 } = input;
  const flank = flankOf(input);
  const teeth: Pair = [pinionTeeth, wheelTeeth];
  const shifts: Pair = [pinionShift, wheelShift];
  const both = (work: (z: number, x: number) => number): Pair => [
    work(teeth[0], shifts[0]),
    work(teeth[1], shifts[1]),
  ];
  const pitch = both((z) => flank.transverseModule * z);
  const base = both((z) => flank.transverseModule * z * Math.cos(flank.transverseAngle));
  const tip = both((z, x) => flank.transverseModule * z + 2 * flank.module * (1 + x));
  const root = both((z, x) => flank.transverseModule * z - 2 * flank.module * (CLEARANCE - x));
  refuseLowTips(tip, base);
  const working = workingAngle(flank, teeth, shifts);
  if (working === undefined) throw refusal('pinionShift', 'gearMesh.noAngle');
  const tight = centreAt(flank, teeth, working);
  const centre = tight + backlashMm / (2 * Math.sin(working));
  const opened = Math.acos(Math.min(1, (base[0] + base[1]) / 2 / centre));
  const result: MeshResult = {
    ratio: wheelTeeth / pinionTeeth,
    pitchDiametersMm: pitch,
    baseDiametersMm: base,
    tipDiametersMm: tip,
    rootDiametersMm: root,
    workingPressureAngleDeg: working / RAD,
    centreDistanceMm: centre,
    contactRatio: contactRatio(flank, tip, base, tight, working),
    contactRatioOpened: contactRatio(flank, tip, base, centre, opened),
    undercut: [undercuts(flank, pinionTeeth, pinionShift), undercuts(flank, wheelTeeth, wheelShift)],
    minTeethNoUndercut: both((_, x) => Math.max(1, Math.ceil(leastTeeth(flank, x) - SAME))),
    notes: pointedNotes(flank, teeth, shifts, tip, base),
  };
  addSlot(result, input, flank, shifts, backlashMm);
  return result;
}

function flankOf(input: MeshInput): Flank {
  const normal = sizeOf(input.moduleMm, input.diametralPitch)!;
  const other = sizeOf(input.wheelModuleMm, input.wheelDiametralPitch);
  if (other !== undefined && Math.abs(other / normal - 1) > SAME) {
    throw refusal('wheelModuleMm', 'gearMesh.modules', {
      other: measure(other, 'fitMm', 4),
      normal: measure(normal, 'fitMm', 4),
      pitch: measure(MM_PER_INCH / normal, 'coefficient', 4),
      otherPitch: measure(MM_PER_INCH / other, 'coefficient', 4),
    });
  }
  const helix = (input.helixDeg ?? 0) * RAD;
  const normalAngle = (input.pressureAngleDeg ?? 20) * RAD;
  return {
    module: normal,
    transverseModule: normal / Math.cos(helix),
    normalAngle,
    transverseAngle: Math.atan(Math.tan(normalAngle) / Math.cos(helix)),
    helix,
  };
}

const sizeOf = (module: number | undefined, pitch: number | undefined) =>
  module ?? (pitch === undefined ? undefined : MM_PER_INCH / pitch);

function refuseLowTips(tip: Pair, base: Pair): void {
  (['pinionShift', 'wheelShift'] as const).forEach((field, i) => {
    if (tip[i]! < base[i]!) throw refusal(field, 'gearMesh.tips');
  });
}

function workingAngle(
  { normalAngle, transverseAngle }: Flank,
  [z1, z2]: Pair,
  [x1, x2]: Pair,
): number | undefined {
  const value = involute(transverseAngle) + (2 * Math.tan(normalAngle) * (x1 + x2)) / (z1 + z2);
  if (value <= 0) return undefined;
  return x1 + x2 === 0 ? transverseAngle : involuteAngle(value);
}

const centreAt = ({ transverseModule, transverseAngle }: Flank, [z1, z2]: Pair, working: number) =>
  ((transverseModule * (z1 + z2)) / 2) * (Math.cos(transverseAngle) / Math.cos(working));

function contactRatio(
  { transverseModule, transverseAngle }: Flank,
  tip: Pair,
  base: Pair,
  centre: number,
  working: number,
): number {
  const line = centre * Math.sin(working);
  const reach = (i: 0 | 1) => Math.min(line, Math.sqrt((tip[i] / 2) ** 2 - (base[i] / 2) ** 2));
  return (reach(0) + reach(1) - line) / (Math.PI * transverseModule * Math.cos(transverseAngle));
}

const leastTeeth = ({ helix, transverseAngle }: Flank, shift: number) =>
  (2 * (1 - shift) * Math.cos(helix)) / Math.sin(transverseAngle) ** 2;
const undercuts = (flank: Flank, teeth: number, shift: number) => teeth < leastTeeth(flank, shift) - SAME;

/** Half the tooth's angle at the tip, where the flanks would have met already. */
function pointedNotes(
  { module, normalAngle, transverseAngle, helix }: Flank,
  teeth: Pair,
  shifts: Pair,
  tip: Pair,
  base: Pair,
): Finding[] {
  return (['pinion', 'wheel'] as const).flatMap((name, i) => {
    const pitchThickness =
      ((Math.PI * module) / 2 + 2 * shifts[i]! * module * Math.tan(normalAngle)) / Math.cos(helix);
    const atTip = Math.acos(base[i]! / tip[i]!);
    const half =
      (pitchThickness * Math.cos(helix)) / (module * teeth[i]!) + involute(transverseAngle) - involute(atTip);
    return half > 0 ? [] : [finding('note.gearMesh.pointed', { gear: name })];
  });
}

function addSlot(
  result: MeshResult,
  { wheelTeeth, slotMinMm, slotMaxMm }: MeshInput,
  flank: Flank,
  shifts: Pair,
  backlashMm: number,
): void {
  if (slotMinMm === undefined || slotMaxMm === undefined) return;
  if (slotMinMm > slotMaxMm)
    throw refusal('slotMinMm', 'gearMesh.slot', {
      slotMinMm: measure(slotMinMm, 'fitMm', 4),
      slotMaxMm: measure(slotMaxMm, 'fitMm', 4),
    });
  const centreOf = (teeth: number) => {
    const pair: Pair = [teeth, wheelTeeth];
    const working = workingAngle(flank, pair, shifts);
    return working === undefined
      ? undefined
      : centreAt(flank, pair, working) + backlashMm / (2 * Math.sin(working));
  };
  result.fitsSlot = result.centreDistanceMm >= slotMinMm && result.centreDistanceMm <= slotMaxMm;
  let min: number | undefined;
  let max: number | undefined;
  for (let teeth = FEWEST_PINION; teeth <= MOST_PINION; teeth++) {
    const centre = centreOf(teeth);
    if (centre === undefined || centre < slotMinMm) continue;
    if (centre > slotMaxMm) break;
    min ??= teeth;
    max = teeth;
  }
  if (min === undefined || max === undefined) result.notes.push(finding('note.gearMesh.noPinion', {}));
  else result.pinionRange = { min, max };
}
