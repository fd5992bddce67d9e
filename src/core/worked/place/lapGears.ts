import type { Assembled } from '../../base/assembled';
import { applyPatch, type Patch } from '../../base/patch';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { overallRatio } from '../../car/document/drive';
import { pinionsOnWheel, plainStage, ratioPatch } from '../drive/teeth';
import { runInputOf } from '../motion/runOfBuild';
import { hasRound, lapDriven } from '../track/lapDriven';

/** One way of gearing the car for its lap. */
export interface LapGear {
  /** Motor turns per wheel turn. */
  readonly ratio: number;
  readonly patch: Patch;
  /** None of a car that stops on the way. */
  readonly lapTimeS?: number;
  readonly isPresent: boolean;
}

export interface LapGears {
  /** From the longest to the shortest. */
  readonly gears: readonly LapGear[];
  readonly present: LapGear;
  /** None where no gear gets round. */
  readonly best?: LapGear;
}

/** Plain ratios that are tried, over the present one. */
const FACTORS = [0.6, 0.65, 0.7, 0.75, 0.8, 0.85, 0.9, 0.95, 1, 1.05, 1.1, 1.2, 1.3, 1.45, 1.6];
/** Times that nobody tells apart. */
const ALIKE_S = 0.002;

/**
 * The lap with every pinion on the present wheel, or with plain ratios about the present one, and the fastest of them; of
 * alike ones that nearest to what is on the car.
 */
export function lapGears(document: BuildDocument, surface: ChosenSurface | undefined): Assembled<LapGears> {
  const run = surface ? runInputOf(document, surface) : { ok: false as const, missing: ['brief.surfaces'] };
  const ratio = overallRatio(document.drive);
  const missing = [
    ...(run.ok ? [] : run.missing),
    ...(hasRound(document.brief.track) ? [] : ['brief.track.segments']),
    ...(ratio === undefined ? ['drive.stages'] : []),
  ];
  if (!run.ok || ratio === undefined || missing.length > 0) return { ok: false, missing };
  const gearOf = (patch: Patch): LapGear => {
    const changed = applyPatch(document, patch);
    const geared = overallRatio(changed.drive)!;
    const { lapTimeS } = lapDriven(changed, {
      ...run.value,
      drive: { ...run.value.drive, ratio: (run.value.drive.ratio * geared) / ratio },
    });
    return {
      ratio: geared,
      patch,
      ...(lapTimeS === undefined ? {} : { lapTimeS }),
      isPresent: Math.abs(geared / ratio - 1) < 1e-9,
    };
  };
  const present = gearOf([]);
  const gears = [
    ...patchesOf(document)
      .map(gearOf)
      .filter(({ isPresent }) => !isPresent),
    present,
  ].sort((a, b) => a.ratio - b.ratio);
  const best = [...gears]
    .sort((a, b) => Math.abs(a.ratio - ratio) - Math.abs(b.ratio - ratio))
    .reduce<LapGear | undefined>(
      (fastest, gear) =>
        gear.lapTimeS !== undefined && gear.lapTimeS < (fastest?.lapTimeS ?? Infinity) - ALIKE_S
          ? gear
          : fastest,
      undefined,
    );
  return { ok: true, value: { gears, present, ...(best ? { best } : {}) } };
}

function patchesOf({ drive }: BuildDocument): Patch[] {
  const pinions = pinionsOnWheel(drive);
  if (pinions.length > 0) return pinions.map(({ patch }) => patch);
  const stage = plainStage(drive);
  return stage ? FACTORS.map((factor) => ratioPatch(stage, stage.ratio! * factor)) : [];
}
