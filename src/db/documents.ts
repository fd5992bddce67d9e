import { and, inArray, type SQL, sql } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import type { BuildDocument } from '@/core/car/document/document';
import type { Database } from './client';
import { revisions, runs } from './schema';

/** About 100 kB each. */
const MOST_KEPT = 300;
const kept = new LRUCache<string, BuildDocument>({ max: MOST_KEPT });

/** Equal documents are one object for everybody who reads them, so that what was worked out of one is known; nobody writes into it. */
function keep(mark: string, document: BuildDocument): BuildDocument {
  const known = kept.get(mark);
  if (known) return known;
  frozen(document);
  kept.set(mark, document);
  return document;
}

function frozen(value: unknown): void {
  if (typeof value !== 'object' || value === null) return;
  Object.freeze(value);
  for (const inner of Object.values(value)) frozen(inner);
}

/** The column of a revision's document, which is empty where it is known here, and what it stands for in a row. */
export function knownDocuments(): {
  column: SQL<BuildDocument | null>;
  documentOf(mark: string | null, read: BuildDocument | null): BuildDocument;
} {
  const known = new Map(kept.entries());
  return {
    column: sql<BuildDocument | null>`case when ${revisions.documentMark} = any(${sql.param([...known.keys()])}::text[]) then null else ${revisions.document} end`,
    documentOf: (mark, read) => (read === null ? known.get(mark!)! : keep(mark!, read)),
  };
}

/** What runs were driven with, by its mark; each is read once. */
export async function drivenDocuments(
  db: Pick<Database, 'selectDistinctOn'>,
  own: SQL | undefined,
  marks: Iterable<string>,
): Promise<ReadonlyMap<string, BuildDocument>> {
  const found = new Map<string, BuildDocument>();
  const fresh: string[] = [];
  for (const mark of new Set(marks)) {
    const known = kept.get(mark);
    if (known) found.set(mark, known);
    else fresh.push(mark);
  }
  if (fresh.length === 0) return found;
  const rows = await db
    .selectDistinctOn([runs.documentMark], { mark: runs.documentMark, document: runs.document })
    .from(runs)
    .where(and(own, inArray(runs.documentMark, fresh)));
  for (const { mark, document } of rows) found.set(mark!, keep(mark!, document));
  return found;
}
