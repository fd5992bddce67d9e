import { setInterval } from 'node:timers';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { postgresPrograms } from './machine.mjs';
import { Sentence } from './say.mjs';

export const BACKUPS = '.data/backups';
const NAMED = /^badger-(\d{4}-\d{2}-\d{2})T\d{2}-\d{2}-\d{2}\.dump$/;

/** Runs one of PostgreSQL's own programs on a database; its password is not seen in the list of processes. */
function postgres(program, url, args) {
  const address = new URL(url);
  const password = decodeURIComponent(address.password);
  address.password = '';
  const folder = postgresPrograms();
  const { status, stderr, error } = spawnSync(
    folder ? join(folder, program) : program,
    ['--dbname', address.href, ...args],
    { encoding: 'utf8', env: { ...process.env, PGPASSWORD: password } },
  );
  if (status !== 0)
    throw new Sentence(
      `${program} failed: ${
        error?.message ??
        stderr
          .trim()
          .split('\n')
          .find((line) => /error|fatal/i.test(line)) ??
        stderr.trim()
      }.`,
    );
}

/**
 * Writes the whole database into a file of its own.
 *
 * @returns the path; the file appears under its name when it is complete
 */
export function backUp(url, folder = BACKUPS, at = new Date()) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const path = join(folder, `badger-${at.toISOString().slice(0, 19).replaceAll(':', '-')}.dump`);
  const unfinished = `${path}.part`;
  try {
    postgres('pg_dump', url, ['--format=custom', '--no-owner', `--file=${resolve(unfinished)}`]);
    renameSync(unfinished, path);
  } finally {
    rmSync(unfinished, { force: true });
  }
  return path;
}

/**
 * Puts a database back as a backup holds it: whole, or not at all.
 *
 * @throws Sentence where the file is none, or others are at the database
 */
export async function restore(url, path) {
  requireFile(path);
  const others = await othersAt(url);
  if (others > 0)
    throw new Sentence(
      `The database is in use by ${others} connection${others === 1 ? '' : 's'}. Stop the servers that work on it first.`,
    );
  postgres('pg_restore', url, [
    '--clean',
    '--if-exists',
    '--no-owner',
    '--single-transaction',
    '--exit-on-error',
    resolve(path),
  ]);
}

/** @throws Sentence where there is no such file */
export function requireFile(path) {
  if (!existsSync(path) || !statSync(path).isFile())
    throw new Sentence(`There is no file ${path}. ${listOf(BACKUPS)}`);
}

export function listOf(folder) {
  const names = kept(folder);
  return names.length === 0
    ? `No backup stands in ${folder} yet: npm run backup makes one.`
    : `The newest here is ${join(folder, names[0])}.`;
}

/** Connections of others, which might write while it is put back. */
async function othersAt(url) {
  return withClient(url, async (client) => {
    const { rows } = await client.query(
      `select count(*)::int as others from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid() and backend_type = 'client backend'`,
    );
    return rows[0].others;
  });
}

async function withClient(url, work) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await work(client);
  } finally {
    await client.end();
  }
}

/** The backups of a folder, the newest first. */
const kept = (folder) =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => NAMED.test(name))
        .sort()
        .reverse()
    : [];

const [NEWEST_KEPT, MONTHS_KEPT] = [14, 12];

/** Removes old backups: the newest fourteen stay, and the first of each of twelve months. */
export function rotate(folder = BACKUPS) {
  const names = kept(folder);
  const firstOfMonth = new Map(names.map((name) => [name.slice(0, 'badger-2026-11'.length), name]));
  const stay = new Set([...names.slice(0, NEWEST_KEPT), ...[...firstOfMonth.values()].slice(0, MONTHS_KEPT)]);
  for (const name of names) if (!stay.has(name)) rmSync(join(folder, name));
}

/** Number of the advisory lock under which one server of several makes the backup of a night. */
const BACKUP_LOCK = 3118;
/** A little under a day, so that each night's comes at about the same hour. */
const DUE_AFTER_H = 23.5;

/**
 * Makes the backup of a night where it is due and no other server makes it.
 *
 * @returns its path, or nothing
 */
export async function backUpIfDue(url, folder = BACKUPS) {
  return withClient(url, async (client) => {
    const one = async (sql, values) => (await client.query(sql, values)).rows[0];
    const { mine } = await one('select pg_try_advisory_lock($1) as mine', [BACKUP_LOCK]);
    if (!mine) return undefined;
    const { due } = await one(
      `select not exists (select 1 from upkeep where name = 'backup' and done_at > now() - make_interval(mins => $1)) as due`,
      [DUE_AFTER_H * 60],
    );
    if (!due) return undefined;
    const path = backUp(url, folder);
    await client.query(
      `insert into upkeep (name, done_at) values ('backup', now()) on conflict (name) do update set done_at = now()`,
    );
    rotate(folder);
    return path;
  });
}

const LOOK_EVERY_MS = 15 * 60_000;
const NIGHT_FROM_H = 3;

/** Backs up every night while a server runs, at once where the last is older than a day and more. */
export function backUpNightly(url, { say = console.log, folder = BACKUPS } = {}) {
  const look = async () => {
    try {
      const path = await backUpIfDue(url, folder);
      if (path) say(`Backed up into ${path}.`);
    } catch (error) {
      console.error(`The backup could not be made: ${error.message}`);
    }
  };
  const timer = setInterval(() => {
    if (new Date().getHours() >= NIGHT_FROM_H) void look();
  }, LOOK_EVERY_MS);
  timer.unref();
  return timer;
}
