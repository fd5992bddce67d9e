import { sql } from 'drizzle-orm';
import { POST as restore } from '@/app/api/[kind]/[id]/restore/route';
import { DELETE as deleteBuild, GET as readBuild } from '@/app/api/builds/[id]/route';
import { GET as listBuilds } from '@/app/api/builds/route';
import { DELETE as deleteFailure } from '@/app/api/failures/[id]/route';
import { DELETE as deleteItem } from '@/app/api/library/[id]/route';
import { GET as listDeleted } from '@/app/api/deleted/route';
import { GET as listItems, PUT as saveItem } from '@/app/api/library/route';
import { DELETE as deletePrint } from '@/app/api/prints/[id]/route';
import { DELETE as deleteRun } from '@/app/api/runs/[id]/route';
import type { DeletedThing } from '@/core/car/records/deleted';
import type { WholeBuild } from '@/core/car/records/records';
import { database } from '@/db/client';
import { KEPT_DAYS, purgeDeleted } from '@/db/queries/deleted';
import { fileContent } from '@/db/queries/files';
import { defaultWorkshop } from '@/db/queries/workshops';
import { seedDemo } from '@/db/seed/demo';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();
beforeAll(async () => seedDemo(database(), await defaultWorkshop(database())), 30_000);

const whole = async () => (await call(readBuild, { id: 'marsh-hare' })).json as WholeBuild;
const back = (kind: string, id: string) => call(restore, { method: 'POST', id, params: { kind } });
/** As if it had been deleted so many days ago. */
const aged = (table: string, days: number) =>
  database().execute(
    sql`update ${sql.raw(table)} set deleted_at = deleted_at - make_interval(days => ${days}) where deleted_at is not null`,
  );

describe('what was deleted', () => {
  it('is out of sight and comes back as it was', async () => {
    const before = await whole();
    const failure = before.failures.find(({ ledger }) => ledger?.photos)!;
    const print = before.prints.find(({ id }) => before.copies.some(({ printId }) => printId === id))!;
    const run = before.runs.find(({ id }) => before.failures.every(({ runId }) => runId !== id))!;
    await call(deleteFailure, { method: 'DELETE', id: failure.id });
    await call(deletePrint, { method: 'DELETE', id: print.id });
    await call(deleteRun, { method: 'DELETE', id: run.id });
    const without = await whole();
    expect(without.failures).toEqual(before.failures.filter(({ id }) => id !== failure.id));
    expect(without.prints).toEqual(before.prints.filter(({ id }) => id !== print.id));
    expect(without.copies).toEqual(before.copies.filter(({ printId }) => printId !== print.id));
    expect(without.runs).toEqual(before.runs.filter(({ id }) => id !== run.id));
    expect((await back('failures', failure.id)).json).toEqual(failure);
    expect((await back('prints', print.id)).json).toEqual({
      print,
      copies: expect.arrayContaining(before.copies.filter(({ printId }) => printId === print.id)),
    });
    expect((await back('runs', run.id)).json).toEqual(run);
    expect(await whole()).toEqual(before);
  });

  it('is listed with what it belongs to, the last first, until it is brought back', async () => {
    const listed = async () => (await call(listDeleted, {})).json.deleted as DeletedThing[];
    expect(await listed()).toEqual([]);
    const { failures, runs, prints } = await whole();
    const [failure, print] = [failures[0]!, prints[0]!];
    const run = runs.find(({ id }) => failures.every(({ runId }) => runId !== id))!;
    await call(deleteFailure, { method: 'DELETE', id: failure.id });
    await call(deleteRun, { method: 'DELETE', id: run.id });
    await call(deletePrint, { method: 'DELETE', id: print.id });
    await call(deleteItem, { method: 'DELETE', id: 'motor-370-brushed' });
    const letterOf = (revisionId: string) => revisionId.at(-1)!.toUpperCase();
    const things = await listed();
    expect(things.map(({ deletedAt: _, ...thing }) => thing)).toEqual([
      { kind: 'library', id: 'motor-370-brushed', libraryKind: 'motor', name: '370 brushed' },
      {
        kind: 'prints',
        id: print.id,
        parts: print.items.map(({ partName }) => partName),
        of: { build: 'Marsh Hare', letter: letterOf(print.revisionId) },
      },
      {
        kind: 'runs',
        id: run.id,
        runKind: run.kind,
        of: { build: 'Marsh Hare', letter: letterOf(run.revisionId) },
      },
      {
        kind: 'failures',
        id: failure.id,
        name: failure.partName,
        of: { build: 'Marsh Hare', letter: letterOf(failure.revisionId) },
      },
    ]);
    // what belongs to a deleted build comes back with it
    await call(deleteBuild, { method: 'DELETE', id: 'marsh-hare' });
    expect((await listed()).map(({ kind, name }) => [kind, name])).toEqual([
      ['builds', 'Marsh Hare'],
      ['library', '370 brushed'],
    ]);
    await back('builds', 'marsh-hare');
    for (const { kind, id } of things) await back(kind, id);
    expect(await listed()).toEqual([]);
  });

  it('of a failure brings its run along', async () => {
    const failure = (await whole()).failures.find(({ runId }) => runId !== undefined)!;
    expect((await call(deleteRun, { method: 'DELETE', id: failure.runId! })).status).toBe(409);
    await call(deleteFailure, { method: 'DELETE', id: failure.id });
    const others = (await whole()).failures.filter(({ runId }) => runId === failure.runId);
    for (const { id } of others) await call(deleteFailure, { method: 'DELETE', id });
    expect((await call(deleteRun, { method: 'DELETE', id: failure.runId! })).status).toBe(200);
    await back('failures', failure.id);
    expect((await whole()).runs.map(({ id }) => id)).toContain(failure.runId);
    for (const { id } of others) await back('failures', id);
  });

  it('is a whole build too, with all that hangs on it', async () => {
    const before = await whole();
    await call(deleteBuild, { method: 'DELETE', id: 'marsh-hare' });
    expect((await call(readBuild, { id: 'marsh-hare' })).status).toBe(404);
    expect((await call(listBuilds)).json.builds.map(({ id }: { id: string }) => id)).toEqual(['tin-wren']);
    expect((await back('builds', 'marsh-hare')).json).toEqual(before);
  });

  it('is an item of the library, which may also be made anew', async () => {
    const item = {
      id: 'own-motor',
      kind: 'stage',
      data: { name: 'Own stage', kind: 'spur', efficiency: 0.9 },
    };
    const ids = async () =>
      (await call(listItems)).json.items.map(({ id }: { id: string }) => id) as string[];
    await call(saveItem, { method: 'PUT', body: item });
    await call(deleteItem, { method: 'DELETE', id: item.id });
    expect(await ids()).not.toContain(item.id);
    expect((await back('library', item.id)).json).toEqual(item);
    await call(deleteItem, { method: 'DELETE', id: item.id });
    await call(saveItem, { method: 'PUT', body: item });
    expect(await ids()).toContain(item.id);
  });

  it('goes for good after its days, and its photograph with it; what others name stays', async () => {
    const { failures, runs } = await whole();
    const workshopId = await defaultWorkshop(database());
    const [first, second] = failures.filter(({ ledger }) => ledger?.photos);
    const hash = first!.ledger!.photos![0]!.hash;
    await call(deleteFailure, { method: 'DELETE', id: first!.id });
    await aged('failures', KEPT_DAYS - 1);
    expect(await purgeDeleted(database())).toBe(0);
    await database().execute(
      sql`update files set created_at = created_at - make_interval(days => ${KEPT_DAYS + 1})`,
    );
    await aged('failures', 2);
    expect(await purgeDeleted(database())).toBe(1);
    expect((await back('failures', first!.id)).status).toBe(404);
    await expect(fileContent(database(), workshopId, hash)).rejects.toThrow('does not hold that file');
    expect((await fileContent(database(), workshopId, second!.ledger!.photos![0]!.hash)).type).toBe(
      'image/jpeg',
    );
    expect(
      (await fileContent(database(), workshopId, runs.find(({ track }) => track)!.track!.hash)).content
        .length,
    ).toBeGreaterThan(0);
  });

  it('of no known kind is not found', async () => {
    expect(await back('workshops', 'x')).toMatchObject({ status: 404, json: { error: { path: 'kind' } } });
    expect(await back('toString', 'x')).toMatchObject({ status: 404 });
    expect(await back('runs', 'never')).toMatchObject({
      status: 404,
      json: { error: { remedy: expect.stringContaining('30 days') } },
    });
  });
});
