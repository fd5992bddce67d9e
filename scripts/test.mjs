import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { check } from './check.mjs';
import { buildThreads } from './lib/build.mjs';
import { letGo, takeHold } from './lib/hold.mjs';
import { ensureModules, ensurePackages } from './lib/machine.mjs';
import { freePort } from './lib/ports.mjs';
import { Cluster, clusterFolder } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { runMain, Sentence } from './lib/say.mjs';
import { buildBeside, prepareDatabase, serveBeside } from './lib/serve.mjs';

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

async function testWithServers(args) {
  const cluster = new Cluster(clusterFolder('test'), await freePort(), { throwaway: true });
  let server;
  const stop = async () => {
    await server?.stop();
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
    await timed('browser tests', () =>
      run('node_modules/.bin/playwright', ['test', ...args], {
        env: {
          ...process.env,
          BASE_URL: server.address,
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
