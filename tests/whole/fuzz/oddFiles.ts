import { strToU8, zipSync } from 'fflate';

const CLOCK = (second: number) => new Date(Date.UTC(2026, 4, 1, 9) + 1000 * second).toISOString();
const points = (of: (at: number) => string) => Array.from({ length: 40 }, (_, at) => of(at)).join('\n');
const lat = (at: number) => (60 + at * 4e-5).toFixed(7);
const lon = (at: number) => (11 + (at % 7) * 2e-5).toFixed(7);

/** Tracks as three kinds of devices write them, and one as a table. */
export const TRACKS: readonly string[] = [
  `\uFEFF<?xml version="1.0" encoding="UTF-8"?>\n<gpx version="1.1" creator="watch" xmlns="http://www.topografix.com/GPX/1/1" xmlns:t="urn:points"><metadata><time>${CLOCK(0)}</time></metadata><trk><name><![CDATA[Field & lane <1>]]></name><trkseg>${points((at) => `<trkpt lat="${lat(at)}" lon="${lon(at)}"><ele>12.5</ele><time>${CLOCK(at)}</time><extensions><t:TrackPointExtension><t:speed>${(at % 9).toFixed(2)}</t:speed><t:hr>90</t:hr></t:TrackPointExtension></extensions></trkpt>`)}</trkseg></trk></gpx>`,
  `<?xml version='1.0'?>\r\n<gpx:gpx xmlns:gpx='http://www.topografix.com/GPX/1/0' version='1.0'><gpx:wpt lat='60' lon='11'><gpx:name>gate</gpx:name></gpx:wpt><gpx:trk><gpx:trkseg>${points((at) => `<gpx:trkpt lat='${lat(at)}' lon='${lon(at)}'><gpx:time>${CLOCK(at).replace('.000Z', '.25+02:00')}</gpx:time></gpx:trkpt>`)}</gpx:trkseg><gpx:trkseg/></gpx:trk></gpx:gpx>`,
  `<gpx version="1.0"><trk><trkseg>${points((at) => `<trkpt lat="${lat(at)}" lon="${lon(at)}"><time>${CLOCK(Math.floor(at / 2))}</time><speed>${at === 5 ? '' : at / 4}</speed></trkpt>`)}</trkseg><trkseg>${points((at) => `<trkpt lat="${lat(at)}" lon="${lon(at)}"/>`)}</trkseg></trk></gpx>`,
  `time;lat;lon;speed\n${points((at) => `${String(at / 5).replace('.', ',')};${lat(at).replace('.', ',')};${lon(at).replace('.', ',')};${at % 4}`)}\n`,
];

/** Logs without a head, with units in one, with comments, with a comma as the decimal mark, with holes and notes. */
export const LOGS: readonly string[] = [
  points((at) => `${(at * 0.02).toFixed(2)},${11.8 - at / 50},${at * 120},${at % 2 ? 0.4 : 1}`),
  `\uFEFFTime [s];Voltage [V];eRPM;Temp (°C)\r\n${points((at) => `${String(at / 10).replace('.', ',')};11,${at};${at * 300};2${at % 10}`)}\r\n`,
  `# logger 2\n# rate 50\nms\tthrottle_us\tcurrent_A\n${points((at) => `${at * 20}\t${1500 + at}\t${at === 7 ? 'n/a' : at / 3}`)}\nend of log`,
  `clock,speed km/h,note\n${points((at) => `09:00:${String(at).padStart(2, '0')},${at},"a ""note"", with a comma"`)}`,
  '0 1 2\n1 2 3\n2 3\n\n3 4 5 6\n',
];

const TRIANGLES: readonly (readonly number[])[] = [
  [0, 0, 0, 10, 0, 0, 0, 10, 0],
  [0, 0, 0, 0, 10, 0, 0, 0, 10],
  [0, 0, 0, 0, 0, 10, 10, 0, 0],
  [10, 0, 0, 0, 0, 10, 0, 10, 0],
];

/** A tetrahedron whose head tells another count of triangles. */
function binaryStl(count: number, head = ''): Uint8Array {
  const bytes = new Uint8Array(84 + 50 * TRIANGLES.length);
  bytes.set(strToU8(head.slice(0, 80)));
  const view = new DataView(bytes.buffer);
  view.setUint32(80, count, true);
  TRIANGLES.forEach((corners, at) =>
    corners.forEach((value, index) => view.setFloat32(84 + 50 * at + 12 + 4 * index, value, true)),
  );
  return bytes;
}

const textStl = `solid part\n${TRIANGLES.map((corners) => `facet normal 0 0 0\n outer loop\n${[0, 3, 6].map((at) => `  vertex ${corners.slice(at, at + 3).join(' ')}`).join('\n')}\n endloop\nendfacet`).join('\n')}\nendsolid part\n`;

const MODEL = `<?xml version="1.0" encoding="UTF-8"?><model unit="inch" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources><object id="1" type="model"><mesh><vertices><vertex x="0" y="0" z="0"/><vertex x="1" y="0" z="0"/><vertex x="0" y="1" z="0"/><vertex x="0" y="0" z="1"/></vertices><triangles><triangle v1="0" v2="2" v3="1"/><triangle v1="0" v2="1" v3="3"/><triangle v1="0" v2="3" v3="2"/><triangle v1="1" v2="2" v3="3"/></triangles></mesh></object><object id="2"><components><component objectid="1" transform="1 0 0 0 1 0 0 0 1 5 0 0"/><component objectid="1"/></components></object></resources><build><item objectid="2" transform="0 1 0 -1 0 0 0 0 1 0 0 0"/></build></model>`;
/** A 3MF of components, as kept and as pressed together. */
const threeMf = (model: string, level: 0 | 6) =>
  zipSync({ '3D/3dmodel.model': [strToU8(model), { level }] }, { mtime: new Date('2000-01-01T00:00:00Z') });

/** Meshes of every kind, with counts that lie. */
export const MESHES: readonly (readonly [string, Uint8Array])[] = [
  ['part.stl', binaryStl(4)],
  ['less.stl', binaryStl(3)],
  ['more.stl', binaryStl(4_000_000_000, 'solid though it is binary')],
  ['text.stl', strToU8(textStl)],
  ['kept.3mf', threeMf(MODEL, 0)],
  ['pressed.3mf', threeMf(MODEL, 6)],
  [
    'part.obj',
    strToU8('v 0 0 0\nv 1 0 0\nv 0 1 0\nv 0 0 1\nvt 0 0\nf 1/1 3/1 2/1\nf 1 2 4\nf -4//1 4 3\nf 2 3 4\n'),
  ],
];
