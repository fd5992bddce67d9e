import { GET as health } from '@/app/api/health/route';
import { GET as readSettings, PUT as saveSettings } from '@/app/api/settings/route';
import { PATCH as renameBuild } from '@/app/api/builds/[id]/route';
import { POST as makeBuild } from '@/app/api/builds/route';
import { GET as listItems } from '@/app/api/library/route';
import { migrateDatabase } from '@/db/migrate';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();

it('answers that it is well', async () =>
  expect(await call(health)).toMatchObject({ status: 200, json: { ok: true } }));

it('migrates a database that is up to date without touching it, two at once', async () => {
  const before = (await call(listItems)).text;
  await Promise.all([migrateDatabase(process.env.DATABASE_URL!), migrateDatabase(process.env.DATABASE_URL!)]);
  expect((await call(listItems)).text).toBe(before);
});

it('keeps the margins of the workshop, and refuses what is none', async () => {
  expect(
    (await call(saveSettings, { method: 'PUT', body: { thresholds: { 'brief.mass': 1.2 } } })).status,
  ).toBe(200);
  expect((await call(readSettings)).json).toEqual({ thresholds: { 'brief.mass': 1.2 } });
  for (const [thresholds, path] of [
    [{ 'brief.mass': 0.5 }, 'thresholds.brief.mass'],
    [{ 'brief.luck': 2 }, 'thresholds.brief.luck'],
  ] as const) {
    expect(await call(saveSettings, { method: 'PUT', body: { thresholds } })).toMatchObject({
      status: 422,
      json: { error: { path } },
    });
  }
});

it('renames a build, and refuses an empty name or a build that is not there', async () => {
  await call(makeBuild, { method: 'POST', body: { id: 'b', revisionId: 'b-a', name: 'Old' } });
  expect((await call(renameBuild, { method: 'PATCH', id: 'b', body: { name: 'New' } })).json).toEqual({
    id: 'b',
    name: 'New',
  });
  expect(
    (await call(renameBuild, { method: 'PATCH', id: 'b', body: { name: '' } })).json.error,
  ).toMatchObject({ path: 'name', message: 'must not be empty' });
  expect((await call(renameBuild, { method: 'PATCH', id: 'x', body: { name: 'New' } })).status).toBe(404);
});

it('sends the same new build twice and makes one', async () => {
  const body = { id: 'twice', revisionId: 'twice-a', name: 'Twice' };
  const [first, second] = [
    await call(makeBuild, { method: 'POST', body }),
    await call(makeBuild, { method: 'POST', body }),
  ];
  expect(second.json).toEqual(first.json);
  expect(second.json.revisions).toHaveLength(1);
});
