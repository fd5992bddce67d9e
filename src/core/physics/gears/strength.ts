import { interpolate } from '../../base/numeric/interpolate';
import { derateAt } from '../strength/softening';
import { type Finding, finding } from '../../base/finding';
import { type Measure, measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.gearStrength.formFactor': { angle: Measure };
    'note.gearStrength.noLoad': Record<never, never>;
    'note.gearStrength.soft': Record<never, never>;
  }
}

export interface GearMaterial {
  inPlaneStrengthMpa: number;
  softeningC: number;
  wearCoefficientMm3PerNm?: number;
}

export interface GearStrengthInput {
  /** Of the gear that the torque acts on. */
  teeth: number;
  mateTeeth: number;
  moduleMm: number;
  faceWidthMm: number;
  torqueNm: number;
  speedRpm: number;
  pressureAngleDeg?: number;
  material: GearMaterial;
  temperatureC?: number;
  /** The plastic's share of the tooth's section. */
  fillFactor?: number;
  overloadFactor?: number;
  /** Depth at which the tooth is worn out; a fifth of the module where not given. */
  wearLimitMm?: number;
}

export interface GearStrengthResult {
  tangentialForceN: number;
  pitchLineMps: number;
  /** Form factor, a plain number. */
  lewisY: number;
  dynamicFactor: number;
  bendingStressMpa: number;
  allowableMpa: number;
  /** What it bears over what it has to; a plain number. */
  margin?: number;
  faceWidthForMargin2Mm?: number;
  torqueAtMargin1Nm: number;
  /** mm of the tooth an hour. */
  wearMmPerHour?: number;
  /** h. */
  hoursToWearLimit?: number;
  notes: Finding[];
}

/** Lewis form factor of 20° full-depth teeth. Source: Shigley, Mechanical Engineering Design, table 14-2. */
const LEWIS_Y = [
  [10, 0.201],
  [11, 0.226],
  [12, 0.245],
  [13, 0.261],
  [14, 0.277],
  [15, 0.29],
  [16, 0.296],
  [17, 0.303],
  [18, 0.309],
  [19, 0.314],
  [20, 0.322],
  [21, 0.328],
  [22, 0.331],
  [24, 0.337],
  [26, 0.346],
  [28, 0.353],
  [30, 0.359],
  [34, 0.371],
  [38, 0.384],
  [43, 0.397],
  [50, 0.409],
  [60, 0.422],
  [75, 0.435],
  [100, 0.447],
  [150, 0.46],
  [300, 0.472],
] as const;
/** Barth's factor of cut teeth, m/s. */
const BARTH_MPS = 6.1;
export const USUAL_OVERLOAD = 1.5;

/** Lewis form factor, held at both ends; virtual teeth need not be whole. */
export const lewisOf = (teeth: number): number => interpolate(LEWIS_Y, teeth);
/** Barth's factor at a pitch line speed, m/s. */
export const dynamicAt = (pitchLineMps: number): number => (BARTH_MPS + pitchLineMps) / BARTH_MPS;
/** What a tooth of a material bears at a temperature, MPa. */
export const allowableOf = (
  { inPlaneStrengthMpa, softeningC }: GearMaterial,
  fillFactor: number,
  temperatureC: number,
): number => inPlaneStrengthMpa * fillFactor * derateAt(temperatureC, softeningC);
const USUAL_WEAR_LIMIT = 0.2;
const MINUTES = 60;

/**
 * Bending at the root of a tooth, and how long its flank lasts.
 *
 * @returns forces in N, speeds in m/s, stresses in MPa, wear in mm an hour
 * @see Shigley, Mechanical Engineering Design, ch. 14 (Lewis, Barth); VDI 2736-2 (wear)
 */
export function gearStrength(input: GearStrengthInput): GearStrengthResult {
  const {
    teeth,
    moduleMm,
    faceWidthMm,
    torqueNm,
    speedRpm,
    material,
    temperatureC = 23,
    fillFactor = 1,
    overloadFactor = USUAL_OVERLOAD,
    pressureAngleDeg = 20,
  } = input;
  const pitchMm = moduleMm * teeth;
  const tangentialForceN = (2000 * torqueNm) / pitchMm;
  const pitchLineMps = (Math.PI * (pitchMm / 1000) * speedRpm) / MINUTES;
  const lewisY = lewisOf(teeth);
  const dynamicFactor = dynamicAt(pitchLineMps);
  const stressPerNewton = (overloadFactor * dynamicFactor) / (faceWidthMm * moduleMm * lewisY);
  const bendingStressMpa = tangentialForceN * stressPerNewton;
  const allowableMpa = allowableOf(material, fillFactor, temperatureC);
  const notes =
    pressureAngleDeg === 20
      ? []
      : [finding('note.gearStrength.formFactor', { angle: measure(pressureAngleDeg, 'angleDeg') })];
  const result: GearStrengthResult = {
    tangentialForceN,
    pitchLineMps,
    lewisY,
    dynamicFactor,
    bendingStressMpa,
    allowableMpa,
    torqueAtMargin1Nm: (allowableMpa * pitchMm) / (2000 * stressPerNewton),
    notes,
  };
  if (bendingStressMpa === 0) notes.push(finding('note.gearStrength.noLoad', {}));
  else {
    result.margin = allowableMpa / bendingStressMpa;
    if (allowableMpa > 0) result.faceWidthForMargin2Mm = (2 * faceWidthMm) / result.margin;
    else notes.push(finding('note.gearStrength.soft', {}));
  }
  addWear(result, input);
  return result;
}

function addWear(
  result: GearStrengthResult,
  {
    teeth,
    mateTeeth,
    moduleMm,
    faceWidthMm,
    torqueNm,
    speedRpm,
    material,
    pressureAngleDeg = 20,
    wearLimitMm = USUAL_WEAR_LIMIT * moduleMm,
  }: GearStrengthInput,
): void {
  const coefficient = material.wearCoefficientMm3PerNm;
  if (coefficient === undefined) return;
  const angle = (pressureAngleDeg * Math.PI) / 180;
  const tipAngle = (z: number) => Math.acos((z * Math.cos(angle)) / (z + 2));
  const tipRatio = (z: number) => (z / (2 * Math.PI)) * (Math.tan(tipAngle(z)) - Math.tan(angle));
  const [small, large] = [Math.min(teeth, mateTeeth), Math.max(teeth, mateTeeth)];
  const u = large / small;
  const [e1, e2] = [tipRatio(small), tipRatio(large)];
  const lossFactor = ((Math.PI * (u + 1)) / (small * u)) * (1 - e1 - e2 + e1 ** 2 + e2 ** 2);
  const baseRadius = (moduleMm * teeth * Math.cos(angle)) / 2;
  const flankMm = (baseRadius / 2) * Math.tan(tipAngle(teeth)) ** 2;
  const workNmPerHour = torqueNm * 2 * Math.PI * MINUTES * speedRpm;
  result.wearMmPerHour = (workNmPerHour * lossFactor * coefficient) / (faceWidthMm * teeth * flankMm);
  if (result.wearMmPerHour > 0) result.hoursToWearLimit = wearLimitMm / result.wearMmPerHour;
}
