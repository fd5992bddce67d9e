import { CalcError } from '../../base/errors';
import { toBase64 } from '../../base/base64';
import { randomFrom } from '../../base/numeric/random';
import type { StrengthMaterial } from '../strength/allowable';
import type { Vec3 } from '../../base/vec3';
import type { Mesh } from '../meshFiles/mesh';
import { boxCorners, type Corners, meshOf, ringCorners, sphereCorners } from '../solid/shapes';
import { writeStl } from '../meshFiles/writeStl';
import { brickStiffness, layeredStiffness, patternStiffness } from './brick';
import { bricksOf } from '../solid/bricks';
import { type FemSettings, type FemSolution, meshFem, solvedSolid } from './fem';
import { productOf } from './product';
import { stressReader } from './stresses';

const PLASTIC: StrengthMaterial = {
  modulusMpa: 2000,
  poisson: 0.3,
  inPlaneStrengthMpa: 50,
  interlayerStrengthMpa: 25,
  interlayerShearMpa: 20,
};
const UP: Vec3 = [0, 0, 1];
const box = (min: Vec3, max: Vec3) => ({ min, max });
const solid = (...corners: Corners[]): Mesh => meshOf(corners.flat());

function solve(mesh: Mesh, settings: FemSettings): FemSolution {
  const work = solvedSolid(mesh, settings);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

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

const refusal = (act: () => unknown): CalcError => {
  try {
    act();
  } catch (error) {
    if (error instanceof CalcError) return error;
    throw error;
  }
  throw new Error('was not refused');
};

test('rows of bricks give the same forces as bricks added one by one', () => {
  const k = brickStiffness(layeredStiffness({ modulusMpa: 2000, modulusRatio: 0.6, poisson: 0.35 }));
  const grid = new Uint8Array(4 * 3 * 3).fill(1);
  grid[5] = grid[17] = 0;
  grid[8] = 2;
  const bricks = bricksOf(grid, [4, 3, 3], [1, 0.3]);
  const product = productOf(bricks, k, patternStiffness(k), 0.5);
  const random = randomFrom(7);
  const x = Float64Array.from({ length: 3 * bricks.corner.length }, () => random() - 0.5);
  const [found, wanted, diagonal] = [
    new Float64Array(x.length),
    new Float64Array(x.length),
    new Float64Array(x.length),
  ];
  product.apply(x, found);
  for (let brick = 0; brick < bricks.voxel.length; brick++) {
    const at = bricks.voxel[brick]!;
    const share = 0.5 * bricks.shares[bricks.kind[brick]!]!;
    const nodes = Array.from(
      { length: 8 },
      (_, a) =>
        bricks.nodeAt[
          (at % 4) +
            (a & 1) +
            5 * ((Math.floor(at / 4) % 3) + ((a >> 1) & 1) + 4 * (Math.floor(at / 12) + (a >> 2)))
        ]!,
    );
    for (let p = 0; p < 24; p++) {
      const row = 3 * nodes[Math.floor(p / 3)]! + (p % 3);
      diagonal[row]! += share * k[25 * p]!;
      for (let q = 0; q < 24; q++)
        wanted[row]! += share * k[24 * p + q]! * x[3 * nodes[Math.floor(q / 3)]! + (q % 3)]!;
    }
  }
  found.forEach((value, at) => expect(value).toBeCloseTo(wanted[at]!, 8));
  product.diagonal().forEach((value, at) => expect(value).toBeCloseTo(diagonal[at]!, 8));
});

test('the patch test: an even strain leaves inner nodes at rest and is read as its own stress', () => {
  const c = layeredStiffness({ modulusMpa: 1800, modulusRatio: 0.7, poisson: 0.33 });
  const k = brickStiffness(c);
  const bricks = bricksOf(new Uint8Array(27).fill(1), [3, 3, 3], [1]);
  const slopes = [
    [1, 0.3, -0.2],
    [0.1, -0.5, 0.4],
    [0.25, 0.6, 0.8],
  ] as const;
  const u = new Float64Array(3 * bricks.corner.length);
  bricks.corner.forEach((at, node) => {
    const place = [at % 4, Math.floor(at / 4) % 4, Math.floor(at / 16)];
    slopes.forEach((slope, axis) => {
      u[3 * node + axis] = slope.reduce<number>((sum, value, other) => sum + value * 2 * place[other]!, 0);
    });
  });
  const forces = new Float64Array(u.length);
  productOf(bricks, k, patternStiffness(k), 2).apply(u, forces);
  bricks.corner.forEach((at, node) => {
    const inner = [at % 4, Math.floor(at / 4) % 4, Math.floor(at / 16)].every((one) => one > 0 && one < 3);
    if (inner) for (let axis = 0; axis < 3; axis++) expect(forces[3 * node + axis]).toBeCloseTo(0, 8);
  });
  const strain = [1, -0.5, 0.8, 0.4 + 0.6, -0.2 + 0.25, 0.3 + 0.1];
  const read = stressReader(bricks, c, 2, u);
  const found = new Float64Array(6);
  for (let brick = 0; brick < 27; brick++) {
    read(brick, found);
    found.forEach((value, row) =>
      expect(value).toBeCloseTo(
        strain.reduce((sum, e, column) => sum + c[6 * row + column]! * e, 0),
        8,
      ),
    );
  }
});

test('the layered stiffness answers single stresses by E, E/ratio and the two Poisson ratios', () => {
  const [e, ratio, nu] = [2000, 0.5, 0.3];
  const c = layeredStiffness({ modulusMpa: e, modulusRatio: ratio, poisson: nu });
  const strainsOf = {
    pulledInLayer: [1 / e, -nu / e, -nu / e],
    pulledAcross: [-nu / e, -nu / e, 1 / (ratio * e)],
  };
  const stress = (strain: readonly number[]) =>
    [0, 1, 2].map((row) => strain.reduce((sum, one, column) => sum + c[6 * row + column]! * one, 0));
  stress(strainsOf.pulledInLayer).forEach((value, row) => expect(value).toBeCloseTo([1, 0, 0][row]!, 9));
  stress(strainsOf.pulledAcross).forEach((value, row) => expect(value).toBeCloseTo([0, 0, 1][row]!, 9));
  expect(refusal(() => layeredStiffness({ modulusMpa: 1000, modulusRatio: 6, poisson: 0.4 })).path).toBe(
    'material.modulusRatio',
  );
});

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

test('infill under walls softens by its share to the power given', () => {
  const mesh = solid(boxCorners([0, 0, 0], [20, 10, 10]));
  const settings: FemSettings = {
    voxelMm: 1,
    material: PLASTIC,
    buildDirection: UP,
    fixed: [box([0, 0, 0], [0, 10, 10])],
    loads: [{ ...box([20, 0, 0], [20, 10, 10]), forceN: [10, 0, 0] }],
  };
  const whole = solve(mesh, settings).result;
  const shelled = solve(mesh, { ...settings, shell: { wallMm: 2, infill: 0.25 } }).result;
  const thick = solve(mesh, { ...settings, shell: { wallMm: 5, infill: 0.25 } }).result;
  // a wall of 2 mm leaves 6 × 6 of 10 × 10 at 0.25^1.5 = 1/8
  const stiff = (100 - 36 + 36 / 8) / 100;
  expect(
    Math.abs(whole.meanDisplacementAtLoadMm / shelled.meanDisplacementAtLoadMm / stiff - 1),
  ).toBeLessThan(0.06);
  expect(thick.maxDisplacementMm).toBeCloseTo(whole.maxDisplacementMm, 12);
});

test('a ball fills as many voxels as its volume holds', () => {
  const { result } = solve(meshOf(sphereCorners(10, 60, 120)), {
    voxelMm: 0.7,
    material: PLASTIC,
    buildDirection: UP,
    fixed: [box([-11, -11, -11], [11, 11, -8])],
    loads: [{ ...box([-11, -11, 8], [11, 11, 11]), forceN: [0, 0, -5] }],
  });
  expect(Math.abs((result.voxels * 0.7 ** 3) / ((4 / 3) * Math.PI * 1000) - 1)).toBeLessThan(0.01);
});

test('thin walls and holes solve within their iterations', () => {
  const { result } = solve(meshOf(ringCorners(20, 18, 60, 48)), {
    voxelMm: 1,
    material: { ...PLASTIC, modulusRatio: 0.8 },
    buildDirection: UP,
    fixed: [box([0, -21, -21], [0, 21, 21])],
    loads: [{ ...box([60, -21, -21], [60, 21, 21]), forceN: [0, 0, 5] }],
  });
  expect(result.iterations).toBeLessThanOrEqual(100);
});

describe('refusals', () => {
  const mesh = { stlBase64: toBase64(writeStl(solid(boxCorners([0, 0, 0], [10, 4, 4])))) };
  const settings = {
    mesh,
    voxelMm: 1,
    material: PLASTIC,
    buildDirection: UP,
    fixed: [box([0, 0, 0], [0, 4, 4])],
    loads: [{ ...box([10, 0, 0], [10, 4, 4]), forceN: [0, 0, 1] as Vec3 }],
  };
  const two = {
    stlBase64: toBase64(writeStl(solid(boxCorners([0, 0, 0], [4, 4, 4]), boxCorners([6, 0, 0], [10, 4, 4])))),
  };
  const open = solid(boxCorners([0, 0, 0], [10, 4, 4]));
  const inside = solid(boxCorners([0, 0, 0], [10, 4, 4]));
  it.each([
    ['fixed', { ...settings, fixed: [box([20, 0, 0], [21, 4, 4])] }],
    ['fixed', { ...settings, fixed: [box([0, 0, 0], [0, 0, 4])] }],
    ['loads', { ...settings, loads: [{ ...box([20, 0, 0], [21, 4, 4]), forceN: [0, 0, 1] as Vec3 }] }],
    ['loads', { ...settings, loads: [{ ...box([0, 0, 0], [0, 4, 4]), forceN: [0, 0, 1] as Vec3 }] }],
    ['mesh', { ...settings, mesh: two }],
    [
      'mesh',
      {
        ...settings,
        mesh: { stlBase64: toBase64(writeStl({ ...open, triangles: open.triangles.slice(3) })) },
      },
    ],
    [
      'mesh',
      {
        ...settings,
        mesh: { stlBase64: toBase64(writeStl({ ...inside, triangles: inside.triangles.slice().reverse() })) },
      },
    ],
    ['voxelMm', { ...settings, voxelMm: 0.05 }],
    ['voxelMm', { ...settings, voxelMm: 0.001 }],
    ['voxelMm', { ...settings, voxelMm: 30 }],
  ])('names %s', (path, input) => {
    const error = refusal(() => meshFem(input));
    expect(error.path).toBe(path);
    expect(error.remedy).toBeDefined();
  });
});

test('the field is given on request, a figure for each voxel', () => {
  const found = meshFem({
    mesh: { stlBase64: toBase64(writeStl(solid(boxCorners([0, 0, 0], [8, 4, 4])))) },
    voxelMm: 1,
    material: PLASTIC,
    buildDirection: UP,
    fixed: [box([0, 0, 0], [0, 4, 4])],
    loads: [{ ...box([8, 0, 0], [8, 4, 4]), forceN: [0, 0, 1] }],
    field: true,
  });
  const field = found.field as { margin: number[]; centreMm: Vec3[] };
  expect(field.margin).toHaveLength(128);
  expect(Math.min(...field.margin)).toBe(found.margin);
  expect(field.centreMm[field.margin.indexOf(found.margin)]).toEqual(found.atMm);
});
