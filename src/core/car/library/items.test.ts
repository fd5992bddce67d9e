import { CalcError } from '../../base/errors';
import { itemsOf, tyreForBuild } from './items';
import { type LibraryItem } from './kinds';
import { parseLibraryItem } from './items.schema';

const tyre: LibraryItem<'tyre'> = {
  id: 't',
  kind: 'tyre',
  data: { name: 'Pin', compound: 'c', radiusMm: 42, massG: 52 },
};
const compound: LibraryItem<'compound'> = {
  id: 'c',
  kind: 'compound',
  data: { name: 'Foam', hardFactor: 1.05, looseFactor: 0.7 },
};

const pathOf = (item: unknown) => {
  try {
    parseLibraryItem(item);
  } catch (error) {
    return (error as CalcError).path;
  }
  return 'accepted';
};

describe('library items', () => {
  it('give a tyre the factors of its compound', () => {
    expect(tyreForBuild(tyre, [compound, tyre])).toEqual({
      libraryId: 't',
      name: 'Pin',
      compound: 'Foam',
      radiusMm: 42,
      massG: 52,
      hardFactor: 1.05,
      looseFactor: 0.7,
    });
    expect(tyreForBuild(tyre, [])).toMatchObject({ compound: 'c', hardFactor: 1, looseFactor: 1 });
  });

  it('come by kind', () => expect(itemsOf([compound, tyre], 'tyre')).toEqual([tyre]));

  it.each([
    [tyre, 'accepted'],
    [{ ...tyre, data: { ...tyre.data, radiusMm: 0 } }, 'data.radiusMm'],
    [{ ...tyre, data: { ...tyre.data, width: 3 } }, 'data.width'],
    [{ ...tyre, kind: 'compound' }, 'data.hardFactor'],
    [{ id: 'x', kind: 'tyre' }, 'data'],
    [{ ...tyre, id: 'a b' }, 'id'],
    [7, ''],
  ])('%j: %s', (item, path) => expect(pathOf(item)).toBe(path));
});
