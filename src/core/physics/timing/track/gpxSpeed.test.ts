import fc from 'fast-check';
import { gpxSpeed, haversineM, readSpeeds } from './gpxSpeed';
import { planOf } from './plan';
import { readTrack } from './readTrack';
import { writeGpx } from './writeGpx';

/** A second of arc on a meridian, m: 2πR/360/3600. */
const ARC_M = (2 * Math.PI * 6_371_008.8) / 1_296_000;
/** Points on a meridian, their way north in m at each second. */
const north = (metres: readonly number[], more: (at: number) => string = () => '') =>
  `<gpx><trk><trkseg>${metres.map((m, at) => `<trkpt lat="${(m / ARC_M / 3600).toFixed(12)}" lon="0"><time>${new Date(Date.UTC(2026, 4, 1) + 1000 * at).toISOString()}</time>${more(at)}</trkpt>`).join('')}</trkseg></trk></gpx>`;

describe('distances on the globe', () => {
  it('are a quarter of a meridian from pole to equator, and shrink with the cosine of the latitude', () => {
    expect(haversineM({ latDeg: 0, lonDeg: 0 }, { latDeg: 90, lonDeg: 0 })).toBeCloseTo(
      (Math.PI / 2) * 6_371_008.8,
      3,
    );
    expect(
      haversineM({ latDeg: 60, lonDeg: 0 }, { latDeg: 60, lonDeg: 1e-4 }) /
        haversineM({ latDeg: 0, lonDeg: 0 }, { latDeg: 0, lonDeg: 1e-4 }),
    ).toBeCloseTo(0.5, 6);
    // only the difference of the longitudes counts
    expect(haversineM({ latDeg: 45, lonDeg: 8 }, { latDeg: 45, lonDeg: 8.001 })).toBeCloseTo(
      haversineM({ latDeg: 45, lonDeg: -0.0005 }, { latDeg: 45, lonDeg: 0.0005 }),
      6,
    );
  });
});

describe('a track as a plan', () => {
  const kept = readSpeeds(readTrack(north([0, 4, 10, 30, 34, 38, 42])), 1, 50);

  it('lies in metres about its first point, east by the cosine of the latitude', () => {
    const csv = 'time,lat,lon\n0,60,10\n1,60,10.0001\n2,60.0001,10.0001\n';
    const { kept: points, result } = readSpeeds(readTrack(csv), 1, 50);
    const { eastM, northM, tS, starts } = planOf(points, result.series, 100);
    const degree = 3600 * ARC_M;
    expect([...eastM].map((x) => Number(x.toFixed(3)))).toEqual([
      0,
      Number((0.0001 * degree * 0.5).toFixed(3)),
      Number((0.0001 * degree * 0.5).toFixed(3)),
    ]);
    expect(northM[2]).toBeCloseTo(0.0001 * degree, 3);
    expect([[...tS], starts]).toEqual([[0, 1, 2], [0]]);
  });

  it('keeps every n-th point, the last and the fastest, where there are too many', () => {
    const all = planOf(kept.kept, kept.result.series, 100);
    expect(all.tS).toHaveLength(7);
    const few = planOf(kept.kept, kept.result.series, 3);
    expect([...few.tS]).toEqual([0, 3, 6]);
    const fewer = planOf(kept.kept, kept.result.series, 2);
    const fastest =
      kept.result.series.tS[kept.result.series.speedMps.indexOf(Math.max(...kept.result.series.speedMps))]!;
    expect([...fewer.tS]).toEqual(expect.arrayContaining([0, fastest, 6]));
  });
});

describe('the speed of a track', () => {
  it('is the best mean over the window, path over time', () => {
    const found = gpxSpeed({ gpx: north([0, 4, 10, 18, 24, 28]), windowS: 2 });
    expect(found.topSpeedMps).toBeCloseTo(7, 4); // 14 m in 2 s
    expect(found.distanceM).toBeCloseTo(28, 4);
    expect(found).toMatchObject({ durationS: 5, droppedPoints: 0 });
    expect(found.series.speedMps.map((speed) => Number(speed.toFixed(3)))).toEqual([4, 4, 6, 8, 6, 4]);
    expect(gpxSpeed({ gpx: north([0, 4, 10, 18]), windowS: 1 }).topSpeedMps).toBeCloseTo(8, 4);
  });

  it('looks at stretches longer than the window where the points do not let it be shorter', () => {
    // at 0, 1.5 and 3 s: over 2 s only the whole of 3 s
    const csv = 'time,lat,lon\n0,0,0\n1.5,0.0001,0\n3,0.0003,0\n';
    expect(gpxSpeed({ gpx: csv, windowS: 2 }).topSpeedMps).toBeCloseTo((0.0003 * 3600 * ARC_M) / 3, 6);
  });

  it('drops a jump that goes out and comes back, and keeps hard braking', () => {
    const jumped = gpxSpeed({ gpx: north([0, 5, 10, 75, 20, 25, 30]) });
    expect(jumped.droppedPoints).toBe(1);
    expect(jumped.distanceM).toBeCloseTo(30, 4);
    expect(jumped.topSpeedMps).toBeCloseTo(5, 4);
    expect(gpxSpeed({ gpx: north([0, 14, 28, 28, 28, 28]) }).droppedPoints).toBe(0);
    // steps of 2 s beside steps of 1 s: 18 m in 2 s is 9 m/s, no jump beside 5 m/s
    const uneven =
      'time,lat,lon\n' +
      [
        [0, 0],
        [1, 5],
        [3, 23],
        [4, 28],
        [5, 33],
      ]
        .map(([t, m]) => `${t},${m! / ARC_M / 3600},0`)
        .join('\n');
    expect(gpxSpeed({ gpx: `${uneven}\n`, maxAccelMps2: 4 }).droppedPoints).toBe(0);
    // at an end one side is enough
    expect(gpxSpeed({ gpx: north([90, 5, 10, 15, 20]) }).droppedPoints).toBe(1);
    expect(gpxSpeed({ gpx: north([0, 5, 10, 15, 90]) }).droppedPoints).toBe(1);
  });

  it('takes the receiver’s own speeds where every point has one, of whatever name space', () => {
    const found = gpxSpeed({
      gpx: north(
        [0, 5, 10, 15],
        (at) => `<extensions><x:speed>${[4, 6, 8, 6][at]}</x:speed></extensions>`,
      ).replace('<gpx>', '<gpx xmlns:x="urn:x">'),
      windowS: 2,
    });
    expect(found.topSpeedMps).toBeCloseTo(7, 9); // (6 + 8)/2 and (8 + 6)/2
    expect(found.notes[0]).toEqual({ code: 'note.track.speeds', facts: { own: true } });
  });

  it('does not join segments, and skips a clock that stands or runs backward', () => {
    const two = north([0, 5, 10]).replace(
      '</trkseg>',
      `</trkseg>${/<trkseg>.*<\/trkseg>/.exec(north([500, 505, 510]))![0].replaceAll('00:00:0', '00:01:0')}`,
    );
    expect(gpxSpeed({ gpx: two })).toMatchObject({ durationS: 62, droppedPoints: 0 });
    expect(gpxSpeed({ gpx: two }).distanceM).toBeCloseTo(20, 4);
    const csv = 'time,lat,lon\n0,0,0\n1,0.00005,0\n1,0.0001,0\n0.5,0.0002,0\n2,0.0001,0\n';
    expect(gpxSpeed({ gpx: csv }).series.tS).toEqual([0, 1, 2]);
    expect(gpxSpeed({ gpx: csv }).droppedPoints).toBe(0);
    // the point that stands is a twin, the one at half a second is a clock that went back
    expect(gpxSpeed({ gpx: csv }).notes).toContainEqual({
      code: 'note.track.clockBack',
      facts: { points: 1 },
    });
    expect(gpxSpeed({ gpx: two }).notes.map(({ code }) => code)).not.toContain('note.track.clockBack');
  });

  it('shows no top speed of a track shorter than the window, and says so', () => {
    const short = gpxSpeed({ gpx: north([0, 5]), windowS: 5 });
    expect(short.topSpeedMps).toBeUndefined();
    expect(short.notes).toContainEqual(expect.objectContaining({ code: 'note.track.short' }));
  });

  it.each([
    ['<gpx>\n<trk>\n<trkseg></trk></gpx>', 'track.xml {"line":3,'],
    ['<gpx>\n<wpt lat="1" lon="2"/></gpx>', 'track.none {"line":2}'],
    [
      '<gpx><trk><trkseg>\n<trkpt lat="1" lon="2"></trkpt>\n</trkseg></trk></gpx>',
      'track.untimed {"line":2}',
    ],
    [
      '<gpx><trk><trkseg>\n\n<trkpt lat="91" lon="2"><time>2026-05-01T10:00:00Z</time></trkpt></trkseg></trk></gpx>',
      'track.place {"line":3,"lat":"91","lon":"2"}',
    ],
    ['time,lat\n1,2', 'track.columns {"line":1,"columns":["lon"]}'],
    ['time,lat,lon\n0,1,2\nsoon,1,2', 'track.time {"line":3,"time":"soon"'],
    ['hello', 'track.columns {"line":1,"columns":["time",'],
  ])('refuses %j with the line', (gpx, says) => expect(() => gpxSpeed({ gpx })).toThrow(says));

  it('is the best of all pairs that are far enough apart, whatever the track and the window', () => {
    const metres = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 3, maxLength: 40 });
    fc.assert(
      fc.property(metres, fc.integer({ min: 1, max: 12 }), (steps, windowS) => {
        const way = steps.reduce<number[]>((all, step) => [...all, all.at(-1)! + step], [0]);
        const pairs = way.flatMap((_, from) =>
          way.slice(from + windowS).map((metre, at) => (metre - way[from]!) / (at + windowS)),
        );
        const found = gpxSpeed({ gpx: north(way), windowS }).topSpeedMps;
        if (pairs.length === 0) expect(found).toBeUndefined();
        else expect(found).toBeCloseTo(Math.max(...pairs), 4);
      }),
    );
  });

  it('comes back the same through its own file', () => {
    const track = readTrack(north([0, 4, 10, 18]));
    expect(gpxSpeed({ gpx: writeGpx('A & <B>', track) }).distanceM).toBeCloseTo(18, 2);
  });
});
