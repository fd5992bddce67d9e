import { car } from '../../fixtures/car';
import { applyPatch } from '../../base/patch';
import { overallRatio } from '../../car/document/drive';
import { plainStage, teethNearest, teethWithin, towardsRatio } from './teeth';
import { wishPinion } from './wishPinion';
import { runInputOf } from '../motion/runOfBuild';
import { driveRun } from '../../physics/motion/run';
import { evaluateBuild } from '../../verdict/evaluate';
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

describe('a stage of a plain ratio', () => {
  const stageOf = (edits: object) => [{ ...car.drive.stages[0]!, ...edits }];
  const plain = applyPatch(car, [
    {
      path: ['drive', 'stages'],
      value: stageOf({ pinionTeeth: undefined, wheelTeeth: undefined, ratio: 4.2 }),
    },
  ]);

  it('counts until both teeth are known', () => {
    expect(overallRatio(plain.drive)).toBe(4.2);
    expect(overallRatio({ ...plain.drive, stages: stageOf({ wheelTeeth: undefined, ratio: 4.2 }) })).toBe(
      4.2,
    );
    expect(overallRatio({ ...plain.drive, stages: stageOf({ ratio: 4.2 }) })).toBe(150 / 15);
    expect(plainStage(plain.drive)!.id).toBe('s');
    expect(plainStage(car.drive)).toBe(undefined);
  });

  it('is moved where teeth would be: by the explorer to the ratio itself, by a remedy in steps', () => {
    expect(overallRatio(applyPatch(plain, towardsRatio(plain.drive, 7.77, [])).drive)).toBe(7.77);
    const long = applyPatch(plain, [{ path: ['drive', 'stages', 's', 'ratio'], value: 14 }]);
    const speed = evaluateBuild(long).find(({ id }) => id === 'drive.speed')!;
    const [remedy] = speed.remedies;
    expect(speed.state).toBe('over');
    expect(remedy!.patch[0]!.path).toEqual(['drive', 'stages', 's', 'ratio']);
    // top speed goes nearly as one over the ratio
    const { from, to } = remedy!.exchanges[0]! as { from: number; to: number };
    expect(remedy!.margin! / speed.margin!).toBeCloseTo(from / to, 1);
  });
});

describe('the pinion that gives just the wish', () => {
  const topSpeedWith = (document: typeof car, pinionTeeth: number): number => {
    const other = applyPatch(document, [
      { path: ['drive', 'stages', 's', 'pinionTeeth'], value: pinionTeeth },
    ]);
    return Math.min(
      ...other.brief.surfaces.map((surface) => {
        const input = runInputOf(other, surface);
        return input.ok ? driveRun(input.value).topSpeedMps! : NaN;
      }),
    );
  };

  it('reaches it on every surface, where the next smaller one does not', () => {
    const found = wishPinion(car, car.brief.surfaces);
    if (!found.ok) throw new Error(found.missing.join());
    const { choice, topSpeedMps, wishMps, meets } = found.value;
    expect({ meets, wishMps }).toEqual({ meets: true, wishMps: 8 });
    expect(topSpeedMps).toBeCloseTo(topSpeedWith(car, choice.pinionTeeth), 9);
    expect(topSpeedWith(car, choice.pinionTeeth)).toBeGreaterThanOrEqual(8);
    expect(topSpeedWith(car, choice.pinionTeeth - 1)).toBeLessThan(8);
  });

  it('comes nearest where the wish is out of reach, and says what it needs', () => {
    const keen = applyPatch(car, [{ path: ['brief', 'targetMps'], value: 100 }]);
    const found = wishPinion(keen, keen.brief.surfaces);
    expect(found).toMatchObject({ ok: true, value: { meets: false } });
    const wishless = applyPatch(car, [{ path: ['brief', 'targetMps'], value: undefined }]);
    expect(wishPinion(wishless, [])).toEqual({ ok: false, missing: ['brief.targetMps', 'brief.surfaces'] });
  });
});
