import { CalcError } from '../../base/errors';
import { toBase64 } from '../../base/base64';
import { randomFrom } from '../../base/numeric/random';
import type { Vec3 } from '../../base/vec3';
import { boxCorners, meshOf, ringCorners, sphereCorners } from '../solid/shapes';
import { writeStl } from '../meshFiles/writeStl';
import { brickStiffness, layeredStiffness, patternStiffness } from './brick';
import { bricksOf } from '../solid/bricks';
import type { FemSettings } from './definition';
import { meshFem } from './fem';
import { preparedSolid } from './prepared';
import { type Product, productOf } from './product';
import { stressReader } from './stresses';
import { PLASTIC, UP, box, solid, solve } from '../../fixtures/solids';

const refusal = (act: () => unknown): CalcError => {
  try {
    act();
  } catch (error) {
    if (error instanceof CalcError) return error;
    throw error;
  }
  throw new Error('was not refused');
};

function applied(product: Product, x: Float64Array): Float64Array {
  const { p, q } = product.work;
  product.kernel.doubles(p, x.length).set(x);
  product.apply(p, q);
  return product.kernel.doubles(q, x.length).slice();
}

function appliedSingly({ kernel, nodes, applySingle }: Product, x: Float64Array): number[] {
  const [from, to] = [kernel.place(16 * nodes), kernel.place(16 * nodes)];
  x.forEach((value, at) => {
    kernel.singles(from, 4 * nodes)[4 * Math.floor(at / 3) + (at % 3)] = value;
  });
  applySingle(from, to);
  return [...kernel.singles(to, 4 * nodes)].filter((_, at) => at % 4 < 3);
}

test('rows of bricks give the same forces as bricks added one by one', () => {
  const k = brickStiffness(layeredStiffness({ modulusMpa: 2000, modulusRatio: 0.6, poisson: 0.35 }));
  const grid = new Uint8Array(4 * 3 * 3).fill(1);
  grid[5] = grid[17] = 0;
  grid[8] = 2;
  const bricks = bricksOf(grid, [4, 3, 3], [1, 0.3]);
  const product = productOf(bricks, k, patternStiffness(k), 0.5);
  const random = randomFrom(7);
  const x = Float64Array.from({ length: 3 * bricks.corner.length }, () => random() - 0.5);
  const [wanted, diagonal] = [new Float64Array(x.length), new Float64Array(x.length)];
  const found = applied(product, x);
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
  const size = Math.max(...wanted.map(Math.abs));
  appliedSingly(product, x).forEach((value, at) =>
    expect(Math.abs(value - wanted[at]!) / size).toBeLessThan(2e-6),
  );
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
  const forces = applied(productOf(bricks, k, patternStiffness(k), 2), u);
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
    expect(error.refused.code).toMatch(/^fem\./);
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

test('a part that is prepared once answers every load case as if it were solved by itself', () => {
  const mesh = solid(boxCorners([0, 0, 0], [12, 4, 6]));
  const settings: FemSettings = {
    voxelMm: 1,
    material: PLASTIC,
    buildDirection: UP,
    fixed: [box([0, 0, 0], [0, 4, 6])],
    loads: [],
  };
  const cases = [
    [{ ...box([12, 0, 0], [12, 4, 6]), forceN: [0, 0, -10] as const }],
    [{ ...box([6, 0, 6], [8, 4, 6]), forceN: [4, 9, 0] as const }],
  ];
  const prepared = preparedSolid(mesh, settings);
  for (const loads of [...cases, cases[0]!]) {
    const work = prepared.solve(loads);
    let step = work.next();
    while (!step.done) step = work.next();
    const alone = solve(mesh, { ...settings, loads });
    expect(step.value.displacement).toEqual(alone.displacement);
    expect({ ...step.value.result, seconds: 0 }).toEqual({ ...alone.result, seconds: 0 });
  }
  expect(refusal(() => prepared.solve([]).next())).toMatchObject({ path: 'loads' });
});
