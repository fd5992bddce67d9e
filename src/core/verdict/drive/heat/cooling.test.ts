import { applyPatch, type Patch } from '../../../base/patch';
import { car } from '../../../fixtures/car';
import { coldCellFactor } from '../../../physics/motion/cell';
import { packOfBuild } from '../../../worked/heat/enduranceOfBuild';
import { SINK_HEIGHTS_MM, sinkOf } from '../../../worked/heat/smallestSink';
import { runInputOf } from '../../../worked/motion/runOfBuild';
import type { Check } from '../../engine/check';
import { evaluateBuild } from '../../evaluate';

const grass = car.brief.surfaces[0]!;
const withHeat = (heat: object) =>
  applyPatch(
    car,
    Object.entries(heat).map(([key, value]) => ({ path: ['drive', 'heat', key], value })),
  );
const checkOf = (id: string, document = car): Check =>
  evaluateBuild(document).find((check) => check.id === id)!;
function never(): never {
  throw new Error('not worked out');
}

describe('cooling parts', () => {
  it('offers the smallest sink that keeps the pack clear: the next smaller one does not', () => {
    const document = withHeat({ pinionJoint: 'hotGlue', ambientC: 36, duty: 'fieldBashing' });
    const check = checkOf('drive.heat', document);
    expect(check.state).toBe('over');
    const sink = check.remedies.find(({ patch }) => patch[0]!.path.join('.') === 'drive.heat.sinkFinMm');
    const finMm = sink!.patch[0]!.value as number;
    const stateWith = (mm: number) => checkOf('drive.heat', applyPatch(document, sinkOf(mm))).margin! >= 1.15;
    const smaller = SINK_HEIGHTS_MM.filter((mm) => mm < finMm).at(-1);
    expect(stateWith(finMm)).toBe(true);
    expect(stateWith(smaller!)).toBe(false);
  });

  it('is cooled by every part of its cooling, and says which fins do not go round the motor', () => {
    const peak = (heat: object) => checkOf('drive.heat', withHeat(heat)).value!;
    const [sink, tall] = [{ sinkFinMm: 10 }, { sinkFinMm: 20 }].map(peak);
    expect(sink).toBeLessThan(peak({}));
    expect(tall).toBeLessThan(sink!);
    expect(peak({ sinkFinMm: 10, sinkLengthMm: 15 })).toBeGreaterThan(sink!);
    expect(peak({ sinkFinMm: 10, sinkFins: 5 })).not.toBe(sink);
    expect(peak({ fanM3PerH: 8 })).toBeLessThan(peak({}));
    expect(peak({ fanM3PerH: 8, fanSizeMm: 60 })).toBeGreaterThan(peak({ fanM3PerH: 8 }));
    expect(peak({ sinkFinMm: 10, fanM3PerH: 8, fanBlows: 'throughSink' })).not.toBe(
      peak({ sinkFinMm: 10, fanM3PerH: 8 }),
    );
    const [vents, duct] = (['vents', 'duct'] as const).map((body) => peak({ body }));
    expect(peak({ body: 'closed' })).toBeGreaterThan(vents!);
    expect(vents).toBeGreaterThan(peak({}));
    expect(duct).toBeLessThan(peak({}));
    expect(checkOf('drive.heat', withHeat({ sinkFinMm: 10, sinkFins: 90 }))).toMatchObject({
      state: 'unknown',
      missing: ['drive.heat.sinkFins:fit'],
    });
    // what a fan draws is missing from the pack
    const minutes = (heat: object) => checkOf('brief.charge', withHeat(heat)).value!;
    expect(minutes({ fanM3PerH: 8, fanA: 2 })).toBeLessThan(minutes({ fanM3PerH: 8 }));
  });
});

describe('the controller of a build', () => {
  // 5 m/s for an hour, with nothing to limit it but the pack
  const steadily = (power: Patch, heat: object = {}) =>
    applyPatch(withHeat({ duty: 'cruise', cruiseMps: 5, ...heat }), power);
  const controller = (key: string, value: unknown): Patch => [{ path: ['power', 'controller', key], value }];

  it('settles at its losses times its way to the air, worked out by hand at one speed', () => {
    const document = steadily(controller('massG', 20));
    const { value, working } = checkOf('drive.controllerHeat', document);
    const { controller: node, meanW } = working!.facts as {
      controller: { toAmbientKPerW: number; coolingPerMps: number };
      meanW: number;
    };
    // the fresh pack's higher volts leave the diodes open for longer
    const settled = (meanW * node.toAmbientKPerW) / (1 + 5 * node.coolingPerMps);
    expect((value! - 25) / settled).toBeGreaterThan(1);
    expect((value! - 25) / settled).toBeLessThan(1.08);
    // one motor's current and duty from forces at 5 m/s; 2 mΩ and diodes of 0.7 V
    const pack = packOfBuild(document, document.brief.surfaces[0]!);
    const { motor, esc, drive, tyre, battery, car: body } = pack.ok ? pack.value : never();
    const resistanceN = 0.6 * body.cdaM2 * 25 + (body.rollingResistance + 0.03) * body.massKg * 9.81;
    const torqueNm = (resistanceN * tyre.radiusMm * 0.001) / (drive.ratio * drive.efficiency);
    const amps = (torqueNm * motor.kvRpmPerV * 2 * Math.PI) / 60 + motor.noLoadCurrentA;
    const emf = ((5 / (tyre.radiusMm * 0.001)) * drive.ratio * 60) / (2 * Math.PI) / motor.kvRpmPerV;
    const duty = emf / (battery.cells * 3.85);
    const byHand = (amps ** 2 * esc.resistanceMilliOhm!) / 1000 + (1 - duty) * amps * 0.7;
    expect(meanW / byHand).toBeGreaterThan(0.85);
    expect(meanW / byHand).toBeLessThan(1.15);
  });

  it('ends the pack where it shuts down, and each remedy that is offered lasts longer', () => {
    const hot = { duty: 'fieldBashing', ambientC: 42 };
    const document = steadily([...controller('cooling', 'bare'), ...controller('limitC', 50)], hot);
    const check = checkOf('drive.controllerHeat', document);
    expect(check).toMatchObject({ state: 'over', finding: { code: 'drive.controllerHeat.after' } });
    expect(check.remedies.length).toBeGreaterThan(1);
    for (const { margin } of check.remedies) expect(margin!).toBeGreaterThan(check.margin!);
    const charge = checkOf('brief.charge', document);
    expect(charge.finding).toMatchObject({ facts: { ended: 'controller' } });
    expect(charge.value! * 60).toBeLessThan(checkOf('brief.charge', steadily([], hot)).value! * 60);
  });

  it('is cooler by its size, and two that share the current are cooler than one', () => {
    const peak = (power: Patch, heat: object = {}) =>
      checkOf('drive.controllerHeat', steadily(power, heat)).value!;
    for (const key of ['lengthMm', 'widthMm', 'heightMm'])
      expect(peak(controller(key, 70))).toBeLessThan(peak([]));
    expect(peak([], { body: 'duct' })).toBeLessThan(peak([]));
  });
});

describe('a cold pack', () => {
  it('has twice the resistance at freezing point, and takes it to speed and minutes', () => {
    // 20 kJ/mol: e^(2405.6·(1/273.15 − 1/298.15))
    expect(coldCellFactor(0)).toBeCloseTo(2.093, 3);
    expect(coldCellFactor(25)).toBe(1);
    expect(coldCellFactor(45)).toBe(1);
    const at = (packC: number | undefined) => {
      const run = runInputOf(applyPatch(car, [{ path: ['power', 'packC'], value: packC }]), grass);
      return run.ok ? run.value.battery.cellResistanceMilliOhm : never();
    };
    expect(at(0) / at(undefined)).toBeCloseTo(2.093, 3);
    const cold = applyPatch(car, [{ path: ['power', 'packC'], value: 0 }]);
    expect(checkOf('drive.speed', cold).value!).toBeLessThan(checkOf('drive.speed').value!);
    // at the same speed: more of the volts stay in the cells
    const held = applyPatch(cold, [{ path: ['drive', 'heat'], value: { duty: 'cruise', cruiseMps: 5 } }]);
    const warm = applyPatch(held, [{ path: ['power', 'packC'], value: undefined }]);
    expect(checkOf('brief.charge', held).value!).toBeLessThan(checkOf('brief.charge', warm).value!);
  });
});
