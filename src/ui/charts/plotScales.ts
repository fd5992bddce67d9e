import { type ScaleLinear, scaleLinear } from 'd3-scale';
import { line as lineShape } from 'd3-shape';
import { toShown, toStored, type Unit } from '@/core/base/units/quantities';
import type { ChartLine, ChartProps } from './chartProps';
import type { Box, Point } from './placeLabels';

/** A part of the x axis that is looked at closely, in the chart's own quantity. */
export type Stretch = readonly [from: number, to: number];

export const PAD = { left: 42, right: 12, top: 24, bottom: 34 };

export interface Plot {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  area: Box;
  px(value: number): number;
  /** Held at the ends of the axis. */
  py(value: number): number;
  /** Past the ends of the axis too. */
  past(value: number): number;
  /** The value of the x axis under a pixel. */
  at(px: number): number;
  points(line: ChartLine): Point[];
  path(line: ChartLine): string;
  /** Held at the ends of the axis. */
  heldPath(line: ChartLine): string;
  /** The ends of both axes in the chart's own quantities. */
  shown: { x: Stretch; y: Stretch };
}

/** Room over and under the curves of a stretch, as a share of what they span. */
const ROOM = 0.08;

function heightsIn({ lines, points = [] }: ChartProps, [from, to]: Stretch): Stretch | undefined {
  const inside = [
    ...lines.flatMap(({ xs, ys }) => ys.filter((_, i) => xs[i]! >= from && xs[i]! <= to)),
    ...points.filter(({ x }) => x >= from && x <= to).map(({ y }) => y),
  ];
  if (inside.length < 2) return undefined;
  const [low, high] = [Math.min(...inside), Math.max(...inside)];
  if (!(high > low)) return undefined;
  return [low - ROOM * (high - low), high + ROOM * (high - low)];
}

/** Where the values of a chart stand on its picture, whole or a stretch of it. */
export function plotOf(
  props: ChartProps,
  [xUnit, yUnit]: readonly [Unit, Unit],
  width: number,
  height: number,
  stretch: Stretch | undefined,
): Plot {
  const area = { left: PAD.left, right: width - PAD.right, top: PAD.top, bottom: height - PAD.bottom };
  const [from, to] = stretch ?? [props.xMin ?? 0, props.xMax];
  const whole: Stretch = [props.yMin ?? 0, props.yMax];
  const closer = stretch ? heightsIn(props, stretch) : undefined;
  const [low, high] = closer ? [Math.max(closer[0], whole[0]), Math.min(closer[1], whole[1])] : whole;
  const x = scaleLinear([toShown(from, xUnit), toShown(to, xUnit)], [area.left, area.right]);
  const y = scaleLinear([toShown(low, yUnit), toShown(high, yUnit)], [area.bottom, area.top]).nice(4);
  const [bottomValue, topValue] = y.domain().map((end) => toStored(end!, yUnit)) as [number, number];
  // units are straight lines of each other, so the figure itself is enough
  const [perX, perY] = [
    (area.right - area.left) / (to - from || 1),
    (area.top - area.bottom) / (topValue - bottomValue || 1),
  ];
  const px = (value: number) => area.left + (value - from) * perX;
  const past = (value: number) => area.bottom + (value - bottomValue) * perY;
  const py = (value: number) => Math.max(area.top, Math.min(area.bottom, past(value)));
  const pathBy = (height_: (value: number) => number) => (line: ChartLine) =>
    lineShape<number>(
      (_, i) => px(line.xs[i]!),
      (_, i) => height_(line.ys[i]!),
    )(line.xs as number[]) ?? '';
  return {
    x,
    y,
    area,
    px,
    py,
    past,
    at: (pixel) => toStored(x.invert(pixel), xUnit),
    points: ({ xs, ys }) => xs.map((value, i) => ({ x: px(value), y: past(ys[i]!) })),
    path: pathBy(past),
    heldPath: pathBy(py),
    shown: {
      x: [from, to],
      y: [bottomValue, topValue],
    },
  };
}
