import { keepRunning } from '../../scripts/lib/keepRunning.mjs';

/** A server that ends when the clock says so. */
function ending(at: readonly number[], stopAfter = Infinity) {
  let [clock, starts] = [0, 0];
  const said: string[] = [];
  const start = () => {
    clock = at[Math.min(starts++, at.length - 1)]!;
    return { ended: Promise.resolve(1) };
  };
  return {
    run: () =>
      keepRunning(start, {
        stopping: () => starts >= stopAfter,
        say: (words: string) => said.push(words),
        now: () => clock,
      }),
    said,
    starts: () => starts,
  };
}

describe('a server that ends by itself', () => {
  it('is started again, and stays ended where that is wanted', async () => {
    const server = ending([1000, 100_000, 300_000], 3);
    expect(await server.run()).toBe('stopped');
    expect(server.said).toHaveLength(2);
  });

  it('is given up at its fifth end within a minute', async () => {
    const server = ending([1000, 2000, 3000, 4000, 5000, 6000]);
    expect(await server.run()).toBe('given up');
    expect(server.starts()).toBe(5);
  });
});
