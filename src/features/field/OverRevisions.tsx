import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { scaleLinear } from 'd3-scale';
import { type Measure, measuresOver } from '@/core/advice/learn/overRevisions';
import type { RunRecord } from '@/core/car/records/records';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import { leftOutWords } from '@/words/learn/runs';
import { useBuild } from '../session/BuildContext';
import { Charts } from '../frame/Guarded';
import { MEASURE_TITLES } from '@/words/learn/measures';

const [WIDTH, HIGH] = [262, 150];
const PAD = { left: 40, right: 34, top: 16, bottom: 24 };

/** Small pictures of each measure through the revisions, with the wish and the best. */
export function OverRevisions({ runs }: { runs: readonly RunRecord[] }) {
  const { revisions } = useBuild();
  const measures = measuresOver(revisions, runs);
  if (measures.length === 0) return null;
  return (
    <Box component="section" sx={{ mt: 2.25 }} aria-label="Through the revisions">
      <Typography component="p" variant="heading">
        Through the revisions
      </Typography>
      <Charts sx={{ mt: 4 }}>
        {measures.map((measure) => (
          <Small key={measure.id} measure={measure} />
        ))}
      </Charts>
    </Box>
  );
}

function Small({ measure: { id, quantity, goal, points, best, leftOut } }: { measure: Measure }) {
  const { reader } = useReader();
  const title = MEASURE_TITLES[id];
  const unit = unitOf(quantity, reader.units);
  const shown = (value: number) => toShown(value, unit);
  const all = [
    ...points.flatMap(({ mean, error = 0 }) => [mean - error, mean + error]),
    ...(goal === undefined ? [] : [goal]),
  ].map(shown);
  const y = scaleLinear([Math.min(...all), Math.max(...all)], [HIGH - PAD.bottom, PAD.top]).nice(3);
  const step = (WIDTH - PAD.left - PAD.right) / Math.max(1, points.length);
  const x = (at: number) => PAD.left + step * (at + 0.5);
  return (
    <figure className={chartsCss.chart} style={{ width: WIDTH }} data-testid="over-revisions">
      <figcaption>
        <span>
          {title}, {unit.symbol}: best {best}
          {leftOut ? (
            <Typography component="span" color="textSecondary">
              , {leftOutWords(leftOut)}
            </Typography>
          ) : null}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HIGH}`}
        width={WIDTH}
        height={HIGH}
        role="img"
        aria-label={`${title}: ${points.map(({ letter, mean }) => `${letter} ${formatText(mean, quantity, reader)}`).join('; ')}${goal === undefined ? '' : `; wished ${formatText(goal, quantity, reader)}`}`}
      >
        {y.ticks(3).map((value) => (
          <g key={value}>
            <line x1={PAD.left} x2={WIDTH - PAD.right} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
            <text x={PAD.left - 5} y={y(value) + 4} textAnchor="end">
              {formatNumber(value, reader.locale, 3)}
            </text>
          </g>
        ))}
        {goal === undefined ? null : (
          <g>
            <line
              x1={PAD.left}
              x2={WIDTH - PAD.right}
              y1={y(shown(goal))}
              y2={y(shown(goal))}
              stroke="var(--ink)"
              strokeDasharray="2 3"
            />
            <text x={WIDTH - PAD.right + 4} y={y(shown(goal)) + 4}>
              wish
            </text>
          </g>
        )}
        {points.map(({ letter, mean, error, n }, at) => (
          <g key={letter}>
            {error === undefined ? null : (
              <line
                x1={x(at)}
                x2={x(at)}
                y1={y(shown(mean - error))}
                y2={y(shown(mean + error))}
                stroke="var(--slate)"
                strokeWidth="2"
              />
            )}
            <circle
              cx={x(at)}
              cy={y(shown(mean))}
              r={letter === best ? 6 : 4.5}
              fill="var(--slate)"
              stroke={letter === best ? 'var(--ink)' : 'none'}
              strokeWidth="2"
            />
            <text
              x={x(at)}
              y={HIGH - 6}
              textAnchor="middle"
              className={letter === best ? chartsCss.strong : undefined}
            >
              {letter}
              {n === 1 ? '' : ` (${n})`}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}
