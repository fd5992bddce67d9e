import { LIBRARY_WORDS } from '@/words/library/library';
import { and, asc, eq } from 'drizzle-orm';
import { namesIn } from '@/core/car/file/references';
import { itemsOf } from '@/core/car/library/items';
import { type LibraryItem } from '@/core/car/library/kinds';
import type { Database } from '../client';
import { DoorError } from '../errors';
import { libraryItems } from '../schema';
import { listBuilds } from './builds';
import { bringBack, present, softDelete } from './deleted';
import { allRevisions } from './revisions';

type Reader = Pick<Database, 'select'>;

export async function listLibrary(db: Reader, workshopId: string): Promise<LibraryItem[]> {
  return db
    .select({ id: libraryItems.id, kind: libraryItems.kind, data: libraryItems.data })
    .from(libraryItems)
    .where(and(eq(libraryItems.workshopId, workshopId), present(libraryItems)))
    .orderBy(asc(libraryItems.kind), asc(libraryItems.id));
}

/** Adds an item or changes the one of its id; builds keep the copy they have. */
export async function saveLibraryItem(
  db: Database,
  workshopId: string,
  item: LibraryItem,
): Promise<LibraryItem> {
  if (item.kind === 'tyre') {
    const { compound } = (item as LibraryItem<'tyre'>).data;
    const compounds = itemsOf(await listLibrary(db, workshopId), 'compound');
    if (!compounds.some(({ id }) => id === compound))
      throw new DoorError('notFound', `names the compound ${compound}, which the library does not hold`, {
        path: 'data.compound',
        remedy: `use one of ${compounds.map(({ id }) => id).join(', ')}`,
      });
  }
  const [known] = await db
    .select({ kind: libraryItems.kind })
    .from(libraryItems)
    .where(and(eq(libraryItems.workshopId, workshopId), eq(libraryItems.id, item.id)));
  if (known && known.kind !== item.kind)
    throw new DoorError('exists', `This id belongs to a ${LIBRARY_WORDS[known.kind].one}.`, {
      path: 'id',
      remedy: 'make a new id',
    });
  await db
    .insert(libraryItems)
    .values({ workshopId, ...item })
    .onConflictDoUpdate({
      target: [libraryItems.workshopId, libraryItems.id],
      set: { data: item.data, deletedAt: null },
    });
  return item;
}

/** Names of the builds (with their revisions) and of the tyres that stand on each item, by its id. */
export async function usersOfAll(db: Database, workshopId: string): Promise<Map<string, string[]>> {
  const [revisions, builds, library] = await Promise.all([
    allRevisions(db, workshopId),
    listBuilds(db, workshopId),
    listLibrary(db, workshopId),
  ]);
  const names = new Map(builds.map((build) => [build.id, build.name]));
  const used = new Map<string, string[]>();
  const note = (id: string, user: string) => used.set(id, [...(used.get(id) ?? []), user]);
  const inOrder = revisions
    .map((revision) => ({
      revision,
      user: `${names.get(revision.buildId) ?? revision.buildId} ${revision.letter}`,
    }))
    .sort((a, b) => (a.user < b.user ? -1 : 1));
  for (const { revision, user } of inOrder)
    for (const id of namesIn({ revisions: [revision] }, 'library')) note(id, user);
  for (const { data } of itemsOf(library, 'tyre')) note(data.compound, `tyre ${data.name}`);
  return used;
}

export async function deleteLibraryItem(db: Database, workshopId: string, id: string): Promise<void> {
  const usedBy = (await usersOfAll(db, workshopId)).get(id) ?? [];
  if (usedBy.length > 0)
    throw new DoorError('inUse', `It is used by ${usedBy.join(', ')}.`, {
      usedBy,
      remedy: 'choose another one there first',
    });
  await softDelete(db, workshopId, 'library', id);
}

export async function restoreLibraryItem(db: Database, workshopId: string, id: string): Promise<LibraryItem> {
  await bringBack(db, workshopId, 'library', id);
  return (await listLibrary(db, workshopId)).find((item) => item.id === id)!;
}
