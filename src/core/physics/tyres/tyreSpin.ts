import { GRAVITY } from '../../base/constants';
import { type Finding, finding } from '../../base/finding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.tyreSpin.caution': Record<never, never>;
    'note.tyreSpin.runsAway': Record<never, never>;
  }
}

export const TYRE_KINDS = ['solid rubber', 'belted', 'foam', 'printed flexible', 'own'] as const;
export type TyreKind = (typeof TYRE_KINDS)[number];

export interface Ring {
  densityKgM3: number;
  hoopModulusMpa: number;
  hoopStrengthMpa: number;
}

/**
 * Typical of each kind, by judgement from data sheets of soft rubber, aramid-belted rubber, sponge rubber and
 * printed polyurethane; test your own.
 */
const TYPICAL: Readonly<Record<Exclude<TyreKind, 'own'>, Ring>> = {
  'solid rubber': { densityKgM3: 1150, hoopModulusMpa: 4, hoopStrengthMpa: 9 },
  belted: { densityKgM3: 1200, hoopModulusMpa: 250, hoopStrengthMpa: 30 },
  foam: { densityKgM3: 350, hoopModulusMpa: 2, hoopStrengthMpa: 1.2 },
  'printed flexible': { densityKgM3: 1200, hoopModulusMpa: 40, hoopStrengthMpa: 20 },
};

export interface TyreSpinInput extends Partial<Ring> {
  kind: TyreKind;
  radiusMm: number;
  /** Turns a minute. */
  rpm?: number;
  /** Of the car, at the grown radius. */
  speedMps?: number;
}

export interface TyreSpinResult {
  /** Turns a minute. */
  rpm?: number;
  radiusMm?: number;
  growthPct?: number;
  vehicleSpeedMps?: number;
  hoopStressMpa?: number;
  /** Multiples of gravity. */
  accelerationGees?: number;
  runsAway: boolean;
  limitRpm: number;
  limitSpeedMps: number;
  endsBy: 'burst' | 'runAway';
  /** What it bears over what it has to; a plain number. */
  margin?: number;
  caution?: Finding;
  notes: Finding[];
}

const PA_PER_MPA = 1e6;
const RAD_PER_S_PER_RPM = (2 * Math.PI) / 60;
const CAUTION_MARGIN = 2;
const CAUTION = finding('note.tyreSpin.caution', {});

/**
 * How a tyre grows with speed, and where it bursts or runs away: a free elastic ring, r = r_0·(1 + ρ·ω²·r²/E), the smaller root.
 *
 * @returns radius in mm, growth in per cent, stress in MPa, acceleration in g
 * @see Timoshenko, Strength of Materials, part II (rotating ring); the growth by Hooke's law around the ring
 */
export function tyreSpin(input: TyreSpinInput): TyreSpinResult {
  const ring = ringOf(input);
  const [r0, E, S, rho] = [
    input.radiusMm / 1000,
    ring.hoopModulusMpa * PA_PER_MPA,
    ring.hoopStrengthMpa * PA_PER_MPA,
    ring.densityKgM3,
  ];
  const limit = limitOf(r0, E, S, rho);
  const spun =
    input.rpm === undefined ? byVehicleSpeed(input.speedMps!, r0, E, rho) : byRpm(input.rpm, r0, E, rho);
  const rpm = spun?.rpm ?? input.rpm;
  const result: TyreSpinResult = {
    ...(rpm === undefined ? {} : { rpm }),
    runsAway: spun === undefined,
    ...limit,
    notes: [],
  };
  if (!spun) {
    result.notes.push(finding('note.tyreSpin.runsAway', {}));
    return { ...result, caution: CAUTION };
  }
  const { radius, omega } = spun;
  const stress = rho * (omega * radius) ** 2;
  result.radiusMm = radius * 1000;
  result.growthPct = (radius / r0 - 1) * 100;
  result.vehicleSpeedMps = omega * radius;
  result.hoopStressMpa = stress / PA_PER_MPA;
  result.accelerationGees = (omega ** 2 * radius) / GRAVITY;
  if (omega > 0) result.margin = Math.min(S / stress, (limit.limitRpm / spun.rpm) ** 2);
  if (result.margin !== undefined && result.margin < CAUTION_MARGIN) result.caution = CAUTION;
  return result;
}

/** Density, stiffness and strength of the ring: the given ones, or those typical of its kind. */
export function ringOf(input: Partial<Ring> & { kind: TyreKind }): Ring {
  const typical = input.kind === 'own' ? undefined : TYPICAL[input.kind];
  return {
    densityKgM3: input.densityKgM3 ?? typical!.densityKgM3,
    hoopModulusMpa: input.hoopModulusMpa ?? typical!.hoopModulusMpa,
    hoopStrengthMpa: input.hoopStrengthMpa ?? typical!.hoopStrengthMpa,
  };
}

interface Spun {
  rpm: number;
  omega: number;
  radius: number;
}

function byRpm(rpm: number, r0: number, E: number, rho: number): Spun | undefined {
  const omega = rpm * RAD_PER_S_PER_RPM;
  const k = (rho * omega ** 2 * r0) / E;
  const root = 1 - 4 * k * r0;
  if (root < 0) return undefined;
  // (1 − √(1 − 4·k·r_0))/(2·k), written so that it holds at rest
  return { rpm, omega, radius: (2 * r0) / (1 + Math.sqrt(root)) };
}

function byVehicleSpeed(v: number, r0: number, E: number, rho: number): Spun | undefined {
  if (v > Math.sqrt(E / rho)) return undefined;
  const radius = r0 * (1 + (rho * v ** 2) / E);
  return { rpm: v / radius / RAD_PER_S_PER_RPM, omega: v / radius, radius };
}

function limitOf(
  r0: number,
  E: number,
  S: number,
  rho: number,
): Pick<TyreSpinResult, 'limitRpm' | 'limitSpeedMps' | 'endsBy'> {
  const bursts = S < E;
  const speed = Math.sqrt((bursts ? S : E) / rho);
  const radius = bursts ? r0 * (1 + S / E) : 2 * r0;
  return {
    limitRpm: speed / radius / RAD_PER_S_PER_RPM,
    limitSpeedMps: speed,
    endsBy: bursts ? 'burst' : 'runAway',
  };
}
