import { refusal } from '../../base/errors';
import { commonDivisor } from '../../base/numeric/divisor';
import { type Measure, measure } from '../../base/measure';
import { bisect } from '../../base/numeric/root';
import type { BeltGeometry, BeltInput, TypicalBelt } from './beltDefinition';

declare module '../../base/errors' {
  interface RefusalFacts {
    'belt.order': { largeTeeth: number };
    'belt.oneForm': Record<never, never>;
    'belt.touch': { leastMm: Measure };
    'belt.noneLongEnough': { leastMm: Measure };
    'belt.slot': { slotMaxMm: Measure };
    'belt.fewInMesh': { inMesh: number };
  }
}

const SAME = 1e-9;
const MOST_CHOICES = 500;
const [WHOLE_MESH, PER_TOOTH, LEAST_MESH] = [6, 0.2, 2];
const DEG = 180 / Math.PI;

/** A belt's pulleys: length for centres, and the only centres for a length. */
class Pulleys {
  readonly small: number;
  readonly large: number;
  readonly leastMm: number;

  constructor(private readonly input: Pick<BeltInput, 'pitchMm' | 'smallTeeth' | 'largeTeeth'>) {
    this.small = (input.pitchMm * input.smallTeeth) / Math.PI;
    this.large = (input.pitchMm * input.largeTeeth) / Math.PI;
    this.leastMm = (this.small + this.large) / 2;
  }

  phi(centreMm: number): number {
    return Math.asin((this.large - this.small) / (2 * centreMm));
  }

  lengthMm(centreMm: number): number {
    const phi = this.phi(centreMm);
    return (
      2 * centreMm * Math.cos(phi) +
      (Math.PI * (this.small + this.large)) / 2 +
      phi * (this.large - this.small)
    );
  }

  /** None where the pulleys would touch. */
  centreMm(beltTeeth: number): number | undefined {
    const length = beltTeeth * this.input.pitchMm;
    if (length <= this.lengthMm(this.leastMm) * (1 + SAME)) return undefined;
    return bisect((centre) => this.lengthMm(centre) - length, this.leastMm, length);
  }
}

/**
 * @throws CalcError at `smallTeeth` for pulleys the other way round and under two teeth in mesh, at `beltTeeth` for both or
 * neither of belt and centres, at them where the pulleys would touch, at `availableBeltTeeth` where no belt is long enough
 */
export function beltGeometry(
  input: BeltInput,
  typical: TypicalBelt | undefined,
): BeltGeometry & { phi: number } {
  const { pitchMm, smallTeeth, largeTeeth, centreDistanceMm: wished } = input;
  if (smallTeeth > largeTeeth) throw refusal('smallTeeth', 'belt.order', { largeTeeth });
  if ((input.beltTeeth === undefined) === (wished === undefined)) throw refusal('beltTeeth', 'belt.oneForm');
  const pulleys = new Pulleys(input);
  const touch = { leastMm: measure(pulleys.leastMm, 'fitMm', 4) };
  if (wished !== undefined && wished <= pulleys.leastMm * (1 + SAME))
    throw refusal('centreDistanceMm', 'belt.touch', touch);
  const exactBeltTeeth = wished === undefined ? undefined : pulleys.lengthMm(wished) / pitchMm;
  const beltTeeth = input.beltTeeth ?? nearest(input.availableBeltTeeth, exactBeltTeeth!, pulleys, touch);
  const centreDistanceMm = pulleys.centreMm(beltTeeth);
  if (centreDistanceMm === undefined) throw refusal('beltTeeth', 'belt.touch', touch);
  const phi = pulleys.phi(centreDistanceMm);
  const [wrapSmallDeg, wrapLargeDeg] = [180 - 2 * phi * DEG, 180 + 2 * phi * DEG];
  const teethInMesh = Math.floor((smallTeeth * wrapSmallDeg) / 360 + SAME);
  if (teethInMesh < LEAST_MESH) throw refusal('smallTeeth', 'belt.fewInMesh', { inMesh: teethInMesh });
  const offset = input.pitchLineOffsetMm ?? typical?.offsetMm;
  return {
    phi,
    ratio: largeTeeth / smallTeeth,
    pitchDiametersMm: [pulleys.small, pulleys.large],
    ...(offset === undefined
      ? {}
      : { outsideDiametersMm: [pulleys.small - 2 * offset, pulleys.large - 2 * offset] as [number, number] }),
    ...(exactBeltTeeth === undefined ? {} : { exactBeltTeeth }),
    beltTeeth,
    beltLengthMm: beltTeeth * pitchMm,
    centreDistanceMm,
    ...(wished === undefined ? {} : { centreErrorMm: centreDistanceMm - wished }),
    travelPerToothMm: pulleys.centreMm(beltTeeth + 1)! - centreDistanceMm,
    wrapSmallDeg,
    wrapLargeDeg,
    teethInMesh,
    meshFactor: teethInMesh >= WHOLE_MESH ? 1 : 1 - PER_TOOTH * (WHOLE_MESH - teethInMesh),
    spanMm: centreDistanceMm * Math.cos(phi),
    hunting: commonDivisor(beltTeeth, smallTeeth) === 1 && commonDivisor(beltTeeth, largeTeeth) === 1,
    ...inSlot(input, pulleys, centreDistanceMm),
  };
}

/** The belt whose teeth come nearest, of equals the longer. */
function nearest(
  list: readonly number[] | undefined,
  exact: number,
  pulleys: Pulleys,
  touch: { leastMm: Measure },
): number {
  const candidates = (list ?? [Math.floor(exact + SAME), Math.ceil(exact - SAME)]).filter(
    (teeth) => pulleys.centreMm(teeth) !== undefined,
  );
  if (candidates.length === 0) throw refusal('availableBeltTeeth', 'belt.noneLongEnough', touch);
  return candidates.reduce((a, b) => {
    const [of, other] = [Math.abs(a - exact), Math.abs(b - exact)];
    return other < of - SAME || (Math.abs(other - of) <= SAME && b > a) ? b : a;
  });
}

function inSlot(
  { slotMinMm, slotMaxMm, availableBeltTeeth, pitchMm }: BeltInput,
  pulleys: Pulleys,
  centreMm: number,
): Pick<BeltGeometry, 'fitsSlot' | 'choices'> {
  if (slotMinMm === undefined || slotMaxMm === undefined) return {};
  if (slotMinMm > slotMaxMm)
    throw refusal('slotMinMm', 'belt.slot', { slotMaxMm: measure(slotMaxMm, 'fitMm', 4) });
  const within = (centre: number | undefined) =>
    centre !== undefined && centre >= slotMinMm - SAME && centre <= slotMaxMm + SAME;
  const from = Math.max(slotMinMm, pulleys.leastMm);
  const whole: number[] = [];
  if (!availableBeltTeeth && slotMaxMm >= pulleys.leastMm)
    for (
      let teeth = Math.floor(pulleys.lengthMm(from) / pitchMm);
      teeth <= Math.ceil(pulleys.lengthMm(slotMaxMm) / pitchMm) && whole.length < MOST_CHOICES + 2;
      teeth++
    )
      whole.push(teeth);
  const choices = (availableBeltTeeth?.toSorted((a, b) => a - b) ?? whole).flatMap((beltTeeth) => {
    const centre = pulleys.centreMm(beltTeeth);
    return within(centre) ? [{ beltTeeth, centreDistanceMm: centre! }] : [];
  });
  return { fitsSlot: within(centreMm), choices: choices.slice(0, MOST_CHOICES) };
}
