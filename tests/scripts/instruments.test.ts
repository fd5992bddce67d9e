import { type ChildProcess, spawn } from 'node:child_process';
import { WebSocket } from 'ws';
import { hear } from '@/core/physics/instruments/line';

const PORT = 3179;
let devices: ChildProcess;
const socketFrom = (origin: string) => new WebSocket(`ws://127.0.0.1:${PORT}`, { origin });

beforeAll(async () => {
  devices = spawn('node_modules/.bin/tsx', [
    'src/cli/instruments.ts',
    ...['--port', String(PORT), '--fast', '50'],
  ]);
  await new Promise<void>((ready) => devices.stdout!.once('data', () => ready()));
}, 30_000);
afterAll(() => devices.kill());

describe('made-up instruments', () => {
  it('send lines to a page of this machine', async () => {
    const socket = socketFrom('http://localhost:3117');
    const line = await new Promise<string>((found) => socket.once('message', (data) => found(String(data))));
    socket.close();
    expect(hear(line)).toHaveProperty('reading');
  });

  it('refuse a page from elsewhere, whatever its name looks like', async () => {
    for (const origin of ['https://elsewhere.example', 'http://localhost.elsewhere.example', 'null']) {
      const socket = socketFrom(origin);
      const said = await new Promise<string>((told) => {
        socket.once('error', ({ message }) => told(message));
        socket.once('open', () => told('open'));
      });
      expect({ origin, said }).toEqual({ origin, said: 'Unexpected server response: 401' });
    }
  });
});
