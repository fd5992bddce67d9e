import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { ensureModules, ensurePackages } from './machine.mjs';
import { Cluster, clusterFolder, requireOwnFolder } from './postgres.mjs';

/** The demo: everybody on this machine is in its workshop, which is filled in. Never beyond loopback. */
export const DEMO = {
  command: 'npm run demo',
  cluster: 'demo',
  pgPort: 54317,
  lock: '.data/running',
  seed: true,
  accounts: false,
};

/** The real installation: people sign in, nothing is filled in, and it is backed up every night. */
export const START = {
  command: 'npm run start',
  cluster: 'workshop',
  pgPort: 54327,
  lock: '.data/started',
  seed: false,
  accounts: true,
};

const SECRET = '.data/secret';

/** What sessions are signed with: of BETTER_AUTH_SECRET, or made once and kept beside the data. */
export function sessionSecret() {
  if (process.env.BETTER_AUTH_SECRET) return process.env.BETTER_AUTH_SECRET;
  if (!existsSync(SECRET)) writeFileSync(SECRET, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(SECRET, 'utf8');
}

/** Does something with the database of the real installation, which is started for it where it is not running. */
export async function withDatabase(work) {
  requireOwnFolder('.data');
  mkdirSync('.data', { recursive: true });
  if (process.env.DATABASE_URL !== undefined) {
    await ensureModules();
    return work(process.env.DATABASE_URL);
  }
  await ensurePackages();
  await ensureModules();
  const cluster = new Cluster(clusterFolder(START.cluster), Number(process.env.PGPORT ?? START.pgPort));
  const running = cluster.isRunning();
  if (!running) cluster.start();
  try {
    return await work(cluster.url());
  } finally {
    if (!running) cluster.stop();
  }
}
