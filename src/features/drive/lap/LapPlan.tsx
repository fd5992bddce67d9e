'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { LapLimit } from '@/core/physics/laps/lap';
import type { LapOfBuild } from '@/core/worked/place/lapOfBuild';
import { formatText } from '@/core/base/units/formatQuantity';
import lapCss from './lap.module.css';
import chartsCss from '@/ui/charts/charts.module.css';
import type { StripLook } from '@/ui/charts/chartProps';
import { Row } from '@/ui/layout/Row';
import { useReader } from '@/ui/reader';
import { LIMIT_WORDS } from '@/words/driving/lap';

/** What decides over the speed, as it is drawn. */
export const LIMIT_LOOKS: Readonly<Record<LapLimit, StripLook>> = {
  drive: 'accent',
  grip: 'ink',
  braking: 'hollow',
};

const DRAWN: readonly LapLimit[] = ['drive', 'grip', 'braking'];
const [WIDTH, HEIGHT, MARGIN] = [420, 300, 34];
const [THIN, BROAD] = [1.5, 11];
const MOST_PIECES = 160;

/** The round from above: the broader its ribbon, the faster the car is there. */
export function LapPlan({ lap, plan }: Pick<LapOfBuild, 'lap' | 'plan'>) {
  const { reader } = useReader();
  const xs = plan.map(([x]) => x);
  const ys = plan.map(([, y]) => y);
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (WIDTH - 2 * MARGIN) / Math.max(1, right - left),
    (HEIGHT - 2 * MARGIN) / Math.max(1, high - low),
  );
  const at = (index: number) => {
    const [x, y] = plan[index]!;
    return [
      WIDTH / 2 + scale * (x - (left + right) / 2),
      HEIGHT / 2 - scale * (y - (low + high) / 2),
    ] as const;
  };
  const speeds = lap.series?.speedMps;
  const most = lap.maxSpeedMps ?? 1;
  const step = Math.max(1, Math.round((plan.length - 1) / MOST_PIECES));
  const pieces = Array.from({ length: Math.ceil((plan.length - 1) / step) }, (_, piece) => {
    const [from, to] = [piece * step, Math.min(plan.length - 1, (piece + 1) * step)];
    return {
      from,
      to,
      by: lap.decidedBy?.[from] ?? 'drive',
      width: THIN + (BROAD - THIN) * ((speeds?.[from] ?? 0) / most),
    };
  });
  const marks = speeds
    ? [
        { key: 'most', index: speeds.indexOf(lap.maxSpeedMps!) },
        { key: 'least', index: speeds.indexOf(lap.minSpeedMps!) },
      ]
    : [];
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      style={{ width: `min(100%, ${WIDTH}px)` }}
      data-testid="lap-plan"
    >
      <figcaption>
        <span>The round from above: the broader, the faster</span>
      </figcaption>
      <Row sx={{ gap: 1.5 }} data-testid="lap-legend">
        {DRAWN.map((by) => (
          <Typography key={by} variant="small" component="span" className={lapCss.legend}>
            <svg width="18" height="10" aria-hidden="true">
              <rect
                x="0.5"
                y="1.5"
                width="17"
                height="7"
                fill={
                  LIMIT_LOOKS[by] === 'hollow'
                    ? 'var(--sheet)'
                    : by === 'drive'
                      ? 'var(--moss)'
                      : 'var(--ink)'
                }
                stroke="var(--ink)"
                strokeWidth="0.75"
              />
            </svg>{' '}
            {LIMIT_WORDS[by]}
          </Typography>
        ))}
      </Row>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`A round of ${formatText(lap.lengthM, 'distanceM', reader, 3)}, its ribbon as broad as the car is fast.`}
      >
        {(['under', 'over'] as const).map((layer) =>
          pieces.map(({ from, to, by, width }) => {
            const [x1, y1] = at(from);
            const [x2, y2] = at(to);
            const hollow = LIMIT_LOOKS[by] === 'hollow';
            if (layer === 'over' && !hollow) return null;
            return (
              <line
                key={`${layer} ${from}`}
                x1={x1}
                y1={y1}
                x2={x2}
                y2={y2}
                data-by={by}
                stroke={layer === 'over' ? 'var(--sheet)' : by === 'drive' ? 'var(--moss)' : 'var(--ink)'}
                strokeWidth={layer === 'over' ? Math.max(0.5, width - 2) : width}
                strokeLinecap={hollow && layer === 'under' ? 'butt' : 'round'}
              />
            );
          }),
        )}
        <circle cx={at(0)[0]} cy={at(0)[1]} r="5" fill="var(--paper)" stroke="var(--ink)" strokeWidth="2" />
        <text x={at(0)[0]} y={at(0)[1] + 20} textAnchor="middle">
          start
        </text>
        {marks.map(({ key, index }) => {
          const [x, y] = at(index);
          const [inX, inY] = [x < WIDTH / 2 ? 1 : -1, y < HEIGHT / 2 ? 1 : -1];
          return (
            <text
              key={key}
              className={chartsCss.strong}
              x={x + inX * 12}
              y={y + inY * 18 + 4}
              textAnchor={inX > 0 ? 'start' : 'end'}
            >
              {formatText(speeds![index]!, 'speedMps', reader, 3)}
            </text>
          );
        })}
      </svg>
    </Box>
  );
}
