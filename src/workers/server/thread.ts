import { CalcError, type Problem } from '@/core/errors';
import { TASKS, type TaskName, type Tasks } from './tasks';

/** What a thread answers: an error's fields do not survive the way out of it. */
export type ThreadAnswer<T> = { readonly done: T } | { readonly refused: Problem };

/** One task; what it refuses is told, what goes wrong is thrown. */
export default function run<N extends TaskName>({ task, given }: { task: N; given: Parameters<Tasks[N]>[0] }): ThreadAnswer<ReturnType<Tasks[N]>> {
  try {
    return { done: (TASKS[task] as (one: typeof given) => ReturnType<Tasks[N]>)(given) };
  } catch (error) {
    if (error instanceof CalcError) return { refused: error.problem };
    throw error;
  }
}
