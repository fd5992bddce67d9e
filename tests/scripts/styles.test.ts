import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';

const files = (pattern: string) =>
  execFileSync('git', ['ls-files', '-co', '--exclude-standard', pattern], { encoding: 'utf8' })
    .split('\n')
    .filter(Boolean);

const moduleOf = (from: string, path: string) =>
  path.startsWith('@/') ? path.replace('@/', 'src/') : normalize(join(dirname(from), path));

test('every class that a component takes from a module of styles stands there, and each there is taken', () => {
  const defined = new Map(
    files('src/**/*.module.css').map((path) => {
      const css = readFileSync(path, 'utf8').replace(/:global\([^)]*\)|\/\*.*?\*\//gs, '');
      return [path, new Set([...css.matchAll(/\.([A-Za-z]\w*)/g)].map(([, name]) => name!))];
    }),
  );
  const taken = new Map([...defined.keys()].map((path) => [path, new Set<string>()]));
  const missing: string[] = [];
  for (const path of files('src/**/*.tsx')) {
    const source = readFileSync(path, 'utf8');
    for (const [, name, from] of source.matchAll(/import (\w+Css) from '([^']+)'/g)) {
      const styles = moduleOf(path, from!);
      // a class that is chosen by a figure of the page may be any of them
      if (source.includes(`${name}[`)) defined.get(styles)!.forEach((one) => taken.get(styles)!.add(one));
      for (const [, one] of source.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, 'g'))) {
        taken.get(styles)!.add(one!);
        if (!defined.get(styles)!.has(one!)) missing.push(`${path}: ${one}`);
      }
    }
  }
  for (const [path] of defined)
    for (const [, names] of readFileSync(path, 'utf8').matchAll(/composes: ([\w ]+);/g))
      names!.split(' ').forEach((one) => taken.get(path)!.add(one));
  const left = [...defined].flatMap(([path, names]) =>
    [...names].filter((one) => !taken.get(path)!.has(one)).map((one) => `${path}: ${one}`),
  );
  expect({ missing, left }).toEqual({ missing: [], left: [] });
});
