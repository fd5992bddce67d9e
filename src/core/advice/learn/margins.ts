import type { BuildDocument } from '../../car/document/document';
import type { Check } from '../../verdict/engine/check';
import { partStrength } from '../../worked/parts/partStrength';

const SCREWS = 'boss';

/**
 * Margins of a build as a diagnosis asks for them: of every check that has one, and of each part in its
 * layers, between them and at its screws.
 */
export function diagnosisMargins(document: BuildDocument, checks: readonly Check[]): Record<string, number> {
  const margins: Record<string, number> = {};
  for (const { id, margin } of checks)
    if (margin !== undefined && Number.isFinite(margin) && margin >= 0) margins[id] = margin;
  for (const part of document.parts.items) {
    const found = partStrength(document, document.brief.surfaces[0], part);
    if (!found.ok) continue;
    for (const { between, depth, margin } of found.value.loads) {
      const key = `parts.${depth === SCREWS ? 'boss' : between ? 'layer' : 'plane'}:${part.id}`;
      margins[key] = Math.min(margins[key] ?? Infinity, margin);
    }
  }
  return margins;
}
