import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import clsx from 'clsx';
import { scaleLog } from 'd3-scale';
import type { BlowsTold } from '@/core/worked/bench/clampedBlows';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const [HIGH, STEP, TOP, BOTTOM, LEFT, BETWEEN] = [240, 22, 28, 30, 64, 44];
const ROOM = 1.25;

/** Every blow in its order: hollow where the part held, a cross where it broke, with the energy that breaks half. */
export function BlowLadder({ told: { variants, result } }: { told: Extract<BlowsTold, { ok: true }> }) {
  const { reader } = useReader();
  const energies = variants.flatMap(({ blows }) => blows.map(({ energyJ }) => energyJ));
  const y = scaleLog([Math.min(...energies) / ROOM, Math.max(...energies) * ROOM], [HIGH - BOTTOM, TOP]);
  const widths = variants.map(({ blows }) => Math.max(4, blows.length) * STEP);
  const starts = widths.map((_, k) => LEFT + widths.slice(0, k).reduce((sum, one) => sum + one + BETWEEN, 0));
  const width = starts.at(-1)! + widths.at(-1)! + BETWEEN;
  const ticks = y.ticks(4);
  return (
    <Box
      component="figure"
      className={clsx(chartsCss.chart, chartsCss.wide)}
      sx={{ mt: 1.5 }}
      data-testid="blow-ladder"
    >
      <figcaption>
        <span>Each blow in its order: hollow held, crossed broke</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${HIGH}`}
        width={width}
        height={HIGH}
        role="img"
        aria-label={variants
          .map(
            ({ name, blows }) =>
              `${name}: ${blows.map(({ energyJ, broke }) => `${formatText(energyJ, 'energyJ', reader, 2)} ${broke ? 'broke' : 'held'}`).join(', ')}`,
          )
          .join('; ')}
      >
        {ticks.map((value) => (
          <g key={value}>
            <line x1={LEFT - 12} x2={width - 8} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
            <text x={LEFT - 16} y={y(value) + 4} textAnchor="end">
              {formatText(value, 'energyJ', reader, 2)}
            </text>
          </g>
        ))}
        {variants.map(({ name, blows }, k) => {
          const found = result.variants[k]!;
          const [from, to] = [starts[k]!, starts[k]! + widths[k]!];
          return (
            <g key={name}>
              {found.energy50LowJ !== undefined && found.energy50HighJ !== undefined ? (
                <rect
                  x={from - 8}
                  width={to - from}
                  y={y(Math.min(found.energy50HighJ, y.domain()[1]!))}
                  height={
                    y(Math.max(found.energy50LowJ, y.domain()[0]!)) -
                    y(Math.min(found.energy50HighJ, y.domain()[1]!))
                  }
                  fill="var(--wash)"
                />
              ) : null}
              {found.energy50J === undefined ? null : (
                <line
                  x1={from - 8}
                  x2={to - 8}
                  y1={y(found.energy50J)}
                  y2={y(found.energy50J)}
                  stroke="var(--ink)"
                  strokeWidth="2"
                />
              )}
              {blows.map(({ energyJ, broke }, at) => {
                const [x, high] = [from + at * STEP + 4, y(energyJ)];
                return broke ? (
                  <path
                    key={at}
                    d={`M${x - 5} ${high - 5}l10 10M${x + 5} ${high - 5}l-10 10`}
                    stroke="var(--rust)"
                    strokeWidth="2.4"
                  />
                ) : (
                  <circle
                    key={at}
                    cx={x}
                    cy={high}
                    r="5"
                    fill="var(--paper)"
                    stroke="var(--moss)"
                    strokeWidth="2"
                  />
                );
              })}
              <text x={from - 8} y={HIGH - 8} className={chartsCss.strong}>
                {name}
              </text>
            </g>
          );
        })}
      </svg>
    </Box>
  );
}
