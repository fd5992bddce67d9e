import { readdirSync } from 'node:fs';
import { resolve } from 'node:path';
import { sql } from 'drizzle-orm';
import { database } from '@/db/client';
import { wholeBuild } from '@/db/queries/builds';
import { invite } from '@/db/queries/invitations';
import { listLibrary } from '@/db/queries/library';
import { softDelete } from '@/db/queries/deleted';
import { defaultWorkshop } from '@/db/queries/workshops';
import { files, meshes, rateLimits } from '@/db/schema';
import { seedDemo } from '@/db/seed/demo';
import { another, Browser, firstOwner, withAccounts } from './person';
import { exportedBytes, withOwnDatabase } from './workshop';

withOwnDatabase();
withAccounts();

const API = resolve('src/app/api');
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
type Handler = (request: Request, context?: { params: Promise<Record<string, string>> }) => Promise<Response>;

/** Every door that there is, from the routes themselves. */
const doors = new Map<string, Handler>(
  readdirSync(API, { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('route.ts'))
    .flatMap((path) => {
      // eslint-disable-next-line @typescript-eslint/no-require-imports
      const handlers = require(resolve(API, path)) as Partial<Record<string, Handler>>;
      return METHODS.filter((method) => handlers[method]).map(
        (method) => [`${method} ${path.replace(/\/?route\.ts$/, '')}`, handlers[method]!] as const,
      );
    }),
);

/** Who is let in: a member who looks, one who changes, an owner, whoever is signed in, or anybody. */
type Lets = 'viewer' | 'editor' | 'owner' | 'person' | 'anybody';
interface Sent {
  id?: string;
  body?: unknown;
  bytes?: Buffer;
  type?: string;
  address?: string;
}
/** What goes to each door, as one who may would send it to something of the first workshop. */
let table: Record<string, readonly [Lets, Sent?]>;
let here: string;
let ada: Browser;
let vera: Browser;
let eve: Browser;

const sheetOf = <T extends { revisionId: string; version: number }>({
  revisionId: _,
  version: __,
  ...sheet
}: T) => sheet;

beforeAll(async () => {
  const db = database();
  ada = await firstOwner();
  here = await defaultWorkshop(db);
  await seedDemo(db, here);
  const adaId = (await ada.send(doors.get('GET account')!)).json.person.id as string;
  vera = await another('Vera', (await invite(db, here, 'viewer', adaId)).token);
  eve = await another('Eve');
  const { build, revisions, runs, failures, prints, copies } = await wholeBuild(db, here, 'marsh-hare');
  const open = revisions.at(-1)!;
  const run = runs[0]!;
  const { revisionId: _, prediction: __, ...runSheet } = run;
  const [failure, print, copy] = [failures[0]!, prints[0]!, copies[0]!];
  const [mesh] = await db.select({ hash: meshes.hash }).from(meshes).limit(1);
  const [file] = await db.select({ hash: files.hash }).from(files).limit(1);
  const bytes = await exportedBytes(here, 'tin-wren');
  // an item that no build uses, so that nothing but the door keeps it
  const item = (await listLibrary(db, here)).find(({ kind }) => kind === 'servo')!;
  await softDelete(db, here, 'library', item.id);
  const octets = { bytes: Buffer.from('a track'), type: 'application/octet-stream' };
  const archive = { bytes: Buffer.from('PK'), type: 'application/zip' };
  table = {
    'GET health': ['anybody'],
    'GET builds': ['viewer'],
    'POST builds': ['editor', { body: { id: 'other', revisionId: 'other-a', name: 'Other' } }],
    'PATCH builds/[id]': ['editor', { id: build.id, body: { name: 'Mine now' } }],
    'DELETE builds/[id]': ['editor', { id: build.id }],
    'GET builds/[id]/file': ['viewer', { id: build.id }],
    'GET builds/[id]/live': ['viewer', { id: build.id, address: '?tab=one' }],
    'GET builds/[id]': ['viewer', { id: build.id }],
    'GET builds/[id]/shares': ['owner', { id: build.id }],
    'POST builds/[id]/shares': [
      'owner',
      { id: build.id, body: { shows: { failures: true, photos: true, tracks: true } } },
    ],
    'DELETE shares/[id]': ['owner', { id: 'any' }],
    'GET shared/[token]/files/[id]': ['anybody', { id: file!.hash }],
    'GET shared/[token]/meshes/[id]': ['anybody', { id: mesh!.hash }],
    'POST builds/copy': ['editor', { body: { token: 'guessed' } }],
    'POST builds/import': ['editor', { bytes, type: 'application/json' }],
    'POST [kind]/[id]/restore': ['editor', { id: build.id }],
    'GET library': ['viewer'],
    'PUT library': ['editor', { body: item }],
    'DELETE library/[id]': ['editor', { id: item.id }],
    'POST meshes': ['editor', octets],
    'GET meshes/[id]': ['viewer', { id: mesh!.hash }],
    'POST photos': ['editor', octets],
    'POST tracks': ['editor', octets],
    'GET files/[id]': ['viewer', { id: file!.hash }],
    'GET settings': ['viewer'],
    'PUT settings': ['editor', { body: { printAheadMinutes: 7 } }],
    'GET operations': ['viewer'],
    'POST operations/[id]': ['viewer', { id: 'gear.spur', body: {} }],
    'GET revisions/[id]': ['viewer', { id: open.id }],
    'PUT revisions/[id]': [
      'editor',
      { id: open.id, body: { version: open.version, document: open.document } },
    ],
    'PATCH revisions/[id]': ['editor', { id: open.id, body: { learned: 'mine' } }],
    'POST revisions/[id]/next': ['editor', { id: open.id, body: { id: 'e', why: 'mine', expected: 'mine' } }],
    'POST revisions/[id]/runs': ['editor', { id: open.id, body: { ...runSheet, id: 'my-run' } }],
    'POST revisions/[id]/failures': [
      'editor',
      { id: open.id, body: { ...sheetOf(failure), id: 'my-failure' } },
    ],
    'POST revisions/[id]/prints': ['editor', { id: open.id, body: { ...sheetOf(print), id: 'my-print' } }],
    'GET revisions/[id]/report': ['viewer', { id: open.id, address: '?kind=build' }],
    'GET revisions/[id]/runs': ['viewer', { id: open.id }],
    'GET revisions/[id]/failures': ['viewer', { id: open.id }],
    'GET revisions/[id]/prints': ['viewer', { id: open.id }],
    'DELETE runs/[id]': ['editor', { id: run.id }],
    'PUT failures/[id]': [
      'editor',
      { id: failure.id, body: { version: failure.version, sheet: sheetOf(failure) } },
    ],
    'DELETE failures/[id]': ['editor', { id: failure.id }],
    'PUT prints/[id]': ['editor', { id: print.id, body: { version: print.version, sheet: sheetOf(print) } }],
    'DELETE prints/[id]': ['editor', { id: print.id }],
    'PUT copies/[id]': ['editor', { id: copy.id, body: { version: copy.version, sheet: sheetOf(copy) } }],
    'GET deleted': ['viewer'],
    'GET workshop': ['viewer'],
    'PATCH workshop': ['owner', { body: { name: 'Mine' } }],
    'DELETE workshop': ['owner', { body: { name: 'Workshop', exported: 'as it is' } }],
    'GET workshop/file': ['owner'],
    'PATCH members/[id]': ['owner', { id: adaId, body: { role: 'viewer' } }],
    'DELETE members/[id]': ['owner', { id: adaId }],
    'GET invitations': ['owner'],
    'POST invitations': ['owner', { body: { role: 'owner' } }],
    'DELETE invitations/[id]': ['owner', { id: 'any' }],
    'POST invitations/look': ['anybody', { body: { token: 'guessed' } }],
    'POST invitations/accept': ['person', { body: { token: 'guessed' } }],
    'POST workshops': ['person', { body: { name: '' } }],
    'PUT workshops/current': ['person', { body: { id: here } }],
    'POST workshops/import': ['person', archive],
    'GET account': ['person'],
    'DELETE account': ['person', { body: { password: 'guessed' } }],
    'PUT account/password': ['person', { body: { password: 'guessed', next: 'a new long password' } }],
    'POST account/sign-in': ['anybody', { body: { email: 'ada@cars.example', password: 'guessed' } }],
    'POST account/sign-up': [
      'anybody',
      { body: { name: 'Eve', email: 'eve@cars.example', password: 'guessed' } },
    ],
    'POST account/first': [
      'anybody',
      { body: { code: 'guessed', name: 'E', email: 'e@cars.example', password: 'a new long one' } },
    ],
    'POST account/reset': ['anybody', { body: { token: 'guessed', password: 'a new long password' } }],
    'POST account/sign-out': ['anybody'],
    'POST account/sign-out-everywhere': ['person'],
  };
}, 60_000);

/** Tables, and the column that names the workshop of a row. */
const KEPT: readonly (readonly [string, string?])[] = [
  ['workshops', 'id'],
  ...[
    'builds',
    'revisions',
    'runs',
    'failures',
    'library_items',
    'prints',
    'copies',
    'meshes',
    'files',
    'members',
    'invitations',
    'shares',
  ].map((table) => [table, 'workshop_id'] as const),
  ['people'],
  ['credentials'],
];

/** All that is kept of a workshop, but for who is signed in where. */
async function everything(): Promise<string[]> {
  return Promise.all(
    KEPT.map(async ([table, of]) => {
      const { rows } = await database().execute<{ all: string }>(
        sql`select md5(coalesce(string_agg(t::text, '|' order by t::text), '')) as all from ${sql.identifier(table)} t where ${of === undefined ? sql`true` : sql`t.${sql.identifier(of)} = ${here}`}`,
      );
      return `${table} ${rows[0]!.all}`;
    }),
  );
}

const ends = (name: string) => name.startsWith('POST account/sign-out');

/** The status of each door for somebody, one after the other, as `met` sorts them. */
async function walked(
  browser: Browser,
  headers: Record<string, string> = {},
): Promise<{ name: string; lets: Lets; status: number; text: string }[]> {
  const met = [];
  for (const [name, [lets, sent = {}]] of Object.entries(table)) {
    if (ends(name)) continue;
    const method = name.split(' ')[0]!;
    const answer = await browser.ask(doors.get(name)!, { method, ...sent, headers });
    // a stream of events ends when who listens leaves
    const isStream = answer.headers.get('content-type')?.startsWith('text/event-stream');
    if (isStream) await answer.body!.cancel();
    met.push({ name, lets, status: answer.status, text: isStream ? '' : await answer.text() });
    await database().delete(rateLimits);
  }
  return met;
}

it('every door is in the table of who is let in', () => {
  expect([...doors.keys()].sort()).toEqual(Object.keys(table).sort());
});

it('a stranger is let in nowhere but where one proves who one is', async () => {
  const before = await everything();
  const met = await walked(new Browser());
  expect(met.filter(({ lets, status }) => lets !== 'anybody' && status !== 401)).toEqual([]);
  const inside = met.filter(({ lets, status }) => lets === 'anybody' && status < 400);
  expect(inside.map(({ name }) => name)).toEqual(['GET health']);
  expect(await everything()).toEqual(before);
}, 60_000);

it('one who looks changes nothing, and sees what is for owners nowhere', async () => {
  const before = await everything();
  const met = await walked(vera, { 'x-workshop': here });
  expect(
    met.filter(({ lets, status }) => (lets === 'editor' || lets === 'owner') !== (status === 403)),
  ).toEqual([]);
  expect(
    met.filter(
      ({ lets, name, status }) => lets === 'viewer' && !name.includes('operations') && status !== 200,
    ),
  ).toEqual([]);
  expect(await everything()).toEqual(before);
}, 60_000);

it('one of another workshop finds nothing of this one, by its name or by the names of what is in it', async () => {
  const before = await everything();
  const named = await walked(eve, { 'x-workshop': here });
  expect(
    named.filter(({ lets, status }) => ['viewer', 'editor', 'owner'].includes(lets) && status !== 404),
  ).toEqual([]);
  expect(await everything()).toEqual(before);
  // in their own workshop, with the ids of this one; what is deleted and was never there is gone all the same
  const own = (await walked(eve)).filter(({ name }) => !name.startsWith('DELETE'));
  expect(own.filter(({ text }) => /marsh|Marsh|ada@cars/.test(text))).toEqual([]);
  const byId = own.filter(({ name }) => name.includes('[id]') && !name.includes('operations'));
  const isEmpty = (text: string) => /^\{(?:"\w+":\[\],?)+\}$/.test(text);
  expect(byId.filter(({ status, text }) => status !== 404 && !isEmpty(text))).toEqual([]);
  expect(await everything()).toEqual(before);
}, 60_000);

/** What is no honest body of any door, and what is one with something wrong in it. */
const HOSTILE: unknown[] = [
  null,
  [],
  'text',
  { token: 'a\u0000b', code: '\ud800', email: 'a@b.c\u0000', password: '\u0000' },
  { email: ["a'; drop table people; --"], password: {}, name: 7, role: 'king' },
  {
    email: 'ada@cars.example',
    password: 'x'.repeat(1_000_000),
    name: 'x'.repeat(100_000),
    next: 'x'.repeat(200),
  },
  { id: '__proto__', name: '\u202e', token: 'x'.repeat(5000), exported: '' },
];

it('the doors of accounts answer hostile bodies in words, none with a fault of its own', async () => {
  const faults: unknown[] = [];
  for (const [name, [lets]] of Object.entries(table)) {
    if (lets === 'viewer' || lets === 'editor' || name === 'GET health' || ends(name)) continue;
    for (const body of HOSTILE) {
      const [method = ''] = name.split(' ');
      if (method === 'GET') continue;
      const { status, json } = await ada.send(doors.get(name)!, { method, id: "'; --", body });
      if (status >= 500 || (status >= 400 && !json.error?.message)) faults.push({ name, body, status, json });
      await database().delete(rateLimits);
    }
  }
  expect(faults).toEqual([]);
}, 60_000);
