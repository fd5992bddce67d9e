// Writes src/core/verdict/registry.ts and faces.ts: every record of the files named *.check.ts, and what a page needs of them.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
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

const read = () =>
  checkFiles(ROOT).map((file) => {
    const face = file.replace(/\.check\.ts$/, '.face.ts');
    return {
      spec: `./${relative(ROOT, file).replace(/\.ts$/, '')}`,
      face: existsSync(face)
        ? {
            spec: `./${relative(ROOT, face).replace(/\.ts$/, '')}`,
            checks: namesIn(face, 'defineFace'),
            families: namesIn(face, 'defineFamilyFace'),
          }
        : undefined,
      checks: namesIn(file, 'defineCheck'),
      families: namesIn(file, 'defineFamily'),
      records: namesIn(file, 'defineRecordCheck'),
    };
  });

const lines = (names) => names.map((name) => `  ${name},`).join('\n');
const importOf = (names, spec) => `import { ${names.join(', ')} } from '${spec}';`;

/** The text of the registry, from the files as they stand. */
export function registryOfChecks() {
  const files = read().filter(({ checks, families }) => checks.length + families.length > 0);
  return `// Written by npm run checks:list from the files named *.check.ts.
import type { CheckFamily, CheckRecord } from './engine/check';
${files.map(({ spec, checks, families }) => importOf([...checks, ...families], spec)).join('\n')}

/** The checks of every build. */
export const CHECKS: readonly CheckRecord[] = [
${lines(files.flatMap(({ checks }) => checks))}
];

/** The checks of what a build has: its rails, loads, aids and parts. */
export const FAMILIES: readonly CheckFamily[] = [
${lines(files.flatMap(({ families }) => families))}
];
`;
}

/** The text of the faces: what a page needs, without what the worker alone works out. */
export function facesOfChecks() {
  const files = read();
  const imported = files.map(({ spec, face, checks, families, records }) =>
    face
      ? importOf([...face.checks, ...face.families], face.spec)
      : importOf([...checks, ...families, ...records], spec),
  );
  return `// Written by npm run checks:list from the files named *.check.ts and *.face.ts.
import type { CheckFace, CheckFamily, CheckRecord, RecordCheck } from './engine/check';
${imported.join('\n')}

/** The checks of every build; the heavy ones without what they find. */
export const FACES: readonly (CheckRecord | (CheckFace & { heavy: true }))[] = [
${lines(files.flatMap(({ face, checks }) => face?.checks ?? checks))}
];

/** The checks of what a build has; the heavy ones without what they find. */
export const FAMILIES: readonly CheckFamily<CheckRecord | CheckFace>[] = [
${lines(files.flatMap(({ face, families }) => face?.families ?? families))}
];

/** The checks that stand on what was printed, run and broken. */
export const RECORD_CHECKS: readonly RecordCheck[] = [
${lines(files.flatMap(({ records }) => records))}
];
`;
}

if (process.argv[1]?.endsWith('listChecks.mjs')) {
  writeFileSync(join(ROOT, 'registry.ts'), registryOfChecks());
  writeFileSync(join(ROOT, 'faces.ts'), facesOfChecks());
}
