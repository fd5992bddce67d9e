import { powerOf } from '../../../base/numeric/fourier';
import { median } from '../../../base/numeric/statistics';
import { type GyroLog, type Peak, PEAK_SOURCES, type TurningLog } from './definition';

/** A log on an even grid. */
export interface Grid {
  values: Float64Array;
  sampleHz: number;
  /** Over the first reading, s. */
  stepS: number;
}

/** Densities of the square from 0 to half the sampling rate, (°/s)²/Hz. */
export interface Spectrum {
  density: Float64Array;
  binHz: number;
}

const [FIRST_BIN, STANDS_OUT, MOST_PEAKS, HALF_WIDTH, NEAR_BINS] = [2, 10, 5, 2, 2];
const RPM_PER_HZ = 60;

/** A log on the even grid between its first and last reading, linearly interpolated. */
export function gridOf({ rateDegPerS, sampleS, tS }: GyroLog): Grid {
  if (!tS) return { values: Float64Array.from(rateDegPerS), sampleHz: 1 / sampleS!, stepS: sampleS! };
  const n = tS.length;
  const stepS = (tS[n - 1]! - tS[0]!) / (n - 1);
  let at = 0;
  const values = Float64Array.from({ length: n }, (_, k) => {
    const t = Math.min(tS[n - 1]!, tS[0]! + k * stepS);
    while (at < n - 2 && tS[at + 1]! < t) at++;
    const share = (t - tS[at]!) / (tS[at + 1]! - tS[at]!);
    return rateDegPerS[at]! + share * (rateDegPerS[at + 1]! - rateDegPerS[at]!);
  });
  return { values, sampleHz: 1 / stepS, stepS };
}

/** Mean of the densities of overlapping Hann segments. Source: Welch, IEEE Trans. AU-15, 1967. */
export function spectrumOf({ values, sampleHz }: Grid, segmentSamples: number): Spectrum {
  const size = 2 ** Math.floor(Math.log2(Math.min(values.length, segmentSamples)));
  const window = Float64Array.from(
    { length: size },
    (_, j) => 0.5 - 0.5 * Math.cos((2 * Math.PI * j) / size),
  );
  const scale = sampleHz * window.reduce((sum, w) => sum + w * w, 0);
  const density = new Float64Array(size / 2 + 1);
  let segments = 0;
  for (let start = 0; start + size <= values.length; start += size / 2, segments++) {
    const segment = values.subarray(start, start + size);
    const middle = segment.reduce((sum, value) => sum + value, 0) / size;
    powerOf(segment.map((value, j) => (value - middle) * window[j]!)).forEach((power, k) => {
      density[k]! += ((k === 0 || k === size / 2 ? 1 : 2) * power) / scale;
    });
  }
  return { density: density.map((value) => value / segments), binHz: sampleHz / size };
}

/** Root mean square of what swings, weighed by how much of each frequency is left. */
export const rmsOf = ({ density, binHz }: Spectrum, leftOfSquare: (hz: number) => number = () => 1): number =>
  Math.sqrt(density.reduce((sum, p, k) => (k === 0 ? sum : sum + p * binHz * leftOfSquare(k * binHz)), 0));

/** The densities that tell noise: without the lowest bins and the last one. */
export const noiseBins = ({ density }: Spectrum): Float64Array =>
  density.subarray(FIRST_BIN, density.length - 1);

/** What stands out of the noise, the largest first, and what turns at that frequency. */
export function peaksOf(spectrum: Spectrum, sampleHz: number, turning: TurningLog): Peak[] {
  const { density, binHz } = spectrum;
  const floor = STANDS_OUT * median([...noiseBins(spectrum)]);
  const tops: number[] = [];
  for (let k = FIRST_BIN; k < density.length - 1; k++)
    if (density[k]! > density[k - 1]! && density[k]! >= density[k + 1]! && density[k]! > floor) tops.push(k);
  return tops
    .sort((a, b) => density[b]! - density[a]!)
    .slice(0, MOST_PEAKS)
    .map((k) => {
      const [before, top, after] = [k - 1, k, k + 1].map((bin) => Math.log(density[bin]!)) as [
        number,
        number,
        number,
      ];
      const bend = before - 2 * top + after;
      const aside = bend === 0 || !Number.isFinite(bend) ? 0 : (0.5 * (before - after)) / bend;
      const frequencyHz = (k + aside) * binHz;
      let square = 0;
      for (let bin = Math.max(1, k - HALF_WIDTH); bin <= Math.min(density.length - 1, k + HALF_WIDTH); bin++)
        square += density[bin]! * binHz;
      return {
        frequencyHz,
        amplitudeDegPerS: Math.sqrt(2 * square),
        ...sourceOf(frequencyHz, binHz, sampleHz, turning),
      };
    });
}

function sourceOf(
  frequencyHz: number,
  binHz: number,
  sampleHz: number,
  { motorRpm, wheelRpm }: TurningLog,
): Pick<Peak, 'source' | 'aliased'> {
  const turns = {
    motor: motorRpm,
    motor2: motorRpm && 2 * motorRpm,
    wheel: wheelRpm,
    wheel2: wheelRpm && 2 * wheelRpm,
  };
  const near = PEAK_SOURCES.flatMap((source) => {
    const rpm = turns[source];
    if (rpm === undefined) return [];
    const hz = rpm / RPM_PER_HZ;
    const shown = Math.abs(hz - sampleHz * Math.round(hz / sampleHz));
    return [{ source, hz, off: Math.abs(shown - frequencyHz) }];
  })
    .filter(({ off }) => off <= NEAR_BINS * binHz)
    .sort((a, b) => a.off - b.off)[0];
  return near ? { source: near.source, aliased: near.hz > sampleHz / 2 } : { source: 'unknown' };
}
