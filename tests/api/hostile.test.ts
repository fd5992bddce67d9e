import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { database } from '@/db/client';
import { wholeBuild } from '@/db/queries/builds';
import { listLibrary } from '@/db/queries/library';
import { defaultWorkshop } from '@/db/queries/workshops';
import { rateLimits } from '@/db/schema';
import { seedDemo } from '@/db/seed/demo';
import { exportedText, withOwnDatabase } from './workshop';

withOwnDatabase();
beforeAll(async () => seedDemo(database(), await defaultWorkshop(database())), 30_000);
beforeEach(async () => void (await database().delete(rateLimits)));

const API = resolve('src/app/api');
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
type Handler = (request: Request, context: { params: Promise<Record<string, string>> }) => Promise<Response>;

const doors = readdirSync(API, { recursive: true, encoding: 'utf8' })
  .filter((path) => path.endsWith('route.ts'))
  .sort()
  .flatMap((path) => {
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    const handlers = require(resolve(API, path)) as Partial<Record<string, Handler>>;
    const takesBytes = readFileSync(resolve(API, path), 'utf8').includes('BYTES_BODY');
    return METHODS.filter((method) => handlers[method]).map((method) => ({
      door: `${method} ${path.replace('/route.ts', '')}`,
      method,
      takesBytes,
      handle: handlers[method]!,
    }));
  });
type Door = (typeof doors)[number];
const doorOf = (name: string): Door => doors.find(({ door }) => door === name)!;

/** Each request comes from another client: none is refused for its number. */
let asked = 0;

async function sent(
  { door, method, takesBytes, handle }: Door,
  params: Record<string, string>,
  body?: string | Buffer,
  query = '',
) {
  const headers = {
    'content-type': takesBytes ? 'application/octet-stream' : 'application/json',
    'x-forwarded-for': `client ${asked++}`,
  };
  const payload =
    method === 'GET' || body === undefined
      ? {}
      : { body: typeof body === 'string' ? body : new Uint8Array(body) };
  const answer = await handle(new Request(`http://localhost/api/${query}`, { method, headers, ...payload }), {
    params: Promise.resolve(params),
  });
  const text = await answer.text();
  return {
    door,
    params,
    query,
    body: String(body).slice(0, 200),
    status: answer.status,
    text: answer.status >= 400 ? text : '',
  };
}

/** What is no honest refusal: a fault of the server, or one without words. */
function unmannerly({ status, text, ...asked }: Awaited<ReturnType<typeof sent>>): string[] {
  const hasWords =
    status < 400 || Boolean((JSON.parse(text) as { error?: { message?: string } }).error?.message);
  return status < 500 && hasWords ? [] : [JSON.stringify({ status, ...asked })];
}

const NAMES = [
  '\u0000',
  'a\u0000b',
  '\ud800',
  '../../../etc/passwd',
  "'; drop table runs; --",
  '__proto__',
  'constructor',
  'x'.repeat(5000),
  '',
  ' ',
  '-1',
  '1e400',
  '[object Object]',
  'runs',
];
const BODIES: (string | Buffer)[] = [
  '',
  '{',
  'null',
  '[]',
  '0',
  '"text"',
  '{}',
  '{"a":1e999}',
  '{"__proto__":{"x":1},"constructor":{}}',
  `${'['.repeat(50_000)}${']'.repeat(50_000)}`,
  `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`,
  '{"id":"a\\u0000"}',
  '{"id":"\\ud800","name":"\\udfff"}',
  '\u0000',
  Buffer.from([0xff, 0xfe, 0x00, 0xd8]),
  Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16]),
  Buffer.from('solid x\nfacet normal nan nan nan\n'),
  Buffer.from([0x50, 0x4b, 3, 4, 0, 0]),
];

it('every door answers hostile names, queries and bodies in words, none with a fault of its own', async () => {
  expect(doors.length).toBeGreaterThan(30);
  const faults: string[] = [];
  for (const door of doors) {
    for (const name of NAMES)
      faults.push(
        ...unmannerly(
          await sent(
            door,
            { id: name, kind: name },
            '{}',
            `?mode=${encodeURIComponent(name.replace(/\p{Surrogate}/gu, '?'))}&kind=%00`,
          ),
        ),
      );
    for (const body of BODIES)
      faults.push(
        ...unmannerly(
          await sent(door, { id: door.method === 'DELETE' ? 'nothing' : 'marsh-hare', kind: 'builds' }, body),
        ),
      );
    await database().delete(rateLimits);
  }
  expect(faults).toEqual([]);
}, 60_000);

const HOSTILE: unknown[] = [
  'a\u0000b',
  '\ud83c',
  '',
  'x'.repeat(100_000),
  1e300,
  -1e300,
  5e-324,
  -1,
  0.5,
  2 ** 53,
  null,
  [],
  {},
  true,
  ['a', 1, null],
  'no-such-thing',
];

function* placesIn(value: unknown, path: (string | number)[] = []): Generator<(string | number)[]> {
  if (path.length > 0) yield path;
  if (typeof value !== 'object' || value === null) return;
  for (const name of Object.keys(value))
    yield* placesIn((value as Record<string, unknown>)[name], [
      ...path,
      Array.isArray(value) ? Number(name) : name,
    ]);
}

function withAt(value: unknown, [name, ...rest]: readonly (string | number)[], hostile: unknown): unknown {
  if (name === undefined) return hostile;
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) };
  (copy as Record<string | number, unknown>)[name] = withAt(
    (value as Record<string | number, unknown>)[name],
    rest,
    hostile,
  );
  return copy;
}

const MOST_A_DOOR = 64;

/** Every hostile value in turn, at places spread over the whole body. */
function* spoilt(body: unknown): Generator<string> {
  const places = [...placesIn(body)];
  for (let i = 0; i < MOST_A_DOOR; i++)
    yield JSON.stringify(withAt(body, places[(i * 7919) % places.length]!, HOSTILE[i % HOSTILE.length]));
}

it('a body that is right but for one field is refused at it or taken', async () => {
  const db = database();
  const workshopId = await defaultWorkshop(db);
  const { revisions, runs, failures, prints, copies } = await wholeBuild(db, workshopId, 'marsh-hare');
  const open = revisions.at(-1)!;
  const sheetOf = <T extends { revisionId: string }>({ revisionId: _, ...sheet }: T) => sheet;
  const changed = <T extends { revisionId: string; version: number }>({
    revisionId: _,
    version,
    ...sheet
  }: T) => ({ version, sheet });
  const named = <T extends { revisionId: string; version: number }>(record: T, id: string) => ({
    ...changed(record).sheet,
    id,
  });
  const run = runs.find(({ report }) => report) ?? runs[0]!;
  const { prediction: _prediction, ...runSheet } = sheetOf(run);
  const failure = failures.find(({ ledger, runId }) => ledger && runId) ?? failures[0]!;
  const file = JSON.parse(await exportedText(workshopId, 'marsh-hare')) as { files: unknown[] };
  const cases: [string, string, unknown][] = [
    ['PUT revisions/[id]', open.id, { version: open.version, document: open.document }],
    ['PATCH revisions/[id]', open.id, { learned: 'hold the pinion', closed: false }],
    ['POST revisions/[id]/next', open.id, { id: 'next-one', why: 'because', expected: 'better' }],
    ['POST revisions/[id]/runs', open.id, { ...runSheet, id: 'another-run' }],
    ['POST revisions/[id]/failures', open.id, named(failure, 'another-failure')],
    ['PUT failures/[id]', failure.id, changed(failure)],
    ['POST revisions/[id]/prints', open.id, named(prints[0]!, 'another-print')],
    ['PUT prints/[id]', prints[0]!.id, changed(prints[0]!)],
    ['PUT copies/[id]', copies[0]!.id, changed(copies[0]!)],
    ['POST builds', '', { id: 'other', revisionId: 'other-a', name: 'Other', document: open.document }],
    ['PATCH builds/[id]', 'marsh-hare', { name: 'Marsh Hare' }],
    ['PUT settings', '', { thresholds: {}, printAheadMinutes: 120 }],
    ['PUT library', '', (await listLibrary(db, workshopId))[0]],
    ['POST builds/import', '', { ...file, files: file.files.slice(0, 1) }],
  ];
  const faults: string[] = [];
  for (const [name, id, body] of cases) {
    const as = { id, kind: '' };
    const query = name.endsWith('import') ? '?mode=copy' : '';
    for (const text of spoilt(body)) faults.push(...unmannerly(await sent(doorOf(name), as, text, query)));
    await db.delete(rateLimits);
  }
  expect(faults).toEqual([]);
}, 120_000);

it('a file of many records goes in, and one of many wrong ones is refused at the first', async () => {
  const db = database();
  const workshopId = await defaultWorkshop(db);
  const file = JSON.parse(await exportedText(workshopId, 'marsh-hare')) as {
    failures: { id: string; partName: string }[];
    runs: unknown[];
  };
  const many = (count: number, change: object = {}) =>
    Array.from({ length: count }, (_, at) => ({ ...file.failures[0]!, id: `many-${at}`, ...change }));
  const bring = (failures: object[]) =>
    sent(doorOf('POST builds/import'), {}, JSON.stringify({ ...file, files: [], failures }), '?mode=copy');
  expect(await bring(many(6000))).toMatchObject({ status: 201 });
  const wrong = await bring(many(20_000, { hours: -1, mode: 7, partName: '' }));
  expect(wrong.status).toBe(422);
  expect((JSON.parse(wrong.text) as { error: { path: string } }).error.path).toMatch(/^failures\.0\./);
}, 60_000);
