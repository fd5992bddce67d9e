import { applyPatch } from '../../base/patch';
import { driveRun } from '../../physics/motion/run';
import { runInputOf } from '../motion/runOfBuild';
import { type BuildDocument, emptyDocument } from '../../car/document/document';
import { predictionBand } from './band';
import { gapOf, measuredOf } from './measured';
import { largestOf } from './shares';
import { predictRun } from './predictRun';
import type { TimedConditions } from '../../car/records/records';

const car: BuildDocument = {
  ...emptyDocument(),
  brief: {
    surfaces: [
      {
        id: 'grass',
        name: 'Grass',
        ground: 'loose',
        mu: 0.6,
        muError: 0.1,
        rollingResistance: 0.09,
        rollingResistanceError: 0.03,
      },
    ],
    payloadG: 350,
  },
  drive: {
    motor: {
      name: 'M',
      kvRpmPerV: 3000,
      resistanceMilliOhm: 22,
      noLoadCurrentA: 2,
      rotorInertiaKgM2: 4e-6,
      maxV: 9,
      massG: 165,
      diameterMm: 36,
      lengthMm: 52,
    },
    drivenAxles: 'all',
    stages: [{ id: 's', kind: 'spur', pinionTeeth: 15, wheelTeeth: 150, efficiency: 0.85 }],
    tyre: { name: 'T', compound: 'soft', radiusMm: 42, massG: 52, hardFactor: 1, looseFactor: 0.9 },
  },
  power: {
    battery: {
      name: 'P',
      cells: 2,
      parallel: 1,
      cellResistanceMilliOhm: 3,
      capacityMah: 5000,
      maxDischargeC: 40,
      massG: 265,
    },
    controller: {
      name: 'C',
      currentLimitA: 180,
      continuousA: 60,
      resistanceMilliOhm: 2,
      maxV: 12,
      massG: 55,
    },
  },
  chassis: {
    wheelbaseMm: 285,
    trackFrontMm: 215,
    trackRearMm: 215,
    cgHeightMm: 62,
    frontLoadShare: 0.49,
    massG: 1600,
    cdaM2: 0.026,
  },
};
const conditions: TimedConditions = { surfaceId: 'grass', surfaceName: 'Grass', distanceM: 20 };

const predicted = (kind: 'launch' | 'timedDistance', more: Partial<TimedConditions> = {}, document = car) => {
  const result = predictRun(document, kind, { ...conditions, ...more });
  if (!result.ok) throw new Error(result.missing.join());
  return result.value;
};

describe('the prediction of a run', () => {
  it('of a launch is the time of drive.run', () => {
    const input = runInputOf(car, car.brief.surfaces[0]!);
    if (!input.ok) throw new Error('not ready');
    expect(predicted('launch').timeS).toBeCloseTo(
      driveRun({ ...input.value, distanceM: 20 }).timeToDistanceS!,
      12,
    );
    // tyre factor on loose ground, payload in the mass
    expect(input.value.tyre.mu).toBeCloseTo(0.54, 12);
    expect(input.value.car.massKg).toBeCloseTo(1.95, 12);
  });

  it('after a long run-up passes at the top speed', () => {
    const run = predicted('timedDistance', { runUpM: 300 });
    expect(run.speedMps).toBeCloseTo(run.topSpeedMps!, 3);
  });

  it('takes its own charge, air and weight into account', () => {
    const far = { runUpM: 300 };
    expect(
      predicted('timedDistance', { ...far, packVBefore: 7.4 }).speedMps /
        predicted('timedDistance', far).speedMps,
    ).toBeCloseTo(7.4 / 8.4, 1);
    expect(predicted('launch', { extraMassG: 500 }).massKg).toBeCloseTo(2.45, 12);
    expect(predicted('timedDistance', { ...far, ambientC: 40 }).speedMps).toBeGreaterThan(
      predicted('timedDistance', { ...far, ambientC: -10 }).speedMps,
    );
  });

  it('of a grip-limited launch errs by half the relative error of what is left of the friction', () => {
    // a = (μ − c)·g, t ∝ a^(−1/2): u_t/t = ½·√(u_μ² + u_c²)/(μ − c), nearly, over a short distance
    const run = predicted('launch', { distanceM: 3 });
    expect(run.timeErrorS / run.timeS).toBeCloseTo((0.5 * Math.hypot(0.09, 0.03)) / (0.54 - 0.09), 1);
  });

  it('says what it needs', () => {
    expect(
      predictRun(applyPatch(car, [{ path: ['drive', 'tyre'], value: undefined }]), 'launch', conditions),
    ).toEqual({ ok: false, missing: ['drive.tyre'] });
    expect(predictRun(car, 'launch', { ...conditions, surfaceId: 'moon' })).toMatchObject({ ok: false });
  });
});

describe('what makes most of an error', () => {
  it('is the figure whose spread moves the value most, each by hand', () => {
    const set = (muError: number, rollingResistanceError: number, more: object) =>
      applyPatch(car, [
        { path: ['brief', 'surfaces', conditions.surfaceId, 'muError'], value: muError },
        {
          path: ['brief', 'surfaces', conditions.surfaceId, 'rollingResistanceError'],
          value: rollingResistanceError,
        },
        {
          path: ['brief', 'calibration'],
          value: {
            letter: 'A',
            runs: 3,
            at: '',
            dragSpread: 0.001,
            efficiencySpread: 0.001,
            motorSpread: 0.001,
            ...more,
          },
        },
      ]);
    const mostOf = (document: BuildDocument) => {
      const found = predictRun(document, 'timedDistance', { ...conditions, runUpM: 60 });
      if (!found.ok) throw new Error('not ready');
      return found.value.mostFrom;
    };
    expect(mostOf(set(0, 0, { motorSpread: 0.05 }))).toBe('motor');
    expect(mostOf(set(0, 0, { dragSpread: 0.5 }))).toBe('drag');
    expect(mostOf(set(0, 0.05, {}))).toBe('rolling');
    expect(largestOf({ grip: 0, rolling: 0, drag: 0, efficiency: 0, motor: 0 })).toBeUndefined();
    const band = predictionBand(set(0, 0, { motorSpread: 0.05 }), conditions.surfaceId, 1, 20)!;
    expect(band.topSpeedMps!.mostFrom).toBe('motor');
  });
});

describe('what was measured', () => {
  it('errs by the spread of its attempts or, where larger, by the timing', () => {
    const close = measuredOf({
      conditions,
      attempts: [
        { id: '1', timeS: 2 },
        { id: '2', timeS: 2 },
        { id: '3', timeS: 2 },
      ],
    });
    // three stop-watch readings of 0.1 s in 2 s and 0.02 m in 20 m: √(0.05² + 0.001²)/√3
    expect(close.speedErrorMps).toBeCloseTo((10 * Math.hypot(0.05, 0.001)) / Math.sqrt(3), 12);
    const wide = measuredOf({
      conditions,
      attempts: [
        { id: '1', timeS: 1.5 },
        { id: '2', timeS: 2 },
        { id: '3', timeS: 3 },
      ],
    });
    expect(wide.speedErrorMps).toBeCloseTo(wide.speed.sd! / Math.sqrt(3), 12);
  });

  it('lies a number of joint standard deviations from its prediction', () => {
    const run = {
      id: 'r',
      revisionId: 'v',
      kind: 'launch' as const,
      ranAt: '',
      document: car,
      conditions,
      attempts: [{ id: '1', timeS: 2 }],
      prediction: { timeS: 2.2, timeErrorS: 0.1, speedMps: 9, speedErrorMps: 0.3, massKg: 2 },
    };
    const gap = gapOf(run, measuredOf(run))!;
    expect(gap.differenceMps).toBeCloseTo(1, 12);
    expect(gap.sigmas).toBeCloseTo(1 / Math.hypot(0.3, 10 * Math.hypot(0.05, 0.001)), 9);
  });
});
