import Papa from 'papaparse';
import { SaxesParser, type SaxesTagPlain } from 'saxes';
import { CalcError } from '../../../base/errors';

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

const refuse = (line: number, what: string, remedy: string) =>
  new CalcError(PATH, `line ${line}: ${what}`, remedy);

/** A track from the text of a GPX or CSV file. @throws CalcError at `gpx`, the message begins with the line */
export function readTrack(text: string): Track {
  const clean = text.replace(/^\uFEFF/, '');
  const track = /^\s*</.test(clean) ? readGpx(clean) : readCsv(clean);
  if (track.reduce((sum, { length }) => sum + length, 0) > MOST_POINTS)
    throw refuse(1, `holds more than ${MOST_POINTS} points`, 'cut the file into shorter runs');
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
      throw refuse(line, `“${time.slice(0, 40)}” is no time`, 'write ISO 8601, as 2026-05-01T10:00:00Z');
    const own = speed === undefined || speed === '' ? undefined : Number(speed);
    segments.at(-1)?.push({
      atMs,
      latDeg: place.latDeg,
      lonDeg: place.lonDeg,
      speedMps: own !== undefined && Number.isFinite(own) && own >= 0 ? own : undefined,
    });
  });
  parser.on('error', (error) => {
    throw refuse(
      parser.line,
      `the XML is broken: ${error.message.replace(/^\d+:\d+:\s*/, '').replace(/\.$/, '')}`,
      'export the track again',
    );
  });
  parser.write(text);
  const end = parser.line;
  parser.close();
  if (tracks === 0 || points === 0)
    throw refuse(end, 'there is no track in it', 'export a track, not way points or a route');
  if (segments.every(({ length }) => length === 0))
    throw refuse(
      firstUntimed || end,
      'its points have no times',
      'export the recorded track, with its times',
    );
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
    throw refuse(
      line,
      `lat ${String(lat).slice(0, 20)}, lon ${String(lon).slice(0, 20)} is no place`,
      'give degrees, lat from -90 to 90 and lon from -180 to 180',
    );
  return { latDeg, lonDeg };
}

function readCsv(text: string): Track {
  const { data, meta } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const head = (data[0] ?? []).map((name) => name.trim().toLowerCase());
  const at = (name: string) => head.indexOf(name);
  const missing = ['time', 'lat', 'lon'].filter((name) => at(name) < 0);
  if (missing.length > 0)
    throw refuse(1, `there is no column ${missing.join(', ')}`, 'begin with time,lat,lon[,speed]');
  const decimal = meta.delimiter === ',' ? (said: string) => said : (said: string) => said.replace(',', '.');
  const points = data.slice(1).map((row, index): TrackPoint => {
    const line = index + 2;
    const said = (name: string) => (row[at(name)] ?? '').trim();
    const time = said('time');
    const seconds = Number(decimal(time));
    const atMs =
      time === '' ? NaN : Number.isFinite(seconds) ? Math.round(seconds * MS_PER_S) : Date.parse(time);
    if (!Number.isFinite(atMs))
      throw refuse(line, `“${time.slice(0, 40)}” is no time`, 'write ISO 8601 or seconds');
    const own = at('speed') < 0 || said('speed') === '' ? undefined : Number(decimal(said('speed')));
    return {
      atMs,
      ...placeOf(decimal(said('lat')), decimal(said('lon')), line),
      ...(own !== undefined && Number.isFinite(own) && own >= 0 ? { speedMps: own } : {}),
    };
  });
  if (points.length === 0)
    throw refuse(1, 'there is no point under the headers', 'export the recorded track');
  return [points];
}
