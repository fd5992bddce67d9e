import { applyPatch } from '@/core/build/patch';
import { parseDocument } from '@/core/build/document.schema';
import { failureSheetSchema, runSheetSchema } from '@/core/field/records.schema';
import { parse } from '@/core/schema/parse';
import type { Database } from '../client';
import { createBuild } from '../queries/builds';
import { noteFailure } from '../queries/failures';
import { openNextRevision, saveDocument } from '../queries/revisions';
import { logRun } from '../queries/runs';
import { EXPECTED_B, MARSH_HARE_FAILURES, MARSH_HARE_RUNS, marshHareA, marshHareB, WHY_B } from './marshHare';
import { measuredRun } from './measuredRuns';
import { tinWren } from './tinWren';

/** Fills the demo workshop through the same functions that the application uses. */
export async function seedDemo(db: Database, workshopId: string): Promise<void> {
  const first = { id: 'marsh-hare', revisionId: 'marsh-hare-a', name: 'Marsh Hare', document: parseDocument(marshHareA), createdAt: '2026-03-28T18:00:00.000Z' };
  await createBuild(db, workshopId, first);
  await openNextRevision(db, workshopId, 'marsh-hare-a', { id: 'marsh-hare-b', why: WHY_B, expected: EXPECTED_B, createdAt: '2026-04-18T17:00:00.000Z' });
  const documentB = parseDocument(applyPatch(marshHareA, marshHareB));
  await saveDocument(db, workshopId, 'marsh-hare-b', 1, documentB);

  const documents = { A: marshHareA, B: documentB };
  const revisionIds = { A: 'marsh-hare-a', B: 'marsh-hare-b' } as const;
  for (const [index, run] of MARSH_HARE_RUNS.entries()) {
    await logRun(db, workshopId, revisionIds[run.letter], parse(runSheetSchema, measuredRun(run, documents[run.letter], 3117 + index)));
  }
  for (const { letter, ...failure } of MARSH_HARE_FAILURES) {
    await noteFailure(db, workshopId, revisionIds[letter as 'A' | 'B'], parse(failureSheetSchema, failure));
  }
  await createBuild(db, workshopId, { id: 'tin-wren', revisionId: 'tin-wren-a', name: 'Tin Wren', document: parseDocument(tinWren), createdAt: '2026-05-02T19:30:00.000Z' });
}
