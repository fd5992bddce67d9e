import clsx from 'clsx';
import chartsCss from '@/ui/charts/charts.module.css';
import printCss from '@/features/print/print.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { type PointerEvent, useRef, useState } from 'react';
import { type BedPlate, nudged } from '@/core/worked/print/beds';
import type { PlateItem } from '@/core/physics/printing/plates';
import { durationText } from '@/core/base/units/duration';
import { formatNumber } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useNarrow } from '@/ui/useNarrow';

export interface PlateThing {
  name: string;
  sizeMm: readonly [number, number, number];
}

interface PlateCardProps {
  plate: BedPlate;
  number: number;
  items: readonly PlateItem[];
  things: ReadonlyMap<string, PlateThing>;
  spacingMm: number;
  busy: boolean;
  onMove(items: PlateItem[]): void;
  onStart(state: 'printing' | 'queued'): void;
  on3mf(): void;
  onList(): void;
}

const [SIDE, PAD, STEP_MM, FINE_MM] = [276, 1, 5, 1];
const KEYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** One plate to scale: parts can be dragged or pushed by the arrow keys, started, and handed on as a file. */
export function PlateCard({
  plate,
  number,
  items,
  things,
  spacingMm,
  busy,
  onMove,
  onStart,
  on3mf,
  onList,
}: PlateCardProps) {
  const { reader } = useReader();
  const side = useNarrow() ? 340 : SIDE;
  const { printer, timeS, startsS, usedPct } = plate;
  const bed = [printer.bedWidthMm, printer.bedDepthMm] as const;
  const k = (side - 2 * PAD) / Math.max(...bed);
  const [w, h] = [bed[0] * k + 2 * PAD, bed[1] * k + 2 * PAD];
  const [near, setNear] = useState<number>();
  const dragged = useRef<{ index: number; x: number; y: number; items: readonly PlateItem[] }>(undefined);
  const sizeOf = (id: string) => things.get(id)!.sizeMm.slice(0, 2) as unknown as readonly [number, number];
  const move = (from: readonly PlateItem[], index: number, by: readonly [number, number]) => {
    const found = nudged(from, index, by, sizeOf, bed, spacingMm);
    setNear(found.tooNear ? index : undefined);
    onMove(found.items);
  };
  const drag = (event: PointerEvent<SVGGElement>) => {
    const held = dragged.current;
    if (held) move(held.items, held.index, [(event.clientX - held.x) / k, (held.y - event.clientY) / k]);
  };
  const count = items.length;
  return (
    <figure
      className={clsx(chartsCss.chart, 'plate')}
      style={{ width: Math.max(w, 230) }}
      data-testid="plate"
      aria-label={`Plate ${number}`}
    >
      <figcaption>
        <span>
          Plate {number}, {printer.name.toLowerCase()}
        </span>
        <span>{formatNumber(usedPct, reader.locale, 2)}&nbsp;% used</span>
      </figcaption>
      <svg
        width={w}
        height={h}
        viewBox={`0 0 ${w} ${h}`}
        role="group"
        aria-label={`${count} parts on a bed of ${bed[0]} × ${bed[1]} mm`}
      >
        <rect
          x={PAD}
          y={PAD}
          width={w - 2 * PAD}
          height={h - 2 * PAD}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
        {Array.from({ length: Math.floor(bed[0] / 50) }, (_, at) => (
          <line
            key={`x${at}`}
            x1={PAD + 50 * (at + 1) * k}
            x2={PAD + 50 * (at + 1) * k}
            y1={PAD}
            y2={h - PAD}
            stroke="var(--faint)"
          />
        ))}
        {Array.from({ length: Math.floor(bed[1] / 50) }, (_, at) => (
          <line
            key={`y${at}`}
            y1={h - PAD - 50 * (at + 1) * k}
            y2={h - PAD - 50 * (at + 1) * k}
            x1={PAD}
            x2={w - PAD}
            stroke="var(--faint)"
          />
        ))}
        {items.map(({ id, xMm, yMm, turned }, index) => {
          const { name, sizeMm } = things.get(id)!;
          const [pw, pd] = turned ? [sizeMm[1], sizeMm[0]] : [sizeMm[0], sizeMm[1]];
          const [x, y] = [PAD + xMm * k, h - PAD - (yMm + pd) * k];
          const upright = pd > pw;
          const room = Math.max(pw, pd) * k;
          const words = name.split(',')[0]!;
          const shown =
            words.length * 6.1 + 6 <= room
              ? words
              : room > 30
                ? `${words.slice(0, Math.max(2, Math.floor((room - 12) / 6.1)))}…`
                : '';
          return (
            <g
              key={index}
              className={printCss.platething}
              tabIndex={0}
              role="button"
              aria-label={`${name} at ${xMm.toFixed(0)}, ${yMm.toFixed(0)} mm; arrow keys push it`}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                dragged.current = { index, x: event.clientX, y: event.clientY, items };
              }}
              onPointerMove={drag}
              onPointerUp={() => {
                dragged.current = undefined;
              }}
              onKeyDown={(event) => {
                const way = KEYS[event.key];
                if (!way) return;
                event.preventDefault();
                const step = event.shiftKey ? FINE_MM : STEP_MM;
                move(items, index, [way[0] * step, way[1] * step]);
              }}
            >
              <title>{`${name}, ${pw.toFixed(0)} × ${pd.toFixed(0)} mm`}</title>
              <rect
                x={x}
                y={y}
                width={pw * k}
                height={pd * k}
                fill="var(--wash)"
                stroke={near === index ? 'var(--rust)' : 'var(--moss)'}
                strokeWidth={near === index ? 2.5 : 1.2}
                strokeDasharray={near === index ? '5 3' : undefined}
              />
              {Math.min(pw, pd) * k > 13 && shown ? (
                <text
                  x={x + (pw * k) / 2}
                  y={y + (pd * k) / 2}
                  textAnchor="middle"
                  dominantBaseline="central"
                  transform={upright ? `rotate(-90 ${x + (pw * k) / 2} ${y + (pd * k) / 2})` : undefined}
                  fill="var(--ink)"
                  fontSize={11.5}
                >
                  {shown}
                </text>
              ) : null}
            </g>
          );
        })}
      </svg>
      <Box component="p" sx={{ m: '4px 0' }}>
        <b>{durationText(timeS)}</b>
        {startsS > 0 ? (
          <Typography component="span" color="textSecondary">
            , after {durationText(startsS)} of other plates
          </Typography>
        ) : null}
        {near === undefined ? null : (
          <Typography component="span" color="error">
            {' '}
            closer than {formatNumber(spacingMm, reader.locale, 2)}&nbsp;mm to another
          </Typography>
        )}
      </Box>
      <Row sx={{ gap: 0.75 }}>
        <Button
          variant="contained"
          disabled={busy}
          onClick={() => onStart('printing')}
          aria-label={`Start plate ${number}`}
        >
          Start it
        </Button>
        <Button disabled={busy} onClick={() => onStart('queued')} aria-label={`Queue plate ${number}`}>
          Queue
        </Button>
        <Button onClick={on3mf} aria-label={`Plate ${number} as 3MF`}>
          3MF
        </Button>
        <Button onClick={onList} aria-label={`List of plate ${number} as CSV`}>
          CSV
        </Button>
      </Row>
    </figure>
  );
}
