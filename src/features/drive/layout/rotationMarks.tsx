'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import type { Stage, Axle } from '@/core/car/stages/stage';
import type { RotationShaft } from '@/core/physics/gears/rotation';
import { sidesAt } from '@/core/worked/drive/rotationOfBuild';

/** Height of the middle line of the sketch. */
export const MIDDLE = 175;

export const WHEEL = { length: 84, width: 34, offset: 118 };

/** Where the top of a shaft goes: about the car's length to its right, across it forward. */
export function Sense({ shaft, x, y, ink }: { shaft: RotationShaft; x: number; y: number; ink: string }) {
  const along = shaft.axis === 'x';
  const by = -15 * shaft.spin;
  return along ? (
    <Arrow x1={x} y1={y - by} x2={x} y2={y + by} ink={ink} />
  ) : (
    <Arrow x1={x - by} y1={y} x2={x + by} y2={y} ink={ink} />
  );
}

export function Bevel({ stage, axle, x, ink }: { stage: Stage; axle: Axle; x: number; ink: string }) {
  const { pinion, ring } = sidesAt(stage, axle);
  const px = x + (pinion === 'ahead' ? -9 : 9);
  const ry = MIDDLE + (ring === 'left' ? 20 : -20);
  return (
    <g>
      <path d={`M${px - 4},${MIDDLE - 9}h8v18h-8z`} fill={ink} />
      <path d={`M${x - 24},${ry - 4}h48v8h-48z`} fill="var(--sheet)" stroke={ink} strokeWidth="2" />
      <text x={x + 28} y={ry + (ring === 'left' ? 18 : -8)}>
        ring gear, {ring}
      </text>
    </g>
  );
}
export function Wheel({ x, y, forward }: { x: number; y: number; forward: boolean }) {
  const ink = forward ? 'var(--ink)' : 'var(--rust)';
  const by = forward ? -30 : 30;
  return (
    <g>
      <rect
        x={x - WHEEL.length / 2}
        y={y - WHEEL.width / 2}
        width={WHEEL.length}
        height={WHEEL.width}
        fill="var(--sheet)"
        stroke={ink}
        strokeWidth={forward ? 1.6 : 2.6}
        rx="6"
      />
      <Arrow x1={x - by} y1={y} x2={x + by} y2={y} ink={ink} wide />
      <text className={chartsCss.strong} x={x + WHEEL.length / 2 + 8} y={y + 4} fill={ink}>
        {forward ? 'forward' : 'backward'}
      </text>
    </g>
  );
}
export function Motor({
  x,
  y,
  along,
  small = false,
  label = true,
}: {
  x: number;
  y: number;
  along: boolean;
  small?: boolean;
  label?: boolean;
}) {
  const [length, width] = small ? [34, 22] : [58, 38];
  const [w, h] = along ? [length, width] : [width, length];
  return (
    <g>
      <rect x={x - w / 2} y={y - h / 2} width={w} height={h} fill="var(--ink)" />
      {label ? (
        <text
          x={small ? x + w / 2 + 6 : x}
          y={small ? y + 4 : y - h / 2 - 6}
          textAnchor={small ? 'start' : 'middle'}
        >
          motor
        </text>
      ) : null}
    </g>
  );
}
export function Arrow({
  x1,
  y1,
  x2,
  y2,
  ink,
  wide = false,
}: {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  ink: string;
  wide?: boolean;
}) {
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const head = wide ? 11 : 7;
  const at = (turn: number) => `${x2 - head * Math.cos(angle + turn)},${y2 - head * Math.sin(angle + turn)}`;
  return (
    <g stroke={ink} fill="none" strokeWidth={wide ? 3 : 2}>
      <line x1={x1} y1={y1} x2={x2} y2={y2} />
      <path d={`M${at(0.5)}L${x2},${y2}L${at(-0.5)}`} />
    </g>
  );
}
