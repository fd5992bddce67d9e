import { markOf } from '../../base/mark';
import {
  BENCH_ITEMS,
  type BenchItem,
  type BenchTick,
  type End,
  type Suspension,
} from '../../car/document/suspension';

/** Mark of a corner as it is drawn: another point, another mark. */
export const cornerMark = (suspension: Suspension, end: End): string =>
  markOf(suspension[end]?.corner ?? null);

export const benchId = (end: End, item: BenchItem): string => `${end}-${item}`;

export type BenchState = 'open' | 'passed' | 'undone';

export interface BenchLine {
  id: string;
  item: BenchItem;
  state: BenchState;
  at?: string;
}

/** The list of one end; a tick stands until a point of that corner is moved. */
export function benchList(suspension: Suspension, end: End): BenchLine[] {
  const mark = cornerMark(suspension, end);
  return BENCH_ITEMS.map((item): BenchLine => {
    const id = benchId(end, item);
    const tick: BenchTick | undefined = suspension.bench?.find((one) => one.id === id);
    return {
      id,
      item,
      state: !tick ? 'open' : tick.of === mark ? 'passed' : 'undone',
      ...(tick ? { at: tick.at } : {}),
    };
  });
}
