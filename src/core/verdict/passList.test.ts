import { PASS_TICKS } from '../car/records/report';
import type { Check, State } from './engine/check';
import { PASS_CHECKS, passList } from './passList';
import { FACES } from './faces';

const check = (id: string, state: State) => ({ id, state }) as Check;
const all = (state: State) => PASS_CHECKS.map((id) => check(id, state));

describe('the list before a fast pass', () => {
  it('is of checks that there are', () => {
    const known = FACES.map(({ id }) => id);
    expect(PASS_CHECKS.filter((id) => !known.includes(id))).toEqual([]);
  });

  it('is a go with every check held and every tick set, tight ones too', () => {
    expect(passList([...all('clear'), check('drive.speed', 'over')], PASS_TICKS)).toMatchObject({
      go: true,
      open: [],
      unticked: [],
    });
    expect(passList(all('tight'), PASS_TICKS).go).toBe(true);
  });

  it.each(['over', 'unknown'] as const)('is no go while one is %s', (state) => {
    const found = passList(
      all('clear').map((one) => (one.id === 'tyre.burst' ? check(one.id, state) : one)),
      PASS_TICKS,
    );
    expect(found.go).toBe(false);
    expect(found.open.map(({ id }) => id)).toEqual(['tyre.burst']);
  });

  it('is no go while nobody looked at the pack', () => {
    const found = passList(all('clear'), ['people', 'order']);
    expect(found).toMatchObject({ go: false, unticked: ['pack'] });
  });

  it('asks nothing of what the build does not have', () =>
    expect(passList([check('tyre.burst', 'clear')], PASS_TICKS)).toMatchObject({ go: true }));
});
