import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { landingImpact, landingMotion } from './impact';
import type { ImpactInput } from './impactDefinition';
import { landingImpactSchema } from './loads.schema';

const G = 9.81;
const land = (input: object) => landingImpact(parse(landingImpactSchema, input));
const base: ImpactInput = {
  dropM: 0.3,
  sprungMassG: 1600,
  unsprungMassG: 90,
  tyre: { rateNPerMm: 20, dampingNsPerM: 20, rimAtMm: 12 },
  suspension: { springNPerMm: 1.2, preloadMm: 3, motionRatio: 0.7, wheelTravelMm: 30, damperNsPerM: 60 },
};
const stiff = { dropM: 0.3, sprungMassG: 1600, unsprungMassG: 90, tyre: { rateNPerMm: 20 } };

describe('landing.impact', () => {
  it('on tyres alone is the blow of a mass on a spring: m·g·(1 + √(1 + 2·k·H/(m·g)))', () => {
    const found = land(stiff);
    const massKg = 0.4 + 0.09;
    const force = massKg * G * (1 + Math.sqrt(1 + (2 * 20_000 * 0.3) / (massKg * G)));
    expect(found.peakTyreN / force).toBeCloseTo(1, 4);
    // the sprung part of it goes into the car, and all four wheels carry the car
    expect(found.peakChassisN / ((force * 0.4) / massKg)).toBeCloseTo(1, 4);
    expect(found.carN).toBe(4 * found.peakTyreN);
    expect(found.peakSprungGees).toBeCloseTo(found.peakChassisN / (0.4 * G), 9);
    expect(found.tyreDeflectionMm / (force / 20)).toBeCloseTo(1, 4);
    // from touch-down through the level of rest to the turn: (π − atan(v₀·ω/g))/ω
    const omega = Math.sqrt(20_000 / massKg);
    expect(found.turnS! / ((Math.PI - Math.atan((Math.sqrt(2 * G * 0.3) * omega) / G)) / omega)).toBeCloseTo(
      1,
      2,
    );
    expect(found).not.toHaveProperty('travelUsedMm');
    expect(found).not.toHaveProperty('maxDropM');
    const { peakTyreN, peakChassisN } = found;
    expect(found.rigid).toMatchObject({ peakTyreN, peakChassisN });
  });

  it('on springs alone, the wheel as good as without mass on a tyre as good as rigid, is energy’s travel', () => {
    const found = land({
      ...base,
      unsprungMassG: 4,
      tyre: { rateNPerMm: 2000, dampingNsPerM: 20 },
      suspension: { springNPerMm: 1.2, motionRatio: 0.7, wheelTravelMm: 80 },
    });
    // m·g·(H + x) = ½·k·MR²·x²
    const rate = 1200 * 0.49;
    const weight = 0.4 * G;
    const x = (weight + Math.sqrt(weight ** 2 + 2 * rate * weight * 0.3)) / rate;
    expect(found.travelUsedMm! / (1000 * x)).toBeCloseTo(1, 1);
    expect(found.travelUsedPct! / found.travelUsedMm!).toBeCloseTo(100 / 80, 9);
    expect(found.bottoms).toBe(false);
  });

  it('agrees with the same two equations in ten thousand small steps', () => {
    // both masses by semi-implicit steps of 2 µs, written out once more
    const { springNPerMm, preloadMm = 0, damperNsPerM = 0 } = base.suspension!;
    const [ms, mu, ratio] = [0.4, 0.09, 0.7];
    let [ys, yu] = [0, 0];
    let [vs, vu] = [Math.sqrt(2 * G * 0.3), Math.sqrt(2 * G * 0.3)];
    let [tyrePeak, carPeak, travel] = [0, 0, 0];
    const h = 2e-6;
    for (let t = 0; t < 0.2 && !(ys < 0 && vs < 0); t += h) {
      const tyre = yu < 0 ? 0 : Math.max(0, 20_000 * yu + 20 * vu);
      const x = Math.max(0, ys - yu);
      const shaft = springNPerMm * 1000 * (preloadMm / 1000 + ratio * x) + damperNsPerM * ratio * (vs - vu);
      let force = ratio * shaft;
      const common = (ms * tyre) / (ms + mu);
      if (ys - yu <= 0 && force > common) force = common;
      vs += h * (G - force / ms);
      vu += h * (G + (force - tyre) / mu);
      ys += h * vs;
      yu += h * vu;
      if (ys < yu) {
        const v = (ms * vs + mu * vu) / (ms + mu);
        [vs, vu, yu] = [v, v, ys];
      }
      tyrePeak = Math.max(tyrePeak, tyre);
      carPeak = Math.max(carPeak, force);
      travel = Math.max(travel, ys - yu);
    }
    const found = land(base);
    expect(found.peakTyreN / tyrePeak).toBeCloseTo(1, 2);
    expect(found.peakChassisN / carPeak).toBeCloseTo(1, 2);
    expect(found.travelUsedMm! / (1000 * travel)).toBeCloseTo(1, 2);
  });

  it('bottoms just beyond the largest drop, and not at it', () => {
    const { maxDropM } = land(base);
    expect(land({ ...base, dropM: maxDropM! - 1e-4 }).bottoms).toBe(false);
    const beyond = land({ ...base, dropM: maxDropM! + 1e-3 });
    expect(beyond.bottoms).toBe(true);
    expect(beyond.stopSpeedMps).toBeGreaterThan(0);
    expect(beyond.findings).toMatchObject([{ severity: 'tight', about: 'travel' }]);
  });

  it('finds the drop that a force allows, wherever it acts', () => {
    for (const forceAt of ['tyre', 'chassis', 'mount'] as const) {
      const { dropForForceM } = land({ ...base, forceN: 120, forceAt });
      const there = land({ ...base, dropM: dropForForceM! });
      const force = { tyre: there.peakTyreN, chassis: there.peakChassisN, mount: there.peakMountN! }[forceAt];
      expect(force / 120).toBeCloseTo(1, 2);
    }
    expect(land({ ...base, forceN: 0.001, forceAt: 'tyre' }).dropForForceM).toBe(0);
    const never = land({ ...base, forceN: 1e9 });
    expect(never).not.toHaveProperty('dropForForceM');
    expect(never.notes).toHaveLength(1);
  });

  it('presses the stop on the damper’s shaft: at twice the ratio twice the crush for the same travel', () => {
    const through = land({
      ...base,
      dropM: 2,
      suspension: { ...base.suspension, bumpStop: { crushMm: 1, solidNPerMm: 200 } },
    });
    expect(through.findings.map(({ about }) => about)).toEqual(['bumpStop', 'travel', 'tyre']);
    expect(through.solid).toBe(true);
    // stop force of what the travel goes beyond, along the shaft
    const pressed = 0.7 * (through.travelUsedMm! - 30);
    expect(through.peakStopN! / (20 * pressed + 200 * (pressed - 1))).toBeCloseTo(1, 6);
  });

  it('takes a table of motion ratios as the ratio itself where it is constant, and as its mean where it rises', () => {
    const withRatio = (motionRatio: unknown) =>
      land({ ...base, suspension: { ...base.suspension, motionRatio } }).travelUsedMm!;
    expect(withRatio({ travelMm: [5, 20], ratio: [0.7, 0.7] })).toBeCloseTo(withRatio(0.7), 9);
    const rising = withRatio({ travelMm: [0, 30], ratio: [0.6, 0.8] });
    expect(rising).toBeLessThan(withRatio(0.6));
    expect(rising).toBeGreaterThan(withRatio(0.8));
  });

  it('shows the mass that a free body shows where it is struck', () => {
    const inertia = { aheadMm: 140, pitchKgM2: 0.02, besideMm: 90, rollKgM2: 0.006 };
    const one = land({ ...base, wheels: 1, inertia });
    expect(one.massOverWheelG).toBeCloseTo(
      1600 / (1 + (1.6 * 0.14 ** 2) / 0.02 + (1.6 * 0.09 ** 2) / 0.006),
      9,
    );
    const two = land({ ...base, wheels: 2, inertia: { aheadMm: 140, pitchKgM2: 0.02 } });
    expect(two.massOverWheelG).toBeCloseTo(800 / (1 + (1.6 * 0.14 ** 2) / 0.02), 9);
    expect(land({ ...base, wheels: 1 }).massOverWheelG).toBe(800);
    expect(land({ ...base, loadShare: 0.3 }).massOverWheelG).toBeCloseTo(480, 9);
  });

  it('shakes electronics on a soft mount less than the car, and on a hard one as much', () => {
    const shaken = (mountHz: number) =>
      land({ ...base, electronics: { mountHz, dampingRatio: 0.3 } }).peakElectronicsGees;
    expect(shaken(3)).toBeLessThan(0.5 * land(base).peakElectronicsGees);
    expect(shaken(2000) / land(base).peakElectronicsGees).toBeCloseTo(1, 1);
  });

  it('hits harder from higher, and a wheel that hangs on its droop stop never lifts beyond it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (dropM, preloadMm, damperNsPerM) => {
          const at = (height: number) =>
            land({ ...base, dropM: height, suspension: { ...base.suspension, preloadMm, damperNsPerM } });
          const [low, high] = [at(dropM), at(dropM + 0.1)];
          expect(high.peakTyreN).toBeGreaterThan(low.peakTyreN);
          expect(low.travelUsedMm).toBeGreaterThanOrEqual(0);
          expect(low.peakMountN!).toBeGreaterThanOrEqual(low.peakSpringDamperN! - 1e-9);
        },
      ),
      { numRuns: 12, seed: 3117 },
    ));

  it.each([
    ['loadShare', { ...base, wheels: 2, loadShare: 0.3 }],
    ['inertia', { ...base, inertia: { aheadMm: 100, pitchKgM2: 0.02 } }],
    ['inertia.besideMm', { ...base, wheels: 1, inertia: { aheadMm: 100, pitchKgM2: 0.02 } }],
    ['inertia.rollKgM2', { ...base, wheels: 2, inertia: { aheadMm: 100, pitchKgM2: 0.02, besideMm: 80 } }],
    ['tyre.rimNPerMm', { ...base, tyre: { rateNPerMm: 20, rimNPerMm: 10 } }],
    [
      'suspension.motionRatio.travelMm.1',
      { ...base, suspension: { ...base.suspension, motionRatio: { travelMm: [3, 3], ratio: [1, 1] } } },
    ],
    [
      'suspension.motionRatio.ratio',
      { ...base, suspension: { ...base.suspension, motionRatio: { travelMm: [0, 3], ratio: [1, 1, 1] } } },
    ],
    [
      'suspension.motionRatio.ratio.1',
      { ...base, suspension: { ...base.suspension, motionRatio: { travelMm: [0, 3], ratio: [1, 0] } } },
    ],
    ['suspension.motionRatio', { ...base, suspension: { ...base.suspension, motionRatio: 0 } }],
    ['forceN', { ...base, forceAt: 'tyre' }],
    ['forceAt', { ...stiff, forceN: 10, forceAt: 'stop' }],
    ['wheels', { ...base, wheels: 3 }],
    ['unsprungMassG', { ...base, unsprungMassG: 1e-6 }],
  ])('refuses at %s', (path, input) => expect(refusalOf(() => land(input)).path).toBe(path));
});

describe('a landing in time', () => {
  it('on tyres alone is the swing of a mass on a spring', () => {
    const { tS, sprungMm, unsprungMm, tyreN } = landingMotion(stiff, 1e-3);
    const massKg = 0.49;
    const omega = Math.sqrt(20_000 / massKg);
    const v0 = Math.sqrt(2 * G * 0.3);
    tS.forEach((t, k) => {
      const y = 1000 * ((G / omega ** 2) * (1 - Math.cos(omega * t)) + (v0 / omega) * Math.sin(omega * t));
      expect(sprungMm[k]!).toBeCloseTo(y, 1);
      expect(tyreN[k]!).toBeCloseTo(Math.max(0, 20 * y), 0);
    });
    expect(unsprungMm).toEqual(sprungMm);
    // told every millisecond, until it is where it touched
    const backS = (2 * (Math.PI - Math.atan((v0 * omega) / G))) / omega;
    expect(Math.abs(tS.at(-1)! + 5e-4 - backS)).toBeLessThan(6e-4);
  });

  it('moves the car as its forces say: twice summed over time they are its way', () => {
    const everyS = 1e-4;
    const { sprungMm, unsprungMm, tyreN, chassisN } = landingMotion(base, everyS);
    const masses = { sprung: 0.4, unsprung: 0.09 };
    const way = (force: (k: number) => number, massKg: number) => {
      let [y, v] = [0, Math.sqrt(2 * G * 0.3)];
      for (let k = 1; k < sprungMm.length; k++) {
        const a = G + (force(k) + force(k - 1)) / 2 / massKg;
        y += v * everyS + (a * everyS ** 2) / 2;
        v += a * everyS;
      }
      return 1000 * y;
    };
    // until it is where it touched, so its way is small beside the 20 mm that it went in
    const deepest = Math.max(...sprungMm);
    expect(Math.abs(way((k) => -chassisN[k]!, masses.sprung) - sprungMm.at(-1)!)).toBeLessThan(
      0.02 * deepest,
    );
    expect(Math.abs(way((k) => chassisN[k]! - tyreN[k]!, masses.unsprung) - unsprungMm.at(-1)!)).toBeLessThan(
      0.05 * deepest,
    );
    const peaks = landingImpact(base);
    expect(Math.max(...tyreN) / peaks.peakTyreN).toBeCloseTo(1, 2);
    expect(Math.max(...chassisN) / peaks.peakChassisN).toBeCloseTo(1, 2);
    expect(Math.max(...sprungMm.map((y, k) => y - unsprungMm[k]!)) / peaks.travelUsedMm!).toBeCloseTo(1, 2);
  });
});
