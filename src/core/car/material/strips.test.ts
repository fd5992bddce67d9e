import { ownFigures, stripStressMpa, type StripTest, withOwnFigures } from './strips';
import { TYPICAL_MATERIALS } from './typicalMaterials';

const strip = (over: Partial<StripTest>): StripTest => ({
  id: 's',
  how: 'pulled',
  layers: 'along',
  widthMm: 10,
  thicknessMm: 4,
  breakN: 1800,
  ...over,
});

test('a pulled strip bears force over section, a bent one 3FL/(2wt²)', () => {
  expect(stripStressMpa(strip({}))).toBe(45);
  expect(stripStressMpa(strip({ how: 'bent', spanMm: 64, breakN: 100 }))).toBeCloseTo(
    (3 * 100 * 64) / (2 * 10 * 16),
    12,
  );
  expect(stripStressMpa(strip({ how: 'bent' }))).toBeUndefined();
});

test('strips along and across give means with their spread, and take the place of the typical figures', () => {
  const strips = [
    strip({ id: '1', breakN: 1600 }),
    strip({ id: '2', breakN: 2000 }),
    strip({ id: '3', layers: 'across', breakN: 480 }),
  ];
  const own = ownFigures(strips);
  expect(own.along).toEqual({ mean: 45, spread: Math.sqrt(50), count: 2 });
  expect(own.across).toEqual({ mean: 12, count: 1 });
  const pla = withOwnFigures(TYPICAL_MATERIALS.pla, strips);
  expect(pla.inPlaneStrengthMpa).toBe(45);
  expect(pla.interlayerStrengthMpa).toBe(12);
  expect(pla.interlayerShearMpa).toBeCloseTo((24 * 12) / 30, 12);
  expect(withOwnFigures(TYPICAL_MATERIALS.pla, [])).toEqual(TYPICAL_MATERIALS.pla);
});
