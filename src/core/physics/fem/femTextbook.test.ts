import type { StrengthMaterial } from '../strength/allowable';
import type { Vec3 } from '../../base/vec3';
import { boxCorners, type Corners, meshOf } from '../solid/shapes';
import { layeredStiffness } from './brick';
import { stressReader } from './stresses';
import { PLASTIC, UP, box, solid, solve } from '../../fixtures/solids';

/** A beam along x with a square section, held at 0, pulled down at its end. */
const cantilever = (voxels: number, length: number, material = PLASTIC) =>
  solve(solid(boxCorners([0, 0, 0], [length, voxels, voxels])), {
    voxelMm: 1,
    material,
    buildDirection: UP,
    fixed: [box([0, 0, 0], [0, voxels, voxels])],
    loads: [{ ...box([length, 0, 0], [length, voxels, voxels]), forceN: [0, 0, -1] }],
  });

/** Timoshenko's tip deflection of a square beam. */
function tip(side: number, length: number, { modulusMpa: e, poisson: nu = 0 }: StrengthMaterial): number {
  const kappa = (10 * (1 + nu)) / (12 + 11 * nu);
  return length ** 3 / (3 * e * (side ** 4 / 12)) + length / (kappa * (e / (2 * (1 + nu))) * side * side);
}

/** The stress at the rim from a fit of 1, (R/r)² and (R/r)⁴, by the normal equations. */
function atRim(rows: readonly [number, number][], radius: number): number {
  const terms = (r: number) => [1, (radius / r) ** 2, (radius / r) ** 4];
  const m = [0, 1, 2].map((i) =>
    [0, 1, 2, 3].map((j) =>
      rows.reduce((sum, [r, stress]) => sum + terms(r)[i]! * (j === 3 ? stress : terms(r)[j]!), 0),
    ),
  );
  for (let p = 0; p < 3; p++)
    for (let row = 0; row < 3; row++) {
      if (row === p) continue;
      const factor = m[row]![p]! / m[p]![p]!;
      for (let column = 0; column < 4; column++) m[row]![column]! -= factor * m[p]![column]!;
    }
  return [0, 1, 2].reduce((sum, i) => sum + m[i]![3]! / m[i]![i]!, 0);
}

describe('a cantilever', () => {
  it.each([
    [8, 64, 0.3, 0.02],
    [4, 32, 0.3, 0.05],
    [4, 32, 0, 0.02],
  ])(
    '%i voxels thick, %i long with ν = %f bends as Timoshenko says within %f',
    (side, length, poisson, within) => {
      const { result } = cantilever(side, length, { ...PLASTIC, poisson });
      const material = { ...PLASTIC, poisson };
      expect(Math.abs(result.meanDisplacementAtLoadMm / tip(side, length, material) - 1)).toBeLessThan(
        within,
      );
      expect(result.reactionN[2]).toBeCloseTo(1, 6);
      expect(Math.hypot(result.reactionN[0], result.reactionN[1])).toBeLessThan(1e-6);
      expect(result.iterations).toBeLessThanOrEqual(20);
    },
  );

  it('has the bending stress of the beam at mid-span', () => {
    const { bricks, displacement } = cantilever(8, 64);
    const read = stressReader(bricks, layeredStiffness(PLASTIC), 1, displacement);
    const s = new Float64Array(6);
    let seen = 0;
    bricks.voxel.forEach((at, brick) => {
      if (at % 64 !== 32 || Math.floor(at / 512) !== 7) return;
      seen++;
      read(brick, s);
      expect(Math.abs(s[0]! / (((64 - 32.5) * 3.5) / (8 ** 4 / 12)) - 1)).toBeLessThan(0.03);
    });
    expect(seen).toBe(8);
  });

  it('splits along the layers when it stands, and says so', () => {
    const settings = {
      voxelMm: 1,
      material: PLASTIC,
      fixed: [box([0, 0, 0], [0, 6, 6])],
      loads: [{ ...box([36, 0, 0], [36, 6, 6]), forceN: [0, 0, -4] as Vec3 }],
    };
    const mesh = solid(boxCorners([0, 0, 0], [36, 6, 6]));
    const [lying, standing] = [
      solve(mesh, { ...settings, buildDirection: UP }).result,
      solve(mesh, { ...settings, buildDirection: [1, 0, 0] }).result,
    ];
    expect(lying.failsBy).toBe('in the layer');
    expect(standing.failsBy).toBe('layers pulled apart');
    expect(standing.margin / lying.margin).toBeLessThan(0.6);
    expect(standing.maxDisplacementMm).toBeCloseTo(lying.maxDisplacementMm, 9);
  });
});

test('a turned part under a turned load gives the same answer', () => {
  const material = { ...PLASTIC, modulusRatio: 0.6 };
  const lying = solve(solid(boxCorners([0, 0, 0], [30, 6, 4])), {
    voxelMm: 1,
    material,
    buildDirection: UP,
    fixed: [box([0, 0, 0], [0, 6, 4])],
    loads: [{ ...box([30, 0, 0], [30, 6, 4]), forceN: [0, 1, -2] }],
  }).result;
  // x → y → z → x: [x, y, z] becomes [z, x, y]
  const turned = solve(solid(boxCorners([0, 0, 0], [4, 30, 6])), {
    voxelMm: 1,
    material,
    buildDirection: [1, 0, 0],
    fixed: [box([0, 0, 0], [4, 0, 6])],
    loads: [{ ...box([0, 30, 0], [4, 30, 6]), forceN: [-2, 0, 1] }],
  }).result;
  expect(turned.margin).toBeCloseTo(lying.margin, 6);
  expect(turned.meanDisplacementAtLoadMm).toBeCloseTo(lying.meanDisplacementAtLoadMm, 8);
  expect([turned.atMm[1], turned.atMm[2], turned.atMm[0]]).toEqual(lying.atMm);
  [
    turned.reactionN[1] - lying.reactionN[0],
    turned.reactionN[2] - lying.reactionN[1],
    turned.reactionN[0] - lying.reactionN[2],
  ].forEach((gap) => expect(gap).toBeCloseTo(0, 6));
});

test('a build direction between the axes turns the grid, whose stairs soften the beam a little', () => {
  const settings = {
    material: PLASTIC,
    fixed: [box([-1, -1, -1], [1.6, 9, 9])],
    loads: [{ ...box([46.4, -1, -1], [49, 9, 9]), forceN: [0, 0, -1] as Vec3 }],
  };
  const mesh = solid(boxCorners([0, 0, 0], [48, 8, 8]));
  const [straight, leant] = [
    solve(mesh, { ...settings, voxelMm: 1, buildDirection: UP }).result,
    solve(mesh, { ...settings, voxelMm: 0.6, buildDirection: [1, 0, 2] }).result,
  ];
  expect(leant.maxDisplacementMm / straight.maxDisplacementMm).toBeGreaterThan(1);
  expect(leant.maxDisplacementMm / straight.maxDisplacementMm).toBeLessThan(1.1);
  [0, 0, 1].forEach((wanted, axis) => expect(leant.reactionN[axis]).toBeCloseTo(wanted, 5));
});

test('a square bar twists by Saint-Venant', () => {
  const [side, length, f] = [10, 80, 1];
  const plate = (y0: number, y1: number, z0: number, z1: number, forceN: Vec3) => ({
    ...box([length, y0, z0], [length, y1, z1]),
    forceN,
  });
  const { displacement, bricks } = solve(solid(boxCorners([0, 0, 0], [length, side, side])), {
    voxelMm: 1,
    material: PLASTIC,
    buildDirection: UP,
    fixed: [box([0, 0, 0], [0, side, side])],
    loads: [
      plate(0, 0, 0, side, [0, 0, -f]),
      plate(side, side, 0, side, [0, 0, f]),
      plate(0, side, 0, 0, [0, f, 0]),
      plate(0, side, side, side, [0, -f, 0]),
    ],
  });
  // turn between two sections away from both ends, from the middles of opposite sides
  const turnAt = (x: number) => {
    const node = (y: number, z: number) => bricks.nodeAt[x + (length + 1) * (y + (side + 1) * z)]!;
    return (displacement[3 * node(side, side / 2) + 2]! - displacement[3 * node(0, side / 2) + 2]!) / side;
  };
  const shear = PLASTIC.modulusMpa / (2 * (1 + PLASTIC.poisson!));
  const wanted = (2 * f * side * 40) / (shear * 0.1406 * side ** 4);
  expect(Math.abs((turnAt(60) - turnAt(20)) / wanted - 1)).toBeLessThan(0.03);
});

test('a plate with a hole has Kirsch’s stress beside it and three times the pull at its rim', () => {
  const [radius, width, thick] = [8, 160, 2];
  const k = 64;
  const rim = (at: number, z: number): Vec3 => [
    width / 2 + radius * Math.cos((2 * Math.PI * at) / k),
    width / 2 + radius * Math.sin((2 * Math.PI * at) / k),
    z,
  ];
  const edge = (at: number, z: number): Vec3 => {
    const [c, s] = [Math.cos((2 * Math.PI * at) / k), Math.sin((2 * Math.PI * at) / k)];
    const reach = width / 2 / Math.max(Math.abs(c), Math.abs(s));
    return [width / 2 + reach * c, width / 2 + reach * s, z];
  };
  const quad = (a: Vec3, b: Vec3, c: Vec3, d: Vec3): Corners => [...a, ...b, ...c, ...a, ...c, ...d];
  const corners = Array.from({ length: k }, (_, at) =>
    [
      quad(rim(at, thick), edge(at, thick), edge(at + 1, thick), rim(at + 1, thick)),
      quad(rim(at, 0), rim(at + 1, 0), edge(at + 1, 0), edge(at, 0)),
      quad(rim(at, 0), rim(at, thick), rim(at + 1, thick), rim(at + 1, 0)),
      quad(edge(at, 0), edge(at + 1, 0), edge(at + 1, thick), edge(at, thick)),
    ].flat(),
  ).flat();
  const ends: Vec3 = [width, width, thick];
  const { bricks, displacement, result } = solve(
    meshOf(corners.map((value) => Math.round(value * 1e6) / 1e6)),
    {
      voxelMm: 1,
      material: PLASTIC,
      buildDirection: UP,
      fixed: [box([0, 0, 0], [0, width, thick])],
      loads: [{ ...box([width, 0, 0], ends), forceN: [width * thick, 0, 0] }],
    },
  );
  const read = stressReader(bricks, layeredStiffness(PLASTIC), 1, displacement);
  const s = new Float64Array(6);
  const rows: [r: number, stress: number][] = [];
  bricks.voxel.forEach((at, brick) => {
    const [i, j, z] = [at % width, Math.floor(at / width) % width, Math.floor(at / (width * width))];
    if (i !== width / 2 || z !== 0 || j < width / 2) return;
    read(brick, s);
    rows.push([j + 0.5 - width / 2, s[0]!]);
  });
  const beside = rows.find(([r]) => Math.abs(r - 2 * radius) < 0.6)!;
  const share = radius / beside[0];
  expect(Math.abs(beside[1] / (1 + share ** 2 / 2 + 1.5 * share ** 4) - 1)).toBeLessThan(0.08);
  expect(
    Math.abs(
      atRim(
        rows.filter(([r]) => r >= radius + 2 && r <= 2.5 * radius),
        radius,
      ) /
        3.03 -
        1,
    ),
  ).toBeLessThan(0.1);
  expect(result.iterations).toBeLessThanOrEqual(80);
}, 30_000);
