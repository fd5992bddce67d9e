import { searched } from './searched';

const OPTIONS = [
  { id: 'a', name: 'Sensored 540, 17.5 turns', tells: '2,200 rpm/V · 170 g' },
  { id: 'b', name: 'Sensored 540, 13.5 turns', tells: '3,000 rpm/V · 165 g' },
  { id: 'c', name: '540 brushed, 27 turns', tells: '2,300 rpm/V · 160 g' },
];
const ids = (typed: string) => searched(OPTIONS, typed).map(({ id }) => id);

describe('a pick of the library', () => {
  it('shows all before anything is typed', () => expect(ids(' ')).toEqual(['a', 'b', 'c']));
  it('finds by words in any order and any case', () => expect(ids('17.5 SENSORED')).toEqual(['a']));
  it('finds by a figure, with a narrow space before its unit', () => expect(ids('165 g')).toEqual(['b']));
  it('finds nothing where one word is missing', () => expect(ids('sensored 27')).toEqual([]));
});
