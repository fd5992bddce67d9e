import fc from 'fast-check';
import { asAlike, eachCurrent, type Fed } from './together';

const radPerSV = ({ kvRpmPerV }: Fed) => (kvRpmPerV * 2 * Math.PI) / 60;
const winding = fc.record({
  kvRpmPerV: fc.double({ min: 500, max: 6000, noNaN: true }),
  resistanceMilliOhm: fc.double({ min: 5, max: 200, noNaN: true }),
  noLoadCurrentA: fc.double({ min: 0, max: 5, noNaN: true }),
  controllerMilliOhm: fc.double({ min: 0, max: 5, noNaN: true }),
  limitA: fc.double({ min: 10, max: 200, noNaN: true }),
});
const FEED = { controllerMilliOhm: 2, limitA: 80 };

describe('unlike motors as alike ones', () => {
  it('are themselves where they are alike', () => {
    const motor = { kvRpmPerV: 2200, resistanceMilliOhm: 30, noLoadCurrentA: 1.5, ...FEED };
    const found = asAlike([motor, motor, motor], 2);
    for (const key of Object.keys(motor) as (keyof Fed)[]) expect(found[key]).toBeCloseTo(motor[key], 9);
    for (const amps of eachCurrent([motor, motor], motor, { amps: 17, radPerS: 900 }))
      expect(amps).toBeCloseTo(17, 9);
  });

  it('give the same torque as their sum at every voltage and speed', () =>
    fc.assert(
      fc.property(
        fc.array(winding, { minLength: 1, maxLength: 4 }),
        fc.double({ min: 1, max: 25, noNaN: true }),
        fc.double({ min: 0, max: 4000, noNaN: true }),
        (motors, volts, radPerS) => {
          const common = 0.5;
          const ohmOf = ({ resistanceMilliOhm, controllerMilliOhm }: Fed) =>
            (resistanceMilliOhm + controllerMilliOhm) / 1000;
          const torque = (motor: Fed) =>
            ((volts - radPerS / radPerSV(motor)) / ohmOf(motor) - motor.noLoadCurrentA) / radPerSV(motor);
          const sum = motors.reduce((all, motor) => all + torque(motor), 0);
          const alike = asAlike(motors, common);
          fc.pre(alike.resistanceMilliOhm > 0);
          // at their limits too
          const limited = (motor: Fed) => (motor.limitA - motor.noLoadCurrentA) / radPerSV(motor);
          const all = motors.reduce((one, motor) => one + limited(motor), 0);
          expect((motors.length * limited(alike)) / all).toBeCloseTo(1, 6);
          const scale = motors.reduce((all, motor) => all + Math.abs(torque(motor)), 1e-6);
          expect(Math.abs(motors.length * torque(alike) - sum) / scale).toBeLessThan(1e-6);
          // and each carries what its own volts say, none of them backward, so that the pull stays what it is
          const amps = (volts - radPerS / radPerSV(alike)) / ohmOf(alike);
          const each = eachCurrent(motors, alike, { amps, radPerS });
          const own = motors.map((motor) => (volts - radPerS / radPerSV(motor)) / ohmOf(motor));
          if (own.every((one) => one >= 0))
            own.forEach((one, at) => expect((each[at]! - one) / Math.max(1, one)).toBeCloseTo(0, 5));
          else expect(Math.min(...each)).toBe(0);
        },
      ),
    ));

  it('has the slower one idle along where the faster turns it over its own speed, and the faster carry its drag', () => {
    const [fast, slow] = [2400, 1800].map((kvRpmPerV) => ({
      kvRpmPerV,
      resistanceMilliOhm: 20,
      noLoadCurrentA: 1,
      controllerMilliOhm: 0,
      limitA: 80,
    })) as [Fed, Fed];
    const alike = asAlike([fast, slow], 0);
    // no more is asked than both idle with
    const radPerS = 8 * radPerSV(alike);
    const [first, second] = eachCurrent([fast, slow], alike, { amps: alike.noLoadCurrentA, radPerS });
    expect(second).toBe(0);
    // 1/K_f + 1/K_s of drag, all of it through the faster: I = 1 + K_f/K_s
    expect(first).toBeCloseTo(1 + 2400 / 1800, 6);
  });
});
