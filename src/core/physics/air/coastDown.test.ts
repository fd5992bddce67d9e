import { normalFrom } from '../../base/numeric/random';
import { refusalOf } from '../../fixtures/refused';
import { airCoastDown } from './coastDown';
import type { CoastInput, CoastRun } from './coastDefinition';

const G = 9.81;
const TRUTH = { cda: 0.05, roll: 0.03 };

/** A roll-out in closed form: du/dt = −A − B·u², u the speed through the air. */
function rolled(
  { whole = 2, wind = 0, grade = 0, cla = 0 } = {},
  direction: 'out' | 'back' = 'out',
  start = 15,
  end = 5,
  step = 0.1,
): CoastRun {
  const sign = direction === 'out' ? 1 : -1;
  const slope = Math.atan(grade / 100);
  const A = (2 * G * (TRUTH.roll * Math.cos(slope) + sign * Math.sin(slope))) / whole;
  const B = (0.6 * (TRUTH.cda + TRUTH.roll * cla)) / whole;
  const [high, fast] = [Math.sqrt(A / B), Math.sqrt(A * B)];
  const phase = Math.atan((start - sign * wind) / high);
  const readings = [];
  for (let k = 0; ; k++) {
    const speedMps = sign * wind + high * Math.tan(phase - fast * k * step);
    if (!(speedMps >= end)) return { direction, readings };
    readings.push({ tS: 3 + k * step, speedMps });
  }
}

describe('air.coastDown', () => {
  it('gives back drag and rolling resistance of a run in closed form', () => {
    const found = airCoastDown({ massKg: 2, runs: [rolled()] });
    expect(found.cdaM2).toBeCloseTo(TRUTH.cda, 7);
    expect(found.rollingResistance).toBeCloseTo(TRUTH.roll, 7);
    expect(found.startMps[0]).toBeCloseTo(15, 7);
    expect(found.residualMps).toBeLessThan(1e-7);
    expect('windMps' in found).toBe(false);
    expect(found.degreesOfFreedom).toBe(found.residuals[0]!.length - 3);
  });

  it('driven both ways it tells wind and slope from the car; one way they pass for it', () => {
    const place = { wind: 1.5, grade: 0.8 };
    const out = rolled(place, 'out');
    const found = airCoastDown({ massKg: 2, runs: [out, rolled(place, 'back')] });
    expect(found).toMatchObject({ notes: [] });
    expect(found.cdaM2).toBeCloseTo(TRUTH.cda, 6);
    expect(found.rollingResistance).toBeCloseTo(TRUTH.roll, 6);
    expect(found.windMps).toBeCloseTo(1.5, 5);
    expect(found.gradePct).toBeCloseTo(0.8, 5);
    const told = airCoastDown({ massKg: 2, windMps: 1.5, gradePct: 0.8, runs: [out] });
    expect(told.cdaM2).toBeCloseTo(TRUTH.cda, 6);
    const alone = airCoastDown({ massKg: 2, runs: [out] });
    expect(Math.abs(alone.rollingResistance - TRUTH.roll)).toBeGreaterThan(0.004);
    expect(alone.notes).toHaveLength(1);
  });

  it('what turns along slows less, and downforce rolls along with the air', () => {
    // 3e-4 kg·m² at 50 mm is 0.12 kg
    const runs = [rolled({ whole: 2.12, cla: 0.04 })];
    const found = airCoastDown({
      massKg: 2,
      rotatingInertiaKgM2: 3e-4,
      tyreRadiusMm: 50,
      claM2: 0.04,
      runs,
    });
    expect(found.cdaM2).toBeCloseTo(TRUTH.cda, 7);
    expect(found.rollingResistance).toBeCloseTo(TRUTH.roll, 7);
    const forgotten = airCoastDown({ massKg: 2, runs });
    expect(forgotten.rollingResistance).toBeCloseTo((TRUTH.roll * 2) / 2.12, 7);
  });

  it('is within two of its errors nineteen times of twenty', () => {
    const normal = normalFrom(7);
    const clean = [rolled({}, 'out', 16, 3), rolled({}, 'back', 16, 3)];
    const tries = 150;
    let [drag, roll] = [0, 0];
    for (let k = 0; k < tries; k++) {
      const runs = clean.map(({ direction, readings }) => ({
        direction: direction!,
        readings: readings.map(({ tS, speedMps }) => ({ tS, speedMps: speedMps + 0.1 * normal() })),
      }));
      const found = airCoastDown({ massKg: 2, windMps: 0, gradePct: 0, runs });
      if (Math.abs(found.cdaM2 - TRUTH.cda) < 1.96 * found.cdaErrorM2) drag++;
      if (Math.abs(found.rollingResistance - TRUTH.roll) < 1.96 * found.rollingResistanceError) roll++;
      expect(found.correlation).toBeLessThan(-0.9);
    }
    for (const share of [drag / tries, roll / tries]) {
      expect(share).toBeGreaterThan(0.9);
      expect(share).toBeLessThan(0.99);
    }
  });

  it('an error of the speed is no smaller than the reader says', () => {
    const sure = airCoastDown({ massKg: 2, runs: [rolled()], speedErrorMps: 0.05 });
    const twice = airCoastDown({ massKg: 2, runs: [rolled()], speedErrorMps: 0.1 });
    expect(twice.cdaErrorM2 / sure.cdaErrorM2).toBeCloseTo(2, 9);
  });

  it('says where a figure is not sure and where it makes no sense', () => {
    const driven: CoastRun = {
      readings: [0, 1, 2, 3, 4].map((tS) => ({ tS, speedMps: 5 + 0.8 * tS + 0.05 * tS * tS })),
    };
    const about = airCoastDown({ massKg: 2, runs: [driven] }).findings.map(({ severity }) => severity);
    expect(about).toContain('over');
  });

  const few = { ...rolled(), readings: rolled().readings.slice(0, 3) };
  it.each<[string, Partial<CoastInput>]>([
    ['tyreRadiusMm', { rotatingInertiaKgM2: 1e-4 }],
    ['runs', { runs: [{ readings: [...few.readings.slice(0, 2), { tS: 9, speedMps: 4 }] }] }],
    ['runs', { runs: [rolled({}, 'out', 15, 11)] }],
    ['runs', { runs: [rolled({}, 'out', 15, 9, 1)], speedErrorMps: 3 }],
    ['runs.0.readings.1.tS', { runs: [{ readings: [few.readings[1]!, few.readings[0]!] }] }],
  ])('refuses at %s (%#)', (path, change) => {
    expect(refusalOf(() => airCoastDown({ massKg: 2, runs: [rolled()], ...change })).path).toBe(path);
  });
});
