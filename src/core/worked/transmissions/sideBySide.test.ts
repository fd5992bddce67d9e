import type { BuildDocument } from '../../car/document/document';
import { geared, surface } from '../../fixtures/geared';
import { toothSettingOf } from '../../verdict/drive/gears/onTeeth';
import { teethOf } from '../drive/toothOfBuild';
import { worked } from '../worked';
import { sideBySide } from './sideBySide';

// as short as the car needs it all in all, so that its motor stays cool
const car: BuildDocument = {
  ...geared,
  drive: {
    ...geared.drive,
    stages: [
      { ...geared.drive.stages[0]!, pinionTeeth: 20, wheelTeeth: 60 },
      { id: 'rest', kind: 'chain', efficiency: 1, ratio: 10 / 3 },
    ],
  },
};
const setting = toothSettingOf(worked(car, surface));
if ('missing' in setting) throw new Error(setting.missing.join());
const stage = car.drive.stages[0]!;
const ways = sideBySide(setting, stage);
const by = (way: string) => ways.find((one) => one.way === way)!;

describe('ways to make the same reduction', () => {
  it('are four, each with as wide a face as the stage has', () => {
    expect(ways.map(({ way }) => way)).toEqual(['spur', 'helical', 'herringbone', 'belt']);
    expect(new Set(ways.map(({ widthMm }) => widthMm))).toEqual(new Set([6]));
  });

  it('have of straight teeth what the teeth of the build have', () => {
    const spur = by('spur');
    const weakest = teethOf(setting)[0]!;
    expect(spur.margin).toBeCloseTo(weakest.bending.margin!, 9);
    expect(spur.thrustN).toBe(0);
    // a mesh force along the line of action: W/cos 20°
    expect(spur.shaftLoadN).toBeCloseTo((2000 * weakest.torqueNm) / 48 / Math.cos((20 * Math.PI) / 180), 6);
    expect(spur.widthForClearMm! / 6).toBeCloseTo(1.5 / spur.margin, 6);
  });

  it('trade thrust for overlap with slanted teeth, and take it out with two halves', () => {
    const [spur, helical, herringbone] = [by('spur'), by('helical'), by('herringbone')];
    expect(helical.margin).toBeGreaterThan(spur.margin);
    expect(helical.contactRatio!).toBeGreaterThan(spur.contactRatio!);
    // tan 20° of the pull at the larger pitch circle
    const pull = spur.shaftLoadN * Math.cos((20 * Math.PI) / 180) * Math.cos((20 * Math.PI) / 180);
    expect(helical.thrustN).toBeCloseTo(pull * Math.tan((20 * Math.PI) / 180), 6);
    expect(herringbone.thrustN).toBe(0);
    expect(helical.lostShare / spur.lostShare).toBeCloseTo(1 / Math.cos((20 * Math.PI) / 180), 9);
    expect(helical.centreMm / spur.centreMm).toBeCloseTo(1 / Math.cos((20 * Math.PI) / 180), 9);
  });

  it('give a belt pulleys as large as the gears', () => {
    const belt = by('belt');
    // 16 mm round the pinion: 50.3 mm are 17 teeth of 3 mm, three times as many on the wheel
    const pull = (2000 * teethOf(setting)[0]!.torqueNm) / 3 / ((17 * 3) / Math.PI);
    expect(belt.margin).toBeCloseTo((11 * 6) / pull, 1);
    expect(belt.thrustN).toBe(0);
    expect(belt.shaftLoadN).toBeGreaterThan(pull);
  });
});
