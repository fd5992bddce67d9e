import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { type RideInput, suspensionRide } from './ride';
import { springRateSchema, suspensionRideSchema } from './ride.schema';
import { springRate } from './spring';

const ride = (input: RideInput) => suspensionRide(parse(suspensionRideSchema, input));
const corner: RideInput = {
  cornerSprungMassG: 400,
  springRateNPerMm: 0.8,
  motionRatio: 0.6,
  wheelTravelMm: 30,
  preloadMm: 2,
  damperNsPerM: 20,
  dropHeightM: 0.2,
};

describe('spring.rate', () => {
  it('is Shigley’s, by hand', () => {
    // 79,300·1.2⁴/(8·14³·6)
    expect(springRate({ wireMm: 1.2, meanDiameterMm: 14, activeCoils: 6 })).toEqual({
      rateNPerMm: expect.closeTo(164_436.48 / 131_712, 6),
      index: expect.closeTo(14 / 1.2, 9),
      solidLengthMm: expect.closeTo(9.6, 9),
    });
    expect(
      refusalOf(() => springRate(parse(springRateSchema, { wireMm: 2, meanDiameterMm: 2, activeCoils: 5 })))
        .path,
    ).toBe('meanDiameterMm');
  });
});

describe('suspension.ride', () => {
  it('sags where the energy of spring and weight is least', () => {
    fc.assert(
      fc.property(
        fc.record({
          mass: fc.double({ min: 50, max: 2000, noNaN: true }),
          rate: fc.double({ min: 0.1, max: 5, noNaN: true }),
          ratio: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
          preload: fc.double({ min: 0, max: 10, noNaN: true }),
        }),
        ({ mass, rate, ratio, preload }) => {
          const { sagMm } = ride({
            cornerSprungMassG: mass,
            springRateNPerMm: rate,
            motionRatio: ratio,
            wheelTravelMm: 40,
            preloadMm: preload,
          });
          const energy = (x: number) => 0.5 * rate * (preload + ratio * x) ** 2 - (mass / 1000) * 9.81 * x;
          for (const aside of [0.01, 1]) {
            expect(energy(sagMm)).toBeLessThanOrEqual(energy(sagMm + aside) + 1e-9);
            if (sagMm > aside) expect(energy(sagMm)).toBeLessThanOrEqual(energy(sagMm - aside) + 1e-9);
          }
        },
      ),
      { endOnFailure: true },
    );
  });

  it('lands within its travel from just the height that its energy takes', () => {
    const { maxDropM } = ride(corner);
    // spring energy over the travel, stepped up in fine slices
    let energy = 0;
    const slices = 100_000;
    for (let i = 0; i < slices; i++)
      energy += 0.8 * (2 + (0.6 * ((i + 0.5) * 30)) / slices) * 0.6 * (30 / slices);
    expect(0.6 * 0.4 * 9.81 * (1000 * maxDropM + 30)).toBeCloseTo(energy, 4);
    const stiffer = ride({ ...corner, springRateNPerMm: ride(corner).springForDropNPerMm! });
    expect(stiffer.maxDropM).toBeCloseTo(0.2, 9);
  });

  it('offers the spring for a sag and the damper for a ratio, which then have them', () => {
    const found = ride(corner);
    expect(ride({ ...corner, springRateNPerMm: found.springForTargetSagNPerMm }).sagPct).toBeCloseTo(30, 9);
    expect(ride({ ...corner, damperNsPerM: found.damperForRatio06NsPerM }).dampingRatio).toBeCloseTo(0.6, 12);
    // √(0.288 N/mm / 0.4 kg)/2π
    expect(found.rideHz).toBeCloseTo(Math.sqrt(288 / 0.4) / (2 * Math.PI), 9);
  });

  it('says when it rests on a stop', () => {
    expect(ride({ ...corner, cornerSprungMassG: 3000 })).toMatchObject({
      bottomsAtRest: true,
      bumpLeftMm: expect.any(Number),
      notes: [{ code: 'note.ride.onBumpStop' }],
    });
    expect(ride({ ...corner, cornerSprungMassG: 3000 }).bumpLeftMm).toBeLessThan(0);
    expect(ride({ ...corner, preloadMm: 30 })).toMatchObject({ toppedOut: true, sagMm: 0 });
    expect(refusalOf(() => ride({ ...corner, damperShare: 1 })).path).toBe('damperShare');
  });
});
