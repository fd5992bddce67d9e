import fc from 'fast-check';
import { placeNames, widthOf } from './placeNames';

const SIZE = 13;

describe('names beside a drawing', () => {
  it('stand over their boxes where there is room, and in the next row where there is none', () => {
    const placed = placeNames(
      [
        { id: 'motor', text: 'Motor', x: 100 },
        { id: 'pack', text: 'Pack', x: 104 },
        { id: 'servo', text: 'Servo', x: 300 },
      ],
      [0, 400],
      SIZE,
    );
    expect(placed.map(({ id, row }) => [id, row])).toEqual([
      ['motor', 0],
      ['pack', 0],
      ['servo', 0],
    ]);
    expect(placed[0]!.at).toBe(100);
    expect(placed[2]!.at).toBe(300);
    const [, , third] = placeNames(
      ['Front gearbox', 'Rear gearbox', 'Centre gearbox'].map((text, at) => ({
        id: text,
        text,
        x: 100 + at,
      })),
      [0, 400],
      SIZE,
    );
    expect(third!.row).toBeGreaterThan(0);
  });

  it('never lie on one another, and within the ends where they are narrow enough', () => {
    const names = fc.array(
      fc.record({
        text: fc.string({ minLength: 1, maxLength: 24 }),
        x: fc.double({ min: -50, max: 450, noNaN: true }),
      }),
      { maxLength: 14 },
    );
    fc.assert(
      fc.property(names, (drawn) => {
        const placed = placeNames(
          drawn.map((one, at) => ({ id: String(at), ...one })),
          [0, 400],
          SIZE,
        );
        for (const [at, one] of placed.entries()) {
          const half = widthOf(one.text, SIZE) / 2;
          expect(one.at - half).toBeGreaterThanOrEqual(-1e-9);
          expect(one.at + half).toBeLessThanOrEqual(400 + 1e-9);
          for (const other of placed.slice(at + 1))
            if (other.row === one.row)
              expect(Math.abs(one.at - other.at)).toBeGreaterThanOrEqual(
                half + widthOf(other.text, SIZE) / 2,
              );
        }
      }),
      { seed: 7 },
    );
  });
});
