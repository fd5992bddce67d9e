import { randomFrom } from '../../base/numeric/random';
import { STILL } from '../../base/vec3';
import { box } from '../../fixtures/solids';
import { bricksOf } from '../solid/bricks';
import { brickStiffness, layeredStiffness, patternStiffness } from './brick';
import { clamped } from './clamp';
import { levelsOf } from './levels';
import { multigrid } from './multigrid';
import { largestOf, productOf } from './product';

/** A plate with a hole, its layers soft across, an infill of a third in its middle. */
function part(modulusRatio: number) {
  const [nx, ny, nz] = [14, 9, 6];
  const solid = new Uint8Array(nx * ny * nz).fill(1);
  for (let k = 0, at = 0; k < nz; k++)
    for (let j = 0; j < ny; j++)
      for (let i = 0; i < nx; i++, at++) {
        if (Math.hypot(i - 8, j - 4) < 2) solid[at] = 0;
        else if (k > 1 && k < 4 && j > 1 && j < 7 && i > 1) solid[at] = 2;
      }
  const bricks = bricksOf(solid, [nx, ny, nz], [1, 1 / 3]);
  const k = brickStiffness(layeredStiffness({ modulusMpa: 2000, modulusRatio, poisson: 0.35 }));
  const w = patternStiffness(k);
  const product = productOf(bricks, k, w, 0.7);
  const { held, heldNodes } = clamped(
    bricks,
    { origin: [0, 0, 0], edgeMm: 1, size: bricks.size },
    STILL,
    [box([0, 0, 0], [0, ny, nz])],
    [{ ...box([nx, 0, 0], [nx, ny, nz]), forceN: [0, 0, 1] }],
  );
  const diagonal = product.diagonal();
  for (const node of heldNodes) diagonal[3 * node] = diagonal[3 * node + 1] = diagonal[3 * node + 2] = 0;
  return { bricks, k, w, product, held, diagonal };
}

const random = randomFrom(3);

test.each([1, 0.8, 0.4])(
  'the largest of D⁻¹K with layers %f times as stiff across is known to an eighth',
  (ratio) => {
    const { product, diagonal, k, w } = part(ratio);
    const { kernel, work } = product;
    const count = diagonal.length;
    const x = Float64Array.from(diagonal, (own) => (own > 0 ? random() - 0.5 : 0));
    let found = 0;
    for (let turn = 0; turn < 200; turn++) {
      kernel.doubles(work.p, count).set(x);
      product.apply(work.p, work.q);
      const y = kernel.doubles(work.q, count).map((one, at) => (diagonal[at]! > 0 ? one / diagonal[at]! : 0));
      const size = Math.hypot(...y);
      found = size / Math.hypot(...x);
      y.forEach((one, at) => (x[at] = one / size));
    }
    expect(Math.abs(largestOf(w, k) / found - 1)).toBeLessThan(0.125);
  },
);

test('the cycle is symmetric and positive, as conjugate gradients want it, and leaves held nodes alone', () => {
  const { bricks, product, held, diagonal, k, w } = part(0.8);
  const { kernel, work } = product;
  const count = diagonal.length;
  const cycle = multigrid(product, diagonal, largestOf(w, k), levelsOf(kernel, bricks, k, 0.7, held));
  const answer = (x: Float64Array) => {
    kernel.doubles(work.r, count).set(x);
    cycle(work.r, work.z);
    return kernel.doubles(work.z, count).slice();
  };
  const dot = (a: Float64Array, b: Float64Array) => a.reduce((sum, one, at) => sum + one * b[at]!, 0);
  for (let turn = 0; turn < 4; turn++) {
    const [a, b] = [0, 1].map(() => Float64Array.from(diagonal, (own) => (own > 0 ? random() - 0.5 : 0)));
    const [za, zb] = [answer(a!), answer(b!)];
    const size = Math.sqrt(dot(a!, za) * dot(b!, zb));
    expect(dot(a!, za)).toBeGreaterThan(0);
    expect(Math.abs(dot(a!, zb) - dot(b!, za)) / size).toBeLessThan(1e-5);
    za.forEach((one, at) => {
      if (diagonal[at] === 0) expect(one).toBe(0);
    });
  }
});
