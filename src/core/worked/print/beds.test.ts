import type { ChosenPrinter } from '../../car/document/print';
import { type BedPart, nudged, platesOnBeds } from './beds';

const printer = (id: string, bedWidthMm: number, bedDepthMm = bedWidthMm): ChosenPrinter => ({
  id,
  name: id,
  bedWidthMm,
  bedDepthMm,
  bedHeightMm: 200,
  speedMmps: 80,
  maxFlowMm3ps: 10,
});
const part = (id: string, width: number, depth: number, quantity: number, timeS: number): BedPart => ({
  id,
  sizeMm: [width, depth, 10],
  quantity,
  timeOn: ({ id: on }) => (on === 'slow' ? 2 * timeS : timeS),
});

describe('plates on several beds', () => {
  it('lay what only the large bed takes there, and the rest on the small one', () => {
    const { plates, doesNotFit, timeS } = platesOnBeds(
      [printer('large', 300), printer('small', 100)],
      [part('long', 250, 40, 1, 3600), part('knob', 30, 30, 4, 600)],
    );
    expect(plates.map(({ printer: { id }, items }) => [id, items.length])).toEqual([
      ['large', 1],
      ['small', 4],
    ]);
    expect(timeS).toBe(3600);
    expect(doesNotFit).toEqual([]);
  });

  it('run side by side on two printers: three plates of 4, 3 and 2 h are done after 5 h', () => {
    const found = platesOnBeds(
      [printer('a', 100), printer('b', 100)],
      [part('p', 80, 80, 1, 4 * 3600), part('q', 81, 81, 1, 3 * 3600), part('r', 82, 82, 1, 2 * 3600)],
    );
    expect(found.plates.map(({ printer: { id }, startsS }) => [id, startsS / 3600])).toEqual([
      ['a', 0],
      ['b', 0],
      ['b', 3],
    ]);
    expect(found.timeS).toBe(5 * 3600);
  });

  it('go where they are done first, each printer at its own pace: 4 h, then 3 h on the quick one before 6 h on the slow', () => {
    const found = platesOnBeds(
      [printer('slow', 100), printer('quick', 100)],
      [part('p', 80, 80, 1, 4 * 3600), part('q', 81, 81, 1, 3 * 3600), part('r', 82, 82, 1, 1800)],
    );
    expect(
      found.plates.map(({ printer: { id }, startsS, timeS }) => [id, startsS / 3600, timeS / 3600]),
    ).toEqual([
      ['quick', 0, 4],
      ['slow', 0, 6],
      ['quick', 4, 0.5],
    ]);
  });

  it('tell of what fits none by the largest bed', () => {
    expect(
      platesOnBeds([printer('small', 100), printer('large', 200)], [part('huge', 390, 20, 1, 1)]).doesNotFit,
    ).toEqual([{ id: 'huge', reason: 'tooLarge', diagonalFits: false, splitPieces: 2 }]);
    expect(platesOnBeds([], [part('any', 10, 10, 1, 1)]).plates).toEqual([]);
  });
});

describe('a thing nudged on its plate', () => {
  const size = () => [40, 20] as const;
  const items = [
    { id: 'a', xMm: 0, yMm: 0, turned: false },
    { id: 'b', xMm: 45, yMm: 0, turned: true },
  ];

  it('stays on the bed', () => {
    expect(nudged(items, 1, [500, 500], size, [100, 100], 5).items[1]).toEqual({
      id: 'b',
      xMm: 80,
      yMm: 60,
      turned: true,
    });
    expect(nudged(items, 0, [-9, -9], size, [100, 100], 5).items[0]).toMatchObject({ xMm: 0, yMm: 0 });
  });

  it('says when it comes too near, by the straight-line distance', () => {
    expect(nudged(items, 1, [-1, 0], size, [100, 100], 5).tooNear).toBe(true);
    expect(nudged(items, 1, [0, 0], size, [100, 100], 5).tooNear).toBe(false);
    // 3 mm beside and 4 mm over its corner are 5 mm
    expect(nudged(items, 1, [-2, 24], size, [100, 100], 5).tooNear).toBe(false);
    expect(nudged(items, 1, [-2, 23.9], size, [100, 100], 5).tooNear).toBe(true);
  });
});
