/** So many ends within so long, and it is not started again. */
const [MOST_ENDS, WITHIN_MS] = [5, 60_000];

/**
 * Starts a server and, where it ends by itself, starts it again; one that keeps ending is given up.
 *
 * @param start gives what is running: `ended` resolves when it does
 * @param stopping whether its end is wanted
 * @returns when it is stopped, or given up
 */
export async function keepRunning(start, { stopping, say, now = Date.now }) {
  const ends = [];
  for (;;) {
    await start().ended;
    if (stopping()) return 'stopped';
    ends.push(now());
    if (ends.filter((at) => now() - at < WITHIN_MS).length >= MOST_ENDS) return 'given up';
    say('The server stopped by itself and is started again.');
  }
}
