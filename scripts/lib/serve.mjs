import { mkdirSync } from 'node:fs';
import { clearInterval, setInterval } from 'node:timers';
import { setTimeout as wait } from 'node:timers/promises';
import { buildThreads, ensureBuild, isFresh, NEXT } from './build.mjs';
import { backUpNightly } from './backup.mjs';
import { holderOf, letGo, takeHold } from './hold.mjs';
import { DEMO, sessionSecret, START } from './installation.mjs';
import { keepRunning } from './keepRunning.mjs';
import { ensureModules, ensurePackages } from './machine.mjs';
import { freePort, requirePort } from './ports.mjs';
import { Cluster, clusterFolder, requireOwnFolder } from './postgres.mjs';
import { run, startGroup } from './run.mjs';
import { SAID, Sentence } from './say.mjs';

/** What the server may take before it is started anew, MB. */
const MEMORY_MB = 1536;
const LOOPBACK = new Set(['127.0.0.1', '::1', '[::1]', 'localhost']);

const originsIn = (list = '') =>
  list
    .split(',')
    .map((each) => each.trim())
    .filter(Boolean);

function requireOrigins(list) {
  for (const one of originsIn(list)) {
    if (!URL.canParse(one) || !/^https?:$/.test(new URL(one).protocol))
      throw new Sentence(
        `ORIGIN names ${one}, which is no address such as https://cars.example or http://192.168.1.5:3117.`,
      );
  }
}

const isServing = () => [DEMO, START].some(({ lock }) => holderOf(lock));

export const tsx = ['--import', 'tsx'];

/** Brings the database up to date and, unless it has data, fills in the demo workshop. */
export async function prepareDatabase(url, { seed = true } = {}) {
  const env = { ...process.env, DATABASE_URL: url };
  await run(process.execPath, [...tsx, 'src/db/migrateMain.ts'], { env, sentence: SAID });
  if (seed) await run(process.execPath, [...tsx, 'src/db/seed/main.ts'], { env, sentence: SAID });
}

export async function waitFor(url, ended) {
  for (let i = 0; i < 240; i++) {
    const answer = await Promise.race([
      fetch(url).then(
        (response) => response.status,
        () => undefined,
      ),
      ended.then(() => 'ended'),
    ]);
    if (answer === 'ended') throw new Sentence('The server stopped while starting: see its message above.');
    if (answer !== undefined && answer < 500) return;
    await wait(250);
  }
  throw new Sentence(`The server did not answer at ${url} within a minute.`);
}

/** The built application, in a folder of its own where a running server holds an older one. */
export async function buildBeside() {
  const folder = isServing() && !isFresh('.next') ? '.next-test' : '.next';
  return ensureBuild(folder);
}

/** The built application on a free port over a database that is ready, beside whatever else runs from this folder. */
export async function serveBeside(url, more = {}) {
  const env = await buildBeside();
  const port = await freePort();
  const server = startGroup(process.execPath, [NEXT, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    env: { ...env, DATABASE_URL: url, NODE_ENV: 'production', ...more },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const address = `http://127.0.0.1:${port}`;
  await waitFor(`${address}/api/health`, server.ended);
  return { address, distDir: env.NEXT_DIST_DIR, stop: () => server.stop() };
}

/** Who may reach it: the demo nobody but this machine, since everybody who does is in its workshop. */
function requireReach(kind, host, port) {
  if (LOOPBACK.has(host)) {
    const beyond = originsIn(process.env.ORIGIN).find((one) => !LOOPBACK.has(new URL(one).hostname));
    if (beyond && !kind.accounts)
      throw new Sentence(
        `The demo has no accounts and stays on this machine: it is not opened by ${beyond}. npm run start is for others.`,
      );
    return;
  }
  if (!kind.accounts)
    throw new Sentence(
      `The demo has no accounts and stays on this machine: HOST=${host} can be reached by others. npm run start is for them.`,
    );
  if (!process.env.ORIGIN)
    throw new Sentence(
      `HOST=${host} can be reached by others. Say by which addresses it may be opened: ORIGIN=http://NAME:${port} HOST=${host} ${kind.command} (a list goes by commas).`,
    );
}

/** Sets everything up and serves until it is told to stop. */
export async function serve({ kind, dev, fresh }) {
  const port = Number(process.env.PORT ?? 3117);
  const host = process.env.HOST ?? '127.0.0.1';
  const address = `http://${host === '127.0.0.1' ? 'localhost' : host}:${port}`;
  requireOrigins(process.env.ORIGIN);
  requireReach(kind, host, port);
  requireOwnFolder('.data');
  mkdirSync('.data', { recursive: true });
  const other = await takeHold(kind.lock);
  if (other)
    throw new Sentence(`It is already running from this folder (process ${other}). Stop that one first.`);
  const own = process.env.DATABASE_URL === undefined;
  const pgPort = Number(process.env.PGPORT ?? kind.pgPort);
  let cluster;
  let server;
  let stopping;
  const stop = () =>
    (stopping ??= (async () => {
      await server?.stop();
      cluster?.stop();
      letGo();
    })());
  const leave = () => void stop().then(() => process.exit(0));
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, leave);

  try {
    await requirePort(port, host, 'the application', 'PORT');
    if (own) await ensurePackages();
    await ensureModules();
    if (own) {
      cluster = new Cluster(clusterFolder(kind.cluster), pgPort);
      if (fresh) {
        cluster.stop();
        cluster.setAside();
      } else cluster.stop();
      await requirePort(pgPort, '127.0.0.1', 'the database', 'PGPORT');
      cluster.start();
    }
    const url = own ? cluster.url() : process.env.DATABASE_URL;
    await prepareDatabase(url, kind);
    if (dev) await buildThreads();
    const env = {
      ...(dev ? { ...process.env, NEXT_TELEMETRY_DISABLED: '1' } : await ensureBuild()),
      ...(kind.accounts ? { ACCOUNTS: 'on', BETTER_AUTH_SECRET: sessionSecret() } : { ACCOUNTS: 'off' }),
      DATABASE_URL: url,
      PORT: String(port),
    };
    const started = () =>
      (server = startGroup(
        process.execPath,
        [`--max-old-space-size=${MEMORY_MB}`, NEXT, dev ? 'dev' : 'start', '-H', host, '-p', String(port)],
        {
          env: { ...env, ...(dev ? {} : { NODE_ENV: 'production' }) },
          stdio: ['ignore', dev ? 'inherit' : 'ignore', 'inherit'],
        },
      ));
    const first = started();
    await waitFor(`${address}/api/health`, first.ended);
    console.log(`Lean Badger is at ${address} (Ctrl-C stops it, the data stay).`);
    if (kind.accounts)
      await run(process.execPath, [...tsx, 'src/app/accounts/firstOwnerMain.ts'], { env, sentence: SAID });
    else
      console.log(
        'This is the demo workshop: whoever opens it on this machine is in it. npm run start has accounts.',
      );
    const nightly = kind.accounts ? backUpNightly(url) : undefined;
    let again = false;
    const watch = cluster && keepAwake(cluster, () => stopping !== undefined);
    const outcome = await keepRunning(() => (again ? started() : ((again = true), first)), {
      stopping: () => stopping !== undefined,
      say: console.error,
    });
    if (outcome === 'given up')
      throw new Sentence(
        'The server stopped by itself again and again: see its messages above. The data are safe.',
      );
    clearInterval(watch);
    clearInterval(nightly);
  } finally {
    await stop();
  }
}

/** Starts the private database again when it has ended by itself. */
function keepAwake(cluster, stopping) {
  return setInterval(() => {
    if (stopping() || cluster.isRunning()) return;
    console.error('The database stopped by itself and is started again.');
    try {
      cluster.start();
    } catch (error) {
      console.error(error.message);
    }
  }, 2000).unref();
}
