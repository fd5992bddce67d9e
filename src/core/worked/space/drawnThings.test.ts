import { applyPatch } from '../../base/patch';
import { add, carry, cross, dot, type Motion, scale, type Vec3 } from '../../base/vec3';
import { sprung } from '../../fixtures/sprungCar';
import type { PartMade } from '../../car/parts/partMade';
import { drawnOfPart } from '../making/drawnOfPart';
import { plateTopMm } from '../making/plateTop';
import { drawnThings } from './drawnThings';
import { thingsOf } from './thingsOfCar';

/** Whether a motion mirrors what it moves. */
const isMirrored = ({ rows: [a, b, c] }: Motion) => dot(a, cross(b, c)) < 0;
const mesh = { hash: 'a'.repeat(64), name: 'a.stl', unitMm: 1, up: [0, 0, 1] as const, madeOf: '1' };
const withPart = (made: PartMade, kept: object = mesh) => {
  const part = { id: 'p', name: 'Part', kind: 'other' as const, made, mesh: kept };
  const document = applyPatch(sprung, [
    { path: ['chassis', 'bodies'], value: [{ id: 'pack', xMm: -140, yMm: 5, zMm: 40 }] },
    { path: ['parts', 'items'], value: [part] },
  ]);
  const drawn = drawnOfPart(document, [], document.parts.items[0] as never);
  if (!drawn.ok) throw new Error(drawn.missing.join());
  return { document, drawn: drawn.value, things: drawnThings(document, []) };
};
const middle = ({ min, max }: { min: Vec3; max: Vec3 }) => scale(add(min, max), 0.5);
const near = (got: Vec3, wanted: Vec3, mm = 0.02) =>
  got.forEach((one, k) => expect(Math.abs(one - wanted[k]!)).toBeLessThan(mm));

describe('drawn parts in the car', () => {
  it('stand with their holes on the points they were drawn from, at both sides and ends', () => {
    for (const end of ['front', 'rear'] as const) {
      const { document, drawn, things } = withPart({ as: 'arm', end });
      const corner = document.suspension[end]!.corner!;
      if (corner.kind !== 'wishbones') throw new Error('not wishbones');
      const axle = end === 'front' ? 0 : -document.chassis.wheelbaseMm!;
      const [left, right] = things;
      expect(things.map(({ body }) => body)).toEqual([`${end}.left.lower`, `${end}.right.lower`]);
      const [x, y, z] = corner.lowerOuter;
      const ball = drawn.places.get('outer')!;
      // the ball's hole runs upright through the flat arm: along it the place is free
      const [at, mirrored] = [left!, right!].map(({ motion }) => carry(motion, middle(ball)));
      near([at![0], at![1], 0], [x + axle, y, 0], 0.3);
      near([mirrored![0], mirrored![1], 0], [x + axle, -y, 0], 0.3);
      expect(Math.abs(at![2] - z)).toBeLessThan(6);
      expect([left!, right!].map(({ motion }) => isMirrored(motion))).toEqual([false, true]);
    }
  });

  it('lay the plate under what it carries, its upper face where the car has it', () => {
    const { document, drawn, things } = withPart({ as: 'plate' });
    const pack = drawn.places.get('pack')!;
    near(carry(things[0]!.motion, [middle(pack)[0], middle(pack)[1], pack.max[2]]), [
      -140,
      5,
      plateTopMm(document)!,
    ]);
    expect(things[0]!.inPlaceOf).toBe('part-p');
  });

  it('take up in the car what they are drawn as', () => {
    const { document, drawn } = withPart({ as: 'arm' });
    const left = thingsOf(document).find(({ id }) => id === 'front.left.lower')!;
    // each prism that is put on, none of the holes
    expect(left.forms).toHaveLength(drawn.drawing.steps.filter(({ take }) => !take).length);
    const points = left.forms.flatMap((form) => (form.kind === 'hull' ? form.pointsMm : []));
    const corner = document.suspension.front!.corner!;
    if (corner.kind !== 'wishbones') throw new Error('not wishbones');
    const out = Math.max(...points.map(([, y]) => y));
    // out to the ball, and the plastic round its hole
    expect(out).toBeGreaterThan(corner.lowerOuter[1] + 3);
    expect(out).toBeLessThan(corner.lowerOuter[1] + 8);
  });

  it('leave the room beside a plate that its notches make', () => {
    const { document } = withPart({ as: 'plate', marginMm: 12 });
    const plate = applyPatch(document, [
      { path: ['parts', 'items', 'p', 'massG'], value: 100 },
      { path: ['chassis', 'bodies', 'part-p'], value: { id: 'part-p', xMm: -140, yMm: 0, zMm: 20 } },
    ]);
    const { forms } = thingsOf(plate).find(({ id }) => id === 'part-p')!;
    const { lowerFront, lowerRear } = document.suspension.front!.corner!;
    const beside = forms.flatMap((form) =>
      form.kind === 'hull' &&
      form.pointsMm.every(([x]) => x <= lowerFront[0] + 7.51 && x >= lowerRear[0] - 7.51)
        ? form.pointsMm.map(([, y]) => Math.abs(y))
        : [],
    );
    // a usual arm's tube of 4.5 mm, and 3 mm of room
    expect(Math.max(...beside)).toBeLessThan(Math.min(lowerFront[1], lowerRear[1]) - 7.5 + 1e-6);
    expect(beside.length).toBeGreaterThan(0);
  });

  it('set tower and bulkhead at their end', () => {
    const { document, drawn, things } = withPart({ as: 'tower', end: 'rear' });
    const [x, y, z] = document.suspension.rear!.corner!.damper!.inner;
    near(carry(things[0]!.motion, middle(drawn.places.get('eyeLeft')!)), [
      x - document.chassis.wheelbaseMm!,
      y,
      z,
    ]);
    const bulkhead = withPart({ as: 'bulkhead' });
    near(
      carry(bulkhead.things[0]!.motion, middle(bulkhead.drawn.places.get('pinLeft')!)),
      bulkhead.document.suspension.front!.corner!.lowerFront,
    );
  });

  it('leave a mesh that was not made here to its own axes', () => {
    const { madeOf: _, ...own } = mesh;
    expect(withPart({ as: 'plate' }, own).things).toEqual([]);
  });
});
