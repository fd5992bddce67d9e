import { lapTimesOf, stopsSaid } from './report';

describe('lap times', () => {
  it('leave the one that stands out aside, but count it', () => {
    // without 21.4: mean of 15.0 15.2 15.4 15.2 is 15.2, sd √(0.08/3)
    const found = lapTimesOf({ laps: [21.4, 15, 15.2, 15.4, 15.2] })!;
    expect(found).toMatchObject({ n: 5, bestS: 15, outliers: [0] });
    expect(found.meanS).toBeCloseTo(15.2, 9);
    expect(found.sdS).toBeCloseTo(Math.sqrt(0.08 / 3), 9);
    expect(lapTimesOf({ laps: [12] })).toEqual({ n: 1, bestS: 12, meanS: 12, outliers: [] });
    expect(lapTimesOf({})).toBeUndefined();
  });
});

describe('stops', () => {
  const stop = (fromMps: number, distanceM: number) => ({ id: `${fromMps}`, fromMps, distanceM });

  it('say how hard it brakes and how long it takes to begin', () => {
    // 0.3 s at speed, then 5 m/s²
    const stops = [4, 6, 9].map((v) => stop(v, 0.3 * v + v ** 2 / 10));
    const found = stopsSaid({ stops })!;
    expect(found.decelMps2).toBeCloseTo(5, 9);
    expect(found.answerS).toBeCloseTo(0.3, 9);
  });

  it('say the least that it brakes with where one speed alone was tried, or where they contradict', () => {
    expect(stopsSaid({ stops: [stop(6, 3.6)] })).toEqual({ decelMps2: 5 });
    const odd = stopsSaid({ stops: [stop(4, 4), stop(8, 4)] })!;
    expect(odd.answerS).toBeUndefined();
    expect(odd.decelMps2).toBeCloseTo((2 + 8) / 2, 9);
    expect(stopsSaid({})).toBeUndefined();
  });
});
