import { applyPatch } from '../base/patch';
import { car } from '../fixtures/car';
import { handlingSteady } from '../physics/handling/steady/steady';
import { steadyInputOf } from '../worked/stability/steadyOfBuild';
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
