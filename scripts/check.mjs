import { mkdirSync } from 'node:fs';
import { ensureModules } from './lib/machine.mjs';
import { run } from './lib/run.mjs';
import { runMain } from './lib/say.mjs';

/** Seconds that each step took. */
const took = {};

async function bin(name, ...args) {
  const start = performance.now();
  await run(`node_modules/.bin/${name}`, args, { env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1' } });
  took[name] = (took[name] ?? 0) + (performance.now() - start) / 1000;
}

/** The quick gate: formatting, lint with the arrows, types, unit tests. */
export async function check() {
  const lint = async () => {
    await bin(
      'prettier',
      '--check',
      '.',
      '--log-level',
      'warn',
      '--cache',
      '--cache-location',
      '.data/prettier',
      '--cache-strategy',
      'content',
    );
    await bin('eslint', '--cache', '--cache-location', '.data/eslint', '.');
    await bin(
      'depcruise',
      'src',
      'tests',
      'bench',
      '--config',
      '.dependency-cruiser.cjs',
      '--cache',
      '.data/depcruise',
      '--cache-strategy',
      'content',
    );
  };
  const types = async () => {
    await bin('next', 'typegen');
    await bin('tsc', '--noEmit', '--incremental', '--tsBuildInfoFile', '.data/types.tsbuildinfo');
  };
  await Promise.all([lint(), types()]);
  mkdirSync('.data', { recursive: true });
  await bin(
    'jest',
    '--selectProjects',
    'unit',
    '--maxWorkers',
    '100%',
    '--silent',
    '--json',
    '--outputFile=.data/unit.json',
  );
  const steps = Object.entries(took).map(([name, seconds]) => `${name} ${seconds.toFixed(0)} s`);
  console.log(`The quick gate took: ${steps.join(', ')} (lint beside types).`);
}

if (import.meta.filename === process.argv[1]) {
  runMain(async () => {
    await ensureModules();
    await check();
  });
}
