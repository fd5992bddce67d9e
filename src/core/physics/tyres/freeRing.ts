import { GRAVITY, RAD_PER_S_PER_RPM } from '../../base/constants';

/** Figures of a loop on nothing. */
export interface FreeRing {
  radiusMm: number;
  densityKgM3: number;
  modulusMpa: number;
  strengthMpa: number;
}

export interface FreeRingSpin {
  rpm?: number;
  radiusMm?: number;
  growthPct?: number;
  vehicleSpeedMps?: number;
  hoopStressMpa?: number;
  accelerationGees?: number;
  runsAway: boolean;
  limitRpm: number;
  limitSpeedMps: number;
  endsBy: 'burst' | 'runAway';
  margin?: number;
}

const PA_PER_MPA = 1e6;

/**
 * A free elastic ring, r = r_0·(1 + ρ·ω²·r²/E), the smaller root; it bursts at its strength or runs away at twice its radius.
 *
 * @see Timoshenko, Strength of Materials, part II (rotating ring); the growth by Hooke's law around the ring
 */
export function spinFree(ring: FreeRing, at: { rpm?: number; speedMps?: number }): FreeRingSpin {
  const [r0, E, S, rho] = [
    ring.radiusMm / 1000,
    ring.modulusMpa * PA_PER_MPA,
    ring.strengthMpa * PA_PER_MPA,
    ring.densityKgM3,
  ];
  const bursts = S < E;
  const limitSpeedMps = Math.sqrt((bursts ? S : E) / rho);
  const limitRpm = limitSpeedMps / (bursts ? r0 * (1 + S / E) : 2 * r0) / RAD_PER_S_PER_RPM;
  const limit = { limitRpm, limitSpeedMps, endsBy: bursts ? ('burst' as const) : ('runAway' as const) };
  const spun = at.rpm === undefined ? byVehicleSpeed(at.speedMps!, r0, E, rho) : byRpm(at.rpm, r0, E, rho);
  if (!spun) return { ...(at.rpm === undefined ? {} : { rpm: at.rpm }), runsAway: true, ...limit };
  const { rpm, omega, radius } = spun;
  const stress = rho * (omega * radius) ** 2;
  return {
    rpm,
    radiusMm: radius * 1000,
    growthPct: (radius / r0 - 1) * 100,
    vehicleSpeedMps: omega * radius,
    hoopStressMpa: stress / PA_PER_MPA,
    accelerationGees: (omega ** 2 * radius) / GRAVITY,
    runsAway: false,
    ...limit,
    margin: Math.min(S / stress, (limitRpm / rpm) ** 2),
  };
}

interface Spun {
  rpm: number;
  omega: number;
  radius: number;
}

function byRpm(rpm: number, r0: number, E: number, rho: number): Spun | undefined {
  const omega = rpm * RAD_PER_S_PER_RPM;
  const root = 1 - (4 * rho * (omega * r0) ** 2) / E;
  if (root < 0) return undefined;
  // (1 − √(1 − 4·k·r_0))/(2·k) with k = ρ·ω²·r_0/E, written so that it holds near rest
  return { rpm, omega, radius: (2 * r0) / (1 + Math.sqrt(root)) };
}

function byVehicleSpeed(v: number, r0: number, E: number, rho: number): Spun | undefined {
  if (v > Math.sqrt(E / rho)) return undefined;
  const radius = r0 * (1 + (rho * v ** 2) / E);
  return { rpm: v / radius / RAD_PER_S_PER_RPM, omega: v / radius, radius };
}
