import type { Part } from '../../car/parts/parts';
import { applyPatch } from '../../base/patch';
import { car, surface } from '../../fixtures/car';
import { filletFactor } from './fillet';
import { partRemedies } from '../../verdict/parts/partRemedies';
import { partStrength } from '../../worked/parts/partStrength';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';

test.each([
  [2, 0.1, 1.9],
  [1.05, 0.1, 1.5],
  [3, 0.3, 1.36],
  [1.1, 0.05, 1.88],
])(
  'a bar in a body %d times as high with a fillet of %d of its height: %d by the chart',
  (body, radius, wanted) => {
    expect(Math.abs(filletFactor(10, 10 * body, 10 * radius) / wanted - 1)).toBeLessThan(0.05);
  },
);

test('no step raises nothing, and a larger fillet raises less', () => {
  expect(filletFactor(10, 10, 1)).toBe(1);
  expect(filletFactor(10, 10.001, 5)).toBeCloseTo(1, 2);
  const factors = [0.3, 0.5, 1, 2, 4, 8].map((radius) => filletFactor(10, 24, radius));
  expect(factors).toEqual([...factors].sort((a, b) => b - a));
  // the two halves of the fit meet where the step is two radii, and a body without a bar has no stress to raise
  expect(filletFactor(10, 24, 3.5001)).toBeCloseTo(filletFactor(10, 24, 3.4999), 2);
  expect(filletFactor(1e-6, 10, 1)).toBeCloseTo(1, 5);
});

test('an arm breaks at its root as many times earlier, and a larger fillet is proposed', () => {
  const arm: Part = {
    id: 'arm',
    name: 'Arm',
    kind: 'carrier',
    material: { ...TYPICAL_MATERIALS.petg },
    layers: 'along',
    shape: { as: 'beam', profile: 'plate', lengthMm: 40, widthMm: 20, heightMm: 6 },
    loads: [{ id: 'o', from: 'own', forceN: 110 }],
  };
  const rooted: Part = { ...arm, shape: { ...arm.shape!, rootMm: 18, filletMm: 0.6 } };
  const strength = (part: Part) => {
    const found = partStrength({ ...car, parts: { items: [part] } }, surface('asphalt'), part);
    if (!found.ok) throw new Error(found.missing.join());
    return found.value.worst;
  };
  expect(strength(rooted).breaksAtN).toBeCloseTo(strength(arm).breaksAtN / filletFactor(6, 18, 0.6), 9);
  const document = { ...car, parts: { items: [rooted] } };
  const fillet = partRemedies(rooted, strength(rooted)).find(({ patch }) =>
    patch.some(({ path }) => path.includes('filletMm')),
  )!;
  expect(fillet.patch).toEqual([{ path: ['parts', 'items', 'arm', 'shape', 'filletMm'], value: 1.8 }]);
  const after = applyPatch(document, fillet.patch).parts.items[0]!;
  expect(strength(after).margin / strength(rooted).margin).toBeCloseTo(
    filletFactor(6, 18, 0.6) / filletFactor(6, 18, 1.8),
    9,
  );
});
