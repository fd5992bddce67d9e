import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { gearStrength, type GearStrengthInput } from './strength';
import { gearStrengthSchema } from './strength.schema';

const strength = (input: GearStrengthInput) => gearStrength(parse(gearStrengthSchema, input));
const plastic = { inPlaneStrengthMpa: 50, softeningC: 63 };
const gear: GearStrengthInput = {
  teeth: 20,
  mateTeeth: 60,
  moduleMm: 1,
  faceWidthMm: 8,
  torqueNm: 0.5,
  speedRpm: 3000,
  material: plastic,
};
const pathOf = (input: object) => refusalOf(() => strength({ ...gear, ...input } as GearStrengthInput)).path;

describe('gear.strength', () => {
  it('is Shigley’s example 14-1: 365 lbf on 16 teeth of pitch 8, 1.5 in wide, at 1200 rpm and 10 kpsi', () => {
    const found = strength({
      teeth: 16,
      mateTeeth: 48,
      moduleMm: 25.4 / 8,
      faceWidthMm: 38.1,
      torqueNm: 10,
      speedRpm: 1200,
      overloadFactor: 1,
      material: { inPlaneStrengthMpa: 68.9476, softeningC: 400 },
    });
    expect(found.lewisY).toBe(0.296);
    expect(found.pitchLineMps).toBeCloseTo((628.3 * 0.3048) / 60, 2);
    expect(found.dynamicFactor).toBeCloseTo(1.52, 2);
    // 365 lbf at a radius of 1 in
    expect(found.torqueAtMargin1Nm / (365 * 4.44822 * 0.0254)).toBeCloseTo(1, 2);
  });

  it('reckons a printed tooth by hand', () => {
    // W_t = 2·0.5/0.02 = 50 N, v = π·0.02·50 = 3.1416 m/s, K_v = 1.515; 50·1.5·1.515/(8·1·0.322) = 44.11 MPa
    const found = strength(gear);
    expect(found.tangentialForceN).toBeCloseTo(50, 9);
    expect(found.bendingStressMpa).toBeCloseTo((50 * 1.5 * (1 + Math.PI / 6.1)) / (8 * 0.322), 9);
    expect(found.margin).toBeCloseTo(50 / found.bendingStressMpa, 9);
    expect(strength({ ...gear, faceWidthMm: found.faceWidthForMargin2Mm! }).margin).toBeCloseTo(2, 9);
    expect(strength({ ...gear, torqueNm: found.torqueAtMargin1Nm }).margin).toBeCloseTo(1, 9);
  });

  it('halves the strength halfway to the softening, and has none there', () => {
    expect(strength({ ...gear, temperatureC: 43 }).allowableMpa).toBeCloseTo(25, 9);
    const soft = strength({ ...gear, temperatureC: 70 });
    expect(soft).toMatchObject({ allowableMpa: 0, margin: 0, torqueAtMargin1Nm: 0 });
    expect(soft.faceWidthForMargin2Mm).toBeUndefined();
    expect(soft.notes[0]!.code).toBe('note.gearStrength.soft');
  });

  it('wears with work over flank, whichever of the two gears it is', () => {
    const wear = { ...gear, material: { ...plastic, wearCoefficientMm3PerNm: 1e-6 } };
    const small = strength(wear);
    // the wheel carries three times the torque at a third of the speed on three times the teeth
    const large = strength({ ...wear, teeth: 60, mateTeeth: 20, torqueNm: 1.5, speedRpm: 1000 });
    const rb = (20 * Math.cos((20 * Math.PI) / 180)) / 2;
    const tip = (z: number) => Math.acos((z * Math.cos((20 * Math.PI) / 180)) / (z + 2));
    const flank = (z: number) => ((rb * z) / 20 / 2) * Math.tan(tip(z)) ** 2;
    expect(large.wearMmPerHour! / small.wearMmPerHour!).toBeCloseTo((20 * flank(20)) / (60 * flank(60)), 9);
    // ε = z/2π·(tan α_a − tan α): 0.741 and 0.880 or so; H_V = π·4/60·(1 − Σε + Σε²)
    const [e1, e2] = [20, 60].map(
      (z) => (z / (2 * Math.PI)) * (Math.tan(tip(z)) - Math.tan((20 * Math.PI) / 180)),
    ) as [number, number];
    const loss = ((Math.PI * 4) / 60) * (1 - e1 - e2 + e1 ** 2 + e2 ** 2);
    expect(small.wearMmPerHour).toBeCloseTo(
      (0.5 * 2 * Math.PI * 180_000 * loss * 1e-6) / (8 * 20 * flank(20)),
      9,
    );
    expect(small.hoursToWearLimit).toBeCloseTo(0.2 / small.wearMmPerHour!, 9);
  });

  it('notes another pressure angle and no load; refuses small pinions and a material softer than the room', () => {
    expect(strength({ ...gear, pressureAngleDeg: 14.5 }).notes[0]).toMatchObject({
      code: 'note.gearStrength.formFactor',
      facts: { angle: { value: 14.5 } },
    });
    expect(strength({ ...gear, torqueNm: 0 }).margin).toBeUndefined();
    expect(pathOf({ teeth: 9 })).toBe('teeth');
    expect(pathOf({ mateTeeth: 5 })).toBe('mateTeeth');
    expect(pathOf({ material: { ...plastic, softeningC: 20 } })).toBe('material.softeningC');
  });
});
