import fc from 'fast-check';
import {
  alongCurve,
  aroundPoint,
  boxOf,
  type Box,
  type LabelWish,
  placeLabels,
  type Point,
} from './placeLabels';

const FRAME: Box = { left: 0, right: 400, top: 0, bottom: 300 };

const covers = ({ left, right, top, bottom }: Box, { x, y }: Point) =>
  x > left && x < right && y > top && y < bottom;
const overlap = (a: Box, b: Box) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

describe('labels of a chart', () => {
  it('leave a curve that runs through their first place', () => {
    const curve = [
      { x: 0, y: 140 },
      { x: 400, y: 140 },
    ];
    const [label] = placeLabels(
      [
        {
          key: 'a',
          text: 'drive',
          spots: [
            { x: 50, y: 143, anchor: 'start' },
            { x: 50, y: 130, anchor: 'start' },
          ],
        },
      ],
      [curve],
      FRAME,
    );
    expect(label).toMatchObject({ x: 50, y: 130 });
  });

  it('stay inside the frame where they can', () => {
    const [label] = placeLabels(
      [{ key: 'a', text: '32.4 km/h', strong: true, spots: aroundPoint({ x: 390, y: 100 }) }],
      [],
      FRAME,
    );
    expect(boxOf('32.4 km/h', true, label!).right).toBeLessThanOrEqual(FRAME.right);
  });

  it('give way to each other and to what is taken, for any straight lines that leave room', () => {
    const height = fc.integer({ min: 40, max: 260 });
    fc.assert(
      fc.property(fc.array(fc.tuple(height, height), { minLength: 1, maxLength: 3 }), (ends) => {
        const curves = ends.map(([from, to]) =>
          Array.from({ length: 41 }, (_, i) => ({ x: 10 * i, y: from + ((to - from) * i) / 40 })),
        );
        const wishes: LabelWish[] = curves.map((curve, index) => ({
          key: `${index}`,
          text: 'resistance',
          spots: alongCurve(curve, 0.5),
        }));
        const taken = [{ left: 150, right: 250, top: 0, bottom: 30 }];
        const placed = placeLabels(wishes, curves, FRAME, taken).map((one) =>
          boxOf(one.text, one.strong, one),
        );
        for (const [index, box] of placed.entries()) {
          for (const other of [...taken, ...placed.slice(0, index)]) expect(overlap(box, other)).toBe(false);
          for (const curve of curves) expect(curve.some((point) => covers(box, point))).toBe(false);
        }
      }),
      { seed: 7, numRuns: 60 },
    );
  });
});
