import { applyPatch, type Patch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import type { Joint, ScrewGroup } from '../../car/document/print';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { sprung } from '../../fixtures/sprungCar';
import { patternOf } from '../../worked/parts/groupOfJoint';
import { evaluateBuild } from '../evaluate';

const petg = { ...TYPICAL_MATERIALS.petg };
const joint = (group: Partial<ScrewGroup>, more: Partial<Joint> = {}): Joint => ({
  id: 'feet',
  name: 'Tower feet',
  kind: 'screw',
  part: 'plate',
  to: 'tower',
  count: 4,
  diameterMm: 3,
  lengthMm: 12,
  hold: 'screwInPlastic',
  ...more,
  group: { alongMm: 30, acrossMm: 20, from: 'own', forceN: 100, way: 'off', ...group },
});
const car = (one: Joint, ...more: Patch): BuildDocument =>
  applyPatch(sprung, [
    {
      path: ['parts', 'items'],
      value: [
        { id: 'plate', name: 'Plate', kind: 'chassis', material: petg, layers: 'along' },
        {
          id: 'tower',
          name: 'Tower',
          kind: 'shockTower',
          material: petg,
          shape: { as: 'beam', heightMm: 6 },
        },
      ],
    },
    { path: ['print', 'joints'], value: [one] },
    ...more,
  ]);
const check = (document: BuildDocument) => evaluateBuild(document).find(({ id }) => id === 'fasteners.feet')!;
/** A thread of 3 mm that bites 6 mm deep into a plate printed flat shears it between its layers. */
const pullOutN = Math.PI * 3 * 6 * petg.interlayerShearMpa!;

describe('a group of screws', () => {
  it('shares a straight pull alike', () => {
    expect(check(car(joint({}))).margin).toBeCloseTo(pullOutN / 25, 6);
  });

  it('holds better in a part that stands on the bed: its layers run along the screws', () => {
    const document = applyPatch(car(joint({})), [
      { path: ['parts', 'items', 'plate', 'layers'], value: 'across' },
    ]);
    const inPlane = (Math.PI * 3 * 6 * petg.inPlaneStrengthMpa) / Math.sqrt(3);
    expect(check(document).margin).toBeCloseTo(inPlane / 25, 6);
  });

  it('is pulled on one side where the force acts high across it: the moment over the pattern’s width', () => {
    // 100 N across, 40 mm up: 4 N·m over two pairs 20 mm apart, 100 N each
    const found = check(car(joint({ way: 'across', overMm: 40 })));
    expect(found.finding).toMatchObject({
      facts: { pull: { value: expect.closeTo(100, 6) }, shear: { value: expect.closeTo(25, 6) } },
    });
    expect(found.margin).toBeCloseTo(pullOutN / 100, 6);
  });

  it('says what is left when one is lost, and that nothing holds where the others stand in a line', () => {
    const two = check(car(joint({ way: 'off', aheadMm: 5 }, { count: 2 })));
    // one screw alone does not hold what tilts it
    expect(two.finding).toMatchObject({ facts: { lost: 'nothing' } });
    expect(check(car(joint({}))).finding!.facts).toHaveProperty('lost', expect.any(Number));
  });

  it('takes its force from the links, and weakens as the car lands harder', () => {
    const group = { from: 'link', end: 'front', link: 'damper', forceN: undefined } as const;
    const [low, high] = [0.3, 0.6].map((drop) =>
      check(car(joint(group), { path: ['brief', 'dropHeightM'], value: drop })),
    );
    expect(high!.limit!).toBeGreaterThan(low!.limit!);
    expect(high!.margin!).toBeLessThan(low!.margin!);
  });

  it('is cured by what it proposes, where it fails', () => {
    const weak = check(car(joint({ forceN: 20_000 })));
    expect(weak.state).toBe('over');
    const [best] = weak.remedies;
    const cured = check(applyPatch(car(joint({ forceN: 20_000 })), best!.patch));
    expect(cured.margin!).toBeGreaterThan(weak.margin!);
  });

  it('names the field that it waits for', () => {
    const missing = (group: Partial<ScrewGroup>, more: Partial<Joint> = {}) =>
      check(car(joint(group, more))).missing;
    expect(missing({}, { lengthMm: 5 })).toEqual(['print.joints.feet.lengthMm']);
    expect(missing({ forceN: undefined })).toEqual(['print.joints.feet.group.forceN']);
    expect(missing({ acrossMm: undefined })).toEqual(['print.joints.feet.group.acrossMm']);
    expect(missing({}, { diameterMm: 3.3 })).toEqual(['print.joints.feet.diameterMm:standard']);
    expect(missing({ way: 'across', overMm: 20 }, { count: 2 })).toEqual(['print.joints.feet.count:tilts']);
  });

  it('stands where its pattern says', () => {
    expect(patternOf(1, 30, 20)).toEqual([[0, 0]]);
    expect(patternOf(3, 30, 20)).toEqual([
      [15, 10],
      [15, -10],
      [-15, 0],
    ]);
    const [x, y] = [0, 1].map((axis) => patternOf(6, 30, 20).map((one) => one[axis as 0 | 1]));
    expect([Math.min(...x!), Math.max(...x!), Math.min(...y!), Math.max(...y!)]).toEqual([-15, 15, -10, 10]);
    expect(new Set(patternOf(6, 30, 20).map(String)).size).toBe(6);
  });
});
