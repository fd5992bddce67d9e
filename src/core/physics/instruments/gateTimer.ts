import type { InstrumentReading } from './line';

/** A car that broke both beams, or why there is no time of it. */
export type Gated = { timeS: number } | { problem: 'backward' | 'lost' };

/** A beam that flickers while the car is in it. */
const BOUNCE_MS = 60;
/** A car that takes longer has turned off before the second beam. */
const LONGEST_MS = 30_000;

/**
 * Times a car from the first beam of a gate to the second, by the gate's own clock, again and again while it is armed.
 */
export class GateTimer {
  private startMs: number | undefined;
  private endMs: number | undefined;

  /** What a reading of the gate completes, if anything. */
  hear({ kind, ms, values }: InstrumentReading): Gated | undefined {
    if (kind !== 'gate' || values.broken !== 1) return undefined;
    if (this.startMs !== undefined && ms < this.startMs) this.startMs = undefined;
    return values.beam === 1 ? this.first(ms) : this.second(ms);
  }

  private first(ms: number): Gated | undefined {
    const before = this.startMs;
    if (before !== undefined && ms - before < BOUNCE_MS) return undefined;
    this.startMs = ms;
    return before === undefined ? undefined : { problem: 'lost' };
  }

  private second(ms: number): Gated | undefined {
    if (this.endMs !== undefined && Math.abs(ms - this.endMs) < BOUNCE_MS) return undefined;
    this.endMs = ms;
    const start = this.startMs;
    this.startMs = undefined;
    if (start === undefined) return { problem: 'backward' };
    return ms - start > LONGEST_MS ? { problem: 'lost' } : { timeS: (ms - start) / 1000 };
  }
}
