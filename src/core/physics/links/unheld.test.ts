import { CalcError } from '../../base/errors';
import { loads, rods, trailing, wishbones } from '../../fixtures/forcedCorners';
import type { LinksForcesInput } from './definition';
import { linksForces } from './linksForces';

describe('a corner that is not held in one way', () => {
  it('names what is missing, double or stuck', () => {
    const refused = (input: LinksForcesInput) => {
      try {
        linksForces(input);
      } catch (error) {
        if (error instanceof CalcError)
          return { path: error.path, ...error.refused.given, code: error.refused.code };
        throw error;
      }
      return undefined;
    };
    const { damper: _d, ...bare } = wishbones;
    expect(refused({ corner: bare, loads })).toMatchObject({ path: 'corner.damper' });
    expect(refused({ corner: wishbones })).toMatchObject({ path: 'loads' });
    expect(refused({ corner: { ...rods, links: rods.links.slice(0, 4) }, loads })).toMatchObject({
      path: 'corner.links',
      missing: 1,
      free: 'yaw',
    });
    expect(
      refused({
        corner: { ...rods, links: [...rods.links, { id: 'six', inner: [0, 0, 0], outer: [0, 100, 40] }] },
        loads,
      }),
    ).toMatchObject({ path: 'corner.links', code: 'links.many' });
    // the fifth lies on the line of the first
    const doubled = [
      ...rods.links.slice(0, 4),
      { id: 'again', inner: [37, -20, 22], outer: [3, 100, 18] },
    ] as const;
    expect(refused({ corner: { ...rods, links: doubled as never }, loads })).toMatchObject({
      path: 'corner.links.4',
      code: 'links.spanned',
    });
    expect(
      refused({ corner: { ...rods, links: rods.links.map((one) => ({ ...one, id: 'same' })) }, loads }),
    ).toMatchObject({
      path: 'corner.links.1.id',
    });
    expect(
      refused({ corner: { ...trailing, hingeInner: [70, 40, 0], hingeOuter: [70, 40, 90] }, loads }),
    ).toMatchObject({ path: 'corner.wheelCentre' });
    expect(refused({ corner: trailing, loads, rackMm: [0, 1] })).toMatchObject({ path: 'rackMm.1' });
    expect(refused({ corner: wishbones, loads: [loads[0]!, loads[0]!] })).toMatchObject({
      path: 'loads.1.name',
    });
    expect(refused({ corner: { ...wishbones, lowerRear: wishbones.lowerFront }, loads })).toMatchObject({
      path: 'corner.lowerFront',
    });
    // it hangs along the hinge line of its arm
    expect(
      refused({
        corner: { ...wishbones, damper: { inner: [60, 40, 20], outer: [90, 40, 20], on: 'lower' } },
        loads,
      }),
    ).toMatchObject({ path: 'corner.damper' });
  });
});
