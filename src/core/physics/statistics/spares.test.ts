import fc from 'fast-check';
import { sparesStock } from './spares';

const one = (more: object, hours = 4, confidence = 0.95) =>
  sparesStock({ parts: [{ id: 'a', printMinutes: 30, massG: 12, ...more }], hours, confidence }).parts[0]!;

describe('spares to carry', () => {
  it('follows the Poisson table: mean 2, P(X ≤ 4) = 0.9473, P(X ≤ 5) = 0.9834', () => {
    expect(one({ failuresPerHour: 0.5 })).toEqual({
      id: 'a',
      expectedFailures: 2,
      spares: 5,
      printMinutes: 150,
      massG: 60,
    });
    expect(one({ failuresPerHour: 0.5 }, 4, 0.9473).spares).toBe(4);
  });

  it('needs none of what never fails', () => expect(one({ failuresPerHour: 0 }).spares).toBe(0));

  it('counts what was seen with half a failure more: a geometric-like tail by hand', () => {
    // shape ½, as many hours ahead as seen: P(0) = √½, P(1) = ½·½·√½, P(2) = 3/8·¼·√½
    const p0 = Math.SQRT1_2;
    const seen = { failures: 0, seenHours: 4 };
    expect(one(seen).expectedFailures).toBeCloseTo(0.5, 12);
    expect(one(seen, 4, p0 - 1e-6).spares).toBe(0);
    expect(one(seen, 4, p0 * 1.25 - 1e-6).spares).toBe(1);
    expect(one(seen, 4, p0 * 1.25 + 1e-6).spares).toBe(2);
    expect(one(seen, 4, p0 * (1.25 + 3 / 32) - 1e-6).spares).toBe(2);
  });

  it('shares the confidence out, so that all hold together', () => {
    const { parts } = sparesStock({
      parts: [
        { id: 'a', failuresPerHour: 0.5, printMinutes: 1 },
        { id: 'b', failuresPerHour: 0.5, printMinutes: 1 },
      ],
      hours: 4,
      confidence: 0.9473,
    });
    // √0.9473 = 0.9733 lies between P(X ≤ 4) and P(X ≤ 5)
    expect(parts.map(({ spares }) => spares)).toEqual([5, 5]);
  });

  it('comes to the Poisson count once much was seen', () => {
    expect(one({ failures: 50_000, seenHours: 100_000 }).spares).toBe(one({ failuresPerHour: 0.5 }).spares);
  });

  it('never carries less for more hours', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 8 }),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (failures, seenHours, hours) => {
          expect(one({ failures, seenHours }, hours * 1.5).spares).toBeGreaterThanOrEqual(
            one({ failures, seenHours }, hours).spares,
          );
        },
      ),
      { seed: 3, numRuns: 60 },
    );
  });

  it('names what is printed ahead, in the order given, and what has no mass', () => {
    const result = sparesStock({
      parts: [
        { id: 'long', failuresPerHour: 0, printMinutes: 46 },
        { id: 'short', failuresPerHour: 1, printMinutes: 45, massG: 3 },
      ],
      hours: 1,
    });
    expect(result.printAhead).toEqual(['long']);
    expect(result.notes).toEqual([{ code: 'note.spares.noMass', facts: { parts: ['long'] } }]);
    expect(result.massG).toBe(3 * result.parts[1]!.spares);
  });
});
