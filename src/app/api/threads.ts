import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { CalcError } from '@/core/base/errors';
import { DoorError } from '@/db/errors';
import type { TaskName, Tasks } from '@/workers/server/tasks';
import type { Done, ThreadAnswer } from '@/workers/server/thread';

/** Made when the application is built. */
const THREAD = resolve('.data', 'threads', 'thread.mjs');
const [LONGEST_MS, MOST_WAITING, MEMORY_MB] = [10_000, 24, 512];

const held = globalThis as { leanBadgerThreads?: Piscina };

/** One thread is left to the server itself; they are started when they are needed. */
const threads = () =>
  (held.leanBadgerThreads ??= new Piscina({
    filename: THREAD,
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: MOST_WAITING,
    idleTimeout: 30_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  }));

/**
 * Does a task in a thread of its own, so that other requests go on.
 *
 * @throws CalcError as the task refuses; DoorError `tooLong` where it takes longer than a request may, `busy` where too many wait
 */
export async function inThread<N extends TaskName>(
  task: N,
  given: Parameters<Tasks[N]>[0],
  longestMs = LONGEST_MS,
): Promise<Done<N>> {
  const answer = (await threads()
    .run({ task, given }, { signal: AbortSignal.timeout(longestMs) })
    .catch((error: Error & { code?: string }) => {
      throw refusalOf(error, longestMs);
    })) as ThreadAnswer<Done<N>>;
  if ('refused' in answer) throw new CalcError(answer.refused);
  return answer.done;
}

function refusalOf(error: Error & { code?: string }, longestMs: number): Error {
  if (error.name === 'AbortError' || error.name === 'TimeoutError')
    return new DoorError('tooLong', `It takes longer than the ${longestMs / 1000} s of one request.`, {
      remedy: 'ask for less, or run it on the page or with npm run calc',
    });
  if (error.code === 'ERR_WORKER_OUT_OF_MEMORY')
    return new DoorError('tooLarge', `It takes more than the ${MEMORY_MB} MB of one request.`, {
      remedy: 'ask for less, or run it on the page or with npm run calc',
    });
  if (/queue/i.test(error.message) && /limit/i.test(error.message))
    return new DoorError('busy', 'Too much is being worked out at the moment.', {
      remedy: 'try again in a minute',
    });
  return error;
}

/** Ends the threads, for tests. */
export async function endThreads(): Promise<void> {
  await held.leanBadgerThreads?.destroy();
  delete held.leanBadgerThreads;
}
