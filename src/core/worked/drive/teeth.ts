import type { GearAtHand } from '../../car/library/kinds/gear';
import { type Drive, overallRatio } from '../../car/document/drive';
import { type Stage, stageRatio } from '../../car/stages/stage';
import type { Patch } from '../../base/patch';

export interface TeethChoice {
  stageId: string;
  pinionTeeth: number;
  wheelTeeth: number;
  /** Motor turns per wheel turn with them. */
  ratio: number;
  /** Both lie in the workshop. */
  atHand: boolean;
  patch: Patch;
}

/** Fewest teeth of a pinion that is still sold or printed with a bore. */
const FEWEST = 9;
const MOST_PINION = 36;
const MOST_WHEEL = 100;
const CLEAR_OF_ENDS = 1.1;
/** A gear in the box beats one that must be bought or printed for this much of the ratio. */
const AT_HAND_BONUS = 0.04;

/** The stage whose teeth are changed first: the first one with a pinion and a wheel. */
export function gearedStage({ stages }: Drive): Stage | undefined {
  return stages.find(
    ({ kind, pinionTeeth, wheelTeeth }) =>
      kind !== 'planetary' && pinionTeeth !== undefined && wheelTeeth !== undefined,
  );
}

/** The first stage with a plain ratio in place of teeth. */
export const plainStage = ({ stages }: Pick<Drive, 'stages'>): Stage | undefined =>
  stages.find((stage) => stage.ratio !== undefined && stageRatio(stage) === stage.ratio);

/** A plain ratio set, to three digits as one speaks of it. */
export const ratioPatch = ({ id }: Stage, ratio: number): Patch => [
  { path: ['drive', 'stages', id, 'ratio'], value: Number(ratio.toPrecision(3)) },
];

/** What brings the overall ratio nearest to a wanted one: teeth, or a plain ratio where no stage has any. */
export function towardsRatio(drive: Drive, wanted: number, gears: readonly GearAtHand[]): Patch {
  const teeth = teethNearest(drive, wanted, gears);
  if (teeth) return teeth.patch;
  const [stage, overall] = [plainStage(drive), overallRatio(drive)];
  return stage && overall !== undefined ? ratioPatch(stage, (stage.ratio! * wanted) / overall) : [];
}

/**
 * Teeth of the first geared stage that bring the overall ratio into a range: pairs of gears at hand of the stage's module
 * (of any one module where it has none), or else any pinion on the present wheel. First what changes the ratio least while
 * it keeps a tenth away from the ends.
 */
export function teethWithin(
  drive: Drive,
  from: number,
  to: number,
  gears: readonly GearAtHand[],
): TeethChoice[] {
  const room = Math.min(CLEAR_OF_ENDS, Math.sqrt(to / from));
  const wanted = Math.min(to / room, Math.max(from * room, overallRatio(drive) ?? Math.sqrt(from * to)));
  const found = choices(drive, gears).filter(({ ratio }) => ratio >= from && ratio <= to);
  const own = found.filter(({ atHand }) => atHand);
  return (own.length > 0 ? own : found).sort((a, b) => off(a.ratio, wanted) - off(b.ratio, wanted));
}

/** The teeth that come nearest to an overall ratio, gears at hand before others that are no more than 4 % nearer. */
export function teethNearest(
  drive: Drive,
  ratio: number,
  gears: readonly GearAtHand[],
): TeethChoice | undefined {
  return choices(drive, gears, true).sort(
    (a, b) =>
      off(a.ratio, ratio) -
      (a.atHand ? AT_HAND_BONUS : 0) -
      off(b.ratio, ratio) +
      (b.atHand ? AT_HAND_BONUS : 0),
  )[0];
}

const off = (ratio: number, wanted: number) => Math.abs(Math.log(ratio / wanted));

/** Every pinion on the present wheel of the first geared stage. */
export const pinionsOnWheel = (drive: Drive): TeethChoice[] => choices(drive, []);

function choices(drive: Drive, gears: readonly GearAtHand[], anyWheel = false): TeethChoice[] {
  const stage = gearedStage(drive);
  const overall = overallRatio(drive);
  if (!stage || overall === undefined) return [];
  const rest = overall / stageRatio(stage)!;
  const choice = (pinionTeeth: number, wheelTeeth: number, atHand: boolean): TeethChoice => ({
    stageId: stage.id,
    pinionTeeth,
    wheelTeeth,
    atHand,
    ratio: (rest * wheelTeeth) / pinionTeeth,
    patch: [
      ...(pinionTeeth === stage.pinionTeeth
        ? []
        : [{ path: ['drive', 'stages', stage.id, 'pinionTeeth'], value: pinionTeeth }]),
      ...(wheelTeeth === stage.wheelTeeth
        ? []
        : [{ path: ['drive', 'stages', stage.id, 'wheelTeeth'], value: wheelTeeth }]),
    ],
  });
  const fits = (gear: GearAtHand) => stage.moduleMm === undefined || gear.moduleMm === stage.moduleMm;
  const pinions = gears.filter((gear) => gear.role === 'pinion' && fits(gear));
  const wheels = gears.filter((gear) => gear.role === 'wheel' && fits(gear));
  const pairs = pinions.flatMap((pinion) =>
    wheels
      .filter(({ moduleMm }) => moduleMm === pinion.moduleMm)
      .map(({ teeth }) => choice(pinion.teeth, teeth, true)),
  );
  const counts = Array.from({ length: MOST_PINION - FEWEST + 1 }, (_, i) => FEWEST + i);
  const free = counts.map((teeth) => choice(teeth, stage.wheelTeeth!, false));
  const wide = anyWheel
    ? counts
        .flatMap((teeth) =>
          Array.from({ length: Math.max(MOST_WHEEL, stage.wheelTeeth! + 10) - FEWEST }, (_, i) =>
            choice(teeth, FEWEST + 1 + i, false),
          ),
        )
        .filter(({ wheelTeeth, pinionTeeth }) => wheelTeeth >= pinionTeeth)
    : [];
  return [...pairs, ...free, ...wide];
}
