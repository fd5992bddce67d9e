import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { type BalanceInput, chassisBalance } from './balance';
import { chassisBalanceSchema } from './balance.schema';
import { chassisStability, type StabilityInput } from './stability';
import { chassisStabilitySchema } from './stability.schema';

const frame = { wheelbaseMm: 300, trackFrontMm: 200, trackRearMm: 240 };
const balance = (input: BalanceInput) => chassisBalance(parse(chassisBalanceSchema, input));
const stability = (input: StabilityInput) => chassisStability(parse(chassisStabilitySchema, input));

describe('chassis.balance', () => {
  it('finds centre, loads and inertias of two masses by hand', () => {
    const found = balance({
      ...frame,
      components: [
        { id: 'pack', massG: 1000, xMm: -100, yMm: 10, zMm: 30 },
        { id: 'motor', massG: 500, xMm: -250, yMm: -20, zMm: 60, sprung: false },
      ],
    });
    expect(found).toMatchObject({
      massG: 1500,
      sprungMassG: 1000,
      unsprungMassG: 500,
      unsprungShare: expect.closeTo(1 / 3, 12),
      cgMm: [-150, 0, 40],
      frontLoadShare: 0.5,
      leftLoadShare: 0.5,
    });
    expect(found.wheelLoadsN.fl).toBeCloseTo((1.5 * 9.81) / 4, 9);
    // reduced mass 1/3 kg at a distance of (150, 30) mm in plan, (30, 30) mm seen from behind
    expect(found.yawInertiaKgM2).toBeCloseTo((1 / 3) * (0.15 ** 2 + 0.03 ** 2), 9);
    expect(found.rollInertiaKgM2).toBeCloseTo((1 / 3) * (0.03 ** 2 + 0.03 ** 2), 9);
  });

  it('shares the sides by the moment about the right contact line where the centre is', () => {
    // halfway the track is 220 mm; 11 mm to the left
    const found = balance({
      ...frame,
      components: [{ id: 'all', massG: 2000, xMm: -150, yMm: 11, zMm: 50, sizeMm: [120, 60, 30] }],
    });
    expect(found.leftLoadShare).toBeCloseTo((110 + 11) / 220, 12);
    expect(found.yawInertiaKgM2).toBeCloseTo((2 * (0.12 ** 2 + 0.06 ** 2)) / 12, 12);
    expect(found.findings).toMatchObject([{ severity: 'tight', about: 'leftLoadShare' }]);
  });

  it('carries all the weight whatever is where, with the moment about the front axle', () => {
    const place = fc.double({ min: -100, max: 100, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            massG: fc.double({ min: 1, max: 3000, noNaN: true }),
            xMm: place,
            yMm: place,
            zMm: place,
          }),
          { minLength: 1, maxLength: 8 },
        ),
        (parts) => {
          const components = parts.map((part, index) => ({ id: `c${index}`, ...part, xMm: part.xMm - 150 }));
          const {
            wheelLoadsN: { fl, fr, rl, rr },
          } = balance({ ...frame, components });
          const weight = components.reduce((sum, { massG }) => sum + (massG / 1000) * 9.81, 0);
          const moment = components.reduce((sum, { massG, xMm }) => sum - (massG / 1000) * 9.81 * xMm, 0);
          expect(fl + fr + rl + rr).toBeCloseTo(weight, 6);
          expect((rl + rr) * 300).toBeCloseTo(moment, 4);
        },
      ),
      { endOnFailure: true },
    );
  });

  it('says what hangs too far out, and which wheel carries nothing', () => {
    const found = balance({ ...frame, components: [{ id: 'far', massG: 100, xMm: 90, yMm: 0, zMm: 30 }] });
    expect(found.findings.map(({ about }) => about)).toEqual(['rl', 'rr', 'far']);
    expect(refusalOf(() => balance({ ...frame, components: [] })).path).toBe('components');
  });
});

describe('chassis.stability', () => {
  const car: StabilityInput = { ...frame, cgMm: [-150, 0, 55], massG: 2000, mu: 1, cornerRadiusM: 5 };

  it('slides before it tips where the friction is under half the track over the height', () => {
    const found = stability(car);
    expect(found).toMatchObject({
      staticStabilityFactor: 2,
      outcome: 'slides',
      cgHeightForNoTipMm: 110,
      brakingLimitedBy: 'grip',
    });
    expect(found.tipSpeedMps).toBeCloseTo(Math.sqrt(9.81 * 5 * 2), 9);
    expect(found.slideSpeedMps).toBeCloseTo(Math.sqrt(9.81 * 5), 9);
    expect(found.frontLiftsAtMps2).toBeCloseTo((9.81 * 150) / 55, 9);
    expect(stability({ ...car, cgMm: [-150, 20, 120] }).outcome).toBe('tips');
    expect(stability({ ...car, cgMm: [-150, 0, 110.001] }).outcome).toBe('tips');
    expect(stability({ ...car, cgMm: [-150, 0, 109.999] }).outcome).toBe('slides');
  });

  it('brakes until grip or the rear axle gives out, with downforce on the axle that makes it', () => {
    const fast = stability({ ...car, claFrontM2: 0.02, claRearM2: 0.04, cdaM2: 0.05, speedMps: 20 });
    // ½·1.2·400 = 240 Pa
    expect(fast.axleLoadsN.front).toBeCloseTo(9.81 + 240 * 0.02, 9);
    expect(fast.axleLoadsN.rear).toBeCloseTo(9.81 + 240 * 0.04, 9);
    expect(fast.brakingLimitMps2).toBeCloseTo(9.81 + (240 * 0.06) / 2, 9);
    expect(fast.notes).toMatchObject([
      {
        code: 'note.stability.drag',
        facts: { accel: { value: expect.closeTo(6, 9), quantity: 'accelMps2' } },
      },
    ]);
    // tall: the moment about the front contact empties the rear axle
    const tall = stability({ ...car, cgMm: [-100, 0, 150] });
    expect(tall).toMatchObject({
      brakingLimitedBy: 'lift',
      brakingLimitMps2: expect.closeTo((9.81 * 100) / 150, 9),
    });
    expect(tall.rearLiftsAtMps2).toBeCloseTo(tall.brakingLimitMps2, 9);
  });

  it('refuses a centre of gravity that no car has', () => {
    for (const cgMm of [
      [-150, 0, 0],
      [10, 0, 50],
      [-310, 0, 50],
      [-150, 111, 50],
    ] as const)
      expect(refusalOf(() => stability({ ...car, cgMm })).path).toBe('cgMm');
  });
});
