'use client';

import { scaleLinear } from 'd3-scale';

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
const [ROW, WIDTH, LEFT, RIGHT, TOP] = [30, 860, 190, 92, 22];

/** The largest first: bars of each, and a line of how much the first ones make together. */
export function ParetoChart({ title, rows }: { title: string; rows: readonly ParetoBar[] }) {
  const height = TOP + rows.length * ROW + 6;
  const x = scaleLinear([0, 1], [LEFT, WIDTH - RIGHT]);
  const middle = (at: number) => TOP + at * ROW + ROW / 2;
  return (
    <figure className="chart" style={{ width: `min(100%, ${WIDTH}px)` }} data-testid="pareto">
      <svg viewBox={`0 0 ${WIDTH} ${height}`} width={WIDTH} height={height} role="img" aria-label={`${title}. ${rows.map(({ label, text, cumulative }) => `${label} ${text}, together ${Math.round(100 * cumulative)} %`).join('; ')}`}>
        {[0, 0.25, 0.5, 0.75, 1].map((share) => <g key={share}><line x1={x(share)} x2={x(share)} y1={TOP - 4} y2={height - 4} stroke="var(--rule)" /><text x={x(share)} y={TOP - 9} textAnchor="middle">{100 * share} %</text></g>)}
        {rows.map(({ id, label, share, cumulative, text }, at) => (
          <g key={id}>
            <text className="strong" x={0} y={middle(at) + 4}>{label.length > 26 ? `${label.slice(0, 25)}…` : label}</text>
            <rect x={LEFT} y={middle(at) - 8} width={Math.max(1, x(share) - LEFT)} height={16} fill="var(--rust)" opacity={at === 0 ? 1 : 0.6} />
            {at === 0 && share > ROOM ? <text x={x(share) - 8} y={middle(at) + 4} textAnchor="end" style={{ fill: 'var(--sheet)' }}>{text}</text> : <text x={x(at === 0 ? cumulative : share) + (at === 0 ? 12 : 6)} y={middle(at) + 4}>{text}</text>}
          </g>
        ))}
        <polyline points={rows.map(({ cumulative }, at) => `${x(cumulative)},${middle(at)}`).join(' ')} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
        {rows.map(({ id, cumulative }, at) => <circle key={id} cx={x(cumulative)} cy={middle(at)} r="3.5" fill="var(--ink)" />)}
        {rows.length > 1 ? <text x={x(rows.at(-1)!.cumulative) + 8} y={middle(rows.length - 1) + 4}>together</text> : null}
      </svg>
    </figure>
  );
}
