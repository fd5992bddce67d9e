import { existsSync, readFileSync } from 'node:fs';
import { Agent, get } from 'node:http';
import { setTimeout as wait } from 'node:timers/promises';
import { keptStates } from '@/core/verdict/keptStates';
import { statesOn } from '@/core/verdict/states';
import { closeDatabase, database } from '@/db/client';
import { defaultWorkshop } from '@/db/queries/workshops';
import { unpackBuild } from '@/features/session/packedBuild';
import { packedBuild, readBuild } from '@/app/packedBuild';
import { ensureModules, ensurePackages } from '../scripts/lib/machine.mjs';
import { freePort } from '../scripts/lib/ports.mjs';
import { Cluster, clusterFolder } from '../scripts/lib/postgres.mjs';
import { runMain } from '../scripts/lib/say.mjs';
import { prepareDatabase, serveBeside } from '../scripts/lib/serve.mjs';

const [USERS, SECONDS, PAUSE_S] = [50, Number(process.env.LOAD_S ?? 60), Number(process.env.PAUSE_S ?? 5)];
/** A page of the same server with no build on it. */
const BARE = ['/there-is-no-such-page'];
const BUILD = ['brief', 'drive', 'power', 'chassis', 'suspension', 'parts', 'print', 'field', 'learn'].map(
  (segment) => `/builds/marsh-hare/D/${segment}`,
);
const [ALONE, ROUNDS] = [40, 6];
/** Sooner than the server closes a connection that idles. */
const IDLE_MS = 3000;

/** Time from asking for a page until its last byte is here, ms. */
function open(base: string, path: string, agent: Agent): Promise<number> {
  const start = performance.now();
  return new Promise((done, failed) => {
    get(base + path, { agent, headers: { accept: 'text/html' } }, (answer) => {
      answer
        .on('data', () => undefined)
        .on('end', () =>
          answer.statusCode! >= 500
            ? failed(new Error(`${path} answered ${answer.statusCode}`))
            : done(performance.now() - start),
        );
    }).on('error', failed);
  });
}

/** Users who open a page, look at it, and open the next, for so many seconds. */
async function load(base: string, paths: readonly string[], seconds: number): Promise<number[]> {
  const agent = new Agent({ keepAlive: true, timeout: IDLE_MS });
  const end = performance.now() + 1000 * seconds;
  const times: number[] = [];
  await Promise.all(
    Array.from({ length: USERS }, async () => {
      await wait(Math.random() * 1000 * PAUSE_S);
      while (performance.now() < end) {
        times.push(await open(base, paths[Math.floor(Math.random() * paths.length)]!, agent));
        await wait(Math.random() * 2000 * PAUSE_S);
      }
    }),
  );
  agent.destroy();
  return times;
}

/** Both kinds of page by turns, so that what else the machine does meets both alike. */
async function byTurns(base: string): Promise<{ bare: number[]; build: number[] }> {
  await load(base, BUILD, SECONDS / ROUNDS);
  const [bare, build]: [number[], number[]] = [[], []];
  for (let round = 0; round < ROUNDS; round++) {
    bare.push(...(await load(base, BARE, SECONDS / ROUNDS)));
    build.push(...(await load(base, BUILD, SECONDS / ROUNDS)));
  }
  return { bare: bare.sort((a, b) => a - b), build: build.sort((a, b) => a - b) };
}

/** Share of the processors' time that was given to others, as virtual machines have it. */
function takenAway(): () => number {
  const read = () =>
    existsSync('/proc/stat')
      ? readFileSync('/proc/stat', 'utf8').split('\n')[0]!.trim().split(/\s+/).slice(1, 9).map(Number)
      : [];
  const before = read();
  return () => {
    const spent = read().map((ticks, index) => ticks - before[index]!);
    return (
      (spent[7] ?? 0) /
      Math.max(
        1,
        spent.reduce((sum, ticks) => sum + ticks, 0),
      )
    );
  };
}

const at = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;

async function alone(base: string, paths: readonly string[]): Promise<number> {
  const agent = new Agent({ keepAlive: true, timeout: IDLE_MS });
  const times: number[] = [];
  for (let round = 0; round < 2 * ALONE; round++)
    times.push(await open(base, paths[round % paths.length]!, agent));
  agent.destroy();
  return at(
    times.slice(ALONE).sort((a, b) => a - b),
    0.5,
  );
}

const said = (name: string, times: readonly number[]) =>
  console.log(
    `${name.padEnd(14)} ${(times.length / SECONDS).toFixed(1)} pages/s   median ${at(times, 0.5).toFixed(0)} ms   p95 ${at(times, 0.95).toFixed(0)} ms   p99 ${at(times, 0.99).toFixed(0)} ms   longest ${times.at(-1)!.toFixed(0)} ms`,
  );

async function median(work: () => unknown): Promise<number> {
  const times: number[] = [];
  for (let round = 0; round < 2 * ALONE; round++) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  return at(
    times.slice(ALONE).sort((a, b) => a - b),
    0.5,
  );
}

/** Where the time of a build page goes: what its server part does, each by itself; the rest is drawing and sending. */
async function whereItGoes(page: number, bare: number): Promise<void> {
  const db = database();
  const workshopId = await defaultWorkshop(db);
  const { packed } = await packedBuild(db, workshopId, 'marsh-hare');
  const { document } = unpackBuild(packed).whole.revisions.at(-1)!;
  const [surface] = document.brief.surfaces;
  const parts = {
    'what a page without a build takes': bare,
    'asking whether anything of it was written': await median(() =>
      packedBuild(db, workshopId, 'marsh-hare'),
    ),
    'states of its checks, which are known': await median(() => keptStates(document, surface, {})),
  };
  const sum = Object.values(parts).reduce((all, one) => all + one, 0);
  console.log(`\nOf the ${page.toFixed(1)} ms of a build page alone:`);
  for (const [name, ms] of Object.entries({ ...parts, 'drawing and sending it': Math.max(0, page - sum) }))
    console.log(`  ${ms.toFixed(1).padStart(6)} ms  ${name}`);
  console.log(
    `  (after a change: reading and packing the build ${(await median(() => readBuild(db, workshopId, 'marsh-hare'))).toFixed(1)} ms, states of its checks ${(await median(() => statesOn(document, surface, {}))).toFixed(1)} ms)`,
  );
}

/** A minute of a car, five hundred times over: longer than one request may take. */
const ENDLESS = {
  massKg: 2,
  yawInertiaKgM2: 0.02,
  cgToFrontMm: 130,
  cgToRearMm: 140,
  corneringFrontNPerRad: 60,
  corneringRearNPerRad: 70,
  mu: 0.8,
  speedMps: 8,
  durationS: 60,
  gains: Array.from({ length: 500 }, (_, index) => index / 1000),
  servo: { lagS: 0.03, rateDegPerS: 300, maxDeg: 25 },
  gyro: { gain: 0.05, maxCorrectionDeg: 12, sampleS: 0.0005 },
  scenario: { kind: 'kick', yawRateDegPerS: 90 },
};
const ASKS = 100;

/** Small requests, alone and while one request asks for endless work. */
async function besideWildWork(base: string): Promise<void> {
  const agent = new Agent({ keepAlive: true, timeout: IDLE_MS });
  const asks = async () => {
    const times: number[] = [];
    for (let round = 0; round < ASKS; round++) {
      times.push(await open(base, '/api/settings', agent));
      await wait(30);
    }
    return times.sort((a, b) => a - b);
  };
  const quiet = await asks();
  const wild = fetch(`${base}/api/operations/yaw.assist`, {
    method: 'POST',
    body: JSON.stringify(ENDLESS),
    headers: { 'content-type': 'application/json' },
  });
  const beside = await asks();
  console.log(
    `\na small request: p95 ${at(quiet, 0.95).toFixed(0)} ms alone, ${at(beside, 0.95).toFixed(0)} ms while one asks for endless work (aim: under 100), which is answered ${(await wild).status}`,
  );
  agent.destroy();
}

runMain(async () => {
  await ensurePackages();
  await ensureModules();
  const cluster = new Cluster(clusterFolder('load'), await freePort(), { throwaway: true });
  let server: Awaited<ReturnType<typeof serveBeside>> | undefined;
  const stop = async () => {
    await closeDatabase();
    await server?.stop();
    cluster.stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => void stop().then(() => process.exit(130)));
  try {
    cluster.start();
    process.env.DATABASE_URL = cluster.url();
    await prepareDatabase(cluster.url());
    server = await serveBeside(cluster.url());
    const [bareAlone, buildAlone] = [await alone(server.address, BARE), await alone(server.address, BUILD)];
    console.log(`${USERS} users, ${SECONDS} s of each kind by turns, a page about every ${PAUSE_S} s:`);
    const taken = takenAway();
    const { bare, build } = await byTurns(server.address);
    said('a bare page', bare);
    said('a build page', build);
    console.log(
      `p95 of a build page is ${(at(build, 0.95) / at(bare, 0.95)).toFixed(1)} times that of the bare page (aim: at most 3); ${(100 * taken()).toFixed(0)} % of the processors’ time went to others meanwhile`,
    );
    await whereItGoes(buildAlone, bareAlone);
    await besideWildWork(server.address);
  } finally {
    await stop();
  }
  return 0;
});
