import { spawnSync } from 'node:child_process';
import { createServer } from 'node:net';

/** Starts the demo, or the real installation, with one thing wrong and gives what it says. */
function demo(env: Record<string, string>, script = 'demo') {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${script}.mjs`], {
    encoding: 'utf8',
    env: { ...process.env, ...env },
    timeout: 60_000,
  });
  return { status, said: `${stdout}${stderr}`.trim() };
}

describe('the demo and the real installation, where something is wrong, say one sentence and no stack', () => {
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

  it('a host that others reach, which the demo never has', () => {
    expect(demo({ HOST: '0.0.0.0', ORIGIN: 'http://192.168.1.5:3117' })).toEqual({
      status: 1,
      said: 'The demo has no accounts and stays on this machine: HOST=0.0.0.0 can be reached by others. npm run start is for them.',
    });
    expect(demo({ ORIGIN: 'http://localhost:3117, https://cars.example' })).toEqual({
      status: 1,
      said: 'The demo has no accounts and stays on this machine: it is not opened by https://cars.example. npm run start is for others.',
    });
  });

  it('a host that others reach, with no address to open it by', () =>
    expect(demo({ HOST: '0.0.0.0', ORIGIN: '' }, 'start')).toEqual({
      status: 1,
      said: 'HOST=0.0.0.0 can be reached by others. Say by which addresses it may be opened: ORIGIN=http://NAME:3117 HOST=0.0.0.0 npm run start (a list goes by commas).',
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
