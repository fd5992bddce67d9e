import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ask, run } from './run.mjs';
import { Sentence } from './say.mjs';

export const CHROMIUM = '/usr/bin/chromium';

/** Folder of PostgreSQL's programs, the newest version; undefined where it is not installed. */
export function postgresPrograms() {
  const root = '/usr/lib/postgresql';
  if (!existsSync(root)) return undefined;
  return readdirSync(root)
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => join(root, version, 'bin'))
    .find((folder) => existsSync(join(folder, 'initdb')));
}

const COMPILER = '/usr/bin/gcc';

/** Installs the Debian packages that are missing. */
export async function ensurePackages({ browser = false, compiler = false } = {}) {
  const missing = [
    ...(postgresPrograms() ? [] : ['postgresql']),
    ...(!browser || existsSync(CHROMIUM) ? [] : ['chromium']),
    ...(!compiler || existsSync(COMPILER) ? [] : ['gcc', 'libc6-dev']),
  ];
  if (missing.length === 0) return;
  const root = process.getuid() === 0;
  if (!root && !ask('sudo', ['-n', 'true']).ok) {
    throw new Sentence(
      `Missing: ${missing.join(' and ')}. Install with: sudo apt-get install ${missing.join(' ')} (this needs root, and sudo asks for a password here).`,
    );
  }
  if (!existsSync('/usr/bin/apt-get'))
    throw new Sentence(
      `Missing: ${missing.join(' and ')}. This machine has no apt-get; install them by hand.`,
    );
  console.log(`Installing ${missing.join(' and ')} with apt-get.`);
  const apt = (...args) =>
    run(root ? 'apt-get' : 'sudo', [...(root ? [] : ['-n', 'apt-get']), ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      sentence: `apt-get could not install ${missing.join(' and ')}: see its message above.`,
    });
  await apt('update', '-qq');
  await apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
}

const STAMP = 'node_modules/.installed-lock';

/** Installs the npm packages when the lock file has changed since. */
export async function ensureModules() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Sentence(`Node.js 20.19 or newer is needed; this is ${process.versions.node}.`);
  const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lock) return;
  console.log('Installing the npm packages.');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
    sentence: 'npm ci failed: see its message above.',
  });
  writeFileSync(STAMP, lock);
}
