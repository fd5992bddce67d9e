import type { LiveEvent } from '@/core/car/records/live';
import { hear } from '@/db/live';

export interface Listener {
  readonly workshopId: string;
  tell(event: LiveEvent | 'look'): void;
}

interface Hub {
  listeners: Set<Listener>;
  stop: AbortController | undefined;
  isListening: boolean;
}

const held = globalThis as { leanBadgerHub?: Hub };
const hub = () => (held.leanBadgerHub ??= { listeners: new Set(), stop: undefined, isListening: false });

/**
 * Tells a page of this server what happens in its workshop, until the result is called. It is told to look for itself
 * when the server begins to listen to the database, which it does while there is any page.
 */
export function join(listener: Listener): () => void {
  const { listeners } = hub();
  listeners.add(listener);
  if (hub().isListening) listener.tell('look');
  if (!hub().stop) {
    const stop = (hub().stop = new AbortController());
    void hear(
      (event) => {
        for (const one of listeners) if (one.workshopId === event.workshopId) one.tell(event);
      },
      () => {
        if (stop.signal.aborted) return;
        hub().isListening = true;
        for (const one of listeners) one.tell('look');
      },
      stop.signal,
    );
  }
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    hub().stop?.abort();
    hub().stop = undefined;
    hub().isListening = false;
  };
}
