import { chmodSync, mkdtempSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';
import { migrateDatabase } from '@/db/migrate';
import { backUp, backUpIfDue, restore, rotate } from '../../scripts/lib/backup.mjs';
import { freePort } from '../../scripts/lib/ports.mjs';
import { Cluster } from '../../scripts/lib/postgres.mjs';

const folder = mkdtempSync(join(tmpdir(), 'backup-'));
const shelf = join(folder, 'shelf');
let cluster: Cluster;

beforeAll(async () => {
  // the server may run as another user
  chmodSync(folder, 0o755);
  cluster = new Cluster(join(folder, 'own'), await freePort(), { throwaway: true });
  cluster.start();
  await migrateDatabase(cluster.url());
  await asked(`insert into people (id, name, email) values ('ada', 'Ada', 'ada@cars.example')`);
  await asked(
    `insert into builds (workshop_id, id, name, created_at) values ('workshop', 'fen-stoat', 'Fen Stoat', '2026-05-01')`,
  );
  await asked(
    `insert into files (workshop_id, hash, type, content) values ('workshop', 'f00', 'image/jpeg', '\\xffd80000ff')`,
  );
}, 60_000);
afterAll(() => {
  cluster.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function asked(sql: string): Promise<Record<string, unknown>[]> {
  const client = new Client({ connectionString: cluster.url() });
  await client.connect();
  return client
    .query<Record<string, unknown>>(sql)
    .then(({ rows }) => rows)
    .finally(() => client.end());
}

/** All rows of all tables. */
async function everything(): Promise<unknown> {
  const tables = await asked(
    `select format('%I.%I', schemaname, tablename) as name from pg_tables where schemaname in ('public', 'drizzle') order by 1`,
  );
  return Promise.all(
    tables.map(async ({ name }) => [
      name,
      await asked(`select t::text as row from ${String(name)} t order by 1`),
    ]),
  );
}

it('what a backup holds is put back to the byte after the database was destroyed', async () => {
  const before = await everything();
  const path = backUp(cluster.url(), shelf);
  await asked('drop schema public cascade');
  await asked('create schema public');
  await restore(cluster.url(), path);
  expect(await everything()).toEqual(before);
  await asked(`update builds set name = 'Other'`);
  await restore(cluster.url(), path);
  expect(await everything()).toEqual(before);
}, 60_000);

it('a backup that is cut off changes nothing, and none is put back while others write', async () => {
  const path = backUp(cluster.url(), shelf, new Date('2026-01-01T03:00:00Z'));
  truncateSync(path, 4000);
  const before = await everything();
  await expect(restore(cluster.url(), path)).rejects.toThrow(/^pg_restore failed/);
  await expect(restore(cluster.url(), join(shelf, 'none.dump'))).rejects.toThrow(/^There is no file/);
  expect(await everything()).toEqual(before);
  const writer = new Client({ connectionString: cluster.url() });
  await writer.connect();
  await expect(restore(cluster.url(), path)).rejects.toThrow(/^The database is in use by 1 connection\./);
  await writer.end();
}, 60_000);

it('of several servers one makes the backup of a night, and none makes it twice', async () => {
  const nights = join(folder, 'nights');
  const made = await Promise.all([1, 2, 3].map(() => backUpIfDue(cluster.url(), nights)));
  expect(made.filter(Boolean)).toHaveLength(1);
  expect(await backUpIfDue(cluster.url(), nights)).toBeUndefined();
  await asked(`update upkeep set done_at = now() - interval '24 hours'`);
  expect(await backUpIfDue(cluster.url(), nights)).toBeDefined();
}, 60_000);

it('fourteen nights are kept, and the first of each month for a year', () => {
  const old = mkdtempSync(join(folder, 'old-'));
  for (let day = 0; day < 500; day++) {
    const date = new Date(Date.UTC(2025, 0, 1 + day, 3)).toISOString().slice(0, 10);
    writeFileSync(join(old, `badger-${date}T03-00-00.dump`), '');
  }
  writeFileSync(join(old, 'badger-notes.txt'), '');
  rotate(old);
  const left = readdirSync(old).sort();
  // 500 days from 1 January 2025 on end on 15 May 2026
  const dates = left.map((name) => name.slice(7, 17));
  expect(dates.slice(-15)).toEqual([
    ...Array.from({ length: 14 }, (_, at) => `2026-05-${String(at + 2).padStart(2, '0')}`),
    'notes.txt',
  ]);
  expect(dates.slice(0, -15)).toEqual([
    '2025-06-01',
    '2025-07-01',
    '2025-08-01',
    '2025-09-01',
    '2025-10-01',
    '2025-11-01',
    '2025-12-01',
    '2026-01-01',
    '2026-02-01',
    '2026-03-01',
    '2026-04-01',
    '2026-05-01',
  ]);
});
