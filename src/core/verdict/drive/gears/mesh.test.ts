import { applyPatch } from '../../../base/patch';
import type { Stage } from '../../../car/stages/stage';
import { evaluateBuild } from '../../evaluate';
import { car } from '../../../fixtures/car';
import { meshOf } from '../../../worked/drive/stageMesh';

const withStage = (stage: Partial<Stage>) =>
  applyPatch(car, [
    {
      path: ['drive', 'stages'],
      value: [
        { id: 's', kind: 'spur', pinionTeeth: 21, wheelTeeth: 71, efficiency: 0.95, moduleMm: 0.8, ...stage },
      ],
    },
  ]);
const check = (stage: Partial<Stage>) =>
  evaluateBuild(withStage(stage)).find(({ id }) => id === 'gears.mesh')!;

describe('gears.mesh of a build', () => {
  it('is clear for teeth that mesh, and asks for the module', () => {
    expect(check({})).toMatchObject({
      state: 'clear',
      limit: 1.1,
      finding: { facts: { apart: { value: expect.closeTo(36.8, 9) } } },
    });
    expect(check({ moduleMm: undefined })).toMatchObject({
      state: 'unknown',
      missing: ['drive.stages.s.moduleMm'],
    });
    expect(
      meshOf({ id: 's', kind: 'belt', pinionTeeth: 20, wheelTeeth: 40, efficiency: 1, moduleMm: 2 }),
    ).toBeUndefined();
  });

  it('counts the overlap of slanted teeth, which straight ones have none of', () => {
    // 10·sin 20°/(π·0.8) = 1.361 pairs along the face
    const slanted = { helixDeg: -20, faceWidthMm: 10 };
    const across = check({ helixDeg: -20 }).value!;
    expect(check(slanted).value! - across).toBeCloseTo(1.3609, 4);
    expect(check({ faceWidthMm: 10 }).value).toBeCloseTo(check({}).value!, 12);
    // teeth that would lose touch across their section are kept in touch along it
    expect(check({ ...slanted, backlashMm: 0.9 }).state).toBe('clear');
    expect(check({ faceWidthMm: 10, backlashMm: 0.9 }).state).toBe('over');
  });

  it('is over outside the slot, with a pinion that fits', () => {
    // 0.8·(z + 71)/2 from 38 to 40 mm: 24 to 29 teeth
    const found = check({ slotMinMm: 38, slotMaxMm: 40 });
    expect(found).toMatchObject({
      state: 'over',
      finding: { code: 'gears.mesh.slot', facts: { fits: { min: 24, max: 29 } } },
    });
    expect(found.remedies[0]).toMatchObject({ exchanges: [{ from: 21, to: 24 }], state: 'clear' });
  });

  it('is over where the wheel is of another module, with the same one as the remedy', () => {
    const unequal = check({ wheelModuleMm: 1 });
    expect(unequal).toMatchObject({
      state: 'over',
      finding: {
        code: 'gears.mesh.refused',
        facts: { refused: { path: 'wheelModuleMm', code: 'gearMesh.modules' } },
      },
    });
    expect(unequal.remedies[0]).toMatchObject({ exchanges: [{ from: 1, to: undefined }], state: 'clear' });
    expect(check({ wheelModuleMm: 0.8 }).state).toBe('clear');
    expect(check({ pinion: { shift: -1 }, wheel: { shift: -1 } }).state).toBe('over');
  });

  it('is tight where a pinion is undercut, and over where backlash opens the mesh', () => {
    expect(check({ pinionTeeth: 13 })).toMatchObject({
      state: 'tight',
      finding: { facts: { role: 'pinion', under: 18 } },
    });
    expect(check({ backlashMm: 1 }).state).toBe('over');
    expect(check({ slotMinMm: 40, slotMaxMm: 38 })).toMatchObject({
      state: 'unknown',
      missing: [expect.stringMatching(/^drive\.stages\.s\.slot/)],
    });
  });
});
