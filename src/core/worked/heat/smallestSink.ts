import { applyPatch, type Patch } from '../../base/patch';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { packOfBuild } from './enduranceOfBuild';
import { wholePack, type WholePack } from './wholePack';

/** Heights of fins that are sold, mm. */
export const SINK_HEIGHTS_MM = [5, 8, 10, 12, 15, 20, 25] as const;

export const sinkOf = (finMm: number | undefined): Patch => [
  { path: ['drive', 'heat', 'sinkFinMm'], value: finMm },
];

/**
 * The lowest fins with which a pack stays within what is asked of it; the highest where none do.
 *
 * @param above mm that it already has
 * @returns undefined where there are none higher
 */
export function smallestSink(
  document: BuildDocument,
  surface: ChosenSurface,
  isEnough: (pack: WholePack) => boolean,
  above = 0,
): number | undefined {
  const heights = SINK_HEIGHTS_MM.filter((mm) => mm > above);
  const lasts = (mm: number) => {
    const pack = packOfBuild(applyPatch(document, sinkOf(mm)), surface);
    return pack.ok && isEnough(wholePack(pack.value));
  };
  let [low, high] = [0, heights.length - 1];
  while (low < high) {
    const middle = Math.floor((low + high) / 2);
    if (lasts(heights[middle]!)) high = middle;
    else low = middle + 1;
  }
  return heights[low];
}
