'use client';

import clsx from 'clsx';
import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import { Hidden } from '@/ui/layout/Hidden';
import { Hatch } from '@/ui/charts/Hatch';
import { scaleLog } from 'd3-scale';
import { useId } from 'react';
import type { RatioBand, RatioVerdict } from '@/core/worked/drive/ratioBand';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const WORDS: Readonly<Record<RatioVerdict, string>> = {
  stalls: 'stalls',
  hot: 'too hot',
  slow: 'too slow',
  late: 'late off the line',
  empty: 'pack too small',
  meets: 'meets the wish',
};
/** At the short end the motor is hardly loaded and the gear is what is slow. */
const SHORT_WORDS: Readonly<Partial<Record<RatioVerdict, string>>> = { slow: 'never gets there' };
const INK: Readonly<Record<RatioVerdict, string>> = {
  stalls: 'var(--rust)',
  hot: 'var(--rust)',
  slow: 'var(--quiet)',
  late: 'var(--ochre)',
  empty: 'var(--ochre)',
  meets: 'var(--moss)',
};

const [WIDTH, HEIGHT, LEFT, ROW] = [860, 46, 4, 62];
const LABEL_ROOM = 6.6;

interface RatioStripProps {
  bands: readonly { id: string; name: string; band: RatioBand }[];
  from: number;
  to: number;
}

/** One strip a surface, from long to short, with the present ratio on it. */
export function RatioStrip({ bands, from, to }: RatioStripProps) {
  const { reader } = useReader();
  const id = useId();
  const x = scaleLog([from, to], [LEFT, WIDTH - LEFT]);
  const number = (value: number) => formatNumber(value, reader.locale, 3);
  const height = 30 + bands.length * ROW + 26;
  const present = bands[0]!.band.present.ratio;
  const summary = bands
    .map(
      ({ name, band }) =>
        `${name}: ${band.stretches.map((one) => `${number(one.from)} to ${number(one.to)} ${WORDS[one.verdict]}`).join(', ')}`,
    )
    .join('. ');
  return (
    <Box
      component="figure"
      className={clsx(chartsCss.chart, chartsCss.wide)}
      style={{ width: `min(100%, ${WIDTH}px)` }}
      sx={{ mt: 1.5 }}
      data-testid="ratio-strip"
    >
      <figcaption>Every ratio from long to short, each with a run and a whole pack</figcaption>
      <svg viewBox={`0 0 ${WIDTH} ${height}`} width={WIDTH} height={height} role="img" aria-label={summary}>
        <defs>
          <Hatch id={`${id}-hatch`} opacity={0.5} />
        </defs>
        <text x={LEFT} y={14}>
          long: few motor turns a wheel turn
        </text>
        <text x={WIDTH - LEFT} y={14} textAnchor="end">
          short: many
        </text>
        {bands.map(({ id: key, name, band }, row) => {
          const top = 26 + row * ROW;
          return (
            <g key={key}>
              {bands.length > 1 ? (
                <text x={LEFT} y={top + 9}>
                  {name}
                </text>
              ) : null}
              {band.stretches.map((one, index) => {
                const [a, b] = [x(one.from), x(one.to)];
                const words =
                  (index === band.stretches.length - 1 && SHORT_WORDS[one.verdict]) || WORDS[one.verdict];
                const hot = one.verdict === 'hot' || one.verdict === 'stalls';
                return (
                  <g key={index} data-verdict={one.verdict}>
                    <rect
                      x={a}
                      y={top + 14}
                      width={Math.max(1, b - a)}
                      height={HEIGHT - 18}
                      fill={
                        hot ? `url(#${id}-hatch)` : one.verdict === 'meets' ? 'var(--moss)' : 'var(--faint)'
                      }
                      stroke={INK[one.verdict]}
                      strokeWidth="1"
                    />
                    {b - a > LABEL_ROOM * words.length ? (
                      <text
                        className={chartsCss.strong}
                        x={(a + b) / 2}
                        y={top + 33}
                        textAnchor="middle"
                        fill={one.verdict === 'meets' ? 'var(--paper)' : INK[one.verdict]}
                        {...(one.verdict === 'meets' ? { stroke: 'none' } : {})}
                      >
                        {words}
                      </text>
                    ) : null}
                  </g>
                );
              })}
            </g>
          );
        })}
        {x.ticks(8).map((value) => (
          <g key={value}>
            <line
              x1={x(value)}
              x2={x(value)}
              y1={26 + bands.length * ROW - 6}
              y2={26 + bands.length * ROW}
              stroke="var(--quiet)"
            />
            <text x={x(value)} y={26 + bands.length * ROW + 14} textAnchor="middle">
              {number(value)}
            </text>
          </g>
        ))}
        <line
          x1={x(present)}
          x2={x(present)}
          y1={22}
          y2={26 + bands.length * ROW}
          stroke="var(--ink)"
          strokeWidth="2.4"
        />
        <path d={`M${x(present) - 7},18h14l-7,10z`} fill="var(--ink)" />
        <text
          className={chartsCss.strong}
          x={x(present) + (x(present) > WIDTH - 160 ? -12 : 12)}
          y={26}
          textAnchor={x(present) > WIDTH - 160 ? 'end' : 'start'}
        >
          now {number(present)} : 1
        </text>
      </svg>
      <Hidden as="p">{summary}</Hidden>
    </Box>
  );
}
