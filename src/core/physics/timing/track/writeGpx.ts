import type { TrackPoint } from './readTrack';

const point = ({ latDeg, lonDeg, atMs, speedMps }: TrackPoint) =>
  `<trkpt lat="${latDeg.toFixed(8)}" lon="${lonDeg.toFixed(8)}"><time>${new Date(atMs).toISOString()}</time>${speedMps === undefined ? '' : `<extensions><own:speed>${speedMps}</own:speed></extensions>`}</trkpt>`;
const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);

/** Stretches as GPX 1.1 with their moments, and the receiver's own speeds where it gave any, m/s. @see GPX 1.1 schema */
export function writeGpx(name: string, segments: readonly (readonly TrackPoint[])[]): string {
  const own = segments.some((segment) => segment.some(({ speedMps }) => speedMps !== undefined));
  return `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Lean Badger" xmlns="http://www.topografix.com/GPX/1/1"${own ? ' xmlns:own="urn:lean-badger"' : ''}><trk><name>${escaped(name)}</name>\n${segments.map((segment) => `<trkseg>\n${segment.map(point).join('\n')}\n</trkseg>`).join('\n')}\n</trk></gpx>\n`;
}
