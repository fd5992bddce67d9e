import { applyPatch } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';
import { type Stage, stageRatio } from '../../car/stages/stage';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { check, geared, settingOf, surface } from '../../fixtures/geared';
import { gearBevel } from '../../physics/bevels/bevel';
import { peakTorques } from '../../worked/drive/peakTorque';
import { teethOf } from '../../worked/drive/toothOfBuild';
import { worked } from '../../worked/worked';
import { toothSettingOf } from './gears/onTeeth';

const { steel, nylon } = TYPICAL_MATERIALS;
const inside: Stage = {
  id: 'diff',
  kind: 'differential',
  efficiency: 1,
  pinionTeeth: 10,
  wheelTeeth: 16,
  moduleMm: 1.5,
  faceWidthMm: 4,
  planets: 2,
  pinion: { material: { ...steel } },
  wheel: { material: { ...nylon } },
};
const first = { ...geared.drive.stages[0]!, pinionTeeth: 20, wheelTeeth: 60 };
const car = (change: Partial<Stage> = {}, dropHeightM?: number): BuildDocument =>
  applyPatch({ ...geared, drive: { ...geared.drive, stages: [first, { ...inside, ...change }] } }, [
    { path: ['brief', 'dropHeightM'], value: dropHeightM },
  ]);

describe('the inside of a differential', () => {
  it('turns its axle as fast as its case, and lets the car roll as it did', () => {
    expect(stageRatio(inside)).toBe(1);
    const top = ({ drive }: BuildDocument) => settingOf({ ...car(), drive }).run.topSpeedMps!;
    const without = { ...car(), drive: { ...car().drive, stages: [first] } };
    expect(top(car()) / top(without)).toBeCloseTo(1, 9);
    expect(check(car(), 'drive.rotation').state).toBe(check(without, 'drive.rotation').state);
  });

  it('loads each mesh with half the torque of the case over the planets, at the middle of the face', () => {
    const setting = toothSettingOf(worked(car(), surface));
    if ('missing' in setting) throw new Error(setting.missing.join());
    const teeth = teethOf(setting).filter(({ stage }) => stage.id === 'diff');
    const { input, run } = settingOf(car());
    // from standing: three times the motor's torque, a fifth of it lost
    const caseNm = peakTorques(car(), surface, input, run).blocked.motorNm * 3 * 0.8;
    const R = (1.5 * Math.hypot(10, 16)) / 2;
    const sideMm = (1.5 * 16 * (R - 2)) / R / 2;
    const force = (1000 * caseNm) / 2 / 2 / sideMm;
    expect(teeth.map(({ role }) => role).sort()).toEqual(['pinion', 'wheel']);
    for (const { bending } of teeth) expect(bending.tangentialForceN / force).toBeCloseTo(1, 6);
    const side = teeth.find(({ role }) => role === 'wheel')!;
    expect(side.torqueNm / (caseNm / 2)).toBeCloseTo(1, 6);
    // the model itself with the same case, standing still against each other
    const model = gearBevel({
      pinionTeeth: 10,
      wheelTeeth: 16,
      moduleMm: 1.5,
      faceWidthMm: 4,
      differential: { pinions: 2, caseTorqueNm: caseNm },
      overloadFactor: 1,
      pinion: { material: steel },
      wheel: { material: nylon },
      temperatureC: side.temperatureC,
    });
    expect(side.bending.margin! / model.wheel.margin!).toBeCloseTo(1, 6);
  });

  it('takes half the force on twice the planets', () => {
    const force = (planets: number) => {
      const setting = toothSettingOf(worked(car({ planets }), surface));
      if ('missing' in setting) throw new Error(setting.missing.join());
      return teethOf(setting).find(({ stage }) => stage.id === 'diff')!.bending.tangentialForceN;
    };
    expect(force(4) / force(2)).toBeCloseTo(0.5, 9);
  });

  it('says whether its planets go in: twice the side gear’s teeth over their number, and tips that clear', () => {
    expect(check(car(), 'gears.assembly').state).toBe('clear');
    const three = check(car({ planets: 3 }), 'gears.assembly');
    expect(three).toMatchObject({ state: 'over', finding: { code: 'gears.assembly.insideUneven' } });
    for (const { patch } of three.remedies)
      expect(check(applyPatch(car({ planets: 3 }), patch), 'gears.assembly').state).toBe('clear');
    expect(three.remedies.length).toBeGreaterThan(1);
    // the tip cone of 10 to 16 teeth: 32.0° + 6.05°; four have 90° each, five 72°
    expect(check(car({ planets: 4 }), 'gears.assembly').finding).toMatchObject({
      facts: { gap: { value: expect.closeTo(90 - 2 * 38.06, 1) as number } },
    });
    const five = check(car({ planets: 5, wheelTeeth: 15 }), 'gears.assembly');
    expect(five).toMatchObject({ state: 'over', finding: { code: 'gears.assembly.insideTouch' } });
  });

  it('asks for what is missing by its field', () => {
    expect(check(car({ planets: undefined }), 'gears.assembly').missing).toEqual([
      'drive.stages.diff.planets',
    ]);
    expect(check(car({ faceWidthMm: 40 }), 'gears.assembly').missing).toEqual([
      'drive.stages.diff.faceWidthMm:cone',
    ]);
  });
});
