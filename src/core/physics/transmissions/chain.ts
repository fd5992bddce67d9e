import { refusal } from '../../base/errors';
import { type Measure, measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';

declare module '../../base/errors' {
  interface RefusalFacts {
    'chain.order': { largeTeeth: number };
    'chain.oneForm': Record<never, never>;
    'chain.odd': { below: number; above: number };
    'chain.touch': { leastMm: Measure };
  }
}

export interface ChainInput {
  pitchMm: number;
  smallTeeth: number;
  largeTeeth: number;
  /** Even; or the centres that are wished. */
  links?: number;
  centreDistanceMm?: number;
  /** Of the driving sprocket. */
  speedRpm?: number;
  driver?: 'small' | 'large';
}

export interface ChainResult {
  /** Turns of the small sprocket for one of the large. */
  ratio: number;
  /** Small and large. */
  pitchDiametersMm: [number, number];
  /** By the standard's approximation, for the wished centres. */
  exactLinks?: number;
  links: number;
  centreDistanceMm: number;
  /** Real less wished. */
  centreErrorMm?: number;
  /** How much the speed of the chain falls within a tooth: small and large, driving. */
  speedVariationPct: [number, number];
  chainMps: number;
  findings: OperationFinding[];
}

const SAME = 1e-9;

/**
 * Links and centres of a roller chain on two sprockets, and how unevenly it runs.
 *
 * @returns lengths in mm, speed in m/s
 * @throws CalcError at `smallTeeth` for sprockets the other way round, at `links` for both or neither of links and centres and
 * for an odd number, at `links` or `centreDistanceMm` where the sprockets would touch
 * @see Shigley, Mechanical Engineering Design, ch. 17 (eq. 17-31, 17-34, 17-35)
 */
export function chainLength(input: ChainInput): ChainResult {
  const { pitchMm, smallTeeth, largeTeeth, links: given, centreDistanceMm: wished } = input;
  if (smallTeeth > largeTeeth) throw refusal('smallTeeth', 'chain.order', { largeTeeth });
  if ((given === undefined) === (wished === undefined)) throw refusal('links', 'chain.oneForm');
  if (given !== undefined && given % 2 !== 0)
    throw refusal('links', 'chain.odd', { below: given - 1, above: given + 1 });
  const diameter = (teeth: number) => pitchMm / Math.sin(Math.PI / teeth);
  const pitchDiametersMm: [number, number] = [diameter(smallTeeth), diameter(largeTeeth)];
  const leastMm = (pitchDiametersMm[0] + pitchDiametersMm[1]) / 2;
  const touches = (centre: number | undefined) => centre === undefined || centre <= leastMm * (1 + SAME);
  const touch = { leastMm: measure(leastMm, 'fitMm', 4) };
  const q = ((largeTeeth - smallTeeth) / (2 * Math.PI)) ** 2;
  const around = (smallTeeth + largeTeeth) / 2;
  const centreOf = (links: number) => {
    const a = links - around;
    const root = a * a - 8 * q;
    return a > 0 && root >= 0 ? (pitchMm / 4) * (a + Math.sqrt(root)) : undefined;
  };
  if (given !== undefined && touches(centreOf(given))) throw refusal('links', 'chain.touch', touch);
  if (wished !== undefined && touches(wished)) throw refusal('centreDistanceMm', 'chain.touch', touch);
  const exactLinks =
    wished === undefined ? undefined : (2 * wished) / pitchMm + around + (q * pitchMm) / wished;
  let links = given ?? 2 * Math.floor(exactLinks! / 2 + 0.5);
  while (touches(centreOf(links))) links += 2;
  const centreDistanceMm = centreOf(links)!;
  const teeth = input.driver === 'large' ? largeTeeth : smallTeeth;
  return {
    ratio: largeTeeth / smallTeeth,
    pitchDiametersMm,
    ...(exactLinks === undefined ? {} : { exactLinks }),
    links,
    centreDistanceMm,
    ...(wished === undefined ? {} : { centreErrorMm: centreDistanceMm - wished }),
    speedVariationPct: [variationPct(smallTeeth), variationPct(largeTeeth)],
    chainMps: (pitchMm * teeth * (input.speedRpm ?? 0)) / 60_000,
    findings: [],
  };
}

/** A chain is a polygon round its sprocket: it leaves at the corner's radius and at the side's. */
function variationPct(teeth: number): number {
  const half = Math.PI / teeth;
  return 100 * half * (1 / Math.sin(half) - 1 / Math.tan(half));
}
