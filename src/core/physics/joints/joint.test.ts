import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { jointCapacity, type JointInput } from './joint';
import { jointCapacitySchema } from './joint.schema';

const joint = (input: JointInput) => jointCapacity(parse(jointCapacitySchema, input));
const pathOf = (input: object) => refusalOf(() => joint(input as JointInput)).path;
const shaft = { shaftMm: 3.17, lengthMm: 10 };
const press: Extract<JointInput, { kind: 'press' }> = {
  ...shaft,
  kind: 'press',
  interferenceMm: 0.05,
  hubOuterMm: 9,
  hubModulusMpa: 2000,
  hubStrengthMpa: 50,
  softeningC: 63,
};

/** Pressure of a rigid shaft in a hub, from the equation of equilibrium of its wall integrated outward: u'' + u'/r − u/r² = 0. */
function pressureByIntegration(
  d: number,
  outer: number,
  interference: number,
  modulus: number,
  nu: number,
): number {
  const [ri, ro] = [d / 2, outer / 2];
  const stress = (u: number, slope: number, r: number) => (modulus / (1 - nu ** 2)) * (slope + (nu * u) / r);
  const outward = (slope0: number) => {
    const steps = 4000;
    const h = (ro - ri) / steps;
    let [u, s] = [interference / 2, slope0];
    const bend = (r: number, uu: number, ss: number) => uu / r ** 2 - ss / r;
    for (let i = 0; i < steps; i++) {
      const r = ri + i * h;
      const [k1u, k1s] = [s, bend(r, u, s)];
      const [k2u, k2s] = [s + (h / 2) * k1s, bend(r + h / 2, u + (h / 2) * k1u, s + (h / 2) * k1s)];
      const [k3u, k3s] = [s + (h / 2) * k2s, bend(r + h / 2, u + (h / 2) * k2u, s + (h / 2) * k2s)];
      const [k4u, k4s] = [s + h * k3s, bend(r + h, u + h * k3u, s + h * k3s)];
      [u, s] = [u + (h / 6) * (k1u + 2 * k2u + 2 * k3u + k4u), s + (h / 6) * (k1s + 2 * k2s + 2 * k3s + k4s)];
    }
    return stress(u, s, ro);
  };
  // the outside is free, and the stress there is a straight line over the first slope
  const [at0, at1] = [outward(0), outward(1)];
  return -stress(interference / 2, -at0 / (at1 - at0), ri);
}

describe('joint.capacity', () => {
  it('shears a glue over the whole shaft, less as it warms', () => {
    // 12 MPa · π·3.17·10 mm² · 1.585 mm = 1.894 Nm
    expect(joint({ ...shaft, kind: 'adhesive', preset: 'epoxy' }).torqueNm).toBeCloseTo(
      (12 * Math.PI * 3.17 ** 2 * 10) / 2 / 1000,
      9,
    );
    expect(joint({ ...shaft, kind: 'adhesive', preset: 'hotGlue', temperatureC: 60 }).torqueNm).toBe(0);
    expect(
      joint({ ...shaft, kind: 'adhesive', shearMpa: 10, softeningC: 103, temperatureC: 63 }).torqueNm,
    ).toBeCloseTo((5 * Math.PI * 3.17 ** 2 * 10) / 2 / 1000, 9);
    expect(joint({ ...shaft, kind: 'adhesive', preset: 'cyanoacrylate', demandNm: 0.5 })).toMatchObject({
      softensAtC: 80,
      margin: expect.any(Number),
    });
  });

  it('presses a hub on with Lamé’s pressure, found again by integrating through its wall', () => {
    const found = joint(press);
    expect(found.pressureMpa).toBeCloseTo(pressureByIntegration(3.17, 9, 0.05, 2000, 0.35), 4);
    expect(found.hoopMpa! / found.pressureMpa!).toBeCloseTo((81 + 3.17 ** 2) / (81 - 3.17 ** 2), 9);
    expect(found.torqueNm).toBeCloseTo((0.2 * found.pressureMpa! * Math.PI * 3.17 ** 2 * 10) / 2 / 1000, 9);
    expect(found.splits).toBe(false);
    expect(joint({ ...press, interferenceMm: 0.2 })).toMatchObject({
      splits: true,
      notes: [{ code: 'note.joint.hubSplits' }],
    });
  });

  it('bears on a hex, a flat, a screw and a pin by equilibrium', () => {
    // triangle from p at a corner to −p at the other on each half flat of a 12 mm hex: p·s²·L/6
    expect(
      joint({ shaftMm: 6, lengthMm: 5, kind: 'hex', acrossFlatsMm: 12, bearingMpa: 30, softeningC: 63 })
        .torqueNm,
    ).toBeCloseTo((30 * 144 * 5) / 6 / 1000, 9);
    // chord of a 0.5 mm flat on 3 mm: 2·√(0.5·2.5) = 2.236 mm
    expect(
      joint({ shaftMm: 3, lengthMm: 8, kind: 'flat', flatDepthMm: 0.5, bearingMpa: 30, softeningC: 63 })
        .torqueNm,
    ).toBeCloseTo((30 * 8 * 5) / 12 / 1000, 9);
    expect(joint({ shaftMm: 3, lengthMm: 8, kind: 'grubScrew', screwForceN: 800 }).torqueNm).toBeCloseTo(
      0.15 * 800 * 0.003,
      9,
    );
    expect(joint({ shaftMm: 5, lengthMm: 8, kind: 'pin', pinMm: 2, pinShearMpa: 300 }).torqueNm).toBeCloseTo(
      (300 * Math.PI * 5) / 1000,
      9,
    );
  });

  it('refuses what belongs to another kind, and geometry that is none', () => {
    expect(pathOf({ ...shaft, kind: 'adhesive' })).toBe('shearMpa');
    expect(pathOf({ ...shaft, kind: 'adhesive', preset: 'epoxy', shearMpa: 3 })).toBe('shearMpa');
    expect(pathOf({ ...shaft, kind: 'pin', pinMm: 1, pinShearMpa: 100, bearingMpa: 3 })).toBe('bearingMpa');
    expect(pathOf({ ...press, hubOuterMm: 3 })).toBe('hubOuterMm');
    expect(pathOf({ ...shaft, kind: 'flat', flatDepthMm: 2, bearingMpa: 30, softeningC: 63 })).toBe(
      'flatDepthMm',
    );
    expect(pathOf({ ...shaft, kind: 'hex', acrossFlatsMm: 12, bearingMpa: 30, softeningC: 20 })).toBe(
      'softeningC',
    );
  });
});
