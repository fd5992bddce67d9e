import type { BuildDocument } from '../../car/document/document';
import { type Passage, passage } from '../../physics/motion/passage';
import { runInputOf } from '../motion/runOfBuild';
import { normalFrom } from '../../base/numeric/random';
import { type Knob, KNOBS, scaled, spreadsOf } from './knobs';
import { largestOf, sharesOf } from './shares';

/** Between which a figure lies in nine of ten cars that are built as this one. */
export interface Band {
  low: number;
  high: number;
  /** Whose spread does most to it. */
  mostFrom?: Knob;
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
  const surface = document.brief.surfaces.find(({ id }) => id === surfaceId);
  if (!surface || !runInputOf(document, surface).ok) return undefined;
  const spreads = spreadsOf(document, surfaceId);
  const normal = normalFrom(seed);
  const runs = Array.from({ length: samples }, () => {
    const factors = Object.fromEntries(KNOBS.map((knob) => [knob, Math.exp(spreads[knob] * normal())]));
    return drivenBy(scaled(document, surfaceId, factors), surfaceId);
  });
  const bandOf = (pick: (run: Passage) => number | undefined): Band | undefined => {
    const valueOf = (run: Passage | undefined) => run && pick(run);
    const values = runs.flatMap((run) => valueOf(run) ?? []).sort((a, b) => a - b);
    const own = valueOf(drivenBy(document, surfaceId));
    // a car that does not arrive in one case of ten has no band of arriving
    if (values.length < HIGH * samples || own === undefined) return undefined;
    const mostFrom = largestOf(
      sharesOf(document, surfaceId, (car) => valueOf(drivenBy(car, surfaceId)), own),
    );
    return {
      low: quantile(values, LOW),
      high: quantile(values, HIGH),
      ...(mostFrom === undefined ? {} : { mostFrom }),
    };
  };
  const speed = bandOf(({ topSpeedMps }) => topSpeedMps);
  const time = bandOf(({ endS }) => endS);
  return { samples, ...(speed ? { topSpeedMps: speed } : {}), ...(time ? { timeToDistanceS: time } : {}) };
}

/** The run of a car from rest over the distance of its brief. */
function drivenBy(car: BuildDocument, surfaceId: string): Passage | undefined {
  const input = runInputOf(
    car,
    car.brief.surfaces.find(({ id }) => id === surfaceId)!,
  );
  return input.ok ? passage(input.value, 0) : undefined;
}

/** Between the two nearest of sorted values. */
function quantile(sorted: readonly number[], share: number): number {
  const place = share * (sorted.length - 1);
  const low = Math.floor(place);
  return sorted[low]! + (place - low) * ((sorted[low + 1] ?? sorted[low]!) - sorted[low]!);
}
