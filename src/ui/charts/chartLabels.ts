import type { ChartProps } from './chartProps';
import {
  alongCurve,
  aroundPoint,
  type Box,
  boxOf,
  type LabelWish,
  type PlacedLabel,
  placeLabels,
  type Point,
  type Spot,
} from './placeLabels';
import type { Plot } from './plotScales';
import { LINE_LOOKS } from './lineLooks';

const RUST = 'var(--rust)';
/** Room that a point takes, px. */
const ROUND = 7;

const between = (value: number, [low, high]: readonly [number, number]) => value >= low && value <= high;

/** The part of a line that the axes show. */
const visible = (points: readonly Point[], { area }: Plot): Point[] =>
  points.filter(
    ({ x, y }) => between(x, [area.left, area.right]) && between(y, [area.top - 1, area.bottom + 1]),
  );

/** Along a level line, under it and over it, from its start or from its end. */
function alongLevel(y: number, { left, right }: Box, fromEnd: boolean): Spot[] {
  const spots = [0, 0.25, 0.5, 0.75, 1].flatMap((share): Spot[] => {
    const x = left + 6 + share * (right - left - 8);
    const anchor = share < 0.3 ? 'start' : share > 0.7 ? 'end' : 'middle';
    return [
      { x, y: y + 16, anchor },
      { x, y: y - 12, anchor },
    ];
  });
  return fromEnd ? spots.reverse() : spots;
}

/** Over the frame, else beside the upright line from top to bottom. */
function alongUpright(x: number, { top, bottom }: Box): Spot[] {
  const over: Spot[] = (['middle', 'end', 'start'] as const).map((anchor) => ({ x, y: top - 6, anchor }));
  const beside = [0, 0.2, 0.4, 0.6, 0.8].flatMap((share): Spot[] => {
    const y = top + 14 + share * (bottom - top - 20);
    return [
      { x: x + 5, y, anchor: 'start' },
      { x: x - 5, y, anchor: 'end' },
    ];
  });
  return [...over, ...beside];
}

/** All labels inside a chart in places where they can be read. */
export function chartLabels(props: ChartProps, plot: Plot, frame: Box, axisName: string): PlacedLabel[] {
  const { points = [], uprights = [], levels = [], limit, floor, beyond } = props;
  const { area, px, py, shown } = plot;
  const inX = (x: number) => between(x, shown.x);
  const lines = props.lines
    .filter(({ xs }) => xs.length > 0)
    .map((line) => ({ ...line, points: plot.points(line) }));
  const pins = points
    .filter(({ x }) => inX(x))
    .map((point) => ({ ...point, at: { x: px(point.x), y: py(point.y) } }));
  const wishes: LabelWish[] = [
    ...pins.flatMap(({ label, at, measured }, index) =>
      label
        ? [
            {
              key: `point ${index}`,
              text: label,
              strong: true,
              ink: measured ? 'var(--slate)' : 'var(--ink)',
              spots: aroundPoint(at),
            },
          ]
        : [],
    ),
    ...uprights.flatMap(({ x, label }) =>
      label && inX(x) ? [{ key: `upright ${label}`, text: label, spots: alongUpright(px(x), area) }] : [],
    ),
    ...(limit
      ? [
          {
            key: 'limit',
            text: limit.label,
            strong: true,
            ink: RUST,
            spots: alongLevel(py(limit.ys[0]!), area, false),
          },
        ]
      : []),
    ...(floor
      ? [
          {
            key: 'floor',
            text: floor.label,
            strong: true,
            ink: RUST,
            spots: alongLevel(py(floor.y), area, false),
          },
        ]
      : []),
    ...(beyond && inX(beyond.x)
      ? [
          {
            key: 'beyond',
            text: beyond.label,
            strong: true,
            ink: RUST,
            spots: alongUpright(px(beyond.x), area).reverse(),
          },
        ]
      : []),
    ...levels.map(({ label, y, labelLeft }) => ({
      key: `level ${label}`,
      text: label,
      ink: RUST,
      spots: alongLevel(py(y), area, !labelLeft),
    })),
    ...lines.flatMap((line) => {
      const seen = line.label === '' ? [] : visible(line.points, plot);
      if (seen.length === 0) return [];
      return [
        {
          key: `line ${line.id}`,
          text: line.label,
          strong: line.style !== 'earlier',
          ink: LINE_LOOKS[line.style].ink,
          spots: alongCurve(seen, line.labelAt ?? 1),
        },
      ];
    }),
  ];
  const curves = [
    ...lines.map((line) => line.points),
    ...(limit ? [limit.xs.map((x, i) => ({ x: px(x), y: py(limit.ys[i]!) }))] : []),
    ...levels.map(({ y }) => [
      { x: area.left, y: py(y) },
      { x: area.right, y: py(y) },
    ]),
    ...uprights
      .filter(({ x }) => inX(x))
      .map(({ x }) => [
        { x: px(x), y: area.top },
        { x: px(x), y: area.bottom },
      ]),
    ...pins.flatMap(({ at, error, y }) =>
      error === undefined
        ? []
        : [
            [
              { x: at.x, y: py(y - error) },
              { x: at.x, y: py(y + error) },
            ],
          ],
    ),
  ];
  const taken: Box[] = [
    boxOf(axisName, false, { x: 0, y: 11, anchor: 'start' }),
    ...pins.map(({ at }) => ({
      left: at.x - ROUND,
      right: at.x + ROUND,
      top: at.y - ROUND,
      bottom: at.y + ROUND,
    })),
  ];
  return placeLabels(wishes, curves, frame, taken);
}
