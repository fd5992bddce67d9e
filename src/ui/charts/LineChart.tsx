'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import { Hidden } from '@/ui/layout/Hidden';
import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { useState } from 'react';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import { AXIS_NAMES } from '@/words/labels/axisNames';
import { useReader } from '../reader';
import { useNarrow } from '../useNarrow';
import type { ChartProps } from './chartProps';
import { ChartTable } from './ChartTable';
import { PlotPicture } from './PlotPicture';
import { plotOf } from './plotScales';
import { useReading } from './useReading';
import { valueAt } from './valueAt';

/** A chart drawn wider would shrink its words on a phone. */
const [USUAL_WIDTH, PHONE_WIDTH] = [460, 358];

const Reader = styled('div')({
  '& .brush .overlay': { cursor: 'crosshair' },
  '& .brush .selection': { fill: 'var(--moss)', stroke: 'none' },
});

/** Lines over one pair of axes, labelled directly; read off by pointer or arrow keys, as a table on request. */
export function LineChart(props: ChartProps) {
  'use memo';
  const { title, xQuantity, yQuantity, height = 290, small = false, summary } = props;
  const narrow = useNarrow();
  const width = narrow ? Math.min(PHONE_WIDTH, props.width ?? USUAL_WIDTH) : (props.width ?? USUAL_WIDTH);
  const { reader } = useReader();
  const [asTable, setAsTable] = useState(false);
  const reading = useReading([props.xMin ?? 0, props.xMax]);
  const units = [unitOf(xQuantity, reader.units), unitOf(yQuantity, reader.units)] as const;
  const [xUnit, yUnit] = units;
  const plot = plotOf(props, units, width, height, reading.stretch);
  const tick = (value: number) => formatNumber(value, reader.locale, 3);
  const withUnit = (value: number, symbol: string) => `${tick(value)}${symbol ? ` ${symbol}` : ''}`;
  const named = (name: string | undefined, symbol: string) => [name, symbol].filter(Boolean).join(', ');
  const axes = {
    x: named(props.xName ?? AXIS_NAMES[xQuantity], xUnit.symbol),
    y: small ? yUnit.symbol : named(props.yName ?? AXIS_NAMES[yQuantity], yUnit.symbol),
  };
  const { at } = reading;
  const read =
    at === undefined
      ? undefined
      : [
          withUnit(toShown(at, xUnit), xUnit.symbol),
          ...[...props.lines, ...(props.limit ? [props.limit] : [])].flatMap((line) => {
            const value = valueAt(line, at);
            return value === undefined
              ? []
              : [`${line.label} ${withUnit(toShown(value, yUnit), yUnit.symbol)}`.trim()];
          }),
        ].join(' · ');

  return (
    <figure className={chartsCss.chart} data-testid={props.testId} style={{ width: `min(100%, ${width}px)` }}>
      <figcaption>
        <span
          className={chartsCss.charttitle}
          aria-live="polite"
          data-testid={read === undefined ? undefined : 'reading'}
        >
          {read ?? title}
        </span>
        {reading.stretch ? (
          <Button variant="text" onClick={reading.showAll}>
            show all
          </Button>
        ) : null}
        <Button variant="text" aria-pressed={asTable} onClick={() => setAsTable(!asTable)}>
          {asTable ? 'as a picture' : 'as a table'}
        </Button>
      </figcaption>
      {asTable ? (
        <ChartTable
          {...props}
          xSymbol={xUnit.symbol}
          ySymbol={yUnit.symbol}
          shownX={(v) => tick(toShown(v, xUnit))}
          shownY={(v) => tick(toShown(v, yUnit))}
        />
      ) : (
        <Reader
          role="group"
          tabIndex={0}
          aria-label={`${title}: arrow keys read values off, plus looks closer, Escape shows all`}
          onKeyDown={reading.onKeyDown}
          onBlur={reading.leave}
        >
          <PlotPicture
            chart={props}
            plot={plot}
            width={width}
            height={height}
            axes={axes}
            locale={reader.locale}
            at={at}
            onPoint={(event) => reading.pointAt(event, plot, width)}
            onLeave={reading.leave}
            onStretch={(fromPx, toPx) => reading.setStretch([plot.at(fromPx), plot.at(toPx)])}
            onShowAll={reading.showAll}
          />
        </Reader>
      )}
      <Hidden as="p">{summary}</Hidden>
    </figure>
  );
}
