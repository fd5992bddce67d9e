import type { BuildDocument } from '../../car/document/document';
import { passage } from '../../physics/motion/passage';
import { runInputOf } from '../motion/runOfBuild';
import { normalFrom } from '../../base/numeric/random';
import { KNOBS, scaled, spreadsOf } from './knobs';

/** Between which a figure lies in nine of ten cars that are built as this one. */
export interface Band {
  low: number;
  high: number;
}

export interface PredictionBand {
  topSpeedMps?: Band;
  timeToDistanceS?: Band;
  samples: number;
}

const [SAMPLES, LOW, HIGH] = [240, 0.05, 0.95];

/**
 * Spread of what a run on one surface comes to, by sampling all that is not known exactly (lognormal about the build's figures).
 *
 * @see JCGM 101, Propagation of distributions using a Monte Carlo method
 */
export function predictionBand(
  document: BuildDocument,
  surfaceId: string,
  seed = 1,
  samples = SAMPLES,
): PredictionBand | undefined {
  const spreads = spreadsOf(document, surfaceId);
  const normal = normalFrom(seed);
  const [speeds, times]: [number[], number[]] = [[], []];
  for (let at = 0; at < samples; at++) {
    const factors = Object.fromEntries(KNOBS.map((knob) => [knob, Math.exp(spreads[knob] * normal())]));
    const car = scaled(document, surfaceId, factors);
    const surface = car.brief.surfaces.find(({ id }) => id === surfaceId);
    const input = surface ? runInputOf(car, surface) : undefined;
    if (!input?.ok) return undefined;
    const found = passage(input.value, 0);
    if (found?.topSpeedMps !== undefined) speeds.push(found.topSpeedMps);
    if (found) times.push(found.endS);
  }
  const band = (values: number[]): Band | undefined => {
    // a car that does not arrive in one case of ten has no band of arriving
    if (values.length < HIGH * samples) return undefined;
    const sorted = values.sort((a, b) => a - b);
    return { low: quantile(sorted, LOW), high: quantile(sorted, HIGH) };
  };
  const [topSpeedMps, time] = [band(speeds), band(times)];
  return { samples, ...(topSpeedMps ? { topSpeedMps } : {}), ...(time ? { timeToDistanceS: time } : {}) };
}

/** Between the two nearest of sorted values. */
function quantile(sorted: readonly number[], share: number): number {
  const place = share * (sorted.length - 1);
  const low = Math.floor(place);
  return sorted[low]! + (place - low) * ((sorted[low + 1] ?? sorted[low]!) - sorted[low]!);
}
