import fc from 'fast-check';
import { applyPatch, type Path } from '../../base/patch';
import { emptyDocument } from '../document/document';
import { parseDocument } from '../document/document.schema';
import { startingCar } from '../library/startingCar';
import { STARTING_LIBRARY } from '../library/starting';
import { finishPatch, mergeBuilds } from '../unfinished/unfinished';
import { assumedPaths, assuming, isAssumed } from './assumed';

const LIBRARY = STARTING_LIBRARY;
const blank = (scale: number, massBudgetG: number, targetMps?: number) => ({
  ...emptyDocument(),
  brief: {
    surfaces: [],
    sizeClass: { name: `1:${scale}`, massBudgetG },
    ...(targetMps === undefined ? {} : { targetMps }),
  },
});
const filled = (scale: number, massBudgetG: number, targetMps?: number) => {
  const document = blank(scale, massBudgetG, targetMps);
  return applyPatch(document, finishPatch(document, assuming(document, startingCar(document, LIBRARY))));
};
const edit = (document: ReturnType<typeof filled>, path: Path, value: unknown) =>
  applyPatch(document, finishPatch(document, [{ path, value }]));

describe('what is filled in for the builder', () => {
  it.each([
    [24, 250],
    [18, 700],
    [14, 1100],
    [12, 1300],
    [10, 2000],
    [8, 3600],
    [5, 10000],
  ])('is a whole car of 1:%s that the schema takes, all of it assumed', (scale, massBudgetG) => {
    const document = filled(scale, massBudgetG);
    expect(parseDocument(document)).toEqual(document);
    expect(document.drive).toMatchObject({
      motor: { name: expect.any(String) },
      tyre: { radiusMm: expect.any(Number) },
    });
    const { motor } = document.drive;
    const { battery, controller } = document.power;
    expect(4.2 * battery!.cells - 1e-9).toBeLessThanOrEqual(Math.min(motor!.maxV!, controller!.maxV!));
    expect(controller!.kind).toBe(motor!.kind);
    for (const path of [
      ['drive', 'motor'],
      ['drive', 'stages'],
      ['chassis', 'massG'],
      ['power', 'battery', 'cells'],
    ])
      expect(isAssumed(document, path)).toBe(true);
    expect(startingCar(document, LIBRARY)).toEqual([]);
  });

  it('is geared for the wish: 1:10 at 36 km/h on 45 mm tyres turns 3,000 · 7.4 · 0.8 rpm into 2,122 at the wheel', () => {
    const stages = filled(10, 2000, 10).drive.stages;
    const ratio = stages.reduce((all, { pinionTeeth, wheelTeeth }) => (all * wheelTeeth!) / pinionTeeth!, 1);
    expect(ratio).toBeCloseTo((3000 * 7.4 * 0.8) / ((10 / 0.045) * (30 / Math.PI)), 0);
  });

  it('is no longer assumed once it is touched, the thing as soon as one of its figures is', () => {
    const motor = edit(filled(10, 2000), ['drive', 'motor', 'kvRpmPerV'], 2500);
    expect(isAssumed(motor, ['drive', 'motor'])).toBe(false);
    expect(isAssumed(motor, ['drive', 'tyre', 'radiusMm'])).toBe(true);
    const same = edit(filled(10, 2000), ['chassis', 'massG'], 1700);
    expect(isAssumed(same, ['chassis', 'massG'])).toBe(false);
  });

  it('leaves no mark behind when all is touched', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(assumedPaths(filled(10, 2000)), { minLength: 1 }), (paths) => {
        const document = paths.reduce((now, path) => edit(now, path, undefined), filled(10, 2000));
        for (const path of paths) expect(isAssumed(document, path)).toBe(false);
        expect(document.assumed).not.toEqual([]);
      }),
      { seed: 3, numRuns: 30 },
    );
  });

  it('is joined where two pages touched different figures: neither is assumed, and nobody is asked', () => {
    const base = filled(10, 2000);
    const { document, conflicts } = mergeBuilds(
      base,
      edit(base, ['chassis', 'massG'], 1800),
      edit(base, ['chassis', 'wheelbaseMm'], 280),
    );
    expect(conflicts).toEqual([]);
    expect(document.chassis).toMatchObject({ massG: 1800, wheelbaseMm: 280 });
    expect(isAssumed(document, ['chassis', 'massG'])).toBe(false);
    expect(isAssumed(document, ['chassis', 'wheelbaseMm'])).toBe(false);
    expect(isAssumed(document, ['chassis', 'trackRearMm'])).toBe(true);
  });
});
