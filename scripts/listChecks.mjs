// Writes src/core/verdict/registry.ts: every record of the files named *.check.ts.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';

const ROOT = 'src/core/verdict';

const checkFiles = (folder) =>
  readdirSync(folder, { withFileTypes: true })
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      if (entry.isDirectory()) return checkFiles(path);
      return entry.name.endsWith('.check.ts') ? [path] : [];
    })
    .sort();

const namesIn = (file, maker) =>
  [...readFileSync(file, 'utf8').matchAll(new RegExp(`export const (\\w+) = ${maker}\\(`, 'g'))].map(
    ([, name]) => name,
  );

/** The text of the registry, from the files as they stand. */
export function registryOfChecks() {
  const files = checkFiles(ROOT).map((file) => ({
    spec: `./${relative(ROOT, file).replace(/\.ts$/, '')}`,
    checks: namesIn(file, 'defineCheck'),
    families: namesIn(file, 'defineFamily'),
    records: namesIn(file, 'defineRecordCheck'),
  }));
  const imports = files.map(
    ({ spec, checks, families, records }) =>
      `import { ${[...checks, ...families, ...records].join(', ')} } from '${spec}';`,
  );
  const list = (kind) =>
    files
      .flatMap((file) => file[kind])
      .map((name) => `  ${name},`)
      .join('\n');
  return `// Written by npm run checks:list from the files named *.check.ts.
import type { CheckFamily, CheckRecord, RecordCheck } from './engine/check';
${imports.join('\n')}

/** The checks of every build. */
export const CHECKS: readonly CheckRecord[] = [
${list('checks')}
];

/** The checks of what a build has: its rails, loads, aids and parts. */
export const FAMILIES: readonly CheckFamily[] = [
${list('families')}
];

/** The checks that stand on what was printed, run and broken. */
export const RECORD_CHECKS: readonly RecordCheck[] = [
${list('records')}
];
`;
}

if (process.argv[1]?.endsWith('listChecks.mjs')) writeFileSync(join(ROOT, 'registry.ts'), registryOfChecks());
