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
  /** Px of all buttons of a row. */
  actsWidth?: number;
  /** Said of a row in its class, as `waits`. */
  mark?(row: R): string | undefined;
  /** The column by which it is sorted at first, the greatest first. */
  latest?: string;
}
