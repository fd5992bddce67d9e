import { POST as importFile } from '@/app/api/builds/import/route';
import { GET as exportFile } from '@/app/api/builds/[id]/file/route';
import { GET as readBuild } from '@/app/api/builds/[id]/route';
import { POST as makeBuild } from '@/app/api/builds/route';
import { PUT as changeCopy } from '@/app/api/copies/[id]/route';
import { DELETE as dropPrint, PUT as changePrint } from '@/app/api/prints/[id]/route';
import { GET as listPrints, POST as logPrint } from '@/app/api/revisions/[id]/prints/route';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();

const queued = {
  id: 'p1',
  state: 'queued',
  how: 'final',
  printer: 'Home',
  queuedAt: '2026-06-01T18:00:00.000Z',
  estimateS: 3600,
  items: [
    { copyId: 'c1', partId: 'arm', partName: 'Arm', massG: 10 },
    { copyId: 'c2', partId: 'arm', partName: 'Arm', massG: 10 },
  ],
};
const finished = {
  ...queued,
  state: 'finished',
  startedAt: '2026-06-01T18:05:00.000Z',
  endedAt: '2026-06-01T19:20:00.000Z',
  actualS: 4500,
  massG: 22,
};

beforeAll(async () => {
  await call(makeBuild, { method: 'POST', body: { id: 'b', revisionId: 'b-a', name: 'Printed' } });
});

it('queues a print once however often it is sent, and gives no copies yet', async () => {
  expect((await call(logPrint, { method: 'POST', id: 'b-a', body: queued })).status).toBe(201);
  expect(await call(logPrint, { method: 'POST', id: 'b-a', body: queued })).toMatchObject({
    status: 200,
    json: { print: { id: 'p1' }, copies: [] },
  });
  expect((await call(listPrints, { id: 'b-a' })).json.prints).toHaveLength(1);
});

it('leaves its copies with their share of what the plate weighs, keeps what is said of them, and takes them back', async () => {
  const { json } = await call(changePrint, {
    method: 'PUT',
    id: 'p1',
    body: { version: 1, sheet: finished },
  });
  expect(json.copies.map(({ id, massG }: { id: string; massG: number }) => [id, massG]).sort()).toEqual([
    ['c1', 11],
    ['c2', 11],
  ]);
  const { revisionId: _, version, ...copy } = json.copies[0];
  await call(changeCopy, {
    method: 'PUT',
    id: copy.id,
    body: {
      version,
      sheet: {
        ...copy,
        retiredAt: '2026-06-02T10:00:00.000Z',
        retiredWhy: 'bent',
        readings: [{ id: 'r', at: '2026-06-02T09:00:00.000Z', of: 'pin', valueMm: 2.98, hours: 1.5 }],
      },
    },
  });
  await call(changePrint, { method: 'PUT', id: 'p1', body: { version: 2, sheet: finished } });
  expect(
    (await call(readBuild, { id: 'b' })).json.copies.find(({ id }: { id: string }) => id === copy.id),
  ).toMatchObject({ retiredWhy: 'bent', readings: [{ valueMm: 2.98, hours: 1.5 }] });
  expect(
    (
      await call(changePrint, {
        method: 'PUT',
        id: 'p1',
        body: { version: 3, sheet: { ...finished, state: 'failed', why: 'it came off' } },
      })
    ).json.copies,
  ).toEqual([]);
  expect((await call(readBuild, { id: 'b' })).json.copies).toEqual([]);
  expect(
    await call(changeCopy, { method: 'PUT', id: copy.id, body: { version: 2, sheet: copy } }),
  ).toMatchObject({ status: 404, json: { error: { path: 'id' } } });
});

it('goes with the build file, as the same bytes, and into a copy with ids of its own', async () => {
  expect(
    (
      await call(changePrint, { method: 'PUT', id: 'p1', body: { version: 4, sheet: finished } })
    ).json.copies.find(({ retiredWhy }: { retiredWhy?: string }) => retiredWhy === 'bent').readings,
  ).toHaveLength(1);
  const { text } = await call(exportFile, { id: 'b' });
  expect(JSON.parse(text)).toMatchObject({
    prints: [{ id: 'p1' }],
    copies: [{ printId: 'p1' }, { printId: 'p1' }],
  });
  expect((await call(importFile, { method: 'POST', text, query: '?mode=replace' })).status).toBe(201);
  expect((await call(exportFile, { id: 'b' })).text).toBe(text);
  const { json } = await call(importFile, { method: 'POST', text, query: '?mode=copy' });
  const copied = (await call(readBuild, { id: json.id })).json;
  expect(copied.copies.map(({ id }: { id: string }) => id).sort()).toEqual(
    copied.prints[0].items.map(({ copyId }: { copyId: string }) => copyId).sort(),
  );
  expect(copied.copies[0].id).not.toBe('c1');
});

it('refuses what is none, and what is not there, in words', async () => {
  expect(
    await call(logPrint, { method: 'POST', id: 'b-a', body: { ...queued, id: 'p2', state: 'melted' } }),
  ).toMatchObject({ status: 422, json: { error: { path: 'state' } } });
  expect(
    await call(logPrint, { method: 'POST', id: 'b-a', body: { ...queued, id: 'p2', items: [] } }),
  ).toMatchObject({ status: 422, json: { error: { path: 'items' } } });
  expect(
    (await call(logPrint, { method: 'POST', id: 'nowhere', body: { ...queued, id: 'p3' } })).status,
  ).toBe(404);
  expect(
    (
      await call(changePrint, {
        method: 'PUT',
        id: 'p9',
        body: { version: 1, sheet: { ...queued, id: 'p9' } },
      })
    ).status,
  ).toBe(404);
  expect((await call(dropPrint, { method: 'DELETE', id: 'p1' })).status).toBe(200);
  expect((await call(readBuild, { id: 'b' })).json).toMatchObject({ prints: [], copies: [] });
});
