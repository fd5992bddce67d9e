'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import cornerCss from '@/features/suspension/corner/corner.module.css';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { End } from '@/core/car/document/suspension';
import { type Corner } from '@/core/physics/corner/corner';
import type { EndOfBuild } from '@/core/worked/suspension/endOfBuild';
import { mirrored, type Posed } from '@/core/physics/corner/posed';
import type { Vec3 } from '@/core/base/vec3';
import { useArrowSteps } from '@/ui/useArrowSteps';
import { useBuild } from '../../session/BuildContext';
import { Charts } from '../../frame/Guarded';
import { pointLabel, setPoint } from './points';
import { isStillAt, type Motion } from './useCornerMotion';
import { TREAD_RADII, pointsAt, Skeleton } from './CornerSkeleton';

/** A flat view: which axes of the car it shows to the right and down. */
interface View {
  id: 'front' | 'side' | 'plan';
  title: string;
  across: readonly [axis: 0 | 1 | 2, sign: 1 | -1];
  down: readonly [axis: 0 | 1 | 2, sign: 1 | -1];
}

const VIEWS: readonly View[] = [
  { id: 'front', title: 'From the front', across: [1, 1], down: [2, -1] },
  { id: 'side', title: 'Left side, front to the left', across: [0, -1], down: [2, -1] },
  { id: 'plan', title: 'From above, front to the left', across: [0, -1], down: [1, 1] },
];

/** For the three of them beside each other. */
const ALL_PX = 846;

const [NUDGE_MM, LEAP_MM] = [0.5, 2];

interface CornerViewsProps {
  end: End;
  corner: Corner;
  left: Posed;
  right: Posed;
  motion: Motion;
  ghost: { label: string; drawn: EndOfBuild; left: Posed; right: Posed } | undefined;
  chosen: string | undefined;
  onChoose(point: string): void;
  /** Points are moved where they are drawn. */
  onDrawn(): void;
}

/** The corner in three views to one scale; its points drag and go by the arrow keys, the other side is its mirror image. */
export function CornerViews(props: CornerViewsProps) {
  const height = viewHeight(props.corner, props.left, props.right);
  const scale = ALL_PX / VIEWS.reduce((sum, view) => sum + boxOf(view, props.corner, height).w, 0);
  return (
    <Charts sx={{ gap: 2, mt: 2 }}>
      {VIEWS.map((view) => (
        <FlatView key={view.id} view={view} height={height} scale={scale} {...props} />
      ))}
    </Charts>
  );
}

const PAD_MM = 10;

const tallest = ({ tyreRadiusMm, damper, rocker, wheelCentre }: Corner, { station }: Posed) =>
  Math.max(
    wheelCentre[2] + tyreRadiusMm,
    station.points.wheelCentre![2] + tyreRadiusMm,
    damper?.inner[2] ?? 0,
    (rocker?.damperRocker[2] ?? 0) + 4,
  ) + PAD_MM;

const viewHeight = (corner: Corner, left: Posed, right: Posed) =>
  Math.max(tallest(corner, left), tallest(corner, right));

/** What a view shows, mm: the whole car from the front, the left corner from elsewhere. */
function boxOf({ id }: View, { tyreRadiusMm: r, wheelCentre }: Corner, height: number) {
  const half = wheelCentre[1] + TREAD_RADII * r + PAD_MM;
  if (id === 'front') return { x: -half, y: -height, w: 2 * half, h: height + PAD_MM };
  const side = r + PAD_MM;
  return id === 'side'
    ? { x: -side, y: -height, w: 2 * side, h: height + PAD_MM }
    : { x: -side, y: 0, w: 2 * side, h: half };
}

function FlatView({
  view,
  height,
  scale,
  end,
  corner,
  left,
  right,
  motion,
  ghost,
  chosen,
  onChoose,
  onDrawn,
}: CornerViewsProps & { view: View; height: number; scale: number }) {
  const { document, edit, session, closed } = useBuild();
  const svg = useRef<SVGSVGElement>(null);
  const drag = useRef<{ name: string; dx: number; dy: number }>(undefined);
  const { across, down } = view;
  const box = boxOf(view, corner, height);
  const width = box.w * scale;
  const x = (p: Vec3) => across[1] * p[across[0]];
  const y = (p: Vec3) => down[1] * p[down[0]];
  const at = (event: PointerEvent) =>
    new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.current!.getScreenCTM()!.inverse());
  const put = (name: string, from: Vec3, px: number, py: number) => {
    const place = [...from] as [number, number, number];
    place[across[0]] = Math.round(10 * across[1] * px) / 10;
    place[down[0]] = Math.round(10 * down[1] * py) / 10;
    edit(setPoint(end, name, place), `point-${end}-${name}`);
  };
  const drawn = document.suspension[end]?.corner;
  const points = drawn ? pointsAt(corner, left) : [];
  const drawnPose = isStillAt(motion, 0);
  const arrowSteps = useArrowSteps(() => session.endStep());
  const keys = (name: string, from: Vec3) => (event: KeyboardEvent) => {
    const step = event.shiftKey ? LEAP_MM : NUDGE_MM;
    const [dx, dy] = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    }[event.key] ?? [0, 0];
    if (dx === 0 && dy === 0) return;
    event.preventDefault();
    if (!drawnPose) return onDrawn();
    arrowSteps(event);
    put(name, from, x(from) + dx!, y(from) + dy!);
  };
  const thin = { vectorEffect: 'non-scaling-stroke' } as const;
  return (
    <figure
      className={chartsCss.chart}
      data-testid={`view-${view.id}`}
      style={{ width: `min(100%, ${width}px)` }}
    >
      <figcaption>
        <span>{view.title}</span>
      </figcaption>
      <svg
        ref={svg}
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        width={width}
        height={box.h * scale}
        role="group"
        aria-label={`${view.title}, ${end} corner`}
        className={chartsCss.dragged}
      >
        {view.id === 'plan' ? (
          <line
            x1={box.x}
            x2={box.x + box.w}
            y1={0}
            y2={0}
            stroke="var(--rule)"
            strokeDasharray="6 4"
            {...thin}
          />
        ) : (
          <Ground box={box} z={groundAt(corner)} />
        )}
        {view.id === 'front' ? (
          <line
            x1={0}
            x2={0}
            y1={box.y}
            y2={box.y + box.h}
            stroke="var(--rule)"
            strokeDasharray="6 4"
            {...thin}
          />
        ) : null}
        {ghost ? <Skeleton corner={ghost.drawn.corner} posed={ghost.left} x={x} y={y} look="ghost" /> : null}
        {ghost && view.id === 'front' ? (
          <Skeleton
            corner={ghost.drawn.corner}
            posed={ghost.right}
            x={(p) => x(mirrored(p))}
            y={y}
            look="ghost"
          />
        ) : null}
        {view.id === 'front' ? (
          <Skeleton corner={corner} posed={right} x={(p) => x(mirrored(p))} y={y} look="mirror" />
        ) : null}
        <Skeleton corner={corner} posed={left} x={x} y={y} look="own" />
        {view.id === 'front' &&
        left.station.rollCentreMm !== undefined &&
        isStillAt(motion, motion.travelMm) ? (
          <RollCentre z={left.station.points.contact[2] + left.station.rollCentreMm} box={box} />
        ) : null}
        {points.map(([name, place]) => (
          <g
            key={name}
            className={cornerCss.hardpoint}
            tabIndex={0}
            role="button"
            aria-pressed={name === chosen}
            aria-label={`${pointLabel(name)}: arrow keys move it`}
            data-point={name}
            onFocus={() => onChoose(name)}
            onKeyDown={closed ? undefined : keys(name, place)}
            onBlur={() => session.endStep()}
            onPointerDown={(event) => {
              onChoose(name);
              if (closed) return;
              if (!drawnPose) return onDrawn();
              const from = at(event);
              drag.current = { name, dx: x(place) - from.x, dy: y(place) - from.y };
              event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={(event) => {
              if (drag.current?.name !== name) return;
              const to = at(event);
              put(name, place, to.x + drag.current.dx, to.y + drag.current.dy);
            }}
            onPointerUp={() => {
              drag.current = undefined;
              session.endStep();
            }}
          >
            <circle cx={x(place)} cy={y(place)} r={9 / scale} fill="transparent" />
            <circle
              className={cornerCss.dot}
              cx={x(place)}
              cy={y(place)}
              r={(name === chosen ? 5.5 : 3.6) / scale}
              fill={name === chosen ? 'var(--moss)' : 'var(--sheet)'}
              stroke={name === chosen ? 'var(--moss)' : 'var(--ink)'}
              strokeWidth={1.6}
              {...thin}
            />
          </g>
        ))}
        {points
          .filter(([name]) => name === chosen)
          .map(([name, place]) => (
            <text
              key={name}
              className={chartsCss.strong}
              x={x(place) + (x(place) > box.x + 0.6 * box.w ? -9 : 9) / scale}
              y={y(place) - 8 / scale}
              textAnchor={x(place) > box.x + 0.6 * box.w ? 'end' : 'start'}
              fontSize={12 / scale}
              pointerEvents="none"
            >
              {pointLabel(name)}
            </text>
          ))}
      </svg>
    </figure>
  );
}

const groundAt = ({ wheelCentre, tyreRadiusMm }: Corner) => wheelCentre[2] - tyreRadiusMm;

function Ground({ box, z }: { box: { x: number; w: number }; z: number }) {
  return (
    <line
      x1={box.x}
      x2={box.x + box.w}
      y1={-z}
      y2={-z}
      stroke="var(--ink)"
      strokeWidth={2}
      vectorEffect="non-scaling-stroke"
    />
  );
}

function RollCentre({ z, box }: { z: number; box: { y: number; h: number } }) {
  if (-z < box.y || -z > box.y + box.h) return null;
  return (
    <g pointerEvents="none">
      <path
        d={`M-5,${-z}h10M0,${-z - 5}v10`}
        stroke="var(--moss)"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
      <circle
        cx={0}
        cy={-z}
        r={3}
        fill="none"
        stroke="var(--moss)"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
      <text x={7} y={-z - 3} fontSize={7.5} fill="var(--moss)">
        roll centre
      </text>
    </g>
  );
}
