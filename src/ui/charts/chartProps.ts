import { type QuantityName } from '@/core/base/units/quantities';

export type LineStyle = 'predicted' | 'predictedQuiet' | 'measured' | 'earlier';

export interface ChartLine {
  id: string;
  label: string;
  style: LineStyle;
  xs: readonly number[];
  ys: readonly number[];
  /** Share of the line's length at which its label stands. */
  labelAt?: number;
}

/** Filled with the accent, filled with ink, or hollow. */
export type StripLook = 'accent' | 'ink' | 'hollow';

/** A measured point with its error, or a predicted one, hollow. */
export interface ChartPoint {
  x: number;
  y: number;
  error?: number;
  label?: string;
  measured: boolean;
}

export interface ChartProps {
  title: string;
  xQuantity: QuantityName;
  yQuantity: QuantityName;
  /** What the axes measure, where the quantity says it too widely. */
  xName?: string;
  yName?: string;
  lines: readonly ChartLine[];
  /** Everything above this line is out of reach. */
  limit?: ChartLine;
  /** Everything below this value is out of bounds. */
  floor?: { y: number; label: string };
  /** Values that must not be passed, each a line with a hatched edge. */
  levels?: readonly { y: number; label: string; labelLeft?: boolean }[];
  /** Everything to the right of this is out of bounds. */
  beyond?: { x: number; label: string };
  /** Where the y axis starts, 0 if not given. */
  yMin?: number;
  points?: readonly ChartPoint[];
  /** Upright lines: a wish or a distance. */
  uprights?: readonly { x: number; label: string; wish?: boolean }[];
  /** A band along the foot: what each stretch between two places is. */
  strip?: { xs: readonly number[]; looks: readonly StripLook[] };
  /** Where the x axis starts, 0 if not given. */
  xMin?: number;
  xMax: number;
  yMax: number;
  /** One of many beside each other: fewer ticks. */
  small?: boolean;
  width?: number;
  height?: number;
  /** The picture in a sentence. */
  summary: string;
  testId?: string;
}
