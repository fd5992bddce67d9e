'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import clsx from 'clsx';
import { Hatch } from './Hatch';
import { type PointerEvent, useId, useRef, useState } from 'react';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { chartLabels } from './chartLabels';
import type { ChartProps } from './chartProps';
import { cutsOf } from './cuts';
import { Limits } from './Limits';
import { LINE_LOOKS } from './lineLooks';
import type { Plot } from './plotScales';
import { Strip } from './Strip';
import { useBrush } from './useBrush';
import { valueAt } from './valueAt';

interface PlotPictureProps {
  chart: ChartProps;
  plot: Plot;
  width: number;
  height: number;
  axes: { x: string; y: string };
  locale: string;
  /** What is read off, on the x axis. */
  at: number | undefined;
  onPoint(event: PointerEvent<SVGSVGElement>): void;
  onLeave(): void;
  onStretch(fromPx: number, toPx: number): void;
  onShowAll(): void;
}

/** The picture of a chart: axes, limits, lines, points, and what is read off. */
export function PlotPicture({
  chart,
  plot,
  width,
  height,
  axes,
  locale,
  at,
  onPoint,
  onLeave,
  onStretch,
  onShowAll,
}: PlotPictureProps) {
  'use memo';
  const { title, summary, small = false, points = [], uprights = [] } = chart;
  const lines = chart.lines.filter(({ xs }) => xs.length > 0);
  const { area, px, py, x, y, shown } = plot;
  const id = useId();
  const layer = useRef<SVGGElement>(null);
  const [mouse, setMouse] = useState(false);
  useBrush(layer, mouse, area, onStretch);
  const tick = (value: number) => formatNumber(value, locale, 3);
  const within = (value: number) => value >= shown.x[0] && value <= shown.x[1];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={`${title}. ${summary}`}
      onPointerEnter={({ pointerType }) => setMouse(pointerType === 'mouse')}
      onPointerMove={onPoint}
      onPointerDown={onPoint}
      onPointerLeave={onLeave}
      onDoubleClick={onShowAll}
    >
      <defs>
        <Hatch id={`${id}-hatch`} />
        <clipPath id={`${id}-clip`}>
          <rect
            x={area.left}
            y={area.top - 2}
            width={area.right - area.left}
            height={area.bottom - area.top + 4}
          />
        </clipPath>
      </defs>
      {y.ticks(4).map((value) => (
        <g key={value}>
          <line x1={area.left} x2={area.right} y1={y(value)} y2={y(value)} stroke="var(--rule)" />
          <text x={area.left - 6} y={y(value) + 4} textAnchor="end">
            {tick(value)}
          </text>
        </g>
      ))}
      {x.ticks(small ? 3 : 5).map((value) => (
        <text key={value} x={x(value)} y={area.bottom + 16} textAnchor="middle">
          {tick(value)}
        </text>
      ))}
      <text x={area.right} y={height - 4} textAnchor="end">
        {axes.x}
      </text>
      <text x={0} y={11}>
        {axes.y}
      </text>
      {uprights
        .filter((upright) => within(upright.x))
        .map((upright) => (
          <line
            key={upright.label}
            x1={px(upright.x)}
            x2={px(upright.x)}
            y1={area.top}
            y2={area.bottom}
            stroke={upright.wish ? 'var(--ink)' : 'var(--rule)'}
            strokeDasharray={upright.wish ? '2 3' : undefined}
          />
        ))}
      <g clipPath={`url(#${id}-clip)`}>
        {chart.strip ? <Strip strip={chart.strip} plot={plot} /> : null}
        <Limits {...chart} plot={plot} hatch={`url(#${id}-hatch)`} />
        {lines.map((line) => (
          <path
            key={line.id}
            data-line={line.id}
            d={plot.path(line)}
            fill="none"
            stroke={LINE_LOOKS[line.style].stroke}
            strokeWidth={LINE_LOOKS[line.style].width}
            strokeDasharray={LINE_LOOKS[line.style].dash}
          />
        ))}
      </g>
      {lines.flatMap((line) =>
        shown.y.flatMap((edge) =>
          cutsOf(line, edge)
            .filter(within)
            .map((cut) => (
              <Break
                key={`${line.id} ${edge} ${cut}`}
                x={px(cut)}
                y={py(edge)}
                ink={LINE_LOOKS[line.style].ink}
              />
            )),
        ),
      )}
      {points
        .filter((point) => within(point.x))
        .map((point, index) => (
          <g key={index}>
            {point.error ? (
              <line
                x1={px(point.x)}
                x2={px(point.x)}
                y1={py(point.y - point.error)}
                y2={py(point.y + point.error)}
                stroke="var(--slate)"
                strokeWidth="1.6"
              />
            ) : null}
            <circle
              cx={px(point.x)}
              cy={py(point.y)}
              r={point.measured ? 4 : 5.5}
              fill={point.measured ? 'var(--slate)' : 'var(--sheet)'}
              stroke={point.measured ? 'none' : 'var(--ink)'}
              strokeWidth="2"
            />
          </g>
        ))}
      {chartLabels(chart, plot, { left: 0, right: width, top: 0, bottom: area.bottom }, axes.y).map(
        (label) => (
          <text
            key={label.key}
            className={clsx(chartsCss.inked, label.strong && chartsCss.strong)}
            x={label.x}
            y={label.y}
            textAnchor={label.anchor}
            color={label.ink}
          >
            {label.text}
          </text>
        ),
      )}
      {at === undefined ? null : (
        <g data-testid="reading-line">
          <line x1={px(at)} x2={px(at)} y1={area.top} y2={area.bottom} stroke="var(--ink)" strokeWidth="1" />
          {lines.map((line) => {
            const value = valueAt(line, at);
            return value === undefined || py(value) !== plot.past(value) ? null : (
              <circle key={line.id} cx={px(at)} cy={py(value)} r="3.5" fill={LINE_LOOKS[line.style].ink} />
            );
          })}
        </g>
      )}
      <g ref={layer} className="brush" />
    </svg>
  );
}

/** Two strokes where a line goes on past its axis. */
function Break({ x, y, ink }: { x: number; y: number; ink: string }) {
  return (
    <path
      d={`M${x - 6},${y + 3}l4,-7m3,7l4,-7`}
      stroke={ink}
      strokeWidth="1.6"
      fill="none"
      data-testid="axis-break"
    />
  );
}
