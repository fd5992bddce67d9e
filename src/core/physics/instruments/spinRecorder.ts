import { median } from '../../base/numeric/statistics';
import type { InstrumentReading } from './line';

/** Turns are held when they stay within this share of their mean for so long, by the tachometer's own clock. */
const [STEADY, HELD_MS] = [0.01, 1500];
/** At rest a tachometer may still say some turns. */
const AT_REST_RPM = 60;
/** What comes again within this share is the same speed. */
const SAME = 0.03;
const LEAST_ACROSS = 3;

export interface HeldSpin {
  rpm: number;
  diameterMm: number;
}

/** Notes the diameter of a wheel at every speed that is held for a while: one reading a speed. */
export class SpinRecorder {
  private turns: { ms: number; rpm: number }[] = [];
  private across: number[] = [];
  private noted: number[] = [];

  /** What a tachometer and a gauge across the tread say, in the order in which it comes. */
  hear({ kind, ms, values }: InstrumentReading): HeldSpin | undefined {
    if (kind === 'gauge') this.across.push(values.mm!);
    if (kind !== 'tachometer') return undefined;
    const rpm = values.rpm!;
    const mean = this.meanRpm();
    const last = this.turns.at(-1);
    // a tachometer that was switched off counts from 0 again
    if (mean !== undefined && (!isNear(rpm, mean, STEADY) || ms < last!.ms)) {
      this.turns = [];
      this.across = [];
    }
    this.turns.push({ ms, rpm });
    return this.held();
  }

  private meanRpm(): number | undefined {
    if (this.turns.length === 0) return undefined;
    return this.turns.reduce((sum, one) => sum + one.rpm, 0) / this.turns.length;
  }

  private held(): HeldSpin | undefined {
    const lastedMs = this.turns.at(-1)!.ms - this.turns[0]!.ms;
    if (lastedMs < HELD_MS || this.across.length < LEAST_ACROSS) return undefined;
    const rpm = Math.round(this.meanRpm()!);
    if (this.noted.some((one) => isNear(rpm, one, SAME))) return undefined;
    this.noted.push(rpm);
    return { rpm, diameterMm: Number(median(this.across).toFixed(2)) };
  }
}

const isNear = (rpm: number, other: number, share: number): boolean =>
  Math.abs(rpm - other) <= Math.max(share * other, AT_REST_RPM);
