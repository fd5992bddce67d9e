import { applyPatch, type Patch } from '../../../base/patch';
import { controllersInAll } from '../../../car/document/motors';
import { car } from '../../../fixtures/car';
import { bodiesOf } from '../../../worked/chassis/bodiesOfBuild';
import { runInputOf } from '../../../worked/motion/runOfBuild';
import { supplyOf } from '../../../worked/power/supplyOfBuild';
import { wiringOf } from '../../../worked/power/wiring';
import { makeList } from '../../../worked/print/makeList';
import { evaluateBuild } from '../../evaluate';

const withPatch = (...patch: Patch) => applyPatch(car, patch);
const check = (document: typeof car) => evaluateBuild(document).find(({ id }) => id === 'power.controller')!;
const kinds = (motor: string | undefined, controller: string | undefined) =>
  withPatch(
    { path: ['drive', 'motor', 'kind'], value: motor },
    { path: ['power', 'controller', 'kind'], value: controller },
  );
const twin = (motorsPerController?: number) =>
  withPatch(
    { path: ['drive', 'motorCount'], value: 2 },
    { path: ['power', 'motorsPerController'], value: motorsPerController },
  );
const runOf = (document: typeof car) => {
  const input = runInputOf(document, document.brief.surfaces[0]!);
  if (!input.ok) throw new Error(input.missing.join());
  return input.value;
};

describe('kinds of motor and controller', () => {
  it.each([
    ['brushed', 'brushed', true],
    ['brushed', 'sensored', false],
    ['brushed', 'sensorless', false],
    ['sensored', 'brushed', false],
    ['sensorless', 'brushed', false],
    ['sensored', 'sensorless', true],
    ['sensorless', 'sensored', true],
    [undefined, 'brushed', true],
    ['brushed', undefined, true],
  ])('%s on %s: goes together %s', (motor, controller, together) => {
    const found = check(kinds(motor, controller));
    expect(found.finding?.code === 'power.controller.kinds').toBe(!together);
    expect(found.state === 'over').toBe(!together);
  });

  it('that cannot work offer a controller of the motor’s kind, which cures', () => {
    const [remedy] = check(kinds('brushed', 'sensored')).remedies;
    expect(remedy).toMatchObject({ state: 'clear', exchanges: [{ from: 'sensored', to: 'brushed' }] });
  });

  it('are said of every motor and controller to start with, and the test car’s go together', () =>
    expect(check(car).state).not.toBe('over'));
});

describe('a controller that does not limit', () => {
  const unlimited = withPatch({ path: ['power', 'controller', 'limitsCurrent'], value: false });

  it('lets through what the volts drive, and is held against its peak', () => {
    // V/R from standing where the tyres hold: more than the limit was; here grip eases, so the throttle is what is driven
    expect(runOf(unlimited).esc.currentLimitA).toBeGreaterThan(10_000);
    const weak = applyPatch(unlimited, [{ path: ['power', 'controller', 'currentLimitA'], value: 5 }]);
    const found = check(weak);
    expect(found).toMatchObject({ state: 'over', limit: 5, finding: { code: 'power.controller.peak' } });
    // one that limits is never over its own peak
    expect(
      check(withPatch({ path: ['power', 'controller', 'currentLimitA'], value: 5 })).finding,
    ).toMatchObject({ code: 'power.controller' });
  });
});

describe('controllers and motors', () => {
  it('are one each, or one for two, the same in run, wiring, list and mass', () => {
    const { massG, currentLimitA, resistanceMilliOhm } = car.power.controller!;
    for (const [document, controllers, shared] of [
      [twin(), 2, 1],
      [twin(2), 1, 2],
    ] as const) {
      expect(controllersInAll(document)).toBe(controllers);
      expect(runOf(document).esc).toEqual({
        currentLimitA: currentLimitA / shared,
        resistanceMilliOhm: resistanceMilliOhm * shared,
      });
      expect(makeList(document).find(({ id }) => id === 'controller')!.quantity).toBe(controllers);
      expect(bodiesOf(document).find(({ id }) => id === 'controller')!.massG).toBe(controllers * massG);
      const wires = wiringOf(document, supplyOf(document, 60), { packA: 60, motorA: 40 });
      // each controller's lead takes its share, each motor's its own
      expect(wires.map(({ peakA }) => peakA)).toEqual([60 / controllers, 40]);
    }
  });

  it('share heat: one for two passes on twice the current, and one each cures', () => {
    const [each, both] = [check(twin()), check(twin(2))];
    expect(both.limit).toBe(each.limit);
    // twice, but for the controller's resistance, which both currents pass
    expect(both.value! / each.value!).toBeCloseTo(2, 1);
    const weak = applyPatch(twin(2), [{ path: ['power', 'controller', 'continuousA'], value: 8 }]);
    const remedy = check(weak).remedies.find(({ patch }) => patch[0]!.path[1] === 'motorsPerController')!;
    expect(remedy.margin! / check(weak).margin!).toBeCloseTo(2, 1);
  });

  it('are no more than there are motors', () => expect(controllersInAll(twin(4))).toBe(1));
});
