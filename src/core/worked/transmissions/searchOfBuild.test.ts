import { applyPatch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { overallRatio } from '../../car/document/drive';
import { itemsOf } from '../../car/library/items';
import { STARTING_LIBRARY } from '../../car/library/starting';
import { geared } from '../../fixtures/geared';
import { planetarySearch } from '../../physics/planetary/planetarySearch';
import { gearSearch } from '../../physics/transmissions/gearSearch';
import { gearsTaken, type RatioWish, searchInputOf, setSearchOf, setTaken } from './searchOfBuild';

const gears = itemsOf(STARTING_LIBRARY, 'gear').map(({ data }) => data);
const wish: RatioWish = { overall: 12, tolerancePct: 5, stages: 1, sort: 'closest', anyTeeth: false };
const car: BuildDocument = {
  ...geared,
  drive: {
    ...geared.drive,
    stages: [
      { ...geared.drive.stages[0]!, pinionTeeth: 17, wheelTeeth: 71, slotMinMm: 33, slotMaxMm: 40 },
      { id: 'bevel', kind: 'bevel', efficiency: 0.93, pinionTeeth: 15, wheelTeeth: 39 },
    ],
  },
};
let made = 0;
const newId = () => `new-${++made}`;

describe('the search for the ratio of a drive', () => {
  it('leaves the other stages as they are, and keeps to the module and the slot of the car', () => {
    const input = searchInputOf(car.drive, gears, wish);
    expect(input.wantedRatio).toBeCloseTo(12 / 2.6, 12);
    expect(input.stages).toEqual([
      {
        pinions: [11, 13, 15, 17, 19, 21, 23],
        wheels: [54, 62, 71],
        moduleMm: 0.8,
        centreMinMm: 33,
        centreMaxMm: 40,
      },
    ]);
    const { rows } = gearSearch(input);
    // 71/15 = 4.733 is nearest to 4.615 of what reaches the slot: 0.8·(15 + 71)/2 = 34.4
    expect(rows[0]!.stages).toEqual([[15, 71]]);
    const taken = applyPatch(car, gearsTaken(car.drive, rows[0]!, input, newId));
    expect(overallRatio(taken.drive)).toBeCloseTo((71 / 15) * 2.6, 12);
    expect(taken.drive.stages[0]).toMatchObject({ slotMaxMm: 40, moduleMm: 0.8 });
  });

  it('adds the stages that the car has not yet', () => {
    const two = { ...wish, overall: 40, stages: 2 };
    const input = searchInputOf(car.drive, gears, two);
    const { rows } = gearSearch(input);
    const taken = applyPatch(car, gearsTaken(car.drive, rows[0]!, input, newId));
    expect(taken.drive.stages).toHaveLength(3);
    expect(overallRatio(taken.drive)! / 40).toBeCloseTo(1, 1);
    expect(Math.abs(overallRatio(taken.drive)! / 40 - 1)).toBeCloseTo(Math.abs(rows[0]!.errorPct) / 100, 9);
  });

  it('puts a planetary set in the place of a pair, with a ring that does not dig into its planets', () => {
    const input = setSearchOf(car.drive, { ...wish, overall: 13 }, { ringTeethMax: 80 });
    expect(input.wantedRatio).toBeCloseTo(5, 12);
    const { rows } = planetarySearch(input);
    expect(rows[0]).toMatchObject({ sunTeeth: 12, planetTeeth: 18, ringTeeth: 48 });
    const taken = applyPatch(car, setTaken(car.drive, rows[0]!, newId));
    expect(overallRatio(taken.drive)).toBeCloseTo(13, 9);
    expect(taken.drive.stages[0]).toMatchObject({ id: 's', kind: 'planetary', planets: 4 });
    // 24 − √((24·cos 20°)² + (15·sin 20°)²) = 0.877
    expect(taken.drive.stages[0]!.ringAddendum).toBe(0.87);
  });
});
