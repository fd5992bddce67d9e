import { car } from '../../fixtures/car';
import { breakawayCurrentA, throttleForSpeed } from './handLimits';
import { driveRun } from './run';
import { runInputOf } from '../../worked/motion/runOfBuild';

const assembled = runInputOf(car, car.brief.surfaces[0]!);
if (!assembled.ok) throw new Error('the car is not ready');
const input = assembled.value;

describe('limits by hand', () => {
  it('finds the current at which the launch changes from grip to current', () => {
    const amps = breakawayCurrentA(input)!;
    const launch = (currentLimitA: number) => driveRun({ ...input, esc: { ...input.esc, currentLimitA } });
    expect(launch(amps * 1.001).launchLimitedBy).toBe('grip');
    expect(launch(amps * 0.999).launchLimitedBy).toBe('current');
    // all-driven: a = μ·g − c·g, and the motors carry the turning parts too; by hand from m·a + F_res + (m_e − m)·a
    const { massKg, rollingResistance, wheelInertiaKgM2 } = input.car;
    const a = 9.81 * (input.tyre.mu - rollingResistance);
    const spin = (wheelInertiaKgM2! + input.motor.rotorInertiaKgM2! * 100) / 0.042 ** 2;
    const torque = ((massKg * a + rollingResistance * massKg * 9.81 + spin * a) * 0.042) / (10 * 0.8);
    expect(amps).toBeCloseTo((torque * 3000 * 2 * Math.PI) / 60 + 2, 6);
  });

  it('is none where the tyres cannot even carry the resistance', () => {
    expect(breakawayCurrentA({ ...input, gradePct: 200 })).toBeUndefined();
  });

  it('finds the throttle whose top speed is the wish', () => {
    const throttle = throttleForSpeed(input, 8)!;
    expect(throttle).toBeLessThan(1);
    expect(driveRun({ ...input, throttle }).topSpeedMps).toBeCloseTo(8, 3);
    expect(throttleForSpeed(input, 50)).toBeUndefined();
  });
});
