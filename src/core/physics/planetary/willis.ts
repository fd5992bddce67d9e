import type { Member } from './definition';

/** Shares of a member in Willis’ equation: their sum with the speeds is 0, and free of losses the torques are as they are. */
export const sharesOf = (fixedRatio: number): Readonly<Record<Member, number>> => ({
  sun: 1,
  ring: fixedRatio,
  carrier: -(1 + fixedRatio),
});

export const thirdOf = (held: Member, driving: Member): Member =>
  (['sun', 'ring', 'carrier'] as const).find((one) => one !== held && one !== driving)!;

/** Turns of the driving member for one of the third. Source: Willis; Müller, Epicyclic Drive Trains. */
export function setRatio(fixedRatio: number, held: Member, driving: Member): number {
  const shares = sharesOf(fixedRatio);
  // without the sign of a zero
  return -shares[thirdOf(held, driving)] / shares[driving] + 0;
}

/** Speeds of all members with one held and one driving at a speed, in its unit. */
export function memberSpeeds(
  fixedRatio: number,
  held: Member,
  driving: Member,
  speed: number,
): Record<Member, number> {
  const speeds = { sun: 0, ring: 0, carrier: 0 };
  speeds[driving] = speed;
  speeds[thirdOf(held, driving)] = speed / setRatio(fixedRatio, held, driving) + 0;
  return speeds;
}

/**
 * What of the driving member's power comes out.
 *
 * The losses of the two meshes are taken as those of the set with its carrier held: they go with the power that rolls there.
 *
 * @param basic of both meshes in a row
 * @see Müller, Epicyclic Drive Trains; VDI 2157
 */
export function setEfficiency(fixedRatio: number, held: Member, driving: Member, basic: number): number {
  const speeds = memberSpeeds(fixedRatio, held, driving, 1);
  const sunTorque = Math.sign(sharesOf(fixedRatio)[driving]);
  const sunDrives = sunTorque * (speeds.sun - speeds.carrier) > 0;
  const ring = fixedRatio * sunTorque * basic ** (sunDrives ? 1 : -1);
  const torques = { sun: sunTorque, ring, carrier: -(sunTorque + ring) };
  const driven = thirdOf(held, driving);
  return (-torques[driven] * speeds[driven]) / (torques[driving] * speeds[driving]);
}
