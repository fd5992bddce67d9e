import { applyPatch, type Patch } from '../../base/patch';
import { car, pick } from '../../fixtures/car';
import { exchanged, isExchanged } from './exchanged';

const after = (document: typeof car, things: Parameters<typeof exchanged>[1]) =>
  applyPatch(document, exchanged(document, things));
const withPatch = (...patch: Patch) => applyPatch(car, patch);
const heavier = <T extends { massG: number }>(thing: T | undefined, byG: number): T => ({
  ...thing!,
  massG: thing!.massG + byG,
});

describe('a thing in place of another', () => {
  const { motor, tyre } = car.drive;
  const { battery, controller } = car.power;

  it('makes the weighed car of 1600 g as much heavier as there are of it', () => {
    const axles = withPatch(
      { path: ['drive', 'motorsAt'], value: 'axle' },
      { path: ['power', 'packs'], value: 2 },
      { path: ['power', 'motorsPerController'], value: 2 },
    );
    for (const [things, massG] of [
      [{ motor: heavier(motor, 40) }, 1600 + 2 * 40],
      [{ battery: heavier(battery, -65) }, 1600 - 2 * 65],
      [{ controller: heavier(controller, 20) }, 1600 + 20],
      [{ tyre: heavier(tyre, 3.5) }, 1600 + 4 * 3.5],
      [{ motor: heavier(motor, 40), battery: heavier(battery, -65) }, 1600 + 80 - 130],
    ] as const)
      expect(after(axles, things).chassis.massG).toBeCloseTo(massG, 9);
    expect(after(axles, { motor: heavier(motor, 40) }).drive.motor).toEqual(heavier(motor, 40));
  });

  it('leaves a mass that is a guess, that is not there, or that was weighed without it', () => {
    const other = { battery: pick('battery', 'pack-4s-5000') };
    expect(after(withPatch({ path: ['assumed'], value: ['chassis/massG'] }), other).chassis.massG).toBe(1600);
    expect(after(withPatch({ path: ['chassis', 'massG'], value: undefined }), other).chassis.massG).toBe(
      undefined,
    );
    expect(after(withPatch({ path: ['power', 'battery'], value: undefined }), other).chassis.massG).toBe(
      1600,
    );
  });

  it('is one of four kinds', () => {
    expect(['motor', 'battery', 'controller', 'tyre'].every(isExchanged)).toBe(true);
    expect(['surface', 'toString'].some(isExchanged)).toBe(false);
  });
});
