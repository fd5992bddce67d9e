import { eq, sql } from 'drizzle-orm';
import { STARTING_LIBRARY } from '@/core/car/library/starting';
import type { Database } from '../client';
import { DoorError } from '../errors';
import type { WorkshopSettings } from '@/core/verdict/settings';
import { libraryItems, rateLimits, workshops } from '../schema';
import { workshopStamp } from '../stamps';
import { writing } from '../writing';

/** Id of the workshop that stands for everyone where there are no accounts, and that the first owner takes over. */
export async function defaultWorkshop(db: Database): Promise<string> {
  const [found] = await db.select({ id: workshops.id }).from(workshops).where(eq(workshops.isDefault, true));
  if (!found) throw new DoorError('notFound', 'There is no default workshop in this database.');
  return found.id;
}

export async function createWorkshop(db: Database, id: string, name: string): Promise<void> {
  await db.insert(workshops).values({ id, name });
  await stockLibrary(db, id);
}

export async function workshopName(db: Database, workshopId: string): Promise<string> {
  const [found] = await db
    .select({ name: workshops.name })
    .from(workshops)
    .where(eq(workshops.id, workshopId));
  return found?.name ?? '';
}

export async function renameWorkshop(db: Database, workshopId: string, name: string): Promise<void> {
  await db.update(workshops).set({ name }).where(eq(workshops.id, workshopId));
}

/**
 * Deletes a workshop with all that is in it, for good.
 *
 * @param exported the stamp of the archive that was taken of it
 * @throws DoorError `conflict` where the name is another, or where anything was written since it was exported
 */
export async function deleteWorkshop(
  db: Database,
  workshopId: string,
  name: string,
  exported: string,
): Promise<void> {
  await writing(db, async (tx) => {
    await tx.select({ id: workshops.id }).from(workshops).where(eq(workshops.id, workshopId)).for('update');
    if ((await workshopName(tx, workshopId)) !== name)
      throw new DoorError('conflict', 'The workshop is called otherwise.', {
        path: 'name',
        remedy: 'type its name as it stands above',
      });
    if ((await workshopStamp(tx, workshopId)) !== exported)
      throw new DoorError('conflict', 'The workshop was not exported as it is now.', {
        path: 'exported',
        remedy: 'export it once more, keep the file, and then delete it',
      });
    await tx.delete(workshops).where(eq(workshops.id, workshopId));
  });
}

/** Puts the starting library in; what is there already stays as it is. */
export async function stockLibrary(db: Database, workshopId: string): Promise<void> {
  await db
    .insert(libraryItems)
    .values(STARTING_LIBRARY.map((item) => ({ workshopId, ...item })))
    .onConflictDoNothing();
}

export async function settingsOf(db: Database, workshopId: string): Promise<WorkshopSettings> {
  const [found] = await db
    .select({ settings: workshops.settings })
    .from(workshops)
    .where(eq(workshops.id, workshopId));
  return found?.settings ?? {};
}

/** Sets what is given; the other settings stay. */
export async function saveSettings(
  db: Database,
  workshopId: string,
  settings: WorkshopSettings,
): Promise<WorkshopSettings> {
  const [saved] = await db
    .update(workshops)
    .set({ settings: sql`${workshops.settings} || ${JSON.stringify(settings)}::jsonb` })
    .where(eq(workshops.id, workshopId))
    .returning({ settings: workshops.settings });
  return saved!.settings;
}

const MINUTE_S = 60;

/** Counts one write; whether it is within the limit of the present window, a minute unless another is given. */
export async function countWrite(
  db: Database,
  key: string,
  most: number,
  windowS = MINUTE_S,
): Promise<boolean> {
  const fresh = sql`${rateLimits.windowStart} < now() - make_interval(secs => ${windowS})`;
  const [row] = await db
    .insert(rateLimits)
    .values({ key, windowStart: sql`now()` as unknown as Date, count: 1 })
    .onConflictDoUpdate({
      target: rateLimits.key,
      set: {
        count: sql`case when ${fresh} then 1 else ${rateLimits.count} + 1 end`,
        windowStart: sql`case when ${fresh} then now() else ${rateLimits.windowStart} end`,
      },
    })
    .returning({ count: rateLimits.count });
  return row!.count <= most;
}

/** Takes back one that changed nothing. */
export async function uncountWrite(db: Database, key: string): Promise<void> {
  await db
    .update(rateLimits)
    .set({ count: sql`greatest(${rateLimits.count} - 1, 0)` })
    .where(eq(rateLimits.key, key));
}
