import fc from 'fast-check';
import { parse } from '../../base/schema/parse';
import { driveBrake, slowed } from './brake';
import { driveBrakeSchema } from './brake.schema';
import type { BrakeDefinition, DriveBrakeInput } from './definition';

/** No wind, no friction in motor or gears, nothing that turns along: 2 kg, 20 cm³ of mechanical brake. */
const plain: DriveBrakeInput = {
  car: {
    massKg: 2,
    cdaM2: 0,
    rollingResistance: 0.05,
    frontLoadShare: 0.5,
    cgHeightMm: 50,
    wheelbaseMm: 250,
    drivenAxles: 'all',
  },
  tyre: { radiusMm: 40, mu: 0.6 },
  drive: { ratio: 8, efficiency: 1 },
  motor: { kvRpmPerV: 3000, resistanceMilliOhm: 20, noLoadCurrentA: 0 },
  esc: { currentLimitA: 100 },
  battery: { cells: 2, cellResistanceMilliOhm: 3, capacityMah: 5000 },
  fromMps: 10,
  brake: {},
};
const weightN = 2 * 9.81;
const rollN = 0.05 * weightN;
const braked = (brake: BrakeDefinition, more: Partial<DriveBrakeInput> = {}): DriveBrakeInput => ({
  ...plain,
  ...more,
  brake,
});
const driven = (drivenAxles: 'front' | 'rear', more: Partial<DriveBrakeInput['car']> = {}) => ({
  car: { ...plain.car, drivenAxles, ...more },
});
/** Torque constant over the tread: force per ampere of one motor, N/A. */
const perA = (60 / (2 * Math.PI * 3000)) * (8 / 0.04);

describe('a steady brake', () => {
  it('stops as a body under one force does', () => {
    // 0.1 Nm an axle at 4 cm: 2.5 N each; rolling 0.981 N; 5.981 N on 2 kg
    const found = driveBrake(braked({ mechanicalFrontNm: 0.1, mechanicalRearNm: 0.1 }));
    const decel = (5 + rollN) / 2;
    expect(found.decelMps2).toBeCloseTo(decel, 12);
    expect(found.distanceM).toBeCloseTo(100 / (2 * decel), 9);
    expect(found.timeS).toBeCloseTo(10 / decel, 9);
    expect(found.meanDecelMps2).toBeCloseTo(decel, 9);
    expect(found).toMatchObject({ limitedBy: 'brake', locked: 'none', motorBrakeA: 0 });
    expect(found.energy!.mechanicalJ).toBeCloseTo((5 / (5 + rollN)) * 100, 6);
    expect(found.energy!.roadJ).toBeCloseTo((rollN / (5 + rollN)) * 100, 6);
  });

  it('moves h/L of the tyres’ force to the front', () => {
    const { axleLoadsN } = driveBrake(braked({ mechanicalFrontNm: 0.1, mechanicalRearNm: 0.1 }));
    // the tyres give 5 N, rolling 0.981 N: the whole retards the mass at the height of its centre
    expect(axleLoadsN.front).toBeCloseTo(weightN / 2 + 0.2 * (5 + rollN), 9);
    expect(axleLoadsN.rear).toBeCloseTo(weightN / 2 - 0.2 * (5 + rollN), 9);
  });

  it('coasts first where the driver takes a second over it', () => {
    const found = driveBrake(braked({ mechanicalFrontNm: 0.2, coastS: 1 }));
    const [coasting, braking] = [rollN / 2, (5 + rollN) / 2];
    const left = 10 - coasting;
    expect(found.timeS).toBeCloseTo(1 + left / braking, 8);
    expect(found.distanceM).toBeCloseTo(10 - coasting / 2 + left ** 2 / (2 * braking), 8);
  });
});

describe('a motor that brakes', () => {
  it('holds its current until its own volts drive no more, and fades with them', () => {
    const still = { ...plain.car, rollingResistance: 0 };
    const found = driveBrake(
      braked({ motorShare: 0.1 }, { car: still, toMps: 0.5, tyre: { radiusMm: 40, mu: 2 } }),
    );
    // 10 A until E = 10 A · 20 mΩ; below that the speed falls as e^(−ct)
    const volts = (60 / (2 * Math.PI * 3000)) * (8 / 0.04);
    const fades = (10 * 0.02) / volts;
    const decel = (10 * perA) / 2;
    const c = (perA * volts) / 0.02 / 2;
    expect(found.decelMps2).toBeCloseTo(decel, 12);
    expect(fades).toBeLessThan(0.5);
    const whole = driveBrake(
      braked({ motorShare: 0.1 }, { car: still, toMps: fades / 8, tyre: { radiusMm: 40, mu: 2 } }),
    );
    expect(whole.timeS! / ((10 - fades) / decel + Math.log(8) / c)).toBeCloseTo(1, 5);
    // to a standstill it would take for ever
    const never = driveBrake(braked({ motorShare: 0.1 }, { car: still, tyre: { radiusMm: 40, mu: 2 } }));
    expect(never.distanceM).toBeUndefined();
    expect(never.notes).toMatchObject([{ code: 'note.brake.neverThere' }]);
  });

  it('gives the pack what its windings leave', () => {
    const found = driveBrake(braked({ motorShare: 0.1, regeneration: 1 }, { toMps: 9.9999999 }));
    const volts = 10 * perA;
    expect(found.peakRegenA! * 8.4).toBeCloseTo(10 * volts - 100 * 0.02, 5);
    expect(found.findings).toMatchObject([{ severity: 'over', about: 'battery' }]);
  });
});

describe('a driver who eases off', () => {
  it('uses all grip where both axles share by their loads', () => {
    const found = driveBrake(braked({ motorShare: 1 }));
    expect(found.limitedBy).toBe('grip');
    expect(found.decelMps2).toBeCloseTo((0.6 + 0.05) * 9.81, 8);
    expect(found.lockFirst).toBe('both');
  });

  it('has the rear axle’s grip alone in a rear-driven car', () => {
    const found = driveBrake(braked({ motorShare: 1 }, driven('rear')));
    const heldN = (0.6 * (weightN / 2 - 0.2 * rollN)) / (1 + 0.6 * 0.2);
    expect(found.decelMps2).toBeCloseTo((heldN + rollN) / 2, 8);
    expect(found).toMatchObject({ limitedBy: 'grip', lockFirst: 'rear' });
    expect(found.findings).toMatchObject([{ severity: 'over', about: 'rear' }]);
  });

  it('stands on its front wheels where they hold more than the rear axle weighs', () => {
    const tall = driven('front', { cgHeightMm: 200 });
    const found = driveBrake(braked({ motorShare: 1 }, { ...tall, tyre: { radiusMm: 40, mu: 1.2 } }));
    expect(found.limitedBy).toBe('lift');
    expect(found.axleLoadsN.rear).toBeCloseTo(0, 8);
    expect(found.decelMps2).toBeCloseTo(weightN / 2 / 0.8 / 2, 8);
  });

  it('locks both axles together at the ideal share, with all of the grip', () => {
    const share = driveBrake(braked({ mechanicalFrontNm: 0.1 })).idealFrontShare;
    // at the limit 0.6 + 0.05 g move 0.2·0.65·m·g forward
    expect(share).toBeCloseTo(0.5 + 0.2 * 0.65, 12);
    const at = (front: number) =>
      driveBrake(braked({ mechanicalFrontNm: 0.2 * front, mechanicalRearNm: 0.2 * (1 - front) }));
    expect(at(share).lockAtShare! * 5).toBeCloseTo(0.6 * weightN, 6);
    expect(at(share + 0.01).lockFirst).toBe('front');
    expect(at(share - 0.01)).toMatchObject({ lockFirst: 'rear', findings: [{ severity: 'note' }] });
  });
});

describe('a driver who holds the brake', () => {
  it('slides the front axle at its sliding friction, the rear still held back by its own brake', () => {
    const found = driveBrake(
      braked({ mechanicalFrontNm: 1, mechanicalRearNm: 0.04, onLock: 'slide', slideShare: 0.75 }),
    );
    // 0.45·(N_f0 + 0.2·(F_f + 1 N + rolling)) = F_f
    const frontN = (0.45 * (weightN / 2 + 0.2 * (1 + rollN))) / (1 - 0.45 * 0.2);
    expect(found).toMatchObject({ locked: 'front', limitedBy: 'grip' });
    expect(found.decelMps2).toBeCloseTo((frontN + 1 + rollN) / 2, 10);
    expect(found.energy!.tyreJ).toBeCloseTo((frontN / (frontN + 1 + rollN)) * 100, 6);
  });

  it('stops a motor whose axle slides', () => {
    const found = driveBrake(braked({ motorShare: 1, onLock: 'slide' }, driven('rear')));
    expect(found).toMatchObject({ locked: 'rear', motorBrakeA: 0 });
    expect(found.energy!.motorJ).toBeLessThan(0.1 * found.energy!.tyreJ);
  });

  it('slides on both at the sliding friction of the whole weight', () => {
    const found = driveBrake(braked({ mechanicalFrontNm: 2, mechanicalRearNm: 2, onLock: 'slide' }));
    expect(found.locked).toBe('both');
    expect(found.decelMps2).toBeCloseTo((0.8 * 0.6 + 0.05) * 9.81, 10);
  });
});

const cars = () =>
  fc
    .record({
      massKg: fc.double({ min: 0.3, max: 8, noNaN: true }),
      front: fc.double({ min: 0.3, max: 0.7, noNaN: true }),
      mu: fc.double({ min: 0.2, max: 1.2, noNaN: true }),
      drivenAxles: fc.constantFrom('front', 'rear', 'all'),
      gradePct: fc.double({ min: -8, max: 20, noNaN: true }),
      idleA: fc.double({ min: 0, max: 3, noNaN: true }),
      brake: fc.record({
        motorShare: fc.double({ min: 0, max: 1, noNaN: true }),
        dragShare: fc.double({ min: 0, max: 0.3, noNaN: true }),
        mechanicalFrontNm: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
        mechanicalRearNm: fc.double({ min: 0, max: 0.4, noNaN: true }),
        coastS: fc.double({ min: 0, max: 0.5, noNaN: true }),
      }),
    })
    .map(({ massKg, front, mu, drivenAxles, gradePct, idleA, brake }): DriveBrakeInput => ({
      ...plain,
      car: {
        ...plain.car,
        massKg,
        drivenAxles,
        frontLoadShare: front,
        cdaM2: 0.02,
        claFrontM2: 0.004,
        claRearM2: 0.006,
        wheelInertiaKgM2: 2e-4,
      },
      tyre: { radiusMm: 40, mu },
      drive: { ratio: 8, efficiency: 0.85 },
      motor: { ...plain.motor, noLoadCurrentA: idleA, rotorInertiaKgM2: 3e-6 },
      gradePct,
      toMps: 1,
      brake,
    }));

describe('any car', () => {
  it('turns all of its motion into what takes it, whoever brakes, and no step moves that', () =>
    fc.assert(
      fc.property(cars(), (input) => {
        const found = driveBrake(input);
        if (!found.energy) return;
        const { kineticJ, motorJ, mechanicalJ, roadJ, drivelineJ, tyreJ } = found.energy;
        expect((motorJ + mechanicalJ + roadJ + drivelineJ + tyreJ) / kineticJ).toBeCloseTo(1, 4);
        const finer = slowed(input, 2000);
        expect(finer.distanceM! / found.distanceM!).toBeCloseTo(1, 4);
      }),
      { seed: 31, numRuns: 30 },
    ));

  it('holds no axle over its grip, and would at a little more', () =>
    fc.assert(
      fc.property(cars(), (input) => {
        const { limitedBy, lockAtShare } = driveBrake(input);
        if (lockAtShare === undefined || lockAtShare === 0) return;
        expect(limitedBy === 'brake').toBe(lockAtShare > 1);
      }),
      { seed: 32, numRuns: 80 },
    ));
});

describe('what cannot be', () => {
  it('is refused at its field', () => {
    const refused = (input: object, path: string) =>
      expect(() => driveBrake(input as DriveBrakeInput)).toThrow(expect.objectContaining({ path }));
    refused({ ...plain, toMps: 10 }, 'fromMps');
    refused(braked({ motorShare: 1, motorNm: 0.1 }), 'brake.motorShare');
    refused(braked({ motorFrontShare: 0.5 }, driven('rear')), 'brake.motorFrontShare');
    expect(() => parse(driveBrakeSchema, { ...plain, throttle: 1 })).toThrow(
      expect.objectContaining({ path: 'throttle' }),
    );
  });
});
