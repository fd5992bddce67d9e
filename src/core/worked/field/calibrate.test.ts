import { applyPatch } from '../../base/patch';
import { driveRun } from '../../physics/motion/run';
import { runInputOf } from '../motion/runOfBuild';
import { car as base, surface } from '../../fixtures/car';
import { printCoverage, printsCoverage } from '../../fixtures/coverage';
import { normalFrom } from '../../base/numeric/random';
import { nominalRun, predictRun } from './predictRun';
import type { RunRecord, TimedConditions } from '../../car/records/records';
import type { TimedKind } from '../../car/records/runKinds';
import { acceptCalibration } from './accept';
import { predictionBand } from './band';
import { calibrateRuns } from './calibrate';
import { covarianceOf } from '../../physics/statistics/covariance';
import { documentSchema } from '../../car/document/document.schema';
import { type Factors, type Knob, KNOBS, scaled, spreadsOf } from './knobs';
import { uncalibrated } from './uncalibrated';

/** Enough to see the coverage within 3.3 %; a print takes more of them. */
const CARS = printsCoverage ? 400 : 60;
const DAY = '2026-05-20T10:00:00.000Z';

/** Slippery enough for a launch to feel it. */
const grass = { ...surface('mownGrass'), mu: 0.32, muError: 0.05 };
const car = { ...base, brief: { ...base.brief, surfaces: [grass] } };
const conditions = (more: Partial<TimedConditions>): TimedConditions => ({
  surfaceId: grass.id,
  surfaceName: grass.name,
  distanceM: 20,
  ...more,
});

/** Runs of a car whose figures are off by hidden factors, timed with a seeded error. */
function runsOf(
  hidden: Factors,
  plan: readonly (readonly [TimedKind, Partial<TimedConditions>])[],
  spread: number,
  seed: number,
  driven = car,
): RunRecord[] {
  const normal = normalFrom(seed);
  return plan.map(([kind, more], index) => {
    const given = conditions(more);
    const { timeS } = nominalRun(scaled(car, grass.id, hidden), kind, given)!;
    return {
      id: `r${index}`,
      revisionId: 'v',
      kind,
      ranAt: '',
      document: driven,
      conditions: given,
      attempts: [0, 1, 2].map((at) => ({
        id: `${at}`,
        frames: Math.round(timeS * (1 + spread * normal()) * 2000),
        captureFps: 2000,
      })),
    };
  });
}

const VARIED = [
  ['launch', { distanceM: 5 }],
  ['launch', { distanceM: 20 }],
  ['timedDistance', { runUpM: 60 }],
  ['timedDistance', { runUpM: 60, extraMassG: 800 }],
  ['timedDistance', { runUpM: 60, packVBefore: 7 }],
  ['timedDistance', { runUpM: 5 }],
  ['launch', { distanceM: 3 }],
  ['timedDistance', { runUpM: 80, packVBefore: 6.6, extraMassG: 800 }],
] as const;

describe('a calibration on measured runs', () => {
  it('finds hidden figures within three of its stated errors, over many seeds', () => {
    const hidden: Record<string, number> = { grip: 0.9, efficiency: 0.96 };
    let [looked, outside] = [0, 0];
    for (let seed = 1; seed <= 4; seed++) {
      const { figures, rmsAfter, rmsBefore } = calibrateRuns(runsOf(hidden, VARIED, 0.01, seed));
      expect(rmsAfter).toBeLessThan(rmsBefore);
      for (const { knob, factor, error } of figures) {
        looked++;
        if (Math.abs(factor - (hidden[knob] ?? 1)) > 3 * error) outside++;
      }
    }
    expect(looked).toBeGreaterThan(4);
    expect(outside).toBe(0);
  });

  it('weighs runs against what was known: one conditioned normal, where alike runs say one thing', () => {
    const passing = ['timedDistance', { runUpM: 60 }] as const;
    const found = calibrateRuns(runsOf({ motor: 0.97 }, [passing, passing], 0, 1));
    const time = (factors: Factors) =>
      nominalRun(scaled(car, grass.id, factors), 'timedDistance', conditions({ runUpM: 60 }))!.timeS;
    const priors = spreadsOf(car, grass.id);
    const slope = (knob: Knob) =>
      (Math.log(time({ [knob]: 1.01 })) - Math.log(time({ [knob]: 0.99 }))) / Math.log(1.01 / 0.99);
    // b = P s (s' P s + r)⁻¹ y, with a day's 2 % of each of two runs; the clock's own error is far below that
    const variance = KNOBS.reduce((sum, knob) => sum + (priors[knob] * slope(knob)) ** 2, 0) + 0.02 ** 2 / 2;
    const seen = Math.log(time({ motor: 0.97 }) / time({}));
    const motor = found.figures.find(({ knob }) => knob === 'motor')!;
    const gain = (priors.motor ** 2 * slope('motor')) / variance;
    expect(Math.log(motor.factor)).toBeCloseTo(gain * seen, 3);
    expect(motor.error / motor.factor).toBeCloseTo(priors.motor * Math.sqrt(1 - gain * slope('motor')), 3);
    expect(motor.beforeError).toBe(0.02);
  });

  it('keeps what the runs do not tell as it is known, and asks for a run', () => {
    const slow = runsOf(
      {},
      [
        ['timedDistance', { runUpM: 60 }],
        ['timedDistance', { runUpM: 60 }],
        ['timedDistance', { runUpM: 60 }],
      ],
      0.01,
      3,
    );
    const found = calibrateRuns(slow);
    const grip = found.untold.find(({ knob }) => knob === 'grip')!;
    expect(grip).toMatchObject({ factor: 1, surfaceId: grass.id });
    expect(grip.error).toBeCloseTo(grass.muError / grass.mu, 12);
    expect(found.ask).toBeDefined();
    expect(calibrateRuns(slow.slice(0, 1))).toMatchObject({ figures: [], untold: [], runs: [] });
  });

  it('keeps the grip of each surface by itself', () => {
    const asphalt = { ...surface('asphalt'), mu: 0.35, muError: 0.05 };
    const both = { ...car, brief: { ...car.brief, surfaces: [grass, asphalt] } };
    const onGrass = runsOf({ grip: 0.85 }, VARIED, 0, 1, both);
    const launches = [3, 5, 8, 20].map((distanceM, at): RunRecord => {
      const given = conditions({ surfaceId: asphalt.id, surfaceName: asphalt.name, distanceM });
      const { timeS } = nominalRun(scaled(both, asphalt.id, { grip: 1.1 }), 'launch', given)!;
      return {
        ...onGrass[0]!,
        id: `on-${at}`,
        conditions: given,
        attempts: [{ id: 't', frames: Math.round(2000 * timeS), captureFps: 2000 }],
      };
    });
    const { figures } = calibrateRuns([...onGrass, ...launches]);
    const gripOn = (id: string) => figures.find((one) => one.knob === 'grip' && one.surfaceId === id)!;
    for (const [id, truth] of [
      [grass.id, 0.85],
      [asphalt.id, 1.1],
    ] as const)
      expect(Math.abs(gripOn(id).factor - truth)).toBeLessThan(2 * gripOn(id).error);
    expect(gripOn(grass.id).factor).toBeLessThan(1);
    expect(gripOn(asphalt.id).factor).toBeGreaterThan(1);
  });

  it('holds runs against one ground, whatever was believed of it when they were driven', () => {
    const all = runsOf({ grip: 0.85 }, VARIED, 0, 1);
    const alike = calibrateRuns(all).figures.find(({ knob }) => knob === 'grip')!;
    // the first half was driven by a build that thought its ground half as good again
    const believed = { ...car, brief: { ...car.brief, surfaces: [{ ...grass, mu: 1.5 * grass.mu }] } };
    const mixed = all.map((run, at) => ({
      ...run,
      ranAt: `2026-05-0${Math.min(9, 1 + at)}T10:00:00.000Z`,
      ...(at < all.length / 2 ? { document: believed } : {}),
    }));
    const found = calibrateRuns(mixed).figures.find(({ knob }) => knob === 'grip')!;
    expect(found.factor).toBeCloseTo(alike.factor, 9);
  });

  it('goes into the build as edits that say where they come from, and predicts the runs it was made on', () => {
    const runs = runsOf({ grip: 0.9, efficiency: 0.95 }, VARIED, 0.005, 4);
    const found = calibrateRuns(runs);
    const after = applyPatch(car, acceptCalibration(car, found, 'C', DAY));
    const grip = found.figures.find(({ knob }) => knob === 'grip')!;
    expect(after.brief.surfaces[0]!.mu).toBeCloseTo(grass.mu * grip.factor, 3);
    expect(after.brief.surfaces[0]!.muError).toBeCloseTo(grass.mu * grip.error, 3);
    expect(after.brief.calibration).toMatchObject({ letter: 'C', runs: 8, at: DAY });
    for (const { id, measuredS } of found.runs) {
      const { kind, conditions: given } = runs.find((run) => run.id === id)!;
      expect(nominalRun(after, kind, given as TimedConditions)!.timeS / measuredS).toBeCloseTo(1, 1);
    }
    expect(documentSchema.validate(after).error).toBeUndefined();
  });

  it('does nothing when it is accepted again, and says the same of runs that were driven after it', () => {
    const found = calibrateRuns(runsOf({ grip: 0.88 }, VARIED, 0, 4));
    const after = applyPatch(car, acceptCalibration(car, found, 'C', DAY));
    expect(acceptCalibration(after, found, 'C', '2026-06-01T10:00:00.000Z')).toEqual([]);
    expect(uncalibrated(after)).toEqual(car);
    // the truth is that of the ground, whatever the build held when it was driven
    const again = calibrateRuns(
      runsOf({ grip: 0.88 }, VARIED, 0, 4).map((run) => ({ ...run, document: after })),
    );
    expect(again.figures).toEqual(found.figures);
    const edited = applyPatch(after, [{ path: ['brief', 'surfaces', grass.id, 'mu'], value: 0.5 }]);
    expect(uncalibrated(edited).brief.surfaces[0]!.mu).toBe(0.5);
    const [first] = acceptCalibration(edited, found, 'C', DAY);
    const grip = found.figures.find(({ knob }) => knob === 'grip')!;
    expect(first!.value).toBeCloseTo(0.5 * grip.factor, 2);
  });

  it('predicts better what it did not see', () => {
    const hidden: Factors = { grip: 0.9, efficiency: 0.95 };
    const found = calibrateRuns(runsOf(hidden, VARIED, 0.005, 9));
    const factors = Object.fromEntries(found.figures.map(({ knob, factor }) => [knob, factor]));
    const unseen = conditions({ distanceM: 12, extraMassG: 300 });
    const time = (with_: Factors) => nominalRun(scaled(car, grass.id, with_), 'launch', unseen)!.timeS;
    expect(Math.abs(time(factors) - time(hidden))).toBeLessThan(0.3 * Math.abs(time({}) - time(hidden)));
  });
});

describe('a calibration over many cars whose truth lies where it is thought to', () => {
  it('is within 1.96 of its errors nineteen times of twenty, within three standard errors of that', () => {
    const normal = normalFrom(77);
    const priors = spreadsOf(car, grass.id);
    const plan = VARIED.filter((_, at) => at % 2 === 0);
    let [looked, inside] = [0, 0];
    for (let build = 0; build < CARS; build++) {
      const hidden: Factors = Object.fromEntries(
        KNOBS.map((knob) => [knob, Math.exp(priors[knob] * normal())]),
      );
      // days apart by 2 %, attempts within a day by 1 %
      const runs = runsOf(hidden, plan, 0.01, 1000 + build).map((run) => {
        const day = 1 + 0.02 * normal();
        return {
          ...run,
          attempts: run.attempts.map((one) => ({ ...one, frames: Math.round(one.frames! * day) })),
        };
      });
      const { figures, untold } = calibrateRuns(runs);
      for (const { knob, factor, error } of [...figures, ...untold]) {
        looked++;
        if (Math.abs(Math.log(hidden[knob]! / factor)) <= (1.96 * error) / factor) inside++;
      }
    }
    const share = inside / looked;
    printCoverage(
      `calibration: ${(100 * share).toFixed(1)} % of ${looked} figures of ${CARS} cars within 1.96 of their errors (95 %)`,
    );
    // the five figures of a car are not independent: as many looks as cars
    expect(Math.abs(share - 0.95)).toBeLessThan(3 * Math.sqrt((0.95 * 0.05) / CARS));
  });
});

describe('errors and correlations of a fit', () => {
  it('are those of a straight line: σ/√n, σ/√Sxx, and none between them about the mean', () => {
    const x = [-2, -1, 0, 1, 2];
    const { errors, correlations } = covarianceOf([x.map(() => 1), x])!;
    expect(errors[0]).toBeCloseTo(1 / Math.sqrt(5), 12);
    expect(errors[1]).toBeCloseTo(1 / Math.sqrt(10), 12);
    expect(correlations[0]![1]).toBeCloseTo(0, 12);
    const shifted = covarianceOf([x.map(() => 1), x.map((one) => one + 3)])!;
    // −x̄/√(mean of x²): −3/√(9 + 2)
    expect(shifted.correlations[0]![1]).toBeCloseTo(-3 / Math.sqrt(11), 12);
    expect(covarianceOf([x, x])).toBeUndefined();
  });
});

describe('the spread of a prediction', () => {
  it('by sampling is that by sensitivities, for small spreads', () => {
    const still = applyPatch(car, [
      { path: ['brief', 'surfaces', grass.id, 'muError'], value: grass.mu * 0.02 },
      {
        path: ['brief', 'surfaces', grass.id, 'rollingResistanceError'],
        value: grass.rollingResistance * 0.05,
      },
      {
        path: ['brief', 'calibration'],
        value: {
          letter: 'A',
          runs: 4,
          at: '2026-05-01T00:00:00.000Z',
          dragSpread: 0.03,
          efficiencySpread: 0.01,
        },
      },
    ]);
    const band = predictionBand(still, grass.id, 5, 600)!;
    const run = predictRun(still, 'launch', conditions({ distanceM: still.brief.distanceM! }));
    if (!run.ok) throw new Error('not ready');
    // nine tenths of a normal spread are 2 · 1.645 σ
    expect((band.timeToDistanceS!.high - band.timeToDistanceS!.low) / (2 * 1.645)).toBeCloseTo(
      run.value.timeErrorS,
      2,
    );
  });

  it('is the same again by the same seed, and holds the figure itself', () => {
    const input = runInputOf(car, grass);
    if (!input.ok) throw new Error('not ready');
    const { topSpeedMps } = driveRun(input.value);
    const band = predictionBand(car, grass.id, 2, 120)!;
    expect(band).toEqual(predictionBand(car, grass.id, 2, 120));
    expect(band.topSpeedMps!.low).toBeLessThan(topSpeedMps!);
    expect(band.topSpeedMps!.high).toBeGreaterThan(topSpeedMps!);
  });
});
