import { exchanging } from '../../../fixtures/remedies';
import { check, geared as bare, settingOf } from '../../../fixtures/geared';
import { applyPatch, type Patch } from '../../../base/patch';
import type { BuildDocument } from '../../../car/document/document';
import { tyresOfBuild } from '../../../worked/drive/tyresOfBuild';
import { tyreSpin } from '../../../physics/tyres/tyreSpin';

const geared = applyPatch(bare, [{ path: ['drive', 'tyre', 'ring'], value: 'solid rubber' }]);
const patched = (...edits: [string, unknown][]): BuildDocument =>
  applyPatch(geared, edits.map(([path, value]) => ({ path: path.split('.'), value })) as Patch);
const turnsOf = (document: BuildDocument) => {
  const found = tyresOfBuild(document, settingOf(document).input);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};

describe('tyres of a build', () => {
  it('turn in the air as the motor idles, and on the road at the grown radius', () => {
    const { input, run } = settingOf(geared);
    const { turns } = turnsOf(geared);
    const air = turns.find(({ use }) => use === 'bench')!;
    const volts = input.battery.cells * 4.2;
    expect(air.rpm).toBeCloseTo((volts * input.motor.kvRpmPerV) / input.drive.ratio, 6);
    const road = turns.find(({ use }) => use === 'road')!;
    expect(road.spin.vehicleSpeedMps).toBeCloseTo(run.topSpeedMps!, 6);
    expect((road.rpm * Math.PI * road.spin.radiusMm!) / 30_000).toBeCloseTo(run.topSpeedMps!, 6);
  });

  it('make the car faster by growing, by no more than they grow', () => {
    const soft = patched(['drive.tyre.ring', 'foam'], ['drive.tyreHold', { hoopModulusMpa: 0.1 }]);
    const { top, turns } = turnsOf(soft);
    const grown = 1 + turns.find(({ use }) => use === 'road')!.spin.growthPct! / 100;
    expect(grown).toBeGreaterThan(1.005);
    expect(top!.grownMps).toBeGreaterThan(top!.stiffMps);
    expect(top!.grownMps / top!.stiffMps).toBeLessThan(grown + 1e-6);
    // the motor still turns as fast as the road asks at the radius that the tyre has
    const { run, input } = settingOf(soft);
    const radiusM = (grown * input.tyre.radiusMm) / 1000;
    expect(run.motorRpmAtTopSpeed).toBeCloseTo(
      ((run.topSpeedMps! * 30) / Math.PI / radiusM) * input.drive.ratio,
      0,
    );
  });

  it('of an axle that has its own are judged by their own, turned by their own gears', () => {
    const own = patched(
      ['drive.frontTyre', { ...geared.drive.tyre!, ring: 'foam', radiusMm: 30 }],
      ['drive.frontTyreHold', { by: 'bonded', rimRadiusMm: 20 }],
    );
    const { turns } = turnsOf(own);
    expect(new Set(turns.map(({ axles }) => axles.join()))).toEqual(new Set(['front', 'rear']));
    const front = turns.find(({ axles, use }) => axles[0] === 'front' && use === 'road')!;
    expect(front.spin.limitRpm).toBeCloseTo(
      tyreSpin({ kind: 'foam', radiusMm: 30, rimRadiusMm: 20, hold: 'bonded', use: 'road', rpm: 1 }).limitRpm,
      6,
    );
    // driven wheels of the same gears but other radii scrub
    expect(check(own, 'drive.rotation').state).toBe(geared.drive.drivenAxles === 'all' ? 'over' : 'clear');
  });
});

describe('tyre.burst', () => {
  const fast = (...edits: [string, unknown][]) =>
    patched(
      ['drive.stages.s.wheelTeeth', 20],
      ['drive.tyre.ring', 'foam'],
      ['drive.tyreHold', { by: 'bonded', rimRadiusMm: 20, bondStrengthMpa: 0.2 }],
      ...edits,
    );

  it('names what lets go first of the worst axle, and the remedies cure', () => {
    const found = check(fast(), 'tyre.burst');
    expect(found.state).toBe('over');
    expect(found.finding).toMatchObject({
      code: 'tyre.burst.ends',
      facts: { by: 'bond', use: 'bench', proven: false },
    });
    const [worst] = turnsOf(fast()).turns;
    expect(found.value).toBeCloseTo(worst!.margin, 9);
    expect(found.margin).toBeCloseTo(worst!.margin / 1.3, 9);
    const measured = fast(['drive.tyreHold.hoopModulusMpa', 2]);
    expect(check(measured, 'tyre.burst').remedies.find(exchanging('ring'))!.patch).toContainEqual({
      path: ['drive', 'tyreHold', 'hoopModulusMpa'],
      value: undefined,
    });
    const belted = found.remedies.find(exchanging('ring'))!;
    expect(check(applyPatch(fast(), belted.patch), 'tyre.burst').margin!).toBeGreaterThan(found.margin!);
  });

  it('counts a speed that such a tyre held on the bench, and less of it on the road', () => {
    const turning = turnsOf(fast()).turns[0]!.rpm;
    const proven = fast(['drive.tyreHold.provenRpm', 1.5 * turning]);
    const found = check(proven, 'tyre.burst');
    expect(found.value).toBeCloseTo(1.5 ** 2, 6);
    expect(found.finding).toMatchObject({ facts: { proven: true, use: 'bench' } });
    const road = turnsOf(proven).turns.find(({ use }) => use === 'road')!;
    expect(road.limitRpm).toBeCloseTo(1.5 * turning * Math.sqrt(0.7), 6);
    // slower than what is worked out it says nothing
    expect(check(fast(['drive.tyreHold.provenRpm', 10]), 'tyre.burst').value).toBeCloseTo(
      check(fast(), 'tyre.burst').value!,
      9,
    );
  });

  it('offers glue to a tyre that lifts off', () => {
    const loose = fast([
      'drive.tyreHold',
      { by: 'friction', rimRadiusMm: 20, interferenceMm: 0.2, hoopModulusMpa: 2 },
    ]);
    const found = check(loose, 'tyre.burst');
    expect(found.finding).toMatchObject({ facts: { by: 'seat' } });
    expect(found.remedies.find(exchanging('by'))!.patch).toEqual([
      { path: ['drive', 'tyreHold', 'by'], value: 'bonded' },
    ]);
  });

  it('waits for what a hold needs, and for a rim inside its tyre', () => {
    const missing = (hold: object) =>
      check(patched(['drive.tyre.ring', 'foam'], ['drive.tyreHold', hold]), 'tyre.burst').missing;
    expect(missing({ by: 'clamp', screws: 6 })).toEqual(['drive.tyreHold.screwPreloadN']);
    expect(missing({ rimRadiusMm: 99 })).toEqual(['drive.tyreHold.rimRadiusMm:inside']);
    // a wall belongs to hollow tyres and waits on a layer
    expect(missing({ wallMm: 2 })).toEqual([]);
  });
});
