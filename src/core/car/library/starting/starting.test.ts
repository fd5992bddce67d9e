import { itemsOf } from '../items';
import { parseLibraryItem } from '../items.schema';
import { STARTING_LIBRARY } from '.';

/** Per class of motor: no-load power and stall current at the voltage that it is meant for, from class experience. */
const CLASSES = [
  { match: /^130 /, volts: 4.2, noLoadW: [0.1, 2], stallA: [1, 6] },
  { match: /^180 /, volts: 7.4, noLoadW: [0.5, 5], stallA: [5, 20] },
  { match: /^370 /, volts: 7.4, noLoadW: [1, 8], stallA: [10, 40] },
  { match: /^380 /, volts: 7.4, noLoadW: [1, 10], stallA: [15, 60] },
  { match: /^5[45]0 brushed/, volts: 7.4, noLoadW: [3, 25], stallA: [20, 150] },
  { match: /^Sensored 540/, volts: 7.4, noLoadW: [5, 40], stallA: [150, 700] },
  { match: /^Brushless 20/, volts: 7.4, noLoadW: [2, 20], stallA: [50, 250] },
  { match: /^Brushless 28/, volts: 7.4, noLoadW: [5, 30], stallA: [150, 400] },
  { match: /^Brushless 36/, volts: 11.1, noLoadW: [10, 60], stallA: [400, 1200] },
  { match: /^Brushless 4/, volts: 14.8, noLoadW: [20, 120], stallA: [800, 3500] },
];

const motors = itemsOf(STARTING_LIBRARY, 'motor');

describe('the starting library', () => {
  it('holds enough of each kind, every item valid and of its own id', () => {
    const count = (kind: Parameters<typeof itemsOf>[1]) => itemsOf(STARTING_LIBRARY, kind).length;
    expect(count('motor')).toBeGreaterThanOrEqual(12);
    expect(count('battery')).toBeGreaterThanOrEqual(10);
    expect(count('controller')).toBeGreaterThanOrEqual(8);
    expect(count('tyre')).toBeGreaterThanOrEqual(8);
    expect(count('surface')).toBeGreaterThanOrEqual(9);
    for (const item of STARTING_LIBRARY) expect(parseLibraryItem(item)).toEqual(item);
    expect(new Set(STARTING_LIBRARY.map(({ id }) => id)).size).toBe(STARTING_LIBRARY.length);
  });

  it.each(motors.map((item) => [item.data.name, item.data] as const))('%s hangs together', (name, motor) => {
    const sane = CLASSES.find(({ match }) => match.test(name))!;
    const noLoadW = motor.noLoadCurrentA * sane.volts;
    const stallA = (1000 * sane.volts) / motor.resistanceMilliOhm;
    expect(noLoadW).toBeGreaterThan(sane.noLoadW[0]!);
    expect(noLoadW).toBeLessThan(sane.noLoadW[1]!);
    expect(stallA).toBeGreaterThan(sane.stallA[0]!);
    expect(stallA).toBeLessThan(sane.stallA[1]!);
    expect(motor.noLoadCurrentA).toBeLessThan(0.12 * stallA);
    expect(motor.kvRpmPerV * motor.maxV).toBeLessThan(60_000);
    // a solid rotor as long as two thirds of the can: of 0.45 of its diameter at a magnet's 7,600 kg/m³, brushed of 0.65 of iron
    const solid = (share: number) =>
      (Math.PI / 32) * 7600 * ((share * motor.diameterMm) / 1000) ** 4 * ((2 / 3) * (motor.lengthMm / 1000));
    const [least, most] = /brushed/.test(name) ? [0.5, 0.65] : [0.3, 0.45];
    expect(motor.rotorInertiaKgM2).toBeLessThan(solid(most!));
    expect(motor.rotorInertiaKgM2).toBeGreaterThan(solid(least!));
    const density = (motor.massG / ((Math.PI / 4) * motor.diameterMm ** 2 * motor.lengthMm)) * 1000;
    expect(density).toBeGreaterThan(1.7);
    expect(density).toBeLessThan(5);
  });

  it('has rotors of about 12.5 mm in sensored 540 cans, near 5·10⁻⁷ kg·m²', () => {
    const rotors = motors.filter(({ id }) => id.startsWith('motor-540-sensored'));
    expect(rotors.length).toBeGreaterThan(0);
    for (const { data } of rotors) {
      expect(data.rotorInertiaKgM2).toBeGreaterThan(4e-7);
      expect(data.rotorInertiaKgM2).toBeLessThan(6e-7);
    }
  });

  it('has packs whose energy and mass agree, and whose cells sag the less the larger they are', () => {
    const packs = itemsOf(STARTING_LIBRARY, 'battery').map(({ data }) => data);
    for (const pack of packs) {
      const whPerKg = (pack.cells * 3.7 * pack.capacityMah) / pack.massG;
      expect(whPerKg).toBeGreaterThan(95);
      expect(whPerKg).toBeLessThan(180);
      expect((pack.cellResistanceMilliOhm * pack.capacityMah) / 1000).toBeGreaterThan(8);
      expect((pack.cellResistanceMilliOhm * pack.capacityMah) / 1000).toBeLessThan(16);
    }
  });

  it('has controllers that let more through at the peak than for long', () => {
    for (const { data } of itemsOf(STARTING_LIBRARY, 'controller'))
      expect(data.currentLimitA).toBeGreaterThan(data.continuousA);
  });
});
