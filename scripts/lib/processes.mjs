import { readdirSync, readFileSync, readlinkSync } from 'node:fs';

const orNothing = (read) => {
  try {
    return read();
  } catch {
    return undefined;
  }
};

/** When a process started, in ticks since the machine did; nothing of one that is gone or only waits to be buried. */
export function startOf(pid) {
  const fields = orNothing(() => readFileSync(`/proc/${pid}/stat`, 'utf8'))
    ?.replace(/^.*\) /s, '')
    .split(' ');
  return fields && fields[0] !== 'Z' ? fields[19] : undefined;
}

/** A process by its number and its start: a number alone is given to another later. */
export const processAt = (pid) => ({ pid, started: startOf(pid) });

export const isAlive = ({ pid, started }) => started !== undefined && startOf(pid) === started;

/** Processes whose folder is this one. */
export const processesIn = (folder) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter(
      (pid) => startOf(pid) !== undefined && orNothing(() => readlinkSync(`/proc/${pid}/cwd`)) === folder,
    );

const signal = (pid, name) =>
  orNothing(() => process.kill(-pid, name)) ?? orNothing(() => process.kill(pid, name));

/** Ends a process with those it started, kindly, then not; one of the same number that is another is left alone. */
export async function endProcess(one, { patienceMs = 5000 } = {}) {
  if (!isAlive(one)) return;
  signal(one.pid, 'SIGTERM');
  for (let waited = 0; isAlive(one) && waited < patienceMs; waited += 100)
    await new Promise((resolve) => setTimeout(resolve, 100));
  if (isAlive(one)) signal(one.pid, 'SIGKILL');
}
