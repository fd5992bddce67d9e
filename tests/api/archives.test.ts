import { createHash, randomBytes } from 'node:crypto';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { ZipFile } from 'yazl';
import { GET as exportFile } from '@/app/api/builds/[id]/file/route';
import { POST as importFile } from '@/app/api/builds/import/route';
import { type BroughtArchive, OF_A_BUILD, withArchive } from '@/app/api/archive';
import { withUpload } from '@/app/api/upload';
import { LARGEST_FILE } from '@/core/car/file/largestFile';
import { type BuildFile, TEXT_NAME } from '@/core/car/file/buildFile';
import { parseBuildFile } from '@/core/car/file/buildFile.schema';
import { database } from '@/db/client';
import { createBuild } from '@/db/queries/builds';
import { keepTrack } from '@/db/queries/files';
import { importBuild } from '@/db/queries/importBuild';
import { defaultWorkshop } from '@/db/queries/workshops';
import { files, runs } from '@/db/schema';
import { marshHareA } from '@/db/seed/marshHare';
import { exportedBytes, exportedText, withOwnDatabase } from './workshop';

withOwnDatabase();
let here: string;
beforeAll(async () => {
  here = await defaultWorkshop(database());
});

const at = '2026-05-01T10:00:00.000Z';
const RUNS = 2000;

/** A build whose runs were driven with one document, or each with one of its own. */
async function drivenBuild(
  id: string,
  count: number,
  own: (run: number) => Partial<typeof runs.$inferInsert> = () => ({}),
): Promise<void> {
  await createBuild(database(), here, {
    id,
    revisionId: `${id}-a`,
    name: id,
    document: marshHareA,
    createdAt: at,
  });
  const rows = Array.from({ length: count }, (_, run) => ({
    workshopId: here,
    id: `${id}-${run}`,
    revisionId: `${id}-a`,
    kind: 'terrain' as const,
    attempts: [],
    conditions: {},
    ranAt: at,
    document: marshHareA,
    ...own(run),
  }));
  for (let from = 0; from < count; from += 100)
    await database()
      .insert(runs)
      .values(rows.slice(from, from + 100));
}

const bring = async (body: Buffer, mode = 'refuse') => {
  const response = await importFile(
    new Request(`http://localhost/api?mode=${mode}`, {
      method: 'POST',
      body: new Uint8Array(body),
      headers: { 'content-type': 'application/zip' },
    }),
  );
  return {
    status: response.status,
    json: (await response.json()) as {
      id?: string;
      error?: { code: string; path?: string; message: string; remedy?: string };
    },
  };
};

const zipped = (entries: Record<string, Buffer>): Promise<Buffer> => {
  const zip = new ZipFile();
  for (const [name, content] of Object.entries(entries)) zip.addBuffer(content, name);
  zip.end();
  return buffer(zip.outputStream as Readable);
};

it('two thousand runs of one build go into one file, and come out of it the same; meanwhile the server does other things', async () => {
  await drivenBuild('driven', 2);
  const two = JSON.parse(await exportedText(here, 'driven')) as { runs: object[] };
  const more = Array.from({ length: RUNS }, (_, run) => ({ ...two.runs[1]!, id: `driven-more-${run}` }));
  const file = parseBuildFile(JSON.stringify({ ...two, runs: [...two.runs, ...more] }));
  expect(new Set(file.runs.map(({ document }) => document)).size).toBe(1);
  await importBuild(database(), here, file, 'replace');
  let turns = 0;
  let done = false;
  const turn = () => {
    turns += 1;
    if (!done) setImmediate(turn);
  };
  turn();
  const text = await exportedText(here, 'driven');
  done = true;
  expect(turns).toBeGreaterThan(RUNS);
  expect(text.length).toBeLessThan(LARGEST_FILE / 10);
  const back = parseBuildFile(text);
  expect(back.runs.map(({ id }) => id).sort()).toEqual(file.runs.map(({ id }) => id).sort());
  expect(back.runs[1234]!.document).toEqual(marshHareA);
}, 60_000);

describe('a build that is too large for one text', () => {
  const BIG = 9 * 1024 * 1024;
  let archive: Buffer;

  beforeAll(async () => {
    const hashes = await Promise.all(
      Array.from({ length: 3 }, () => keepTrack(database(), here, randomBytes(BIG))),
    );
    await drivenBuild('large', 60, (run) => ({
      document: { ...marshHareA, chassis: { ...marshHareA.chassis, cgHeightMm: 50 + run } },
      ...(run < 3
        ? {
            track: {
              hash: hashes[run]!,
              name: 'field',
              windowS: 1,
              distanceM: 10,
              durationS: 10,
              droppedPoints: 0,
            },
          }
        : {}),
    }));
    archive = await exportedBytes(here, 'large');
  }, 30_000);

  it('goes out as an archive of its text and its files, and comes back in as the same bytes', async () => {
    const response = await exportFile(new Request('http://localhost/'), {
      params: Promise.resolve({ id: 'large' }),
    });
    expect([response.headers.get('content-type'), response.headers.get('content-disposition')]).toEqual([
      'application/zip',
      'attachment; filename="large.badger.zip"',
    ]);
    expect((await buffer(response.body as never)).equals(archive)).toBe(true);
    const held = await unpack(archive, async (file, contentOf) => {
      for (const { hash, type } of file.files)
        expect(
          createHash('sha256')
            .update(await contentOf({ hash, type }))
            .digest('hex'),
        ).toBe(hash);
      return file;
    });
    expect([
      held.formatVersion,
      held.runs.length,
      held.files.length,
      held.files.every((one) => !('base64' in one)),
    ]).toEqual([2, 60, 3, true]);
    const track = held.files[0]!.hash;
    await database().delete(files);
    expect(await bring(archive)).toMatchObject({ status: 409, json: { error: { code: 'exists' } } });
    expect(await database().select({ hash: files.hash }).from(files)).toEqual([]);
    expect(await bring(archive, 'replace')).toEqual({ status: 201, json: { id: 'large' } });
    expect((await database().select({ hash: files.hash }).from(files)).map(({ hash }) => hash)).toContain(
      track,
    );
    expect((await exportedBytes(here, 'large')).equals(archive)).toBe(true);
  }, 60_000);

  it('is refused where it is damaged, cut off, incomplete or no archive, with what to do, and changes nothing', async () => {
    const cut = await bring(archive.subarray(0, archive.length / 2), 'replace');
    expect(cut).toMatchObject({
      status: 400,
      json: { error: { code: 'malformed', remedy: 'export it again' } },
    });
    expect(await bring(Buffer.from('no archive at all'))).toMatchObject({ status: 400 });
    expect(await bring(await zipped({ 'other.json': Buffer.from('{}') }))).toMatchObject({
      status: 400,
      json: { error: { message: 'The archive holds no build.json.' } },
    });
    const text = await unpack(archive, (_, __, own) => Promise.resolve(own));
    expect(await bring(await zipped({ 'build.json': Buffer.from(text) }), 'replace')).toMatchObject({
      status: 400,
      json: { error: { message: expect.stringMatching(/^The archive holds no files\/[0-9a-f]{64}\.$/) } },
    });
    const { hash } = (JSON.parse(text) as BuildFile).files[0]!;
    expect(
      await bring(
        await zipped({ 'build.json': Buffer.from(text), [`files/${hash}`]: Buffer.from('another') }),
        'replace',
      ),
    ).toMatchObject({ status: 422, json: { error: { path: 'files.0' } } });
    expect((await exportedBytes(here, 'large')).equals(archive)).toBe(true);
  }, 60_000);

  it('is refused where it unpacks to more than it may, before any of it is unpacked', async () => {
    const bomb = await zipped({ 'build.json': Buffer.alloc(120 * 1024 * 1024, ' ') });
    expect(bomb.length).toBeLessThan(1024 * 1024);
    expect(await bring(bomb)).toMatchObject({
      status: 413,
      json: { error: { message: 'build.json unpacks to more than 100 MB.' } },
    });
    const many = new ZipFile();
    const zeros = Buffer.alloc(60 * 1024 * 1024);
    for (let index = 0; index < 9; index++) many.addBuffer(zeros, `files/${index}`);
    many.end();
    expect(await bring(await buffer(many.outputStream as Readable))).toMatchObject({
      status: 413,
      json: { error: { message: 'The archive unpacks to more than 500 MB.' } },
    });
  }, 60_000);
});

async function unpack<T>(
  archive: Buffer,
  use: (file: BuildFile, contentOf: BroughtArchive['contentOf'], text: string) => Promise<T>,
): Promise<T> {
  return withUpload(
    new Request('http://localhost/', { method: 'POST', body: new Uint8Array(archive) }),
    archive.length,
    (path) =>
      withArchive(path, OF_A_BUILD, async ({ textOf, contentOf }) => {
        const text = await textOf(TEXT_NAME);
        return use(JSON.parse(text) as BuildFile, contentOf, text);
      }),
  );
}
