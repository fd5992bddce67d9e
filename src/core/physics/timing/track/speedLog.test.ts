import { speedLog } from './speedLog';

const refusedAt = (text: string) => {
  try {
    speedLog(text);
    return undefined;
  } catch (error) {
    return (error as { refused: { code: string; given: { line: number } } }).refused;
  }
};

describe('a log of speeds as what a pack is driven with', () => {
  it('keeps the way in any unit, whatever the rate', () => {
    // from rest to 36 km/h in 10 s, then 20 s of it: 50 m and 200 m
    const rows = Array.from({ length: 301 }, (_, k) =>
      `${k * 100};${Math.min(36, 0.36 * k).toFixed(2)}`.replace('.', ','),
    );
    const { stepS, speedMps, lateralMps2 } = speedLog(['time_ms;speed_kmh', ...rows].join('\n'))!;
    expect(stepS).toBe(0.5);
    const way = speedMps.reduce(
      (sum, one, at) => sum + one * stepS * (at === 0 || at === speedMps.length - 1 ? 0.5 : 1),
      0,
    );
    expect(way).toBeCloseTo(250, 0);
    expect(speedMps.at(-1)).toBeCloseTo(10, 2);
    expect(Math.max(...lateralMps2)).toBe(0);
  });

  it('closes a break up and leaves a repeated moment out', () => {
    const { stepS, speedMps } = speedLog('time,speed\n0,5\n2,5\n2,5\n600,5\n602,5\n')!;
    expect(stepS * (speedMps.length - 1)).toBeCloseTo(4, 6);
    for (const one of speedMps) expect(one).toBeCloseTo(5, 6);
  });

  it('is none where it has positions or no speeds, and says the line of what is wrong', () => {
    expect(speedLog('time,lat,lon,speed\n0,1,1,5\n')).toBeUndefined();
    expect(speedLog('<gpx></gpx>')).toBeUndefined();
    expect(refusedAt('time,speed\n0,5\n5,5\n4,5\n')).toMatchObject({
      code: 'track.clock',
      given: { line: 4 },
    });
    expect(refusedAt('time,speed\n0,5\n1,fast\n')).toMatchObject({ code: 'track.speed', given: { line: 3 } });
    expect(refusedAt('time,speed\nsoon,5\n')).toMatchObject({ code: 'track.time' });
    expect(refusedAt('time,speed\n0,0\n9,0\n')).toMatchObject({ code: 'track.standsStill' });
  });
});
