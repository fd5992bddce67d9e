'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import partsCss from '@/features/parts/parts.module.css';
import Box from '@mui/material/Box';
import { checkTitle } from '@/words/checks/names';
import { needNames } from '@/words/needs';
import { scaleLog } from 'd3-scale';
import type { Check } from '@/core/verdict/engine/check';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { STATE_WORDS } from '@/words/states';
import { useNarrow } from '@/ui/useNarrow';
import { STATE_INK } from '@/ui/stateInk';

interface MarginChartProps {
  checks: readonly Check[];
  chosen: string | undefined;
  onChoose(partId: string): void;
}

const [LOW, HIGH, ROW, TOP] = [0.4, 12, 25, 22];
const TICKS = [0.5, 1, 2, 5, 10];
/** Every part by how many times it bears its worst load, the weakest on top. */
export function MarginChart({ checks, chosen, onChoose }: MarginChartProps) {
  const { reader } = useReader();
  const narrow = useNarrow();
  if (checks.length === 0) return null;
  const [width, label] = narrow ? [358, 128] : [760, 190];
  const x = scaleLog([LOW, HIGH], [label, width - 56]);
  const height = TOP + checks.length * ROW + 18;
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      style={{ width: `min(100%, ${width}px)` }}
      sx={{ mt: 1.25 }}
      data-testid="margins"
    >
      <figcaption>
        <span>What each part carries over its worst load, predicted</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        role="group"
        aria-label="Margins of the parts, the weakest first"
      >
        <defs>
          <pattern
            id="breaks"
            width="6"
            height="6"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <path d="M0,0v6" stroke="var(--rust)" strokeWidth="1.6" opacity=".45" />
          </pattern>
        </defs>
        <rect x={label} y={TOP - 6} width={x(1) - label} height={height - TOP - 10} fill="url(#breaks)" />
        {TICKS.map((tick) => (
          <g key={tick}>
            <line
              x1={x(tick)}
              x2={x(tick)}
              y1={TOP - 6}
              y2={height - 16}
              stroke={tick === 1 ? 'var(--rust)' : 'var(--rule)'}
              strokeWidth={tick === 1 ? 1.6 : 1}
            />
            <text x={x(tick)} y={height - 3} textAnchor="middle">
              {formatNumber(tick, reader.locale, 2)}×
            </text>
          </g>
        ))}
        <text x={x(1) - 5} y={11} textAnchor="end" fill="var(--rust)">
          breaks
        </text>
        {checks.map((check, row) => {
          const id = check.id.slice('parts.'.length);
          const y = TOP + row * ROW;
          const margin = check.margin;
          const end = margin === undefined ? label : x(Math.max(LOW, Math.min(HIGH, margin)));
          return (
            <g
              key={check.id}
              role="button"
              tabIndex={0}
              className={partsCss.marginrow}
              aria-pressed={id === chosen}
              aria-label={`${checkTitle(check)}, ${STATE_WORDS[check.state]}${margin === undefined ? '' : `, margin ${formatNumber(margin, reader.locale, 3)}`}`}
              data-part={id}
              data-state={check.state}
              onClick={() => onChoose(id)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') {
                  event.preventDefault();
                  onChoose(id);
                }
              }}
            >
              <rect
                x={0}
                y={y - 3}
                width={width}
                height={ROW - 2}
                fill={id === chosen ? 'var(--faint)' : 'transparent'}
              />
              <text
                x={label - 8}
                y={y + 12}
                textAnchor="end"
                className={id === chosen ? chartsCss.strong : undefined}
              >
                {short(checkTitle(check), narrow ? 18 : 30)}
              </text>
              {margin === undefined ? (
                <text x={label + 6} y={y + 12}>
                  {check.missing.length > 0 ? `needs ${needNames(check.missing)}` : 'being worked out'}
                </text>
              ) : (
                <>
                  <rect
                    x={label}
                    y={y + 2}
                    width={Math.max(0, end - label)}
                    height={12}
                    fill="var(--sheet)"
                    stroke={STATE_INK[check.state]}
                    strokeWidth="1.6"
                    strokeDasharray="5 3"
                  />
                  <text
                    x={end + 6}
                    y={y + 12}
                    className={chartsCss.strong}
                    fill={STATE_INK[check.state]}
                    stroke="var(--paper)"
                    strokeWidth={3}
                    paintOrder="stroke"
                  >
                    {margin > HIGH ? `over ${HIGH}` : formatNumber(margin, reader.locale, 3)}
                  </text>
                </>
              )}
            </g>
          );
        })}
      </svg>
    </Box>
  );
}

const short = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1)}…` : text);
