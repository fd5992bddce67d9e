import type { Patch } from '../../base/patch';
import type { Drive } from '../../car/document/drive';
import { type Stage, stageRatio } from '../../car/stages/stage';
import type { GearAtHand } from '../../car/library/kinds/gear';
import type { FoundSet, PlanetarySearchInput } from '../../physics/planetary/planetarySearch';
import type {
  FoundGears,
  GearSearchInput,
  SearchSort,
  SearchStage,
} from '../../physics/transmissions/gearSearch';

/** What a search is to find, in the words of the whole drive. */
export interface RatioWish {
  /** Motor turns per wheel turn. */
  overall: number;
  tolerancePct: number;
  /** 1 to 3. */
  stages: number;
  sort: SearchSort;
  /** Any teeth that can be made, in place of the gears at hand. */
  anyTeeth: boolean;
}

const range = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, k) => from + k);
/** Teeth that are printed and sold, where not only those at hand are looked at. */
const [ANY_PINION, ANY_WHEEL] = [range(10, 24), range(30, 90)];
const USUAL_MODULE_MM = 0.8;
const [SPUR_EFFICIENCY, SET_EFFICIENCY] = [0.95, 0.94];

/** The first spur stages, which a search replaces. */
const replaced = ({ stages }: Drive, count: number): Stage[] =>
  stages.filter(({ kind }) => kind === 'spur').slice(0, count);

/** What all other stages make together. */
const restOf = ({ stages }: Drive, gone: readonly Stage[]): number =>
  stages
    .filter((stage) => !gone.includes(stage))
    .reduce((product, one) => product * (stageRatio(one) ?? 1), 1);

/** Modules of the gears at hand and of the drive, the commonest first. */
function moduleOf(stage: Stage | undefined, drive: Drive, gears: readonly GearAtHand[]): number {
  const own = stage?.moduleMm ?? drive.stages.find(({ moduleMm }) => moduleMm !== undefined)?.moduleMm;
  if (own !== undefined) return own;
  const counts = new Map<number, number>();
  for (const { moduleMm } of gears) counts.set(moduleMm, (counts.get(moduleMm) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? USUAL_MODULE_MM;
}

/** The search for spur stages that bring the drive to a ratio, within the slots that it has. */
export function searchInputOf(drive: Drive, gears: readonly GearAtHand[], wish: RatioWish): GearSearchInput {
  const gone = replaced(drive, wish.stages);
  const stages = range(0, wish.stages - 1).map((at): SearchStage => {
    const stage = gone[at];
    const moduleMm = moduleOf(stage, drive, gears);
    const teeth = (role: GearAtHand['role'], any: number[]) =>
      wish.anyTeeth
        ? any
        : [
            ...new Set(
              gears
                .filter((gear) => gear.role === role && gear.moduleMm === moduleMm)
                .map((gear) => gear.teeth),
            ),
          ];
    return {
      pinions: teeth('pinion', ANY_PINION),
      wheels: teeth('wheel', ANY_WHEEL),
      moduleMm,
      ...(stage?.slotMinMm === undefined ? {} : { centreMinMm: stage.slotMinMm }),
      ...(stage?.slotMaxMm === undefined ? {} : { centreMaxMm: stage.slotMaxMm }),
    };
  });
  return {
    wantedRatio: wish.overall / restOf(drive, gone),
    tolerancePct: wish.tolerancePct,
    stages,
    sort: wish.sort,
    maxResults: MOST_ROWS,
  };
}

const MOST_ROWS = 30;

/** Teeth of a row put into the drive; stages that it has not yet are added. */
export function gearsTaken(
  drive: Drive,
  { stages }: FoundGears,
  searched: GearSearchInput,
  newId: () => string,
): Patch {
  const gone = replaced(drive, stages.length);
  return stages.flatMap(([pinionTeeth, wheelTeeth], at): Patch => {
    const stage = gone[at];
    if (!stage) {
      const id = newId();
      const added: Stage = {
        id,
        kind: 'spur',
        efficiency: SPUR_EFFICIENCY,
        pinionTeeth,
        wheelTeeth,
        moduleMm: searched.stages[at]!.moduleMm!,
      };
      return [{ path: ['drive', 'stages', id], value: added }];
    }
    const path = (key: string) => ['drive', 'stages', stage.id, key];
    return [
      { path: path('pinionTeeth'), value: pinionTeeth },
      { path: path('wheelTeeth'), value: wheelTeeth },
      ...(stage.ratio === undefined ? [] : [{ path: path('ratio'), value: undefined }]),
    ];
  });
}

/** The stage that a planetary set would take the place of: the planetary one, or the first spur pair. */
const placeOfSet = ({ stages }: Drive): Stage | undefined =>
  stages.find(({ kind }) => kind === 'planetary') ?? stages.find(({ kind }) => kind === 'spur');

/** The search for a planetary set in place of one stage, its ring held, its sun driven. */
export function setSearchOf(
  drive: Drive,
  { overall, tolerancePct }: RatioWish,
  { ringTeethMax, outsideMaxMm }: { ringTeethMax: number; outsideMaxMm?: number },
): PlanetarySearchInput {
  const gone = placeOfSet(drive);
  return {
    wantedRatio: overall / restOf(drive, gone ? [gone] : []),
    tolerancePct,
    held: 'ring',
    driving: 'sun',
    planets: [3, 4, 5],
    ringTeethMax,
    moduleMm: gone?.moduleMm ?? USUAL_MODULE_MM,
    ...(outsideMaxMm === undefined ? {} : { ringOutsideMaxMm: outsideMaxMm }),
    maxResults: MOST_ROWS,
  };
}

/** A set put into the drive, its ring's teeth no higher than they may be. */
export function setTaken(
  drive: Drive,
  { sunTeeth, ringTeeth, planets, ringAddendumLimit }: FoundSet,
  newId: () => string,
): Patch {
  const gone = placeOfSet(drive);
  const id = gone?.id ?? newId();
  const set: Stage = {
    ...(gone?.kind === 'planetary' ? gone : {}),
    id,
    kind: 'planetary',
    efficiency: gone?.kind === 'planetary' ? gone.efficiency : SET_EFFICIENCY,
    pinionTeeth: sunTeeth,
    wheelTeeth: ringTeeth,
    planets,
    moduleMm: gone?.moduleMm ?? USUAL_MODULE_MM,
    ...(ringAddendumLimit < 1 ? { ringAddendum: Math.floor(ringAddendumLimit * 100) / 100 } : {}),
  };
  return [{ path: ['drive', 'stages', id], value: set }];
}
