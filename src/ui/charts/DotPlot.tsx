'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { scaleLinear } from 'd3-scale';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { type QuantityName, toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '../reader';

export interface DotRow {
  id: string;
  label: string;
  values: readonly number[];
  mean: number;
  error: number;
  predicted?: { value: number; error: number };
}

interface DotPlotProps {
  title: string;
  quantity: QuantityName;
  rows: readonly DotRow[];
  width?: number;
  wish?: { value: number; label: string };
  /** In place of the usual words under it. */
  legend?: string;
}

const ROW = 44;
const PAD = { left: 118, right: 18, top: 24, bottom: 30 };

/** Measured against predicted, run by run: attempts and mean solid, prediction hollow in its dashed band. */
export function DotPlot({ title, quantity, rows, width = 720, wish, legend }: DotPlotProps) {
  const { reader } = useReader();
  const unit = unitOf(quantity, reader.units);
  const all = rows
    .flatMap(({ values, mean, error, predicted }) => [
      ...values,
      mean - error,
      mean + error,
      ...(predicted ? [predicted.value - predicted.error, predicted.value + predicted.error] : []),
    ])
    .concat(wish ? [wish.value] : []);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const room = 0.12 * (high - low || high * 0.1 || 1);
  const x = scaleLinear(
    [toShown(low - room, unit), toShown(high + room, unit)],
    [PAD.left, width - PAD.right],
  ).nice(5);
  const px = (value: number) => x(toShown(value, unit));
  const height = PAD.top + rows.length * ROW + PAD.bottom;
  const summary = rows
    .map(
      (row) =>
        `${row.label}: measured ${formatText(row.mean, quantity, reader)} ± ${formatText(row.error, quantity, reader)}${row.predicted ? `, predicted ${formatText(row.predicted.value, quantity, reader)} ± ${formatText(row.predicted.error, quantity, reader)}` : ''}`,
    )
    .join('; ');
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      style={{ width: `min(100%, ${width}px)` }}
      sx={{ mt: 1.5 }}
      data-testid="dot-plot"
    >
      <figcaption>{title}</figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        role="img"
        aria-label={`${title}. ${summary}`}
      >
        {x.ticks(6).map((value) => (
          <g key={value}>
            <line x1={x(value)} x2={x(value)} y1={PAD.top} y2={height - PAD.bottom} stroke="var(--rule)" />
            <text x={x(value)} y={height - PAD.bottom + 16} textAnchor="middle">
              {formatNumber(value, reader.locale, 4)}
            </text>
          </g>
        ))}
        <text x={width - PAD.right} y={height - 2} textAnchor="end">
          {unit.symbol}
        </text>
        {wish ? (
          <g>
            <line
              x1={px(wish.value)}
              x2={px(wish.value)}
              y1={PAD.top - 6}
              y2={height - PAD.bottom}
              stroke="var(--ink)"
              strokeDasharray="2 3"
            />
            <text x={px(wish.value) + 4} y={PAD.top - 8}>
              {wish.label}
            </text>
          </g>
        ) : null}
        {rows.map((row, index) => {
          const y = PAD.top + index * ROW + ROW / 2;
          return (
            <g key={row.id}>
              <text className={chartsCss.strong} x={0} y={y + 4}>
                {row.label}
              </text>
              {row.predicted ? (
                <g>
                  <rect
                    x={px(row.predicted.value - row.predicted.error)}
                    y={y - 13}
                    width={Math.max(
                      1,
                      px(row.predicted.value + row.predicted.error) -
                        px(row.predicted.value - row.predicted.error),
                    )}
                    height={26}
                    fill="none"
                    stroke="var(--ink)"
                    strokeDasharray="4 3"
                  />
                  <circle
                    cx={px(row.predicted.value)}
                    cy={y}
                    r="5.5"
                    fill="var(--sheet)"
                    stroke="var(--ink)"
                    strokeWidth="2"
                  />
                </g>
              ) : null}
              {row.values.map((value, at) => (
                <circle key={at} cx={px(value)} cy={y + 8} r="2.6" fill="var(--slate)" opacity=".7" />
              ))}
              <line
                x1={px(row.mean - row.error)}
                x2={px(row.mean + row.error)}
                y1={y - 3}
                y2={y - 3}
                stroke="var(--slate)"
                strokeWidth="2"
              />
              <circle cx={px(row.mean)} cy={y - 3} r="4.5" fill="var(--slate)" />
            </g>
          );
        })}
      </svg>
      <Typography variant="small" color="textSecondary">
        {legend ?? (
          <>
            <Typography component="span" color="info">
              ● measured: mean with its error, attempts below it
            </Typography>
            {rows.some(({ predicted }) => predicted)
              ? ' · ○ predicted for that run, in its band of one standard deviation'
              : ''}
          </>
        )}
      </Typography>
    </Box>
  );
}
