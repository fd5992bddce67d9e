import type { SizeClassFigures } from '../kinds/sizeClass';

const size = (scale: number, massBudgetG: number): { id: string; data: SizeClassFigures } => ({
  id: `size-${scale}`,
  data: { name: `1:${scale}`, massBudgetG },
});

/** Mass ready to run with payload that is usual for a scale. */
export const STARTING_SIZE_CLASSES: readonly { id: string; data: SizeClassFigures }[] = [
  size(24, 250),
  size(18, 700),
  size(14, 1100),
  size(12, 1300),
  size(10, 2000),
  size(8, 3600),
  size(5, 10000),
];
