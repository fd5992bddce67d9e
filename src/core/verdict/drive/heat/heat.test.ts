import { applyPatch, type Patch } from '../../../base/patch';
import type { Check } from '../../engine/check';
import { evaluateBuild } from '../../evaluate';
import { HEAVY_CHECKS, statesOn } from '../../states';
import { car } from '../../../fixtures/car';
import { coolingPerMps, crossFlow } from '../../../physics/cooling/airflow';
import { drivePack } from '../../../worked/heat/wholePack';
import { caseLimitOf } from '../../../worked/heat/caseLimit';
import { packOfBuild } from '../../../worked/heat/enduranceOfBuild';
import { thermalOf } from '../../../worked/heat/thermalOfBuild';
import { auxiliaryOf } from '../../../worked/power/auxiliaryOfBuild';
import { rewound } from '../../../worked/heat/rewind';

const grass = car.brief.surfaces[0]!;
const withHeat = (heat: object) =>
  applyPatch(
    car,
    Object.entries(heat).map(([key, value]) => ({ path: ['drive', 'heat', key], value })),
  );
const checkOf = (id: string, document = car): Check =>
  evaluateBuild(document).find((check) => check.id === id)!;

describe('heat of a build', () => {
  it('takes the lower of glue and mount as the limit of the case, and the motor itself without either', () => {
    expect(caseLimitOf(car.drive)).toMatchObject({ limitC: 100 });
    expect(caseLimitOf(withHeat({ pinionJoint: 'epoxy', mountMaterial: 'petg' }).drive)).toMatchObject({
      limitC: 70,
      of: 'mount',
    });
    expect(caseLimitOf(withHeat({ pinionJoint: 'hotGlue', mountMaterial: 'petg' }).drive)).toMatchObject({
      limitC: 60,
      of: 'glue',
    });
  });

  it('counts what hangs on the pack: the supply tree by hand, the typical half ampere without one', () => {
    expect(auxiliaryOf(car)).toBe(0.5);
    // 0.6 A at 6 V through a regulator of 80 %, from 7.4 V or less: at least 0.6 · 6/0.8/8.4 A
    const rail = {
      id: 'r',
      name: 'Regulator',
      from: 'battery',
      kind: 'buck',
      setV: 6,
      continuousA: 3,
      peakA: 5,
      efficiency: 0.8,
      dropoutV: 0.3,
    };
    const load = {
      id: 'l',
      name: 'Light',
      kind: 'other',
      rail: 'r',
      minV: 5,
      maxV: 7,
      typicalA: 0.6,
      peakA: 1,
    };
    const lit = applyPatch(car, [
      { path: ['power', 'rails'], value: [rail] },
      { path: ['power', 'loads'], value: [load] },
    ]);
    // the largest at the cut-off of 3.3 V a cell
    expect(auxiliaryOf(lit)).toBeGreaterThan((0.6 * 6) / 0.8 / 8.4);
    expect(auxiliaryOf(lit)).toBeLessThan((0.6 * 6) / 0.8 / 6.4);
    const minutes = (document: typeof car) => checkOf('brief.charge', document).value!;
    expect(minutes(lit)).toBeLessThan(minutes(car));
  });

  it('leaves a fifth of the charge in the pack unless told otherwise', () => {
    const minutes = (usableShare: number | undefined) =>
      checkOf('brief.charge', applyPatch(car, [{ path: ['power', 'usableShare'], value: usableShare }]))
        .value!;
    expect(minutes(undefined)).toBe(minutes(0.8));
    // charge over a nearly constant draw
    expect(minutes(0.4) / minutes(0.8)).toBeCloseTo(0.5, 1);
  });

  it('holds the rise of a whole pack against the limit', () => {
    const document = withHeat({ pinionJoint: 'hotGlue', ambientC: 30 });
    const input = packOfBuild(document, grass);
    const { thermal } = input.ok ? input.value : never();
    expect(thermal).toMatchObject({ ambientC: 30, caseLimitC: 60 });
    const peak = (surface: typeof grass) => {
      const found = packOfBuild(document, surface);
      return found.ok
        ? drivePack({
            ...found.value,
            thermal: { ...found.value.thermal, caseLimitC: undefined, windingLimitC: 400 },
          }).peakCaseC
        : never();
    };
    const worst = Math.max(...document.brief.surfaces.map(peak));
    const check = checkOf('drive.heat', document);
    expect(check.value).toBeCloseTo(worst, 6);
    expect(check.margin).toBeCloseTo(30 / (worst - 30), 6);
  });

  it('is cooled by a heat sink and an open body, and heated by the air', () => {
    const peak = (heat: object) => checkOf('drive.heat', withHeat(heat)).value!;
    expect(peak({ housing: 'heatsink' })).toBeLessThan(peak({ housing: 'vented' }));
    expect(peak({ housing: 'vented' })).toBeLessThan(peak({ housing: 'closed' }));
    expect(peak({})).toBe(peak({ housing: 'vented' }));
    expect(peak({ body: 'closed' })).toBeGreaterThan(peak({ body: 'open' }));
    expect(peak({ ambientC: 35 })).toBeGreaterThan(peak({ ambientC: 15 }) + 15);
  });

  it('is hotter with the motors in the wheels than beside them, and takes no notice where one motor serves the car', () => {
    const peak = (motorsAt: string | undefined, mounting: string) =>
      checkOf(
        'drive.heat',
        applyPatch(car, [
          { path: ['drive', 'motorsAt'], value: motorsAt },
          { path: ['drive', 'mounting'], value: mounting },
        ]),
      ).value!;
    expect(peak('wheel', 'wheel')).toBeGreaterThan(peak('wheel', 'chassis') + 1);
    expect(peak(undefined, 'wheel')).toBe(peak(undefined, 'chassis'));
  });

  it('is unknown, and says why, in air that is hotter than the limit', () => {
    const check = checkOf('drive.heat', withHeat({ pinionJoint: 'hotGlue', ambientC: 60 }));
    expect(check).toMatchObject({ state: 'unknown', missing: ['drive.heat.pinionJoint:underLimit'] });
  });

  it('offers what cools, each with its effect', () => {
    const check = checkOf('drive.heat', withHeat({ body: 'closed', pinionJoint: 'hotGlue', ambientC: 40 }));
    expect(check.remedies.length).toBeGreaterThan(0);
    for (const { margin } of check.remedies) expect(margin!).toBeGreaterThan(check.margin!);
  });

  it('holds a calibration for motors of the size that was measured', () => {
    const drive = withHeat({
      calibration: { diameterMm: 36, lengthMm: 52.5, factor: 0.5, residualC: 1 },
    }).drive;
    const first = thermalOf(car.drive, car.drive.motor!).caseToAmbientKPerW;
    expect(thermalOf(drive, drive.motor!).caseToAmbientKPerW).toBeCloseTo(first / 2, 12);
    expect(thermalOf(drive, { ...drive.motor!, lengthMm: 60 }).caseToAmbientKPerW).toBeGreaterThan(
      first / 2 + 0.1,
    );
  });

  it('leaves the long ones to the worker', () => {
    expect([...HEAVY_CHECKS].sort()).toEqual([
      'belt.skip',
      'belt.teeth',
      'brief.charge',
      'chassis.light',
      'chassis.yaw',
      'drive.controllerHeat',
      'drive.heat',
      'drive.place',
      'drive.ratio',
      'drive.winding',
      'fasteners',
      'fit.clearance',
      'fit.train',
      'gears.assembly',
      'gears.opening',
      'gears.tooth',
      'gears.wear',
      'joint.pinion',
      'joint.wheel',
      'links',
      'parts',
      'power.controller',
      'shaft.strength',
      'shaft.whirl',
      'suspension.landing',
      'suspension.lock',
      'tyre.burst',
    ]);
    expect(statesOn(car, grass).find(({ id }) => id === 'drive.heat')).toMatchObject({
      state: 'unknown',
      missing: [],
    });
  });
});

describe('a car that does not move', () => {
  const standing = (limitA: number, patch: Patch = []) =>
    applyPatch(car, [
      { path: ['drive', 'stages'], value: [{ id: 'd', kind: 'direct', efficiency: 1 }] },
      { path: ['chassis', 'massG'], value: 20_000 },
      { path: ['power', 'controller', 'currentLimitA'], value: limitA },
      ...patch,
    ]);

  it('burns its motor where that is held: after as long as a winding and a case take, stepped by hand', () => {
    const document = standing(30);
    const thermal = thermalOf(document.drive, document.drive.motor!);
    let [winding, heated, seconds] = [thermal.ambientC, thermal.ambientC, 0];
    const found: { winding?: number; case?: number } = {};
    for (; found.winding === undefined; seconds += 0.01) {
      const copperW =
        30 ** 2 * 0.001 * document.drive.motor!.resistanceMilliOhm * (1 + 0.00393 * (winding - 20));
      const across = (winding - heated) / thermal.windingToCaseKPerW;
      heated +=
        (0.01 * (across - (heated - thermal.ambientC) / thermal.caseToAmbientKPerW)) /
        thermal.caseHeatCapacityJPerK;
      winding += (0.01 * (copperW - across)) / thermal.windingHeatCapacityJPerK;
      if (heated >= 100) found.case ??= seconds;
      if (winding >= 130) found.winding = seconds;
    }
    for (const [id, of] of [
      ['drive.heat', 'case'],
      ['drive.winding', 'winding'],
    ] as const) {
      const { state, value, finding } = checkOf(id, document);
      expect({ state, value }).toEqual({ state: 'over', value: undefined });
      const { after } = finding!.facts as { after: { value: number } };
      expect(Math.abs(after.value / found[of]! - 1)).toBeLessThan(0.003);
    }
  });

  it('burns nothing where so little flows that the case sheds it', () => {
    const document = standing(3);
    const thermal = thermalOf(document.drive, document.drive.motor!);
    // 9 A² through a winding as hot as its limit still leaves it under
    const watts = 9 * 0.001 * document.drive.motor!.resistanceMilliOhm * (1 + 0.00393 * 110);
    expect(thermal.ambientC + watts * (thermal.caseToAmbientKPerW + thermal.windingToCaseKPerW)).toBeLessThan(
      130,
    );
    for (const id of ['drive.heat', 'drive.winding']) expect(checkOf(id, document).state).toBe('clear');
  });

  it('whose tyres spin is no held motor to case, winding or controller', () => {
    const icy = standing(30, [
      { path: ['drive', 'stages'], value: car.drive.stages },
      { path: ['brief', 'surfaces'], value: [{ ...grass, mu: 0.01 }] },
    ]);
    const states = ['drive.moves', 'drive.heat', 'drive.winding', 'power.controller'].map((id) =>
      checkOf(id, icy),
    );
    expect(states.map(({ state }) => state)).toEqual(['over', 'clear', 'clear', 'clear']);
    // what 0.01 of grip asks of the motor: μ·m·g·r over ratio and efficiency, over the motor constant, beside what it turns with alone
    const { motor, tyre } = car.drive;
    const torqueNm = (0.01 * 20.3 * 9.81 * tyre!.radiusMm * 0.001) / (10 * 0.8);
    const currentA = torqueNm / (60 / (2 * Math.PI * motor!.kvRpmPerV)) + motor!.noLoadCurrentA;
    expect(Math.abs(states[3]!.value! / currentA - 1)).toBeLessThan(0.05);
    expect(states[3]!.remedies).toEqual([]);
  });

  it('has no minutes to count, and offers no larger pack for them', () => {
    const { state, value, remedies } = checkOf('brief.charge', standing(30));
    expect({ state, value, remedies }).toEqual({ state: 'over', value: undefined, remedies: [] });
  });
});

describe('wind on a motor', () => {
  it('follows the cross-flow figure of a cylinder', () => {
    // Incropera, example 7.4: 12.7 mm in air of 10 m/s at 26 °C, Re about 7,600 in 4,000 to 40,000, h about 100 W/(m² K) by Hilpert
    expect(crossFlow(0.0127, 10)).toBeGreaterThan(90);
    expect(crossFlow(0.0127, 10)).toBeLessThan(115);
    expect(coolingPerMps(36, 'open') / coolingPerMps(36, 'closed')).toBeCloseTo(6, 9);
  });
});

describe('the same motor wound again', () => {
  it('keeps the heat of a torque: R·kv² and I_0/kv stay', () => {
    const motor = car.drive.motor!;
    const slower = rewound(motor, 0.8);
    expect(slower.kvRpmPerV).toBe(2400);
    expect(
      (slower.resistanceMilliOhm * slower.kvRpmPerV ** 2) / (motor.resistanceMilliOhm * motor.kvRpmPerV ** 2),
    ).toBeCloseTo(1, 2);
    expect(slower.noLoadCurrentA / slower.kvRpmPerV).toBeCloseTo(motor.noLoadCurrentA / motor.kvRpmPerV, 6);
  });
});

function never(): never {
  throw new Error('the car is not ready');
}
