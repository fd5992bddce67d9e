import type { EnduranceSeries } from './enduranceDefinition';
import type { Temperatures } from './thermal';
import { type Finding, finding } from '../../base/finding';
import type { Measure } from '../../base/measure';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.endurance.outOfReach': { cruise: Measure; holds: Measure };
    'note.endurance.slows': { from: Measure; cruise: Measure };
    'note.endurance.cannotMove': Record<never, never>;
    'note.endurance.stalls': Record<never, never>;
  }
}

/** Loaded volts a cell at which a pack counts as empty, where an input gives none. */
export const USUAL_CUTOFF_V = 3.3;

const MOST_SAMPLES = 600;
const FIRST_INTERVAL_S = 0.25;

/** A pack at one time while it is driven. */
export interface PackMoment {
  readonly durationS: number;
  readonly temperatures: Temperatures;
  readonly controllerC?: number;
  /** 0 empty to 1 full. */
  readonly charge: number;
  readonly speedMps: number;
}

/** What is written down while a pack is driven: a series that is thinned as it grows, and the case at times asked for. */
export class PackRecord {
  readonly series: EnduranceSeries = { tS: [], windingC: [], caseC: [], stateOfCharge: [], speedMps: [] };
  /** °C, one for each time. */
  readonly readC: number[] = [];
  private nextSampleS = 0;
  private intervalS = FIRST_INTERVAL_S;

  /** @param readAtS times at which the case is read, s, rising */
  constructor(private readonly readAtS: readonly number[] = []) {}

  /** Writes the moment down where its turn has come, or in any case at the ends. */
  sample({ durationS, temperatures, controllerC, charge, speedMps }: PackMoment, end = false): void {
    const { series } = this;
    if (!end && durationS < this.nextSampleS) return;
    if (end && series.tS.at(-1) === durationS) return;
    series.tS.push(durationS);
    series.windingC.push(temperatures[0]);
    series.caseC.push(temperatures[1]);
    if (controllerC !== undefined) (series.controllerC ??= []).push(controllerC);
    series.stateOfCharge.push(charge);
    series.speedMps.push(speedMps);
    if (series.tS.length > MOST_SAMPLES) {
      for (const key of Object.keys(series) as (keyof EnduranceSeries)[])
        series[key] = series[key]!.filter((_, index) => index % 2 === 0);
      this.intervalS *= 2;
    }
    this.nextSampleS = durationS + this.intervalS;
  }

  /** Seconds until the next reading; without end where there is none. */
  untilRead(nowS: number): number {
    return (this.readAtS[this.readC.length] ?? Infinity) - nowS;
  }

  /** Reads the case at the times within a stretch that begins at `fromS` and lasts `seconds`. */
  readCase(fromS: number, seconds: number, beforeC: number, afterC: number): void {
    for (
      let at = this.readAtS[this.readC.length];
      at !== undefined && at <= fromS + seconds + 1e-9;
      at = this.readAtS[this.readC.length]
    ) {
      const share = seconds === 0 ? 1 : Math.min(1, (at - fromS) / seconds);
      this.readC.push(beforeC + share * (afterC - beforeC));
    }
  }
}

/** Why a drive stalled after so many seconds. */
export const stalledNote = (durationS: number): Finding =>
  durationS === 0 ? finding('note.endurance.cannotMove', {}) : finding('note.endurance.stalls', {});
