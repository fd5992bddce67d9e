import fc from 'fast-check';
import { driveBrake } from '../braking/brake';
import { driveRun } from '../motion/run';
import { parse } from '../../base/schema/parse';
import type { DriveSiteInput } from './definition';
import { driveSite } from './site';
import { driveSiteSchema } from './site.schema';

/** All wheels driven, no wind, no idle current; the grip sets the launch, 0.45 g after the rolling resistance. */
const plain: DriveSiteInput = {
  car: {
    massKg: 2,
    cdaM2: 0,
    rollingResistance: 0.05,
    frontLoadShare: 0.5,
    cgHeightMm: 50,
    wheelbaseMm: 250,
    drivenAxles: 'all',
  },
  tyre: { radiusMm: 40, mu: 0.5 },
  drive: { ratio: 8, efficiency: 1 },
  motor: { kvRpmPerV: 3000, resistanceMilliOhm: 5, noLoadCurrentA: 0 },
  esc: { currentLimitA: 400 },
  battery: { cells: 4, cellResistanceMilliOhm: 0, capacityMah: 5000 },
  site: { lengthM: 40, widthM: 6 },
  wishMps: 8,
};
const on = (more: Partial<DriveSiteInput>): DriveSiteInput => ({ ...plain, ...more });

describe('a place', () => {
  it('is as long as run-up, stretch and stop of bodies under one force each', () => {
    const { rows, usableM, fits, targetMps } = driveSite(
      on({ brake: { mechanicalFrontNm: 0.1, mechanicalRearNm: 0.1 } }),
    );
    const launch = 0.45 * 9.81;
    const stop = (5 + 0.05 * 2 * 9.81) / 2;
    expect(targetMps).toBe(8);
    expect(usableM).toBe(38);
    for (const row of rows) {
      const v = row.share * 8;
      expect(row.runUpM).toBeCloseTo(v ** 2 / (2 * launch), 6);
      expect(row.runUpS).toBeCloseTo(v / launch, 6);
      expect(row.stopM).toBeCloseTo(v ** 2 / (2 * stop), 6);
      expect(row.neededM).toBeCloseTo(row.runUpM + 10 + row.stopM!, 9);
      expect(row.spareM).toBeCloseTo(38 - row.neededM!, 9);
    }
    expect(fits).toBe(rows[1]!.spareM! >= 0);
  });

  it('tells the speed that it allows, from rest and from a rolling start', () => {
    const brake = { mechanicalFrontNm: 0.1, mechanicalRearNm: 0.1 };
    const short = driveSite(on({ brake, site: { lengthM: 25 } }));
    const perSquare = 1 / (2 * 0.45 * 9.81) + 1 / (5 + 0.05 * 2 * 9.81);
    // 13 m are left for run-up and stop
    expect(short.fits).toBe(false);
    expect(short.placeSpeedMps).toBeCloseTo(Math.sqrt(13 / perSquare), 6);
    const v = 0.99 * 8;
    const spared = v ** 2 * perSquare - 13;
    expect(short.entrySpeedNeededMps).toBeCloseTo(Math.sqrt(spared * 2 * 0.45 * 9.81), 5);
    const rolled = driveSite(
      on({ brake, site: { lengthM: 25 }, rollingStartMps: short.entrySpeedNeededMps! + 1e-6 }),
    );
    expect(rolled.fits).toBe(true);
    const tiny = driveSite(on({ brake, site: { lengthM: 11 } }));
    expect(tiny.placeSpeedMps).toBeUndefined();
    expect(tiny.notes.map(({ code }) => code)).toEqual([
      'note.site.tooShort',
      'note.site.noEntry',
      'note.site.radio',
    ]);
  });

  it('never has room for a car that does not stop', () => {
    const { rows, fits, placeSpeedMps } = driveSite(
      on({ brake: {}, car: { ...plain.car, rollingResistance: 0 }, site: { lengthM: 1000 } }),
    );
    expect({ fits, placeSpeedMps, stop: rows[0]!.stopM }).toEqual({ fits: false });
    expect(rows[0]!.runUpM).toBeGreaterThan(0);
  });

  it('is as wide as the arc of a steering error', () => {
    const [row] = driveSite(on({})).rows;
    const curvature = Math.tan(Math.PI / 180) / 0.25;
    const v = 0.95 * 8;
    expect(row!.driftM).toBeCloseTo((1 - Math.cos(curvature * v * 0.5)) / curvature, 9);
    expect(row!.sideSpareM).toBeCloseTo(3 - 0.5 - row!.driftM, 9);
    // at 10° the tyres, not the wheels' angle, set the arc
    const wild = driveSite(on({ steerErrorDeg: 10 })).rows[0]!;
    const held = (0.5 * 9.81) / v ** 2;
    expect(wild.driftM).toBeCloseTo((1 - Math.cos(held * v * 0.5)) / held, 9);
    expect(driveSite(on({ steerErrorDeg: 0 })).rows[0]!.driftM).toBe(0);
  });

  it('is within the radio’s reach as far as its farthest corner', () => {
    const { radioFarthestM, radioMargin, radioReaches } = driveSite(
      on({ driver: { alongM: 10, besideM: 4 }, radioRangeM: 31 }),
    );
    // 30 m along, 4 + 3 m beside
    expect(radioFarthestM).toBeCloseTo(Math.hypot(30, 7), 12);
    expect(radioMargin).toBeCloseTo(31 / Math.hypot(30, 7), 12);
    expect(radioReaches).toBe(true);
  });

  it('knows how well a speed is timed on it', () => {
    const [row] = driveSite(on({})).rows;
    expect(row!.speedErrorPct).toBeCloseTo(100 * Math.hypot(0.02 / 10, (0.1 * 0.95 * 8) / 10), 9);
  });

  it('says of a car that cannot move nothing but the radio', () => {
    const found = driveSite(on({ gradePct: 80 }));
    expect(found).toMatchObject({ stalled: true, fits: false, rows: [], topSpeedMps: 0 });
    expect(found.radioFarthestM).toBeGreaterThan(20);
  });

  it('agrees with a run and a stop of their own, whatever the car', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 5, noNaN: true }),
        fc.double({ min: 0.25, max: 1, noNaN: true }),
        fc.constantFrom('front' as const, 'rear' as const, 'all' as const),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        (massKg, mu, drivenAxles, coastS) => {
          const { wishMps: _, ...input } = on({
            car: { ...plain.car, massKg, drivenAxles, cdaM2: 0.02, wheelInertiaKgM2: 1e-4 },
            tyre: { radiusMm: 40, mu },
            motor: { ...plain.motor, resistanceMilliOhm: 40, noLoadCurrentA: 1 },
            brake: { motorShare: 0.3, mechanicalFrontNm: 0.05, coastS },
          });
          const { rows, topSpeedMps } = driveSite(input);
          const run = driveRun({ ...input, maxTimeS: 60 });
          expect(topSpeedMps! / run.topSpeedMps!).toBeCloseTo(1, 9);
          const [fast] = rows;
          const { wishMps: __, site: ___, brake, ...car } = input as DriveSiteInput;
          const { distanceM, timeS } = driveBrake({ ...car, brake: brake!, fromMps: fast!.speedMps });
          expect(fast!.stopM! / distanceM!).toBeCloseTo(1, 4);
          expect(fast!.stopS! / timeS!).toBeCloseTo(1, 4);
          expect(run.timeTo95PctS! / fast!.runUpS).toBeCloseTo(1, 2);
        },
      ),
      { seed: 33, numRuns: 20 },
    ));

  it('refuses margins that leave nothing, and brakes that cannot be', () => {
    expect(() => driveSite(on({ site: { lengthM: 3, marginStartM: 1 } }))).toThrow(
      expect.objectContaining({ path: 'site.lengthM' }),
    );
    expect(() => driveSite(on({ brake: { motorShare: 1, motorNm: 1 } }))).toThrow(
      expect.objectContaining({ path: 'brake.motorShare' }),
    );
    expect(() => parse(driveSiteSchema, { ...plain, steerErrorDeg: 45 })).toThrow(
      expect.objectContaining({ path: 'steerErrorDeg' }),
    );
  });
});
