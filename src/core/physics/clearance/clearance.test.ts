import { CalcError } from '../../base/errors';
import { randomFrom } from '../../base/numeric/random';
import { add, dot, scale, type Vec3 } from '../../base/vec3';
import { wishbones } from '../../fixtures/forcedCorners';
import { clearanceCheck } from './check';
import type { ClearanceInput, Form, NearPair, Shape } from './definition';

const cube = (centreMm: Vec3, size = 10): Form => ({ kind: 'box', centreMm, sizeMm: [size, size, size] });
const pair = (a: Form, b: Form, more: Partial<ClearanceInput> = {}): NearPair =>
  clearanceCheck({
    shapes: [
      { id: 'a', ...a },
      { id: 'b', body: 'moves', ...b },
    ] as Shape[],
    ...more,
  }).pairs[0]!;
const signed = (a: Form, b: Form): number => {
  const { distanceMm, penetrationMm = 0 } = pair(a, b);
  return distanceMm - penetrationMm;
};
const hull = (pointsMm: readonly Vec3[]): Form => ({ kind: 'hull', pointsMm });
const boxMesh = (centre: Vec3, size: number): Extract<Form, { kind: 'mesh' }> => ({
  kind: 'mesh',
  pointsMm: Array.from({ length: 8 }, (_, k): Vec3 =>
    add(centre, scale([k & 1 ? 1 : -1, k & 2 ? 1 : -1, k & 4 ? 1 : -1], size / 2)),
  ),
  triangles: [
    [0, 2, 1],
    [1, 2, 3],
    [4, 5, 6],
    [5, 7, 6],
    [0, 1, 4],
    [1, 5, 4],
    [2, 6, 3],
    [3, 6, 7],
    [0, 4, 2],
    [2, 4, 6],
    [1, 3, 5],
    [3, 7, 5],
  ],
});

describe('the distance of two shapes', () => {
  it('is by hand of spheres, capsules, cylinders and boxes', () => {
    expect(
      signed(
        { kind: 'sphere', centreMm: [0, 0, 0], radiusMm: 2 },
        { kind: 'sphere', centreMm: [3, 4, 0], radiusMm: 1 },
      ),
    ).toBeCloseTo(2, 6);
    // off a face, an edge and a corner of a cube
    expect(signed(cube([0, 0, 0]), { kind: 'sphere', centreMm: [9, 1, 2], radiusMm: 1 })).toBeCloseTo(3, 5);
    expect(signed(cube([0, 0, 0]), { kind: 'sphere', centreMm: [8, 9, 2], radiusMm: 1 })).toBeCloseTo(4, 5);
    expect(signed(cube([0, 0, 0]), { kind: 'sphere', centreMm: [6, 7, 7], radiusMm: 1 })).toBeCloseTo(2, 5);
    // two skew rods 7 mm apart
    expect(
      signed(
        { kind: 'capsule', fromMm: [-20, 0, 0], toMm: [20, 0, 0], radiusMm: 1 },
        { kind: 'capsule', fromMm: [3, -9, 7], toMm: [3, 30, 7], radiusMm: 2 },
      ),
    ).toBeCloseTo(4, 5);
    // over the flat end of a cylinder, and off its rim by 3 and 4
    const can: Form = { kind: 'cylinder', fromMm: [0, 0, 0], toMm: [0, 0, 10], radiusMm: 5 };
    expect(signed(can, { kind: 'sphere', centreMm: [1, 1, 14], radiusMm: 1 })).toBeCloseTo(3, 5);
    expect(signed(can, { kind: 'sphere', centreMm: [8, 0, 14], radiusMm: 1 })).toBeCloseTo(4, 4);
    // a cube turned by 45° about z stands on its edge: 5·√2 wide
    expect(
      signed(
        { kind: 'box', centreMm: [0, 0, 0], sizeMm: [10, 10, 10], turnDeg: [0, 0, 45] },
        cube([20, 0, 0]),
      ),
    ).toBeCloseTo(15 - 5 * Math.SQRT2, 5);
  });

  it('is less than nothing by the shortest way that parts them', () => {
    expect(signed(cube([0, 0, 0]), cube([7, 1, 2]))).toBeCloseTo(-3, 3);
    expect(signed(cube([0, 0, 0]), { kind: 'sphere', centreMm: [3, 1, 0], radiusMm: 1 })).toBeCloseTo(-3, 3);
    expect(
      signed(
        { kind: 'sphere', centreMm: [0, 0, 0], radiusMm: 3 },
        { kind: 'sphere', centreMm: [0, 0, 1], radiusMm: 2 },
      ),
    ).toBeCloseTo(-4, 6);
    // two rods that cross go apart by both their radii
    expect(
      signed(
        { kind: 'capsule', fromMm: [-9, 0, 0], toMm: [9, 0, 0], radiusMm: 1 },
        { kind: 'capsule', fromMm: [0, -9, 0], toMm: [0, 9, 0], radiusMm: 2 },
      ),
    ).toBeCloseTo(-3, 6);
    expect(
      signed(
        { kind: 'cylinder', fromMm: [0, 0, 0], toMm: [0, 0, 40], radiusMm: 5 },
        { kind: 'cylinder', fromMm: [8, 0, 20], toMm: [8, 0, 60], radiusMm: 5 },
      ),
    ).toBeCloseTo(-2, 2);
  });

  it('is the largest over all directions of what their farthest points leave, apart or not', () => {
    const random = randomFrom(11);
    const cloud = (centre: Vec3) =>
      Array.from({ length: 9 }, (): Vec3 => add(centre, [random() * 10, random() * 10, random() * 10]));
    for (const offset of [2, 6, 9, 14] as const) {
      const [p, q] = [cloud([0, 0, 0]), cloud([offset, offset / 2, 1])];
      const reach = (points: readonly Vec3[], n: Vec3) =>
        points.reduce((most, point) => Math.max(most, dot(point, n)), -Infinity);
      let best = -Infinity;
      const looks = 40_000;
      for (let k = 0; k < looks; k++) {
        const z = 1 - (2 * k + 1) / looks;
        const turn = k * Math.PI * (3 - Math.sqrt(5));
        const n: Vec3 = [Math.sqrt(1 - z * z) * Math.cos(turn), Math.sqrt(1 - z * z) * Math.sin(turn), z];
        best = Math.max(best, -reach(p, n) - reach(q, scale(n, -1)));
      }
      const found = signed(hull(p), hull(q));
      expect(found).toBeGreaterThan(best - 0.01);
      expect(found).toBeLessThan(best + 0.12);
    }
  });

  it('of a mesh is that of its skin, and contact where one lies within', () => {
    const mesh = boxMesh([0, 0, 0], 10);
    const ball = (centreMm: Vec3): Form => ({ kind: 'sphere', centreMm, radiusMm: 1 });
    expect(pair(mesh, ball([8, 9, 2])).distanceMm).toBeCloseTo(4, 5);
    expect(pair(mesh, boxMesh([14, 14, 0], 10)).distanceMm).toBeCloseTo(4 * Math.SQRT2, 5);
    const within = pair(mesh, ball([0.5, 0.2, 0.1]));
    expect(within).toMatchObject({ contact: true, distanceMm: 0, marginMm: -1.5 });
    expect(within.penetrationMm).toBeUndefined();
    expect(pair(boxMesh([0, 0, 0], 2), boxMesh([0.3, 0.1, 0], 20)).contact).toBe(true);
  });
});

describe('what comes near what', () => {
  it('names the worst pose, the wanted distance of each pair, and what is allowed', () => {
    const shapes: Shape[] = [
      { id: 'frame', ...cube([0, 0, 0]) },
      { id: 'arm', body: 'arm', ...cube([20, 0, 0]) },
      { id: 'motor', class: 'hot', ...cube([0, 14, 0]) },
      { id: 'lead', class: 'wire', body: 'arm', ...cube([60, 0, 0]) },
    ];
    const poses = [0, 60, 120].map((deg) => ({
      name: `turned ${deg}`,
      bodies: {
        arm: {
          moveMm: [deg / 60, 0, 0] as Vec3,
          turn: { axis: [0, 0, 2] as Vec3, aboutMm: [20, 0, 0] as Vec3, deg },
        },
      },
    }));
    const { pairs, worst, contacts, findings } = clearanceCheck({ shapes, poses });
    expect(pairs.map(({ a, b, requiredMm }) => [a, b, requiredMm])).toEqual([
      ['frame', 'arm', 1.5],
      ['frame', 'motor', 5],
      ['frame', 'lead', 3],
      ['arm', 'motor', 5],
      ['motor', 'lead', 5],
    ]);
    // turned by 60° the cube reaches 5·(cos 60° + sin 60°) to the side and has moved by 1
    expect(pairs[0]).toMatchObject({ pose: 'turned 60', contact: false });
    expect(pairs[0]!.distanceMm).toBeCloseTo(16 - 5 * (0.5 + Math.sqrt(3) / 2), 4);
    expect(worst).toMatchObject({ a: 'frame', b: 'motor', marginMm: expect.closeTo(-1, 4) });
    expect(contacts).toBe(0);
    expect(findings[0]!.severity).toBe('over');
    const without = clearanceCheck({ shapes, poses, allowed: [['motor', 'frame']] });
    expect(without.worst!.a).not.toBe('frame');
  });

  it('follows the corner: what sits on the wheel rises by the travel', () => {
    const shapes: Shape[] = [
      { id: 'hub', body: 'upright', kind: 'sphere', centreMm: wishbones.wheelCentre, radiusMm: 3 },
      { id: 'tower', kind: 'box', centreMm: [0, 115, 70], sizeMm: [40, 40, 10] },
      {
        id: 'tie',
        body: 'tie',
        kind: 'capsule',
        fromMm: wishbones.tieInner,
        toMm: wishbones.tieOuter,
        radiusMm: 2,
      },
      { id: 'rod', body: 'damperOuter', kind: 'sphere', centreMm: wishbones.damper!.outer, radiusMm: 1 },
    ];
    const found = clearanceCheck({ shapes, corner: { ...wishbones, travelMm: [-5, 0, 8], rackMm: [0, 2] } });
    const of = (a: string, b: string) => found.pairs.find((one) => one.a === a && one.b === b)!;
    // 65 mm to the tower's underside, the hub's top at 45 and 8 up
    expect(of('hub', 'tower').distanceMm).toBeCloseTo(12, 3);
    expect(of('hub', 'tower').pose).toMatchObject({ travelMm: 8 });
    expect(found.pairs).toHaveLength(6);
    const far = clearanceCheck({ shapes, corner: { ...wishbones, travelMm: [0, 300] } });
    expect(far.findings.some(({ about }) => about === 'travelMm')).toBe(true);
  });

  it('refuses what is not there', () => {
    const refused = (more: Partial<ClearanceInput>) => {
      try {
        clearanceCheck({ shapes: [{ id: 'a', ...cube([0, 0, 0]) }], ...more });
      } catch (error) {
        if (error instanceof CalcError) return error.path;
        throw error;
      }
      return undefined;
    };
    const one: Shape = { id: 'a', ...cube([0, 0, 0]) };
    expect(refused({ shapes: [one, one] })).toBe('shapes.1.id');
    expect(refused({ allowed: [['a', 'b']] })).toBe('allowed.0.1');
    expect(refused({ poses: [{ name: 'p', bodies: { b: {} } }] })).toBe('poses.0.bodies.b');
    expect(refused({ poses: [], corner: { ...wishbones, travelMm: [0] } })).toBe('poses');
    const square = [0, 1, 2, 3].map((k): Vec3 => [k % 2, k >> 1, 0]);
    expect(refused({ shapes: [{ id: 'h', ...hull(square) }] })).toBe('shapes.0.pointsMm');
    expect(
      refused({
        shapes: [{ id: 'm', ...boxMesh([0, 0, 0], 1), body: 'wheel' }],
        ground: { wheelbaseMm: 300, frontRadiusMm: 40, rearRadiusMm: 40 },
      }),
    ).toBe('ground');
    expect(refused({ shapes: [{ id: 'm', ...boxMesh([0, 0, 0], 1), triangles: [[0, 1, 9]] }] })).toBe(
      'shapes.0.triangles.0',
    );
    expect(refused({ corner: { ...wishbones, lowerRear: wishbones.lowerFront, travelMm: [0] } })).toBe(
      'corner.lowerFront',
    );
  });
});

describe('the car over the ground', () => {
  const ground = { wheelbaseMm: 300, frontRadiusMm: 40, rearRadiusMm: 40 };
  const bar = (from: number, to: number, low: number): Shape => ({
    id: `bar ${from}`,
    kind: 'box',
    centreMm: [(from + to) / 2, 0, low + 10],
    sizeMm: [to - from, 60, 20],
  });
  const over = (...shapes: Shape[]) => clearanceCheck({ shapes, ground }).ground!;

  it('has its angles by hand: tangents to the tyres', () => {
    const found = over(bar(-250, -50, 20), { ...bar(60, 80, 30), id: 'nose' });
    expect(found).toMatchObject({
      clearanceMm: expect.closeTo(20, 9),
      clearanceAtMm: expect.closeTo(-150, 6),
    });
    const deg = 180 / Math.PI;
    // the nose at 80 mm and 30 high: 10 under the axle
    expect(found.approachDeg).toBeCloseTo((Math.asin(40 / Math.hypot(80, 10)) - Math.atan2(10, 80)) * deg, 6);
    expect(found.departureDeg).toBe(90);
    // the middle of the belly, 150 mm from either axle
    expect(found.breakoverDeg).toBeCloseTo(
      2 * (Math.asin(40 / Math.hypot(150, 20)) - Math.atan2(20, 150)) * deg,
      6,
    );
  });

  it('is the same of a mesh as of a box', () => {
    const mesh: Shape = { id: 'mesh', ...boxMesh([-150, 0, 60], 80) };
    const box: Shape = { id: 'box', ...cube([-150, 0, 60], 80) };
    const [one, other] = [over(mesh), over(box)];
    for (const key of ['clearanceMm', 'clearanceAtMm', 'breakoverDeg'] as const)
      expect(one[key]).toBeCloseTo(other[key]!, 5);
    expect(Math.abs(one.highestStepMm - other.highestStepMm)).toBeLessThan(0.1);
  });

  it('climbs as high as its tyres where nothing else meets the step, as its nose where that is lower', () => {
    expect(over(bar(-200, -100, 70)).highestStepMm).toBe(40);
    expect(Math.abs(over({ ...bar(60, 80, 30), id: 'nose' }).highestStepMm - 30)).toBeLessThan(0.1);
    expect(over(bar(-200, -100, -1)).highestStepMm).toBe(0);
  });

  it('climbs until the edge meets its belly: seen from the car', () => {
    const belly = 12;
    const found = over(bar(-270, -30, belly)).highestStepMm;
    // the edge as the car sees it, wherever the front wheel stands on its way
    const meets = (height: number) => {
      const centre = (x: number) =>
        x >= 0 ? height + 40 : x <= -40 ? 40 : Math.max(40, height + Math.sqrt(1600 - x * x));
      for (let x = -60; x < 400; x += 0.05) {
        let rear = x - 300;
        for (let k = 0; k < 60; k++) rear = x - Math.sqrt(300 ** 2 - (centre(x) - centre(rear)) ** 2);
        const angle = Math.atan2(centre(x) - centre(rear), x - rear);
        const [dx, dz] = [-rear, height - centre(rear)];
        const [along, up] = [
          Math.cos(angle) * dx + Math.sin(angle) * dz - 300,
          -Math.sin(angle) * dx + Math.cos(angle) * dz + 40,
        ];
        if (along > -270 && along < -30 && up > belly) return true;
      }
      return false;
    };
    expect(meets(found - 0.1)).toBe(false);
    expect(meets(found + 0.1)).toBe(true);
    expect(found).toBeLessThan(39);
    expect(found).toBeGreaterThan(belly);
  });
});
