import chartsCss from '@/ui/charts/charts.module.css';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import type { BudgetInput, BudgetResult } from '@/core/physics/supply/budgetDefinition';
import type { Power } from '@/core/car/document/power';
import type { State } from '@/core/verdict/engine/check';
import { formatText } from '@/core/base/units/formatQuantity';
import { stepWords } from '@/words/checks/power';
import { Hatch } from '@/ui/charts/Hatch';
import { placeNames } from '@/ui/charts/placeNames';
import { useReader } from '@/ui/reader';
import { useBuildChecks } from '../session/BuildContext';
import { STATE_INK } from '@/ui/stateInk';
import { useNarrow } from '@/ui/useNarrow';

interface SupplyStepsProps {
  power: Power;
  input: BudgetInput;
  result: BudgetResult;
}

const PAD = { left: 46, top: 20, bottom: 12 };
/** Beside the columns stand the pack's volts; on a phone they stand over their lines. */
const [DESK, PHONE] = [
  { width: 880, right: 150 },
  { width: 358, right: 8 },
];
/** From no volts to the most, px. */
const PLOT = 150;
/** Of the narrowest column, and between two, px. */
const [LEAST, GAP] = [10, 12];
const LETTERS = 13;
const ROW = 17;

/** Every consumer as a column: as high as the volts that it gets, as broad as the amperes that it draws at the peak; hatched what it does not stand. */
export function SupplySteps({ power, input, result }: SupplyStepsProps) {
  'use memo';
  const { reader } = useReader();
  const checks = useBuildChecks();
  const id = useId();
  const narrow = useNarrow();
  const { width: whole, right } = narrow ? PHONE : DESK;
  const { rails = [], loads = [] } = power;
  if (loads.length === 0) return null;
  const { cells, chargedVPerCell = 4.2, cutoffVPerCell = 0 } = input.battery;
  const [charged, low] = [cells * chargedVPerCell, cells * cutoffVPerCell];
  const columns = loads
    .map((load) => ({ load, found: result.loads.find((one) => one.id === load.id)!, amps: load.peakA ?? 0 }))
    .filter(({ found }) => found !== undefined)
    .sort(
      (a, b) =>
        rails.findIndex((rail) => rail.id === a.load.rail) -
        rails.findIndex((rail) => rail.id === b.load.rail),
    );
  const room = whole - PAD.left - right - GAP * columns.length - LEAST * columns.length;
  const perA =
    room /
    Math.max(
      0.001,
      columns.reduce((sum, { amps }) => sum + amps, 0),
    );
  const top = Math.max(
    charged,
    ...columns.map(({ found, load }) => Math.max(found.full.volts, load.maxV ?? 0)),
  );
  const y = scaleLinear([0, 1.05 * top], [PAD.top + PLOT, PAD.top]);
  const volts = (value: number) => formatText(value, 'voltageV', reader);
  const widthOf = ({ amps }: { amps: number }) => LEAST + amps * perA;
  const drawn = columns.map((column, at) => ({
    ...column,
    left: columns.slice(0, at).reduce((sum, one) => sum + widthOf(one) + GAP, PAD.left + GAP),
    width: widthOf(column),
  }));
  const names = placeNames(
    drawn.map(({ load, left, width, amps }) => ({
      id: load.id,
      text: `${load.name}, ${formatText(amps, 'currentA', reader, 2)}`,
      x: left + width / 2,
    })),
    [4, whole - 4],
    LETTERS,
  );
  const height = PAD.top + PLOT + PAD.bottom + ROW * (1 + Math.max(...names.map(({ row }) => row)));
  const end = whole - right + (narrow ? 0 : 6);
  const stateOf = (load: string): State =>
    checks.find((check) => check.id === `power.load:${load}`)?.state ?? 'unknown';
  const said = drawn.map(({ load, found }) =>
    stepWords({
      name: load.name,
      state: stateOf(load.id),
      charged: volts(found.full.volts),
      low: volts(found.low.volts),
      from: volts(load.minV ?? 0),
      to: volts(load.maxV ?? 0),
    }),
  );
  return (
    <figure className={chartsCss.chart} data-testid="supply-steps" style={{ width: `min(100%, ${whole}px)` }}>
      <figcaption>
        <span>Height is volts, breadth is amperes at the peak</span>
      </figcaption>
      <svg viewBox={`0 0 ${whole} ${height}`} width={whole} role="img" aria-label={said.join(' ')}>
        <defs>
          <Hatch id={`${id}-out`} />
        </defs>
        {y.ticks(5).map((value) => (
          <g key={value}>
            <line x1={PAD.left} x2={end} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
            <text x={PAD.left - 6} y={y(value) + 4} textAnchor="end">
              {volts(value)}
            </text>
          </g>
        ))}
        {drawn.map(({ load, found, left, width }) => {
          const { minV = 0, maxV = top } = load;
          const ink = STATE_INK[stateOf(load.id)];
          const least = Math.min(found.full.volts, found.low.volts);
          return (
            <g key={load.id} data-load={load.id}>
              <rect x={left} y={y(minV)} width={width} height={y(0) - y(minV)} fill={`url(#${id}-out)`} />
              <rect
                x={left}
                y={PAD.top}
                width={width}
                height={Math.max(0, y(maxV) - PAD.top)}
                fill={`url(#${id}-out)`}
              />
              <rect x={left} y={y(least)} width={width} height={y(0) - y(least)} fill="var(--paper)" />
              <rect
                x={left}
                y={y(least)}
                width={width}
                height={y(0) - y(least)}
                fill={ink}
                fillOpacity="0.35"
              />
              {[minV, maxV].map((limit) => (
                <line
                  key={limit}
                  x1={left}
                  x2={left + width}
                  y1={y(limit)}
                  y2={y(limit)}
                  stroke="var(--rust)"
                  strokeWidth="1.4"
                />
              ))}
              <rect
                x={left}
                y={y(found.full.volts)}
                width={width}
                height={y(0) - y(found.full.volts)}
                fill="none"
                stroke={ink}
                strokeWidth="1.6"
              />
              <line
                x1={left}
                x2={left + width}
                y1={y(found.low.volts)}
                y2={y(found.low.volts)}
                stroke={ink}
                strokeWidth="3"
              />
            </g>
          );
        })}
        <Level at={y(charged)} end={end} over={narrow} text={`pack charged, ${volts(charged)}`} />
        {low > 0 ? (
          <Level at={y(low)} end={end} over={narrow} text={`pack low, ${volts(low)}`} dashed />
        ) : null}
        {names.map(({ id: key, text, at, row, x }) => (
          <g key={key}>
            <line x1={x} x2={at} y1={y(0) + 2} y2={y(0) + 8 + row * ROW} stroke="var(--quiet)" />
            <text x={at} y={y(0) + 20 + row * ROW} textAnchor="middle">
              {text}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}

interface LevelProps {
  at: number;
  end: number;
  /** The words stand over the line, else behind its end. */
  over: boolean;
  text: string;
  dashed?: boolean;
}

function Level({ at, end, over, text, dashed }: LevelProps) {
  return (
    <>
      <line
        x1={PAD.left}
        x2={end}
        y1={at}
        y2={at}
        stroke="var(--ink)"
        strokeWidth="1.6"
        strokeDasharray={dashed ? '6 4' : undefined}
      />
      <text
        x={over ? end : end + 6}
        y={over ? at - 5 : at + 4}
        textAnchor={over ? 'end' : 'start'}
        className={chartsCss.strong}
      >
        {text}
      </text>
    </>
  );
}
