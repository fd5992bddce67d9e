import type { InstrumentKind, InstrumentReading } from './line';

/** What of an instrument becomes a column of a log, and how the column is named. */
const COLUMNS: readonly (readonly [InstrumentKind, string, string])[] = [
  ['satellite', 'mps', 'Speed [m/s]'],
  ['tachometer', 'rpm', 'RPM [rpm]'],
  ['meter', 'v', 'Voltage [V]'],
  ['meter', 'a', 'Battery current [A]'],
  ['thermometer', 'c', 'Motor temp [C]'],
  ['gyro', 'dps', 'Yaw rate [deg/s]'],
];
export const RECORDED_KINDS: readonly InstrumentKind[] = [...new Set(COLUMNS.map(([kind]) => kind))];

const ROW_S = 0.05;
/** A reading stands for what comes within this time after it. */
const HOLDS_S = 1.5;
/** An hour. */
const MOST_ROWS = 72_000;

interface Kept {
  tS: number;
  value: number;
}

/** Puts what several instruments say, each by a clock of its own, on one clock, as a log of columns. */
export class InstrumentRecording {
  private readonly clocks = new Map<string, { ms: number; lastMs: number; tS: number }>();
  private readonly series = new Map<string, Kept[]>();
  private startS: number | undefined;

  /** A reading, and when it was heard by the clock of the one who listens, s. */
  hear({ device, kind, ms, values }: InstrumentReading, heardS: number): void {
    if (!RECORDED_KINDS.includes(kind)) return;
    this.startS ??= heardS;
    const clock = this.clocks.get(device);
    // a device that starts again counts from 0 again: it is laid where it was heard
    const kept = clock && ms >= clock.lastMs ? clock : { ms, lastMs: ms, tS: heardS - this.startS };
    this.clocks.set(device, { ...kept, lastMs: ms });
    const tS = kept.tS + (ms - kept.ms) / 1000;
    for (const [of, field, name] of COLUMNS) {
      if (of !== kind) continue;
      const series = this.series.get(name) ?? [];
      series.push({ tS, value: values[field]! });
      this.series.set(name, series);
    }
  }

  get readings(): number {
    return [...this.series.values()].reduce((sum, { length }) => sum + length, 0);
  }

  /** A row every twentieth of a second, cells empty where an instrument was silent; none while nothing was heard. */
  csv(): string | undefined {
    const columns = COLUMNS.flatMap(([, , name]) => {
      const kept = this.series.get(name);
      return kept ? [{ name, kept: [...kept].sort((one, other) => one.tS - other.tS), at: -1 }] : [];
    });
    const endS = Math.max(0, ...columns.map(({ kept }) => kept.at(-1)!.tS));
    const rows = Math.min(MOST_ROWS, Math.floor(endS / ROW_S) + 1);
    if (columns.length === 0 || rows < 2) return undefined;
    const lines = [['Time [s]', ...columns.map(({ name }) => name)].join(',')];
    for (let k = 0; k < rows; k++) {
      const t = k * ROW_S;
      const cells = columns.map((column) => {
        while (column.at + 1 < column.kept.length && column.kept[column.at + 1]!.tS <= t + ROW_S / 2)
          column.at++;
        const last = column.kept[column.at];
        return last && t - last.tS <= HOLDS_S ? String(last.value) : '';
      });
      lines.push([t.toFixed(2), ...cells].join(','));
    }
    return `${lines.join('\n')}\n`;
  }
}
