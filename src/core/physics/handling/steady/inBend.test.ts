import type { SteadyInput } from './definition';
import { inBend } from './inBend';
import { setupOf } from './setup';

const RAD = Math.PI / 180;
const G = 9.81;
const car: SteadyInput = {
  massKg: 2,
  yawInertiaKgM2: 0.02,
  wheelbaseMm: 280,
  frontLoadShare: 0.5,
  cgHeightMm: 50,
  drivenAxles: 'rear',
  tyres: {
    front: { corneringPerRad: 9, mu: 0.8, loadFalloff: 0, muFalloff: 0 },
    rear: { corneringPerRad: 10, mu: 0.8, loadFalloff: 0, muFalloff: 0 },
  },
  speedMps: 6,
};
const stance = { front: { trackMm: 240, toeDeg: 0 }, rear: { trackMm: 250, toeDeg: 0 } };
const bend = (more: Partial<SteadyInput> = {}, change = {}, lateral = 4) =>
  inBend(setupOf({ ...car, ...more }), 6, { ...stance, ...change }, lateral);

describe('a car in a bend', () => {
  it('without toe and falloff understeers by its stiffnesses, at any acceleration', () => {
    const expected = (1 / 9 - 1 / 10) / G / RAD;
    expect(bend().understeerDegPerMps2).toBeCloseTo(expected, 12);
    expect(bend({}, {}, 1).understeerDegPerMps2).toBeCloseTo(expected, 12);
    expect(bend().maxLateralMps2).toBeCloseTo(0.8 * G, 9);
    // 2·a·h/(g·t)
    expect(bend().movedShare.front).toBeCloseTo((2 * 4 * 0.05) / (G * 0.24), 12);
  });

  it('understeers more with toe-in behind, less with toe-in in front, by 2·h·τ/(g·t)', () => {
    const plain = bend().understeerDegPerMps2;
    const by = (end: 'front' | 'rear', track: number) =>
      bend({}, { [end]: { trackMm: track, toeDeg: 2 } }).understeerDegPerMps2 - plain;
    expect(by('rear', 250)).toBeCloseTo((2 * 0.05 * 2) / (G * 0.25), 9);
    expect(by('front', 240)).toBeCloseTo(-(2 * 0.05 * 2) / (G * 0.24), 9);
  });

  it('holds less where friction falls off with load, by the load that moves, and more on a wider track', () => {
    const fading = { front: { ...car.tyres.front, muFalloff: 0.3 }, rear: { ...car.tyres.rear } };
    const found = bend({ tyres: fading });
    // m·a = μ·N·(1 − k·(2·a·h/(g·t))²): a quadratic in a
    const k = 0.3 * ((2 * 0.05) / (G * 0.24)) ** 2 * 0.8 * G;
    expect(found.maxLateralMps2).toBeCloseTo((-1 + Math.sqrt(1 + 4 * k * 0.8 * G)) / (2 * k), 9);
    expect(found.letsGoFirst).toBe('front');
    const wider = bend({ tyres: fading }, { front: { trackMm: 300, toeDeg: 0 } });
    expect(wider.maxLateralMps2).toBeGreaterThan(found.maxLateralMps2 + 0.02);
  });

  it('steers softer where stiffness falls off with load', () => {
    const fading = { front: { ...car.tyres.front, loadFalloff: 0.3 }, rear: car.tyres.rear };
    const moved = (2 * 4 * 0.05) / (G * 0.24);
    const front = 1 / (9 * (1 - 0.3 * moved ** 2));
    expect(bend({ tyres: fading }).understeerDegPerMps2).toBeCloseTo((front - 1 / 10) / G / RAD, 9);
  });

  it('carries all on its outer wheels once the inner ones are off the ground', () => {
    expect(bend({ cgHeightMm: 200 }, {}, 7).movedShare).toEqual({ front: 1, rear: 1 });
  });
});
