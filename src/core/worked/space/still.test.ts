import { carry } from '../../base/vec3';
import { whole } from '../../fixtures/suspended';
import { offsetsApart } from './apart';
import { bodiesIn } from './posesOfCar';
import { stillOf } from './still';
import { type Thing, thingsOf } from './thingsOfCar';

const box = (id: string, at: [number, number, number], sizeMm: [number, number, number]): Thing => ({
  id,
  body: 'car',
  class: 'plain',
  forms: [{ kind: 'box', centreMm: at, sizeMm }],
});

describe('a car drawn flat', () => {
  it('is to scale, front to the left, what is nearer to the eye drawn last', () => {
    const things = [box('top', [-100, 0, 80], [40, 30, 20]), box('under', [0, 10, 20], [60, 50, 4])];
    const still = stillOf(things, 'above')!;
    expect(still.shapes.map(({ id }) => id)).toEqual(['under', 'top']);
    const [under] = still.shapes[0]!.outlines;
    expect(Math.min(...under!.map(([x]) => x))).toBe(-30);
    expect(Math.max(...under!.map(([x]) => x))).toBe(30);
    // left of the car is up on the page
    expect(Math.min(...under!.map(([, y]) => y))).toBe(-35);
    // from −30 to 120, with the same edge on both sides
    const edge = -30 - still.leftMm;
    expect(still.wideMm - 2 * edge).toBe(150);
    const side = stillOf(things, 'left')!;
    expect(side.highMm - 2 * edge).toBe(90 - 18);
  });

  it('has tyres as rollers, in the pose and as far apart as it is told', () => {
    const things = thingsOf(whole);
    const wheel = things.find(({ id }) => id === 'front.left.wheel')!;
    const widthOf = (still = stillOf([wheel], 'left')!) => still.shapes[0]!.outlines[0]!.map(([x]) => x);
    expect((Math.max(...widthOf()) - Math.min(...widthOf())) / 2).toBeCloseTo(40, 0);
    const bodies = bodiesIn(whole, { travelMm: { front: 10, rear: 0 }, rackMm: 0 });
    const lifted = stillOf([wheel], 'left', bodies)!;
    const centre = carry(bodies.get('front.left.upright')!, [0, 100, 40]);
    expect(stillOf([wheel], 'left')!.topMm - lifted.topMm).toBeCloseTo(centre[2] - 40, 0);
    const off = offsetsApart(things);
    const apart = stillOf(things, 'above', new Map(), off)!;
    expect(apart.highMm - stillOf(things, 'above')!.highMm).toBeCloseTo(2 * off.get(wheel.id)![1], 0);
    expect(stillOf([], 'above')).toBeUndefined();
  });
});
