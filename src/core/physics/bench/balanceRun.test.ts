import { parse } from '../../base/schema/parse';
import { normalFrom } from '../../base/numeric/random';
import { refusalOf } from '../../fixtures/refused';
import { type BalanceRunInput, wheelBalanceRun } from './balanceRun';
import { wheelBalanceRunSchema } from './balanceRun.schema';

const balance = (input: object) => wheelBalanceRun(parse<BalanceRunInput>(wheelBalanceRunSchema, input));

/** A wheel of 90 g·mm at 40°, 0.02 mm a g·mm, tried with 1.5 g at 30 mm. */
const [GMM, HEAVY, PER_GMM] = [90, 40, 0.02];
const trial = { trialMassG: 1.5, trialRadiusMm: 30 };
const amplitudeWith = (extraGmm: number, angleDeg: number) => {
  const rad = Math.PI / 180;
  const [x, y] = [
    GMM * Math.cos(HEAVY * rad) + extraGmm * Math.cos(angleDeg * rad),
    GMM * Math.sin(HEAVY * rad) + extraGmm * Math.sin(angleDeg * rad),
  ];
  return PER_GMM * Math.hypot(x, y);
};
const runsAt = (...angles: number[]) =>
  angles.map((angleDeg) => ({ angleDeg, amplitude: amplitudeWith(45, angleDeg) }));
const wheel = { ...trial, amplitude: amplitudeWith(0, 0), runs: runsAt(0, 120, 240) };

describe('a wheel balanced by amplitudes alone', () => {
  it('is heavy where it was made so, and wants the weight opposite', () => {
    const found = balance({ ...wheel, correctionRadiusMm: 25 });
    expect(found.imbalanceGmm).toBeCloseTo(90, 6);
    expect(found.heavyAngleDeg).toBeCloseTo(40, 6);
    expect(found.correctionAngleDeg).toBeCloseTo(220, 6);
    expect(found.correctionG).toBeCloseTo(90 / 25, 6);
    expect(found.sensitivity).toBeCloseTo(0.02, 9);
    expect(found.consistencyPct).toBeCloseTo(0, 6);
    expect(found).toMatchObject({ consistent: true, findings: [], notes: [] });
  });

  it('bears any angles, uneven and counted past a turn, and more runs than three', () => {
    const found = balance({ ...wheel, runs: runsAt(-20, 75, 410, 200, 300) });
    expect(found.imbalanceGmm).toBeCloseTo(90, 6);
    expect(found.heavyAngleDeg).toBeCloseTo(40, 6);
  });

  it('has about the error that readings of that error make, over seeds', () => {
    const normal = normalFrom(5);
    const noisy = (value: number) => value * (1 + 0.03 * normal());
    const off = Array.from({ length: 300 }, () => {
      const { imbalanceGmm, heavyAngleDeg } = balance({
        ...trial,
        amplitude: noisy(wheel.amplitude),
        runs: wheel.runs.map((run) => ({ ...run, amplitude: noisy(run.amplitude) })),
        amplitudeErrorPct: 3,
      });
      const rad = Math.PI / 180;
      return Math.hypot(
        imbalanceGmm * Math.cos(heavyAngleDeg * rad) - 90 * Math.cos(40 * rad),
        imbalanceGmm * Math.sin(heavyAngleDeg * rad) - 90 * Math.sin(40 * rad),
      );
    });
    const rms = Math.sqrt(off.reduce((sum, one) => sum + one ** 2, 0) / off.length);
    const { errorGmm, expectedResidualPct, imbalanceGmm } = balance({ ...wheel, amplitudeErrorPct: 3 });
    expect(rms / errorGmm).toBeGreaterThan(0.85);
    expect(rms / errorGmm).toBeLessThan(1.2);
    expect(expectedResidualPct).toBeCloseTo((100 * errorGmm) / imbalanceGmm, 9);
  });

  it('is held against the grade of its speed, before and after', () => {
    // 150 g at 6,000 rpm: 628.3 rad/s; grade 40 allows 40/628.3·150 = 9.549 g·mm
    const found = balance({ ...wheel, massG: 150, rpm: 6000, amplitudeAfter: 0.15 });
    const omega = 200 * Math.PI;
    expect(found.permissibleGmm).toBeCloseTo((40 / omega) * 150, 9);
    expect(found.gradeBeforeMmps).toBeCloseTo((90 * omega) / 150, 4);
    expect(found.needed).toBe(true);
    expect(found.residualGmm).toBeCloseTo(7.5, 6);
    expect(found.improvement).toBeCloseTo(12, 6);
    expect(found.meetsGrade).toBe(true);
    const worse = balance({ ...wheel, amplitudeAfter: 2 });
    expect(worse.findings[0]).toMatchObject({ severity: 'over', why: { code: 'balanceRun.worse' } });
  });

  it('splits the weight between two places that carry it together', () => {
    const { split, correctionG } = balance({ ...wheel, positionsDeg: [0, 90, 180, 270] });
    expect(split!.map(({ angleDeg }) => angleDeg)).toEqual([180, 270]);
    const rad = Math.PI / 180;
    const sum = [Math.cos, Math.sin].map((f) =>
      split!.reduce((s, p) => s + p.massG * f(p.angleDeg * rad), 0),
    );
    expect(sum[0]).toBeCloseTo(correctionG * Math.cos(220 * rad), 6);
    expect(sum[1]).toBeCloseTo(correctionG * Math.sin(220 * rad), 6);
    const across = balance({ ...wheel, positionsDeg: [350, 220, 300] }).split!;
    expect(across).toHaveLength(1);
    expect(across[0]!.massG).toBeCloseTo(correctionG, 6);
    expect(refusalOf(() => balance({ ...wheel, positionsDeg: [0, 90] })).path).toBe('positionsDeg');
  });

  it('says when runs do not agree, show nothing, or hardly show', () => {
    const [first, ...rest] = wheel.runs;
    const apart = balance({
      ...wheel,
      runs: [...runsAt(60, 180, 300), { ...first!, amplitude: 2 * first!.amplitude }, ...rest],
    });
    expect(apart.findings[0]).toMatchObject({ severity: 'tight', why: { code: 'balanceRun.apart' } });
    const same = wheel.runs.map((run) => ({ ...run, amplitude: 1.02 * wheel.amplitude }));
    expect(refusalOf(() => balance({ ...wheel, runs: same })).code).toBe('balanceRun.shows');
    expect(refusalOf(() => balance({ ...wheel, runs: runsAt(0, 360, 120) })).code).toBe('balanceRun.angles');
    const light = [0, 120, 240].map((angleDeg) => ({ angleDeg, amplitude: amplitudeWith(9, angleDeg) }));
    expect(balance({ ...wheel, trialMassG: 0.3, runs: light }).notes[0]!.code).toBe('note.balanceRun.light');
    expect(refusalOf(() => balance({ ...wheel, massG: 100 })).path).toBe('rpm');
  });
});
