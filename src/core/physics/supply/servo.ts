import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.servo.idle': Record<never, never>;
  }
}

declare module '../../base/errors' {
  interface RefusalFacts {
    'servo.twice': { volts: number };
  }
}

export interface ServoPoint {
  /** V. */
  volts: number;
  torqueKgcm: number;
  secondsPer60Deg?: number;
}

export interface ServoTorqueInput {
  /** Of the data sheet, in any order. */
  points: readonly ServoPoint[];
  /** V. */
  volts: number;
}

export interface ServoTorqueResult {
  torqueKgcm: number;
  torqueNm: number;
  secondsPer60Deg?: number;
  /** More volts than the data sheet goes to; the figures are its last. */
  overVolts: boolean;
}

export const NM_PER_KGCM = 0.0980665;

/**
 * Torque and speed of a servo at a voltage: straight between the data sheet's points, in proportion to the volts below them.
 *
 * @returns torque in kg·cm and Nm, seconds for 60°
 * @throws CalcError at a point that repeats the volts of another
 * @see the data sheet; below it the linear DC-motor model
 */
export function servoTorque({ points, volts }: ServoTorqueInput): ServoTorqueResult {
  points.forEach((point, index) => {
    if (points.findIndex((other) => other.volts === point.volts) < index)
      throw refusal(`points.${index}.volts`, 'servo.twice', { volts: point.volts });
  });
  const sorted = [...points].sort((a, b) => a.volts - b.volts);
  const timed = sorted.every(({ secondsPer60Deg }) => secondsPer60Deg !== undefined);
  const { torque, seconds } = at(sorted, volts);
  return {
    torqueKgcm: torque,
    torqueNm: torque * NM_PER_KGCM,
    ...(timed && seconds !== undefined ? { secondsPer60Deg: seconds } : {}),
    overVolts: volts > sorted.at(-1)!.volts,
  };
}

function at(sorted: readonly ServoPoint[], volts: number): { torque: number; seconds: number | undefined } {
  const first = sorted[0]!;
  if (volts <= first.volts) {
    const share = volts / first.volts;
    return {
      torque: first.torqueKgcm * share,
      seconds: first.secondsPer60Deg === undefined || share === 0 ? undefined : first.secondsPer60Deg / share,
    };
  }
  const next = sorted.findIndex((point) => point.volts >= volts);
  if (next < 0) return { torque: sorted.at(-1)!.torqueKgcm, seconds: sorted.at(-1)!.secondsPer60Deg };
  const [a, b] = [sorted[next - 1]!, sorted[next]!];
  const share = (volts - a.volts) / (b.volts - a.volts);
  const between = (x: number, y: number) => x + share * (y - x);
  return {
    torque: between(a.torqueKgcm, b.torqueKgcm),
    seconds:
      a.secondsPer60Deg === undefined || b.secondsPer60Deg === undefined
        ? undefined
        : between(a.secondsPer60Deg, b.secondsPer60Deg),
  };
}

export interface ServoSteerInput {
  wheelLoadN?: readonly [number, number];
  /** Friction coefficient. */
  mu?: number;
  contactWidthMm?: number;
  /** Kingpin offset at the ground. */
  scrubRadiusMm?: number;
  /** Servo degrees per wheel degree. */
  linkageRatio?: number;
  /** Share of the torque that comes out, 0 to 1. */
  linkageEfficiency?: number;
  /** Torque of lifting the car as it steers, both wheels. */
  liftNmm?: number;
  /** Other work, in place of steering. */
  forceN?: number;
  armMm?: number;
  servo: ServoTorqueInput;
}

export interface ServoSteerResult {
  neededNm: number;
  availableNm: number;
  /** What it bears over what it has to; a plain number. */
  margin?: number;
  notes: Finding[];
}

const USUAL_LINKAGE_EFFICIENCY = 0.8;

/**
 * Torque that turning the wheels at a standstill asks of the servo, T = μ·W·√(b²/8 + e²) a wheel, against what it gives.
 *
 * @returns torques in Nm
 * @see Gillespie, Fundamentals of Vehicle Dynamics, ch. 8; Heisler, Advanced Vehicle Technology, ch. 9
 */
export function servoSteer(input: ServoSteerInput): ServoSteerResult {
  const { linkageRatio = 1, linkageEfficiency = USUAL_LINKAGE_EFFICIENCY, liftNmm = 0, servo } = input;
  const workNm =
    input.forceN !== undefined && input.armMm !== undefined
      ? (input.forceN * input.armMm) / 1000
      : scrubNm(input);
  const neededNm = (workNm + liftNmm / 1000) / (linkageRatio * linkageEfficiency);
  const availableNm = servoTorque(servo).torqueNm;
  if (neededNm === 0)
    return {
      neededNm,
      availableNm,
      notes: [finding('note.servo.idle', {})],
    };
  return { neededNm, availableNm, margin: availableNm / neededNm, notes: [] };
}

function scrubNm({ wheelLoadN, mu, contactWidthMm, scrubRadiusMm }: ServoSteerInput): number {
  const lever = Math.sqrt((contactWidthMm! / 1000) ** 2 / 8 + (scrubRadiusMm! / 1000) ** 2);
  return mu! * (wheelLoadN![0] + wheelLoadN![1]) * lever;
}
