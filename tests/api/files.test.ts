import { SCHEMA_VERSION } from '@/core/car/document/document';
import { GET as exportFile } from '@/app/api/builds/[id]/file/route';
import { DELETE as deleteBuild, GET as readBuild } from '@/app/api/builds/[id]/route';
import { PUT as changeFailure } from '@/app/api/failures/[id]/route';
import { POST as importFile } from '@/app/api/builds/import/route';
import { GET as listBuilds } from '@/app/api/builds/route';
import { PUT as saveItem } from '@/app/api/library/route';
import { DELETE as deleteItem } from '@/app/api/library/[id]/route';
import { database } from '@/db/client';
import { countWrite, createWorkshop, defaultWorkshop } from '@/db/queries/workshops';
import { importBuild } from '@/db/queries/importBuild';
import { createBuild, deleteBuild as deleteBuildRow } from '@/db/queries/builds';
import { listLibrary } from '@/db/queries/library';
import { openNextRevision, saveDocument } from '@/db/queries/revisions';
import { logRun } from '@/db/queries/runs';
import { workshops } from '@/db/schema';
import { fileContent } from '@/db/queries/files';
import { meshContent } from '@/db/queries/meshes';
import { runSheetSchema } from '@/core/car/records/records.schema';
import { namesIn } from '@/core/car/file/references';
import { parse } from '@/core/base/schema/parse';
import { parseBuildFile } from '@/core/car/file/buildFile.schema';
import { seedDemo } from '@/db/seed/demo';
import { oddBuild } from '../whole/oddBuilds';
import { call, exportedText, withOwnDatabase } from './workshop';

withOwnDatabase();
beforeAll(async () => seedDemo(database(), await defaultWorkshop(database())), 30_000);

const ODD_BUILDS = 6;
/** Not even the starting library. */
const emptyWorkshop = async (id: string) =>
  void (await database().insert(workshops).values({ id, name: id }));

const exported = async () => {
  const response = await exportFile(new Request('http://localhost/'), {
    params: Promise.resolve({ id: 'marsh-hare' }),
  });
  expect(response.headers.get('content-disposition')).toBe('attachment; filename="marsh-hare.badger.json"');
  return response.text();
};

describe('build files', () => {
  it('come out of an empty workshop as the bytes that went in', async () => {
    const text = await exported();
    await emptyWorkshop('elsewhere');
    await importBuild(database(), 'elsewhere', parseBuildFile(text), 'refuse');
    expect(await exportedText('elsewhere', 'marsh-hare')).toBe(text);
  });

  it('do so too with odd cars and their runs, and bring along every item of the library that they name', async () => {
    const here = await defaultWorkshop(database());
    const stock = new Set((await listLibrary(database(), here)).map(({ id }) => id));
    for (let number = 0; number < ODD_BUILDS; number++) {
      const { document } = oddBuild(number * 7);
      const id = `odd-${number}`;
      await createBuild(database(), here, {
        id,
        revisionId: `${id}-a`,
        name: `Odd ${number}`,
        document,
        createdAt: '2026-05-01T10:00:00.000Z',
      });
      await openNextRevision(database(), here, `${id}-a`, {
        id: `${id}-b`,
        why: 'odd',
        createdAt: '2026-05-02T10:00:00.000Z',
      });
      await saveDocument(database(), here, `${id}-b`, 1, oddBuild(number * 11 + 3).document);
      await logRun(
        database(),
        here,
        `${id}-a`,
        parse(runSheetSchema, {
          id: `${id}-run`,
          kind: 'terrain',
          attempts: [],
          conditions: {},
          ranAt: '2026-05-01T12:00:00.000Z',
          document,
        }),
      );
      const text = await exportedText(here, id);
      const file = parseBuildFile(text);
      const held = new Set(file.library.map((item) => item.id));
      expect([...namesIn(file, 'library')].filter((name) => stock.has(name) && !held.has(name))).toEqual([]);
      await emptyWorkshop(`for-${id}`);
      await importBuild(database(), `for-${id}`, parseBuildFile(text), 'refuse');
      expect(await exportedText(`for-${id}`, id)).toBe(text);
      await importBuild(database(), `for-${id}`, parseBuildFile(text), 'copy');
      await deleteBuildRow(database(), here, id);
    }
  }, 40_000);

  it('bring along servos, regulators, receivers, transmitters and materials, which none deletes while they are in use', async () => {
    const { library } = parseBuildFile(await exported());
    for (const kind of ['servo', 'regulator', 'receiver', 'transmitter', 'material']) {
      const item = library.find((one) => one.kind === kind);
      expect({ kind, found: item !== undefined }).toEqual({ kind, found: true });
      expect(await call(deleteItem, { method: 'DELETE', id: item!.id })).toMatchObject({
        status: 409,
        json: { error: { code: 'inUse' } },
      });
    }
  });

  it('carry meshes, photographs and tracks along', async () => {
    const { files, runs, failures, revisions } = parseBuildFile(await exported());
    const held = new Set(files.map(({ hash }) => hash));
    const named = {
      meshes: namesIn({ revisions, runs, failures }, 'mesh'),
      files: namesIn({ revisions, runs, failures }, 'file'),
    };
    for (const hash of [...named.meshes, ...named.files]) expect(held).toContain(hash);
    await createWorkshop(database(), 'carried', 'Carried');
    await importBuild(database(), 'carried', parseBuildFile(await exported()), 'refuse');
    const photo = failures.flatMap(({ ledger }) => ledger?.photos ?? [])[0]!;
    const [there, here] = await Promise.all(
      ['carried', await defaultWorkshop(database())].map((workshop) =>
        fileContent(database(), workshop, photo.hash),
      ),
    );
    expect(there!.content.equals(here!.content)).toBe(true);
    expect((await meshContent(database(), 'carried', [...named.meshes][0]!)).length).toBeGreaterThan(0);
  });

  it('hold the whole build', async () => {
    const file = parseBuildFile(await exported());
    expect(file.revisions.map(({ letter }) => letter)).toEqual(['A', 'B', 'C', 'D']);
    expect(file.runs).toHaveLength(28);
    expect(file.failures).toHaveLength(9);
    expect(file.library.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['motor-540-sensored-13', 'tyre-10-pin', 'compound-soft', 'surface-mownGrass']),
    );
  });

  it('ask replace or copy where the build is here already', async () => {
    const text = await exported();
    expect(await call(importFile, { method: 'POST', text })).toMatchObject({
      status: 409,
      json: { error: { code: 'exists', path: 'build.id' } },
    });
    expect((await call(importFile, { method: 'POST', text, query: '?mode=replace' })).json).toEqual({
      id: 'marsh-hare',
    });
    expect(await exported()).toBe(text);
    const copy = await call(importFile, { method: 'POST', text, query: '?mode=copy' });
    expect((await call(listBuilds)).json.builds.map(({ name }: { name: string }) => name).sort()).toEqual([
      'Marsh Hare',
      'Marsh Hare (copy)',
      'Tin Wren',
    ]);
    await call(deleteBuild, { method: 'DELETE', id: copy.json.id });
  });

  it.each([
    ['damaged', (text: string) => text.slice(0, 400), '', /stops being JSON/],
    ['foreign', () => '{"hello": 1}', 'format', /not a build file/],
    [
      'newer',
      (text: string) => text.replace('"formatVersion": 2', '"formatVersion": 3'),
      'formatVersion',
      /reads versions up to 2/,
    ],
    [
      'with a newer document',
      (text: string) => text.replace(`"schemaVersion": ${SCHEMA_VERSION}`, '"schemaVersion": 7'),
      'revisions.0.document.schemaVersion',
      /is 7/,
    ],
    [
      'with a figure out of range',
      (text: string) => text.replace('"cgHeightMm": 62', '"cgHeightMm": -62'),
      'revisions.0.document.chassis.cgHeightMm',
      /greater than 0/,
    ],
    [
      'with a file that is another',
      (text: string) => text.replace(/("base64": ")../, '$1QQ'),
      'files.0',
      /is no JPEG|not hold what its hash says/,
    ],
    [
      'with a run that was driven with nothing',
      (text: string) => text.replace(/"documentOf": "[^"]+"/, '"documentOf": "gone"'),
      'runs.1.documentOf',
      /names gone/,
    ],
    [
      'without the bytes of a file',
      (text: string) => text.replace(/"base64": "[^"]+",\s*/, ''),
      'files.0.base64',
      /is missing/,
    ],
    [
      'with a link to nowhere',
      (text: string) => text.replace('"runId": "mh-a-timed-2"', '"runId": "gone"'),
      'failures.0.runId',
      /names gone/,
    ],
  ])('are refused when %s, with what and where', async (_, spoil, path, message) => {
    const answer = await call(importFile, {
      method: 'POST',
      text: spoil(await exported()),
      query: '?mode=copy',
    });
    expect(answer.status).toBe(422);
    expect(answer.json.error.path).toBe(path);
    expect(answer.json.error.message).toMatch(message);
  });

  it('are refused when huge', async () => {
    expect(await call(importFile, { method: 'POST', text: ' '.repeat(21 * 1024 * 1024) })).toMatchObject({
      status: 413,
      json: { error: { code: 'tooLarge' } },
    });
  });
});

describe('the library', () => {
  it('keeps what a build uses, and says which', async () => {
    expect(await call(deleteItem, { method: 'DELETE', id: 'motor-540-sensored-13' })).toMatchObject({
      status: 409,
      json: { error: { code: 'inUse', usedBy: ['Marsh Hare A', 'Marsh Hare B'] } },
    });
    expect((await call(deleteItem, { method: 'DELETE', id: 'compound-foam' })).json.error.usedBy).toEqual([
      'tyre 1:10 foam',
    ]);
    expect((await call(deleteItem, { method: 'DELETE', id: 'motor-4074' })).status).toBe(200);
  });

  it('does not reach into a build when an item changes', async () => {
    const before = parseBuildFile(await exported());
    const motor = before.library.find(({ kind }) => kind === 'motor')!;
    await call(saveItem, { method: 'PUT', body: { ...motor, data: { ...motor.data, kvRpmPerV: 1234 } } });
    expect(parseBuildFile(await exported()).revisions).toEqual(before.revisions);
  });

  it.each([
    [{ id: 'm', kind: 'motor', data: { name: 'Half a motor' } }, 'data.kvRpmPerV'],
    [{ id: 'm', kind: 'engine', data: {} }, 'kind'],
    [
      { id: 't', kind: 'tyre', data: { name: 'T', compound: 'none', radiusMm: 30, massG: 20 } },
      'data.compound',
    ],
    [{ id: 'pack-1s-300', kind: 'compound', data: { name: 'X', hardFactor: 1, looseFactor: 1 } }, 'id'],
  ])('refuses %j', async (item, path) => {
    const answer = await call(saveItem, { method: 'PUT', body: item });
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.json.error.path).toBe(path);
  });
});

it('says when writes are over the limit', async () => {
  for (let i = 0; i < 3; i++) expect(await countWrite(database(), 'somebody', 3)).toBe(true);
  expect(await countWrite(database(), 'somebody', 3)).toBe(false);
});

it('keeps workshops apart', async () => {
  await createWorkshop(database(), 'next-door', 'Next door');
  await expect(exportedText('next-door', 'marsh-hare')).rejects.toMatchObject({ code: 'notFound' });
});

it('keeps a kind of failure that it does not know when it comes with a file, and a copy points to its own printed copies', async () => {
  const text = (await exported()).replace('"mode": "waterIngress"', '"mode": "eatenByBadger"');
  const { json, status } = await call(importFile, { method: 'POST', text, query: '?mode=copy' });
  expect(status).toBe(201);
  const { json: copied } = await call(readBuild, { id: json.id });
  const runs = copied.runs.filter(({ copies }: { copies?: string[] }) => copies !== undefined);
  const own = new Set(copied.copies.map(({ id }: { id: string }) => id));
  expect(runs.length).toBeGreaterThan(10);
  expect(runs.every(({ copies }: { copies: string[] }) => copies.every((id) => own.has(id)))).toBe(true);
  const failure = copied.failures.find(({ mode }: { mode: string }) => mode === 'eatenByBadger');
  const { revisionId: _, version, ...sheet } = failure;
  expect(
    (
      await call(changeFailure, {
        method: 'PUT',
        id: failure.id,
        body: { version, sheet: { ...sheet, story: 'It was the badger.' } },
      })
    ).status,
  ).toBe(200);
});
