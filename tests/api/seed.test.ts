import { eq } from 'drizzle-orm';
import { database } from '@/db/client';
import { listBuilds } from '@/db/queries/builds';
import { defaultWorkshop } from '@/db/queries/workshops';
import { builds, libraryItems, meshes } from '@/db/schema';
import { fillDemo } from '@/db/seed/fillDemo';
import { withOwnDatabase } from './workshop';

withOwnDatabase();

it('a demo that was cut off leaves nothing behind, and is filled in whole the next time', async () => {
  const db = database();
  const workshopId = await defaultWorkshop(db);
  await db.delete(libraryItems);
  // its last build cannot be made while another holds the id out of sight
  await db.insert(builds).values({
    workshopId,
    id: 'tin-wren',
    name: 'In the way',
    createdAt: '2026-01-01T00:00:00.000Z',
    deletedAt: '2026-01-02T00:00:00.000Z',
  });
  await expect(fillDemo(db, workshopId)).rejects.toThrow();
  expect(await listBuilds(db, workshopId)).toEqual([]);
  expect([await db.$count(libraryItems), await db.$count(meshes)]).toEqual([0, 0]);
  await db.delete(builds).where(eq(builds.id, 'tin-wren'));
  await fillDemo(db, workshopId);
  expect((await listBuilds(db, workshopId)).map(({ id }) => id).sort()).toEqual(['marsh-hare', 'tin-wren']);
  const filled = await db.$count(libraryItems);
  await db.delete(builds);
  await fillDemo(db, workshopId);
  expect([await listBuilds(db, workshopId), await db.$count(libraryItems)]).toEqual([[], filled]);
}, 30_000);
