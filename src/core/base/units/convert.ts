/** Revolutions per minute of a wheel of this radius (m) that rolls at this speed (m/s). */
export function rpmOf(speedMps: number, radiusM: number): number {
  return (speedMps / radiusM) * (60 / (2 * Math.PI));
}
