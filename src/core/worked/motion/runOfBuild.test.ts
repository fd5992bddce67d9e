import type { BuildDocument } from '../../car/document/document';
import { applyPatch, type Patch } from '../../base/patch';
import { evaluateBuild } from '../../verdict/evaluate';
import { car } from '../../fixtures/car';
import { driveRun } from '../../physics/motion/run';
import { standing } from '../../physics/motion/standstill';
import { rotationOf } from '../drive/rotationOfBuild';
import { launchHeldBy, runInputOf } from './runOfBuild';

const inputOf = (document: BuildDocument) => runInputOf(document, document.brief.surfaces[0]!);
const found = (document: BuildDocument) => {
  const input = inputOf(document);
  if (!input.ok) throw new Error(input.missing.join());
  return input.value;
};

const inWheels: Patch = [
  { path: ['drive', 'stages'], value: [] },
  { path: ['drive', 'motorsAt'], value: 'wheel' },
  { path: ['drive', 'mounting'], value: 'wheel' },
  { path: ['drive', 'shaftEfficiency'], value: undefined },
  { path: ['drive', 'motor', 'kvRpmPerV'], value: 200 },
];

describe('motors in the wheels', () => {
  const hubs = applyPatch(car, inWheels);

  it('turn with their wheels and lose nothing in shafts, without a stage made up for them', () => {
    const input = found(hubs);
    expect(input.drive).toEqual({ ratio: 1, efficiency: 1 });
    expect(input.motor.count).toBe(4);
    // 8.4 V · 200 rpm/V on 42 mm
    const noLoadMps = ((8.4 * 200 * 2 * Math.PI) / 60) * 0.042;
    const run = driveRun(input);
    expect(run.noLoadSpeedMps).toBeCloseTo(noLoadMps, 9);
    expect(run.topSpeedMps!).toBeLessThan(noLoadMps);
    expect(rotationOf(hubs.drive).ok).toBe(true);
  });

  it('are geared where a stage is given, and on the chassis they need one', () => {
    const geared = applyPatch(hubs, [
      {
        path: ['drive', 'stages'],
        value: [{ id: 'p', kind: 'spur', pinionTeeth: 12, wheelTeeth: 36, efficiency: 0.95 }],
      },
    ]);
    expect(found(geared).drive).toEqual({ ratio: 3, efficiency: 0.95 });
    const apart = applyPatch(hubs, [{ path: ['drive', 'mounting'], value: 'chassis' }]);
    expect(inputOf(apart)).toMatchObject({ ok: false, missing: ['drive.stages'] });
  });

  it('have no teeth to judge and wait for none; geared ones do', () => {
    const toothed = (document: BuildDocument) =>
      evaluateBuild(document)
        .map(({ id }) => id)
        .filter((id) => id.startsWith('gears.') || id === 'joint.pinion')
        .sort();
    expect(toothed(hubs)).toEqual([]);
    expect(toothed(car)).toEqual(['gears.mesh', 'gears.tooth', 'gears.wear', 'joint.pinion']);
    const onChassis = applyPatch(hubs, [{ path: ['drive', 'mounting'], value: 'chassis' }]);
    expect(toothed(onChassis)).toHaveLength(4);
  });

  it('are judged like any others: every check has finite figures and none breaks', () => {
    for (const check of evaluateBuild(hubs)) {
      expect([check.id, check.fault]).toEqual([check.id, undefined]);
      for (const figure of [check.value, check.limit, check.margin])
        expect([check.id, figure === undefined || Number.isFinite(figure)]).toEqual([check.id, true]);
    }
  });
});

it('a slip clutch at the motor of each axle passes on the force of both', () => {
  const clutched = (motorsAt: 'car' | 'axle') =>
    standing(
      found(
        applyPatch(car, [
          { path: ['drive', 'motorsAt'], value: motorsAt },
          { path: ['drive', 'clutchNm'], value: 0.02 },
        ]),
      ),
    ).driveN;
  // T · i · η/r with 10 : 1, 0.8 and 42 mm
  expect(clutched('car')).toBeCloseTo((0.02 * 10 * 0.8) / 0.042, 9);
  expect(clutched('axle')).toBeCloseTo((2 * 0.02 * 10 * 0.8) / 0.042, 9);
});

it('names what holds a launch: the controller, the limit set by hand, or the clutch, whichever is least', () => {
  const held = (...patch: Patch) => {
    const document = applyPatch(car, [
      // tyres that hold anything, so that the current does
      { path: ['drive', 'tyre', 'hardFactor'], value: 5 },
      { path: ['power', 'controller', 'currentLimitA'], value: 20 },
      ...patch,
    ]);
    return launchHeldBy(document, driveRun(found(document)));
  };
  expect(held()).toBe('controller');
  expect(held({ path: ['drive', 'currentLimitA'], value: 15 })).toBe('ownLimit');
  // 0.02 Nm is 0.02 · 314 rad/s per V + 2 A = 8.3 A
  expect(held({ path: ['drive', 'clutchNm'], value: 0.02 })).toBe('clutch');
  expect(held({ path: ['drive', 'clutchNm'], value: 0.1 })).toBe('controller');
  expect(
    held(
      { path: ['drive', 'tyre', 'hardFactor'], value: 0.5 },
      { path: ['brief', 'surfaces', car.brief.surfaces[0]!.id, 'mu'], value: 0.1 },
    ),
  ).toBe('grip');
});
