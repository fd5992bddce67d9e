import { parse } from '../../base/schema/parse';
import { driveFriction, type FrictionInput } from './friction';
import { driveFrictionSchema } from './friction.schema';

const friction = (input: object) => driveFriction(parse(driveFrictionSchema, input) as FrictionInput);
const refusedAt = (input: object) => {
  try {
    friction(input);
    return undefined;
  } catch (error) {
    return (error as { refused: { path: string } }).refused.path;
  }
};
const base = { ratio: 10, radiusMm: 40 };
const readings = [
  { part: 'motor', startG: 120, keepG: 90, errorG: 5 },
  { part: 'pinion shaft', startG: 80, keepG: 60, errorG: 5 },
  { part: 'wheels', startG: 30, keepG: 25, errorG: 5 },
];
const motor = { kind: 'sensored', kvRpmPerV: 2000, resistanceMilliOhm: 40, volts: 7.4, currentLimitA: 60 };
const PER_G = (9.81 * 0.04) / 10 / 1000;
const KT = 60 / (2 * Math.PI * 2000);

describe('what string and weight say of a drive', () => {
  it('takes each part as a reading less the next, with both errors, and all of them make the first', () => {
    const { parts, total, driveline } = friction({ ...base, readings });
    expect(parts.map(({ part }) => part)).toEqual(['motor', 'pinion shaft', 'wheels']);
    expect(parts.map(({ startNm }) => startNm / PER_G)).toEqual([
      expect.closeTo(40, 9),
      expect.closeTo(50, 9),
      expect.closeTo(30, 9),
    ]);
    expect(parts[0]!.startErrorNm / PER_G).toBeCloseTo(5 * Math.SQRT2, 9);
    expect(parts[2]!.startErrorNm / PER_G).toBeCloseTo(5, 9);
    expect(parts.reduce((sum, { shareOfStart }) => sum + shareOfStart!, 0)).toBeCloseTo(1, 9);
    expect(parts.map(({ clear }) => clear)).toEqual([true, true, true]);
    expect(total).toMatchObject({ withMotor: true });
    expect(driveline!.keepNm / PER_G).toBeCloseTo(60, 9);
    // a string of 0.5 mm more or less on 40 mm
    const wide = friction({ ...base, radiusErrorMm: 0.5, readings: [{ ...readings[0]!, errorG: 0 }] });
    expect(wide.total!.startErrorNm / wide.total!.startNm).toBeCloseTo(0.5 / 40, 9);
    // the same weight on the motor's own shaft
    const there = friction({ ...base, readings: [{ part: 'motor', startG: 12, keepG: 9, ratio: 1 }] });
    expect(there.total!.startNm / PER_G).toBeCloseTo(120, 9);
    expect(friction({ ...base, readings: [{ part: 'a', startG: 0, keepG: 0 }] }).parts[0]).not.toHaveProperty(
      'shareOfStart',
    );
  });

  it('starts with what the kind of motor gives at its worst angle, over what holds it', () => {
    const found = friction({ ...base, readings, motor, startLoadNm: 0.2 });
    // 7.4 V over 40 mΩ is 185 A, held at 60
    expect(found.stallNm).toBeCloseTo(60 * KT, 9);
    expect(found.startFactor).toBeCloseTo(Math.sqrt(3) / 2, 9);
    const asked = 120 * PER_G + 0.02;
    expect(found.startMargin).toBeCloseTo(((Math.sqrt(3) / 2) * 60 * KT) / asked, 9);
    expect(found.startMarginLow).toBeCloseTo(((Math.sqrt(3) / 2) * 60 * KT) / (asked + 5 * PER_G), 9);
    expect(found.shareOfStall).toBeCloseTo((120 * PER_G) / (60 * KT), 9);
    const blind = friction({ ...base, readings, motor: { ...motor, kind: 'sensorless' } });
    expect(blind.startFactor).toBe(0.4);
    expect(friction({ ...base, readings, motor: { ...motor, startFactor: 0.7 } }).startFactor).toBe(0.7);
  });

  it('adds the motor’s own drag where it was out, or says that it is missing', () => {
    const without = readings.slice(1);
    const out = friction({ ...base, readings: without, motor });
    expect(out.notes.map(({ code }) => code)).toEqual(['note.friction.motorOut']);
    const known = friction({
      ...base,
      readings: without,
      motor,
      motorAlone: { currentA: 1.5, rpm: 14_000, errorA: 0.1 },
    });
    expect(known.startFrictionNm).toBeCloseTo(80 * PER_G + 1.5 * KT, 9);
    const error = Math.hypot(5 * PER_G, 0.1 * KT);
    expect(known.startMarginLow).toBeCloseTo(
      ((Math.sqrt(3) / 2) * 60 * KT) / (known.startFrictionNm! + error),
      9,
    );
  });

  it('tells what turns from two currents, its part that grows with speed, and the efficiency at a load', () => {
    const found = friction({
      ...base,
      readings,
      motor,
      freeSpin: { currentA: 3, rpm: 14_000, errorA: 0.1 },
      motorAlone: { currentA: 1.5, rpm: 14_500, errorA: 0.1 },
      loadNm: 0.5,
      meshEfficiency: 0.95,
    });
    expect(found.running!.drivelineNm).toBeCloseTo(1.5 * KT, 9);
    expect(found.running!.errorNm).toBeCloseTo(0.1 * Math.SQRT2 * KT, 9);
    expect(found.running!.speedPartNm).toBeCloseTo(1.5 * KT - 60 * PER_G, 9);
    expect(found.freeSpin!.lossW).toBeCloseTo((3 * KT * 2 * Math.PI * 14_000) / 60, 9);
    expect(found.freeSpin!.terminalV).toBeCloseTo(14_000 / 2000 + 3 * 0.04, 9);
    const torque = 0.05 / 0.95 + 1.5 * KT;
    expect(found.motorTorqueAtLoadNm).toBeCloseTo(torque, 9);
    expect(found.efficiencyAtLoad).toBeCloseTo(0.05 / torque, 9);
    // from the string alone, what keeps it turning
    expect(friction({ ...base, readings, loadNm: 0.5 }).motorTorqueAtLoadNm).toBeCloseTo(
      0.05 + 60 * PER_G,
      9,
    );
    const alone = friction({ ...base, motor, freeSpin: { currentA: 3, rpm: 14_000 }, loadNm: 0.5 });
    expect(alone.efficiencyAtLoad).toBeUndefined();
    expect(alone.notes.map(({ code }) => code)).toEqual(['note.friction.noDrag']);
    expect(alone.parts).toEqual([]);
  });

  it('refuses at the field what cannot be', () => {
    expect(refusedAt(base)).toBe('readings');
    expect(refusedAt({ ...base, readings: [{ part: 'a', startG: 5, keepG: 6 }] })).toBe('readings.0.keepG');
    expect(refusedAt({ ...base, readings: [readings[1], readings[1]] })).toBe('readings.1.part');
    expect(refusedAt({ ...base, readings: [readings[1], readings[0]] })).toBe('readings.1.part');
    expect(refusedAt({ ...base, readings, freeSpin: { currentA: 3, rpm: 9000 } })).toBe('motor');
  });
});
