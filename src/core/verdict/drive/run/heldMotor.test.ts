import { car } from '../../../fixtures/car';
import { applyPatch } from '../../../base/patch';
import { type BuildDocument } from '../../../car/document/document';
import { thermalOf } from '../../../worked/heat/thermalOfBuild';
import { evaluateBuild } from '../../evaluate';

const held = (document: BuildDocument) => evaluateBuild(document).find(({ id }) => id === 'drive.hold')!;

/** Two heat capacities in plain small steps at one current, until winding or case is at its limit. */
function secondsToLimit({ drive }: BuildDocument, amps: number): number {
  const {
    windingHeatCapacityJPerK: cw,
    caseHeatCapacityJPerK: cc,
    windingToCaseKPerW: across,
    caseToAmbientKPerW: out,
    ambientC,
    windingLimitC,
    caseLimitC,
  } = thermalOf(drive, drive.motor!);
  let [winding, motorCase, time] = [ambientC, ambientC, 0];
  const step = 1e-3;
  while (winding < windingLimitC! && motorCase < caseLimitC!) {
    const ohm = (drive.motor!.resistanceMilliOhm / 1000) * (1 + 0.00393 * (winding - 20));
    const through = (winding - motorCase) / across;
    winding += (step * (amps ** 2 * ohm - through)) / cw;
    motorCase += (step * (through - (motorCase - ambientC) / out)) / cc;
    time += step;
  }
  return time;
}

describe('a motor that is held', () => {
  it('takes the limit’s current for as long as two heat capacities say', () => {
    const found = held(car);
    expect(found.value! / secondsToLimit(car, 180)).toBeCloseTo(1, 2);
    expect(found.margin).toBeCloseTo(found.value! / 5, 9);
    expect(found.finding!.code).toBe('drive.hold.ends');
  });

  it('burns at once at a current without measure, and lasts longer under a limit of one’s own', () => {
    const fierce = applyPatch(car, [
      { path: ['power', 'controller', 'currentLimitA'], value: 260 },
      { path: ['power', 'battery', 'cells'], value: 4 },
    ]);
    const found = held(fierce);
    expect(found.state).toBe('over');
    expect(found.remedies.length).toBeGreaterThan(0);
    for (const { patch, state, value } of found.remedies) {
      const tamed = applyPatch(fierce, patch);
      expect(patch[0]!.path).toEqual(['drive', 'currentLimitA']);
      expect(held(tamed)).toMatchObject({ state, value });
      expect(value! / secondsToLimit(tamed, patch[0]!.value as number)).toBeCloseTo(1, 2);
    }
  });

  it('takes a few ampere for ever, and waits for a motor', () => {
    const tamed = applyPatch(car, [{ path: ['drive', 'currentLimitA'], value: 5 }]);
    expect(held(tamed)).toMatchObject({ state: 'clear', finding: { code: 'drive.hold.forEver' } });
    const none = applyPatch(car, [{ path: ['drive', 'motor'], value: undefined }]);
    expect(held(none)).toMatchObject({ state: 'unknown', missing: ['drive.motor'] });
    const inTheOven = applyPatch(car, [{ path: ['drive', 'heat'], value: { ambientC: 120 } }]);
    expect(held(inTheOven)).toMatchObject({
      state: 'unknown',
      missing: ['drive.heat.pinionJoint:underLimit'],
    });
  });
});
