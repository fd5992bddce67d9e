import { spawnSync } from 'node:child_process';
import { createServer } from 'node:net';

/** Starts the demo with one thing wrong and gives what it says. */
function demo(env: Record<string, string>) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/demo.mjs'], { encoding: 'utf8', env: { ...process.env, ...env }, timeout: 60_000 });
  return { status, said: `${stdout}${stderr}`.trim() };
}

describe('the demo, where something is wrong, says one sentence and no stack', () => {
  it('a busy port', async () => {
    const server = createServer();
    const port = await new Promise<number>((resolve) => server.listen(0, '127.0.0.1', () => resolve((server.address() as { port: number }).port)));
    const { status, said } = demo({ PORT: String(port) });
    server.close();
    expect(status).toBe(1);
    expect(said).toBe(`Port ${port} for the application is in use. Stop what listens there, or choose another: PORT=${port + 1} npm run demo`);
  });

  it('a port that is none', () => expect(demo({ PORT: 'http' })).toEqual({ status: 1, said: 'PORT must be a whole number from 1 to 65535.' }));
});
