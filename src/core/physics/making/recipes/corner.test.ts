import { add, scale, subtract, type Vec3 } from '../../../base/vec3';
import { hasPlastic } from '../../../fixtures/contains';
import { madeSolid, holeMm2, nearVolume, roundedOff } from '../../../fixtures/madeSolid';
import { refusalOf } from '../../../fixtures/refused';
import { type DrawnPart } from '../drawn/drawing';
import { armDrawing, type ArmInput } from './arm';
import { bulkheadDrawing } from './bulkhead';
import { towerDrawing } from './tower';
import { uprightDrawing, type UprightInput } from './upright';

describe('an arm', () => {
  const arm: ArmInput = {
    front: [23, 32, 24.5],
    rear: [-23, 32, 23.5],
    outer: { front: [11, 84, 23.5], rear: [-11, 84, 22.5] },
    damper: [4.5, 74, 27],
    pinHoleMm: 3.2,
    outerHoleMm: 3.2,
    damperHoleMm: 2.6,
    thicknessMm: 6,
    widthMm: 9,
    wallMm: 3,
    open: false,
  };
  /** From the car to the drawing, by its rows and the hinge's middle at the height of its tube. */
  const placed =
    ({ rows }: DrawnPart, up: number) =>
    (point: Vec3): Vec3 => {
      const from = subtract(point, [0, 32, 24]);
      const [x, y, z] = rows.map((row) => row[0] * from[0] + row[1] * from[1] + row[2] * from[2]);
      return [x!, y!, z! + up];
    };

  it.each([false, true])(
    'has its holes where the car has its hinges and damper, with plastic round them (open: %s)',
    async (open) => {
      const drawn = armDrawing({ ...arm, open });
      const at = placed(drawn, 1.6 + 3);
      await madeSolid(drawn.drawing);
      for (const [from, to] of [
        [arm.rear, arm.front],
        [
          [-11, 84, 22.5],
          [11, 84, 23.5],
        ],
      ] as const) {
        const along = subtract(to, from);
        for (const share of [0.02, 0.3, 0.5, 0.7, 0.98]) {
          const on = at(add(from, scale(along, share)));
          expect(hasPlastic(drawn.drawing, on)).toBe(false);
          for (const way of [
            [0, 0, 3],
            [0, 0, -3],
            [0, 3, 0],
            [0, -3, 0],
          ] as const)
            expect(hasPlastic(drawn.drawing, add(on, way))).toBe(true);
        }
      }
      const eye = at(arm.damper!);
      expect(hasPlastic(drawn.drawing, eye)).toBe(false);
      expect(hasPlastic(drawn.drawing, add(eye, [0, 0, 2.5]))).toBe(true);
    },
  );

  it('keeps the damper’s screw in reach where its plate is thicker than the lug is high', async () => {
    const { drawing } = armDrawing({ ...arm, thicknessMm: 10 });
    const { shells } = await madeSolid(drawing);
    expect(shells).toBe(1);
  });

  it('gives where it is open: between its legs is air', async () => {
    const between: Vec3 = [0, 20, 2];
    expect(hasPlastic(armDrawing(arm).drawing, between)).toBe(true);
    expect(hasPlastic(armDrawing({ ...arm, open: true }).drawing, between)).toBe(false);
  });

  it('of wishbones ends in a ball that stands upright', async () => {
    const drawn = armDrawing({ ...arm, outer: { ball: [0, 84, 23] }, damper: undefined });
    await madeSolid(drawn.drawing);
    const ball = placed(drawn, 4.6)([0, 84, 23]);
    for (const z of [0.5, 3, 5.5]) expect(hasPlastic(drawn.drawing, [ball[0], ball[1], z])).toBe(false);
    expect(hasPlastic(drawn.drawing, [ball[0] + 4, ball[1], 3])).toBe(true);
  });

  it('without length is refused', async () => {
    expect(refusalOf(() => armDrawing({ ...arm, outer: { ball: [40, 32, 24.9] } }))).toMatchObject({
      path: 'end',
      code: 'making.armFlat',
    });
  });
});

describe('an upright', () => {
  const upright: UprightInput = {
    wheelCentre: [0, 106.8, 42],
    outboard: [0, 1, 0],
    joints: [
      { name: 'low', at: [0, 93, 20], along: [0, 0, 1], holeMm: 3, halfMm: 6 },
      { name: 'tie', at: [-23, 93, 43], along: [0, 0, 1], holeMm: 3, halfMm: 6 },
    ],
    bearingHoleMm: 10,
    bearingWidthMm: 4,
    axleHoleMm: 8,
    wallMm: 3,
    thicknessMm: 14,
  };

  it('has bearings on the wheel’s axis and holes in its joints, none of which meets another', async () => {
    const { drawing, rows } = uprightDrawing(upright);
    await madeSolid(drawing);
    // along the axle: two seats of 10 with a shoulder of 8 between them
    expect([1, 7, 13].map((z) => hasPlastic(drawing, [4.5, 0, z]))).toEqual([false, true, false]);
    expect(hasPlastic(drawing, [0, 0, 7])).toBe(false);
    expect(rows[2]).toEqual([0, 1, 0]);
    // 22 under the axle: what is up in the car is −x or y of the drawing, by its rows
    const up = (v: Vec3): Vec3 => rows.map((row) => row[0] * v[0] + row[1] * v[1] + row[2] * v[2]) as never;
    const low = add(up([0, 0, -22]), [0, 0, 7]);
    for (const mm of [-4, 0, 4]) expect(hasPlastic(drawing, add(low, scale(up([0, 0, 1]), mm)))).toBe(false);
    expect(hasPlastic(drawing, add(low, up([2.5, 0, 0])))).toBe(true);
    // between the joint's hole and the bearing
    expect(hasPlastic(drawing, add(up([0, 0, -7]), [0, 0, 7]))).toBe(true);
  });

  it('says where its bearings meet', async () => {
    expect(refusalOf(() => uprightDrawing({ ...upright, thicknessMm: 8 }))).toMatchObject({
      path: 'thicknessMm',
    });
  });
});

describe('what stands across the chassis', () => {
  it('carries both hinges on a foot', async () => {
    const drawn = bulkheadDrawing({
      pin: [32, 8],
      pinHoleMm: 3,
      wallMm: 3,
      thicknessMm: 12,
      screwAtMm: 20,
      screwHoleMm: 2.5,
      screwDepthMm: 6,
    });
    const { volumeMm3 } = await madeSolid(drawn.drawing);
    // a box up to the pins, half a disc over each, and what lies between them
    const face = 2 * (32 + 4.5) * 8 + 2 * 32 * 4.5 + (Math.PI / 2) * 4.5 ** 2;
    nearVolume(volumeMm3, (face - 2 * holeMm2(3)) * 12 - 2 * holeMm2(2.5) * 6);
  });

  it('holds the dampers over a window, in a row of holes', async () => {
    const tower = {
      eye: [40, 60] as const,
      holes: 2,
      pitchMm: 7,
      holeMm: 3,
      footAtMm: 40,
      footHoleMm: 3,
      wallMm: 4,
      thicknessMm: 6,
    };
    const { volumeMm3 } = await madeSolid(towerDrawing(tower).drawing);
    // discs of 5.5 at (±40, 60) and (±40, 5.5): a rounded rectangle; the window's corners have radius 4
    const outline = 91 * 65.5 - roundedOff(5.5);
    const window = 2 * 30.5 * (60 - 5.5 - 8 - 15) - roundedOff(4);
    nearVolume(volumeMm3, (outline - 6 * holeMm2(3) - window) * 6);
    expect(refusalOf(() => towerDrawing({ ...tower, wallMm: 0.5 }))).toMatchObject({ path: 'wallMm' });
  });
});
