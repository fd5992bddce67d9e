import { refusal } from '../../base/errors';
import { GRAVITY } from '../../base/constants';

declare module '../../base/errors' {
  interface RefusalFacts {
    'trace.tooShort': Record<never, never>;
    'trace.unequal': { listCount: number; tSCount: number };
    'trace.start': Record<never, never>;
    'trace.notAscending': Record<never, never>;
  }
}

/** A wished speed over time, repeated without end. */
export interface TraceSeries {
  /** From 0, ascending, s. */
  tS: readonly number[];
  speedMps: readonly number[];
  /** In place of the input's grade, %. */
  gradePct?: readonly number[];
  lateralMps2?: readonly number[];
}

export const STYLES = ['laps', 'fieldBashing', 'steady', 'crawl'] as const;
export type DrivingStyle = (typeof STYLES)[number];

/** A row of a style: time s, share of the top speed or a speed of its own, lateral as a share of grip, grade %. */
type Row = readonly [tS: number, speed: number | 'slow', lateral: number, gradePct?: number];

/** Slow going between two bursts, m/s, or this share of the top speed where that is less. */
const [SLOW_MPS, SLOW_SHARE] = [2, 0.4];

/** Ways of driving, by judgement, until there is a trace of one's own. */
const ROWS: Readonly<Record<DrivingStyle, readonly Row[]>> = {
  fieldBashing: [
    [0, 'slow', 0.3],
    [0.8, 0.8, 0.3],
    [2.8, 0.8, 0.3],
    [3.8, 'slow', 0.3],
    [5, 'slow', 0.3],
  ],
  laps: [
    [0, 0.4, 0.7],
    [0.3, 0.45, 0.2],
    [1.5, 0.8, 0],
    [3, 0.8, 0],
    [3.8, 0.4, 0.3],
    [4, 0.4, 0.7],
    [6, 0.4, 0.7],
  ],
  steady: [
    [0, 0.6, 0.15],
    [10, 0.6, 0.15],
  ],
  crawl: [
    [0, 0, 0, 0],
    [1, 0.12, 0, 25],
    [7, 0.12, 0, 25],
    [8, 0.12, 0, -25],
    [14, 0.12, 0, -25],
    [15, 0, 0, 0],
    [18, 0, 0, 0],
  ],
};

/** A style as a trace of one car: its top speed, m/s, and the friction of its tyres. */
export function traceOfStyle(style: DrivingStyle, topMps: number, mu: number): TraceSeries {
  const rows = ROWS[style];
  const slow = Math.min(SLOW_MPS, SLOW_SHARE * topMps);
  return {
    tS: rows.map(([tS]) => tS),
    speedMps: rows.map(([, speed]) => (speed === 'slow' ? slow : speed * topMps)),
    lateralMps2: rows.map(([, , lateral]) => lateral * mu * GRAVITY),
    ...(rows[0]!.length > 3 ? { gradePct: rows.map(([, , , grade = 0]) => grade) } : {}),
  };
}

/**
 * Refuses a trace that cannot be driven.
 *
 * @throws CalcError at the list whose length or first time is wrong, or at the place that does not ascend
 */
export function refuseTrace({ tS, speedMps, gradePct, lateralMps2 }: TraceSeries): void {
  const at = (key: string) => `cycle.series.${key}`;
  if (tS.length < 2) throw refusal(at('tS'), 'trace.tooShort');
  for (const [key, list] of Object.entries({ speedMps, gradePct, lateralMps2 }))
    if (list && list.length !== tS.length)
      throw refusal(at(key), 'trace.unequal', { listCount: list.length, tSCount: tS.length });
  if (tS[0] !== 0) throw refusal(at('tS.0'), 'trace.start');
  for (let k = 1; k < tS.length; k++)
    if (tS[k]! <= tS[k - 1]!) throw refusal(at(`tS.${k}`), 'trace.notAscending');
}
