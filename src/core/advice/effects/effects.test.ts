import { applyPatch } from '../../base/patch';
import { car } from '../../fixtures/car';
import { effectsBetween } from './effects';
import { evaluateStates } from '../../verdict/evaluate';

const value = (document: typeof car, id: string) =>
  evaluateStates(document).find((check) => check.id === id)!.value;

describe('what each change does', () => {
  const pinion = { path: ['drive', 'stages', 's', 'pinionTeeth'], value: 12 };
  const lighter = { path: ['chassis', 'massG'], value: 1400 };
  const money = { path: ['brief', 'budget'], value: 200 };
  const after = applyPatch(car, [pinion, lighter, money]);
  const found = effectsBetween(car, after, {});
  const figure = (thing: string, id: string) =>
    found.each.find((one) => one.thing === thing)!.figures.find((one) => one.id === id);

  it('takes each alone: the pinion changes the speed and not the mass, the mass the mass', () => {
    expect(figure('drive.stages.s', 'drive.speed')).toMatchObject({
      before: value(car, 'drive.speed'),
      after: value(applyPatch(car, [pinion]), 'drive.speed'),
    });
    expect(figure('drive.stages.s', 'brief.mass')).toBeUndefined();
    expect(figure('chassis.massG', 'brief.mass')).toMatchObject({ before: 1900, after: 1700 });
  });

  it('and all together as the later build has it', () => {
    expect(found.together.figures.find(({ id }) => id === 'drive.speed')!.after).toBe(
      value(after, 'drive.speed'),
    );
  });

  it('sets apart what acts on nothing that is reckoned', () => {
    expect(found.silent.map(({ path }) => path)).toEqual([['brief', 'budget']]);
    expect(found.each).toHaveLength(2);
  });

  it('finds nothing between a build and itself, and the reverse of a change backwards', () => {
    expect(effectsBetween(car, car, {})).toEqual({
      each: [],
      together: { figures: [], checks: [] },
      silent: [],
    });
    const back = effectsBetween(after, car, {}).together.figures.find(({ id }) => id === 'drive.speed')!;
    const there = found.together.figures.find(({ id }) => id === 'drive.speed')!;
    expect([back.before, back.after]).toEqual([there.after, there.before]);
  });
});
