'use client';

import Box from '@mui/material/Box';
import clsx from 'clsx';
import { scaleLinear } from 'd3-scale';
import { type PointerEvent, useId, useRef, useState } from 'react';
import type { PlaceOfBuild } from '@/core/worked/place/placeOfBuild';
import { formatText } from '@/core/base/units/formatQuantity';
import chartsCss from '@/ui/charts/charts.module.css';
import { Hatch } from '@/ui/charts/Hatch';
import { useReader } from '@/ui/reader';
import { PlaceHandle } from './PlaceHandle';

const [WIDTH, LEFT, RIGHT] = [880, 14, 14];
const [ROAD_Y, MOST_ROAD, LEAST_ROAD] = [96, 84, 22];
const LABEL_PX = 44;

/** While an end is dragged. */
const ROOM = 1.25;
const LONGEST_M = 2000;

/** The end of a straight, wide enough for a thumb. */
const Grip = ({ x, half }: { x: number; half: number }) => (
  <>
    <rect x={x - 14} y={ROAD_Y - half - 4} width="28" height={2 * half + 8} fill="transparent" />
    <line x1={x} x2={x} y1={ROAD_Y - half - 5} y2={ROAD_Y + half + 5} stroke="var(--ink)" strokeWidth="3.5" />
    <path
      d={`M${x - 4},${ROAD_Y - 5}l-5,5l5,5M${x + 4},${ROAD_Y - 5}l5,5l-5,5`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.6"
    />
  </>
);

/** The straight to scale from above: what is kept free, run-up, measured stretch, stop, and where the driver stands. */
export function PlaceDrawing({ input, site }: Pick<PlaceOfBuild, 'input' | 'site'>) {
  const { reader } = useReader();
  const id = useId().replace(/:/g, '');
  const row = site.rows.at(-1);
  const { lengthM, marginStartM = 0, marginEndM = 0, widthM } = input.site;
  const start = marginStartM;
  const runUpEnd = start + (row?.runUpM ?? 0);
  const stretchEnd = runUpEnd + (row ? input.stretchM : 0);
  const stopEnd = stretchEnd + (row?.stopM ?? 0);
  const driver = input.driver ?? {};
  const along = driver.alongM ?? lengthM / 2;
  const shown: readonly [number, number] = [Math.min(0, along), Math.max(lengthM, stopEnd, along)];
  const [held, setHeld] = useState<readonly [number, number]>();
  const svg = useRef<SVGSVGElement>(null);
  // the scale stands still under the pointer, with room to drag into
  const x = scaleLinear(held ?? shown, [LEFT, WIDTH - RIGHT]);
  const drag = (dragging: boolean) => setHeld(dragging ? [shown[0], ROOM * shown[1]] : undefined);
  const metresAt = (event: PointerEvent<SVGGElement>) => {
    const box = svg.current!.getBoundingClientRect();
    return x.invert(((event.clientX - box.left) / box.width) * WIDTH);
  };
  const perM = x(1) - x(0);
  const half =
    widthM === undefined ? LEAST_ROAD / 2 : Math.min(MOST_ROAD, Math.max(LEAST_ROAD, widthM * perM)) / 2;
  const m = (value: number) => formatText(value, 'distanceM', reader, 3);
  const parts = row
    ? [
        { name: 'run-up', from: start, to: runUpEnd, fill: 'var(--faint)' },
        { name: 'measured', from: runUpEnd, to: stretchEnd, fill: 'var(--wash)' },
        { name: 'stop', from: stretchEnd, to: stopEnd, fill: 'var(--faint)' },
      ]
    : [];
  const beside = ROAD_Y + half + 26;
  return (
    <Box
      component="figure"
      className={clsx(chartsCss.chart, chartsCss.wide)}
      style={{ width: `min(100%, ${WIDTH}px)` }}
      sx={{ mt: 1.5 }}
      data-testid="place-drawing"
    >
      <figcaption>
        <span>The straight from above, to scale along its length</span>
      </figcaption>
      <svg
        ref={svg}
        className={chartsCss.dragged}
        viewBox={`0 0 ${WIDTH} ${beside + 24}`}
        role="group"
        aria-label={
          row
            ? `${m(lengthM)} long: ${m(row.runUpM)} of run-up, ${m(input.stretchM)} measured, ${row.stopM === undefined ? 'no stop' : `${m(row.stopM)} to stop`}.`
            : `${m(lengthM)} long.`
        }
      >
        <defs>
          <Hatch id={`${id}-free`} />
        </defs>
        <rect
          x={x(0)}
          y={ROAD_Y - half}
          width={x(lengthM) - x(0)}
          height={2 * half}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        {parts.map(({ name, from, to, fill }) => (
          <g key={name}>
            <rect
              x={x(from)}
              y={ROAD_Y - half}
              width={Math.max(0, x(to) - x(from))}
              height={2 * half}
              fill={fill}
              stroke={to > lengthM - marginEndM ? 'var(--rust)' : 'var(--ink)'}
              strokeWidth="1"
              strokeDasharray={name === 'measured' ? undefined : '5 4'}
            />
            {x(to) - x(from) > LABEL_PX ? (
              <text
                className={chartsCss.strong}
                x={(x(from) + x(to)) / 2}
                y={ROAD_Y - half - 22}
                textAnchor="middle"
              >
                {name}
              </text>
            ) : null}
            {x(to) - x(from) > LABEL_PX ? (
              <text x={(x(from) + x(to)) / 2} y={ROAD_Y - half - 7} textAnchor="middle">
                {m(to - from)}
              </text>
            ) : null}
          </g>
        ))}
        {[
          { key: 'start', from: 0, to: start },
          { key: 'end', from: lengthM - marginEndM, to: lengthM },
        ].map(({ key, from, to }) => (
          <rect
            key={key}
            x={x(from)}
            y={ROAD_Y - half}
            width={Math.max(0, x(to) - x(from))}
            height={2 * half}
            fill={`url(#${id}-free)`}
          />
        ))}
        {row && row.driftM > 0 && widthM !== undefined ? (
          <path
            d={`M${x(stretchEnd)},${ROAD_Y}q${(0.5 * row.speedMps * input.reactionS * perM).toFixed(1)},0 ${(row.speedMps * input.reactionS * perM).toFixed(1)},${Math.min(half + 8, (row.driftM / widthM) * 2 * half).toFixed(1)}`}
            fill="none"
            stroke={row.sideFits === false ? 'var(--rust)' : 'var(--ink)'}
            strokeDasharray="3 3"
          />
        ) : null}
        <PlaceHandle
          field="marginStartM"
          label="Start of the run-up"
          value={start}
          said={m(start)}
          from={0}
          to={Math.max(0, lengthM - marginEndM - 1)}
          metresAt={metresAt}
          onDrag={drag}
        >
          <Grip x={x(start)} half={half} />
        </PlaceHandle>
        <PlaceHandle
          field="lengthM"
          label="End of the place"
          value={lengthM}
          said={m(lengthM)}
          from={Math.ceil(start + marginEndM + 1)}
          to={LONGEST_M}
          metresAt={metresAt}
          onDrag={drag}
        >
          <Grip x={x(lengthM)} half={half} />
        </PlaceHandle>
        <PlaceHandle
          field="driverAlongM"
          label="Where you stand"
          value={along}
          said={m(along)}
          from={-1000}
          to={LONGEST_M}
          metresAt={metresAt}
          onDrag={drag}
        >
          <circle cx={x(along)} cy={beside} r="14" fill="transparent" />
          <circle cx={x(along)} cy={beside} r="6" fill="var(--ink)" />
        </PlaceHandle>
        <text
          x={x(along) + (x(along) > WIDTH / 2 ? -12 : 12)}
          y={beside + 4}
          textAnchor={x(along) > WIDTH / 2 ? 'end' : 'start'}
        >
          you, {m(Math.abs(driver.besideM ?? 2))} beside the line
        </text>
      </svg>
    </Box>
  );
}
