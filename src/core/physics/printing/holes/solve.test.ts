import { fromBase64 } from '../../../base/base64';
import { CalcError } from '../../../base/errors';
import { measureMesh } from '../../solid/measure';
import { readStl } from '../../meshFiles/readStl';
import { normalFrom, randomFrom } from '../../../base/numeric/random';
import type { Hole, HolesInput, Reading } from './definition';
import { holesSolve } from './solve';

const hole = (id: string, diameterMm = 3): Hole => ({ id, diameterMm });

/** Outside readings between every pair of places, as a perfect caliper shows them. */
function readAll(
  holes: readonly Hole[],
  places: readonly (readonly [number, number])[],
  error: () => number = () => 0,
): Reading[] {
  return holes.flatMap((a, i) =>
    holes.slice(i + 1).map((b, k): Reading => {
      const j = i + 1 + k;
      const centre = Math.hypot(places[i]![0] - places[j]![0], places[i]![1] - places[j]![1]);
      return {
        from: a.id,
        to: b.id,
        kind: 'outside',
        valueMm: centre + (a.diameterMm + b.diameterMm) / 2 + error(),
      };
    }),
  );
}

const refusal = (input: HolesInput): CalcError => {
  try {
    holesSolve(input);
  } catch (error) {
    if (error instanceof CalcError) return error;
    throw error;
  }
  throw new Error('was not refused');
};

describe('a triangle of 3, 4 and 5 cm', () => {
  const holes = [hole('a', 3), hole('b', 4), hole('c', 5)];
  const readings: Reading[] = [
    { from: 'a', to: 'b', kind: 'outside', valueMm: 43.5 },
    { from: 'b', to: 'c', kind: 'inside', valueMm: 25.5 },
    { from: 'c', to: 'a', kind: 'centres', valueMm: 50 },
  ];

  it('lies with a at the origin, b on the axis and c above it, whatever the jaws', () => {
    const { centresMm, rigid, residuals, suspect } = holesSolve({ holes, readings });
    [
      [0, 0],
      [40, 0],
      [40, 30],
    ].forEach(([x, y], at) => {
      expect(centresMm[at]!.xMm).toBeCloseTo(x!, 6);
      expect(centresMm[at]!.yMm).toBeCloseTo(y!, 6);
    });
    expect(rigid).toBe(true);
    expect(suspect).toEqual([]);
    expect(residuals.map(({ fitMm }) => fitMm)).toEqual(
      [43.5, 25.5, 50].map((value) => expect.closeTo(value, 6)),
    );
  });

  it('has the errors of its sides', () => {
    const { standardErrorMm } = holesSolve({
      holes,
      readings: readings.map((reading, at) => ({ ...reading, plusMinusMm: [0.1, 0.2, 0.05][at]! })),
    });
    // b lies on the axis: its x is the side a–b; c: y = 30 and x = 40 from 50² = x² + y², 30² = (x − 40)² + y²
    expect(standardErrorMm![1]!.xMm).toBeCloseTo(0.1, 6);
    expect(standardErrorMm![1]!.yMm).toBe(0);
    // dy = dl_bc where c stands above b; x·dx + y·dy = 50·dl_ca gives dx
    expect(standardErrorMm![2]!.yMm).toBeCloseTo(0.2, 6);
    expect(standardErrorMm![2]!.xMm).toBeCloseTo(Math.hypot((50 * 0.05) / 40, (30 * 0.2) / 40), 6);
  });

  it('turns by its anchors', () => {
    const { centresMm } = holesSolve({ holes, readings, anchors: { origin: 'c', axis: 'a', above: 'b' } });
    expect(centresMm[2]).toMatchObject({ xMm: 0, yMm: 0 });
    expect(centresMm[0]!.xMm).toBeCloseTo(50, 6);
    expect(centresMm[1]!.yMm).toBeCloseTo(24, 6);
  });
});

it('recovers seeded patterns within its stated errors', () => {
  const random = randomFrom(11);
  const normal = normalFrom(12);
  let outside = 0;
  let count = 0;
  for (let turn = 0; turn < 12; turn++) {
    const places = Array.from({ length: 7 }, () => [100 * random(), 60 * random()] as const);
    const holes = places.map((_, at) => hole(`h${at}`, 2 + (at % 3)));
    const { centresMm, standardErrorMm } = holesSolve({
      holes,
      readings: readAll(holes, places, () => 0.05 * normal()),
    });
    const truth = (at: number) => {
      const [ux, uy] = [places[1]![0] - places[0]![0], places[1]![1] - places[0]![1]];
      const length = Math.hypot(ux, uy);
      const [dx, dy] = [places[at]![0] - places[0]![0], places[at]![1] - places[0]![1]];
      return [(dx * ux + dy * uy) / length, Math.abs(dy * ux - dx * uy) / length] as const;
    };
    for (let at = 2; at < 7; at++) {
      count += 2;
      if (Math.abs(centresMm[at]!.xMm - truth(at)[0]) > 3 * standardErrorMm![at]!.xMm) outside++;
      if (Math.abs(Math.abs(centresMm[at]!.yMm) - truth(at)[1]) > 3 * standardErrorMm![at]!.yMm) outside++;
    }
  }
  expect(outside / count).toBeLessThan(0.03);
});

it('names a planted blunder first', () => {
  const random = randomFrom(21);
  const normal = normalFrom(22);
  for (let turn = 0; turn < 12; turn++) {
    const places = Array.from({ length: 6 }, () => [90 * random(), 70 * random()] as const);
    const holes = places.map((_, at) => hole(`h${at}`));
    const readings = readAll(holes, places, () => 0.03 * normal());
    const wrong = Math.floor(random() * readings.length);
    readings[wrong] = { ...readings[wrong]!, valueMm: readings[wrong]!.valueMm + 1.5 };
    const { suspect, chiSquare } = holesSolve({ holes, readings });
    expect(suspect[0]).toMatchObject({ from: readings[wrong]!.from, to: readings[wrong]!.to });
    expect(suspect[0]!.chiSquareWithout).toBeLessThan(chiSquare / 5);
  }
});

it('does not depend on the order of the readings', () => {
  const places = [
    [0, 0],
    [50, 0],
    [47, 31],
    [3, 28],
    [25, 15],
  ] as const;
  const holes = places.map((_, at) => hole(`h${at}`));
  const normal = normalFrom(3);
  const readings = readAll(holes, places, () => 0.05 * normal());
  expect(holesSolve({ holes, readings: readings.toReversed() }).centresMm).toEqual(
    holesSolve({ holes, readings }).centresMm,
  );
});

describe('what it cannot know', () => {
  const places = [
    [0, 0],
    [40, 0],
    [40, 30],
    [0, 30],
  ] as const;
  const holes = places.map((_, at) => hole(`h${at}`));
  const all = readAll(holes, places);
  const but = (...pairs: string[]) => all.filter(({ from, to }) => !pairs.includes(from + to));

  it('says which holes are loose', () => {
    // a ring of four without a diagonal folds
    const folded = holesSolve({ holes, readings: but('h0h2', 'h1h3') });
    expect(folded).toMatchObject({ rigid: false, looseHoles: ['h2', 'h3'] });
    expect(folded.standardErrorMm).toBeUndefined();
    const hanging = holesSolve({ holes, readings: but('h0h2', 'h1h2') });
    expect(hanging.looseHoles).toEqual(['h2']);
  });

  it('tells of a second shape where one diagonal is missing', () => {
    const { rigid, otherShapes, notes } = holesSolve({ holes, readings: but('h1h3') });
    expect(rigid).toBe(true);
    expect(otherShapes).toBe(1);
    expect(notes).toContainEqual({ code: 'note.holes.others', facts: { others: 1 } });
  });

  it('names none with one reading to spare', () => {
    const { suspect, notes } = holesSolve({
      holes,
      readings: all.map((reading, at) => (at === 0 ? { ...reading, valueMm: reading.valueMm + 2 } : reading)),
    });
    expect(suspect).toEqual([]);
    expect(notes).toContainEqual(expect.objectContaining({ code: 'note.holes.oneWrong' }));
  });
});

it('writes a plate whose holes and bar measure what they should', () => {
  const places = [
    [0, 0],
    [60, 0],
    [55, 35],
  ] as const;
  const holes = places.map((_, at) => hole(`h${at}`, 3 + at));
  const { files } = holesSolve({ holes, readings: readAll(holes, places), files: ['svg', 'dxf', 'stl'] });
  const measured = measureMesh(readStl(fromBase64(files!.stl!, 'stl'), 'stl'), {});
  const polygon = (r: number, sides: number) => (sides / 2) * r * r * Math.sin((2 * Math.PI) / sides);
  const [w, h] = [
    measured.boundsMm.max[0] - measured.boundsMm.min[0],
    measured.boundsMm.max[1] - measured.boundsMm.min[1],
  ];
  const open = [1.5, 2, 2.5].reduce((sum, r) => sum + polygon(r, 64), 0) + 10 * polygon(0.6, 12) + 50 * 1.6;
  expect(measured.watertight).toBe(true);
  expect(Math.abs(measured.volumeMm3 / ((w * h - open) * 2) - 1)).toBeLessThan(1e-5);
  expect(files!.dxf!.match(/\nCIRCLE\n/g)).toHaveLength(3);
  const radii = [
    ...files!.dxf!.matchAll(/\nCIRCLE\n8\n0\n10\n([-\d.]+)\n20\n([-\d.]+)\n30\n0\.0\n40\n([-\d.]+)\n/g),
  ].map(([, x, y, r]) => [Number(x), Number(y), Number(r)]);
  expect(Math.hypot(radii[0]![0]! - radii[2]![0]!, radii[0]![1]! - radii[2]![1]!)).toBeCloseTo(
    Math.hypot(55, 35),
    3,
  );
  expect(radii.map((one) => one[2])).toEqual([1.5, 2, 2.5]);
  expect(files!.svg).toContain('mm"');
});

it('refuses what is twice, itself, or too close', () => {
  const holes = [hole('a', 10), hole('b', 10)];
  expect(
    refusal({
      holes: [...holes, hole('a')],
      readings: [{ from: 'a', to: 'b', kind: 'centres', valueMm: 20 }],
    }).path,
  ).toBe('holes.2.id');
  expect(refusal({ holes, readings: [{ from: 'a', to: 'a', kind: 'centres', valueMm: 20 }] }).path).toBe(
    'readings.0.to',
  );
  expect(refusal({ holes, readings: [{ from: 'a', to: 'c', kind: 'centres', valueMm: 20 }] }).path).toBe(
    'readings.0.to',
  );
  expect(refusal({ holes, readings: [{ from: 'a', to: 'b', kind: 'outside', valueMm: 10 }] }).path).toBe(
    'readings.0.valueMm',
  );
});
