import type { Reader } from '@/core/base/units/formatQuantity';
import type { LibraryItem } from '@/core/car/library/kinds';
import { libraryTells } from '@/words/library/libraryTells';
import type { PickOption } from './searched';

/** Things of the library as a pick lists them. */
export const libraryOptions = (items: readonly LibraryItem[], reader: Reader): PickOption[] =>
  items.map((item) => ({ id: item.id, name: item.data.name, tells: libraryTells(item, reader) }));
