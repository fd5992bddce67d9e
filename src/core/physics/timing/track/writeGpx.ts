import type { TrackPoint } from './readTrack';

const point = ({ latDeg, lonDeg, atMs }: TrackPoint) =>
  `<trkpt lat="${latDeg.toFixed(8)}" lon="${lonDeg.toFixed(8)}"><time>${new Date(atMs).toISOString()}</time></trkpt>`;
const escaped = (text: string) =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!);

/** Stretches as GPX 1.1 with their moments. @see GPX 1.1 schema */
export function writeGpx(name: string, segments: readonly (readonly TrackPoint[])[]): string {
  return `<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="Lean Badger" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>${escaped(name)}</name>\n${segments.map((segment) => `<trkseg>\n${segment.map(point).join('\n')}\n</trkseg>`).join('\n')}\n</trk></gpx>\n`;
}
