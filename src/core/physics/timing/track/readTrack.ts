import Papa from 'papaparse';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { refusal } from '../../../base/errors';

/** One position with its moment, and the receiver's own speed where it gives one. */
export interface TrackPoint {
  /** Since 1970 or since any start, ms. */
  atMs: number;
  latDeg: number;
  lonDeg: number;
  speedMps?: number | undefined;
}

/** Stretches without a break, in the order of the file. */
export type Track = TrackPoint[][];

const PATH = 'gpx';
const [MS_PER_S, MOST_LAT, MOST_LON] = [1000, 90, 180];
const MOST_POINTS = 2_000_000;

declare module '../../../base/errors' {
  interface RefusalFacts {
    'track.points': { line: number; most: number };
    'track.time': { line: number; time: string; in: 'gpx' | 'csv' };
    'track.xml': { line: number; said: string };
    'track.none': { line: number };
    'track.untimed': { line: number };
    'track.place': { line: number; lat: string; lon: string };
    'track.columns': { line: number; columns: readonly string[] };
    'track.empty': { line: number };
  }
}

/** A track from the text of a GPX or CSV file. @throws CalcError at `gpx`, the message begins with the line */
export function readTrack(text: string): Track {
  const clean = text.replace(/^\uFEFF/, '');
  const track = /^\s*</.test(clean) ? readGpx(clean) : readCsv(clean);
  if (track.reduce((sum, { length }) => sum + length, 0) > MOST_POINTS)
    throw refusal(PATH, 'track.points', { line: 1, most: MOST_POINTS });
  return track;
}

/** What a point is made of while its element is open. */
interface OpenPoint {
  line: number;
  lat: string | undefined;
  lon: string | undefined;
  time?: string;
  speed?: string;
}

function readGpx(text: string): Track {
  const segments: Track = [];
  const parser = new SaxesParser({ xmlns: false, position: true });
  let point: OpenPoint | undefined;
  let heard: 'time' | 'speed' | undefined;
  let [firstUntimed, tracks, points] = [0, 0, 0];
  const attribute = ({ attributes }: SaxesTagPlain, name: string) => attributes[name];
  parser.on('opentag', (tag) => {
    const name = localName(tag.name);
    if (name === 'trk') tracks++;
    if (name === 'trkseg') segments.push([]);
    if (name === 'trkpt')
      point = { line: parser.line, lat: attribute(tag, 'lat'), lon: attribute(tag, 'lon') };
    heard = point && (name === 'time' || name === 'speed') ? name : undefined;
  });
  parser.on('text', (said) => {
    if (point && heard) point[heard] = said.trim();
  });
  parser.on('closetag', (tag) => {
    heard = undefined;
    if (localName(tag.name) !== 'trkpt' || !point) return;
    points++;
    const { line, lat, lon, time, speed } = point;
    point = undefined;
    const place = placeOf(lat, lon, line);
    if (time === undefined || time === '') {
      firstUntimed ||= line;
      return;
    }
    const atMs = Date.parse(time);
    if (!Number.isFinite(atMs))
      throw refusal(PATH, 'track.time', { line, time: time.slice(0, 40), in: 'gpx' });
    const own = speed === undefined || speed === '' ? undefined : Number(speed);
    segments.at(-1)?.push({
      atMs,
      latDeg: place.latDeg,
      lonDeg: place.lonDeg,
      speedMps: own !== undefined && Number.isFinite(own) && own >= 0 ? own : undefined,
    });
  });
  parser.on('error', (error) => {
    throw refusal(PATH, 'track.xml', {
      line: parser.line,
      said: error.message.replace(/^\d+:\d+:\s*/, '').replace(/\.$/, ''),
    });
  });
  parser.write(text);
  const end = parser.line;
  parser.close();
  if (tracks === 0 || points === 0) throw refusal(PATH, 'track.none', { line: end });
  if (segments.every(({ length }) => length === 0))
    throw refusal(PATH, 'track.untimed', { line: firstUntimed || end });
  return segments;
}

const localName = (name: string) => name.slice(name.indexOf(':') + 1);

const degrees = (said: string | undefined) => (said === undefined || said.trim() === '' ? NaN : Number(said));

function placeOf(
  lat: string | undefined,
  lon: string | undefined,
  line: number,
): { latDeg: number; lonDeg: number } {
  const [latDeg, lonDeg] = [degrees(lat), degrees(lon)];
  if (!(Math.abs(latDeg) <= MOST_LAT) || !(Math.abs(lonDeg) <= MOST_LON))
    throw refusal(PATH, 'track.place', {
      line,
      lat: String(lat).slice(0, 20),
      lon: String(lon).slice(0, 20),
    });
  return { latDeg, lonDeg };
}

function readCsv(text: string): Track {
  const { data, meta } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const head = (data[0] ?? []).map((name) => name.trim().toLowerCase());
  const at = (name: string) => head.indexOf(name);
  const missing = ['time', 'lat', 'lon'].filter((name) => at(name) < 0);
  if (missing.length > 0) throw refusal(PATH, 'track.columns', { line: 1, columns: missing });
  const decimal = meta.delimiter === ',' ? (said: string) => said : (said: string) => said.replace(',', '.');
  const points = data.slice(1).map((row, index): TrackPoint => {
    const line = index + 2;
    const said = (name: string) => (row[at(name)] ?? '').trim();
    const time = said('time');
    const seconds = Number(decimal(time));
    const atMs =
      time === '' ? NaN : Number.isFinite(seconds) ? Math.round(seconds * MS_PER_S) : Date.parse(time);
    if (!Number.isFinite(atMs))
      throw refusal(PATH, 'track.time', { line, time: time.slice(0, 40), in: 'csv' });
    const own = at('speed') < 0 || said('speed') === '' ? undefined : Number(decimal(said('speed')));
    return {
      atMs,
      ...placeOf(decimal(said('lat')), decimal(said('lon')), line),
      ...(own !== undefined && Number.isFinite(own) && own >= 0 ? { speedMps: own } : {}),
    };
  });
  if (points.length === 0) throw refusal(PATH, 'track.empty', { line: 1 });
  return [points];
}
