'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import { SAG_BAND_PCT } from '@/core/verdict/suspension/ride/sag.check';
import type { RideInput, RideResult } from '@/core/physics/corner/ride';
import { formatText } from '@/core/base/units/formatQuantity';
import { useReader } from '@/ui/reader';

const [WIDTH, HEIGHT, TOP, BOTTOM, LEFT] = [400, 250, 24, 18, 150] as const;

/** The wheel's travel as a scale from bump stop to droop stop: where it rests, and where it should. */
export function TravelGauge({
  input,
  ride,
  ghost,
}: {
  input: RideInput;
  ride: RideResult;
  ghost: { label: string; sagMm: number } | undefined;
}) {
  const { reader } = useReader();
  const travel = input.wheelTravelMm;
  const y = (fromDroopMm: number) =>
    HEIGHT - BOTTOM - (Math.max(0, Math.min(travel, fromDroopMm)) / travel) * (HEIGHT - TOP - BOTTOM);
  const [low, high] = SAG_BAND_PCT;
  const mm = (value: number) => formatText(value, 'lengthMm', reader);
  const at = y(ride.sagMm);
  const bad = ride.bottomsAtRest || ride.toppedOut;
  return (
    <figure className={chartsCss.chart} data-testid="travel-gauge" style={{ width: `min(100%, ${WIDTH}px)` }}>
      <figcaption>
        <span>Where it rests in its travel</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={`Rests ${mm(ride.sagMm)} from full droop of ${mm(travel)}; good between ${low} and ${high} %.`}
      >
        <defs>
          <pattern id="stop" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0,0v6" stroke="var(--rust)" strokeWidth="2" />
          </pattern>
        </defs>
        <rect x={LEFT} y={TOP - 12} width={70} height={12} fill="url(#stop)" />
        <line x1={LEFT} x2={LEFT + 70} y1={TOP} y2={TOP} stroke="var(--rust)" strokeWidth={1.6} />
        <rect x={LEFT} y={HEIGHT - BOTTOM} width={70} height={12} fill="url(#stop)" />
        <line
          x1={LEFT}
          x2={LEFT + 70}
          y1={HEIGHT - BOTTOM}
          y2={HEIGHT - BOTTOM}
          stroke="var(--rust)"
          strokeWidth={1.6}
        />
        <line
          x1={LEFT + 35}
          x2={LEFT + 35}
          y1={TOP}
          y2={HEIGHT - BOTTOM}
          stroke="var(--rule)"
          strokeWidth={8}
        />
        <rect
          x={LEFT + 27}
          y={y((high / 100) * travel)}
          width={16}
          height={y((low / 100) * travel) - y((high / 100) * travel)}
          fill="var(--wash)"
        />
        <text x={LEFT - 10} y={(y((high / 100) * travel) + y((low / 100) * travel)) / 2 + 4} textAnchor="end">
          good, {low} to {high} %
        </text>
        <text x={LEFT - 10} y={TOP + 4} textAnchor="end">
          bump stop
        </text>
        <text x={LEFT - 10} y={HEIGHT - BOTTOM + 4} textAnchor="end">
          droop stop
        </text>
        {ghost ? (
          <>
            <line
              x1={LEFT + 14}
              x2={LEFT + 56}
              y1={y(ghost.sagMm)}
              y2={y(ghost.sagMm)}
              stroke="var(--ghost)"
              strokeWidth={1.4}
            />
            <text
              x={LEFT + 62}
              y={y(ghost.sagMm) + (Math.abs(y(ghost.sagMm) - at) < 14 ? 16 : 4)}
              fill="var(--ghost)"
            >
              {ghost.label}
            </text>
          </>
        ) : null}
        <path d={`M${LEFT + 14},${at}h42`} stroke={bad ? 'var(--rust)' : 'var(--ink)'} strokeWidth={3} />
        <circle
          cx={LEFT + 35}
          cy={at}
          r={6}
          fill="var(--sheet)"
          stroke={bad ? 'var(--rust)' : 'var(--ink)'}
          strokeWidth={2.4}
        />
        <text className={chartsCss.strong} x={LEFT + 62} y={at + 4}>
          {ride.bottomsAtRest
            ? 'bottomed at rest'
            : ride.toppedOut
              ? 'topped out'
              : `rests ${mm(ride.sagMm)} up`}
        </text>
        {bad ? null : (
          <text x={LEFT + 62} y={(TOP + at) / 2 + 4}>
            {mm(ride.bumpLeftMm)} left for bumps
          </text>
        )}
      </svg>
    </figure>
  );
}
