import { applyPatch } from '../../../base/patch';
import { emptyDocument, type BuildDocument } from '../../../car/document/document';
import type { Drive } from '../../../car/document/drive';
import type { Stage } from '../../../car/stages/stage';
import type { Check } from '../../engine/check';
import { evaluateBuild } from '../../evaluate';
import { rotationOf } from '../../../worked/drive/rotationOfBuild';

const spur: Stage = { id: 'spur', kind: 'spur', pinionTeeth: 17, wheelTeeth: 68, efficiency: 0.95 };
const bevel: Stage = { id: 'bevel', kind: 'bevel', pinionTeeth: 15, wheelTeeth: 39, efficiency: 0.93 };
const withDrive = (drive: Partial<Drive>): BuildDocument => ({
  ...emptyDocument(),
  drive: { stages: [spur, bevel], drivenAxles: 'all', ...drive },
});
const rotationCheck = (document: BuildDocument): Check =>
  evaluateBuild(document).find(({ id }) => id === 'drive.rotation')!;

describe('the sense of turning of a build', () => {
  it('rolls both axles forward from a shaft in the middle with the ring gears on opposite sides', () => {
    const found = rotationOf(withDrive({}).drive);
    expect(found.ok && found.value.paths.map(({ axle, ratio, rolls }) => [axle, ratio, rolls])).toEqual([
      ['front', 4 * 2.6, 'forward'],
      ['rear', 4 * 2.6, 'forward'],
    ]);
    expect(found.ok && found.value.motorAxis).toBe('x');
    expect(rotationCheck(withDrive({}))).toMatchObject({ state: 'clear', value: 0 });
  });

  it('calls a ring gear on the wrong side over, and one remedy cures it', () => {
    const document = withDrive({ stages: [spur, { ...bevel, front: { pinion: 'behind', ring: 'right' } }] });
    const check = rotationCheck(document);
    expect(check).toMatchObject({ state: 'over', finding: { code: 'drive.rotation.apart' } });
    expect(check.remedies[0]).toMatchObject({
      exchanges: [{ path: ['drive', 'stages', 'bevel', 'front', 'ring'], from: 'right', to: 'left' }],
      state: 'clear',
    });
    expect(rotationCheck(applyPatch(document, check.remedies[0]!.patch)).state).toBe('clear');
  });

  it('offers other leads where each axle has a motor of its own, and where the car drives backward', () => {
    const apart = withDrive({ motorsAt: 'axle', stages: [spur], frontReversed: true });
    expect(rotationCheck(apart).remedies[0]).toMatchObject({
      exchanges: [{ path: ['drive', 'frontReversed'], from: true, to: undefined }],
      state: 'clear',
    });
    const backward = rotationCheck(withDrive({ reversed: true }));
    expect(backward).toMatchObject({ state: 'tight', finding: { code: 'drive.rotation.backward' } });
    expect(backward.remedies[0]).toMatchObject({
      exchanges: [{ path: ['drive', 'reversed'] }],
      state: 'clear',
    });
    const both = rotationCheck(
      withDrive({ motorsAt: 'axle', stages: [spur], reversed: true, frontReversed: true }),
    );
    expect(both.remedies[0]).toMatchObject({
      exchanges: [{ path: ['drive', 'reversed'] }, { path: ['drive', 'frontReversed'] }],
      state: 'clear',
    });
    const front = rotationCheck(
      withDrive({ motorsAt: 'axle', drivenAxles: 'front', stages: [spur], frontReversed: true }),
    );
    expect(front.remedies[0]).toMatchObject({ state: 'clear' });
  });

  it('finds axles with ratios of their own, and the teeth that bring them together', () => {
    const own = (wheelTeeth: number) =>
      withDrive({
        stages: [
          spur,
          { ...bevel, id: 'bevelFront', on: 'front', wheelTeeth },
          { ...bevel, id: 'bevelRear', on: 'rear' },
        ],
      });
    expect(rotationCheck(own(39)).state).toBe('clear');
    const over = rotationCheck(own(42));
    // 42/39 − 1 = 7.7 %
    expect(over.value).toBeCloseTo(100 * (42 / 39 - 1), 9);
    expect(over.state).toBe('over');
    expect(over.remedies.map(({ state }) => state)).toEqual(expect.arrayContaining(['clear']));
  });

  it('says what is missing where the drive ends along the car', () => {
    const check = rotationCheck(withDrive({ stages: [spur], motorAxis: 'x' }));
    expect(check.state).toBe('unknown');
    expect(check.missing).toEqual(['drive.motorAxis:needsBevel']);
  });
});
