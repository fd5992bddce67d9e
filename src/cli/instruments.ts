import { createServer } from 'node:http';
import { WebSocketServer } from 'ws';
import { DEMO_CAR, simulatedLines } from '@/core/physics/instruments/simulated';
import { INSTRUMENTS_PORT } from '@/core/physics/instruments/line';

const USAGE =
  'npm run instruments -- [--seed NUMBER] [--port NUMBER] [--distance METRES] [--fast TIMES]: made-up instruments on loopback';

/** A number behind its name, or the usual one. */
function given(name: string, usual: number, least: number): number {
  const at = process.argv.indexOf(`--${name}`);
  if (at < 0) return usual;
  const value = Number(process.argv[at + 1]);
  if (Number.isFinite(value) && value >= least) return value;
  console.error(`--${name} must be a number of ${least} or more. ${USAGE}`);
  process.exit(1);
}

/** Only pages of this machine may listen: a page from elsewhere that a browser shows is refused. */
const isOwnPage = (origin: string | undefined): boolean =>
  origin !== undefined && /^https?:\/\/(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/.test(origin);

if (process.argv.includes('--help')) {
  console.log(USAGE);
  process.exit(0);
}
const seed = given('seed', 7, 0);
const port = given('port', INSTRUMENTS_PORT, 1);
const distanceM = given('distance', 20, 0.1);
const fast = given('fast', 1, 0.01);

const car = { ...DEMO_CAR, distanceM };

const server = createServer((_, answer) => {
  answer.writeHead(426, { 'content-type': 'text/plain' }).end('A WebSocket of made-up instruments.\n');
});
const sockets = new WebSocketServer({
  server,
  verifyClient: ({ origin }: { origin: string }) => isOwnPage(origin),
});
sockets.on('connection', (socket) => {
  const lines = simulatedLines(seed, car);
  let timer: NodeJS.Timeout;
  const next = () => {
    const { afterMs, line } = lines.next().value;
    timer = setTimeout(() => {
      socket.send(`${line}\n`);
      next();
    }, afterMs / fast);
  };
  next();
  socket.on('close', () => clearTimeout(timer));
  socket.on('error', () => clearTimeout(timer));
});
server.on('error', (error: NodeJS.ErrnoException) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is in use. Stop what listens there, or choose another: npm run instruments -- --port ${port + 1}`
      : error.message,
  );
  process.exit(1);
});
server.listen(port, '127.0.0.1', () =>
  console.log(`Made-up instruments of seed ${seed} at ws://127.0.0.1:${port} (Ctrl-C stops them).`),
);
