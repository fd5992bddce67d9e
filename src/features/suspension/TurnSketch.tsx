'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import type { SteeringOfBuild } from '@/core/worked/suspension/steeringOfBuild';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const WIDTH = 424;
const PAD_MM = 40;

/** From above, turning left at full lock: each wheel's axle produced, and the circle's middle on the rear axle's line. */
export function TurnSketch({
  found,
  wheelbaseMm,
  trackRearMm,
}: {
  found: SteeringOfBuild;
  wheelbaseMm: number;
  trackRearMm: number;
}) {
  const { reader } = useReader();
  const full = found.geometry.rows.filter(({ turnRadiusM }) => turnRadiusM !== undefined);
  const row = full.find(
    ({ leftDeg }) => leftDeg > 0 && leftDeg === Math.max(...full.map((one) => one.leftDeg)),
  );
  if (!row) return null;
  const { corner } = found;
  const [r, front] = [corner.tyreRadiusMm, corner.wheelCentre[1]];
  const centre = 1000 * row.turnRadiusM!;
  const rear = trackRearMm / 2;
  const half = Math.max(front, rear) + r;
  const box = {
    x: -centre - PAD_MM,
    y: -r - PAD_MM,
    w: centre + half + 2 * PAD_MM,
    h: wheelbaseMm + 2 * (r + PAD_MM),
  };
  const thin = { vectorEffect: 'non-scaling-stroke' } as const;
  // front up, the car's left to the left: x across is −y, y down is the way back from the front axle
  const wheel = (y: number, back: number, leftDeg: number) => (
    <rect
      key={`${y},${back}`}
      x={-y - 0.31 * r}
      y={back - r}
      width={0.62 * r}
      height={2 * r}
      transform={`rotate(${-leftDeg} ${-y} ${back})`}
      fill="var(--sheet)"
      stroke="var(--ink)"
      strokeWidth={2}
      {...thin}
    />
  );
  const axle = (y: number, leftDeg: number) => {
    const angle = (leftDeg * Math.PI) / 180;
    const far = (1.02 * (centre - y)) / Math.max(0.05, Math.cos(angle));
    return (
      <line
        key={y}
        x1={-y}
        y1={0}
        x2={-y - far * Math.cos(angle)}
        y2={far * Math.sin(angle)}
        stroke="var(--moss)"
        strokeDasharray="5 4"
        {...thin}
      />
    );
  };
  return (
    <figure className={chartsCss.chart} data-testid="turn" style={{ width: `min(100%, ${WIDTH}px)` }}>
      <figcaption>
        <span>Full lock to the left, from above, front up</span>
      </figcaption>
      <svg
        viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
        width={WIDTH}
        height={(WIDTH * box.h) / box.w}
        role="img"
        aria-label={`Turns about a point ${formatText(row.turnRadiusM!, 'distanceM', reader)} beside the middle of the rear axle`}
      >
        <line x1={0} x2={0} y1={0} y2={wheelbaseMm} stroke="var(--ink)" strokeWidth={2} {...thin} />
        <line x1={-front} x2={front} y1={0} y2={0} stroke="var(--ink)" strokeWidth={1.4} {...thin} />
        <line
          x1={-centre}
          x2={rear}
          y1={wheelbaseMm}
          y2={wheelbaseMm}
          stroke="var(--ink)"
          strokeWidth={1.4}
          {...thin}
        />
        {axle(front, row.leftDeg)}
        {axle(-front, row.rightDeg)}
        {wheel(front, 0, row.leftDeg)}
        {wheel(-front, 0, row.rightDeg)}
        {wheel(rear, wheelbaseMm, 0)}
        {wheel(-rear, wheelbaseMm, 0)}
        <circle
          cx={-centre}
          cy={wheelbaseMm}
          r={9}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={2}
          {...thin}
        />
        <text
          className={chartsCss.strong}
          x={-centre / 2}
          y={wheelbaseMm + box.h / 14}
          textAnchor="middle"
          fontSize={box.w / 30}
        >
          {formatText(row.turnRadiusM!, 'distanceM', reader)}
        </text>
      </svg>
    </figure>
  );
}
