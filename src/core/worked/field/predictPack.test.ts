import { applyPatch } from '../../base/patch';
import { car, surface } from '../../fixtures/car';
import type { Conditions, RunRecord } from '../../car/records/records';
import { cellVolts } from '../../physics/motion/cell';
import { airDensityAt } from '../../base/constants';
import { drivePack } from '../heat/wholePack';
import { calibrateRuns } from './calibrate';
import { isDrivenEmpty } from './evidence';
import { scaled } from './knobs';
import { packShares, togetherOf } from './packBands';
import { expectPack, packErrors, packOfRun, predictedOf, predictPack } from './predictPack';
import { packGap } from '../../car/records/packGap';

const grass = { ...surface('mownGrass'), rollingResistance: 0.14, rollingResistanceError: 0.05 };
const asphalt = surface('asphalt');
/** 0.5 A through a plain junction, so that nothing of the supply is guessed. */
const cruising = applyPatch(car, [
  { path: ['drive', 'heat'], value: { duty: 'cruise', cruiseMps: 5, windingLimitC: 300 } },
  { path: ['brief', 'surfaces'], value: [grass, asphalt] },
  {
    path: ['power', 'loads'],
    value: [
      { id: 'l', name: 'Light', kind: 'other', rail: 'battery', minV: 5, maxV: 9, typicalA: 0.5, peakA: 1 },
    ],
  },
]);
const conditions = (more: Conditions = {}): Conditions => ({
  surfaceId: grass.id,
  surfaceName: grass.name,
  ...more,
});
const expected = (more: Conditions = {}, document = cruising) => {
  const found = expectPack(document, conditions(more));
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

describe('what is expected of a pack', () => {
  it('is driven on its own surface, in its own air, with its own load and charge', () => {
    const { input } = expected({ ambientC: 5, extraMassG: 400, packVBefore: 2 * cellVolts(0.7) });
    expect(input.thermal.ambientC).toBe(5);
    expect(input.airDensityKgM3).toBeCloseTo(airDensityAt(5), 9);
    expect(input.car.massKg).toBeCloseTo(expected().input.car.massKg + 0.4, 9);
    expect(input.battery.stateOfCharge).toBeCloseTo(0.7, 6);
    // four fifths are driven of a full pack; of 0.7 what lies over the fifth that stays
    expect(
      expected({ packVBefore: 2 * cellVolts(0.7) }).pack.chargeUsedMah / input.battery.capacityMah,
    ).toBeCloseTo(0.5, 2);
    expect(packOfRun(cruising, conditions({ surfaceId: 'gone' }))).toEqual({
      ok: false,
      missing: ['brief.surfaces:ofRun'],
    });
    expect(expected({ surfaceId: asphalt.id }).input.car.rollingResistance).toBe(asphalt.rollingResistance);
  });

  it('is nothing where the air is over a limit, or the build is not ready', () => {
    const glued = applyPatch(cruising, [{ path: ['drive', 'heat', 'pinionJoint'], value: 'hotGlue' }]);
    expect(predictPack(glued, conditions({ ambientC: 70 }))).toBeUndefined();
    const bare = applyPatch(cruising, [{ path: ['drive', 'motor'], value: undefined }]);
    expect(predictPack(bare, conditions())).toBeUndefined();
  });
});

describe('errors of a pack', () => {
  it('are the slopes of its figures by their spreads: the capacity alone moves minutes by its own share', () => {
    const shares = packShares(cruising, grass.id);
    const { minutes } = predictedOf(expected());
    expect(shares.get('capacity')!.minutes! / minutes).toBeCloseTo(0.05, 3);
    expect(shares.get('capacity')!.meanSpeedMps).toBeCloseTo(0, 6);
    // a calibrated cooling is known four times as well
    const { motor } = cruising.drive;
    const calibrated = applyPatch(cruising, [
      {
        path: ['drive', 'heat', 'calibration'],
        value: {
          diameterMm: motor!.diameterMm,
          lengthMm: motor!.lengthMm,
          factor: 1,
          residualC: 1,
        },
      },
    ]);
    const [first, known] = [shares, packShares(calibrated, grass.id)].map(
      (one) => one.get('cooling')!.peakCaseC!,
    );
    expect(first! / known!).toBeGreaterThan(3);
    // a fan that came after the readings is a guess again
    const fanned = applyPatch(calibrated, [{ path: ['drive', 'heat', 'fanM3PerH'], value: 0.01 }]);
    expect(packShares(fanned, grass.id).get('cooling')!.peakCaseC! / known!).toBeCloseTo(
      Math.hypot(0.08, 0.15) / 0.08,
      0,
    );
    const { error, mostFrom } = togetherOf(shares, 'minutes');
    expect(error).toBeCloseTo(Math.hypot(...[...shares.values()].map((one) => one.minutes!)), 9);
    for (const one of shares.values())
      expect(one.minutes!).toBeLessThanOrEqual(shares.get(mostFrom!)!.minutes!);
  });

  it('hold a car that rolls as much harder or easier as is not known of it', () => {
    const { minutes, minutesError } = predictedOf(expected());
    const spread = grass.rollingResistanceError! / grass.rollingResistance;
    for (const z of [-1, 1]) {
      const found = packOfRun(scaled(cruising, grass.id, { rolling: 1 + z * spread }), conditions());
      const driven = found.ok ? drivePack(found.value).durationS / 60 : NaN;
      expect(Math.sign(minutes - driven)).toBe(z);
      expect(Math.abs(driven - minutes)).toBeLessThan(1.2 * minutesError);
    }
  });

  it('are none where there is no pack to drive', () => {
    expect(packErrors(applyPatch(car, [{ path: ['power', 'battery'], value: undefined }]), grass.id)).toEqual(
      {},
    );
  });
});

describe('a pack that was driven empty', () => {
  const run = (id: string, minutes: number, more: Conditions = {}): RunRecord => ({
    id,
    revisionId: 'v',
    kind: 'endurance',
    ranAt: '2026-05-20T10:00:00.000Z',
    attempts: [],
    document: cruising,
    conditions: conditions(more),
    report: {
      endedBy: 'battery',
      endedAtMinutes: minutes,
      packPredicted: predictPack(cruising, conditions(more)),
    },
  });

  it('lies so many joint errors from what was expected, and counts by its end alone', () => {
    const { minutes, minutesError } = predictedOf(expected());
    const gap = packGap(run('a', 0.8 * minutes))!;
    expect(gap.differencePct).toBeCloseTo(-20, 6);
    expect(gap.sigmas).toBeCloseTo((-0.2 * minutes) / Math.hypot(minutesError, 0.02 * 0.8 * minutes), 6);
    expect(isDrivenEmpty(run('a', 20))).toBe(true);
    const stopped = { ...run('a', 20), report: { endedBy: 'stopped', endedAtMinutes: 20 } } as RunRecord;
    expect(isDrivenEmpty(stopped)).toBe(false);
    expect(packGap(stopped)).toBeUndefined();
  });

  it('teaches the rolling resistance: two packs of a car that rolls harder find it', () => {
    const hidden = 1.25;
    const packs = [{}, { extraMassG: 600 }].map((more, at) => {
      const found = packOfRun(scaled(cruising, grass.id, { rolling: hidden }), conditions(more));
      return run(`p${at}`, found.ok ? drivePack(found.value).durationS / 60 : NaN, more);
    });
    const { figures, untold, runs, rmsAfter, rmsBefore } = calibrateRuns(packs);
    const rolling = figures.find(({ knob }) => knob === 'rolling')!;
    expect(rolling.factor).toBeGreaterThan(1.05);
    expect(rolling.factor).toBeLessThan(hidden + 2 * rolling.error);
    expect(rolling.error).toBeLessThan(rolling.beforeError);
    expect(rmsAfter).toBeLessThan(rmsBefore);
    expect(runs.map(({ id }) => id)).toEqual(['p0', 'p1']);
    // what is common to the packs of a car is no better known for driving more of them
    const more = calibrateRuns([...packs, ...packs.map((one) => ({ ...one, id: `${one.id}-again` }))]);
    const again = more.figures.find(({ knob }) => knob === 'rolling')!;
    expect(again.error / rolling.error).toBeGreaterThan(0.85);
    // at one speed, grip has no say in how long a pack lasts
    expect(untold.map(({ knob }) => knob)).toContain('grip');
  });
});
