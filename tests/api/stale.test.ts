import fc from 'fast-check';
import { PUT as changeCopy } from '@/app/api/copies/[id]/route';
import { PUT as changeFailure } from '@/app/api/failures/[id]/route';
import { PUT as changePrint } from '@/app/api/prints/[id]/route';
import type { FailureRecord, Versioned } from '@/core/car/records/records';
import type { CopyRecord, PrintRecord } from '@/core/car/records/prints';
import type { Rival } from '@/core/car/records/mergeSheets';
import { database } from '@/db/client';
import { wholeBuild } from '@/db/queries/builds';
import { defaultWorkshop } from '@/db/queries/workshops';
import { seedDemo } from '@/db/seed/demo';
import { ApiProblem } from '@/features/api';
import { saveRecord } from '@/features/session/saveRecord';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();
const whole = async () => wholeBuild(database(), await defaultWorkshop(database()), 'marsh-hare');
beforeAll(async () => seedDemo(database(), await defaultWorkshop(database())), 30_000);

const HANDLERS = { copies: changeCopy, failures: changeFailure, prints: changePrint };

/** A page whose doors are those of the server; it counts what it was asked, and answers as it is told. */
function client(keepsMine: boolean) {
  const asked: Rival[] = [];
  const doors = {
    ask: async (rivals: readonly Rival[]) => {
      asked.push(...rivals);
      return rivals.map(() => keepsMine);
    },
    send: async (path: string, body: unknown) => {
      const [, , kind, id] = path.split('/') as [string, string, keyof typeof HANDLERS, string];
      const { status, json } = await call(HANDLERS[kind], { method: 'PUT', id, body });
      if (status !== 200) throw new ApiProblem(status, json.error.code, json.error, json);
      return json as unknown;
    },
  };
  return { asked, doors };
}

const CLIENTS = 10;
const perClient = fc.array(fc.record({ readings: fc.integer({ min: 1, max: 2 }), repairs: fc.boolean() }), {
  minLength: CLIENTS,
  maxLength: CLIENTS,
});

it('ten clients who read a copy at once lose none of each other’s readings and repairs, and are asked nothing', async () => {
  let round = 0;
  await fc.assert(
    fc.asyncProperty(perClient, async (clients) => {
      round += 1;
      const copy = (await whole()).copies.at(-1)!;
      const at = '2026-06-02T09:00:00.000Z';
      const given = clients.map(({ readings, repairs }, which) => ({
        readings: Array.from({ length: readings }, (_, of) => ({
          id: `r${round}-${which}-${of}`,
          at,
          of: 'pin' as const,
          valueMm: 2.9,
          hours: which,
        })),
        repairs: repairs ? [{ id: `m${round}-${which}`, at, what: 'filed' }] : [],
      }));
      const asked = await Promise.all(
        given.map(async ({ readings, repairs }) => {
          const { asked, doors } = client(true);
          await saveRecord(
            'copy',
            copy,
            {
              ...copy,
              readings: [...(copy.readings ?? []), ...readings],
              repairs: [...(copy.repairs ?? []), ...repairs],
            },
            copy,
            doors,
          );
          return asked;
        }),
      );
      expect(asked.flat()).toEqual([]);
      const after = (await whole()).copies.find(({ id }) => id === copy.id)!;
      const ids = (all: { id: string }[] = []) => all.map(({ id }) => id).sort();
      expect(ids(after.readings)).toEqual(
        ids([...(copy.readings ?? []), ...given.flatMap(({ readings }) => readings)]),
      );
      expect(ids(after.repairs)).toEqual(
        ids([...(copy.repairs ?? []), ...given.flatMap(({ repairs }) => repairs)]),
      );
      expect(after.version).toBe(copy.version + CLIENTS);
      await saveRecord('copy', after, { ...copy }, after, client(true).doors);
    }),
    { numRuns: 6 },
  );
}, 60_000);

it('two stale writers of a failure are both kept, and asked where they said one thing differently', async () => {
  const failure = (await whole()).failures[0]!;
  const [here, there] = [client(true), client(true)];
  const clue = {
    ...failure,
    ledger: { ...failure.ledger, clues: [...(failure.ledger?.clues ?? []), 'onStand'] },
  };
  await saveRecord('failure', failure, { ...clue, story: 'It was the ditch.' }, failure, here.doors);
  const second: Versioned<FailureRecord> = await saveRecord(
    'failure',
    failure,
    { ...failure, story: 'It was the fence.', hours: 9 },
    failure,
    there.doors,
  );
  expect(here.asked).toEqual([]);
  expect(there.asked).toEqual([
    { kind: 'failure', fact: ['story'], mine: 'It was the fence.', theirs: 'It was the ditch.' },
  ]);
  expect(second).toMatchObject({
    story: 'It was the fence.',
    hours: 9,
    ledger: { clues: expect.arrayContaining(['onStand']) },
  });
});

it('a print that another tab finished is not set back by one that still shows it on the bed, unless its builder says so', async () => {
  const { prints, copies } = await whole();
  const first = prints.find(({ state }) => state === 'finished')!;
  const { print } = await saveRecord(
    'print',
    first,
    { ...first, estimateS: 3600 },
    first,
    client(true).doors,
  );
  const shown: Versioned<PrintRecord> = { ...print, state: 'printing' };
  const own = (all: CopyRecord[]) =>
    all
      .filter(({ printId }) => printId === print.id)
      .map(({ id }) => id)
      .sort();
  expect(own(copies).length).toBeGreaterThan(0);
  const yields = client(false);
  await saveRecord(
    'print',
    shown,
    { ...shown, state: 'failed', why: 'let go of the bed' },
    { ...shown, version: print.version - 1 },
    yields.doors,
  );
  expect(yields.asked.map(({ fact }) => fact)).toEqual([['state']]);
  expect(own((await whole()).copies)).toEqual(own(copies));
  const present = (await whole()).prints.find(({ id }) => id === print.id)!;
  await saveRecord(
    'print',
    present,
    { ...present, state: 'failed', why: 'let go of the bed' },
    present,
    client(true).doors,
  );
  expect(own((await whole()).copies)).toEqual([]);
  const failed = (await whole()).prints.find(({ id }) => id === print.id)!;
  const { why: _, ...good } = { ...failed, state: 'finished' as const };
  await saveRecord('print', failed, good, failed, client(true).doors);
  expect(
    (await whole()).copies
      .filter(({ printId }) => printId === print.id)
      .sort((a, b) => (a.id < b.id ? -1 : 1)),
  ).toEqual(copies.filter(({ printId }) => printId === print.id).sort((a, b) => (a.id < b.id ? -1 : 1)));
});

it('a stale change is answered with the record as it stands, and one without a version with what is missing', async () => {
  const failure = (await whole()).failures[0]!;
  const { revisionId: _, version, ...sheet } = failure;
  expect(
    await call(changeFailure, { method: 'PUT', id: failure.id, body: { version: version - 1, sheet } }),
  ).toMatchObject({ status: 409, json: { error: { code: 'conflict', path: 'version' }, current: failure } });
  expect(await call(changeFailure, { method: 'PUT', id: failure.id, body: sheet })).toMatchObject({
    status: 422,
    json: { error: { path: 'version' } },
  });
});
