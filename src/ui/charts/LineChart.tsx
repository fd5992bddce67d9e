'use client';

import Button from '@mui/material/Button';
import { scaleLinear } from 'd3-scale';
import { line as lineShape } from 'd3-shape';
import { useId, useState } from 'react';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '../reader';
import { useNarrow } from '../useNarrow';
import { type LineStyle, type ChartProps, type ChartLine } from './chartProps';
import { ChartTable } from './ChartTable';

/** A chart drawn wider would shrink its words on a phone. */
const [USUAL_WIDTH, PHONE_WIDTH] = [460, 358];

const PAD = { left: 42, right: 12, top: 20, bottom: 34 };

const STYLES: Readonly<Record<LineStyle, { stroke: string; width: number; dash?: string; ink: string }>> = {
  predicted: { stroke: 'var(--ink)', width: 2.4, dash: '7 4', ink: 'var(--ink)' },
  predictedQuiet: { stroke: 'var(--moss)', width: 2.2, dash: '5 3', ink: 'var(--moss)' },
  measured: { stroke: 'var(--slate)', width: 2.2, ink: 'var(--slate)' },
  earlier: { stroke: 'var(--ghost)', width: 1.3, ink: 'var(--ghost)' },
};

/** Lines over one pair of axes, labelled directly; as a table on request. */
export function LineChart(props: ChartProps) {
  'use memo';
  const {
    title,
    xQuantity,
    yQuantity,
    limit,
    floor,
    beyond,
    points = [],
    uprights = [],
    levels = [],
    height = 290,
    small = false,
    summary,
  } = props;
  const lines = props.lines.filter(({ xs }) => xs.length > 0);
  const narrow = useNarrow();
  const width = narrow ? Math.min(PHONE_WIDTH, props.width ?? USUAL_WIDTH) : (props.width ?? USUAL_WIDTH);
  const { reader } = useReader();
  const id = useId();
  const [asTable, setAsTable] = useState(false);
  const [xUnit, yUnit] = [unitOf(xQuantity, reader.units), unitOf(yQuantity, reader.units)];
  const x = scaleLinear(
    [toShown(props.xMin ?? 0, xUnit), toShown(props.xMax, xUnit)],
    [PAD.left, width - PAD.right],
  );
  const y = scaleLinear(
    [toShown(props.yMin ?? 0, yUnit), toShown(props.yMax, yUnit)],
    [height - PAD.bottom, PAD.top],
  ).nice(4);
  const px = (value: number) => x(toShown(value, xUnit));
  const py = (value: number) => Math.max(PAD.top, Math.min(height - PAD.bottom, y(toShown(value, yUnit))));
  const path = ({ xs, ys }: ChartLine) =>
    lineShape<number>(
      (_, i) => px(xs[i]!),
      (_, i) => py(ys[i]!),
    )(xs as number[]) ?? '';
  const label = (line: ChartLine) => {
    const at = Math.min(line.xs.length - 1, Math.round((line.labelAt ?? 1) * (line.xs.length - 1)));
    const [dx, dy] = line.labelShift ?? [4, -6];
    return { x: px(line.xs[at]!) + dx, y: py(line.ys[at]!) + dy };
  };
  const tick = (value: number) => formatNumber(value, reader.locale, 3);

  return (
    <figure className="chart" data-testid={props.testId} style={{ width: `min(100%, ${width}px)` }}>
      <figcaption>
        {title}
        <Button variant="text" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
          {asTable ? 'as a picture' : 'as a table'}
        </Button>
      </figcaption>
      {asTable ? (
        <ChartTable
          {...props}
          xSymbol={xUnit.symbol}
          ySymbol={yUnit.symbol}
          shownX={(v) => tick(toShown(v, xUnit))}
          shownY={(v) => tick(toShown(v, yUnit))}
        />
      ) : (
        <svg
          viewBox={`0 0 ${width} ${height}`}
          width={width}
          height={height}
          role="img"
          aria-label={`${title}. ${summary}`}
        >
          <defs>
            <pattern
              id={`${id}-hatch`}
              width="6"
              height="6"
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1="0" y1="0" x2="0" y2="6" stroke="var(--rust)" strokeWidth="1.6" opacity=".45" />
            </pattern>
            <clipPath id={`${id}-clip`}>
              <rect
                x={PAD.left}
                y={PAD.top - 2}
                width={width - PAD.left - PAD.right}
                height={height - PAD.top - PAD.bottom + 4}
              />
            </clipPath>
          </defs>
          {y.ticks(4).map((value) => (
            <g key={value}>
              <line x1={PAD.left} x2={width - PAD.right} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
              <text x={PAD.left - 6} y={y(value) + 4} textAnchor="end">
                {tick(value)}
              </text>
            </g>
          ))}
          {x.ticks(small ? 3 : 5).map((value) => (
            <text key={value} x={x(value)} y={height - PAD.bottom + 16} textAnchor="middle">
              {tick(value)}
            </text>
          ))}
          <text x={width - PAD.right} y={height - 4} textAnchor="end">
            {xUnit.symbol}
          </text>
          <text x={PAD.left - 6} y={11} textAnchor="end">
            {yUnit.symbol}
          </text>
          {uprights.map((upright) => (
            <g key={upright.label}>
              <line
                x1={px(upright.x)}
                x2={px(upright.x)}
                y1={PAD.top}
                y2={height - PAD.bottom}
                stroke={upright.wish ? 'var(--ink)' : 'var(--rule)'}
                strokeDasharray={upright.wish ? '2 3' : undefined}
              />
              <text
                x={Math.max(PAD.left, Math.min(px(upright.x), width - PAD.right))}
                y={PAD.top - 6}
                textAnchor={
                  px(upright.x) > width - 90 ? 'end' : px(upright.x) < PAD.left + 50 ? 'start' : 'middle'
                }
              >
                {upright.label}
              </text>
            </g>
          ))}
          <g clipPath={`url(#${id}-clip)`}>
            {limit ? (
              <>
                <path
                  d={`${path(limit)}L${px(limit.xs.at(-1)!)},${PAD.top}L${px(limit.xs[0]!)},${PAD.top}Z`}
                  fill={`url(#${id}-hatch)`}
                />
                <path d={path(limit)} fill="none" stroke="var(--rust)" strokeWidth="1.6" />
              </>
            ) : null}
            {floor ? (
              <>
                <rect
                  x={PAD.left}
                  y={py(floor.y)}
                  width={width - PAD.left - PAD.right}
                  height={Math.max(0, height - PAD.bottom - py(floor.y))}
                  fill={`url(#${id}-hatch)`}
                />
                <line
                  x1={PAD.left}
                  x2={width - PAD.right}
                  y1={py(floor.y)}
                  y2={py(floor.y)}
                  stroke="var(--rust)"
                  strokeWidth="1.6"
                />
              </>
            ) : null}
            {beyond ? (
              <>
                <rect
                  x={px(beyond.x)}
                  y={PAD.top}
                  width={Math.max(0, width - PAD.right - px(beyond.x))}
                  height={height - PAD.bottom - PAD.top}
                  fill={`url(#${id}-hatch)`}
                />
                <line
                  x1={px(beyond.x)}
                  x2={px(beyond.x)}
                  y1={PAD.top}
                  y2={height - PAD.bottom}
                  stroke="var(--rust)"
                  strokeWidth="1.6"
                />
              </>
            ) : null}
            {levels.map((level) => (
              <g key={level.label}>
                <rect
                  x={PAD.left}
                  y={py(level.y) - 8}
                  width={width - PAD.left - PAD.right}
                  height={8}
                  fill={`url(#${id}-hatch)`}
                />
                <line
                  x1={PAD.left}
                  x2={width - PAD.right}
                  y1={py(level.y)}
                  y2={py(level.y)}
                  stroke="var(--rust)"
                  strokeWidth="1.4"
                />
              </g>
            ))}
            {lines.map((line) => (
              <path
                key={line.id}
                data-line={line.id}
                d={path(line)}
                fill="none"
                stroke={STYLES[line.style].stroke}
                strokeWidth={STYLES[line.style].width}
                strokeDasharray={STYLES[line.style].dash}
              />
            ))}
          </g>
          {limit ? (
            <text
              className="strong"
              x={PAD.left + 6}
              y={Math.min(height - PAD.bottom - 6, py(limit.ys[0]!) + 16)}
              style={{ fill: 'var(--rust)' }}
            >
              {limit.label}
            </text>
          ) : null}
          {floor ? (
            <text className="strong" x={PAD.left + 6} y={py(floor.y) - 6} style={{ fill: 'var(--rust)' }}>
              {floor.label}
            </text>
          ) : null}
          {beyond ? (
            <text
              className="strong"
              x={px(beyond.x) - 6}
              y={PAD.top + 12}
              textAnchor="end"
              style={{ fill: 'var(--rust)' }}
            >
              {beyond.label}
            </text>
          ) : null}
          {levels.map((level) => (
            <text
              key={level.label}
              x={level.labelLeft ? PAD.left + 6 : width - PAD.right - 2}
              textAnchor={level.labelLeft ? 'start' : 'end'}
              y={py(level.y) + 15}
              style={{ fill: 'var(--rust)' }}
            >
              {level.label}
            </text>
          ))}
          {lines.map((line) => (
            <text
              key={line.id}
              className={line.style === 'earlier' ? undefined : 'strong'}
              {...label(line)}
              textAnchor={label(line).x > width - 70 ? 'end' : 'start'}
              style={{ fill: STYLES[line.style].ink }}
            >
              {line.label}
            </text>
          ))}
          {points.map((point, index) => (
            <g key={index}>
              {point.error ? (
                <line
                  x1={px(point.x)}
                  x2={px(point.x)}
                  y1={py(point.y - point.error)}
                  y2={py(point.y + point.error)}
                  stroke="var(--slate)"
                  strokeWidth="1.6"
                />
              ) : null}
              <circle
                cx={px(point.x)}
                cy={py(point.y)}
                r={point.measured ? 4 : 5.5}
                fill={point.measured ? 'var(--slate)' : 'var(--sheet)'}
                stroke={point.measured ? 'none' : 'var(--ink)'}
                strokeWidth="2"
              />
              {point.label ? (
                <text
                  className="strong"
                  x={Math.min(px(point.x) + 9, width - 4)}
                  y={py(point.y) + (point.measured || point.under ? 20 : -10)}
                  textAnchor={px(point.x) > width - 100 ? 'end' : 'start'}
                  style={point.measured ? { fill: 'var(--slate)' } : undefined}
                >
                  {point.label}
                </text>
              ) : null}
            </g>
          ))}
        </svg>
      )}
      <p className="hidden">{summary}</p>
    </figure>
  );
}
