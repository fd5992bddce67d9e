'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import { scaleLinear } from 'd3-scale';
import { useNarrow } from '../useNarrow';

export interface ParetoBar {
  id: string;
  label: string;
  /** From 0 to 1. */
  share: number;
  cumulative: number;
  /** Its figure in words. */
  text: string;
}

/** Share of a bar that has room for its figure. */
const ROOM = 0.15;
const [ROW, TOP] = [30, 22];
const WIDE = { width: 860, left: 190, right: 92, letters: 26 };
const NARROW = { width: 356, left: 116, right: 62, letters: 16 };

/** The largest first: bars of each, and a line of how much the first ones make together. */
export function ParetoChart({ title, rows }: { title: string; rows: readonly ParetoBar[] }) {
  const { width, left, right, letters } = useNarrow() ? NARROW : WIDE;
  const height = TOP + rows.length * ROW + 6;
  const x = scaleLinear([0, 1], [left, width - right]);
  const middle = (at: number) => TOP + at * ROW + ROW / 2;
  return (
    <figure className={chartsCss.chart} style={{ width: `min(100%, ${width}px)` }} data-testid="pareto">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        role="img"
        aria-label={`${title}. ${rows.map(({ label, text, cumulative }) => `${label} ${text}, together ${Math.round(100 * cumulative)} %`).join('; ')}`}
      >
        {[0, 0.25, 0.5, 0.75, 1].map((share) => (
          <g key={share}>
            <line x1={x(share)} x2={x(share)} y1={TOP - 4} y2={height - 4} stroke="var(--rule)" />
            <text x={x(share)} y={TOP - 9} textAnchor="middle">
              {100 * share} %
            </text>
          </g>
        ))}
        {rows.map(({ id, label, share, cumulative, text }, at) => (
          <g key={id}>
            <text className={chartsCss.strong} x={0} y={middle(at) + 4}>
              {label.length > letters ? `${label.slice(0, letters - 1)}…` : label}
            </text>
            <rect
              x={left}
              y={middle(at) - 8}
              width={Math.max(1, x(share) - left)}
              height={16}
              fill="var(--rust)"
              opacity={at === 0 ? 1 : 0.6}
            />
            {at === 0 && share > ROOM ? (
              <text x={x(share) - 8} y={middle(at) + 4} textAnchor="end" fill="var(--sheet)">
                {text}
              </text>
            ) : (
              <text x={x(at === 0 ? cumulative : share) + (at === 0 ? 12 : 6)} y={middle(at) + 4}>
                {text}
              </text>
            )}
          </g>
        ))}
        <polyline
          points={rows.map(({ cumulative }, at) => `${x(cumulative)},${middle(at)}`).join(' ')}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        {rows.map(({ id, cumulative }, at) => (
          <circle key={id} cx={x(cumulative)} cy={middle(at)} r="3.5" fill="var(--ink)" />
        ))}
        {rows.length > 1 ? (
          <text x={x(rows.at(-1)!.cumulative) + 8} y={middle(rows.length - 1) + 4}>
            together
          </text>
        ) : null}
      </svg>
    </figure>
  );
}
