import { spawnSync } from 'node:child_process';
import { createServer } from 'node:net';

/** Starts the demo with one thing wrong and gives what it says. */
function demo(env: Record<string, string>) {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/demo.mjs'], {
    encoding: 'utf8',
    env: { ...process.env, ...env },
    timeout: 60_000,
  });
  return { status, said: `${stdout}${stderr}`.trim() };
}

describe('the demo, where something is wrong, says one sentence and no stack', () => {
  it('a busy port', async () => {
    const server = createServer();
    const port = await new Promise<number>((resolve) =>
      server.listen(0, '127.0.0.1', () => resolve((server.address() as { port: number }).port)),
    );
    const { status, said } = demo({ PORT: String(port) });
    server.close();
    expect(status).toBe(1);
    expect(said).toBe(
      `Port ${port} for the application is in use. Stop what listens there, or choose another: PORT=${port + 1} npm run demo`,
    );
  });

  it('a host that others reach, with no address to open it by', () =>
    expect(demo({ HOST: '0.0.0.0', ORIGIN: '' })).toEqual({
      status: 1,
      said: 'HOST=0.0.0.0 can be reached by others. Say by which addresses it may be opened: ORIGIN=http://NAME:3117 HOST=0.0.0.0 npm run demo (a list goes by commas).',
    }));

  it('an address that is none', () =>
    expect(demo({ ORIGIN: 'cars.example' })).toEqual({
      status: 1,
      said: 'ORIGIN names cars.example, which is no address such as https://cars.example or http://192.168.1.5:3117.',
    }));

  it('a port that is none', () =>
    expect(demo({ PORT: 'http' })).toEqual({
      status: 1,
      said: 'PORT must be a whole number from 1 to 65535.',
    }));
});
