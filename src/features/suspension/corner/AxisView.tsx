'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import { useState } from 'react';
import type { Corner } from '@/core/physics/corner/corner';
import { mirrored, type Part, type Posed, sticksOf, wheelRing } from '@/core/physics/corner/posed';
import type { Vec3 } from '@/core/base/vec3';
import { QuantitySlider } from '@/ui/QuantitySlider';

const WIDTHS: Readonly<Record<Part, number>> = { arm: 3, link: 2, tie: 2, upright: 2, damper: 5 };
const TILT = Math.PI / 7;
const [WIDTH_PX, HEIGHT_PX] = [640, 330];

/** Both corners seen from above and aside, without perspective, turned by a slider. */
export function AxisView({ corner, left, right }: { corner: Corner; left: Posed; right: Posed }) {
  const [turnDeg, turn] = useState(35);
  const angle = (turnDeg * Math.PI) / 180;
  const [s, c] = [Math.sin(angle), Math.cos(angle)];
  // seen from the front, turned about the upright axis
  const x = ([px, py]: Vec3) => py * c - px * s;
  const y = ([px, py, pz]: Vec3) => (py * s + px * c) * Math.sin(TILT) - pz * Math.cos(TILT);
  const half = 1.5 * corner.wheelCentre[1];
  const side = (posed: Posed, at: (p: Vec3) => Vec3) => (
    <g>
      {[1, -1].map((way) => (
        <path
          key={way}
          d={rimPath(
            corner,
            posed,
            way,
            (p) => x(at(p)),
            (p) => y(at(p)),
          )}
          fill="var(--faint)"
          fillOpacity={0.5}
          stroke="var(--quiet)"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {sticksOf(corner.kind, posed).map(({ part, from, to }, index) => (
        <line
          key={index}
          x1={x(at(from))}
          y1={y(at(from))}
          x2={x(at(to))}
          y2={y(at(to))}
          stroke={part === 'damper' ? 'var(--moss)' : part === 'tie' ? 'var(--slate)' : 'var(--ink)'}
          strokeWidth={WIDTHS[part]}
          strokeLinecap="round"
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </g>
  );
  return (
    <figure className={chartsCss.chart} style={{ width: `min(100%, ${WIDTH_PX}px)` }} data-testid="axis-view">
      <figcaption>
        <span>In space, drawn flat: this browser shows no 3D</span>
      </figcaption>
      <svg
        viewBox={`${-half} ${-0.72 * half} ${2 * half} ${(2 * half * HEIGHT_PX) / WIDTH_PX}`}
        width={WIDTH_PX}
        height={HEIGHT_PX}
        role="img"
        aria-label={`Both wheels and their arms, turned by ${turnDeg}°`}
      >
        {side(right, mirrored)}
        {side(left, (p) => p)}
      </svg>
      <QuantitySlider
        label="Turn it"
        quantity="angleDeg"
        value={turnDeg}
        min={-180}
        max={180}
        step={5}
        onChange={turn}
        onEnd={() => undefined}
      />
    </figure>
  );
}

function rimPath(
  { tyreRadiusMm }: Corner,
  posed: Posed,
  way: number,
  x: (p: Vec3) => number,
  y: (p: Vec3) => number,
): string {
  return `M${wheelRing(tyreRadiusMm, posed, way)
    .map((p) => `${x(p).toFixed(2)},${y(p).toFixed(2)}`)
    .join('L')}Z`;
}
