import { useSyncExternalStore } from 'react';
import { callApi, refuseShared, workshopOfPage } from '../api';
import { sayUndoable } from '@/ui/Snackbars';
import { restored } from './deleting';
import {
  allWaiting,
  type Doors,
  dropWaiting,
  keepWaiting,
  keptWaiting,
  sendWaiting,
  setAside,
  type Shelf,
  type Taken,
  type Waiting,
} from './outbox';

const NONE: readonly Waiting[] = [];
let shown: readonly Waiting[] = NONE;
const tellers = new Set<() => void>();
const takers = new Set<(taken: Taken) => void>();
let sending: Promise<void> | undefined;

async function show(): Promise<void> {
  shown = await allWaiting();
  for (const tell of tellers) tell();
}

/** Names the workshop of an entry, whichever is worked in by now. */
const within = ({ workshopId }: Waiting): Record<string, string> =>
  workshopId === undefined ? {} : { 'x-workshop': workshopId };

const sendFile = async (door: string, blob: Blob, of: Waiting): Promise<string> =>
  (
    await callApi<{ hash: string }>('POST', door, undefined, {
      body: blob,
      headers: { 'content-type': 'application/octet-stream', ...within(of) },
    })
  ).hash;

const doors: Doors = {
  photo: (blob, of) => sendFile('/api/photos', blob, of),
  track: (blob, of) => sendFile('/api/tracks', blob, of),
  send: (one) =>
    callApi(
      'POST',
      `/api/revisions/${one.revisionId}/${one.kind === 'run' ? 'runs' : 'failures'}`,
      one.sheet,
      { headers: within(one) },
    ),
};

const shelf: Shelf = {
  all: allWaiting,
  one: keptWaiting,
  keep: keepWaiting,
  drop: dropWaiting,
  alone: async (id, work) =>
    navigator.locks ? navigator.locks.request(`lean-badger-outbox-${id}`, work) : work(),
};

/** Sends what waits, one after the other; several calls share one pass, and only one tab sends at a time. */
export function sendNow(): Promise<void> {
  sending ??= (async () => {
    try {
      const pass = () =>
        sendWaiting(shelf, doors, (taken) => {
          shown = shown.filter(({ id }) => id !== taken.one.id);
          for (const take of takers) take(taken);
          for (const tell of tellers) tell();
        });
      await (navigator.locks ? navigator.locks.request('lean-badger-outbox', pass) : pass());
    } finally {
      sending = undefined;
      await show();
    }
  })();
  return sending;
}

/** Keeps something on this device and sends it as soon as there is a connection. */
export async function enter(one: Waiting): Promise<void> {
  refuseShared();
  const workshopId = one.workshopId ?? workshopOfPage();
  await keepWaiting({ ...one, ...(workshopId === undefined ? {} : { workshopId }) });
  await show();
  await sending;
  await sendNow();
}

/**
 * Throws something away that was not sent yet, and offers to take it back.
 *
 * @returns whether it did; false where it was sent meanwhile, and is to be deleted from the workshop
 */
export async function giveUp(id: string, name: string): Promise<boolean> {
  const one = await setAside(id, new Date(), shelf);
  await show();
  if (!one) return false;
  sayUndoable(`${name} thrown away before it was sent.`, () =>
    restored(async () => {
      await keepWaiting(one);
      await show();
      void sendNow();
    }),
  );
  return true;
}

/** Hands something that was refused to another revision, and sends it there. */
export async function handTo(one: Waiting, revision: { id: string; letter: string }): Promise<void> {
  const { refused: _, refusedPath: __, ...free } = one;
  await enter({ ...free, revisionId: revision.id, letter: revision.letter });
}

export function onTaken(take: (taken: Taken) => void): () => void {
  takers.add(take);
  return () => takers.delete(take);
}

const AGAIN_MS = 20_000;
let watched = false;

function watch(): void {
  if (watched) return;
  watched = true;
  void show().then(() => (shown.length > 0 ? sendNow() : undefined));
  window.addEventListener('online', () => void sendNow());
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible')
      void show().then(() => (shown.length > 0 ? sendNow() : undefined));
  });
  setInterval(() => {
    if (navigator.onLine && shown.some(({ refused }) => refused === undefined)) void sendNow();
  }, AGAIN_MS);
}

function subscribe(tell: () => void): () => void {
  watch();
  tellers.add(tell);
  return () => tellers.delete(tell);
}

/** What was entered here and is not with the workshop yet. */
export const useWaiting = (): readonly Waiting[] =>
  useSyncExternalStore(
    subscribe,
    () => shown,
    () => NONE,
  );
