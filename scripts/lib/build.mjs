import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.mjs';

const SOURCES = ['src', 'package-lock.json', 'next.config.ts', 'tsconfig.json'];

export const NEXT = join('node_modules', 'next', 'dist', 'bin', 'next');

function* filesUnder(path) {
  if (!existsSync(path)) return;
  const entries = readdirSync(path, { withFileTypes: true });
  for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const inner = join(path, entry.name);
    if (entry.isDirectory()) yield* filesUnder(inner);
    else if (!/\.test\.tsx?$/.test(entry.name)) yield inner;
  }
}

function sourceHash() {
  const hash = createHash('sha256');
  for (const source of SOURCES) for (const file of source.includes('.') ? [source] : filesUnder(source)) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

/** Builds the application when its sources have changed since; gives the environment that names the build. */
export async function ensureBuild(folder = '.next') {
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NEXT_DIST_DIR: folder };
  const stamp = join(folder, 'source-hash');
  const hash = sourceHash();
  if (!isFresh(folder, hash)) {
    console.log('Building the application (about a minute).');
    await run(process.execPath, [NEXT, 'build'], { env, stdio: ['ignore', 'pipe', 'inherit'], sentence: 'The application could not be built: see the messages above.' });
    writeFileSync(stamp, hash);
  }
  return env;
}

export function isFresh(folder, hash = sourceHash()) {
  const stamp = join(folder, 'source-hash');
  return existsSync(stamp) && readFileSync(stamp, 'utf8') === hash;
}
