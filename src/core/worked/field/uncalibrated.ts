import { applyPatch, valueAt } from '../../base/patch';
import type { BuildDocument } from '../../car/document/document';

/**
 * The build without what a calibration made of it: figures that still are as it set them go back to what they were, and the usual
 * spreads count again. A figure that was changed since is the builder's own.
 */
export function uncalibrated(document: BuildDocument): BuildDocument {
  const { calibration } = document.brief;
  if (!calibration) return document;
  const { corrected = [] } = calibration;
  return applyPatch(document, [
    { path: ['brief', 'calibration'], value: undefined },
    ...corrected
      .filter(({ path, to }) => valueAt(document, path) === to)
      .map(({ path, from }) => ({ path, value: from })),
  ]);
}
