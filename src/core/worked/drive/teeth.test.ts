import { car } from '../../fixtures/car';
import { applyPatch } from '../../base/patch';
import { overallRatio } from '../../car/document/drive';
import { teethNearest, teethWithin } from './teeth';
import type { GearAtHand } from '../../car/library/kinds/gear';

// the car has 15 to 150 teeth, 10 : 1
const pinion = (teeth: number, moduleMm = 0.8): GearAtHand => ({
  name: `p${teeth}`,
  role: 'pinion',
  teeth,
  moduleMm,
});
const wheel = (teeth: number, moduleMm = 0.8): GearAtHand => ({
  name: `w${teeth}`,
  role: 'wheel',
  teeth,
  moduleMm,
});

describe('teeth for a ratio', () => {
  it('pairs gears at hand of one module, the least change that is clear of the ends first', () => {
    const found = teethWithin(car.drive, 4, 9, [
      pinion(10),
      pinion(15),
      pinion(12, 1),
      wheel(60),
      wheel(130),
    ]);
    expect(found.map(({ pinionTeeth, wheelTeeth, atHand }) => [pinionTeeth, wheelTeeth, atHand])).toEqual([
      [15, 130, true],
      [10, 60, true],
      [15, 60, true],
    ]);
    expect(found.map(({ ratio }) => ratio)).toEqual([130 / 15, 6, 4]);
    expect(overallRatio(applyPatch(car, found[1]!.patch).drive)).toBe(6);
  });

  it('keeps to the module of the stage, and takes any pinion on the present wheel where the box has none', () => {
    const drive = applyPatch(car, [{ path: ['drive', 'stages', 's', 'moduleMm'], value: 0.5 }]).drive;
    const found = teethWithin(drive, 9, 11, [pinion(10), wheel(100)]);
    expect(found.every(({ atHand, wheelTeeth }) => !atHand && wheelTeeth === 150)).toBe(true);
    expect(found[0]!.pinionTeeth).toBe(15);
  });

  it('comes as near as whole teeth can', () => {
    const found = teethNearest(car.drive, 7.77, [])!;
    expect(Math.abs(found.ratio / 7.77 - 1)).toBeLessThan(0.005);
    expect(overallRatio(applyPatch(car, found.patch).drive)).toBeCloseTo(found.ratio, 12);
  });
});
