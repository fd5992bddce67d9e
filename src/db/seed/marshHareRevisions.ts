import { parseDocument } from '@/core/car/document/document.schema';
import type { BuildDocument } from '@/core/car/document/document';
import { applyPatch, type Patch } from '@/core/base/patch';
import { FAILSAFE_ITEMS } from '@/core/car/document/power';
import { failsafeMarks } from '@/core/worked/power/failsafe';
import { calibrateBuild } from '@/core/worked/heat/heatOf';
import { marshHareA, marshHareB, marshHareC, marshHareD, READ_AT_MINUTES_C } from './marshHare';
import { marshHareCoast, marshHareGrip, withDrag, withGrip } from './grip/marshHareGrip';
import { withDrawnParts } from './made/marshHareMade';
import { measuredReadings } from './measuredRuns';

export const MARSH_HARE_LETTERS = ['A', 'B', 'C', 'D'] as const;
export type MarshHareLetter = (typeof MARSH_HARE_LETTERS)[number];

const READINGS_SEED = 57;
/** Its drag was measured; lift and side force follow from its shape. */
const LIFT_BY_SHAPE: Patch = [
  { path: ['chassis', 'claFrontM2'], value: undefined },
  { path: ['chassis', 'claRearM2'], value: undefined },
  { path: ['chassis', 'air'], value: { shape: 'buggy' } },
];

/**
 * The four documents; C carries what was measured at its motor, D the cooling that those readings gave and the parts that
 * were drawn here.
 *
 * @param bare leaves the drawn parts as they were
 */
export function marshHareDocuments({ bare = false } = {}): Record<MarshHareLetter, BuildDocument> {
  const A = parseDocument(triedOn(marshHareA, '2026-04-10T18:00:00.000Z'));
  const B = parseDocument(applyPatch(A, marshHareB));
  const C = withReadings(parseDocument(applyPatch(B, marshHareC)));
  const calibrated = calibrateBuild(C, C.brief.surfaces[0]!);
  if (!calibrated.ok) throw new Error(`the demo car cannot be calibrated: ${calibrated.missing.join(', ')}`);
  const { notes: _, ...calibration } = calibrated.value;
  const tried = parseDocument(
    triedOn(
      applyPatch(C, [...marshHareD, { path: ['drive', 'heat', 'calibration'], value: calibration }]),
      '2026-05-29T17:30:00.000Z',
    ),
  );
  const gripped = applyPatch(withDrag(withGrip(tried, marshHareGrip(C)), marshHareCoast(C)), LIFT_BY_SHAPE);
  return { A, B, C, D: bare ? gripped : parseDocument(withDrawnParts(gripped)) };
}

/** Every test of the fail-safe list passed with what is built in. */
function triedOn(document: BuildDocument, at: string): BuildDocument {
  return {
    ...document,
    power: {
      ...document.power,
      failsafe: FAILSAFE_ITEMS.map((id) => ({ id, at, of: failsafeMarks(document.power) })),
    },
  };
}

function withReadings(document: BuildDocument): BuildDocument {
  return applyPatch(document, [
    {
      path: ['drive', 'heat', 'readings'],
      value: measuredReadings(document, READ_AT_MINUTES_C, READINGS_SEED),
    },
  ]);
}
