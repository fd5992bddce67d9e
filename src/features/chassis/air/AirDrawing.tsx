'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import chassisCss from '@/features/chassis/chassis.module.css';
import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef } from 'react';
import type { AirInput, AirResult } from '@/core/physics/air/definition';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useArrowSteps } from '@/ui/useArrowSteps';
import { useBuild } from '../../session/BuildContext';
import { movedTo, type Placed, placedOf } from './elements';

const [PAD_MM, WIDTH_PX, LETTERS_PX, NUDGE_MM, LEAP_MM] = [26, 640, 13, 1, 10];
/** Longest arrow of a force, over the drawing's width. */
const LONGEST = 0.16;
const RAD = Math.PI / 180;
const line = { vectorEffect: 'non-scaling-stroke' } as const;
const two = (value: number) => Math.round(100 * value) / 100;

interface AirDrawingProps {
  input: AirInput;
  found: AirResult;
  chosen: string | undefined;
  onChoose(id: string): void;
}

/** The car from the side in the air: what stands in it to drag or to nudge with the arrow keys, and what it does to each axle. */
export function AirDrawing({ input, found, chosen, onChoose }: AirDrawingProps) {
  const { document, edit, session, closed } = useBuild();
  const { reader } = useReader();
  const drag = useRef<{ id: string; dx: number; dy: number }>(undefined);
  const arrowSteps = useArrowSteps(() => session.endStep());
  const { wheelbaseMm, body } = input;
  const r = document.drive.tyre?.radiusMm ?? 30;
  const placed = placedOf(document.chassis.air);
  const high = 2 * body.zMm;
  const [nose, tail] = [body.xMm! + body.lengthMm / 2, body.xMm! - body.lengthMm / 2];
  const xs = [-nose, -tail, -r, wheelbaseMm + r, ...placed.map(({ xMm }) => -xMm)];
  const [left, right] = [Math.min(...xs) - 2 * PAD_MM, Math.max(...xs) + 2 * PAD_MM];
  const top = Math.max(2 * r, high, ...placed.map(({ zMm = 0 }) => zMm + 30)) + 1.6 * PAD_MM;
  const width = right - left;
  const size = (LETTERS_PX * width) / WIDTH_PX;
  const at = (event: PointerEvent<SVGGElement>) =>
    new DOMPoint(event.clientX, event.clientY).matrixTransform(event.currentTarget.getScreenCTM()!.inverse());
  const move = (one: Placed, x: number, y: number) =>
    edit(movedTo(one, -x, -y), `move-${one.path.join('.')}`);
  const keys = (one: Placed) => (event: KeyboardEvent) => {
    const step = event.shiftKey ? LEAP_MM : NUDGE_MM;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[
      event.key
    ];
    if (!by) return;
    event.preventDefault();
    arrowSteps(event);
    move(one, -one.xMm + by[0]!, -(one.zMm ?? 0) + by[1]!);
  };
  const forces = [
    { axle: 'front', x: 0, newton: found.forcesN.front },
    { axle: 'rear', x: wheelbaseMm, newton: found.forcesN.rear },
  ];
  const most = Math.max(1e-9, ...forces.map(({ newton }) => Math.abs(newton)));
  return (
    <figure
      className={chartsCss.chart}
      data-testid="air-drawing"
      style={{ width: `min(100%, ${WIDTH_PX}px)` }}
    >
      <figcaption>
        <span>
          From the side, front to the left; arrows are what the air does to each axle at{' '}
          {formatText(input.referenceSpeedMps ?? 15, 'speedMps', reader)}
        </span>
      </figcaption>
      <svg
        viewBox={[left, -top, width, top + PAD_MM].map(two).join(' ')}
        width={WIDTH_PX}
        role="group"
        aria-label="Side view in the air, to scale"
        className={chartsCss.dragged}
      >
        <line x1={left} x2={right} y1={0} y2={0} stroke="var(--ink)" strokeWidth={2} {...line} />
        <path
          d={silhouette(-nose, -tail, high)}
          fill="var(--faint)"
          fillOpacity={0.6}
          stroke="var(--quiet)"
          {...line}
        />
        {[0, wheelbaseMm].map((x) => (
          <circle
            key={x}
            cx={x}
            cy={-r}
            r={r}
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth={2}
            {...line}
          />
        ))}
        {forces.map(({ axle, x, newton }) => (
          <ForceArrow
            key={axle}
            x={x}
            y={-2 * r - 4}
            length={(LONGEST * width * newton) / most}
            size={size}
            label={formatText(Math.abs(newton), 'forceN', reader)}
          />
        ))}
        {placed.map((one) => {
          const isChosen = one.id === chosen;
          const [x, y] = [-one.xMm, -(one.zMm ?? 0)];
          return (
            <g
              key={one.id}
              className={chassisCss.body}
              tabIndex={0}
              role="button"
              aria-pressed={isChosen}
              aria-label={`${one.name}: arrow keys move it`}
              data-element={one.id}
              stroke={isChosen ? 'var(--moss)' : 'var(--ink)'}
              fill={isChosen ? 'var(--moss)' : 'var(--ink)'}
              strokeWidth={isChosen ? 4 : 2.5}
              onFocus={() => onChoose(one.id)}
              onKeyDown={closed ? undefined : keys(one)}
              onBlur={() => session.endStep()}
              onPointerDown={(event) => {
                onChoose(one.id);
                if (closed) return;
                const from = at(event);
                drag.current = { id: one.id, dx: x - from.x, dy: y - from.y };
                event.currentTarget.setPointerCapture(event.pointerId);
              }}
              onPointerMove={(event) => {
                if (drag.current?.id !== one.id) return;
                const to = at(event);
                move(one, to.x + drag.current.dx, to.y + drag.current.dy);
              }}
              onPointerUp={() => {
                drag.current = undefined;
                session.endStep();
              }}
            >
              <ElementShape one={one} input={input} x={x} y={y} />
            </g>
          );
        })}
      </svg>
    </figure>
  );
}

/** A car's outline to show where the body is: low at the nose, its highest point behind the middle. */
function silhouette(nose: number, tail: number, high: number): string {
  const long = tail - nose;
  const point = (along: number, up: number) => `${two(nose + along * long)},${two(-up * high)}`;
  return `M${point(0, 0.12)}L${point(0.04, 0.4)}L${point(0.3, 0.55)}L${point(0.48, 1)}L${point(0.72, 1)}L${point(0.95, 0.62)}L${point(1, 0.15)}Z`;
}

interface ForceArrowProps {
  x: number;
  y: number;
  /** Pressing down positive. */
  length: number;
  size: number;
  label: string;
}

function ForceArrow({ x, y, length, size, label }: ForceArrowProps) {
  const down = length >= 0;
  const reach = Math.max(Math.abs(length), 6);
  const [from, to] = down ? [y - reach, y] : [y, y - reach];
  const head = down ? -5 : 5;
  const ink = down ? 'var(--moss)' : 'var(--rust)';
  return (
    <g pointerEvents="none" stroke={ink} fill={ink}>
      <line x1={x} x2={x} y1={two(from)} y2={two(to)} strokeWidth={3} {...line} />
      <path d={`M${x},${two(to)}l-4,${head}h8z`} stroke="none" />
      <text
        x={x}
        y={two(y - reach - 0.5 * size)}
        textAnchor="middle"
        fontSize={two(size)}
        stroke="none"
        fill="var(--ink)"
      >
        {down ? 'presses' : 'lifts'} {label}
      </text>
    </g>
  );
}

function ElementShape({
  one,
  input,
  x,
  y,
}: {
  one: Placed;
  input: AirInput;
  x: number;
  y: number;
}): ReactNode {
  const { splitter, undertray } = input;
  if (one.kind === 'wing') {
    const wing = input.wings?.find(({ id }) => id === one.id);
    if (!wing) return null;
    const plate = wing.endPlateHeightMm ?? 0;
    // the leading edge looks forward and lower where it presses down
    const [c, s] = [Math.cos(wing.angleDeg * RAD) / 2, Math.sin(wing.angleDeg * RAD) / 2];
    const half = wing.chordMm;
    return (
      <>
        {plate > 0 ? (
          <rect
            x={two(x - half / 2)}
            y={two(y - plate / 2)}
            width={half}
            height={plate}
            fillOpacity={0.08}
            strokeWidth={1}
            {...line}
          />
        ) : null}
        <rect
          x={two(x - half / 2)}
          y={two(y - 12)}
          width={half}
          height={24}
          fill="none"
          stroke="none"
          pointerEvents="all"
        />
        <line
          x1={two(x - half * c)}
          y1={two(y + half * s)}
          x2={two(x + half * c)}
          y2={two(y - half * s)}
          strokeLinecap="round"
          {...line}
        />
      </>
    );
  }
  if (one.kind === 'fin') {
    const fin = input.fins?.find(({ id }) => id === one.id);
    if (!fin) return null;
    return (
      <rect
        x={two(x - fin.chordMm / 2)}
        y={two(y - fin.heightMm / 2)}
        width={fin.chordMm}
        height={fin.heightMm}
        fillOpacity={0.15}
        {...line}
      />
    );
  }
  if (one.kind === 'noseScoop')
    return <path d={`M${two(x - 10)},${two(y + 7)}l20,-4v-6l-20,-4z`} fillOpacity={0.2} {...line} />;
  const long = (one.kind === 'splitter' ? splitter?.lengthMm : undertray?.lengthMm) ?? 0;
  return (
    <rect
      x={two(x - long / 2)}
      y={two(one.kind === 'splitter' ? y - 9 : y - 7)}
      width={long}
      height={4}
      {...line}
    />
  );
}
