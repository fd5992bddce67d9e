'use client';

import gearsCss from '@/features/drive/gears/gears.module.css';
import { type CSSProperties, useMemo, useState } from 'react';
import { circlePath, SKETCH_HEIGHT, SKETCH_WIDTH, StageFigure, TurningLayer } from './GearLayers';

/** A belt or chain round two wheels. */
export interface Loop {
  kind: 'belt' | 'chain';
  pitchMm: number;
  /** Driving and driven. */
  teeth: readonly [number, number];
  pitchDiametersMm: readonly [number, number];
  centreMm: number;
  /** Teeth of the belt, or links. */
  count: number;
}

/** One pitch of the belt goes by in this long, s. */
const PITCH_S = 0.35;
const DEG = 180 / Math.PI;
/** Middle of a belt's tooth inside its pitch line, pitches. */
const TOOTH_IN = 0.15;

/** Both pulleys or sprockets with the loop round them to scale, with as many teeth or links as it has. */
export function LoopSketch({ loop }: { loop: Loop }) {
  const [turning, setTurning] = useState(false);
  const { kind, pitchMm, teeth, pitchDiametersMm, centreMm, count } = loop;
  const [r1, r2] = [pitchDiametersMm[0] / 2, pitchDiametersMm[1] / 2];
  const room = pitchMm;
  const scale = Math.min(
    (SKETCH_WIDTH - 20) / (r1 + centreMm + r2 + 2 * room),
    (SKETCH_HEIGHT - 10) / (2 * (Math.max(r1, r2) + room)),
  );
  const left = (SKETCH_WIDTH - scale * (r1 + centreMm + r2)) / 2 + scale * r1;
  const y = SKETCH_HEIGHT / 2;
  const [x1, x2] = [left, left + scale * centreMm];
  const paths = useMemo(
    () => [wheelPath(kind, pitchMm, teeth[0], r1), wheelPath(kind, pitchMm, teeth[1], r2)],
    [kind, pitchMm, teeth, r1, r2],
  );
  const lean = Math.asin((r2 - r1) / centreMm);
  /** Round both wheels, so far inside the pitch line. */
  const round = (insideMm: number) => {
    const [a, b] = [r1 - insideMm, r2 - insideMm];
    const at = (x: number, r: number, side: 1 | -1) =>
      `${x - scale * r * Math.sin(lean)},${y - side * scale * r * Math.cos(lean)}`;
    return (
      `M${at(x1, a, 1)}L${at(x2, b, 1)}` +
      `A${scale * b},${scale * b} 0 ${lean > 0 ? 1 : 0} 1 ${at(x2, b, -1)}` +
      `L${at(x1, a, -1)}A${scale * a},${scale * a} 0 ${lean < 0 ? 1 : 0} 1 ${at(x1, a, 1)}`
    );
  };
  const loopPath = round(0);
  const step = scale * pitchMm;
  return (
    <StageFigure
      caption={kind === 'belt' ? 'The belt on its pulleys, to scale' : 'The chain on its sprockets, to scale'}
      says={`${kind === 'belt' ? 'Belt' : 'Chain'} of ${count} ${kind === 'belt' ? 'teeth' : 'links'} round ${teeth[0]} and ${teeth[1]} teeth.`}
      turning={turning}
      onTurn={setTurning}
      testId="loop-sketch"
    >
      {[x1, x2].map((x, index) => (
        <TurningLayer
          key={index}
          scale={scale}
          turning={turning}
          part={{
            path: paths[index]!,
            x,
            y,
            reachMm: (index === 0 ? r1 : r2) + room,
            fromDeg: -lean * DEG,
            turnS: teeth[index]! * PITCH_S,
            fill: index === 0 ? 'var(--faint)' : 'var(--sheet)',
          }}
        />
      ))}
      <svg
        className={gearsCss.flat}
        viewBox={`0 0 ${SKETCH_WIDTH} ${SKETCH_HEIGHT}`}
        width={SKETCH_WIDTH}
        height={SKETCH_HEIGHT}
      >
        <path
          d={loopPath}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={kind === 'belt' ? Math.max(1.5, scale * pitchMm * 0.16) : 1}
        />
        <path
          className={turning ? gearsCss.running : undefined}
          style={{ '--step': `${-step}px`, '--pitch': `${PITCH_S}s` } as CSSProperties}
          d={kind === 'belt' ? round(TOOTH_IN * pitchMm) : loopPath}
          pathLength={count * step}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={kind === 'belt' ? step * 2 * TOOTH_IN : step * 0.55}
          strokeLinecap={kind === 'belt' ? 'butt' : 'round'}
          strokeDasharray={kind === 'belt' ? `${step * 0.42} ${step * 0.58}` : `0 ${step}`}
        />
      </svg>
    </StageFigure>
  );
}

/** A pulley or sprocket: a round with a gap for each tooth or roller. */
function wheelPath(kind: Loop['kind'], pitchMm: number, teeth: number, radiusMm: number): string {
  const deep = (kind === 'belt' ? 0.3 : 0.32) * pitchMm;
  const [top, gap] = [radiusMm - 0.1 * pitchMm, radiusMm - deep];
  const half = (kind === 'belt' ? 0.24 : 0.3) / teeth;
  const points: string[] = [];
  const put = (r: number, turns: number) =>
    points.push(
      `${(r * Math.sin(2 * Math.PI * turns)).toFixed(3)},${(-r * Math.cos(2 * Math.PI * turns)).toFixed(3)}`,
    );
  for (let tooth = 0; tooth < teeth; tooth++) {
    const middle = tooth / teeth;
    put(top, middle - half);
    put(gap, middle - 0.7 * half);
    put(gap, middle + 0.7 * half);
    put(top, middle + half);
  }
  return `M${points.join('L')}Z${circlePath(0.3 * radiusMm)}`;
}
