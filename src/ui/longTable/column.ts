import type { ReactNode } from 'react';
import type { QuantityName } from '@/core/base/units/quantities';

/** A column of a long table: what it is sorted, filtered and exported by, and how it is shown. */
export interface LongColumn<R> {
  field: string;
  name: string;
  /** Least width, px. */
  width: number;
  /** Takes its share of what is left. */
  grows?: boolean;
  /** A number as stored, shown in the reader's unit; text and dates without one. */
  quantity?: QuantityName;
  date?: boolean;
  /** To sort and export by; chosen among the columns where it is wanted. */
  hidden?: boolean;
  value(row: R): number | string | undefined;
  /** In place of the value. */
  show?(row: R): ReactNode;
}

export interface LongTableProps<R extends { id: string }> {
  label: string;
  testId: string;
  rows: readonly R[];
  columns: readonly LongColumn<R>[];
  /** Buttons of a row, at its end. */
  acts?(row: R): ReactNode;
  /** Rows of a page. */
  page?: number;
  /** Px of all buttons of a row. */
  actsWidth?: number;
  /** Right of the first column, where the table may be wider than the page. */
  actsFirst?: boolean;
  /** Said of a row in its class, as `waits`; `away` is dimmed. */
  mark?(row: R): string | undefined;
  /** The column by which it is sorted at first, the greatest first. */
  latest?: string;
}

type Cell = number | string | Date | null;

/** The order of two cells: numbers by size, words as the reader spells them; what is not given comes last, whichever way. */
export function inOrder(a: Cell, b: Cell, way: 'asc' | 'desc'): number {
  if (a === null || b === null) return (a === null ? 1 : 0) - (b === null ? 1 : 0);
  const up = typeof a === 'string' && typeof b === 'string' ? a.localeCompare(b) : Number(a) - Number(b);
  return way === 'asc' ? up : -up;
}
