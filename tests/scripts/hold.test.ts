import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { holderOf } from '../../scripts/lib/hold.mjs';
import { isAlive, processAt } from '../../scripts/lib/processes.mjs';

const folder = mkdtempSync(join(tmpdir(), 'hold-'));
const file = join(folder, 'running');
const started: ChildProcess[] = [];
afterAll(() => {
  for (const child of started) child.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

/** A script that takes the hold, starts what sleeps, says who holds it, and waits. */
const SCRIPT = `
const { takeHold } = await import('./scripts/lib/hold.mjs');
const { startGroup } = await import('./scripts/lib/run.mjs');
const other = await takeHold(process.argv[1]);
if (!other) startGroup('sleep', ['600'], { stdio: 'ignore' });
console.log(JSON.stringify({ me: process.pid, other }));
setInterval(() => undefined, 1000);
`;

interface Said {
  me: number;
  other?: number;
}

const start = () =>
  new Promise<Said>((resolve, reject) => {
    const child = spawn(process.execPath, ['--input-type=module', '-e', SCRIPT, file], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    started.push(child);
    child.on('error', reject);
    child.stdout.on('data', (text: Buffer) => resolve(JSON.parse(text.toString()) as Said));
  });

const kill = (pid: number) =>
  new Promise<void>((resolve) => {
    const child = started.find((one) => one.pid === pid)!;
    child.on('exit', () => resolve());
    child.kill('SIGKILL');
  });

it('of two that start at once one holds, and the other says which; what a killed one left is ended by the next', async () => {
  const both = await Promise.all([start(), start()]);
  const [holder] = both.filter(({ other }) => other === undefined);
  expect(both.find(({ other }) => other !== undefined)?.other).toBe(holder!.me);
  expect(holderOf(file)).toBe(holder!.me);
  const [left] = (JSON.parse(readFileSync(file, 'utf8')) as { started: { pid: number; started: string }[] })
    .started;
  await kill(holder!.me);
  expect([isAlive(left!), holderOf(file)]).toEqual([true, undefined]);
  const next = await start();
  expect(next.other).toBeUndefined();
  expect(isAlive(left!)).toBe(false);
  await kill(next.me);
}, 20_000);

it('a number that belongs to a stranger by now is neither blamed nor ended', async () => {
  const stranger = spawn('sleep', ['600'], { stdio: 'ignore', detached: true });
  started.push(stranger);
  const { pid, started: since } = processAt(stranger.pid!);
  const before = { pid, started: String(Number(since) - 1) };
  writeFileSync(file, JSON.stringify({ by: before, started: [before] }));
  expect(holderOf(file)).toBeUndefined();
  expect((await start()).other).toBeUndefined();
  expect(isAlive({ pid, started: since })).toBe(true);
});

it('a file that is no hold, or only half of one, does not stand in the way', async () => {
  await kill(holderOf(file)!);
  writeFileSync(file, '{"by":');
  expect((await start()).other).toBeUndefined();
});
