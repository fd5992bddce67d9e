import { parse } from '../../base/schema/parse';
import { gearStrength } from '../gears/strength';
import { type BevelInput, gearBevel } from './bevel';
import { gearBevelSchema } from './bevel.schema';

const material = { inPlaneStrengthMpa: 50, softeningC: 60 };
const base = {
  pinionTeeth: 15,
  wheelTeeth: 39,
  moduleMm: 1,
  faceWidthMm: 5,
  torqueNm: 0.8,
  speedRpm: 6000,
  pinion: { material },
  wheel: { material },
};
const bevel = (input: object) => gearBevel(parse(gearBevelSchema, input) as BevelInput);
const refusedAt = (input: object) => {
  try {
    bevel(input);
    return undefined;
  } catch (error) {
    return (error as { refused: { path: string } }).refused.path;
  }
};
const RAD = Math.PI / 180;

describe('a straight bevel pair', () => {
  it('has the forces of Shigley’s example 13-7: 15 and 45 teeth of 5 an inch, 5 hp at 600 rpm', () => {
    // mean radius of the pinion 1.293 in: a face of 1.309 in along cones of 18.43 degrees
    const found = bevel({
      ...base,
      wheelTeeth: 45,
      moduleMm: undefined,
      diametralPitch: 5,
      faceWidthMm: 33.26,
      torqueNm: (5 * 745.7 * 60) / (2 * Math.PI * 600),
      speedRpm: 600,
    });
    const LBF = 4.448;
    expect(found.pinion.coneAngleDeg).toBeCloseTo(18.43, 2);
    expect(found.wheel.coneAngleDeg).toBeCloseTo(71.57, 2);
    expect(found.pinion.meanDiameterMm / 25.4 / 2).toBeCloseTo(1.293, 3);
    expect(found.tangentialForceN / LBF / 406).toBeCloseTo(1, 2);
    expect(found.wheel.radialForceN / LBF / 46.7).toBeCloseTo(1, 2);
    expect(found.wheel.axialForceN / LBF / 140).toBeCloseTo(1, 2);
    // at a right angle one gear’s thrust is the other’s push towards its axis
    expect(found.pinion.axialForceN).toBeCloseTo(found.wheel.radialForceN, 9);
    expect(found.wheel.torqueNm).toBeCloseTo(3 * found.pinion.torqueNm, 9);
    expect(found.wheel.speedRpm).toBeCloseTo(200, 9);
  });

  it('is the spur pair of its own teeth where the shafts are nearly parallel', () => {
    const found = bevel({ ...base, wheelTeeth: 30, shaftAngleDeg: 1e-4 });
    const spur = gearStrength({
      teeth: 15,
      mateTeeth: 30,
      moduleMm: 1,
      faceWidthMm: 5,
      torqueNm: 0.8,
      speedRpm: 6000,
      material,
    });
    const spread = 1.25 + 5.6e-6 * 25;
    expect(found.loadDistributionFactor).toBeCloseTo(spread, 12);
    expect(found.coneFactor).toBeCloseTo(1, 6);
    expect(found.pinion.bendingStressMpa / (spur.bendingStressMpa * spread)).toBeCloseTo(1, 5);
    expect(found.pinion.axialForceN).toBeCloseTo(0, 2);
  });

  it('carries what slices along the taper carry, each at its own radius', () => {
    const { coneFactor, coneDistanceMm, meanConeDistanceMm, meanModuleMm } = bevel({
      ...base,
      faceWidthMm: 9,
    });
    const slices = 20_000;
    const dr = 9 / slices;
    let torque = 0;
    for (let k = 0; k < slices; k++) {
      const r = coneDistanceMm - 9 + (k + 0.5) * dr;
      torque += (r / coneDistanceMm) * r * dr;
    }
    const mean = 9 * meanModuleMm * meanConeDistanceMm;
    expect(coneFactor).toBeCloseTo(torque / mean, 8);
  });

  it('has cones that close at the apex, and teeth that taper to it', () => {
    const found = bevel({ ...base, pinionShift: 0.3, pinion: { material, crownToBackMm: 4 } });
    const { pinion, wheel, coneDistanceMm } = found;
    expect(pinion.coneAngleDeg + wheel.coneAngleDeg).toBeCloseTo(90, 12);
    // both pitch circles lie on one line from the apex
    expect(coneDistanceMm).toBeCloseTo(Math.hypot(15 / 2, 39 / 2), 12);
    // the tip edge by its own triangle: as far out as half the tip diameter, under the tip cone
    expect(pinion.tipDiameterMm / 2 / pinion.crownToApexMm).toBeCloseTo(
      Math.tan(pinion.tipConeDeg * RAD),
      12,
    );
    expect(pinion.mountingDistanceMm).toBeCloseTo(pinion.crownToApexMm + 4, 12);
    expect(wheel.mountingDistanceMm).toBeUndefined();
    // whole depth 2.25 modules, whatever the shift
    const out = Math.tan((pinion.tipConeDeg - pinion.coneAngleDeg) * RAD);
    const depth = out + Math.tan((pinion.coneAngleDeg - pinion.rootConeDeg) * RAD);
    expect(depth * coneDistanceMm).toBeCloseTo(2.25, 9);
  });

  it('says where its face is wider than the cone bears, and which gear is undercut', () => {
    // R = 20.89: three tenths of it are 6.27
    expect(bevel({ ...base, faceWidthMm: 6.26 }).findings.map(({ about }) => about)).toEqual(['pinion']);
    expect(bevel({ ...base, faceWidthMm: 6.3 }).findings).toMatchObject([
      { severity: 'tight', about: 'faceWidthMm' },
      { severity: 'note', about: 'pinion' },
    ]);
    // 15/cos 21.04° = 16.07 virtual teeth under 17.1; 17.1·cos 21.04° = 15.96
    expect(bevel(base).pinion).toMatchObject({ undercut: true, minTeethNoUndercut: 16 });
    expect(bevel({ ...base, pinionShift: 0.1 }).pinion.undercut).toBe(false);
  });

  it('balances on its bearings: forces across and towards, with the thrust at its radius', () => {
    const found = bevel({ ...base, pinion: { material, bearingsAtMm: [-20, -8] } });
    const [first, second] = found.pinion.bearingLoadsN!;
    const { radialForceN, axialForceN, meanDiameterMm } = found.pinion;
    // both bearings behind the gear: about the first, the second carries more than the mesh gives
    const across = (found.tangentialForceN * 20) / 12;
    const toward = (radialForceN * 20 - axialForceN * (meanDiameterMm / 2)) / 12;
    expect(second).toBeCloseTo(Math.hypot(across, toward), 9);
    expect(first).toBeCloseTo(Math.hypot(found.tangentialForceN - across, radialForceN - toward), 9);
    const factor = (pinionAt: number[], wheelAt?: number[]) =>
      bevel({
        ...base,
        pinion: { material, bearingsAtMm: pinionAt },
        wheel: { material, ...(wheelAt ? { bearingsAtMm: wheelAt } : {}) },
      }).loadDistributionFactor;
    expect(factor([-20, -8])).toBeCloseTo(1.25 + 1.4e-4, 9);
    expect(factor([-20, 8])).toBeCloseTo(1.1 + 1.4e-4, 9);
    expect(factor([-20, 8], [-9, 9])).toBeCloseTo(1 + 1.4e-4, 9);
  });

  it('refuses what has no cone, no strength or no load, at the field', () => {
    expect(refusedAt({ ...base, shaftAngleDeg: 150 })).toBe('shaftAngleDeg');
    expect(refusedAt({ ...base, faceWidthMm: 21 })).toBe('faceWidthMm');
    expect(refusedAt({ ...base, pinionTeeth: 9 })).toBe('pinionTeeth');
    expect(refusedAt({ ...base, pinionTeeth: 9, wheelTeeth: 9 })).toBeUndefined();
    expect(refusedAt({ ...base, torqueNm: undefined })).toBe('torqueNm');
    expect(refusedAt({ ...base, diametralPitch: 24 })).toBe('moduleMm');
    expect(refusedAt({ ...base, wheel: { material, bearingsAtMm: [3, 3] } })).toBe('wheel.bearingsAtMm');
  });
});

describe('the inside of a differential', () => {
  const { torqueNm: _, speedRpm: __, ...still } = base;
  const inside = {
    ...still,
    pinionTeeth: 10,
    wheelTeeth: 16,
    faceWidthMm: 3,
    differential: { pinions: 2, caseTorqueNm: 1.2, sideSpeedRpm: 100 },
  };

  it('shares the case’s torque over its meshes and pins', () => {
    const found = bevel(inside);
    const radius = found.wheel.meanDiameterMm / 2000;
    // both side gears, each through two meshes
    expect(found.tangentialForceN * radius * 4).toBeCloseTo(1.2, 9);
    expect(found.wheel.torqueNm).toBe(0.6);
    expect(found.differential!.pinForceN).toBeCloseTo(2 * found.tangentialForceN, 9);
    expect(found.differential!.pinionThrustN).toBeCloseTo(2 * found.pinion.axialForceN, 9);
    expect(found.differential!.sideGearThrustN).toBeCloseTo(2 * found.wheel.axialForceN, 9);
    expect([found.wheel.speedRpm, found.pinion.speedRpm]).toEqual([100, 160]);
    const uneven = bevel({ ...inside, differential: { ...inside.differential, sharingFactor: 1.5 } });
    expect(uneven.tangentialForceN / found.tangentialForceN).toBeCloseTo(1.5, 12);
    expect(uneven.differential!.sideGearThrustN).toBeCloseTo(found.differential!.sideGearThrustN, 9);
  });

  it('takes strength off the pinions, which are bent both ways', () => {
    const found = bevel(inside);
    expect(found.pinion.allowableMpa / found.wheel.allowableMpa).toBeCloseTo(0.7, 12);
    expect(found.pinion.margin).toBeCloseTo(found.pinion.allowableMpa / found.pinion.bendingStressMpa, 9);
  });

  it('tells pinions that do not go in or touch', () => {
    const many = (pinions: number) => bevel({ ...inside, differential: { ...inside.differential, pinions } });
    // 32 teeth of both sides: three do not divide them; a tip cone of 32 + 6 degrees leaves room for four
    expect(many(3).findings[0]).toMatchObject({ severity: 'over', about: 'differential.pinions' });
    expect(many(2).findings.map(({ severity }) => severity)).not.toContain('over');
    expect(many(4).differential).toMatchObject({ assembles: true, pinionsClear: true });
    expect(many(8).differential).toMatchObject({ assembles: true, pinionsClear: false });
    const one = many(1).differential!;
    expect(one).toMatchObject({ assembles: true, pinionsClear: true });
    expect('gapDeg' in one).toBe(false);
  });

  it('gives by itself what is refused beside it', () => {
    expect(refusedAt({ ...inside, torqueNm: 1 })).toBe('torqueNm');
    expect(refusedAt({ ...inside, speedRpm: 1 })).toBe('speedRpm');
    expect(refusedAt({ ...inside, shaftAngleDeg: 80 })).toBe('shaftAngleDeg');
    expect(refusedAt({ ...inside, pinion: { material, bearingsAtMm: [1, 2] } })).toBe('pinion.bearingsAtMm');
  });
});
