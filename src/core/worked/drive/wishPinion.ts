import { driveRun } from '../../physics/motion/run';
import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { runInputOf } from '../motion/runOfBuild';
import { pinionsOnWheel, type TeethChoice } from './teeth';

/** What a pinion makes of the wished speed where that is hardest to reach. */
export interface WishPinion {
  readonly choice: TeethChoice;
  readonly topSpeedMps: number;
  readonly wishMps: number;
  /** Name of the slowest surface. */
  readonly surface: string;
  readonly meets: boolean;
}

/**
 * The smallest pinion on the present wheel that reaches the wished speed on every surface, which exceeds it least; where none
 * does, the one that comes nearest.
 */
export function wishPinion(
  document: BuildDocument,
  surfaces: readonly ChosenSurface[],
): Assembled<WishPinion> {
  const { targetMps: wishMps } = document.brief;
  const choices = pinionsOnWheel(document.drive);
  const inputs = surfaces.map((surface) => ({ surface: surface.name, input: runInputOf(document, surface) }));
  const missing = [
    ...(wishMps === undefined ? ['brief.targetMps'] : []),
    ...(choices.length === 0 ? ['drive.stages'] : []),
    ...(surfaces.length === 0 ? ['brief.surfaces'] : []),
    ...inputs.flatMap(({ input }) => (input.ok ? [] : input.missing)),
  ];
  if (wishMps === undefined || missing.length > 0) return { ok: false, missing: [...new Set(missing)] };
  const tried = choices.map((choice): WishPinion => {
    const [slowest] = inputs
      .map(({ surface, input }) => ({
        surface,
        topSpeedMps: input.ok ? topSpeedAt(input.value, choice.ratio) : 0,
      }))
      .sort((a, b) => a.topSpeedMps - b.topSpeedMps);
    return { choice, wishMps, meets: slowest!.topSpeedMps >= wishMps, ...slowest! };
  });
  const meeting = tried
    .filter(({ meets }) => meets)
    .sort((a, b) => a.choice.pinionTeeth - b.choice.pinionTeeth)[0];
  const nearest = [...tried].sort((a, b) => b.topSpeedMps - a.topSpeedMps)[0]!;
  return { ok: true, value: meeting ?? nearest };
}

function topSpeedAt(input: Parameters<typeof driveRun>[0], ratio: number): number {
  const run = driveRun({ ...input, drive: { ...input.drive, ratio } });
  return run.stalled ? 0 : (run.topSpeedMps ?? Infinity);
}
