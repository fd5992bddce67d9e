import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Instrumenter } from '@stryker-mutator/instrumenter';
import { ensureModules } from './lib/machine.mjs';
import { run } from './lib/run.mjs';
import { runMain } from './lib/say.mjs';

/** Places changed in each domain. */
const EACH = Number(process.env.MUTANTS ?? 60);
const SEED = 20_26;
const REPORT = '.data/mutation/mutation.json';
/** A changed code or path does not compile; a changed sentence is no error of arithmetic. */
const LEFT_OUT = ['StringLiteral'];

/** Folders whose share of found changes is told by itself. */
function domains() {
  const physics = readdirSync('src/core/physics', { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => `src/core/physics/${name}`);
  return [...physics, 'src/core/worked', 'src/core/verdict'];
}

function sources(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile() && /\.ts$/.test(entry.name) && !/\.(test|schema)\.ts$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
}

/** Mulberry32: the same numbers for the same seed. */
function random(seed) {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const silent = new Proxy({}, { get: () => () => false });

/** Places of a file that hold no smaller one, as ranges. */
async function places(file) {
  const content = readFileSync(file, 'utf8');
  const { mutants } = await new Instrumenter(silent).instrument([{ name: file, content, mutate: true }], {
    plugins: null,
    excludedMutations: LEFT_OUT,
    ignorers: [],
    noHeader: true,
  });
  const spans = new Map(
    mutants
      .filter(({ status }) => status !== 'Ignored')
      .map(({ location: { start, end } }) => {
        const range = `${file}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;
        return [range, { range, start, end }];
      }),
  );
  const before = (a, b) => a.line < b.line || (a.line === b.line && a.column <= b.column);
  const all = [...spans.values()];
  return all
    .filter(
      (one) =>
        !all.some((other) => other !== one && before(one.start, other.start) && before(other.end, one.end)),
    )
    .map(({ range }) => range);
}

async function sample(folder) {
  const next = random(SEED);
  const all = (await Promise.all(sources(folder).map(places))).flat();
  return all
    .map((range) => ({ range, at: next() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, EACH)
    .map(({ range }) => range);
}

const FOUND = new Set(['Killed', 'Timeout', 'RuntimeError']);

/** The table for docs/CONTRIBUTING.md, and each change that no test noticed. */
function tell(folders) {
  const { files } = JSON.parse(readFileSync(REPORT, 'utf8'));
  const rows = folders.map((folder) => {
    const changes = Object.entries(files)
      .filter(([name]) => name.startsWith(`${folder}/`))
      .flatMap(([name, { mutants }]) => mutants.map((mutant) => ({ ...mutant, name })))
      .filter(({ status }) => status !== 'Ignored');
    return { folder, changes, found: changes.filter(({ status }) => FOUND.has(status)) };
  });
  for (const { changes } of rows)
    for (const { name, location, replacement, status } of changes)
      if (!FOUND.has(status))
        console.log(
          `${name}:${location.start.line}  ${replacement?.replace(/\s+/g, ' ').slice(0, 90)}  (${status})`,
        );
  console.log('\n| domain | changes | found |\n|---|---|---|');
  for (const { folder, changes, found } of rows)
    console.log(
      `| ${folder.replace('src/core/', '')} | ${changes.length} | ${Math.round((100 * found.length) / changes.length)} % |`,
    );
}

/** Changes the code here and there, and tells how many of the changes the unit tests find. */
async function mutate() {
  await ensureModules();
  const asked = process.argv.slice(2);
  const folders = domains().filter(
    (folder) => asked.length === 0 || asked.some((name) => folder.endsWith(name)),
  );
  mkdirSync('.data/mutation', { recursive: true });
  const config = {
    testRunner: 'jest',
    jest: { projectType: 'custom', configFile: 'jest.mutation.config.mjs', enableFindRelatedTests: true },
    coverageAnalysis: 'perTest',
    mutate: (await Promise.all(folders.map(sample))).flat(),
    mutator: { excludedMutations: LEFT_OUT },
    incremental: true,
    incrementalFile: '.data/mutation/incremental.json',
    reporters: ['json', 'progress-append-only'],
    jsonReporter: { fileName: REPORT },
    tempDirName: '.data/mutation/sandbox',
    ignorePatterns: ['.next', '.data', 'docs/screenshots', 'tests/e2e'],
    concurrency: Number(process.env.CONCURRENCY ?? 2),
    timeoutMS: 20_000,
    disableTypeChecks: false,
    allowEmpty: true,
  };
  writeFileSync('.data/mutation/stryker.json', JSON.stringify(config));
  await run('node_modules/.bin/stryker', ['run', '.data/mutation/stryker.json']);
  tell(folders);
}

runMain(mutate);
