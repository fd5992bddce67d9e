import type { BuildDocument } from '../../car/document/document';
import type { Drive } from '../../car/document/drive';
import { plainStage, ratioPatch } from '../../worked/drive/teeth';
import { bearsCells, otherPack } from '../../worked/exchange/otherPack';
import type { Proposal } from '../engine/check';

/** Fewest teeth that a remedy leaves on a pinion. */
const FEWEST_TEETH = 8;
/** Teeth by which the pinion is moved, one after the other. */
const STEPS = [1, 2, 4, 6];

export type GearingWay = 'longer' | 'shorter';

/** A plain ratio moved, one after the other. */
const FACTORS = [1.05, 1.1, 1.2, 1.35];

/** Teeth of the first geared stage's pinion moved, because that one is quickly changed; or a ratio that has no teeth yet. */
export function gearing({ drive }: BuildDocument, ...ways: GearingWay[]): Proposal[] {
  const stage = drive.stages.find(
    ({ pinionTeeth, wheelTeeth }) => pinionTeeth !== undefined && wheelTeeth !== undefined,
  );
  if (!stage) return plainRatio(drive, ways);
  return ways.flatMap((way) =>
    STEPS.map((step) => stage.pinionTeeth! + (way === 'longer' ? step : -step))
      .filter((teeth) => teeth >= FEWEST_TEETH)
      .map((teeth) => ({
        patch: [{ path: ['drive', 'stages', stage.id, 'pinionTeeth'], value: teeth }],
        cost: 1 as const,
      })),
  );
}

function plainRatio({ stages }: Drive, ways: readonly GearingWay[]): Proposal[] {
  const stage = plainStage({ stages });
  if (!stage) return [];
  return ways.flatMap((way) =>
    FACTORS.map((factor) => ({
      patch: ratioPatch(stage, stage.ratio! * (way === 'longer' ? 1 / factor : factor)),
      cost: 1 as const,
    })),
  );
}

/** One cell more, where motor and controller bear it. */
export function oneCellMore(document: BuildDocument): Proposal[] {
  const { battery, controller } = document.power;
  if (!battery || !controller || !document.drive.motor) return [];
  const cells = battery.cells + 1;
  const pack = bearsCells(document, cells) ? otherPack(document, { cells }) : undefined;
  return pack ? [{ patch: pack.patch, cost: 2 }] : [];
}
