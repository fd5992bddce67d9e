import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { run } from './run.mjs';

const SOURCES = ['src', 'package-lock.json', 'next.config.ts', 'tsconfig.json'];

export const NEXT = join('node_modules', 'next', 'dist', 'bin', 'next');

const THREAD = join('.data', 'threads', 'thread.mjs');
const SERVICE_WORKER = join('public', 'service-worker.js');

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
  for (const source of SOURCES)
    for (const file of source.includes('.') ? [source] : filesUnder(source))
      hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

/** Builds the application when its sources have changed since; gives the environment that names the build. */
export async function ensureBuild(folder = '.next') {
  const env = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NEXT_DIST_DIR: folder };
  const stamp = join(folder, 'source-hash');
  const hash = sourceHash();
  if (!isFresh(folder, hash)) {
    console.log('Building the application (about a minute).');
    rmSync(stamp, { force: true });
    await buildServiceWorker();
    await buildThreads();
    await run(process.execPath, [NEXT, 'build'], {
      env,
      stdio: ['ignore', 'pipe', 'inherit'],
      sentence: 'The application could not be built: see the messages above.',
    });
    writeFileSync(stamp, hash);
  }
  return env;
}

/** What works beside the server's own thread: in Node.js, from one file. */
export async function buildThreads() {
  const { build } = await import('esbuild');
  await build({
    entryPoints: ['src/workers/server/thread.ts'],
    bundle: true,
    format: 'esm',
    platform: 'node',
    mainFields: ['module', 'main'],
    target: 'node20',
    external: ['pdfmake'],
    outfile: THREAD,
    logLevel: 'error',
    tsconfig: 'tsconfig.json',
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
    },
  });
}

/** What keeps the pages for a field without a signal; served from the root so that it stands before all of them. */
async function buildServiceWorker() {
  const { build } = await import('esbuild');
  await build({
    entryPoints: ['src/workers/service.worker.ts'],
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    outfile: SERVICE_WORKER,
    logLevel: 'error',
    define: { 'process.env.NODE_ENV': '"production"' },
  });
}

export function isFresh(folder, hash = sourceHash()) {
  const stamp = join(folder, 'source-hash');
  return (
    existsSync(SERVICE_WORKER) &&
    existsSync(THREAD) &&
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === hash
  );
}
