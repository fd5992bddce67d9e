import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { servoSteer, type ServoSteerInput, servoTorque, type ServoTorqueInput } from './servo';
import { servoSteerSchema, servoTorqueSchema } from './servo.schema';

const points = [
  { volts: 7.4, torqueKgcm: 12, secondsPer60Deg: 0.1 },
  { volts: 6, torqueKgcm: 10, secondsPer60Deg: 0.12 },
];
const torque = (input: ServoTorqueInput) => servoTorque(parse(servoTorqueSchema, input));
const steer = (input: ServoSteerInput) => servoSteer(parse(servoSteerSchema, input));
const pathOf = (work: () => unknown) => refusalOf(work).path;

describe('servo.torque', () => {
  it('goes straight between the points, in proportion below, and no further above', () => {
    expect(torque({ points, volts: 6.7 })).toMatchObject({
      torqueKgcm: 11,
      secondsPer60Deg: 0.11,
      overVolts: false,
    });
    expect(torque({ points, volts: 6.7 }).torqueNm).toBeCloseTo(11 * 0.0980665, 12);
    expect(torque({ points, volts: 3 })).toMatchObject({ torqueKgcm: 5, secondsPer60Deg: 0.24 });
    expect(torque({ points, volts: 8.4 })).toMatchObject({
      torqueKgcm: 12,
      secondsPer60Deg: 0.1,
      overVolts: true,
    });
    expect(torque({ points, volts: 7.4 }).overVolts).toBe(false);
  });

  it('leaves the time out where a point lacks it, and refuses a voltage given twice', () => {
    expect(
      torque({ points: [points[0]!, { volts: 6, torqueKgcm: 10 }], volts: 6.7 }).secondsPer60Deg,
    ).toBeUndefined();
    expect(pathOf(() => torque({ points: [points[0]!, points[0]!], volts: 6 }))).toBe('points.1.volts');
  });
});

describe('servo.steer', () => {
  const servo = { points, volts: 6 };
  it('scrubs two wheels, by hand', () => {
    // √(20²/8 + 8²) = 10.677 mm; 0.9·(5 + 4) N · 10.677 mm = 86.49 mNm, + 13.51 of lift = 0.1 Nm over 1.25·0.8 = 1
    const lift = 100 - 0.9 * 9 * Math.sqrt(50 + 64);
    const found = steer({
      wheelLoadN: [5, 4],
      mu: 0.9,
      contactWidthMm: 20,
      scrubRadiusMm: 8,
      linkageRatio: 1.25,
      liftNmm: lift,
      servo,
    });
    expect(found.neededNm).toBeCloseTo(0.1, 12);
    expect(found.margin).toBeCloseTo(0.980665 / 0.1, 9);
  });

  it('does other work, and refuses steering fields with it', () => {
    expect(steer({ forceN: 20, armMm: 15, servo }).neededNm).toBeCloseTo(0.3 / 0.8, 12);
    expect(steer({ forceN: 0, armMm: 15, servo }).margin).toBeUndefined();
    expect(pathOf(() => steer({ forceN: 20, armMm: 15, mu: 0.9, servo }))).toBe('mu');
    expect(pathOf(() => steer({ forceN: 20, servo }))).toBe('armMm');
    expect(pathOf(() => steer({ mu: 1, servo }))).toBe('wheelLoadN');
  });
});
