import { applyPatch } from '../../base/patch';
import { evaluateBuild } from '../../verdict/evaluate';
import { car } from '../../fixtures/car';
import { allPacks } from '../../car/document/power';
import { bodiesOf } from '../chassis/bodiesOfBuild';
import { runInputOf } from '../motion/runOfBuild';
import { makeList } from '../print/makeList';
import { bearsCells, otherPack } from './otherPack';

const battery = car.power.battery!;
const after = (change: Parameters<typeof otherPack>[1]) => applyPatch(car, otherPack(car, change)!.patch);

describe('another pack of the same make', () => {
  it('weighs what its cells, its charge and its strings weigh, and the car with it', () => {
    // a pack of 2 cells, 5000 mAh; the car weighs 1600 g
    for (const [change, times] of [
      [{ cells: 3 }, 1.5],
      [{ capacity: 1.6 }, 1.6],
      [{ packs: 2 }, 2],
    ] as const) {
      const { power, chassis } = after(change);
      expect(allPacks(power)!.massG).toBeCloseTo(battery.massG * times, 6);
      expect(chassis.massG).toBeCloseTo(1600 + battery.massG * (times - 1), 1);
    }
  });

  it('has the resistance of its larger cells, and that of the same ones where there are more of them', () => {
    expect(after({ capacity: 1.6 }).power.battery).toMatchObject({
      capacityMah: 8000,
      cellResistanceMilliOhm: battery.cellResistanceMilliOhm / 1.6,
      cells: 2,
      parallel: 1,
    });
    expect(after({ packs: 2 }).power).toMatchObject({ packs: 2, battery });
    expect(allPacks(after({ packs: 2 }).power)).toMatchObject({
      capacityMah: 10_000,
      cellResistanceMilliOhm: battery.cellResistanceMilliOhm,
      parallel: 2,
    });
    expect(after({ cells: 3 }).power.battery).toMatchObject({
      capacityMah: 5000,
      cellResistanceMilliOhm: battery.cellResistanceMilliOhm,
    });
  });

  it('beside another is two packs in run, supply, list and mass', () => {
    const two = after({ packs: 2 });
    const surface = two.brief.surfaces[0]!;
    const run = runInputOf(two, surface);
    expect(run.ok && run.value.battery).toMatchObject({ capacityMah: 10_000, parallel: 2 });
    expect(makeList(two).find(({ id }) => id === 'battery')).toMatchObject({
      quantity: 2,
      massG: battery.massG,
    });
    expect(bodiesOf(two).find(({ id }) => id === 'pack')!.massG).toBe(2 * battery.massG);
    // half of the resistance, so less sag: V = V_oc − I·R/2
    const sag = (document: typeof car) => evaluateBuild(document).find(({ id }) => id === 'power.sag')!;
    expect(sag(two).value!).toBeGreaterThan(sag(car).value!);
    const rated = evaluateBuild(two).find(({ id }) => id === 'power.pack')!;
    expect(rated.limit).toBe(2 * evaluateBuild(car).find(({ id }) => id === 'power.pack')!.limit!);
    // a third pack beside two of them weighs as much as each
    expect(otherPack(two, { packs: 1.5 })!.heavierG).toBe(battery.massG);
  });

  it('of a cell more is for motors and controllers that bear 4.2 V of each', () => {
    // the motor bears 8.5 V, the controller more than 12.6 V
    expect(bearsCells(car, 2)).toBe(true);
    expect(bearsCells(car, 3)).toBe(false);
    const strong = applyPatch(car, [{ path: ['drive', 'motor', 'maxV'], value: 12.6 }]);
    expect(bearsCells(strong, 3)).toBe(true);
    expect(bearsCells(strong, 4)).toBe(false);
  });

  it('is what every remedy offers: none makes a pack heavier and leaves the car as it was', () => {
    const weak = applyPatch(car, [
      { path: ['power', 'battery', 'capacityMah'], value: 900 },
      { path: ['power', 'battery', 'maxDischargeC'], value: 5 },
      { path: ['drive', 'motor', 'maxV'], value: 12.6 },
      { path: ['brief', 'targetMps'], value: 14 },
    ]);
    const offered = evaluateBuild(weak)
      .flatMap(({ remedies }) => remedies)
      .filter(({ patch }) => patch.some(({ path }) => path[1] === 'battery' || path[1] === 'packs'));
    expect(offered.length).toBeGreaterThan(3);
    for (const { patch } of offered) {
      const { power, chassis } = applyPatch(weak, patch);
      expect(chassis.massG! - 1600).toBeCloseTo(allPacks(power)!.massG - battery.massG, 1);
      expect(allPacks(power)!.massG).not.toBe(battery.massG);
    }
  });

  it('of the smallest cells is larger too, and is never none', () => {
    const tiny = applyPatch(car, [{ path: ['power', 'battery', 'capacityMah'], value: 20 }]);
    // 20 mAh · 1.3 = 26 mAh; 850 mAh · 1.3 = 1105 mAh, sold as 1100
    const capacityOf = (mah: number) =>
      applyPatch(tiny, [
        { path: ['power', 'battery', 'capacityMah'], value: mah },
        ...otherPack(applyPatch(tiny, [{ path: ['power', 'battery', 'capacityMah'], value: mah }]), {
          capacity: 1.3,
        })!.patch,
      ]).power.battery!.capacityMah;
    expect(capacityOf(20)).toBe(26);
    expect(capacityOf(850)).toBe(1100);
  });
});
