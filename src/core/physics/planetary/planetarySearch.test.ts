import { parse } from '../../base/schema/parse';
import { gearPlanetary } from './planetary';
import { planetarySearch, type PlanetarySearchInput } from './planetarySearch';
import { planetarySearchSchema } from './planetarySearch.schema';

const search = (input: object) =>
  planetarySearch(parse(planetarySearchSchema, input) as PlanetarySearchInput);
const wish = { wantedRatio: 5, held: 'ring', driving: 'sun', ringTeethMax: 80 };

describe('the search for a planetary set', () => {
  it('finds what every set tried one by one finds', () => {
    const planets = [2, 3, 4];
    const { rows, found } = search({ ...wish, planets, maxResults: 500 });
    const tried: number[][] = [];
    for (let sunTeeth = 12; sunTeeth <= 80; sunTeeth++)
      for (let planetTeeth = 12; planetTeeth <= 80; planetTeeth++)
        for (const n of planets) {
          const ringTeeth = sunTeeth + 2 * planetTeeth;
          if (ringTeeth > 80) continue;
          const set = gearPlanetary({
            sunTeeth,
            planetTeeth,
            ringTeeth,
            planets: n,
            moduleMm: 1,
            held: 'ring',
            driving: 'sun',
          });
          if (set.assembles && set.planetsClear && Math.abs(set.ratio / 5 - 1) <= 0.05 + 1e-9)
            tried.push([sunTeeth, planetTeeth, ringTeeth, n]);
        }
    expect(found).toBe(tried.length);
    expect(
      new Set(rows.map((row) => [row.sunTeeth, row.planetTeeth, row.ringTeeth, row.planets].join())),
    ).toEqual(new Set(tried.map((one) => one.join())));
    // five times is 12, 18 and 48: the smallest ring of all that hit it, with more planets first
    expect(rows[0]).toMatchObject({ sunTeeth: 12, planetTeeth: 18, ringTeeth: 48, ratio: 5, planets: 4 });
    expect(
      rows.every((row, at) => at === 0 || Math.abs(row.errorPct) >= Math.abs(rows[at - 1]!.errorPct) - 1e-6),
    ).toBe(true);
  });

  it('keeps the ring within the room there is', () => {
    const tight = { ...wish, moduleMm: 0.8, rimMm: 2, ringOutsideMaxMm: 0.8 * 50.5 + 4 };
    expect(search(tight).rows.map(({ ringTeeth }) => ringTeeth)).toContain(48);
    expect(search(tight).rows[0]!.ringOutsideMm).toBeCloseTo(44.4, 9);
    const none = search({ ...tight, ringOutsideMaxMm: 40 });
    expect(none).toMatchObject({ found: 0, rows: [], notes: [{ code: 'note.planetarySearch.none' }] });
    expect(() => search({ ...wish, ringOutsideMaxMm: 40 })).toThrow('planetary.needsModule');
  });

  it('looks for a shaft that turns round too', () => {
    const { rows } = search({ ...wish, held: 'carrier', wantedRatio: -4 });
    expect(rows[0]).toMatchObject({ sunTeeth: 12, ringTeeth: 48, ratio: -4 });
    expect(search({ ...wish, wantedRatio: -5 }).found).toBe(0);
  });
});
