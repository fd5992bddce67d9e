import { CalcError, type Refused } from '@/core/base/errors';
import { TASKS, type TaskName, type Tasks } from './tasks';

/** What a thread answers: an error's fields do not survive the way out of it. */
export type ThreadAnswer<T> = { readonly done: T } | { readonly refused: Refused };

export type Done<N extends TaskName> = Awaited<ReturnType<Tasks[N]>>;

/** One task; what it refuses is told, what goes wrong is thrown. */
export default async function run<N extends TaskName>({
  task,
  given,
}: {
  task: N;
  given: Parameters<Tasks[N]>[0];
}): Promise<ThreadAnswer<Done<N>>> {
  try {
    return { done: await (TASKS[task] as (one: typeof given) => Done<N> | Promise<Done<N>>)(given) };
  } catch (error) {
    if (error instanceof CalcError) return { refused: error.refused };
    throw error;
  }
}
