import fc from 'fast-check';
import { emptyDocument } from '@/core/car/document/document';
import { ApiProblem } from '../api';
import { type Doors, sendWaiting, setAside, type Shelf, type Taken, type Waiting } from './outbox';

const run = (id: string, more: Partial<Waiting> = {}): Waiting => ({
  id,
  kind: 'run',
  revisionId: 'r',
  letter: 'A',
  buildId: 'b',
  at: id,
  photos: [],
  sheet: {
    id,
    kind: 'terrain',
    attempts: [],
    conditions: {},
    ranAt: '2026-05-01T10:00:00.000Z',
    document: emptyDocument(),
  },
  ...more,
});

function shelfOf(items: Waiting[]): Shelf & { items: Map<string, Waiting> } {
  const kept = new Map(items.map((one) => [one.id, one]));
  const busy = new Map<string, Promise<unknown>>();
  return {
    items: kept,
    all: async () => [...kept.values()].sort((a, b) => (a.at < b.at ? -1 : 1)),
    keep: async (one) => void kept.set(one.id, one),
    one: async (id) => kept.get(id),
    drop: async (id) => void kept.delete(id),
    alone: (id, work) => {
      const turn = (busy.get(id) ?? Promise.resolve()).then(work);
      busy.set(
        id,
        turn.catch(() => undefined),
      );
      return turn;
    },
  };
}

async function sent(shelf: Shelf, doors: Doors): Promise<Taken[]> {
  const taken: Taken[] = [];
  await sendWaiting(shelf, doors, (one) => taken.push(one));
  return taken;
}

const lost = () => new ApiProblem(0, 'unreachable', { message: 'No connection.' }, undefined);

describe('what waits in the field', () => {
  it('comes to the workshop exactly once over a network that drops requests and answers', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 6 }),
        fc.array(fc.constantFrom('carried', 'request lost', 'answer lost'), { minLength: 60, maxLength: 60 }),
        async (count, fates) => {
          const workshop = new Map<string, number>();
          const photos = new Set<string>();
          let turn = 0;
          const carried = <T>(act: () => T): T => {
            const fate = fates[turn++] ?? 'carried';
            if (fate === 'request lost') throw lost();
            const answer = act();
            if (fate === 'answer lost') throw lost();
            return answer;
          };
          const doors: Doors = {
            photo: async (blob) =>
              carried(() => {
                photos.add(String(blob.size));
                return 'a'.repeat(63) + String(blob.size % 10);
              }),
            track: async () => carried(() => 'b'.repeat(64)),
            // the door takes the same id twice for one
            send: async ({ id }) => carried(() => workshop.set(id, 1) && { id }),
          };
          const shelf = shelfOf(
            Array.from({ length: count }, (_, at) =>
              run(
                `run-${at}`,
                at % 2 === 0 ? { photos: [{ id: 'p', blob: new Blob(['x'.repeat(at + 1)]) }] } : {},
              ),
            ),
          );
          for (let tries = 0; tries < 200 && shelf.items.size > 0; tries++) await sent(shelf, doors);
          expect(shelf.items.size).toBe(0);
          expect([...workshop.keys()].sort()).toEqual(
            Array.from({ length: count }, (_, at) => `run-${at}`).sort(),
          );
        },
      ),
      { seed: 11, numRuns: 60 },
    );
  });

  it('keeps what the workshop does not take, with its words, and goes on with the next', async () => {
    const shelf = shelfOf([run('1'), run('2')]);
    const doors: Doors = {
      photo: async () => '',
      track: async () => '',
      send: async ({ id }) => {
        if (id === '1')
          throw new ApiProblem(
            404,
            'notFound',
            { message: 'There is no such revision in this workshop.' },
            undefined,
          );
        return { id };
      },
    };
    const taken = await sent(shelf, doors);
    expect(taken.map(({ one }) => one.id)).toEqual(['2']);
    expect(shelf.items.get('1')!.refused).toBe('There is no such revision in this workshop.');
    expect(await sent(shelf, doors)).toEqual([]);
    expect(shelf.items.size).toBe(1);
  });

  it('goes past one over which the server stumbles, and sends it again later; past a silent database it does not go', async () => {
    let status = 500;
    const shelf = shelfOf([run('1'), run('2')]);
    const doors: Doors = {
      photo: async () => '',
      track: async () => '',
      send: async ({ id }) => {
        if (id === '1' && status > 0) throw new ApiProblem(status, 'internal', { message: 'no' }, undefined);
        return { id };
      },
    };
    status = 503;
    expect(await sent(shelf, doors)).toEqual([]);
    status = 500;
    expect((await sent(shelf, doors)).map(({ one }) => one.id)).toEqual(['2']);
    expect(shelf.items.get('1')!.refused).toBeUndefined();
    status = 0;
    expect((await sent(shelf, doors)).map(({ one }) => one.id)).toEqual(['1']);
  });

  it('puts the photographs of a failure into its ledger', async () => {
    const failure = {
      ...run('1', { photos: [{ id: 'p', blob: new Blob(['x']), caption: 'the crack' }] }),
      kind: 'failure' as const,
      sheet: { id: '1', mode: 'crack', partName: 'Bumper', occurredAt: '', ledger: { lostMinutes: 5 } },
    };
    const doors: Doors = {
      photo: async () => 'd'.repeat(64),
      track: async () => '',
      send: async (one) => one.sheet,
    };
    const [taken] = await sent(shelfOf([failure]), doors);
    expect(taken!.answer).toMatchObject({
      ledger: { lostMinutes: 5, photos: [{ hash: 'd'.repeat(64), caption: 'the crack' }] },
    });
  });

  it('sends a photograph once, however often its run has to be sent', async () => {
    const shelf = shelfOf([run('1', { photos: [{ id: 'p', blob: new Blob(['x']), caption: 'the ditch' }] })]);
    let [photos, tries] = [0, 0];
    const doors: Doors = {
      photo: async () => {
        photos++;
        return 'c'.repeat(64);
      },
      track: async () => '',
      send: async (one) => {
        if (++tries < 3) throw lost();
        return one.sheet;
      },
    };
    for (let at = 0; at < 3; at++) await sent(shelf, doors);
    expect([photos, tries]).toEqual([1, 3]);
    expect(shelf.items.size).toBe(0);
  });

  it('is told apart when it is thrown away while it is being sent: the workshop has it, or it never goes', async () => {
    let answer: (value: unknown) => void = () => undefined;
    const shelf = shelfOf([run('1'), run('2')]);
    const doors: Doors = {
      photo: async () => '',
      track: async () => '',
      send: ({ id }) => (id === '1' ? new Promise((resolve) => (answer = resolve)) : Promise.resolve({ id })),
    };
    const pass = sent(shelf, doors);
    await new Promise(setImmediate);
    const first = setAside('1', new Date(0), shelf);
    expect((await setAside('2', new Date(0), shelf))?.id).toBe('2');
    answer({ id: '1' });
    expect((await pass).map(({ one }) => one.id)).toEqual(['1']);
    expect(await first).toBeUndefined();
    expect([...shelf.items.keys()]).toEqual(['2']);
    expect(await sent(shelf, doors)).toEqual([]);
  });
});
