'use client';

import chartsCss from '@/ui/charts/charts.module.css';
import gearsCss from '@/features/drive/gears/gears.module.css';
import Box from '@mui/material/Box';
import type { CSSProperties, ReactNode } from 'react';
import { Toggle, Toggles } from '@/ui/controls/Toggle';

export const [SKETCH_WIDTH, SKETCH_HEIGHT] = [760, 270];

/** One gear, pulley or sprocket as a layer of its own, which turns without painting. */
export interface TurningPart {
  path: string;
  /** On the sketch, px, and how far its drawing reaches from there, mm. */
  x: number;
  y: number;
  reachMm: number;
  fromDeg: number;
  /** One turn, s; none for a part that stands. */
  turnS?: number;
  way?: 'normal' | 'reverse';
  fill: string;
}

/** A drawing to scale with its caption and what it can do. */
export function StageFigure({
  caption,
  says,
  turning,
  onTurn,
  testId,
  acts,
  children,
}: {
  caption: string;
  /** For those who do not see it. */
  says: string;
  turning: boolean;
  onTurn(turning: boolean): void;
  testId: string;
  acts?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Box
      component="figure"
      className={chartsCss.chart}
      style={{ width: `min(100%, ${SKETCH_WIDTH}px)` }}
      sx={{ mt: 1 }}
      data-testid={testId}
    >
      <figcaption>
        <span>{caption}</span>
        <Toggles>
          <Toggle size="small" pressed={turning} onPress={() => onTurn(!turning)}>
            {turning ? 'stop' : 'turn it'}
          </Toggle>
          {acts}
        </Toggles>
      </figcaption>
      <div className={gearsCss.mesh} role="img" aria-label={says}>
        <div className={gearsCss.meshmid} style={{ width: SKETCH_WIDTH, height: SKETCH_HEIGHT }}>
          {children}
        </div>
      </div>
    </Box>
  );
}

export function TurningLayer({
  part,
  scale,
  turning,
}: {
  part: TurningPart;
  scale: number;
  turning: boolean;
}) {
  const { path, x, y, reachMm: r, fromDeg, turnS, way = 'normal', fill } = part;
  return (
    <svg
      className={turning && turnS !== undefined ? gearsCss.turning : undefined}
      viewBox={`${-r} ${-r} ${2 * r} ${2 * r}`}
      width={2 * r * scale}
      height={2 * r * scale}
      style={
        {
          left: x - r * scale,
          top: y - r * scale,
          '--from': `${fromDeg}deg`,
          '--turn': `${turnS ?? 0}s`,
          '--way': way,
        } as CSSProperties
      }
    >
      <path d={path} fillRule="evenodd" fill={fill} stroke="var(--ink)" strokeWidth={1.2 / scale} />
    </svg>
  );
}

/** Upward in the gear is downward on the screen. */
export const pathOf = (points: readonly (readonly [number, number])[]) =>
  `M${points.map(([x, y]) => `${x.toFixed(3)},${(-y).toFixed(3)}`).join('L')}Z`;

/** A round hole or rim in a path. */
export const circlePath = (radiusMm: number) =>
  `M${radiusMm},0A${radiusMm},${radiusMm} 0 1 0 ${-radiusMm},0A${radiusMm},${radiusMm} 0 1 0 ${radiusMm},0Z`;
