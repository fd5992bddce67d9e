import { DELETE as deleteBuild } from '@/app/api/builds/[id]/route';
import { POST as importFile } from '@/app/api/builds/import/route';
import { POST as restore } from '@/app/api/[kind]/[id]/restore/route';
import { DELETE as deletePrint, PUT as changePrint } from '@/app/api/prints/[id]/route';
import { POST as noteFailure } from '@/app/api/revisions/[id]/failures/route';
import { PUT as saveRevision } from '@/app/api/revisions/[id]/route';
import { POST as logRun } from '@/app/api/revisions/[id]/runs/route';
import { DELETE as deleteRun } from '@/app/api/runs/[id]/route';
import { parseBuildFile } from '@/core/car/file/buildFile.schema';
import { database } from '@/db/client';
import { wholeBuild } from '@/db/queries/builds';
import { logPrint } from '@/db/queries/prints';
import { defaultWorkshop } from '@/db/queries/workshops';
import { seedDemo } from '@/db/seed/demo';
import { writing } from '@/db/writing';
import { call, exportedText, withOwnDatabase } from './workshop';

withOwnDatabase();
let workshopId: string;
beforeAll(async () => {
  workshopId = await defaultWorkshop(database());
  await seedDemo(database(), workshopId);
}, 30_000);

const BUILD = 'marsh-hare';
const whole = () => wholeBuild(database(), workshopId, BUILD);
/** What is in the workshop can be brought in again, whatever happened to it. */
const exported = async () => parseBuildFile(await exportedText(workshopId, BUILD));
const statuses = async (asked: Promise<{ status: number }>[]) =>
  (await Promise.all(asked)).map(({ status }) => status);
const sheetOf = <T extends { revisionId: string; version?: number }>({
  revisionId: _,
  version: __,
  ...sheet
}: T) => sheet;
const withOwnCopies = <T extends { items: object[] }>(print: T, id: string): T => ({
  ...print,
  id,
  items: print.items.map((item, at) => ({ ...item, copyId: `${id}-${at}` })),
});
const rounds = (count: number) => Array.from({ length: count }, (_, at) => at);

async function ofBuild() {
  const { runs, failures, prints, revisions } = await whole();
  const { prediction: _, report: __, ...run } = sheetOf(runs[0]!);
  return {
    open: revisions.at(-1)!,
    run,
    failure: sheetOf(failures[0]!),
    print: sheetOf(prints.find(({ state }) => state === 'finished')!),
  };
}

it('a run deleted while a failure names it leaves no failure without its run', async () => {
  const { open, run, failure } = await ofBuild();
  for (const at of rounds(15)) {
    const id = `raced-${at}`;
    await call(logRun, { method: 'POST', id: open.id, body: { ...run, id } });
    const [noted, deleted] = await statuses([
      call(noteFailure, {
        method: 'POST',
        id: open.id,
        body: { ...failure, id: `of-${id}`, fixRevisionId: undefined, runId: id },
      }),
      call(deleteRun, { method: 'DELETE', id }),
    ]);
    expect([
      [201, 409],
      [404, 200],
    ]).toContainEqual([noted, deleted]);
  }
  const { runs, failures } = await exported();
  for (const { runId } of failures)
    if (runId !== undefined) expect(runs.map(({ id }) => id)).toContain(runId);
}, 30_000);

it('sixteen clients that finish one print make its copies once', async () => {
  const { open, print } = await ofBuild();
  const queued = withOwnCopies(print, 'sixteen');
  await expect(
    logPrint(database(), workshopId, open.id, { ...print, id: 'with ids of another' }),
  ).rejects.toMatchObject({ code: 'exists', more: { path: 'items' } });
  const { copies } = await logPrint(database(), workshopId, open.id, queued);
  expect(copies.length).toBeGreaterThan(0);
  const answers = await statuses(
    rounds(16).map(() =>
      call(changePrint, { method: 'PUT', id: 'sixteen', body: { version: 1, sheet: queued } }),
    ),
  );
  expect(answers.sort()).toEqual([200, ...rounds(15).map(() => 409)]);
  expect((await whole()).copies.filter(({ printId }) => printId === 'sixteen')).toHaveLength(copies.length);
});

it('a print finished while it is deleted is one or the other', async () => {
  const { open, print } = await ofBuild();
  for (const at of rounds(10)) {
    const one = withOwnCopies(print, `finished-${at}`);
    await logPrint(database(), workshopId, open.id, one);
    const [changed, deleted] = await statuses([
      call(changePrint, { method: 'PUT', id: one.id, body: { version: 1, sheet: one } }),
      call(deletePrint, { method: 'DELETE', id: one.id }),
    ]);
    expect([200, 404]).toContain(changed);
    expect(deleted).toBe(200);
    const { prints, copies } = await whole();
    expect([
      prints.filter(({ id }) => id === one.id),
      copies.filter(({ printId }) => printId === one.id),
    ]).toEqual([[], []]);
  }
  await exported();
}, 30_000);

it('a build deleted or replaced while it is written to and read loses nothing that was acknowledged, and faults nowhere', async () => {
  const { open, run } = await ofBuild();
  const file = await exportedText(workshopId, BUILD);
  for (const at of rounds(6)) {
    const ids = rounds(6).map((one) => `beside-${at}-${one}`);
    const logged = ids.map((id) => call(logRun, { method: 'POST', id: open.id, body: { ...run, id } }));
    const saved = call(saveRevision, {
      method: 'PUT',
      id: open.id,
      body: { version: open.version, document: open.document },
    });
    const read = exported().then(
      () => ({ status: 200 }),
      (error: { status?: number }) => ({ status: error.status ?? 500 }),
    );
    const taken =
      at % 2 === 0
        ? call(deleteBuild, { method: 'DELETE', id: BUILD })
        : call(importFile, { method: 'POST', text: file, query: '?mode=replace' });
    const answers = await statuses([...logged, saved, read, taken]);
    for (const status of answers) expect([200, 201, 404, 409]).toContain(status);
    expect([200, 201]).toContain(answers.at(-1));
    await call(restore, { method: 'POST', params: { kind: 'builds' }, id: BUILD });
    const held = new Set((await exported()).runs.map(({ id }) => id));
    // what a replacement took away is what it was asked to take away
    if (at % 2 === 0)
      for (const [index, id] of ids.entries())
        expect([id, held.has(id)]).toEqual([id, answers[index] === 201]);
  }
}, 60_000);

it('a transaction that stood in the way of another begins again, and gives up in the end', async () => {
  let tries = 0;
  const standing = (times: number) =>
    writing(database(), async () => {
      if (tries++ < times) throw Object.assign(new Error('deadlock detected'), { code: '40P01' });
      return tries;
    });
  expect(await standing(2)).toBe(3);
  tries = 0;
  await expect(standing(99)).rejects.toThrow('deadlock');
  expect(tries).toBe(4);
});
