import { parse } from '../../base/schema/parse';
import { gearMesh } from '../gears/mesh';
import { gearStrength } from '../gears/strength';
import { gearHelical, type HelicalInput } from './helical';
import { gearHelicalSchema } from './helical.schema';

const material = { inPlaneStrengthMpa: 50, softeningC: 60 };
const base = {
  pinionTeeth: 18,
  wheelTeeth: 36,
  moduleMm: 1,
  helixDeg: 25,
  faceWidthMm: 12,
  torqueNm: 0.8,
  speedRpm: 6000,
  pinion: { material },
  wheel: { material },
};
const helical = (input: object) => gearHelical(parse(gearHelicalSchema, input) as HelicalInput);
const refusedAt = (input: object) => {
  try {
    helical(input);
    return undefined;
  } catch (error) {
    return (error as { refused: { path: string } }).refused.path;
  }
};

describe('a helical pair', () => {
  it('is the spur gear of the other operation with straight teeth', () => {
    const { pinion, wheel, helixFactor, thrustN, axialPitchMm, tangentialForceN } = helical({
      ...base,
      helixDeg: 0,
    });
    const spur = { moduleMm: 1, faceWidthMm: 12, material };
    const small = gearStrength({ ...spur, teeth: 18, mateTeeth: 36, torqueNm: 0.8, speedRpm: 6000 });
    const large = gearStrength({ ...spur, teeth: 36, mateTeeth: 18, torqueNm: 1.6, speedRpm: 3000 });
    expect(pinion.bendingStressMpa).toBeCloseTo(small.bendingStressMpa, 9);
    expect(wheel.margin).toBeCloseTo(large.margin!, 9);
    expect({ helixFactor, thrustN, axialPitchMm, toward: pinion.thrustToward }).toEqual({
      helixFactor: 1,
      thrustN: 0,
      axialPitchMm: undefined,
      toward: 0,
    });
    expect(tangentialForceN).toBeCloseTo((2 * 800) / 18, 9);
  });

  it('has the geometry of the mesh, and Shigley’s forces', () => {
    const found = helical(base);
    const cos = Math.cos((25 * Math.PI) / 180);
    const mesh = gearMesh({ pinionTeeth: 18, wheelTeeth: 36, moduleMm: 1, helixDeg: 25 });
    expect(found.centreDistanceMm).toBeCloseTo(27 / cos, 9);
    expect(found.transverseContactRatio).toBeCloseTo(mesh.contactRatio, 12);
    // b·sin β/(π·m) = 12·0.42262/π
    expect(found.overlapRatio).toBeCloseTo(1.6143, 4);
    expect(found.axialPitchMm).toBeCloseTo(7.4336, 4);
    const force = (2 * 800 * cos) / 18;
    expect(found.tangentialForceN).toBeCloseTo(force, 9);
    expect(found.thrustN).toBeCloseTo(force * Math.tan((25 * Math.PI) / 180), 9);
    // without a shift: W_t·tan α_t, α_t = atan(tan 20°/cos 25°)
    expect(found.radialForceN).toBeCloseTo((force * Math.tan((20 * Math.PI) / 180)) / cos, 9);
    expect(found.pinion.virtualTeeth).toBeCloseTo(18 / cos ** 3, 9);
    // ε_β over 1, 25° of 120
    expect(found.helixFactor).toBeCloseTo(1 - 25 / 120, 9);
  });

  it('turns its helix until the centres are as wished', () => {
    const { helixDeg, centreDistanceMm } = helical({ ...base, helixDeg: undefined, centreDistanceMm: 30 });
    expect(centreDistanceMm).toBeCloseTo(30, 9);
    expect(Math.cos((helixDeg * Math.PI) / 180)).toBeCloseTo(27 / 30, 9);
    const asked = (more: object) => refusedAt({ ...base, helixDeg: undefined, ...more });
    expect(asked({ centreDistanceMm: 26.9 })).toBe('centreDistanceMm');
    expect(asked({ centreDistanceMm: 38.2 })).toBe('centreDistanceMm');
    expect(asked({ centreDistanceMm: 30, wheelShift: 0.1 })).toBe('wheelShift');
    expect(asked({})).toBe('helixDeg');
    expect(refusedAt({ ...base, centreDistanceMm: 30 })).toBe('helixDeg');
    expect(refusedAt({ ...base, pinionTeeth: 6, helixDeg: 5 })).toBe('pinionTeeth');
    expect(refusedAt({ ...base, diametralPitch: 24 })).toBe('moduleMm');
  });

  it('pushes one way for hand, spin and drive, all of them turning it over', () => {
    const toward = (more: object) => helical({ ...base, ...more }).pinion.thrustToward;
    expect(toward({})).toBe(1);
    expect(toward({ pinionHand: 'left' })).toBe(-1);
    expect(toward({ pinionSpin: -1 })).toBe(-1);
    expect(toward({ pinionDrives: false })).toBe(-1);
    expect(toward({ pinionHand: 'left', pinionSpin: -1, pinionDrives: false })).toBe(-1);
    expect(helical(base).wheel).toMatchObject({ hand: 'left', thrustToward: -1 });
    expect(helical({ ...base, wishedThrust: -1 }).handForWish).toBe('left');
    expect(helical({ ...base, wishedThrust: 1 }).handForWish).toBe('right');
    const none = helical({ ...base, double: true, wishedThrust: 1 });
    expect(none.handForWish).toBeUndefined();
    expect(none.notes.map(({ code }) => code)).toEqual(['note.helical.noThrust']);
  });

  it('takes the thrust off the shaft in two halves, each of half of it, on twice the face', () => {
    const [single, double] = [helical(base), helical({ ...base, double: true })];
    expect(double.thrustN).toBe(0);
    expect(double.thrustEachHalfN).toBeCloseTo(single.thrustN / 2, 9);
    expect(double.pinion.bendingStressMpa / single.pinion.bendingStressMpa).toBeCloseTo(0.5, 9);
  });

  it('loads its bearings so that forces and moments balance', () => {
    const places = [-15, 25] as const;
    const found = helical({ ...base, pinion: { material, bearingsAtMm: places } });
    const [first, second] = found.pinion.bearingLoadsN!;
    const radius = found.pinion.pitchDiameterMm / 2;
    // moments about the first bearing, across and towards: R2·s = W·(0 − x1), and the thrust at its radius
    const span = 40;
    const across = (found.tangentialForceN * 15) / span;
    const toward = (found.radialForceN * 15 + radius * found.thrustN) / span;
    expect(second).toBeCloseTo(Math.hypot(across, toward), 9);
    expect(first).toBeCloseTo(Math.hypot(found.tangentialForceN - across, found.radialForceN - toward), 9);
    expect(refusedAt({ ...base, wheel: { material, bearingsAtMm: [5, 5] } })).toBe('wheel.bearingsAtMm');
  });
});
