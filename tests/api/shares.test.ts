import { createHash } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import sharp from 'sharp';
import { GET as fileOf } from '@/app/api/shared/[token]/files/[id]/route';
import { GET as meshOf } from '@/app/api/shared/[token]/meshes/[id]/route';
import { POST as copy } from '@/app/api/builds/copy/route';
import { POST as makeLink } from '@/app/api/builds/[id]/shares/route';
import { DELETE as takeBack } from '@/app/api/shares/[id]/route';
import { GET as account } from '@/app/api/account/route';
import { shownPages } from '@/app/sharing/shownBuild';
import { namesIn } from '@/core/car/file/references';
import { readTrack } from '@/core/physics/timing/track/readTrack';
import { database } from '@/db/client';
import { deleteBuild, listBuilds, wholeBuild } from '@/db/queries/builds';
import { fileContent } from '@/db/queries/files';
import { listLibrary, saveLibraryItem } from '@/db/queries/library';
import { shareOfToken } from '@/db/queries/shares';
import { defaultWorkshop } from '@/db/queries/workshops';
import { files, shares } from '@/db/schema';
import { seedDemo } from '@/db/seed/demo';
import { unpackBuild } from '@/features/session/packedBuild';
import { another, Browser, firstOwner, withAccounts } from './person';
import { withOwnDatabase } from './workshop';

withOwnDatabase();
withAccounts();

const ALL = { failures: true, photos: true, tracks: true };
const NONE = { failures: false, photos: false, tracks: false };
const hashOf = (content: Uint8Array) => createHash('sha256').update(content).digest('hex');
const stranger = new Browser();
let ada: Browser;
let here: string;
let trackHash: string;
let photoHash: string;

const linked = async (body: object, id = 'marsh-hare') =>
  (await ada.send(makeLink, { method: 'POST', id, body })).json as { id: string; token: string };
const dataOf = async (token: string) => {
  const found = await shownPages(database(), await shareOfToken(database(), token));
  return { ...found, data: unpackBuild(found.packed) };
};
const statusOf = async (token: string, id = trackHash) => (await stranger.ask(fileOf, { id, token })).status;

/** A photograph with a position and a name of a camera in it, as it came with a file of another. */
async function photographWithPlace(): Promise<string> {
  const content = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#3a5' } })
    .jpeg()
    .withExif({
      IFD0: { Model: 'Camera of Ada' },
      IFD3: { GPSLatitude: '60/1 10/1 0/1', GPSLatitudeRef: 'N' },
    })
    .toBuffer();
  const hash = hashOf(content);
  await database().insert(files).values({ workshopId: here, hash, type: 'image/jpeg', content });
  await database().execute(
    sql`update failures set ledger = coalesce(ledger, '{}') || ${JSON.stringify({ photos: [{ hash }] })}::jsonb where id = (select min(id) from failures where workshop_id = ${here})`,
  );
  return hash;
}

beforeAll(async () => {
  ada = await firstOwner();
  here = await defaultWorkshop(database());
  await seedDemo(database(), here);
  photoHash = await photographWithPlace();
  const { runs } = await wholeBuild(database(), here, 'marsh-hare');
  trackHash = runs.find(({ track }) => track)!.track!.hash;
}, 60_000);

it('a link opens the build that it names, and what of it was chosen', async () => {
  const bare = await dataOf((await linked({ shows: NONE })).token);
  const full = await dataOf((await linked({ shows: ALL })).token);
  const own = await wholeBuild(database(), here, 'marsh-hare');
  expect(full.data.whole.failures).toHaveLength(own.failures.length);
  expect(full.data.whole.runs).toHaveLength(own.runs.length);
  expect(full.data.whole.revisions.map(({ document }) => document)).toEqual(
    own.revisions.map(({ document }) => document),
  );
  expect([bare.data.whole.failures, [...bare.files]]).toEqual([[], []]);
  expect([full.files.has(trackHash), full.files.has(photoHash)]).toEqual([true, true]);
  // nothing of the rest of the workshop
  expect(full.data.builds.map(({ id }) => id)).toEqual(['marsh-hare']);
  const used = namesIn(full.data.whole, 'library');
  expect(full.data.library.length).toBeGreaterThan(0);
  expect(full.data.library.length).toBeLessThan((await listLibrary(database(), here)).length);
  const byItems = namesIn({ library: full.data.library }, 'library');
  expect(full.data.library.filter(({ id }) => !used.has(id) && !byItems.has(id))).toEqual([]);
  expect(full.packed).not.toContain('Tin Wren');
});

it('its files are the build’s alone, the tracks without ends, place and day, the pictures without what a camera wrote', async () => {
  const { token } = await linked({ shows: ALL });
  const answer = await stranger.ask(fileOf, { id: trackHash, token });
  expect(answer.status).toBe(200);
  expect(answer.headers.get('x-robots-tag')).toContain('noindex');
  expect(answer.headers.get('cache-control')).toContain('no-store');
  const shown = readTrack(await answer.text()).flat();
  const kept = readTrack((await fileContent(database(), here, trackHash)).content.toString('utf8')).flat();
  expect(shown.length).toBeLessThan(kept.length);
  expect(shown[0]).toMatchObject({ atMs: 0, latDeg: 0, lonDeg: 0 });

  const original = await sharp((await fileContent(database(), here, photoHash)).content).metadata();
  expect(original.exif).toBeDefined();
  const picture = await stranger.ask(fileOf, { id: photoHash, token });
  const { exif, width } = await sharp(Buffer.from(await picture.arrayBuffer())).metadata();
  expect([exif, width]).toEqual([undefined, 40]);

  const wren = await wholeBuild(database(), here, 'tin-wren');
  const foreign = [...namesIn(wren, 'mesh')].find((hash) => hash);
  const { meshes } = await dataOf(token);
  const own = [...meshes][0]!;
  expect((await stranger.ask(meshOf, { id: own, token })).status).toBe(200);
  if (foreign && !meshes.has(foreign))
    expect((await stranger.ask(meshOf, { id: foreign, token })).status).toBe(404);
  const wrens = await linked({ shows: ALL }, 'tin-wren');
  expect(await statusOf(wrens.token)).toBe(404);
  const bare = await linked({ shows: NONE });
  expect(await statusOf(bare.token)).toBe(404);
});

it('it opens nothing when it was taken back, is over, was guessed, or its build was deleted', async () => {
  const [back, over, gone] = [
    await linked({ shows: ALL }),
    await linked({ shows: ALL, goodForDays: 1 }),
    await linked({ shows: NONE }, 'tin-wren'),
  ];
  expect([await statusOf(back.token), await statusOf(over.token)]).toEqual([200, 200]);
  await ada.send(takeBack, { method: 'DELETE', id: back.id });
  await database()
    .update(shares)
    .set({ expiresAt: sql`now() - interval '1 second'` as unknown as string })
    .where(eq(shares.id, over.id));
  await deleteBuild(database(), here, 'tin-wren');
  for (const token of [back.token, over.token, gone.token, 'guessed', ''])
    await expect(shareOfToken(database(), token)).rejects.toMatchObject({ code: 'notFound' });
  expect([await statusOf(back.token), await statusOf(over.token)]).toEqual([404, 404]);
  // what is kept of a link opens nothing
  const [row] = await database().select({ hash: shares.tokenHash }).from(shares).limit(1);
  await expect(shareOfToken(database(), row!.hash)).rejects.toMatchObject({ code: 'notFound' });
});

it('is refused with a choice that is none', async () => {
  const sent = async (body: object) =>
    (await ada.send(makeLink, { method: 'POST', id: 'marsh-hare', body })).json;
  expect((await sent({ shows: { failures: true } })).error.path).toBe('shows.photos');
  expect((await sent({ shows: ALL, goodForDays: 4000 })).error.path).toBe('goodForDays');
  const elsewhere = await ada.send(makeLink, { method: 'POST', id: 'no-such', body: { shows: ALL } });
  expect(elsewhere.status).toBe(404);
});

it('who follows it may copy what it shows into a workshop of their own, with where it came from', async () => {
  const eve = await another('Eve');
  const { workshops } = (await eve.send(account)).json as { workshops: { id: string }[] };
  const theirs = workshops[0]!.id;
  const { token } = await linked({ shows: { ...ALL, failures: false } });
  const { data } = await dataOf(token);
  // one of their own things is called as one of Ada's
  const [item] = data.library;
  const mine = { ...item!, data: { ...item!.data, name: 'Eve’s own' } };
  await saveLibraryItem(database(), theirs, mine);

  expect((await stranger.send(copy, { method: 'POST', body: { token } })).status).toBe(401);
  const { status, json } = await eve.send(copy, { method: 'POST', body: { token } });
  expect(status).toBe(201);
  const made = await wholeBuild(database(), theirs, json.id);
  expect(made.build).toMatchObject({
    name: 'Marsh Hare (copy)',
    origin: { name: 'Marsh Hare', workshop: expect.any(String), at: expect.any(String) },
  });
  expect(made.failures).toEqual([]);
  expect(made.runs).toHaveLength(data.whole.runs.length);
  expect(made.revisions.map(({ letter }) => letter)).toEqual(
    data.whole.revisions.map(({ letter }) => letter),
  );
  // every file came as it was shown, under its own hash
  const named = namesIn(made, 'file');
  expect(named.has(trackHash)).toBe(false);
  for (const hash of named) {
    const { content } = await fileContent(database(), theirs, hash);
    expect(hashOf(content)).toBe(hash);
  }
  const library = await listLibrary(database(), theirs);
  expect(library.find(({ id }) => id === item!.id)).toEqual(mine);
  // what is named is there, as far as Ada's own library held it
  const ids = new Set(library.map(({ id }) => id));
  const hers = new Set((await listLibrary(database(), here)).map(({ id }) => id));
  expect([...namesIn(made, 'library')].filter((id) => !ids.has(id) && hers.has(id))).toEqual([]);
  expect([...namesIn(made, 'library')].some((id) => !hers.has(id) && ids.has(id))).toBe(true);
  // it is their own: the link may go
  await database().delete(shares);
  expect((await listBuilds(database(), theirs)).map(({ id }) => id)).toContain(json.id);
});
