import { car, surface } from '../../fixtures/car';
import type { Part } from '../../car/parts/parts';
import { energyToBreakJ, stiffOrTough } from './stiffOrTough';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';

const part: Part = {
  id: 'a',
  name: 'Arm',
  kind: 'arm',
  material: { ...TYPICAL_MATERIALS.nylonCarbon },
  layers: 'along',
  shape: { as: 'beam', profile: 'plate', lengthMm: 40, widthMm: 10, heightMm: 5 },
  loads: [{ id: 'o', from: 'own', forceN: 30 }],
};

test('a brittle bar stores σ²V/(18E), a ductile one its strained ninth at the strength', () => {
  const [volume, { modulusMpa: e, inPlaneStrengthMpa: s }] = [40 * 10 * 5, TYPICAL_MATERIALS.petg];
  const margin = (s * 10 * 25) / 6 / 40 / 30;
  const deflectionMm = (30 * 40 ** 3) / (3 * e * ((10 * 125) / 12));
  const brittle = (s * s * volume) / (18 * e) / 1000;
  expect(
    energyToBreakJ({ forceN: 30, deflectionMm, margin, between: true }, TYPICAL_MATERIALS.petg, false),
  ).toBeCloseTo(brittle, 12);
  const yields = s / e;
  expect(
    energyToBreakJ({ forceN: 30, deflectionMm, margin, between: false }, TYPICAL_MATERIALS.petg, false),
  ).toBeCloseTo(((volume / 9) * ((s * yields) / 2 + s * (0.12 - yields))) / 1000, 12);
});

test('the stiff filled plastic gives least, the tough one takes most', () => {
  const rows = stiffOrTough(car, surface('asphalt'), part, [
    TYPICAL_MATERIALS.nylon,
    TYPICAL_MATERIALS.pla,
    TYPICAL_MATERIALS.nylonCarbon,
  ]);
  expect(rows.map(({ name }) => name)).toEqual([
    'Printed nylon, carbon filled',
    'Printed nylon',
    'Printed PLA',
  ]);
  expect(rows[0]!.chosen).toBe(true);
  expect(Math.min(...rows.map(({ deflectionMm }) => deflectionMm!))).toBe(rows[0]!.deflectionMm);
  expect(Math.max(...rows.map(({ energyJ }) => energyJ!))).toBe(rows[1]!.energyJ);
});
