import { useSyncExternalStore } from 'react';
import type { Segment } from '@/core/verdict/engine/segments';
import type { Term } from '@/words/help/terms';

/** What of the help stands beside the page. */
export type HelpTopic = { page: Segment | 'start' | 'terms' | 'keys'; term?: Term };

let shown: HelpTopic | undefined;
const tellers = new Set<() => void>();

/** Shows a topic of the help beside the page, or closes it. */
export function showHelp(topic: HelpTopic | undefined): void {
  shown = topic;
  for (const tell of tellers) tell();
}

/** Opens the help of a page, or closes what is open. */
export const toggleHelp = (page: HelpTopic['page']): void => showHelp(shown ? undefined : { page });

const subscribe = (tell: () => void) => {
  tellers.add(tell);
  return () => tellers.delete(tell);
};

export const useShownHelp = (): HelpTopic | undefined =>
  useSyncExternalStore(
    subscribe,
    () => shown,
    () => undefined,
  );
