import { applyPatch, type Patch } from '../../base/patch';
import { carry, type Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { poseCorner } from '../../physics/corner/posed';
import { whole } from '../../fixtures/suspended';
import { evaluateBuild } from '../../verdict/evaluate';
import { tyreSpin } from '../../physics/tyres/tyreSpin';
import { cornerOf } from '../suspension/endOfBuild';
import { apartIn, clearanceOf, freeTravelMm } from './clearanceOfBuild';
import { bodiesIn } from './posesOfCar';
import { thingsOf } from './thingsOfCar';

/** Nothing but the front corners and a box that is placed by the test. */
const withBox = (place: Partial<Record<string, number>>, ...more: Patch): BuildDocument =>
  applyPatch(whole, [
    {
      path: ['chassis', 'bodies'],
      value: [
        {
          id: 'box',
          name: 'Beam',
          massG: 20,
          lengthMm: 30,
          widthMm: 30,
          heightMm: 10,
          xMm: 0,
          yMm: 0,
          zMm: 60,
          ...place,
        },
      ],
    },
    { path: ['suspension', 'rear'], value: undefined },
    { path: ['drive', 'drivenAxles'], value: 'rear' },
    // thin enough that nothing of the corner itself meets
    { path: ['suspension', 'front', 'armMm'], value: 3 },
    { path: ['suspension', 'front', 'linkMm'], value: 3 },
    { path: ['suspension', 'front', 'damperMm'], value: 4 },
    ...more,
  ]);
const worked = (document: BuildDocument) => {
  const found = clearanceOf(document);
  if (!found.ok) throw new Error(found.missing.join());
  return found.value;
};
const check = (document: BuildDocument) => evaluateBuild(document).find(({ id }) => id === 'fit.clearance')!;
const corner = cornerOf(whole, 'front');
if (!corner.ok) throw new Error(corner.missing.join());
const centre = corner.value.wheelCentre;

describe('the car in space', () => {
  it('moves both corners of an end as the linkage does, the right one as a mirror image with the rack the other way', () => {
    const pose = { travelMm: { front: 9, rear: 0 }, rackMm: 4 };
    const bodies = bodiesIn(whole, pose);
    const place = (side: 'left' | 'right', at: Vec3) => carry(bodies.get(`front.${side}.upright`)!, at);
    const left = poseCorner(corner.value, 9, 4).station.points.wheelCentre!;
    const right = poseCorner(corner.value, 9, -4).station.points.wheelCentre!;
    place('left', centre).forEach((value, k) => expect(value).toBeCloseTo(left[k]!, 9));
    place('right', [centre[0], -centre[1], centre[2]]).forEach((value, k) =>
      expect(value).toBeCloseTo(k === 1 ? -right[k]! : right[k]!, 9),
    );
    // the rear corner turns about its own axle
    const rear = cornerOf(whole, 'rear');
    if (!rear.ok) throw new Error(rear.missing.join());
    const lifted = bodiesIn(whole, { travelMm: { front: 0, rear: -6 }, rackMm: 0 });
    const [x, y, z] = rear.value.wheelCentre;
    expect(carry(lifted.get('rear.left.upright')!, [x - 280, y, z])[2]).toBeCloseTo(z - 6, 6);
  });

  it('leans: one side in as the other comes out, no farther than its travel', () => {
    const leaning = (leanMm: number) => {
      const bodies = bodiesIn(whole, { travelMm: { front: 0, rear: 0 }, rackMm: 0, leanMm });
      return (['left', 'right'] as const).map(
        (side) =>
          carry(bodies.get(`front.${side}.upright`)!, [
            centre[0],
            side === 'left' ? centre[1] : -centre[1],
            centre[2],
          ])[2] - centre[2],
      );
    };
    const [left, right] = leaning(10);
    expect(left!).toBeCloseTo(5, 6);
    expect(right!).toBeCloseTo(-5, 6);
    const { bumpMm, droopMm } = whole.suspension.front!;
    const [full, out] = leaning(500);
    expect(full!).toBeCloseTo(bumpMm!, 6);
    expect(out!).toBeCloseTo(-droopMm!, 6);
  });

  it('turns a drive shaft about its inner joint, its outer end towards the middle of the wheel, where the end is driven', () => {
    const driven = applyPatch(whole, [
      { path: ['drive', 'drivenAxles'], value: 'all' },
      { path: ['suspension', 'front', 'shaftInnerMm'], value: 20 },
      { path: ['suspension', 'front', 'shaftMm'], value: 5 },
    ]);
    const shaft = thingsOf(driven).find(({ id }) => id === 'front.right.shaft')!;
    expect(shaft.forms).toEqual([
      {
        kind: 'capsule',
        fromMm: [centre[0], -20, centre[2]],
        toMm: [centre[0], -centre[1], centre[2]],
        radiusMm: 2.5,
      },
    ]);
    const pose = { travelMm: { front: 12, rear: 0 }, rackMm: 5 };
    const bodies = bodiesIn(driven, pose);
    const inner: Vec3 = [centre[0], -20, centre[2]];
    const outer: Vec3 = [centre[0], -centre[1], centre[2]];
    carry(bodies.get(shaft.body)!, inner).forEach((value, k) => expect(value).toBeCloseTo(inner[k]!, 9));
    // as long as it was, on the line to where the wheel has gone
    const end = carry(bodies.get(shaft.body)!, outer);
    const wheel = carry(bodies.get('front.right.upright')!, outer);
    const [a, b] = [end, wheel].map((point) => point.map((value, k) => value - inner[k]!));
    const long = (v: number[]) => Math.hypot(...v);
    expect(long(a!)).toBeCloseTo(centre[1] - 20, 9);
    a!.forEach((value, k) => expect(value / long(a!)).toBeCloseTo(b![k]! / long(b!), 9));
    const rear = applyPatch(driven, [{ path: ['drive', 'drivenAxles'], value: 'rear' }]);
    expect(thingsOf(rear).some(({ id }) => id === 'front.left.shaft')).toBe(false);
  });

  it('has what was placed and what the corners are drawn of, and leaves inside the rim free', () => {
    const things = thingsOf(withBox({}));
    expect(things.filter(({ of }) => of?.end === 'front')).toHaveLength(14);
    expect(things.find(({ id }) => id === 'box')!.name).toBe('Beam');
    expect(things.some(({ id }) => id === 'wheel-fl' || id === 'hub-fl')).toBe(false);
    // a box of 4 mm in the middle of the wheel touches nothing of the tyre, through all of its travel
    const inside = worked(
      withBox({ xMm: centre[0], yMm: centre[1], zMm: centre[2], lengthMm: 4, widthMm: 4, heightMm: 4 }),
    );
    expect(
      inside.near.some(({ a, b, contact }) => a.id === 'box' && b.of?.thing === 'wheel' && contact),
    ).toBe(false);
  });
});

describe('a tyre in space', () => {
  it('is as large as it grows to at the wished speed', () => {
    const outer = (document: BuildDocument) => {
      const { forms } = thingsOf(document).find(({ id }) => id === 'front.left.wheel')!;
      return Math.max(
        ...forms.map((form) =>
          form.kind === 'capsule'
            ? Math.hypot(
                (form.fromMm[0] + form.toMm[0]) / 2 - centre[0],
                (form.fromMm[2] + form.toMm[2]) / 2 - centre[2],
              ) + form.radiusMm
            : 0,
        ),
      );
    };
    const make = { kind: 'foam', radiusMm: 40, hold: 'bonded', rimRadiusMm: 24, widthMm: 26 } as const;
    const soft = applyPatch(whole, [
      { path: ['drive', 'tyre', 'ring'], value: 'foam' },
      { path: ['drive', 'tyreHold'], value: { by: 'bonded', rimRadiusMm: 24, widthMm: 26 } },
      { path: ['brief', 'targetMps'], value: 40 },
    ]);
    const still = outer(applyPatch(soft, [{ path: ['brief', 'targetMps'], value: undefined }]));
    expect(still).toBeCloseTo(40, 1);
    // the wheel turns as fast as its grown tread rolls at that speed
    let rpm = 0;
    for (let k = 0; k < 40; k++) rpm = (40 * 60_000) / (Math.PI * tyreSpin({ ...make, rpm }).diameterMm!);
    expect(outer(soft) - still).toBeCloseTo(tyreSpin({ ...make, rpm }).diameterMm! / 2 - 40, 2);
    expect(outer(soft)).toBeGreaterThan(40.2);
  });
});

describe('what touches', () => {
  // over the tyre: it rises by the travel, to 40 + 40 mm at rest
  const over = (gapMm: number, ...more: Patch) =>
    withBox({ xMm: 0, yMm: centre[1], zMm: centre[2] + 40 + gapMm + 5, lengthMm: 200, widthMm: 6 }, ...more);
  const pairOf = (document: BuildDocument) =>
    worked(document).near.find(({ a, b }) => a.id === 'box' && b.id === 'front.left.wheel')!;

  it('is found at the pose where it is the deepest, with the travel that is left', () => {
    const document = over(12);
    const pair = pairOf(document);
    expect(pair.pose.travelMm.front).toBe(16);
    // 12 mm of room, 16 of bump
    expect(pair.signedMm).toBeCloseTo(-4, 0);
    expect(pair.contact).toBe(true);
    expect(Math.abs(freeTravelMm(document, pair)! - (12 - pair.wantedMm))).toBeLessThan(0.5);
    expect(pairOf(over(40))).toBeUndefined();
  });

  it('is over in the check, cured by less travel, and silent once it is allowed', () => {
    const document = over(12);
    const found = check(document);
    expect(found).toMatchObject({ state: 'over', value: 0, margin: 0, finding: { code: 'fit.meets' } });
    const less = found.remedies.find(({ patch }) => patch.some(({ path }) => path.at(-1) === 'bumpMm'))!;
    const cured = pairOf(applyPatch(document, less.patch));
    expect(cured.signedMm).toBeGreaterThanOrEqual(cured.wantedMm - 0.05);
    const allowed = applyPatch(document, [
      { path: ['chassis', 'touching'], value: [{ id: 't', a: 'front.left.wheel', b: 'box' }] },
    ]);
    expect(pairOf(allowed).allowed).toBe(true);
    expect(check(allowed).finding).not.toEqual(found.finding);
  });

  it('wants more beside what is hot and beside a wheel that wobbles', () => {
    const plain = pairOf(over(18));
    // half of what the rim moves in its bearings and joints on top
    expect(plain.wantedMm).toBeGreaterThan(1.5);
    const still = pairOf(over(18, { path: ['suspension', 'front', 'play'], value: undefined }));
    expect(still.wantedMm).toBe(1.5);
  });

  it('stands against the wish over the ground', () => {
    const low = withBox({ xMm: -140, zMm: 20, heightMm: 10 }, { path: ['chassis', 'groundMm'], value: 20 });
    expect(worked(low).ground!.clearanceMm).toBeCloseTo(15, 9);
    expect(check(low)).toMatchObject({ state: 'over', value: expect.closeTo(15, 9), limit: 20 });
  });

  it('is measured between any two things in any pose', () => {
    const two = applyPatch(withBox({ xMm: -100, yMm: 0, zMm: 60 }), [
      {
        path: ['chassis', 'bodies', 'other'],
        value: {
          id: 'other',
          name: 'Other',
          massG: 5,
          xMm: -150,
          yMm: 0,
          zMm: 60,
          lengthMm: 10,
          widthMm: 10,
          heightMm: 10,
        },
      },
    ]);
    const of = (id: string) => thingsOf(two).find((one) => one.id === id)!;
    const at = (mm: number) => ({ travelMm: { front: mm, rear: mm }, rackMm: 0 });
    // 50 between the middles, 15 and 5 of them theirs
    expect(apartIn(two, of('box'), of('other'), at(0))).toBeCloseTo(30, 5);
    expect(apartIn(two, of('box'), of('other'), at(12))).toBeCloseTo(30, 5);
    const over = withBox({ xMm: 0, yMm: centre[1], zMm: centre[2] + 40 + 35, lengthMm: 200, widthMm: 6 });
    const [box, wheel] = ['box', 'front.left.wheel'].map((id) =>
      thingsOf(over).find((one) => one.id === id)!,
    );
    const [rest, up] = [0, 10].map((mm) => apartIn(over, box!, wheel!, at(mm)));
    expect(rest! - up!).toBeCloseTo(10, 0);
  });

  it('waits for a corner', () => {
    const bare = applyPatch(whole, [{ path: ['suspension'], value: {} }]);
    expect(clearanceOf(bare)).toEqual({ ok: false, missing: ['suspension.front.corner'] });
    expect(check(bare)).toBeUndefined();
  });
});
