import { parse } from '../../base/schema/parse';
import { type GearSearchInput, gearSearch } from './gearSearch';
import { gearSearchSchema } from './gearSearch.schema';

const search = (input: object, onProgress?: (share: number) => void) =>
  gearSearch(parse(gearSearchSchema, input) as GearSearchInput, onProgress);
const refusedAt = (input: object) => {
  try {
    search(input);
    return undefined;
  } catch (error) {
    return (error as { refused: { path: string } }).refused.path;
  }
};
const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k) => from + k);

describe('a ratio from the gears at hand', () => {
  const pinions = [12, 13, 15];
  const wheels = [45, 52, 60];

  it('is every pair within the tolerance, the closest first', () => {
    const { searched, found, rows } = search({
      wantedRatio: 4,
      tolerancePct: 1,
      stages: [{ pinions, wheels }],
    });
    expect(searched).toBe(9);
    // 52/13 and 60/15 alone are 4; of equals hunting decides, then the size, then the smaller pinion
    expect(found).toBe(2);
    expect(rows.map(({ stages }) => stages)).toEqual([[[13, 52]], [[15, 60]]]);
    expect(rows[0]).toMatchObject({
      ratio: 4,
      errorPct: 0,
      centresMm: [32.5],
      sizeMm: 32.5,
      huntingStages: 0,
    });
    expect(rows[0]!.pinionTurnsToRepeat).toEqual([4]);
  });

  it('agrees with trying each of two stages by hand, in every order', () => {
    const stage = { pinions: range(10, 16), wheels: range(30, 41), moduleMm: 0.8, centreMaxMm: 22 };
    const wantedRatio = 7.7;
    const pairs = stage.pinions
      .flatMap((one) => stage.wheels.map((other) => [one, other] as const))
      .filter(([one, other]) => 0.4 * (one + other) <= 22 + 1e-9);
    const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
    const all = pairs.flatMap((a) =>
      pairs.flatMap((b) => {
        const ratio = (a[1] / a[0]) * (b[1] / b[0]);
        const e = Math.round(Math.abs(ratio / wantedRatio - 1) * 1e9);
        const h = [a, b].filter(([x, y]) => gcd(x, y) === 1).length;
        const s = Math.round(0.4 * (a[0] + a[1] + b[0] + b[1]) * 1e6);
        return Math.abs(ratio / wantedRatio - 1) <= 0.02 + 1e-9 ? [{ teeth: [...a, ...b], e, h, s }] : [];
      }),
    );
    const orders = {
      closest: (x: (typeof all)[0]) => [x.e, -x.h, x.s],
      hunting: (x: (typeof all)[0]) => [-x.h, x.e, x.s],
      small: (x: (typeof all)[0]) => [x.s, x.e, -x.h],
    };
    for (const [sort, keys] of Object.entries(orders)) {
      const expected = all.toSorted((x, y) => {
        const [kx, ky] = [
          [...keys(x), ...x.teeth],
          [...keys(y), ...y.teeth],
        ];
        const at = kx.findIndex((value, index) => value !== ky[index]);
        return at < 0 ? 0 : kx[at]! - ky[at]!;
      });
      const { rows, found, searched } = search({ wantedRatio, stages: [stage, stage], sort, maxResults: 30 });
      expect(searched).toBe(pairs.length ** 2);
      expect(found).toBe(all.length);
      expect(rows.map(({ stages }) => stages.flat())).toEqual(
        expected.slice(0, 30).map(({ teeth }) => teeth),
      );
    }
  });

  it('says that there is none, and refuses what is too much, at its field', () => {
    const none = search({ wantedRatio: 90, stages: [{ pinions, wheels }] });
    expect(none).toMatchObject({ found: 0, rows: [], findings: [] });
    expect(none.notes.map(({ code }) => code)).toEqual(['note.gearSearch.none']);
    const many = { pinions: range(6, 105), wheels: range(6, 105) };
    expect(refusedAt({ wantedRatio: 4, stages: [many, many] })).toBe('stages');
    expect(refusedAt({ wantedRatio: 4, stages: [{ pinions: [12, 12], wheels }] })).toBe('stages.0.pinions.1');
    expect(refusedAt({ wantedRatio: 4, stages: [] })).toBe('stages');
  });

  it('tells how far it is', () => {
    const shares: number[] = [];
    search({ wantedRatio: 4, stages: [{ pinions: range(10, 40), wheels: range(30, 70) }] }, (share) =>
      shares.push(share),
    );
    expect(shares.length).toBeGreaterThan(40);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  });
});
