/** Answers to what was asked lately, by a text of the question; the oldest goes first. */
export function keepLast<T>(most: number): (key: string, work: () => T) => T {
  const kept = new Map<string, T>();
  return (key, work) => {
    const known = kept.get(key);
    if (known !== undefined) return known;
    const found = work();
    if (kept.size >= most) kept.delete(kept.keys().next().value!);
    kept.set(key, found);
    return found;
  };
}
