const key = (revisionId: string) => `assembly-${revisionId}`;
const listeners = new Set<() => void>();

/** Which steps of an assembly were ticked on this machine, parted by blanks. */
export const keptTicks = (revisionId: string): string => window.localStorage.getItem(key(revisionId)) ?? '';

export function keepTicks(revisionId: string, ticks: string): void {
  window.localStorage.setItem(key(revisionId), ticks);
  for (const tell of listeners) tell();
}

export function onTicks(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}
