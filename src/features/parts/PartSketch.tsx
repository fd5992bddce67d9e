import chartsCss from '@/ui/charts/charts.module.css';
import { useId } from 'react';
import type { Part } from '@/core/car/parts/parts';
import type { PartShape } from '@/core/car/parts/partShape';
import type { LoadedPart } from '@/core/worked/parts/loadedPart';
import type { State } from '@/core/verdict/engine/check';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { sketchWords } from '@/words/checks/parts';
import { loadWords } from '@/words/checks/loads';
import { useReader } from '@/ui/reader';
import { StateShape } from '@/ui/StateMark';
import { STATE_INK } from '@/ui/stateInk';

const [WIDTH, HEIGHT] = [420, 148];
/** Where the bar lies, and where its section stands. */
const BAR = { left: 48, right: 280, middle: 84, deepest: 44 };
const SECTION = { x: 370, y: 84, size: 68 };
const [ARROW, WALL, LAYER] = [34, 12, 5];
const MARK = 14;

/** What is worked out of a part: how it is held and loaded, its layers and its section to scale, and the margin at its weakest place. */
export function PartSketch({ part, worst, state }: { part: Part; worst: LoadedPart; state: State }) {
  const { shape } = part;
  if (!shape || shape.as === 'boss' || shape.lengthMm === undefined) return null;
  return <Sketch part={part} shape={shape} worst={worst} state={state} lengthMm={shape.lengthMm} />;
}

interface SketchProps {
  part: Part;
  shape: PartShape;
  worst: LoadedPart;
  state: State;
  lengthMm: number;
}

function Sketch({ part, shape, worst, state, lengthMm }: SketchProps) {
  'use memo';
  const { reader } = useReader();
  const id = useId();
  const sideways = worst.load?.bends === 'sideways';
  const depthMm = (sideways ? shape.widthMm : (shape.flangeMm ?? shape.heightMm)) ?? 1;
  const scale = Math.min((BAR.right - BAR.left) / lengthMm, BAR.deepest / depthMm);
  const [length, depth] = [lengthMm * scale, Math.max(3, depthMm * scale)];
  const top = BAR.middle - depth / 2;
  const column = shape.as === 'column';
  const support = shape.support ?? 'cantilever';
  const loadX = support === 'cantilever' && !column ? BAR.left + length : BAR.left + length / 2;
  const weakX = column || support === 'simple' ? BAR.left + length / 2 : BAR.left;
  const force = `${formatText(worst.forceN, 'forceN', reader)}, ${loadWords(worst)}`;
  const margin = formatNumber(worst.margin, reader.locale, 3);
  return (
    <figure className={chartsCss.chart} data-testid="part-sketch" style={{ width: `min(100%, ${WIDTH}px)` }}>
      <figcaption>
        <span>{part.name}, as it is worked out</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width={WIDTH}
        role="img"
        aria-label={sketchWords({ part: part.name, support, column, force, margin, state })}
      >
        <defs>
          <pattern
            id={`${id}-held`}
            width="5"
            height="5"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <line x1="0" y1="0" x2="0" y2="5" stroke="var(--ink)" strokeWidth="1.2" />
          </pattern>
        </defs>
        <Supports {...{ column, support, length, depth }} held={`url(#${id}-held)`} />
        <rect
          x={BAR.left}
          y={top}
          width={length}
          height={depth}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
        <Layers across={part.layers === 'across'} length={length} depth={depth} />
        {column ? (
          <>
            <Arrow x={BAR.left - MARK} y={BAR.middle} dx={1} dy={0} />
            <Arrow x={BAR.left + length + MARK} y={BAR.middle} dx={-1} dy={0} />
          </>
        ) : (
          <Arrow x={loadX} y={top - 3} dx={0} dy={1} />
        )}
        <text
          x={loadX}
          y={top - ARROW - 9}
          textAnchor={loadX > BAR.right - 60 ? 'end' : 'middle'}
          className={chartsCss.strong}
        >
          {force}
        </text>
        <g transform={`translate(${weakX - 7},${BAR.middle - 7})`}>
          <g color={STATE_INK[state]}>
            <StateShape state={state} size={MARK} />
          </g>
        </g>
        <text
          x={weakX + (weakX > BAR.left ? 0 : 4)}
          y={BAR.middle + depth / 2 + 18}
          textAnchor={weakX > BAR.left ? 'middle' : 'start'}
          className={chartsCss.strong}
          fill={STATE_INK[state]}
        >
          {margin}
        </text>
        <text
          x={BAR.left + length / 2 + (weakX > BAR.left ? 62 : 26)}
          y={BAR.middle + depth / 2 + 18}
          textAnchor="middle"
        >
          {formatText(lengthMm, 'lengthMm', reader)}
        </text>
        <Section shape={shape} sideways={sideways} />
        <text x={SECTION.x} y={SECTION.y + sectionDepth(shape, sideways) / 2 + 18} textAnchor="middle">
          {sizeText(shape, (value) => formatText(value, 'lengthMm', reader))}
        </text>
      </svg>
    </figure>
  );
}

const sizeText = ({ profile, widthMm, heightMm }: PartShape, text: (value: number) => string): string => {
  if (heightMm === undefined) return '';
  if (profile === 'round' || profile === 'tube' || widthMm === undefined) return `⌀ ${text(heightMm)}`;
  return `${text(widthMm)} × ${text(heightMm)}`;
};

function Arrow({ x, y, dx, dy }: { x: number; y: number; dx: number; dy: number }) {
  return (
    <g stroke="var(--rust)" fill="var(--rust)">
      <line x1={x - dx * ARROW} y1={y - dy * ARROW} x2={x - dx * 7} y2={y - dy * 7} strokeWidth="2.4" />
      <path
        d={`M${x},${y}L${x - dx * 9 - dy * 5},${y - dy * 9 - dx * 5}L${x - dx * 9 + dy * 5},${y - dy * 9 + dx * 5}Z`}
        stroke="none"
      />
    </g>
  );
}

function Layers({ across, length, depth }: { across: boolean; length: number; depth: number }) {
  const count = Math.floor((across ? length : depth) / LAYER);
  const top = BAR.middle - depth / 2;
  return (
    <g stroke="var(--rule)" strokeWidth="0.8">
      {Array.from({ length: Math.max(0, count - 1) }, (_, at) =>
        across ? (
          <line
            key={at}
            x1={BAR.left + (at + 1) * LAYER}
            x2={BAR.left + (at + 1) * LAYER}
            y1={top + 1}
            y2={top + depth - 1}
          />
        ) : (
          <line
            key={at}
            x1={BAR.left + 1}
            x2={BAR.left + length - 1}
            y1={top + (at + 1) * LAYER}
            y2={top + (at + 1) * LAYER}
          />
        ),
      )}
    </g>
  );
}

interface SupportsProps {
  column: boolean;
  support: NonNullable<PartShape['support']>;
  length: number;
  depth: number;
  held: string;
}

/** A wall where it is clamped, a foot where it only rests. */
function Supports({ column, support, length, depth, held }: SupportsProps) {
  if (column) return null;
  const wall = (x: number) => (
    <rect
      x={x}
      y={BAR.middle - depth / 2 - 12}
      width={WALL}
      height={depth + 24}
      fill={held}
      stroke="var(--ink)"
      strokeWidth="1.2"
    />
  );
  const foot = (x: number) => (
    <path d={`M${x},${BAR.middle + depth / 2}l9,15h-18z`} fill={held} stroke="var(--ink)" strokeWidth="1.2" />
  );
  const ends = [BAR.left, BAR.left + length] as const;
  if (support === 'simple')
    return (
      <>
        {ends.map((x) => (
          <g key={x}>{foot(x)}</g>
        ))}
      </>
    );
  return (
    <>
      {wall(ends[0] - WALL)}
      {support === 'fixed' ? wall(ends[1]) : null}
    </>
  );
}

const sectionScale = ({ heightMm: h = 1, widthMm: w = h, flangeMm: f = h }: PartShape) =>
  SECTION.size / Math.max(w, f, h);

/** How deep the drawn section is. */
const sectionDepth = (shape: PartShape, sideways: boolean): number => {
  const { heightMm: h = 1, widthMm: w = h, flangeMm: f = h } = shape;
  const round = shape.profile === 'round' || shape.profile === 'tube';
  return sectionScale(shape) * (round ? h : sideways ? w : Math.max(f, h));
};

/** The section to scale, turned as the load bends it. */
function Section({ shape, sideways }: { shape: PartShape; sideways: boolean }) {
  const { profile, heightMm: h = 1, widthMm: w = h, wallMm: t = 0, flangeMm: f = h } = shape;
  const scale = sectionScale(shape);
  const line = { fill: 'var(--sheet)', stroke: 'var(--ink)', strokeWidth: 1.6 / scale } as const;
  const bore = { ...line, fill: 'var(--paper)' };
  const drawn = {
    plate: <rect x={-w / 2} y={-h / 2} width={w} height={h} {...line} />,
    round: <circle r={h / 2} {...line} />,
    tube: (
      <>
        <circle r={h / 2} {...line} />
        <circle r={Math.max(0, h / 2 - t)} {...bore} />
      </>
    ),
    box: (
      <>
        <rect x={-w / 2} y={-h / 2} width={w} height={h} {...line} />
        <rect
          x={-w / 2 + t}
          y={-h / 2 + t}
          width={Math.max(0, w - 2 * t)}
          height={Math.max(0, h - 2 * t)}
          {...bore}
        />
      </>
    ),
    flanged: (
      <path
        d={`M${-w / 2},${f / 2}H${w / 2}V${f / 2 - h}H${t / 2}V${-f / 2}H${-t / 2}V${f / 2 - h}H${-w / 2}Z`}
        {...line}
      />
    ),
  }[profile ?? 'plate'];
  return (
    <g transform={`translate(${SECTION.x},${SECTION.y}) rotate(${sideways ? 90 : 0}) scale(${scale})`}>
      {drawn}
    </g>
  );
}
