import type { LibraryItem } from '../items';

const size = (scale: number, massBudgetG: number): LibraryItem<'sizeClass'> => ({
  id: `size-${scale}`,
  kind: 'sizeClass',
  data: { name: `1:${scale}`, massBudgetG },
});

/** Mass ready to run with payload that is usual for a scale. */
export const STARTING_SIZE_CLASSES: readonly LibraryItem<'sizeClass'>[] = [
  size(24, 250),
  size(18, 700),
  size(14, 1100),
  size(12, 1300),
  size(10, 2000),
  size(8, 3600),
  size(5, 10000),
];
