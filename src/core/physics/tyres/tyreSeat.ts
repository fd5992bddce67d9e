import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { ringOf, type TyreKind } from './tyreSpin';

export type TyreSeatInput = {
  kind: TyreKind;
  radiusMm: number;
  rimRadiusMm: number;
  rpm: number;
} & (
  | {
      by: 'bead';
      /** How much smaller the loose bead is than its seat, share of the seat. */ stretch: number;
    }
  | { by: 'glue'; /** Tyre without its wheel. */ tyreMassG: number; peelNPerMm: number }
);

export interface TyreSeatResult {
  /** Speed at which the tyre lets go of its rim. */
  letsGoRpm: number;
  /** Square of the speeds' ratio, as the pull goes; left out at rest. */
  margin?: number;
  /** Pull of the tyre on a millimetre of either glue line, N. */
  pullNPerMm?: number;
}

/**
 * Where a tyre leaves its rim. A bead is a free ring that was stretched on: it lifts when its growth by speed has used up
 * its stretch, ρ·ω²·r²/E = stretch at the seat's radius. Glue is taken to hold the whole tyre, which pulls on both lines with
 * m·ω²·r over 2·2π·r_rim; what the carcass carries itself is left out, so it lets go later than this says.
 *
 * @returns speeds in rpm, pull in N/mm
 * @see Timoshenko, Strength of Materials, part II (rotating ring)
 */
export function tyreSeat(input: TyreSeatInput): TyreSeatResult {
  const omega = input.rpm * RAD_PER_S_PER_RPM;
  const rim = input.rimRadiusMm / 1000;
  if (input.by === 'bead') {
    const { hoopModulusMpa, densityKgM3 } = ringOf(input);
    const letsGo = Math.sqrt((input.stretch * hoopModulusMpa * 1e6) / densityKgM3) / rim;
    return { letsGoRpm: letsGo / RAD_PER_S_PER_RPM, ...(omega > 0 ? { margin: (letsGo / omega) ** 2 } : {}) };
  }
  const pullPerSpeed =
    ((input.tyreMassG / 1000) * (input.radiusMm / 1000)) / (2 * 2 * Math.PI * input.rimRadiusMm);
  const letsGo = Math.sqrt(input.peelNPerMm / pullPerSpeed);
  return {
    letsGoRpm: letsGo / RAD_PER_S_PER_RPM,
    pullNPerMm: pullPerSpeed * omega ** 2,
    ...(omega > 0 ? { margin: (letsGo / omega) ** 2 } : {}),
  };
}
