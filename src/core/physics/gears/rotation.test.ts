import { CalcError } from '../../base/errors';
import { parse } from '../../base/schema/parse';
import { bevelSign, drivetrainRotation, type RotationElement, type RotationInput } from './rotation';
import { drivetrainRotationSchema } from './rotation.schema';

type Vector = readonly [number, number, number];
const cross = ([a, b, c]: Vector, [x, y, z]: Vector): Vector => [b * z - c * y, c * x - a * z, a * y - b * x];

const bevel = (
  pinion: 'ahead' | 'behind',
  ring: 'left' | 'right',
  ratio = 1,
  to: 'x' | 'y' = 'y',
): RotationElement => ({ kind: 'bevel', to, ratio, pinion, ring });
const shaftDriven = (frontRing: 'left' | 'right', rearRing: 'left' | 'right'): RotationInput => ({
  motorAxis: 'x',
  motorSpin: 1,
  paths: [
    { axle: 'front', elements: [{ kind: 'external', ratio: 4 }, bevel('behind', frontRing, 2.6)] },
    { axle: 'rear', elements: [{ kind: 'external', ratio: 4 }, bevel('ahead', rearRing, 2.6)] },
  ],
});

describe('drivetrain.rotation', () => {
  it.each([
    ['ahead', 'left'],
    ['ahead', 'right'],
    ['behind', 'left'],
    ['behind', 'right'],
  ] as const)('moves both bevels alike where they touch: %s, %s', (pinion, ring) => {
    const contact: Vector = [pinion === 'ahead' ? 1 : -1, ring === 'left' ? 2 : -2, 0];
    // the gears' own centres lie on their shafts; the ratio is 2, so the cross shaft turns twice as fast
    const along = cross([1, 0, 0], [0, contact[1], 0]);
    const across = cross([0, 2 * bevelSign(pinion, ring), 0], [contact[0], 0, 0]);
    expect(across[2]).toBe(along[2]);
  });

  it('drives both axles forward or against each other by the side of one ring', () => {
    const right = drivetrainRotation(shaftDriven('right', 'left'));
    expect(right).toMatchObject({ agree: true, ratioMismatchPct: 0, findings: [] });
    expect(right.paths.map(({ ratio, rolls }) => [ratio, rolls])).toEqual([
      [10.4, 'forward'],
      [10.4, 'forward'],
    ]);
    const wrong = drivetrainRotation(shaftDriven('left', 'left'));
    expect(wrong.agree).toBe(false);
    expect(wrong.findings).toEqual([
      expect.objectContaining({
        severity: 'over',
        about: 'axles',
        why: expect.objectContaining({
          code: 'note.rotation.opposed',
          facts: { paths: expect.arrayContaining([{ axle: 'front', rolls: 'backward' }]) },
        }),
      }),
    ]);
  });

  it('reverses at external gears alone', () => {
    const spinOf = (kind: 'external' | 'internal' | 'planetary' | 'belt' | 'chain' | 'coupling') =>
      drivetrainRotation({
        motorAxis: 'y',
        motorSpin: 1,
        paths: [{ axle: 'rear', elements: [{ kind, ratio: 3 }] }],
      }).paths[0]!;
    expect(spinOf('external')).toMatchObject({ spin: -1, rolls: 'backward', ratio: 3 });
    for (const kind of ['internal', 'planetary', 'belt', 'chain', 'coupling'] as const)
      expect(spinOf(kind)).toMatchObject({ spin: 1, rolls: 'forward', ratio: 3 });
  });

  it('tells every shaft between motor and wheel', () => {
    const { paths } = drivetrainRotation(shaftDriven('right', 'left'));
    expect(paths[0]!.shafts).toEqual([
      { axis: 'x', spin: -1, ratio: 4 },
      { axis: 'y', spin: 1, ratio: 10.4 },
    ]);
  });

  it('calls a mismatch over 1 % tight and over 3 % over, tyres counted where all are given', () => {
    const withRatio = (ratio: number, radii?: readonly [number, number]) =>
      drivetrainRotation({
        motorAxis: 'y',
        motorSpin: 1,
        paths: [
          {
            axle: 'front',
            elements: [{ kind: 'belt', ratio: 10 }],
            ...(radii ? { tyreRadiusMm: radii[0] } : {}),
          },
          { axle: 'rear', elements: [{ kind: 'belt', ratio }], ...(radii ? { tyreRadiusMm: radii[1] } : {}) },
        ],
      });
    expect(withRatio(10.05).findings).toEqual([]);
    expect(withRatio(10.2).ratioMismatchPct).toBeCloseTo(2, 9);
    expect(withRatio(10.2).findings[0]).toMatchObject({ severity: 'tight', about: 'ratio' });
    expect(withRatio(10.5).findings[0]).toMatchObject({ severity: 'over', about: 'ratio' });
    expect(withRatio(10.5, [40, 42]).ratioMismatchPct).toBeCloseTo(0, 9);
  });

  it('asks for other leads where the car drives backward', () => {
    const { agree, findings } = drivetrainRotation({ ...shaftDriven('right', 'left'), motorSpin: -1 });
    expect(agree).toBe(true);
    expect(findings).toEqual([
      expect.objectContaining({
        about: 'direction',
        remedy: expect.objectContaining({ code: 'note.rotation.swapLeads' }),
      }),
    ]);
  });

  it('refuses an axle that ends along the car, and a bevel that stays on its axis', () => {
    const pathOf = (elements: unknown[]) => {
      try {
        drivetrainRotation(
          parse(drivetrainRotationSchema, {
            motorAxis: 'x',
            motorSpin: 1,
            paths: [{ axle: 'rear', elements }],
          }),
        );
      } catch (error) {
        return (error as CalcError).path;
      }
      return 'accepted';
    };
    expect(pathOf([{ kind: 'external' }])).toBe('paths.0.elements');
    expect(pathOf([bevel('ahead', 'left', 1, 'x')])).toBe('paths.0.elements.0.to');
    expect(pathOf([{ kind: 'bevel', to: 'y', ring: 'left' }])).toBe('paths.0.elements.0.pinion');
    expect(pathOf([{ kind: 'worm' }])).toBe('paths.0.elements.0.kind');
    expect(pathOf([bevel('ahead', 'left')])).toBe('accepted');
  });
});
