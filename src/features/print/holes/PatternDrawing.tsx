import chartsCss from '@/ui/charts/charts.module.css';
import Table from '@mui/material/Table';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableCell from '@mui/material/TableCell';
import TableBody from '@mui/material/TableBody';
import type { HolePattern } from '@/core/car/document/print';
import type { SolvedPattern } from '@/core/physics/printing/holes/pattern';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useNarrow } from '@/ui/useNarrow';

/** Of a place, mm: a caliper shows hundredths. */
const DECIMALS = 3;
const [PAD, MOST_HIGH, ELLIPSE_SHARE, MOST_TIMES] = [34, 420, 0.06, 200];

/** The holes to scale with what was read between them; ellipses of one standard deviation, drawn larger. */
export function PatternDrawing({
  pattern: { name, holes, readings },
  solved: { result, ellipses },
}: {
  pattern: HolePattern;
  solved: SolvedPattern;
}) {
  const { reader } = useReader();
  const width = useNarrow() ? 358 : 460;
  const centres = new Map(result.centresMm.map((one) => [one.id, one]));
  const shown = holes.flatMap((hole) =>
    centres.has(hole.id) ? [{ ...hole, ...centres.get(hole.id)! }] : [],
  );
  if (shown.length === 0) return null;
  const low = [
    Math.min(...shown.map(({ xMm, diameterMm }) => xMm - diameterMm / 2)),
    Math.min(...shown.map(({ yMm, diameterMm }) => yMm - diameterMm / 2)),
  ] as const;
  const high = [
    Math.max(...shown.map(({ xMm, diameterMm }) => xMm + diameterMm / 2)),
    Math.max(...shown.map(({ yMm, diameterMm }) => yMm + diameterMm / 2)),
  ] as const;
  const k = Math.min(
    (width - 2 * PAD) / (high[0] - low[0]),
    (MOST_HIGH - 2 * PAD) / Math.max(1e-9, high[1] - low[1]),
  );
  const height = 2 * PAD + (high[1] - low[1]) * k;
  const [x, y] = [(mm: number) => PAD + (mm - low[0]) * k, (mm: number) => height - PAD - (mm - low[1]) * k];
  const largest = Math.max(1e-9, ...ellipses.map(({ majorMm }) => majorMm));
  const times = Math.max(
    1,
    Math.min(
      MOST_TIMES,
      Math.round((ELLIPSE_SHARE * Math.max(high[0] - low[0], high[1] - low[1])) / largest),
    ),
  );
  const [wrong] = result.suspect;
  const loose = new Set(result.looseHoles ?? []);
  return (
    <figure className={chartsCss.chart} style={{ width: `min(100%, ${width}px)` }} data-testid="pattern">
      <figcaption>
        <span>
          {name}, to scale
          {ellipses.length > 0
            ? `; error ellipses ${formatNumber(times, reader.locale, 3)} times as large`
            : ''}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        role="img"
        aria-label={`${shown.length} holes: ${shown.map(({ id, xMm, yMm }) => `${id} at ${xMm.toFixed(2)}, ${yMm.toFixed(2)} mm`).join('; ')}`}
      >
        {readings.map(({ id, from, to }) => {
          const [a, b] = [centres.get(from), centres.get(to)];
          const bad = wrong?.from === from && wrong.to === to;
          return a && b ? (
            <line
              key={id}
              x1={x(a.xMm)}
              y1={y(a.yMm)}
              x2={x(b.xMm)}
              y2={y(b.yMm)}
              stroke={bad ? 'var(--rust)' : 'var(--rule)'}
              strokeWidth={bad ? 2.5 : 1}
              strokeDasharray={bad ? '6 4' : undefined}
            />
          ) : null;
        })}
        {shown.map(({ id, xMm, yMm, diameterMm }) => (
          <circle
            key={id}
            cx={x(xMm)}
            cy={y(yMm)}
            r={Math.max(3, (diameterMm / 2) * k)}
            fill="var(--sheet)"
            stroke={loose.has(id) ? 'var(--ochre)' : 'var(--slate)'}
            strokeWidth="2"
            strokeDasharray={loose.has(id) ? '4 3' : undefined}
          />
        ))}
        {ellipses.map(({ id, majorMm, minorMm, angleDeg }) => {
          const centre = centres.get(id);
          return centre ? (
            <ellipse
              key={id}
              cx={x(centre.xMm)}
              cy={y(centre.yMm)}
              rx={majorMm * times * k}
              ry={minorMm * times * k}
              transform={`rotate(${-angleDeg} ${x(centre.xMm)} ${y(centre.yMm)})`}
              fill="none"
              stroke="var(--slate)"
              strokeWidth="1"
            />
          ) : null;
        })}
        {shown.map(({ id, xMm, yMm, diameterMm }) => (
          <text
            key={id}
            className={chartsCss.strong}
            x={x(xMm) + Math.max(3, (diameterMm / 2) * k) + 5}
            y={y(yMm) - 6}
          >
            {id}
          </text>
        ))}
      </svg>
      <div className={chartsCss.tablebox}>
        <Table size="small" className={chartsCss.tableview}>
          <TableHead>
            <TableRow>
              <TableCell>Hole</TableCell>
              <TableCell>x, mm</TableCell>
              <TableCell>y, mm</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {result.centresMm.map(({ id, xMm, yMm }, at) => {
              const error = result.standardErrorMm?.[at];
              const say = (value: number, spread: number | undefined) =>
                `${formatNumber(Number(value.toFixed(DECIMALS)) + 0, reader.locale, 6)}${spread === undefined || spread === 0 ? '' : ` ± ${formatNumber(spread, reader.locale, 2)}`}`;
              return (
                <TableRow key={id}>
                  <TableCell>{id}</TableCell>
                  <TableCell>{say(xMm, error?.xMm)}</TableCell>
                  <TableCell>{say(yMm, error?.yMm)}</TableCell>
                </TableRow>
              );
            })}
          </TableBody>
        </Table>
      </div>
    </figure>
  );
}
