import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const written = JSON.parse(
  execFileSync(
    process.execPath,
    [
      '--input-type=module',
      '-e',
      "import { facesOfChecks, registryOfChecks } from './scripts/listChecks.mjs'; console.log(JSON.stringify({ registry: registryOfChecks(), faces: facesOfChecks() }))",
    ],
    { encoding: 'utf8' },
  ),
) as Record<'registry' | 'faces', string>;

/** Without what the formatter lays out. */
const bare = (text: string) =>
  text
    .replace(/\s+/g, ' ')
    .replace(/,\s*([}\]])/g, '$1')
    .replace(/([{[]) | ([}\]])/g, '$1$2');

it.each(['registry', 'faces'] as const)('the %s of the checks is what the files make of it', (name) => {
  expect(bare(readFileSync(`src/core/verdict/${name}.ts`, 'utf8'))).toBe(bare(written[name]));
});

it('the faces leave out what only the worker finds', () => {
  const heavy = [...written.faces.matchAll(/from '\.\/([\w/]+)\.face'/g)].map(([, file]) => file);
  expect(heavy.length).toBeGreaterThan(10);
  for (const file of heavy) expect(written.faces).not.toContain(`./${file}.check'`);
});
