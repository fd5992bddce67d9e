import { spawn } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, realpathSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';
import { freePort } from '../../scripts/lib/ports.mjs';
import { Cluster } from '../../scripts/lib/postgres.mjs';
import { isAlive, processAt, processesIn } from '../../scripts/lib/processes.mjs';

const folder = join(mkdtempSync(join(tmpdir(), 'cluster-')), 'own');
let cluster: Cluster;
const stranger = spawn('sleep', ['600'], { stdio: 'ignore' });

beforeAll(async () => {
  // the server may run as another user
  chmodSync(join(folder, '..'), 0o755);
  cluster = new Cluster(folder, await freePort());
});
afterAll(() => {
  cluster.stop();
  stranger.kill('SIGKILL');
  rmSync(join(folder, '..'), { recursive: true, force: true });
});

const pidFile = () => join(folder, 'data', 'postmaster.pid');
const postmaster = () => Number.parseInt(readFileSync(pidFile(), 'utf8'), 10);
async function answer() {
  const client = new Client({ connectionString: cluster.url() });
  await client.connect();
  return client
    .query('select 1 as one')
    .then(({ rows }) => (rows as { one: number }[])[0]!.one)
    .finally(() => client.end());
}

it('starts beside a stranger that has the number it once had, and again after it was killed', async () => {
  cluster.start();
  expect(await answer()).toBe(1);
  cluster.stop();
  expect(cluster.isRunning()).toBe(false);

  writeFileSync(
    pidFile(),
    `${stranger.pid}\n${join(folder, 'data')}\n1\n${cluster.port}\n\n127.0.0.1\n 0 0\nready\n`,
  );
  expect(cluster.isRunning()).toBe(false);
  const before = processAt(stranger.pid!);
  cluster.stop();
  cluster.start();
  expect([await answer(), isAlive(before)]).toEqual([1, true]);

  process.kill(postmaster(), 'SIGKILL');
  for (let waited = 0; processesIn(realpathSync(join(folder, 'data'))).length > 0 && waited < 100; waited++)
    await new Promise((resolve) => setTimeout(resolve, 50));
  expect(cluster.isRunning()).toBe(false);
  cluster.start();
  expect(await answer()).toBe(1);
}, 60_000);
