import sharp from 'sharp';
import { parseDocument } from '@/core/car/document/document.schema';
import { failureSheetSchema, runSheetSchema } from '@/core/car/records/records.schema';
import { parseLibraryItem } from '@/core/car/library/items.schema';
import { copySheetSchema, printSheetSchema } from '@/core/car/records/log.schema';
import { parse } from '@/core/base/schema/parse';
import type { Database } from '../client';
import { createBuild } from '../queries/builds';
import { noteFailure } from '../queries/failures';
import { saveLibraryItem } from '../queries/library';
import { changeCopy, logPrint } from '../queries/prints';
import { keepPhoto, keepTrack } from '../queries/files';
import { keepMesh } from '../queries/meshes';
import { describeRevision, openNextRevision, saveDocument } from '../queries/revisions';
import { logRun } from '../queries/runs';
import { DEMO_MESHES } from './demoMeshes';
import { EXPECTED_B, EXPECTED_C, EXPECTED_D, LEARNED_A, WHY_B, WHY_C, WHY_D } from './marshHare';
import { marshHareBenches } from './marshHareBenches';
import { marshHareCoast, marshHareGrip, marshHareHandling } from './grip/marshHareGrip';
import { MARSH_HARE_LOG, marshHareLog } from './marshHareLog';
import { MARSH_HARE_FAILURES } from './marshHareFailures';
import { MARSH_HARE_RUNS, MARSH_HARE_TRACKS } from './marshHareRuns';
import { copiesOnCar, whatBecameOf, marshHarePrints } from './marshHarePrint';
import { drawnContents } from './made/marshHareMade';
import { marshHareCoupon } from './marshHareCoupon';
import { MARSH_HARE_PHOTOS } from './marshHarePhotos';
import { marshHareDocuments, type MarshHareLetter } from './marshHareRevisions';
import { orchardTrack } from './marshHareTracks';
import { measuredRun, trueTopSpeed } from './measuredRuns';
import { tinWren } from './tinWren';

const idOf = (letter: MarshHareLetter) => `marsh-hare-${letter.toLowerCase()}`;
const LATER = [
  { letter: 'B', parent: 'A', why: WHY_B, expected: EXPECTED_B, createdAt: '2026-04-18T17:00:00.000Z' },
  { letter: 'C', parent: 'B', why: WHY_C, expected: EXPECTED_C, createdAt: '2026-05-09T18:30:00.000Z' },
  { letter: 'D', parent: 'C', why: WHY_D, expected: EXPECTED_D, createdAt: '2026-05-23T15:00:00.000Z' },
] as const;

/** Fills the demo workshop through the same functions that the application uses. */
export async function seedDemo(db: Database, workshopId: string): Promise<void> {
  for (const { content } of Object.values(DEMO_MESHES)) await keepMesh(db, workshopId, content);
  for (const content of drawnContents()) await keepMesh(db, workshopId, content);
  const documents = marshHareDocuments();
  await createBuild(db, workshopId, {
    id: 'marsh-hare',
    revisionId: idOf('A'),
    name: 'Marsh Hare',
    document: documents.A,
    createdAt: '2026-03-28T18:00:00.000Z',
  });
  for (const { letter, parent, why, expected, createdAt } of LATER) {
    await openNextRevision(db, workshopId, idOf(parent), { id: idOf(letter), why, expected, createdAt });
    await saveDocument(db, workshopId, idOf(letter), 1, documents[letter]);
  }
  await describeRevision(db, workshopId, idOf('A'), { learned: LEARNED_A });
  for (const [index, run] of MARSH_HARE_RUNS.entries()) {
    await logRun(
      db,
      workshopId,
      idOf(run.letter),
      parse(runSheetSchema, {
        ...measuredRun(run, documents[run.letter], 3117 + index),
        copies: copiesOnCar(run.letter),
      }),
    );
  }
  for (const bench of marshHareBenches(documents.D))
    await logRun(db, workshopId, idOf('D'), parse(runSheetSchema, bench));
  for (const sheet of [...marshHareGrip(documents.C), marshHareCoast(documents.C)])
    await logRun(db, workshopId, idOf('C'), parse(runSheetSchema, sheet));
  for (const sheet of marshHareHandling(documents.D))
    await logRun(db, workshopId, idOf('D'), parse(runSheetSchema, sheet));
  const { text, log } = marshHareLog(documents.D);
  await logRun(
    db,
    workshopId,
    idOf('D'),
    parse(runSheetSchema, {
      ...MARSH_HARE_LOG,
      attempts: [],
      conditions: {
        surfaceId: documents.D.brief.surfaces[0]!.id,
        surfaceName: documents.D.brief.surfaces[0]!.name,
      },
      report: { log: { hash: await keepTrack(db, workshopId, Buffer.from(text)), ...log } },
      document: documents.D,
    }),
  );
  for (const { letter, ranAt, id, rounds, note } of MARSH_HARE_TRACKS) {
    const document = documents[letter];
    const surface = document.brief.surfaces[0]!;
    const { text, track } = orchardTrack(id, trueTopSpeed(document), rounds, ranAt, 900 + rounds);
    const hash = await keepTrack(db, workshopId, Buffer.from(text));
    await logRun(
      db,
      workshopId,
      idOf(letter),
      parse(runSheetSchema, {
        id,
        kind: 'track',
        attempts: [],
        conditions: { surfaceId: surface.id, surfaceName: surface.name },
        track: { hash, ...track },
        copies: copiesOnCar(letter),
        drivenMinutes: Number((track.durationS / 60).toFixed(1)),
        note,
        ranAt,
        document,
      }),
    );
  }
  for (const { letter, ...failure } of MARSH_HARE_FAILURES) {
    const drawn = MARSH_HARE_PHOTOS[failure.id];
    const photos = drawn
      ? [
          {
            hash: await keepPhoto(db, workshopId, await sharp(Buffer.from(drawn.svg)).png().toBuffer()),
            caption: drawn.caption,
          },
        ]
      : [];
    await noteFailure(
      db,
      workshopId,
      idOf(letter),
      parse(failureSheetSchema, {
        ...failure,
        ledger: { ...failure.ledger, ...(photos.length > 0 ? { photos } : {}) },
      }),
    );
  }
  for (const { letter, sheet } of marshHarePrints(documents)) {
    const { copies } = await logPrint(db, workshopId, idOf(letter), parse(printSheetSchema, sheet));
    for (const { revisionId: _, version, ...copy } of copies) {
      const changed = whatBecameOf(copy);
      if (changed) await changeCopy(db, workshopId, version, parse(copySheetSchema, changed));
    }
  }
  await saveLibraryItem(db, workshopId, parseLibraryItem(marshHareCoupon()));
  await createBuild(db, workshopId, {
    id: 'tin-wren',
    revisionId: 'tin-wren-a',
    name: 'Tin Wren',
    document: parseDocument(tinWren),
    createdAt: '2026-06-02T19:30:00.000Z',
  });
}
