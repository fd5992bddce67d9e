import type { ChosenMaterial } from './material';
import { mean, sampleDeviation } from '../../base/numeric/statistics';

/** A strip that was broken, lying on the bed (layers along it) or standing (layers across it). */
export interface StripTest {
  id: string;
  how: 'pulled' | 'bent';
  layers: 'along' | 'across';
  widthMm: number;
  thicknessMm: number;
  /** Between the supports of a strip bent in its middle. */
  spanMm?: number;
  breakN: number;
}

/**
 * Stress at which a strip broke: F/(w·t) pulled, 3·F·L/(2·w·t²) bent over two supports.
 *
 * @returns MPa; undefined for a bent strip without a span
 * @see ISO 527-1 and ISO 178; a bent strip that yields before it breaks reads up to half high
 */
export function stripStressMpa({ how, widthMm, thicknessMm, spanMm, breakN }: StripTest): number | undefined {
  if (how === 'pulled') return breakN / (widthMm * thicknessMm);
  return spanMm === undefined ? undefined : (3 * breakN * spanMm) / (2 * widthMm * thicknessMm ** 2);
}

/** Mean of some strips, MPa, and how far apart they are. */
export interface Own {
  mean: number;
  /** One standard deviation; none of a single strip. */
  spread?: number;
  count: number;
}

export interface OwnFigures {
  along?: Own;
  across?: Own;
}

/** What the strips of one material say, by layers. */
export function ownFigures(strips: readonly StripTest[]): OwnFigures {
  const of = (layers: StripTest['layers']): Own | undefined => {
    const found = strips
      .filter((strip) => strip.layers === layers)
      .flatMap((strip) => stripStressMpa(strip) ?? []);
    return found.length === 0
      ? undefined
      : {
          mean: mean(found),
          count: found.length,
          ...(found.length > 1 ? { spread: sampleDeviation(found) } : {}),
        };
  };
  const [along, across] = [of('along'), of('across')];
  return { ...(along ? { along } : {}), ...(across ? { across } : {}) };
}

/** A material with the workshop's own strengths in place of the typical ones; shear between layers moves with their pull. */
export function withOwnFigures<M extends Omit<ChosenMaterial, 'libraryId'>>(
  material: M,
  strips: readonly StripTest[],
): M {
  const { along, across } = ownFigures(strips);
  const { interlayerStrengthMpa: typical, interlayerShearMpa: shear } = material;
  return {
    ...material,
    ...(along ? { inPlaneStrengthMpa: along.mean } : {}),
    ...(across
      ? {
          interlayerStrengthMpa: across.mean,
          ...(typical && shear ? { interlayerShearMpa: (shear * across.mean) / typical } : {}),
        }
      : {}),
  };
}
