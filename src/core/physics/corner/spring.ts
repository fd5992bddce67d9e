import { type Measure, measure } from '../../base/measure';
import { refusal } from '../../base/errors';

declare module '../../base/errors' {
  interface RefusalFacts {
    'spring.wire': { meanDiameterMm: Measure; wireMm: Measure };
  }
}

/** Coil spring: geometry in, rate out. */
export interface SpringDefinition {
  wireMm: number;
  /** Of the coil; must exceed the wire. */
  meanDiameterMm: number;
  /** Coils free to twist, fractions allowed. */
  activeCoils: number;
  /** Music wire 79,300. */
  shearModulusMpa?: number;
}

export interface SpringRate {
  rateNPerMm: number;
  index: number;
  solidLengthMm: number;
}

const MUSIC_WIRE_MPA = 79_300;
/** Coils that do not twist, at both ends together. */
const END_COILS = 2;

/**
 * Rate of a round-wire compression spring, k = G·d⁴/(8·D³·n).
 *
 * @returns rate in N/mm, spring index D/d, solid length in mm
 * @throws CalcError at `meanDiameterMm` if it does not exceed the wire
 * @see Shigley, Mechanical Engineering Design, eq. 10-9
 */
export function springRate({
  wireMm,
  meanDiameterMm,
  activeCoils,
  shearModulusMpa = MUSIC_WIRE_MPA,
}: SpringDefinition): SpringRate {
  if (meanDiameterMm <= wireMm)
    throw refusal('meanDiameterMm', 'spring.wire', {
      meanDiameterMm: measure(meanDiameterMm, 'lengthMm', 4),
      wireMm: measure(wireMm, 'lengthMm', 4),
    });
  return {
    rateNPerMm: (shearModulusMpa * wireMm ** 4) / (8 * meanDiameterMm ** 3 * activeCoils),
    index: meanDiameterMm / wireMm,
    solidLengthMm: (activeCoils + END_COILS) * wireMm,
  };
}
