import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { check } from './check.mjs';
import { buildThreads } from './lib/build.mjs';
import { letGo, takeHold } from './lib/hold.mjs';
import { ensureModules, ensurePackages } from './lib/machine.mjs';
import { freePort } from './lib/ports.mjs';
import { Cluster, clusterFolder } from './lib/postgres.mjs';
import { ask, run } from './lib/run.mjs';
import { runMain, Sentence } from './lib/say.mjs';
import { buildBeside, prepareDatabase, serveBeside, tsx } from './lib/serve.mjs';

const counted = { passed: 0, failed: 0 };

const took = [];

/** Does the work and keeps how long it took. */
async function timed(name, work) {
  const start = Date.now();
  try {
    return await work();
  } finally {
    took.push(`${name} ${Math.round((Date.now() - start) / 1000)} s`);
  }
}

function countJest(file) {
  if (!existsSync(file)) return;
  const { numPassedTests, numFailedTests } = JSON.parse(readFileSync(file, 'utf8'));
  counted.passed += numPassedTests;
  counted.failed += numFailedTests;
}

function countBrowser(file) {
  if (!existsSync(file)) return;
  const { stats } = JSON.parse(readFileSync(file, 'utf8'));
  counted.passed += stats.expected + stats.flaky;
  counted.failed += stats.unexpected;
}

/** The real installation as it is first started, on a database of its own, with the code of its first owner. */
async function serveWithAccounts(cluster) {
  cluster.createDatabase('accounts');
  const url = cluster.url('accounts');
  await prepareDatabase(url, { seed: false });
  const env = { ACCOUNTS: 'on', BETTER_AUTH_SECRET: randomBytes(32).toString('hex') };
  const { address, distDir, stop } = await serveBeside(url, env);
  // two servers on one database, as behind a proxy
  const other = await serveBeside(url, env);
  const { text } = ask(process.execPath, [...tsx, 'src/app/accounts/firstOwnerMain.ts'], {
    env: { ...process.env, ...env, DATABASE_URL: url },
  });
  return {
    stop: async () => {
      await stop();
      await other.stop();
    },
    env: {
      ACCOUNTS_URL: address,
      ACCOUNTS_OTHER_URL: other.address,
      ACCOUNTS_CODE: /(?:[A-Z0-9]{4}-){3}[A-Z0-9]{4}/.exec(text)?.[0] ?? '',
      ACCOUNTS_BUILD: distDir,
    },
  };
}

async function testWithServers(args) {
  const cluster = new Cluster(clusterFolder('test'), await freePort(), { throwaway: true });
  let server;
  let guarded;
  const stop = async () => {
    await server?.stop();
    await guarded?.stop();
    cluster.stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(
      signal,
      () =>
        void stop()
          .then(letGo)
          .then(() => process.exit(130)),
    );
  try {
    cluster.start();
    const url = cluster.url();
    await buildThreads();
    const api = () =>
      run(
        'node_modules/.bin/jest',
        ['--selectProjects', 'api', '--runInBand', '--json', '--outputFile=.data/api.json'],
        { env: { ...process.env, TEST_DATABASE_URL: url } },
      );
    // one process tests, the other core builds
    const both = await timed('API tests, application built beside', () =>
      Promise.allSettled([api(), buildBeside()]),
    );
    const failed = both.find(({ status }) => status === 'rejected');
    if (failed) throw failed.reason;
    await prepareDatabase(url);
    server = await serveBeside(url);
    guarded = await serveWithAccounts(cluster);
    await timed('browser tests', () =>
      run('node_modules/.bin/playwright', ['test', ...args], {
        env: {
          ...process.env,
          BASE_URL: server.address,
          ...guarded.env,
          FORCE_COLOR: '0',
          PLAYWRIGHT_JSON_OUTPUT_NAME: '.data/browser.json',
        },
      }),
    );
  } finally {
    await stop();
  }
}

runMain(async () => {
  const args = process.argv.slice(2);
  await timed('packages', async () => {
    await ensurePackages({ browser: true, compiler: true });
    await ensureModules();
  });
  mkdirSync('.data', { recursive: true });
  const other = await takeHold('.data/testing');
  if (other)
    throw new Sentence(
      `The tests are already running from this folder (process ${other}). Wait for them, or stop them first.`,
    );
  for (const file of ['unit', 'whole', 'api', 'browser']) rmSync(`.data/${file}.json`, { force: true });
  let failure;
  try {
    if (args.length === 0) {
      await timed('quick gate', check);
      await timed('whole tests', () =>
        run('node_modules/.bin/jest', [
          '--selectProjects',
          'whole',
          '--maxWorkers',
          '100%',
          '--silent',
          '--json',
          '--outputFile=.data/whole.json',
        ]),
      );
    }
    await testWithServers(args);
  } catch (error) {
    failure = error;
  }
  countJest('.data/unit.json');
  countJest('.data/whole.json');
  countJest('.data/api.json');
  countBrowser('.data/browser.json');
  letGo();
  if (failure) console.error(failure.message);
  console.log(took.join(', '));
  console.log(`${counted.passed} passed, ${counted.failed} failed`);
  return failure || counted.failed > 0 ? 1 : 0;
});
