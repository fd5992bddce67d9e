import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';

const MOST_FILES = 25;
const ROOT = 'src';

function foldersUnder(folder: string): string[] {
  const inside = readdirSync(folder, { withFileTypes: true }).filter((entry) => entry.isDirectory());
  return [folder, ...inside.flatMap(({ name }) => foldersUnder(join(folder, name)))];
}

const filesIn = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map(({ name }) => join(folder, name));

/** Folders of core that a folder imports from; tests may look everywhere. */
function reaches(folder: string): Set<string> {
  const sources = filesIn(folder).filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'));
  const imported = sources.flatMap((file) =>
    ts
      .preProcessFile(readFileSync(file, 'utf8'))
      .importedFiles.filter(({ fileName }) => fileName.startsWith('.'))
      .map(({ fileName }) => relative('.', join(dirname(file), dirname(fileName)))),
  );
  return new Set(imported.filter((to) => to !== folder));
}

/** A way from a folder back to itself, where there is one. */
function circleIn(arrows: ReadonlyMap<string, ReadonlySet<string>>): string[] | undefined {
  const done = new Set<string>();
  const walk = (at: string, way: readonly string[]): string[] | undefined => {
    if (way.includes(at)) return [...way.slice(way.indexOf(at)), at];
    if (done.has(at)) return undefined;
    for (const to of arrows.get(at) ?? []) {
      const found = walk(to, [...way, at]);
      if (found) return found;
    }
    done.add(at);
    return undefined;
  };
  for (const at of arrows.keys()) {
    const found = walk(at, []);
    if (found) return found;
  }
  return undefined;
}

describe('the layout of the sources', () => {
  it('keeps a folder short enough to read like a table of contents', () => {
    const full = foldersUnder(ROOT).filter((folder) => filesIn(folder).length > MOST_FILES);
    expect(full).toEqual([]);
  });

  it('has no circle of imports between folders of core', () => {
    const folders = foldersUnder(join(ROOT, 'core')).filter((folder) => folder !== join(ROOT, 'core'));
    expect(folders.length).toBeGreaterThan(20);
    expect(circleIn(new Map(folders.map((folder) => [folder, reaches(folder)])))).toBeUndefined();
  });

  it('finds a circle where there is one', () => {
    const arrows = new Map([
      ['a', new Set(['b'])],
      ['b', new Set(['c'])],
      ['c', new Set(['b'])],
    ]);
    expect(circleIn(arrows)).toEqual(['b', 'c', 'b']);
  });
});
