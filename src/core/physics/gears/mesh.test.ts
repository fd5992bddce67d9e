import fc from 'fast-check';
import { refusalOf } from '../../fixtures/refused';
import { parse } from '../../base/schema/parse';
import { gearMesh, involute, involuteAngle, type MeshInput } from './mesh';
import { gearMeshSchema } from './mesh.schema';

const mesh = (input: MeshInput) => gearMesh(parse(gearMeshSchema, input));
const rad = Math.PI / 180;
const refusal = (input: object) => refusalOf(() => mesh(input as MeshInput));

/** Contact ratio by walking the line of action: from where the wheel's tip circle crosses it to where the pinion's does. */
function walked(z1: number, z2: number, m: number, angleDeg: number): number {
  const alpha = angleDeg * rad;
  const centre = (m * (z1 + z2)) / 2;
  const [rb1, rb2] = [(m * z1 * Math.cos(alpha)) / 2, (m * z2 * Math.cos(alpha)) / 2];
  const [ra1, ra2] = [(m * z1) / 2 + m, (m * z2) / 2 + m];
  const line = centre * Math.sin(alpha);
  let inside = 0;
  const steps = 200_000;
  for (let i = 0; i <= steps; i++) {
    // a point s along the line from the pinion's base circle
    const s = (line * (i + 0.5)) / (steps + 1);
    if (Math.hypot(rb1, s) <= ra1 && Math.hypot(rb2, line - s) <= ra2) inside++;
  }
  return ((inside / (steps + 1)) * line) / (Math.PI * m * Math.cos(alpha));
}

describe('gear.mesh', () => {
  it('is Shigley’s example 13-1: 16 and 40 teeth of diametral pitch 2', () => {
    // pitch diameters 8 and 20 in, centre distance 14 in
    const found = mesh({ pinionTeeth: 16, wheelTeeth: 40, diametralPitch: 2 });
    expect(found.pitchDiametersMm[0]).toBeCloseTo(8 * 25.4, 9);
    expect(found.pitchDiametersMm[1]).toBeCloseTo(20 * 25.4, 9);
    expect(found.centreDistanceMm).toBeCloseTo(14 * 25.4, 9);
    expect(found.ratio).toBe(2.5);
    expect(found.baseDiametersMm[0]).toBeCloseTo(8 * 25.4 * Math.cos(20 * rad), 9);
  });

  it.each([
    [17, 50, 1],
    [21, 71, 0.8],
    [20, 20, 2],
    [30, 120, 0.5],
  ])('has the contact ratio of walking the line of action: %d and %d teeth', (z1, z2, m) => {
    expect(mesh({ pinionTeeth: z1, wheelTeeth: z2, moduleMm: m }).contactRatio).toBeCloseTo(
      walked(z1, z2, m, 20),
      3,
    );
  });

  it('moves the centres apart with the shifts, and by the backlash along the line of action', () => {
    // x = 0.5 and 0 on 20 and 40 teeth: inv α_w = inv 20° + 2·tan 20°·0.5/60, by Newton 22.0° or so
    const shifted = mesh({ pinionTeeth: 20, wheelTeeth: 40, moduleMm: 1, pinionShift: 0.5 });
    const working = shifted.workingPressureAngleDeg * rad;
    expect(involute(working)).toBeCloseTo(involute(20 * rad) + Math.tan(20 * rad) / 60, 12);
    expect(shifted.centreDistanceMm).toBeCloseTo((30 * Math.cos(20 * rad)) / Math.cos(working), 9);
    const loose = mesh({ pinionTeeth: 20, wheelTeeth: 40, moduleMm: 1, backlashMm: 0.1 });
    expect(loose.centreDistanceMm - 30).toBeCloseTo(0.05 / Math.sin(20 * rad), 9);
    expect(loose.contactRatioOpened).toBeLessThan(loose.contactRatio);
  });

  it('knows where teeth are undercut: 17 at 20°, 32 at 14.5°, fewer with a shift or a helix', () => {
    expect(mesh({ pinionTeeth: 17, wheelTeeth: 18, moduleMm: 1 })).toMatchObject({
      undercut: [true, false],
      minTeethNoUndercut: [18, 18],
    });
    expect(
      mesh({ pinionTeeth: 40, wheelTeeth: 40, moduleMm: 1, pressureAngleDeg: 14.5 }).minTeethNoUndercut,
    ).toEqual([32, 32]);
    expect(mesh({ pinionTeeth: 12, wheelTeeth: 40, moduleMm: 1, pinionShift: 0.3 }).undercut[0]).toBe(false);
    expect(mesh({ pinionTeeth: 14, wheelTeeth: 40, moduleMm: 1, helixDeg: 30 }).undercut[0]).toBe(false);
  });

  it('names the pinions that a slot takes', () => {
    // centres at 0.8·(z + 71)/2: 35.6 for 18 teeth, 38 for 24
    expect(
      mesh({ pinionTeeth: 21, wheelTeeth: 71, moduleMm: 0.8, slotMinMm: 35.5, slotMaxMm: 38 }),
    ).toMatchObject({ fitsSlot: true, pinionRange: { min: 18, max: 24 } });
    const none = mesh({ pinionTeeth: 21, wheelTeeth: 71, moduleMm: 0.8, slotMinMm: 20, slotMaxMm: 25 });
    expect(none.fitsSlot).toBe(false);
    expect(none.pinionRange).toBeUndefined();
    expect(none.notes[0]!.code).toBe('note.gearMesh.noPinion');
  });

  it('refuses gears of two sizes with those that would fit, an inverted slot, half a slot, and shifts without a mesh', () => {
    expect(
      refusal({ pinionTeeth: 20, wheelTeeth: 60, moduleMm: 0.8, wheelDiametralPitch: 48 }),
    ).toMatchObject({ path: 'wheelModuleMm', given: { normal: { value: 0.8 } } });
    expect(
      refusal({ pinionTeeth: 20, wheelTeeth: 60, moduleMm: 25.4 / 32, wheelDiametralPitch: 32 }).path,
    ).toBe('accepted');
    expect(refusal({ pinionTeeth: 20, wheelTeeth: 60, moduleMm: 1, slotMinMm: 45, slotMaxMm: 40 }).path).toBe(
      'slotMinMm',
    );
    expect(refusal({ pinionTeeth: 20, wheelTeeth: 60, moduleMm: 1, slotMinMm: 45 }).path).toBe('slotMaxMm');
    expect(refusal({ pinionTeeth: 20, wheelTeeth: 60, moduleMm: 1, diametralPitch: 25 }).path).toBe(
      'moduleMm',
    );
    expect(refusal({ pinionTeeth: 20, wheelTeeth: 60 }).path).toBe('moduleMm');
    expect(
      refusal({ pinionTeeth: 10, wheelTeeth: 10, moduleMm: 1, pinionShift: -0.9, wheelShift: 0.3 }).path,
    ).toBe('pinionShift');
    expect(refusal({ pinionTeeth: 60, wheelTeeth: 10, moduleMm: 1, wheelShift: -1.4 }).path).toBe(
      'wheelShift',
    );
  });

  it('says when a tip runs out to a point', () => {
    expect(mesh({ pinionTeeth: 10, wheelTeeth: 40, moduleMm: 1, pinionShift: 1 }).notes).toEqual([
      { code: 'note.gearMesh.pointed', facts: { gear: 'pinion' } },
    ]);
    expect(mesh({ pinionTeeth: 20, wheelTeeth: 40, moduleMm: 1 }).notes).toEqual([]);
  });

  it('inverts the involute function', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1.4, noNaN: true }), (angle) =>
        expect(involuteAngle(involute(angle))).toBeCloseTo(angle, 9),
      ),
    );
  });
});
