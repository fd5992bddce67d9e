import { parse } from '../../base/schema/parse';
import { driveBrake } from '../braking/brake';
import { driveEndurance } from '../heat/endurance';
import { driveRun } from '../motion/run';
import type { DriveLapInput, SegmentDefinition } from './definition';
import { driveLap, lapped } from './lap';
import { driveLapSchema } from './lap.schema';

const plain: Omit<DriveLapInput, 'track'> = {
  car: {
    massKg: 1.9,
    cdaM2: 0.02,
    rollingResistance: 0.06,
    frontLoadShare: 0.48,
    cgHeightMm: 50,
    wheelbaseMm: 257,
    drivenAxles: 'all',
  },
  tyre: { radiusMm: 42, mu: 0.7 },
  drive: { ratio: 8.8, efficiency: 0.85 },
  motor: { kvRpmPerV: 2200, resistanceMilliOhm: 30, noLoadCurrentA: 1.5 },
  esc: { currentLimitA: 120, resistanceMilliOhm: 1 },
  battery: { cells: 2, cellResistanceMilliOhm: 4, capacityMah: 5000 },
};
const segments = (list: SegmentDefinition[], more: object = {}) => ({ track: { segments: list, ...more } });
/** Two straights of 20 m and two bends of 4 m. */
const OVAL: SegmentDefinition[] = [
  { lengthM: 20 },
  { lengthM: Math.PI * 4, radiusM: 4 },
  { lengthM: 20 },
  { lengthM: Math.PI * 4, radiusM: 4 },
];

describe('a lap', () => {
  it('of a straight from rest is a run', () => {
    const lap = driveLap({ ...plain, ...segments([{ lengthM: 30 }], { closed: false }) });
    const run = driveRun({ ...plain, distanceM: 30 });
    expect(lap.lapTimeS! / run.timeToDistanceS!).toBeCloseTo(1, 3);
    expect(lap.boundaryMps![1]! / run.speedAtDistanceMps!).toBeCloseTo(1, 4);
    expect(lap.shares!.braking).toBe(0);
  });

  it('of a circle goes as fast as the grip that is left overcomes what holds it back', () => {
    const still = { ...plain.car, cdaM2: 0, rollingResistance: 0.08 };
    const circle = segments([{ lengthM: 2 * Math.PI * 6, radiusM: 6 }]);
    const lap = driveLap({ ...plain, car: still, ...circle });
    // all wheels: √(1 − u²) = c/μ + u²·μ/8, u the grip used across
    let [low, high] = [0, 1];
    for (let at = 0; at < 60; at++) {
      const u = (low + high) / 2;
      if (Math.sqrt(1 - u * u) > 0.08 / 0.7 + (u * u * 0.7) / 8) low = u;
      else high = u;
    }
    const v = Math.sqrt(low * 0.7 * 9.81 * 6);
    expect(lap.meanSpeedMps).toBeCloseTo(v, 3);
    expect(lap.shares).toEqual({ grip: 1, drive: 0, braking: 0 });
    expect(lap.maxLateralMps2).toBeCloseTo(low * 0.7 * 9.81, 2);
    // 0.7²·u²·m·g/8 of cornering drag all the way round
    const aside = ((low * 0.7) ** 2 * 1.9 * 9.81) / 8;
    expect(lap.corneringWh! / ((aside * lap.lengthM) / 3600)).toBeCloseTo(1, 3);
  });

  it('brakes before a bend as the brakes alone do', () => {
    const input = { ...plain, brake: { mechanicalFrontNm: 0.06, mechanicalRearNm: 0.04 } };
    const lap = driveLap({
      ...input,
      ...segments([{ lengthM: 40 }, { lengthM: 5, radiusM: 1.5 }], { closed: false }),
    });
    const { series, boundaryMps } = lap;
    const fastest = series!.speedMps.indexOf(lap.maxSpeedMps!);
    const alone = driveBrake({ ...input, fromMps: lap.maxSpeedMps!, toMps: boundaryMps![1]! });
    // the bend's speed is that of its grip across alone
    expect(boundaryMps![1]).toBeCloseTo(Math.sqrt(0.7 * 9.81 * 1.5), 6);
    expect((40 - series!.sM[fastest]!) / alone.distanceM!).toBeCloseTo(1, 1);
    expect(lap.shares!.braking).toBeGreaterThan(0.05);
  });

  it('comes back with the speed that it began with, and no shorter step moves it', () => {
    const lap = driveLap({ ...plain, ...segments(OVAL) });
    expect(lap.series!.speedMps.at(-1)! / lap.series!.speedMps[0]!).toBeCloseTo(1, 8);
    const finer = lapped({ ...plain, ...segments(OVAL) }, 0.5);
    for (const key of ['lapTimeS', 'minSpeedMps', 'maxSpeedMps', 'energyWh', 'rmsMotorCurrentA'] as const)
      expect(Math.abs(finer[key]! / lap[key]! - 1)).toBeLessThan(0.002);
    const { grip, drive, braking } = lap.shares!;
    expect(grip + drive + braking).toBeCloseTo(1, 9);
  });

  it('is slower for a gentler driver, on poorer grip and with weaker brakes', () => {
    const time = (more: Partial<DriveLapInput>) =>
      driveLap({ ...plain, ...segments(OVAL), ...more }).lapTimeS!;
    const best = time({});
    expect(time({ drivingStyle: 0.7 })).toBeGreaterThan(best);
    expect(time({ tyre: { radiusMm: 42, mu: 0.5 } })).toBeGreaterThan(best);
    expect(time({ brake: { motorShare: 0.02 } })).toBeGreaterThan(best);
    expect(time({ lateralGripFactor: 0.8 })).toBeGreaterThan(best);
  });

  it('takes from the pack what driving its trace takes', () => {
    const losses = {};
    const { series, lapTimeS, energyWh, lapsPerPack, chargeMah } = driveLap({
      ...plain,
      ...segments(OVAL),
      losses,
    });
    const { sM: _, ...trace } = series!;
    const whole = driveEndurance({
      ...plain,
      losses,
      cycle: { series: trace },
      thermal: {
        windingHeatCapacityJPerK: 1e6,
        caseHeatCapacityJPerK: 1e6,
        windingToCaseKPerW: 1,
        caseToAmbientKPerW: 1,
        ambientC: 20,
        windingLimitC: 150,
      },
      maxDurationS: lapTimeS!,
    });
    // the pack sinks a little over the lap, and a lap begins rolling
    expect(whole.energyWh / energyWh!).toBeCloseTo(1, 1);
    expect(lapsPerPack).toBeCloseTo(5000 / chargeMah!, 9);
  });

  it('is the same along points of a circle as round it', () => {
    const radius = 6;
    const count = 240;
    const pointsM = Array.from({ length: count }, (_, k): [number, number] => [
      radius * Math.cos((2 * Math.PI * k) / count),
      radius * Math.sin((2 * Math.PI * k) / count),
    ]);
    const drawn = driveLap({ ...plain, track: { pointsM } });
    const round = driveLap({ ...plain, ...segments([{ lengthM: 2 * Math.PI * radius, radiusM: radius }]) });
    expect(drawn.lapTimeS! / round.lapTimeS!).toBeCloseTo(1, 2);
    expect(drawn.boundaryMps).toBeUndefined();
  });

  it('stops on a climb that is too steep, and says where', () => {
    const lap = driveLap({
      ...plain,
      car: { ...plain.car, cdaM2: 0 },
      ...segments([{ lengthM: 1 }, { lengthM: 50, gradePct: 90 }], { closed: false }),
    });
    expect(lap).toMatchObject({ stalled: true, notes: [{ code: 'note.lap.stalled' }] });
    // 0.64 g over a metre, then as much of cos 42° against sin 42°
    const slope = Math.atan(0.9);
    const uphill = (0.64 * 1) / (Math.sin(slope) - 0.64 * Math.cos(slope));
    expect(lap.stalledAtM).toBeCloseTo(1 + uphill, 2);
    expect(lap.lapTimeS).toBeUndefined();
  });

  it('begins no faster than its first bend allows', () => {
    const lap = driveLap({
      ...plain,
      ...segments([{ lengthM: 5, radiusM: 2 }, { lengthM: 5 }], { closed: false, startMps: 9 }),
    });
    expect(lap.notes).toMatchObject([{ code: 'note.lap.startTakenDown' }]);
    expect(lap.boundaryMps![0]).toBeCloseTo(Math.sqrt(0.7 * 9.81 * 2), 6);
  });

  it('refuses a track of no form or both, and a point twice', () => {
    const refused = (track: object, path: string) =>
      expect(() => driveLap({ ...plain, track } as DriveLapInput)).toThrow(expect.objectContaining({ path }));
    refused({}, 'track.segments');
    refused({ segments: OVAL, pointsM: [[0, 0]] }, 'track.segments');
    refused(
      {
        pointsM: [
          [0, 0],
          [1, 0],
          [1, 0],
        ],
      },
      'track.pointsM.2',
    );
    expect(() => parse(driveLapSchema, { ...plain, ...segments(OVAL), drivingStyle: 0.2 })).toThrow(
      expect.objectContaining({ path: 'drivingStyle' }),
    );
  });
});
