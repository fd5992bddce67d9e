import fc from 'fast-check';
import { grassCar } from '../../fixtures/runInput';
import type { DriveRunInput } from '../motion/definition';
import { driveRun } from '../motion/run';
import { speedsInWind } from './wind';

const withDrag = (cdaM2: number): DriveRunInput => ({ ...grassCar, car: { ...grassCar.car, cdaM2 } });

describe('a wind along the straight', () => {
  it('changes nothing without drag, nor at no wind', () => {
    const none = speedsInWind(withDrag(1e-12), 5)!;
    expect(none.againstMps / none.withMps).toBeCloseTo(1, 6);
    const still = speedsInWind(withDrag(0.03), 0)!;
    expect(still.bothMps / driveRun(withDrag(0.03)).topSpeedMps!).toBeCloseTo(1, 6);
  });

  it('is the drag of a car whose area grows with the square of the speed through the air', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.08, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        (cdaM2, windMps) => {
          const { againstMps, withMps, stillMps, bothMps } = speedsInWind(withDrag(cdaM2), windMps)!;
          const { topSpeedMps } = driveRun(withDrag(cdaM2 * ((againstMps + windMps) / againstMps) ** 2));
          expect(againstMps / topSpeedMps!).toBeCloseTo(1, 5);
          if (withMps > windMps)
            expect(
              withMps / driveRun(withDrag(cdaM2 * ((withMps - windMps) / withMps) ** 2)).topSpeedMps!,
            ).toBeCloseTo(1, 5);
          expect(againstMps).toBeLessThan(stillMps);
          expect(withMps).toBeGreaterThan(stillMps);
          // a pass takes longer against it than it takes less with it
          expect(bothMps).toBeLessThan(stillMps);
        },
      ),
      { numRuns: 30 },
    ));

  it('says nothing of a car that cannot move', () =>
    expect(speedsInWind({ ...withDrag(0.03), gradePct: 100 }, 3)).toBeUndefined());
});
