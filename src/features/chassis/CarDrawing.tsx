'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import chassisCss from '@/features/chassis/chassis.module.css';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { PlacedBody } from '@/core/worked/chassis/bodiesOfBuild';
import { moved } from '@/core/verdict/chassis/onStanding';
import type { WeightOfBuild } from '@/core/worked/chassis/weightOfBuild';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';
import { useArrowSteps } from '@/ui/useArrowSteps';
import { useBuild } from '../session/BuildContext';
import { bandHeight, type NameBand, NamesBeside, sidesOf } from './NamesBeside';
import { PatternsUnder } from './PatternsUnder';

/** Seen from above, or from the left side; the front is to the left in both. */
type Side = 'plan' | 'side';

interface CarDrawingProps {
  view: Side;
  weight: WeightOfBuild;
  ghost?: WeightOfBuild;
  chosen: string | undefined;
  onChoose(id: string): void;
}

/** Seen from above, what reaches highest lies on top. */
const topOf = ({ zMm, sizeMm }: PlacedBody) => zMm + sizeMm[2] / 2;

const PAD_MM = 18;
/** Names stand between the wheels where so many letters fit. */
const LEAST_BETWEEN = 10;
const [NUDGE_MM, LEAP_MM] = [1, 10];
const WIDTH_PX = 424;
/** Height of the names' letters on a screen that shows the drawing whole. */
const LETTERS_PX = 13;

/** The car to scale: every component a box to drag or to nudge with the arrow keys, its wheels, and where the weight sits. */
export function CarDrawing({ view, weight, ghost, chosen, onChoose }: CarDrawingProps) {
  const { document, edit, session, closed } = useBuild();
  const { reader } = useReader();
  const drag = useRef<{ id: string; dx: number; dy: number }>(undefined);
  const { wheelbaseMm = 0, trackFrontMm = 0, trackRearMm = 0 } = document.chassis;
  const r = document.drive.tyre?.radiusMm ?? 30;
  const plan = view === 'plan';
  const half = Math.max(trackFrontMm, trackRearMm) / 2 + 0.4 * r;
  const tallest = Math.max(2 * r, ...weight.bodies.map(({ zMm, sizeMm }) => zMm + sizeMm[2] / 2));
  const across = ({ yMm, zMm }: { yMm: number; zMm: number }) => (plan ? yMm : -zMm);
  const width = wheelbaseMm + 2 * (r + PAD_MM);
  const size = (LETTERS_PX * width) / WIDTH_PX;
  const own = weight.bodies.filter(({ fixed }) => !fixed);
  const names = own.filter(({ source }) => source !== 'rest');
  const named = sidesOf(names, across, ({ name }) => name);
  const between = wheelbaseMm - 2 * r > LEAST_BETWEEN * size;
  const room = [
    plan && between ? r + 0.3 * size : -r - PAD_MM,
    plan && between ? wheelbaseMm - r - 0.3 * size : wheelbaseMm + r + PAD_MM,
  ] as const;
  const reach = Math.max(
    between ? 0 : half,
    ...own.map((body) => Math.abs(across(body)) + body.sizeMm[1] / 2),
  );
  const bands: NameBand[] = plan
    ? [
        { named: named[0], y: -reach - 0.5 * size, way: -1 },
        { named: named[1], y: reach + 1.1 * size, way: 1 },
      ]
    : [
        { named: named.flat().filter(({ y }) => -y > tallest / 2), y: -tallest - 0.5 * size, way: -1 },
        { named: named.flat().filter(({ y }) => -y <= tallest / 2), y: 1.3 * size, way: 1 },
      ];
  const [over, under] = bands.map((band) => bandHeight(band, room, size));
  const box = plan
    ? {
        top: -Math.max(half + PAD_MM, reach + over! + 0.5 * size),
        end: Math.max(half + PAD_MM, reach + under! + 0.5 * size),
      }
    : { top: -tallest - PAD_MM - over!, end: PAD_MM + under! };
  // in the axes of the level chassis, whatever its rake
  const at = (event: PointerEvent<SVGGElement>) =>
    new DOMPoint(event.clientX, event.clientY).matrixTransform(event.currentTarget.getScreenCTM()!.inverse());
  const { rakeDeg = 0 } = document.chassis;
  const rake = plan || rakeDeg === 0 ? undefined : `rotate(${-rakeDeg} ${wheelbaseMm / 2} 0)`;
  const move = (body: PlacedBody, x: number, y: number) => {
    const xMm = Math.round(-x);
    const other = Math.round(plan ? y : -y);
    edit(
      moved(document, body.id, plan ? { xMm, yMm: other } : { xMm, zMm: Math.max(0, other) }),
      `move-${body.id}`,
    );
  };
  const arrowSteps = useArrowSteps(() => session.endStep());
  const keys = (body: PlacedBody) => (event: KeyboardEvent) => {
    const step = event.shiftKey ? LEAP_MM : NUDGE_MM;
    const [dx, dy] = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    }[event.key] ?? [0, 0];
    if (dx === 0 && dy === 0) return;
    event.preventDefault();
    arrowSteps(event);
    move(body, -body.xMm + dx!, across(body) + dy!);
  };
  const line = { vectorEffect: 'non-scaling-stroke' } as const;
  const [cgX, cgY] = [-weight.cgMm[0], plan ? weight.cgMm[1] : -weight.cgMm[2]];
  const loads = weight.balance?.wheelLoadsN;
  return (
    <figure
      className={chartsCss.chart}
      data-testid={`drawing-${view}`}
      style={{ width: `min(100%, ${WIDTH_PX}px)` }}
    >
      <figcaption>
        <span>{plan ? 'From above, front to the left' : 'From the side, front to the left'}</span>
      </figcaption>
      <svg
        viewBox={`${-r - PAD_MM} ${box.top} ${width} ${box.end - box.top}`}
        width={WIDTH_PX}
        role="group"
        aria-label={plan ? 'Plan to scale' : 'Side view to scale'}
        className={chartsCss.dragged}
      >
        {plan ? (
          <path
            d={`M0,${-trackFrontMm / 2}L${wheelbaseMm},${-trackRearMm / 2}M0,${trackFrontMm / 2}L${wheelbaseMm},${trackRearMm / 2}`}
            stroke="var(--rule)"
            strokeDasharray="5 4"
            {...line}
          />
        ) : (
          <line
            x1={-r - PAD_MM}
            x2={wheelbaseMm + r + PAD_MM}
            y1={0}
            y2={0}
            stroke="var(--ink)"
            strokeWidth={2}
            {...line}
          />
        )}
        {plan
          ? [
              [0, trackFrontMm],
              [wheelbaseMm, trackRearMm],
            ].map(([x, track]) => (
              <line
                key={x}
                x1={x}
                x2={x}
                y1={-track! / 2}
                y2={track! / 2}
                stroke="var(--ink)"
                strokeWidth={1.5}
                {...line}
              />
            ))
          : null}
        {weight.bodies
          .filter(({ id }) => id.startsWith('wheel-') && (plan || id.endsWith('l')))
          .map((wheel) =>
            plan ? (
              <rect
                key={wheel.id}
                x={-wheel.xMm - r}
                y={across(wheel) - 0.35 * r}
                width={2 * r}
                height={0.7 * r}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth={2}
                {...line}
              />
            ) : (
              <circle
                key={wheel.id}
                cx={-wheel.xMm}
                cy={-r}
                r={r}
                fill="none"
                stroke="var(--ink)"
                strokeWidth={2}
                {...line}
              />
            ),
          )}
        {[...own]
          .sort(
            (a, b) =>
              Number(b.source === 'rest') - Number(a.source === 'rest') ||
              (plan ? topOf(a) - topOf(b) : b.massG - a.massG),
          )
          .map((body) => {
            const [w, h] = [body.sizeMm[0], plan ? body.sizeMm[1] : body.sizeMm[2]];
            const [x, y] = [-body.xMm, across(body)];
            const isChosen = body.id === chosen;
            return (
              <g
                key={body.id}
                className={chassisCss.body}
                tabIndex={0}
                role="button"
                aria-pressed={isChosen}
                aria-label={`${body.name}, ${formatText(body.massG, 'massG', reader)}: arrow keys move it`}
                data-body={body.id}
                transform={body.sprung ? rake : undefined}
                onFocus={() => onChoose(body.id)}
                onKeyDown={closed ? undefined : keys(body)}
                onBlur={() => session.endStep()}
                onPointerDown={(event) => {
                  onChoose(body.id);
                  if (closed) return;
                  const from = at(event);
                  drag.current = { id: body.id, dx: x - from.x, dy: y - from.y };
                  event.currentTarget.setPointerCapture(event.pointerId);
                }}
                onPointerMove={(event) => {
                  if (drag.current?.id !== body.id) return;
                  const to = at(event);
                  move(body, to.x + drag.current.dx, to.y + drag.current.dy);
                }}
                onPointerUp={() => {
                  drag.current = undefined;
                  session.endStep();
                }}
              >
                <rect
                  x={x - w / 2}
                  y={y - h / 2}
                  width={w}
                  height={h}
                  fill={body.source === 'rest' ? 'none' : isChosen ? 'var(--moss)' : 'var(--faint)'}
                  fillOpacity={isChosen ? 0.35 : 0.6}
                  stroke={isChosen ? 'var(--moss)' : 'var(--ink)'}
                  strokeWidth={isChosen ? 2.5 : 1.2}
                  strokeDasharray={body.placed ? undefined : '4 3'}
                  pointerEvents="all"
                  {...line}
                />
              </g>
            );
          })}
        {plan ? <PatternsUnder /> : null}
        <NamesBeside bands={bands} room={room} size={size} chosen={chosen} />
        {ghost ? (
          <circle
            cx={-ghost.cgMm[0]}
            cy={plan ? ghost.cgMm[1] : -ghost.cgMm[2]}
            r={7}
            fill="none"
            stroke="var(--ghost)"
            strokeWidth={2}
            {...line}
          />
        ) : null}
        <g pointerEvents="none" data-testid={`cg-${view}`} data-x={weight.cgMm[0]}>
          <circle cx={cgX} cy={cgY} r={7} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} {...line} />
          <path d={`M${cgX},${cgY}v-7a7 7 0 0 1 7 7zM${cgX},${cgY}v7a7 7 0 0 1 -7 -7z`} fill="var(--ink)" />
        </g>
        {plan && loads
          ? (['fl', 'fr', 'rl', 'rr'] as const).map((wheel) => (
              <text
                key={wheel}
                x={wheel[0] === 'f' ? 0 : wheelbaseMm}
                y={
                  (wheel[1] === 'l' ? 1 : -1) *
                    ((wheel[0] === 'f' ? trackFrontMm : trackRearMm) / 2 + 0.35 * r) +
                  (wheel[1] === 'l' ? 11 : -4)
                }
                textAnchor="middle"
                className={chartsCss.strong}
                fontSize={0.85 * size}
              >
                {formatText(loads[wheel], 'forceN', reader)}
              </text>
            ))
          : null}
      </svg>
    </figure>
  );
}
