import { slalom } from './slalom';

const RAD = Math.PI / 180;
const gates = { spacingM: 2, offsetM: 0.25, wheelbaseMm: 280, lateralMps2At: () => 6, mostMps: 20 };
/** Of y = A·sin(π·x/d) at its crest. */
const curvature = 0.25 * (Math.PI / 2) ** 2;

describe('a slalom', () => {
  it('is driven at what the ground holds across beside a marker', () => {
    const found = slalom(gates);
    expect(found.limitedBy).toBe('grip');
    expect(found.speedMps).toBeCloseTo(Math.sqrt(6 / curvature), 9);
    expect(found.steerDeg).toBeCloseTo((0.28 * curvature) / RAD, 9);
  });

  it('takes the length of the sine, which its series gives too', () => {
    // 1 + s²/4 − 3s⁴/64 + 5s⁶/256 of the steepness s on the line
    const s = (0.25 * Math.PI) / 2;
    const { pathFactor, speedMps, lineMps } = slalom(gates);
    expect(pathFactor).toBeCloseTo(1 + s ** 2 / 4 - (3 * s ** 4) / 64 + (5 * s ** 6) / 256, 4);
    expect(lineMps * pathFactor).toBeCloseTo(speedMps, 12);
  });

  it('holds a car back by its lock, sooner where it understeers, and stops one that cannot turn', () => {
    const crawl = (0.28 * curvature) / RAD;
    expect(slalom({ ...gates, maxSteerDeg: crawl - 0.1 })).toMatchObject({ speedMps: 0, limitedBy: 'lock' });
    const found = slalom({ ...gates, maxSteerDeg: crawl + 1, understeerDegPerMps2: 0.5 });
    // the degree that is left is used up at K·a = 1°, a = 2 m/s²
    expect(found.limitedBy).toBe('lock');
    expect(found.speedMps).toBeCloseTo(Math.sqrt(2 / curvature), 9);
  });

  it('holds it back by its servo, which turns fastest half-way', () => {
    const { pathFactor, steerDeg } = slalom(gates);
    const rate = (steerDeg * Math.PI * 2) / (2 * pathFactor);
    expect(slalom({ ...gates, steerRateDegPerS: rate })).toMatchObject({ limitedBy: 'servo' });
    expect(slalom({ ...gates, steerRateDegPerS: rate }).speedMps).toBeCloseTo(2, 9);
  });

  it('is no faster than its motor, and finds the last speed that more downforce still holds', () => {
    expect(slalom({ ...gates, mostMps: 1.5 })).toMatchObject({ speedMps: 1.5, limitedBy: 'motor' });
    // a = 4 + 0.2·v²: 4/(κ − 0.2) under the root
    const pressed = slalom({ ...gates, lateralMps2At: (v) => 4 + 0.2 * v * v });
    expect(pressed.speedMps).toBeCloseTo(Math.sqrt(4 / (curvature - 0.2)), 9);
  });
});
