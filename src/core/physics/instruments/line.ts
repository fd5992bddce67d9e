import { checksumOf } from './checksum';
import { satelliteSpeed } from './nmea';

/** What a device can be. */
export const INSTRUMENT_KINDS = [
  'gate',
  'tachometer',
  'gauge',
  'scale',
  'thermometer',
  'meter',
  'gyro',
  'satellite',
] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** The fields that each kind gives, all of them in every line. */
export const INSTRUMENT_FIELDS = {
  gate: ['beam', 'broken'],
  tachometer: ['rpm'],
  gauge: ['mm'],
  scale: ['g'],
  thermometer: ['c'],
  meter: ['v', 'a'],
  gyro: ['dps'],
  satellite: ['mps'],
} as const satisfies Readonly<Record<InstrumentKind, readonly string[]>>;

export interface InstrumentReading {
  device: string;
  kind: InstrumentKind;
  /** By the device's own clock. */
  ms: number;
  values: Readonly<Record<string, number>>;
}

export const LINE_PROBLEMS = ['garbage', 'checksum', 'kind', 'field', 'long'] as const;
export type LineProblem = (typeof LINE_PROBLEMS)[number];

export type Heard = { reading: InstrumentReading } | { problem: LineProblem; line: string };

export const VERSION = 'LB1';
/** Where instruments, made-up ones too, are heard on this machine. */
export const INSTRUMENTS_PORT = 3171;
export const MOST_CHARACTERS = 200;
const DEVICE = /^[A-Za-z0-9_-]{1,32}$/;

/** A reading as a line, with its checksum. */
export function lineOf({ device, kind, ms, values }: InstrumentReading): string {
  const body = [
    VERSION,
    device,
    kind,
    String(Math.round(ms)),
    ...Object.entries(values).map(([field, value]) => `${field}=${value}`),
  ].join(',');
  return `${body}*${checksumOf(body)}`;
}

/**
 * One line of an instrument: `LB1,device,kind,ms,field=value…*checksum`, the checksum optional, or a sentence of a satellite
 * receiver.
 *
 * @returns undefined for a blank line and for sentences that tell no speed
 */
export function hear(line: string): Heard | undefined {
  const said = line.trim();
  if (said === '') return undefined;
  if (said.length > MOST_CHARACTERS) return { problem: 'long', line: said.slice(0, 40) };
  const wrong = (problem: LineProblem): Heard => ({ problem, line: said });
  if (said.startsWith('$')) {
    const found = satelliteSpeed(said);
    if (found === 'checksum' || found === 'garbage') return wrong(found);
    return found && { reading: { device: 'satellite', kind: 'satellite', ...found } };
  }
  if (!said.startsWith(`${VERSION},`)) return wrong('garbage');
  const [body = '', checksum, ...more] = said.split('*');
  if (more.length > 0) return wrong('garbage');
  if (checksum !== undefined && checksum.toUpperCase() !== checksumOf(body)) return wrong('checksum');
  const [, device = '', kindSaid = '', clock = '', ...fields] = body.split(',');
  const kind = INSTRUMENT_KINDS.find((one) => one === kindSaid);
  if (!kind || kind === 'satellite') return wrong('kind');
  const ms = numberIn(clock);
  if (!DEVICE.test(device) || ms === undefined || ms < 0) return wrong('field');
  const given = new Map(
    fields.map((one): [string, string] => {
      const at = one.indexOf('=');
      return [one.slice(0, at).trim(), one.slice(at + 1)];
    }),
  );
  const values: Record<string, number> = {};
  for (const field of INSTRUMENT_FIELDS[kind]) {
    const value = numberIn(given.get(field) ?? '');
    if (value === undefined) return wrong('field');
    values[field] = value;
  }
  return { reading: { device, kind, ms, values } };
}

function numberIn(text: string): number | undefined {
  if (!/^\s*[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?\s*$/i.test(text)) return undefined;
  const value = Number(text);
  return Number.isFinite(value) ? value : undefined;
}

/** Puts pieces of a stream together to lines; what is too long to be one is dropped up to its end. */
export class LineEar {
  private rest = '';
  private dropping = false;

  /** What the pieces so far tell, in their order. */
  hear(piece: string): Heard[] {
    const lines = (this.rest + piece).split(/\r\n|\r|\n/);
    this.rest = lines.pop()!;
    const found = lines.flatMap((line, k): Heard[] => {
      if (k === 0 && this.dropping) {
        this.dropping = false;
        return [];
      }
      const heard = hear(line);
      return heard ? [heard] : [];
    });
    if (this.rest.length > MOST_CHARACTERS) {
      if (!this.dropping) found.push({ problem: 'long', line: this.rest.slice(0, 40) });
      this.dropping = true;
      this.rest = '';
    }
    return found;
  }
}
