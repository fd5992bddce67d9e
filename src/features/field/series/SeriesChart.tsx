import chartsCss from '@/ui/charts/charts.module.css';
import Box from '@mui/material/Box';
import { scaleLinear } from 'd3-scale';
import Typography from '@mui/material/Typography';
import type { RunReport } from '@/core/car/records/report';
import { fitOfSeries } from '@/core/advice/learn/fitOfSeries';
import type { SeriesPoint } from '@/core/advice/learn/series';
import { seriesVerdict } from '@/words/bench/series';
import '@/words/later/bringIn';
import { runsSummary } from '@/core/physics/statistics/runsSummary';
import { SeriesSweep } from './SeriesSweep';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';

const [WIDTH, HIGH] = [560, 240];
const CURVE = 60;
const PAD = { left: 54, right: 24, top: 22, bottom: 36 };

/** A settings series: every passage, the mean and its 95 % interval at each value, the fastest named. */
export function SeriesChart({
  report = {},
  points,
  distanceM,
  testId = 'series',
}: {
  report: RunReport | undefined;
  points: readonly SeriesPoint[];
  /** That each was driven over. */
  distanceM: number | undefined;
  testId?: string;
}) {
  const { reader } = useReader();
  if (points.length === 0) return null;
  const unit = unitOf('speedMps', reader.units);
  const name = report.settingName ?? 'setting';
  const shown = (value: number) => toShown(value, unit);
  const all = points.flatMap(({ speeds, summary }) => [...speeds, ...(summary.ci95 ?? [])]).map(shown);
  const settings = points.map(({ setting }) => setting);
  const [low, high] = [Math.min(...settings), Math.max(...settings)];
  const room = (high - low || 1) * 0.08;
  const x = scaleLinear([low - room, high + room], [PAD.left, WIDTH - PAD.right]);
  const y = scaleLinear([Math.min(...all), Math.max(...all)], [HIGH - PAD.bottom, PAD.top]).nice(4);
  const best = points.reduce((a, b) => (b.summary.mean > a.summary.mean ? b : a));
  const fit = fitOfSeries(points);
  const curve =
    fit?.bestX === undefined
      ? undefined
      : Array.from({ length: CURVE + 1 }, (_, k) => {
          const setting = low + ((high - low) * k) / CURVE;
          const [b0 = 0, b1 = 0, b2 = 0] = fit.coefficients;
          return [setting, b0 + b1 * setting + b2 * setting ** 2] as const;
        });
  const number = (value: number) => formatNumber(value, reader.locale, 3);
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      style={{ width: `min(100%, ${WIDTH}px)` }}
      sx={{ mt: 1.5 }}
      data-testid={testId}
    >
      <figcaption>
        <span>
          {name}: fastest at {number(best.setting)}, {formatText(best.summary.mean, 'speedMps', reader)}
        </span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HIGH}`}
        width={WIDTH}
        height={HIGH}
        role="img"
        aria-label={`${name}: ${points.map(({ setting, summary }) => `${number(setting)} gives ${formatText(summary.mean, 'speedMps', reader)}`).join('; ')}`}
      >
        {y.ticks(4).map((value) => (
          <g key={value}>
            <line x1={PAD.left} x2={WIDTH - PAD.right} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
            <text x={PAD.left - 6} y={y(value) + 4} textAnchor="end">
              {number(value)}
            </text>
          </g>
        ))}
        <text x={PAD.left - 6} y={12} textAnchor="end">
          {unit.symbol}
        </text>
        {fit?.bestInterval ? (
          <rect
            x={x(fit.bestInterval[0])}
            width={Math.max(1, x(fit.bestInterval[1]) - x(fit.bestInterval[0]))}
            y={PAD.top}
            height={HIGH - PAD.top - PAD.bottom}
            fill="var(--wash)"
          />
        ) : null}
        {curve ? (
          <path
            d={`M${curve.map(([setting, speed]) => `${x(setting)} ${y(shown(speed))}`).join('L')}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        ) : null}
        {points.map(({ setting, speeds, summary: { mean, ci95 } }) => (
          <g key={setting}>
            {speeds.map((speed, at) => (
              <circle
                key={at}
                cx={x(setting) + 7}
                cy={y(shown(speed))}
                r="2.6"
                fill="var(--slate)"
                opacity=".7"
              />
            ))}
            {ci95 ? (
              <line
                x1={x(setting)}
                x2={x(setting)}
                y1={y(shown(ci95[0]))}
                y2={y(shown(ci95[1]))}
                stroke="var(--slate)"
                strokeWidth="2"
              />
            ) : null}
            <circle
              cx={x(setting)}
              cy={y(shown(mean))}
              r={setting === best.setting ? 6 : 4.5}
              fill="var(--slate)"
              stroke={setting === best.setting ? 'var(--ink)' : 'none'}
              strokeWidth="2"
            />
            <text
              x={x(setting)}
              y={HIGH - PAD.bottom + 16}
              textAnchor="middle"
              className={setting === best.setting ? chartsCss.strong : undefined}
            >
              {number(setting)}
            </text>
          </g>
        ))}
        <text x={WIDTH - PAD.right} y={HIGH - 4} textAnchor="end">
          {name}
          {report.settingUnit ? `, ${report.settingUnit}` : ''}
        </text>
      </svg>
      {fit ? <Typography data-testid="series-verdict">{seriesVerdict(name, fit, reader)}</Typography> : null}
      {fit && report.settingAid && distanceM ? (
        <SeriesSweep
          report={{ ...report, settingAid: report.settingAid }}
          between={[low, high]}
          speedMps={runsSummary({ values: points.map(({ summary }) => summary.mean) }).mean}
          distanceM={distanceM}
          fit={fit}
        />
      ) : null}
    </Box>
  );
}
