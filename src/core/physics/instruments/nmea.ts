import { checksumOf } from './checksum';

export const MPS_PER_KNOT = 1852 / 3600;
const [CLOCK, STATUS, KNOTS] = [1, 2, 7];

/**
 * Speed over ground of a satellite receiver's RMC sentence, of any talker.
 *
 * @returns undefined for other sentences and for one without a fix
 * @see NMEA 0183: $--RMC, time, status, latitude, longitude, speed in knots; the checksum is obligatory here
 */
export function satelliteSpeed(
  sentence: string,
): { ms: number; values: { mps: number } } | 'checksum' | 'garbage' | undefined {
  const [body = '', checksum] = sentence.slice(1).split('*');
  if (checksum === undefined) return 'garbage';
  if (checksum.trim().toUpperCase() !== checksumOf(body)) return 'checksum';
  const fields = body.split(',');
  if (!/^[A-Z]{2}RMC$/.test(fields[0] ?? '')) return undefined;
  const clock = /^(\d{2})(\d{2})(\d{2}(?:\.\d+)?)$/.exec(fields[CLOCK] ?? '');
  const knots = Number(fields[KNOTS]);
  if (fields[STATUS] !== 'A' || !clock || fields[KNOTS] === '' || !Number.isFinite(knots)) return undefined;
  const seconds = Number(clock[1]) * 3600 + Number(clock[2]) * 60 + Number(clock[3]);
  return { ms: Math.round(1000 * seconds), values: { mps: knots * MPS_PER_KNOT } };
}
