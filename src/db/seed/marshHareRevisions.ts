import { parseDocument } from '@/core/build/document.schema';
import type { BuildDocument } from '@/core/build/document';
import { applyPatch } from '@/core/build/patch';
import { calibrateBuild } from '@/core/drive/heatOf';
import { marshHareA, marshHareB, marshHareC, marshHareD, READ_AT_MINUTES_C } from './marshHare';
import { measuredReadings } from './measuredRuns';

export const MARSH_HARE_LETTERS = ['A', 'B', 'C', 'D'] as const;
export type MarshHareLetter = (typeof MARSH_HARE_LETTERS)[number];

const READINGS_SEED = 41;

/** The four documents; C carries what was measured at its motor, D the cooling that those readings gave. */
export function marshHareDocuments(): Record<MarshHareLetter, BuildDocument> {
  const A = parseDocument(marshHareA);
  const B = parseDocument(applyPatch(A, marshHareB));
  const C = withReadings(parseDocument(applyPatch(B, marshHareC)));
  const calibrated = calibrateBuild(C, C.brief.surfaces[0]!);
  if (!calibrated.ok) throw new Error(`the demo car cannot be calibrated: ${calibrated.missing.join(', ')}`);
  const { notes: _, ...calibration } = calibrated.value;
  const D = parseDocument(applyPatch(C, [...marshHareD, { path: ['drive', 'heat', 'calibration'], value: calibration }]));
  return { A, B, C, D };
}

function withReadings(document: BuildDocument): BuildDocument {
  return applyPatch(document, [{ path: ['drive', 'heat', 'readings'], value: measuredReadings(document, READ_AT_MINUTES_C, READINGS_SEED) }]);
}
