'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import Typography from '@mui/material/Typography';
import { Hatch } from '@/ui/charts/Hatch';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { scaleLinear } from 'd3-scale';
import { memo, useId, useMemo } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import { caseLimitOf } from '@/core/worked/heat/caseLimit';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { type QuantityName, toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import type { NamedRow } from './explorerRows';
import { radiusOf, ringsOf } from './rings';

export type Measure = 'timeToDistanceS' | 'steadyCaseC';

const MEASURES: Readonly<Record<Measure, { name: string; quantity: QuantityName }>> = {
  timeToDistanceS: { name: 'time to the distance', quantity: 'timeS' },
  steadyCaseC: { name: 'steady case temperature', quantity: 'temperatureC' },
};
const [WIDTH, HEIGHT] = [470, 260];
const PAD = { left: 44, right: 12, top: 16, bottom: 34 };
/** Points that are drawn besides the best: enough to show the cloud, few enough to stay quick. */
const MOST_OTHERS = 400;
/** Axes begin a little before the least. */
const LEFT_OF = 0.92;

interface ParetoChartProps {
  rows: readonly NamedRow[];
  measure: Measure;
  onMeasure(measure: Measure): void;
  hovered: number | undefined;
  onHover(id: number): void;
  document: BuildDocument;
}

/** Top speed against time or heat: what cannot be bettered stands out, what misses the wish lies in the hatched part. */
export const ParetoChart = memo(function ParetoChart({
  rows,
  measure,
  onMeasure,
  hovered,
  onHover,
  document,
}: ParetoChartProps) {
  const { reader } = useReader();
  const id = useId();
  const { name, quantity } = MEASURES[measure];
  const [xUnit, yUnit] = [unitOf('speedMps', reader.units), unitOf(quantity, reader.units)];
  const { targetMps, timeToDistanceS } = document.brief;
  const limit = measure === 'timeToDistanceS' ? timeToDistanceS : caseLimitOf(document.drive).limitC;
  const drawn = useMemo(() => {
    const placed = rows.filter((row) => row.topSpeedMps !== undefined && row[measure] !== undefined);
    const others = placed.filter(({ best }) => !best);
    const stride = Math.max(1, Math.ceil(others.length / MOST_OTHERS));
    return [...others.filter((_, index) => index % stride === 0), ...placed.filter(({ best }) => best)];
  }, [rows, measure]);
  const bounds = useMemo(() => {
    const quantile = (values: number[], share: number) =>
      values.sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? 1;
    return {
      slowest: Math.min(targetMps ?? Infinity, ...drawn.map((row) => row.topSpeedMps!)),
      x: Math.max(
        quantile(
          drawn.map((row) => row.topSpeedMps!),
          1,
        ),
        1.1 * (targetMps ?? 0),
      ),
      low: Math.min(...drawn.map((row) => row[measure]!)),
      high: Math.max(
        quantile(
          drawn.map((row) => row[measure]!),
          0.85,
        ),
        1.15 * (limit ?? 0),
      ),
    };
  }, [drawn, measure, targetMps, limit]);
  const x = scaleLinear(
    [toShown(LEFT_OF * bounds.slowest, xUnit), toShown(bounds.x, xUnit)],
    [PAD.left, WIDTH - PAD.right],
  ).nice(5);
  const y = scaleLinear(
    [
      toShown(measure === 'steadyCaseC' ? bounds.low : LEFT_OF * bounds.low, yUnit),
      toShown(bounds.high, yUnit),
    ],
    [HEIGHT - PAD.bottom, PAD.top],
  ).nice(4);
  const px = (value: number) => x(toShown(value, xUnit));
  const py = (value: number) => Math.max(PAD.top, y(toShown(value, yUnit)));
  const tick = (value: number) => formatNumber(value, reader.locale, 3);
  const place = (row: NamedRow) => ({ cx: px(row.topSpeedMps!), cy: py(row[measure]!) });
  const marked = hovered === undefined ? undefined : rows[hovered];
  const nearest = (event: React.MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const [mx, my] = [
      ((event.clientX - box.left) * WIDTH) / box.width,
      ((event.clientY - box.top) * HEIGHT) / box.height,
    ];
    const found = drawn
      .filter(({ best, meetsGoal }) => best || meetsGoal)
      .reduce<{ id: number; away: number }>(
        (near, row) => {
          const { cx, cy } = place(row);
          const away = Math.hypot(cx - mx, cy - my);
          return away < near.away ? { id: row.id, away } : near;
        },
        { id: -1, away: 24 },
      );
    if (found.id >= 0 && found.id !== hovered) onHover(found.id);
  };
  return (
    <figure className={chartsCss.chart} data-testid="pareto-chart" style={{ width: `min(100%, ${WIDTH}px)` }}>
      <figcaption>
        <span>Top speed against {name}</span>
        <Toggles label="Against">
          {(Object.keys(MEASURES) as Measure[]).map((one) => (
            <Toggle size="small" key={one} pressed={measure === one} onPress={() => onMeasure(one)}>
              {one === 'steadyCaseC' ? 'heat' : 'time'}
            </Toggle>
          ))}
        </Toggles>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={`Top speed against ${name} of ${rows.length} combinations; the table below holds them all.`}
        onMouseMove={nearest}
      >
        <defs>
          <Hatch id={`${id}-hatch`} opacity={0.3} />
        </defs>
        {y.ticks(4).map((value) => (
          <g key={value}>
            <line x1={PAD.left} x2={WIDTH - PAD.right} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
            <text x={PAD.left - 6} y={y(value) + 4} textAnchor="end">
              {tick(value)}
            </text>
          </g>
        ))}
        {x.ticks(5).map((value) => (
          <text key={value} x={x(value)} y={HEIGHT - PAD.bottom + 16} textAnchor="middle">
            {tick(value)}
          </text>
        ))}
        <text x={WIDTH - PAD.right} y={HEIGHT - 4} textAnchor="end">
          speed, {xUnit.symbol}
        </text>
        <text x={0} y={11}>
          {measure === 'steadyCaseC' ? 'case' : 'time'}, {yUnit.symbol}
        </text>
        {limit === undefined ? null : (
          <>
            <rect
              x={PAD.left}
              y={PAD.top}
              width={WIDTH - PAD.left - PAD.right}
              height={Math.max(0, py(limit) - PAD.top)}
              fill={`url(#${id}-hatch)`}
            />
            <line
              x1={PAD.left}
              x2={WIDTH - PAD.right}
              y1={py(limit)}
              y2={py(limit)}
              stroke="var(--rust)"
              strokeWidth="1.4"
            />
          </>
        )}
        {targetMps === undefined ? null : (
          <>
            <rect
              x={PAD.left}
              y={limit === undefined ? PAD.top : py(limit)}
              width={Math.max(0, px(targetMps) - PAD.left)}
              height={Math.max(0, HEIGHT - PAD.bottom - (limit === undefined ? PAD.top : py(limit)))}
              fill={`url(#${id}-hatch)`}
            />
            <line
              x1={px(targetMps)}
              x2={px(targetMps)}
              y1={PAD.top}
              y2={HEIGHT - PAD.bottom}
              stroke="var(--rust)"
              strokeWidth="1.4"
            />
          </>
        )}
        {drawn
          .filter(({ best }) => !best)
          .map((row) => (
            <circle
              key={row.id}
              {...place(row)}
              r="1.8"
              fill={row.meetsGoal ? 'var(--moss)' : 'var(--quiet)'}
              opacity={row.meetsGoal ? 0.8 : 0.35}
            />
          ))}
        {ringsOf(
          drawn.filter(({ best }) => best),
          place,
        ).map(({ cx, cy, rows: alike }) => (
          <g key={alike[0]!.id} data-best={alike[0]!.id}>
            <circle
              cx={cx}
              cy={cy}
              r={radiusOf(alike.length)}
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="1.8"
            />
            {alike.length > 1 ? (
              <text className={chartsCss.ringcount} x={cx} y={cy + 4} textAnchor="middle">
                {alike.length}
              </text>
            ) : null}
          </g>
        ))}
        {marked && marked.topSpeedMps !== undefined && marked[measure] !== undefined ? (
          <circle {...place(marked)} r="7" fill="none" stroke="var(--moss)" strokeWidth="3" />
        ) : null}
        <g paintOrder="stroke" stroke="var(--paper)" strokeWidth={4}>
          {limit === undefined ? null : (
            <text x={WIDTH - PAD.right - 2} y={py(limit) - 5} textAnchor="end" fill="var(--rust)">
              {measure === 'timeToDistanceS' ? 'wish' : 'limit'} {formatText(limit, quantity, reader)}
            </text>
          )}
          {targetMps === undefined ? null : (
            <text x={px(targetMps) - 5} y={HEIGHT - PAD.bottom - 6} textAnchor="end" fill="var(--rust)">
              wish {formatText(targetMps, 'speedMps', reader)}
            </text>
          )}
        </g>
      </svg>
      <Typography variant="small" color="textSecondary">
        Rings cannot be bettered in speed, time and heat at once, a number in one is how many lie there; green
        dots meet the whole wish. Point at one.
      </Typography>
    </figure>
  );
});
