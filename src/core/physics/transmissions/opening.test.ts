import { parse } from '../../base/schema/parse';
import { gearMesh } from '../gears/mesh';
import { gearOpening, type OpeningInput } from './opening';
import { gearOpeningSchema } from './opening.schema';

const opening = (input: object) => gearOpening(parse(gearOpeningSchema, input) as OpeningInput);
const base = {
  pinionTeeth: 15,
  wheelTeeth: 45,
  moduleMm: 1,
  torqueNm: 0.5,
  mount: { stiffnessNPerMm: 1000 },
};

describe('how far teeth push two gears apart', () => {
  it('is the force along the line of action over the mount, at the angle that it opens to', () => {
    const found = opening(base);
    // 500 Nmm at 7.5·cos 20° = 7.0477 mm
    expect(found.normalForceN).toBeCloseTo(500 / (7.5 * Math.cos((20 * Math.PI) / 180)), 9);
    const sin = Math.sin((found.openedPressureAngleDeg * Math.PI) / 180);
    expect(found.separationForceN).toBeCloseTo(found.normalForceN * sin, 9);
    expect(found.openingMm).toBeCloseTo(found.separationForceN / 1000, 12);
    // the base circles stay: a·cos α is what it was
    expect(
      found.openedCentreDistanceMm * Math.cos((found.openedPressureAngleDeg * Math.PI) / 180),
    ).toBeCloseTo(30 * Math.cos((20 * Math.PI) / 180), 9);
    expect(found.engagementMm).toBeCloseTo(8.5 + 23.5 - found.openedCentreDistanceMm, 9);
    expect(found.engagementShare).toBeCloseTo(found.engagementMm / 2, 9);
    expect(found.state).toBe('holds');
  });

  it('has the contact ratios of the mesh, at rest and as far apart as a mesh with that backlash', () => {
    const rest = opening({ ...base, torqueNm: 0 });
    expect(rest.contactRatio).toBeCloseTo(gearMesh(base).contactRatio, 12);
    expect(rest.openingMm).toBe(0);
    expect(rest.skipMargin).toBeUndefined();
    const found = opening(base);
    // a backlash that opens the centres alike
    const backlashMm = found.openingMm * 2 * Math.sin((20 * Math.PI) / 180);
    expect(gearMesh({ ...base, backlashMm }).contactRatioOpened).toBeCloseTo(found.contactRatioOpened, 9);
  });

  it('skips just over the torque that it names, and not just under it', () => {
    const soft = { ...base, mount: { stiffnessNPerMm: 60 } };
    const { torqueAtSkipNm, skipMargin } = opening(soft);
    expect(skipMargin).toBeCloseTo(torqueAtSkipNm! / 0.5, 12);
    const at = (factor: number) => opening({ ...soft, torqueNm: factor * torqueAtSkipNm! });
    expect(at(1.0001).state).toBe('skips');
    expect(at(0.9999).state).toBe('rough');
    expect(at(0.9999).contactRatioOpened).toBeCloseTo(1, 3);
    // twice the overload, half the torque
    expect(opening({ ...soft, overloadFactor: 2 }).torqueAtSkipNm! / torqueAtSkipNm!).toBeCloseTo(0.5, 9);
    expect(opening({ ...soft, playMm: 3 })).toMatchObject({ notes: [{ code: 'note.opening.openAtRest' }] });
  });

  it('takes beams by their ends, two mounts as springs in a row, and one of both ways alone', () => {
    const beam = { support: 'cantilever', lengthMm: 40, widthMm: 20, thicknessMm: 6, modulusMpa: 2000 };
    const stiffness = (mount: object, more: object = {}) =>
      opening({ ...base, mount, ...more }).stiffnessNPerMm;
    // 3·E·w·t³/12/L³ = 3·2000·20·216/12/64000
    expect(stiffness({ beam })).toBeCloseTo(33.75, 9);
    expect(stiffness({ beam: { ...beam, support: 'simple' } })).toBeCloseTo(16 * 33.75, 9);
    expect(stiffness({ beam: { ...beam, support: 'fixed' } })).toBeCloseTo(64 * 33.75, 9);
    expect(stiffness({ stiffnessNPerMm: 300 }, { wheelMount: { stiffnessNPerMm: 600 } })).toBeCloseTo(200, 9);
    const refused = (mount: object) => {
      try {
        opening({ ...base, mount });
        return undefined;
      } catch (error) {
        return (error as { refused: { path: string } }).refused.path;
      }
    };
    expect([refused({}), refused({ beam, stiffnessNPerMm: 3 })]).toEqual([
      'mount.stiffnessNPerMm',
      'mount.stiffnessNPerMm',
    ]);
  });
});
