'use client';

import { type KeyboardEvent, type PointerEvent, type ReactNode, useRef } from 'react';
import chartsCss from '@/ui/charts/charts.module.css';
import { useArrowSteps } from '@/ui/useArrowSteps';
import { useBuild } from '../../session/BuildContext';

/** Steps of the arrow keys, m; with shift the larger one. */
const [NUDGE_M, LEAP_M] = [0.5, 5];

interface PlaceHandleProps {
  /** A figure of the place, and what it is called. */
  field: string;
  label: string;
  value: number;
  said: string;
  from: number;
  to: number;
  /** Metres along the straight under the pointer. */
  metresAt(event: PointerEvent<SVGGElement>): number;
  onDrag(dragging: boolean): void;
  children: ReactNode;
}

/** A place on the straight that is dragged, or moved by the arrow keys; one drag is one step back. */
export function PlaceHandle(props: PlaceHandleProps) {
  const { field, label, value, said, from, to, metresAt, onDrag, children } = props;
  const { edit, session, closed } = useBuild();
  const off = useRef<number>(undefined);
  const arrowSteps = useArrowSteps(() => session.endStep());
  const path = ['brief', 'place', field];
  const set = (metres: number) =>
    edit([{ path, value: Math.round(2 * Math.min(to, Math.max(from, metres))) / 2 }], path.join('.'));
  const end = () => {
    if (off.current === undefined) return;
    off.current = undefined;
    onDrag(false);
    session.endStep();
  };
  return (
    <g
      className={chartsCss.handle}
      tabIndex={0}
      role="slider"
      aria-label={label}
      aria-valuenow={value}
      aria-valuemin={from}
      aria-valuemax={to}
      aria-valuetext={said}
      aria-disabled={closed}
      onKeyDown={(event: KeyboardEvent) => {
        const step = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
        if (step === undefined || closed) return;
        event.preventDefault();
        arrowSteps(event);
        set(value + step * (event.shiftKey ? LEAP_M : NUDGE_M));
      }}
      onBlur={() => session.endStep()}
      onPointerDown={(event) => {
        if (closed) return;
        off.current = value - metresAt(event);
        onDrag(true);
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (off.current !== undefined) set(metresAt(event) + off.current);
      }}
      onPointerUp={end}
      onPointerCancel={end}
    >
      {children}
    </g>
  );
}
