import chartsCss from '@/ui/charts/charts.module.css';
import Typography from '@mui/material/Typography';
import { scaleLinear } from 'd3-scale';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import { useNarrow } from '@/ui/useNarrow';
import type { SeenTrack } from '@/workers/field.worker';

export interface ShownTrack {
  id: string;
  label: string;
  seen: SeenTrack;
}

const [STEPS, PAD, HIGH, PHONE] = [6, 14, 300, 356];
/** From slow to fast, through the paper's own colours; the thickness says the same. */
const shade = (share: number) =>
  `color-mix(in oklab, var(--slate) ${Math.round(100 * (1 - share))}%, var(--rust))`;

/** Tracks from above without a map: each stretch in the colour and thickness of its speed. */
export function TrackPicture({
  tracks,
  width: wide = 620,
  at,
}: {
  tracks: readonly ShownTrack[];
  width?: number;
  /** A point of the first track that is marked. */
  at?: number;
}) {
  const { reader } = useReader();
  const width = useNarrow() ? Math.min(PHONE, wide) : wide;
  const all = tracks.map(({ seen }) => seen);
  const bounds = all.reduce(
    (box, { eastM, northM }) => {
      for (let at = 0; at < eastM.length; at++) {
        box[0] = Math.min(box[0]!, eastM[at]!);
        box[1] = Math.max(box[1]!, eastM[at]!);
        box[2] = Math.min(box[2]!, northM[at]!);
        box[3] = Math.max(box[3]!, northM[at]!);
      }
      return box;
    },
    [Infinity, -Infinity, Infinity, -Infinity],
  );
  const [w, h] = [Math.max(1, bounds[1]! - bounds[0]!), Math.max(1, bounds[3]! - bounds[2]!)];
  const k = Math.min((width - 2 * PAD) / w, (HIGH - 2 * PAD) / h);
  const height = Math.max(90, h * k + 2 * PAD + 26);
  const [x, y] = [
    (east: number) => PAD + (east - bounds[0]!) * k,
    (north: number) => height - PAD - 26 - (north - bounds[2]!) * k,
  ];
  const top = Math.max(
    1e-6,
    ...all.map(({ speedMps }) => speedMps.reduce((most, one) => Math.max(most, one), 0)),
  );
  const unit = unitOf('speedMps', reader.units);
  const barM = niceLength(w / 3);
  return (
    <figure
      className={chartsCss.chart}
      style={{ width: `min(100%, ${width}px)` }}
      data-testid="track-picture"
    >
      <figcaption>
        <span>
          From above, {tracks.length > 1 ? `${tracks.length} tracks, each from its own start` : 'north up'}
        </span>
        <span>up to {formatText(top, 'speedMps', reader)}</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        role="img"
        aria-label={`${tracks.map(({ label }) => label).join(', ')} from above, coloured by speed up to ${formatText(top, 'speedMps', reader)}`}
      >
        {tracks.map(({ id, seen, label }, which) => (
          <g key={id}>
            {Array.from({ length: STEPS }, (_, step) => (
              <path
                key={step}
                d={stretches(seen, step, top, x, y)}
                fill="none"
                stroke={shade((step + 0.5) / STEPS)}
                strokeWidth={1.4 + (2.6 * step) / STEPS}
                strokeLinecap="round"
                strokeDasharray={which === 0 ? undefined : `${6 + 3 * which} 4`}
              />
            ))}
            <circle
              cx={x(seen.eastM[0]!)}
              cy={y(seen.northM[0]!)}
              r="4"
              fill="var(--sheet)"
              stroke="var(--ink)"
              strokeWidth="1.5"
            />
            {tracks.length > 1 ? (
              <text
                className={chartsCss.strong}
                x={x(seen.eastM[Math.floor((seen.eastM.length * (2 + which)) / 7)]!)}
                y={
                  y(seen.northM[Math.floor((seen.northM.length * (2 + which)) / 7)]!) +
                  (which % 2 === 0 ? 18 : -9)
                }
              >
                {label}
              </text>
            ) : null}
          </g>
        ))}
        {at === undefined ? null : (
          <circle
            cx={x(all[0]!.eastM[at]!)}
            cy={y(all[0]!.northM[at]!)}
            r="6"
            fill="var(--rust)"
            stroke="var(--ink)"
            strokeWidth="1.5"
          />
        )}
        <line
          x1={PAD}
          x2={PAD + barM * k}
          y1={height - 10}
          y2={height - 10}
          stroke="var(--ink)"
          strokeWidth="2"
        />
        <text x={PAD + barM * k + 6} y={height - 6}>
          {formatText(barM, 'distanceM', reader)}
        </text>
        {Array.from({ length: STEPS }, (_, step) => (
          <g key={step}>
            <rect
              x={width - PAD - 26 * (STEPS - step)}
              y={height - 14}
              width={26}
              height={5}
              fill={shade((step + 0.5) / STEPS)}
            />
            {step === 0 || step === STEPS - 1 ? (
              <text
                x={width - PAD - 26 * (STEPS - step) + (step === 0 ? 0 : 26)}
                y={height - 18}
                textAnchor={step === 0 ? 'start' : 'end'}
              >
                {formatNumber(toShown((top * (step + (step === 0 ? 0 : 1))) / STEPS, unit), reader.locale, 2)}
                {step === 0 ? '' : ` ${unit.symbol}`}
              </text>
            ) : null}
          </g>
        ))}
      </svg>
    </figure>
  );
}

function stretches(
  { eastM, northM, speedMps, starts }: SeenTrack,
  step: number,
  top: number,
  x: (m: number) => number,
  y: (m: number) => number,
): string {
  const begins = new Set(starts);
  let path = '';
  for (let at = 1; at < eastM.length; at++) {
    if (begins.has(at) || Math.min(STEPS - 1, Math.floor((STEPS * speedMps[at]!) / top)) !== step) continue;
    path += `M${x(eastM[at - 1]!).toFixed(1)},${y(northM[at - 1]!).toFixed(1)}L${x(eastM[at]!).toFixed(1)},${y(northM[at]!).toFixed(1)}`;
  }
  return path;
}

/** 1, 2 or 5 times a power of ten, at most so long. */
function niceLength(most: number): number {
  const power = 10 ** Math.floor(Math.log10(most));
  return [5, 2, 1].map((one) => one * power).find((one) => one <= most) ?? power;
}

const TIME_PAD = { left: 46, right: 70, top: 16, bottom: 26 };

/** Speed over time of each track. */
export function SpeedOverTime({
  tracks,
  width: wide = 620,
}: {
  tracks: readonly ShownTrack[];
  width?: number;
}) {
  const { reader } = useReader();
  const width = useNarrow() ? Math.min(PHONE, wide) : wide;
  const height = 200;
  const unit = unitOf('speedMps', reader.units);
  const end = Math.max(1, ...tracks.map(({ seen }) => seen.tS.at(-1)!));
  const top = Math.max(
    1e-6,
    ...tracks.map(({ seen }) => seen.speedMps.reduce((most, one) => Math.max(most, one), 0)),
  );
  const x = scaleLinear([0, end], [TIME_PAD.left, width - TIME_PAD.right]);
  const y = scaleLinear([0, toShown(top, unit)], [height - TIME_PAD.bottom, TIME_PAD.top]).nice(4);
  return (
    <figure className={chartsCss.chart} style={{ width: `min(100%, ${width}px)` }}>
      <figcaption>
        <span>
          Speed over time
          {tracks.some(({ seen }) => seen.droppedS.length > 0) ? (
            <>
              ;{' '}
              <Typography component="span" color="error">
                ×
              </Typography>{' '}
              a point dropped as a jump
            </>
          ) : null}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        width={width}
        height={height}
        role="img"
        aria-label={`Speed over time, up to ${formatText(top, 'speedMps', reader)} in ${formatText(end, 'timeS', reader)}`}
      >
        {y.ticks(4).map((value) => (
          <g key={value}>
            <line
              x1={TIME_PAD.left}
              x2={width - TIME_PAD.right}
              y1={y(value)}
              y2={y(value)}
              stroke="var(--rule)"
            />
            <text x={TIME_PAD.left - 6} y={y(value) + 4} textAnchor="end">
              {formatNumber(value, reader.locale, 3)}
            </text>
          </g>
        ))}
        {x.ticks(6).map((value) => (
          <text key={value} x={x(value)} y={height - 8} textAnchor="middle">
            {formatNumber(value, reader.locale, 3)}
          </text>
        ))}
        {tracks.flatMap(({ id, seen }) =>
          seen.droppedS.map((t) => (
            <path
              key={`${id}${t}`}
              d={`M${x(t) - 4},${height - TIME_PAD.bottom - 8}l8,8m0,-8l-8,8`}
              stroke="var(--rust)"
              strokeWidth="1.6"
              fill="none"
            >
              <title>dropped as a jump</title>
            </path>
          )),
        )}
        <text x={width - TIME_PAD.right + 8} y={height - 8}>
          s
        </text>
        <text x={TIME_PAD.left - 6} y={10} textAnchor="end">
          {unit.symbol}
        </text>
        {tracks.map(({ id, label, seen }, which) => {
          const begins = new Set(seen.starts);
          const path = Array.from(
            seen.tS,
            (t, at) =>
              `${begins.has(at) ? 'M' : 'L'}${x(t).toFixed(1)},${y(toShown(seen.speedMps[at]!, unit)).toFixed(1)}`,
          ).join('');
          return (
            <g key={id}>
              <path
                d={path}
                fill="none"
                stroke="var(--slate)"
                strokeWidth={which === 0 ? 1.8 : 1.2}
                strokeDasharray={which === 0 ? undefined : `${6 + 3 * which} 4`}
              />
              <text x={x(seen.tS.at(-1)!) + 5} y={y(toShown(seen.speedMps.at(-1)!, unit)) + 4 - 13 * which}>
                {tracks.length > 1 ? label.slice(0, 10) : ''}
              </text>
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
