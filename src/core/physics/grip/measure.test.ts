import tQuantile from '@stdlib/stats-base-dists-t-quantile';
import { randomFrom } from '../../base/numeric/random';
import { refusalOf } from '../../fixtures/refused';
import type { GripInput, GripMeasurement } from './definition';
import { gripMeasure } from './measure';

const G = 9.81;
const car = { massKg: 2, wheelbaseMm: 300, cgHeightMm: 60, frontLoadShare: 0.45 };
const exact = { massErrorKg: 0, wheelbaseErrorMm: 0, cgHeightErrorMm: 0, frontLoadShareError: 0 };
const W = 2 * G;
const [f, h, L] = [0.45, 0.06, 0.3];
const measured = (...measurements: GripMeasurement[]) => gripMeasure({ car, measurements });
const muOf = (measurement: GripMeasurement) => measured(measurement).methods[0]!.mu;
describe('grip.measure', () => {
  /** What a car of friction 0.7 shows, from its own balance of forces and moments. */
  const mu = 0.7;
  const braking = {
    all: mu * G,
    front: (mu * f * G) / (1 - (mu * h) / L),
    rear: (mu * (1 - f) * G) / (1 + (mu * h) / L),
  };
  const pushing = {
    all: mu * G,
    front: (mu * f * G) / (1 + (mu * h) / L),
    rear: (mu * (1 - f) * G) / (1 - (mu * h) / L),
  };
  const v = 6;

  it.each(['all', 'front', 'rear'] as const)(
    'gets the same friction from every method, %s wheels slipping',
    (locked) => {
      expect(
        muOf({
          method: 'brakeLength',
          id: 'a',
          lengthsM: [v ** 2 / (2 * braking[locked])],
          speedMps: v,
          speedErrorMps: 0,
          locked,
        }),
      ).toBeCloseTo(mu, 12);
      expect(
        muOf({
          method: 'brakeTime',
          id: 'a',
          timesS: [v / braking[locked]],
          speedMps: v,
          speedErrorMps: 0,
          locked,
        }),
      ).toBeCloseTo(mu, 12);
      // what rolls along takes 1.5 N of the braking
      const rolled = braking[locked] + (locked === 'all' ? 1.5 / 2 : 0);
      if (locked === 'all')
        expect(
          muOf({
            method: 'brakeTime',
            id: 'a',
            timesS: [v / rolled],
            speedMps: v,
            speedErrorMps: 0,
            resistanceN: 1.5,
          }),
        ).toBeCloseTo(mu, 12);
      expect(
        muOf({
          method: 'launch',
          id: 'a',
          timesS: [4 / pushing[locked]],
          fromMps: 1,
          toMps: 5,
          toErrorMps: 0,
          driven: locked,
        }),
      ).toBeCloseTo(mu, 12);
      // pulled at 40 mm: P = μ (W f + P h/L) and so on
      const lever = (mu * 0.04) / L;
      const forces = {
        all: mu * W,
        front: (mu * W * f) / (1 - lever),
        rear: (mu * W * (1 - f)) / (1 + lever),
      };
      expect(
        muOf({ method: 'pull', id: 'a', forcesN: [forces[locked]], pullHeightMm: 40, locked }),
      ).toBeCloseTo(mu, 12);
      // on a board nose down tan θ = μ (f + h/L tan θ)
      const slopes = {
        all: mu,
        front: (mu * f) / (1 - (mu * h) / L),
        rear: (mu * (1 - f)) / (1 + (mu * h) / L),
      };
      expect(
        muOf({ method: 'tilt', id: 'a', anglesDeg: [(Math.atan(slopes[locked]) * 180) / Math.PI], locked }),
      ).toBeCloseTo(mu, 12);
    },
  );

  it('across it takes the circle, the board and the scale as they are', () => {
    expect(
      muOf({ method: 'circle', id: 'c', lapTimesS: [2 * Math.PI * Math.sqrt(3 / (mu * G))], radiusM: 3 }),
    ).toBeCloseTo(mu, 12);
    expect(
      measured({ method: 'pull', id: 'p', forcesN: [mu * W], pullHeightMm: 20, direction: 'lateral' }),
    ).toMatchObject({
      lateral: { n: 1 },
      methods: [{ direction: 'lateral' }],
    });
    expect(muOf({ method: 'tilt', id: 't', anglesDeg: [35], nose: 'across' })).toBeCloseTo(
      Math.tan((35 * Math.PI) / 180),
      12,
    );
  });

  it('adds up what makes it uncertain, by hand for a board', () => {
    const angles = [33, 34, 35, 36];
    const found = measured({ method: 'tilt', id: 't', anglesDeg: angles, angleErrorDeg: 0.5 }).methods[0]!;
    const perDeg = Math.PI / 180 / Math.cos((34.5 * Math.PI) / 180) ** 2;
    const sd = Math.sqrt(5 / 3);
    const scatter = (perDeg * sd) / 2;
    const u = Math.hypot(scatter, 0.5 * perDeg);
    expect(found.u).toBeCloseTo(u, 9);
    expect(found.degreesOfFreedom).toBeCloseTo((u / scatter) ** 4 * 3, 5);
    expect(found.u95 / found.u).toBeCloseTo(tQuantile(0.975, (u / scatter) ** 4 * 3), 5);
    expect(found.budget.map(({ input }) => input)).toEqual(['scatter', 'instrument']);
    expect(found.budget.reduce((sum, { shareOfVariance }) => sum + shareOfVariance, 0)).toBeCloseTo(1, 9);
    expect(found).toMatchObject({ dominatedBy: 'scatter', n: 4, meanReading: 34.5 });
  });

  it('a circle is as sure as its radius and its laps: δμ/μ = δR/R and 2 δT/T', () => {
    const found = measured({
      method: 'circle',
      id: 'c',
      lapTimesS: [5],
      lapTimeErrorS: 0.1,
      radiusM: 4,
      radiusErrorM: 0.1,
    });
    const [one] = found.methods;
    expect(one!.u / one!.mu).toBeCloseTo(Math.hypot(0.1 / 4, (2 * 0.1) / 5), 8);
    expect(one!.budget.map(({ input }) => input)).toEqual(['instrument', 'radiusM']);
    expect(one!.u95).toBeCloseTo(1.959964 * one!.u, 12);
    expect(found.notes.map(({ code }) => code)).toEqual(['note.grip.oneReading']);
  });

  it('weighs methods by how sure they are, and is less sure where they disagree', () => {
    const tilt = (id: string, deg: number, angleErrorDeg: number): GripMeasurement => ({
      method: 'tilt',
      id,
      anglesDeg: [deg],
      angleErrorDeg,
    });
    const found = measured(tilt('a', 30, 0.5), tilt('b', 36, 1));
    const [a, b] = found.methods as [(typeof found.methods)[0], (typeof found.methods)[0]];
    const [wa, wb] = [1 / a.u ** 2, 1 / b.u ** 2];
    const mean = (wa * a.mu + wb * b.mu) / (wa + wb);
    const chi = wa * (a.mu - mean) ** 2 + wb * (b.mu - mean) ** 2;
    expect(found.longitudinal).toMatchObject({ n: 2, consistent: false });
    expect(found.longitudinal!.mu).toBeCloseTo(mean, 12);
    expect(found.longitudinal!.chiSquare).toBeCloseTo(chi, 9);
    expect(found.longitudinal!.u).toBeCloseTo(Math.sqrt(chi / (wa + wb)), 9);
    expect(found.findings).toEqual([expect.objectContaining({ severity: 'tight', about: 'longitudinal' })]);
    const unsure = gripMeasure({
      car: { ...car, ...exact },
      measurements: [tilt('a', 30, 0), tilt('b', 31, 1)],
    });
    expect('longitudinal' in unsure).toBe(false);
    expect(unsure.notes.map(({ code }) => code)).toContain('note.grip.exact');
  });

  it('covers the truth in nineteen of twenty', () => {
    const random = randomFrom(8);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const tries = 1500;
    let inside = 0;
    for (let k = 0; k < tries; k++) {
      const scale = 0.2 * normal();
      const forcesN = Array.from({ length: 5 }, () => mu * W + 0.4 * normal() + scale);
      const { methods } = gripMeasure({
        car: { ...car, ...exact },
        measurements: [
          { method: 'pull', id: 'p', forcesN, forceErrorN: 0.2, pullHeightMm: 0, pullHeightErrorMm: 0 },
        ],
      });
      if (Math.abs(methods[0]!.mu - mu) <= methods[0]!.u95) inside++;
    }
    expect(inside / tries).toBeGreaterThan(0.93);
    expect(inside / tries).toBeLessThan(0.975);
  });

  it('compares two sets of readings of one method', () => {
    const pull = (id: string, forcesN: number[]): GripMeasurement => ({
      method: 'pull',
      id,
      forcesN,
      pullHeightMm: 20,
    });
    const measurements = [pull('old', [12, 12.2, 11.8]), pull('new', [14, 14.2, 13.8])];
    const { comparison } = gripMeasure({ car, measurements, compare: { a: 'old', b: 'new' } });
    expect(comparison).toMatchObject({ verdict: 'better' });
    expect(comparison!.difference).toBeCloseTo(2 / W, 9);
  });

  it('says when an axle would lift', () => {
    const found = measured({ method: 'tilt', id: 't', anglesDeg: [75], nose: 'up' });
    expect(found.findings).toEqual([
      expect.objectContaining({
        severity: 'tight',
        about: 't',
        why: expect.objectContaining({ facts: { id: 't', axle: 'front' } }),
      }),
    ]);
  });

  const tilt = { method: 'tilt', id: 't', anglesDeg: [30] } as const;
  it.each<[string, Partial<GripInput>]>([
    ['measurements.1.id', { measurements: [tilt, tilt] }],
    ['measurements.0.locked', { measurements: [{ ...tilt, nose: 'across', locked: 'front' }] }],
    [
      'measurements.0.fromMps',
      {
        measurements: [
          { method: 'launch', id: 'l', timesS: [1], fromMps: 5, toMps: 5, toErrorMps: 0, driven: 'rear' },
        ],
      },
    ],
    [
      'measurements.0.forcesN',
      { measurements: [{ method: 'pull', id: 'p', forcesN: [1], pullHeightMm: 0, resistanceN: 2 }] },
    ],
    [
      'measurements.0.anglesDeg',
      { measurements: [{ ...tilt, anglesDeg: [80], nose: 'up', locked: 'front' }] },
    ],
    ['compare.a', { measurements: [tilt], compare: { a: 'x', b: 't' } }],
    [
      'compare.b',
      { measurements: [tilt, { ...tilt, id: 'u', locked: 'rear' }], compare: { a: 't', b: 'u' } },
    ],
  ])('names %s', (path, input) => {
    expect(refusalOf(() => gripMeasure({ car, measurements: [], ...input })).path).toBe(path);
  });
});
