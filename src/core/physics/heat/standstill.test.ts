import fc from 'fast-check';
import { parse } from '../../base/schema/parse';
import type { StandingInput } from '../motion/standstill';
import { standing } from '../motion/standstill';
import { driveRun } from '../motion/run';
import { driveStandstillSchema } from './endurance.schema';
import { driveStandstill } from './standstill';
import type { ThermalDefinition } from './thermal';

const car: StandingInput = {
  car: {
    massKg: 2.2,
    cdaM2: 0.03,
    rollingResistance: 0.09,
    frontLoadShare: 0.48,
    cgHeightMm: 55,
    wheelbaseMm: 280,
    drivenAxles: 'all',
  },
  tyre: { radiusMm: 42, mu: 0.6 },
  drive: { ratio: 10.4, efficiency: 0.8 },
  motor: { kvRpmPerV: 3000, resistanceMilliOhm: 22, noLoadCurrentA: 2 },
  esc: { currentLimitA: 60, resistanceMilliOhm: 2 },
  battery: { cells: 2, cellResistanceMilliOhm: 5, capacityMah: 5000 },
};
const thermal: ThermalDefinition = {
  windingHeatCapacityJPerK: 15,
  caseHeatCapacityJPerK: 57,
  windingToCaseKPerW: 0.9,
  caseToAmbientKPerW: 7,
  ambientC: 20,
  windingLimitC: 130,
  caseLimitC: 80,
};
const weight = 2.2 * 9.81;
const on = (more: Partial<StandingInput>): StandingInput => ({ ...car, ...more });
const axle = (drivenAxles: 'front' | 'rear' | 'all') => on({ car: { ...car.car, drivenAxles } });

describe('a car that stands', () => {
  it('moves where motor and tyres each give more than is needed', () => {
    // 60 A by the limit: 1/(3000·2π/60)·58 A · 10.4/0.042 m · 0.8; rolling 0.09 of 21.58 N
    const found = standing(car);
    expect(found.driveN).toBeCloseTo((60 / (2 * Math.PI * 3000)) * 58 * (10.4 / 0.042) * 0.8, 9);
    expect(found.neededN).toBeCloseTo(0.09 * weight, 9);
    expect(found).toMatchObject({ outcome: 'moves', currentLimited: true, wheelspin: true, remedies: {} });
    // nothing turns along: the grip that is left over pushes the mass
    expect(found.accelMps2).toBeCloseTo(((0.6 - 0.09) * weight) / 2.2, 9);
  });

  it('spins its tyres on a slope that they cannot hold: no gear is offered, but the friction it takes', () => {
    // at 45° sin = cos: tan 45° + 0.09 of friction
    const found = standing(on({ gradePct: 100 }));
    expect(found.outcome).toBe('spins');
    expect(found.remedies).toEqual({ muNeeded: expect.closeTo(1.09, 9) });
    // sliding friction alone loads the motors
    expect(found.spinCurrentA).toBeCloseTo(
      (0.6 * weight * Math.SQRT1_2 * 0.042) / (10.4 * 0.8) / (60 / (2 * Math.PI * 3000)) + 2,
      6,
    );
    expect(found.spinTreadMps!).toBeGreaterThan(0);
  });

  it('stalls where its motor is held, and says what it takes', () => {
    const weak = standing(on({ esc: { currentLimitA: 4, resistanceMilliOhm: 2 } }));
    expect(weak).toMatchObject({ outcome: 'stalls', shortOf: 'current' });
    const stuck = standing(on({ breakawayN: 36 }));
    expect(stuck).toMatchObject({ outcome: 'stalls', shortOf: 'breakaway' });
    const low = standing(on({ motor: { ...car.motor, resistanceMilliOhm: 3000 } }));
    expect(low).toMatchObject({ outcome: 'stalls', shortOf: 'voltage' });
  });

  it('agrees with a run about whether it moves', () =>
    fc.assert(
      fc.property(cars(), (input) => {
        expect(driveRun(input).stalled).toBe(standing(input).outcome !== 'moves');
      }),
      { seed: 21, numRuns: 300 },
    ));

  it('needs what its remedies say: a little more moves it, a little less does not', () => {
    let tried = 0;
    fc.assert(
      fc.property(cars(), (input) => {
        const { remedies } = standing(input);
        const moves = (more: Partial<StandingInput>) => standing({ ...input, ...more }).outcome === 'moves';
        const edge = (value: number | undefined, made: (value: number) => Partial<StandingInput>, up = 1) => {
          if (value === undefined) return;
          tried++;
          expect(moves(made(value * (1 + 1e-6 * up)))).toBe(true);
          expect(moves(made(value * (1 - 1e-6 * up)))).toBe(false);
        };
        if (!standing(input).driveAlsoShort)
          edge(remedies.muNeeded, (mu) => ({ tyre: { ...input.tyre, mu } }));
        edge(remedies.ratioNeeded, (ratio) => ({ drive: { ...input.drive, ratio } }));
        edge(remedies.currentLimitNeededA, (currentLimitA) => ({ esc: { ...input.esc, currentLimitA } }));
        edge(remedies.massMaxKg, (massKg) => ({ car: { ...input.car, massKg } }), -1);
        edge(remedies.kvNeededRpmPerV, (kvRpmPerV) => ({ motor: { ...input.motor, kvRpmPerV } }), -1);
      }),
      { seed: 22, numRuns: 600 },
    );
    expect(tried).toBeGreaterThan(100);
  });

  it('climbs what grip less rolling lets it, all wheels driven', () => {
    // μ·cos = sin + c·cos
    expect(driveStandstill(car).maxGradePct).toBeCloseTo(100 * (0.6 - 0.09), 4);
    expect(driveStandstill(on({ tyre: { radiusMm: 42, mu: 0 }, gradePct: 0 })).maxGradePct).toBeCloseTo(
      -9,
      4,
    );
  });

  it('says whether driving all wheels, or other weight on the driven axle, would hold it', () => {
    const steep = { gradePct: 40 };
    const rear = standing({ ...axle('rear'), ...steep });
    expect(rear).toMatchObject({ outcome: 'spins', remedies: { allWheelHolds: true } });
    const share = rear.remedies.frontLoadShareNeeded!;
    const with_ = (frontLoadShare: number) =>
      standing({ ...car, ...steep, car: { ...car.car, drivenAxles: 'rear', frontLoadShare } }).outcome;
    expect(with_(share - 1e-6)).toBe('moves');
    expect(with_(share + 1e-6)).toBe('spins');
  });
});

describe('a motor that is held', () => {
  it('reaches each limit when small steps of the same two equations do', () => {
    const input = { ...car, throttles: [0.3, 1], thermal };
    for (const { throttle, windingLimitS, caseLimitS } of driveStandstill(input).holdCurve) {
      const [winding, housing] = byEuler(throttle);
      expect(windingLimitS).toBeCloseTo(winding, 1);
      expect(caseLimitS! / housing).toBeCloseTo(1, 2);
    }
  });

  it('may be held for ever at what its resistances carry off', () => {
    const { safeCurrentA, safeThrottle } = driveStandstill({ ...car, thermal });
    // 60 K over 7 K/W for the case; 110 K over 7.9 K/W for the winding would be more
    const watts = 60 / 7;
    const warm = 0.022 * (1 + 0.00393 * (watts * 7.9));
    expect(safeCurrentA).toBeCloseTo(Math.sqrt(watts / warm), 9);
    const held = driveStandstill({ ...car, throttles: [safeThrottle! * 0.99], thermal }).holdCurve[0]!;
    expect([held.windingLimitS, held.caseLimitS]).toEqual([undefined, undefined]);
  });

  it('refuses limits that the air reaches and throttles beyond full', () => {
    expect(() => driveStandstill({ ...car, thermal: { ...thermal, caseLimitC: 20 } })).toThrow(
      expect.objectContaining({ path: 'thermal.ambientC' }),
    );
    expect(() => parse(driveStandstillSchema, { ...car, throttles: [0.5, 1.2] })).toThrow(
      expect.objectContaining({ path: 'throttles.1' }),
    );
  });
});

/** Seconds to both limits by steps of 2 ms. */
function byEuler(throttle: number): [number, number] {
  const [dt, found]: [number, (number | undefined)[]] = [0.002, [undefined, undefined]];
  let [winding, housing] = [20, 20];
  for (let t = 0; t < 2000 && found.includes(undefined); t += dt) {
    const hot = 0.022 * (1 + 0.00393 * (winding - 20));
    const amps = Math.min((throttle * 8.4) / (hot + 0.002 + throttle ** 2 * 0.01), 60);
    const through = (winding - housing) / 0.9;
    winding += (dt * (amps ** 2 * hot - through)) / 15;
    housing += (dt * (through - (housing - 20) / 7)) / 57;
    if (winding >= 130) found[0] ??= t + dt;
    if (housing >= 80) found[1] ??= t + dt;
  }
  return [found[0]!, found[1]!];
}

/** Cars that stand on slopes, crooked and weak ones among them. */
function cars(): fc.Arbitrary<StandingInput> {
  const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  return fc
    .record({
      massKg: between(0.5, 8),
      frontLoadShare: between(0.3, 0.7),
      drivenAxles: fc.constantFrom('front' as const, 'rear' as const, 'all' as const),
      mu: between(0.2, 1.2),
      rolling: between(0.01, 0.3),
      ratio: between(1, 15),
      resistance: between(20, 1500),
      limitA: between(5, 100),
      gradePct: between(-10, 60),
    })
    .map((one) => ({
      ...car,
      car: {
        ...car.car,
        massKg: one.massKg,
        frontLoadShare: one.frontLoadShare,
        drivenAxles: one.drivenAxles,
        rollingResistance: one.rolling,
      },
      tyre: { radiusMm: 42, mu: one.mu },
      drive: { ratio: one.ratio, efficiency: 0.8 },
      motor: { ...car.motor, resistanceMilliOhm: one.resistance },
      esc: { currentLimitA: one.limitA, resistanceMilliOhm: 2 },
      gradePct: one.gradePct,
    }));
}
