import { linkSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import { endProcess, isAlive, processAt } from './processes.mjs';

let held;

function readHold(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
}

/** Who holds a file: a process that is alive and the same that wrote it. */
export function holderOf(file) {
  const hold = readHold(file);
  return hold && isAlive(hold.by) ? hold.by.pid : undefined;
}

function written(file, hold) {
  const own = `${file}.${process.pid}`;
  writeFileSync(own, JSON.stringify(hold));
  try {
    linkSync(own, file);
    return true;
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
    return false;
  } finally {
    rmSync(own, { force: true });
  }
}

/**
 * Takes a file for this process alone. What a holder before it that was killed had started is ended first.
 *
 * @returns the number of the process that holds it instead, if one does
 */
export async function takeHold(file) {
  const hold = { by: processAt(process.pid), started: [] };
  for (;;) {
    if (written(file, hold)) {
      // two that found the same left over may both have cleared it
      await wait(150);
      const now = readHold(file);
      if (now?.by.pid === hold.by.pid) {
        held = { file, hold };
        return undefined;
      }
      return now?.by.pid;
    }
    const other = holderOf(file);
    if (other !== undefined) return other;
    for (const left of (readHold(file)?.started ?? []).reverse()) await endProcess(left);
    rmSync(file, { force: true });
  }
}

/** Writes down what this process has started, so that the next one can end it if this one is killed. */
export function noteStarted(pid) {
  if (!held || pid === undefined) return;
  held.hold.started = [...held.hold.started.filter(isAlive), processAt(pid)];
  writeFileSync(held.file, JSON.stringify(held.hold));
}

export function letGo() {
  if (held) rmSync(held.file, { force: true });
  held = undefined;
}
