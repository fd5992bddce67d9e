/** Letter of the n-th revision, from 0: A to Z, then AA, AB. */
export function letterAt(index: number): string {
  const rest = Math.floor(index / 26);
  return (rest > 0 ? letterAt(rest - 1) : '') + String.fromCharCode(65 + (index % 26));
}

/** The next letter that none of the taken ones has. */
export function nextLetter(taken: readonly string[]): string {
  for (let index = taken.length; ; index++) {
    const letter = letterAt(index);
    if (!taken.includes(letter)) return letter;
  }
}
