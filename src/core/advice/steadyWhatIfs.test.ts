import { applyPatch } from '../base/patch';
import { car } from '../fixtures/car';
import { spatial } from '../fixtures/corners';
import { handlingSteady } from '../physics/handling/steady/steady';
import { steadyInputOf } from '../worked/stability/steadyOfBuild';
import { bendWhatIfs } from './bendWhatIfs';
import { steadyWhatIfs } from './steadyWhatIfs';

const asphalt = car.brief.surfaces[0]!;
const measured = applyPatch(car, [
  { path: ['chassis', 'cdaM2'], value: 0 },
  {
    path: ['suspension', 'aids'],
    value: { tyre: { corneringFrontPerRad: 9, corneringRearPerRad: 9 } },
  },
]);

describe('single changes of the balance', () => {
  it.each([
    ['typical', applyPatch(car, [{ path: ['chassis', 'cdaM2'], value: 0 }])],
    ['measured', measured],
  ])('weight in front makes a car of %s tyres understeer, weight behind oversteer', (_, document) => {
    const input = steadyInputOf(document, asphalt, { speedMps: 8 });
    const now = handlingSteady(input.ok ? input.value : ({} as never)).understeerDegPerGee!;
    const found = steadyWhatIfs(document, asphalt, 8);
    const of = (id: string) => found.find((one) => one.id === id)!;
    expect(of('pack-forward').steady.understeerDegPerGee).toBeGreaterThan(now);
    expect(of('pack-back').steady.understeerDegPerGee).toBeLessThan(now);
    expect(of('front-less').steady.understeerDegPerGee).toBeGreaterThan(now);
    expect(of('rear-more').steady.understeerDegPerGee).toBeGreaterThan(now);
    // a tenth more stiffness behind: 1/(9·1.1) in place of 1/9, less what the rolling resistance takes, alike before and after
    expect(of('rear-more').steady.understeerDegPerGee! - now).toBeCloseTo(
      ((1 / 9 - 1 / 9.9) * 180) / Math.PI,
      2,
    );
  });

  it('a wing is tried where shapes count, and what it makes can be taken', () => {
    const drawn = applyPatch(car, [
      { path: ['chassis', 'cdaM2'], value: undefined },
      { path: ['chassis', 'air'], value: { shape: 'saloon' } },
    ]);
    expect(steadyWhatIfs(car, asphalt, 8).some(({ id }) => id.startsWith('wing'))).toBe(false);
    const wing = steadyWhatIfs(drawn, asphalt, 15).find(({ id }) => id === 'wing-add')!;
    const winged = steadyInputOf(applyPatch(drawn, wing.patch!), asphalt, { speedMps: 15 });
    const bare = steadyInputOf(drawn, asphalt, { speedMps: 15 });
    const rear = (one: typeof bare) => (one.ok ? handlingSteady(one.value).axleLoadsN.rear : NaN);
    expect(wing.steady.axleLoadsN.rear).toBeCloseTo(rear(winged), 9);
    expect(rear(winged)).toBeGreaterThan(rear(bare));
  });
});

describe('toe and track in a bend', () => {
  const cornered = applyPatch(measured, [
    { path: ['suspension', 'rear'], value: { corner: spatial } },
    { path: ['chassis', 'cgHeightMm'], value: 40 },
  ]);

  it('are tried on the corners that are there, and what they make can be taken', () => {
    const found = bendWhatIfs(cornered, asphalt, 8)!;
    expect(found.tried.map(({ id }) => id)).toEqual([
      'rear-toe-in',
      'rear-toe-out',
      'front-wider',
      'rear-wider',
    ]);
    const of = (id: string) => found.tried.find((one) => one.id === id)!;
    const now = found.present.understeerDegPerMps2;
    expect(of('rear-toe-in').bend.understeerDegPerMps2).toBeGreaterThan(now);
    expect(of('rear-toe-out').bend.understeerDegPerMps2).toBeLessThan(now);
    expect(of('rear-wider').bend.movedShare.rear).toBeLessThan(found.present.movedShare.rear);
    // the front limits, so that only there a wider track holds more
    expect(of('rear-wider').bend.movedShare.front).toBe(found.present.movedShare.front);
    expect(of('front-wider').bend.maxLateralMps2).toBeGreaterThanOrEqual(found.present.maxLateralMps2);
    const taken = applyPatch(cornered, of('rear-toe-in').patch);
    expect(bendWhatIfs(taken, asphalt, 8)!.present.understeerDegPerMps2).toBeCloseTo(
      of('rear-toe-in').bend.understeerDegPerMps2,
      9,
    );
  });

  it('are left out of a car that is incomplete', () => {
    expect(bendWhatIfs(applyPatch(car, [{ path: ['drive', 'tyre'], value: undefined }]), asphalt, 8)).toBe(
      undefined,
    );
  });
});
