import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import type { Pool } from 'pg';
import { POST as createBuild } from '@/app/api/builds/route';
import { GET as readBuild } from '@/app/api/builds/[id]/route';
import { GET as readRevision, PUT as saveRevision } from '@/app/api/revisions/[id]/route';
import { applyPatch } from '@/core/base/patch';
import type { BuildDocument } from '@/core/car/document/document';
import { closeDatabase, database } from '@/db/client';
import { migrateDatabase } from '@/db/migrate';
import { listBuilds } from '@/db/queries/builds';
import { defaultWorkshop } from '@/db/queries/workshops';
import { freePort } from '../../scripts/lib/ports.mjs';
import { Cluster } from '../../scripts/lib/postgres.mjs';

const folder = join(mkdtempSync(join(tmpdir(), 'faults-')), 'own');
let cluster: Cluster;
const [WRITERS, KILLS, AGAIN_MS, LONGEST_MS] = [4, 3, 100, 60_000];

beforeAll(async () => {
  chmodSync(join(folder, '..'), 0o755);
  // what is acknowledged is on the disk: not the throwaway kind
  cluster = new Cluster(folder, await freePort());
  cluster.start();
  process.env.DATABASE_URL = cluster.url();
  await migrateDatabase(cluster.url());
}, 60_000);
afterAll(async () => {
  await closeDatabase();
  cluster.stop();
  rmSync(join(folder, '..'), { recursive: true, force: true });
}, 60_000);

type Handler = (request: Request, context?: { params: Promise<Record<string, string>> }) => Promise<Response>;

async function ask(handler: Handler, method: string, id: string | undefined, body?: unknown) {
  const response = await handler(
    new Request('http://localhost/api', {
      method,
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    }),
    { params: Promise.resolve<Record<string, string>>(id === undefined ? {} : { id }) },
  );
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  const json = (await response.json()) as any;
  return { status: response.status, retryAfter: response.headers.get('retry-after'), json };
}

/** Sends until it is taken, as a page does; what is answered meanwhile says that one may try again. */
async function until(taken: readonly number[], send: () => ReturnType<typeof ask>, odd: unknown[]) {
  for (const end = Date.now() + LONGEST_MS; Date.now() < end; await pause(AGAIN_MS)) {
    const answer = await send();
    if (taken.includes(answer.status)) return answer;
    if (answer.status !== 503 || answer.retryAfter === null) odd.push(answer);
  }
  throw new Error('nothing was taken any more');
}

const postmaster = () => Number.parseInt(readFileSync(join(folder, 'data', 'postmaster.pid'), 'utf8'), 10);

it('a database that is killed while four write loses nothing that was acknowledged, and is found again by itself', async () => {
  const odd: unknown[] = [];
  const acknowledged: string[] = [];
  let writing = true;
  const writers = Array.from({ length: WRITERS }, async (_, who) => {
    for (let at = 0; writing; at++) {
      const id = `build-${who}-${at}`;
      const body = { id, revisionId: `${id}-a`, name: id };
      await until([201], () => ask(createBuild, 'POST', undefined, body), odd);
      acknowledged.push(id);
    }
  });

  await until(
    [201],
    () => ask(createBuild, 'POST', undefined, { id: 'edited', revisionId: 'edited-a', name: 'Edited' }),
    odd,
  );
  const lost: unknown[] = [];
  let said = 0;
  const editor = (async () => {
    let { version, document } = (await ask(readRevision, 'GET', 'edited-a')).json as {
      version: number;
      document: BuildDocument;
    };
    for (let at = 1; writing; at++) {
      const next = applyPatch(document, [{ path: ['chassis', 'wheelbaseMm'], value: 100 + at }]);
      const answer = await until(
        [200, 409],
        () => ask(saveRevision, 'PUT', 'edited-a', { version, document: next }),
        odd,
      );
      if (answer.status === 200) {
        [version, document] = [answer.json.version as number, next];
      } else {
        // it was written, and the answer was lost with the database: never an older state than was acknowledged
        const { current } = answer.json as { current: { version: number; document: BuildDocument } };
        if (current.document.chassis.wheelbaseMm !== 100 + at) lost.push([at, current.document.chassis]);
        [version, document] = [current.version, current.document];
      }
      said = 100 + at;
    }
  })();

  for (let kill = 1; kill <= KILLS; kill++) {
    const before = acknowledged.length;
    for (const end = Date.now() + LONGEST_MS; acknowledged.length < before + 40 && Date.now() < end;)
      await pause(20);
    process.kill(postmaster(), 'SIGKILL');
    await pause(300);
    cluster.start();
  }
  const before = acknowledged.length;
  for (const end = Date.now() + LONGEST_MS; acknowledged.length < before + 40 && Date.now() < end;)
    await pause(20);
  writing = false;
  await Promise.all([...writers, editor]);

  expect([odd, lost]).toEqual([[], []]);
  expect(acknowledged.length).toBeGreaterThanOrEqual(40 * (KILLS + 1));
  const kept = new Set((await listBuilds(database(), await defaultWorkshop(database()))).map(({ id }) => id));
  expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
  // each came in whole: with its revision, once
  const [first, last] = [acknowledged[0]!, acknowledged.at(-1)!];
  for (const id of [first, last])
    expect((await ask(readBuild, 'GET', id)).json.revisions.map((one: { id: string }) => one.id)).toEqual([
      `${id}-a`,
    ]);
  // no connection was lost to those that died at work
  const { totalCount, idleCount, waitingCount } = (globalThis as unknown as { leanBadgerPool: Pool })
    .leanBadgerPool;
  expect([totalCount - idleCount, waitingCount]).toEqual([0, 0]);
  const edited = (await ask(readRevision, 'GET', 'edited-a')).json as { document: BuildDocument };
  expect(edited.document.chassis.wheelbaseMm).toBe(said);
}, 240_000);
