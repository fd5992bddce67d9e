import { emptyDocument } from '../build/document';
import { CalcError } from '../errors';
import { type BuildFile, byLetter, filesThatFit, readBuildFileText, writeBuildFile } from './buildFile';
import { parseBuildFile } from './buildFile.schema';

const revision = (id: string, letter: string, parentId?: string) => ({ id, letter, createdAt: '2026-01-01T00:00:00.000Z', document: emptyDocument(), ...(parentId ? { parentId } : {}) });
const file: BuildFile = {
  format: 'lean-badger-build', formatVersion: 1, build: { id: 'b', name: 'Build', createdAt: '2026-01-01T00:00:00.000Z' },
  revisions: [revision('r2', 'B', 'r1'), revision('r1', 'A')], runs: [], failures: [], prints: [], copies: [], library: [], files: [],
};

const refusal = (text: string) => {
  try {
    parseBuildFile(text);
  } catch (error) {
    return (error as CalcError).problem;
  }
  throw new Error('was accepted');
};

describe('a build file', () => {
  it('is the same text whatever the order of keys and records', () => {
    const shuffled = { ...JSON.parse(JSON.stringify(file, Object.keys(file).reverse().concat(['id', 'name', 'letter', 'createdAt', 'document', 'parentId', ...Object.keys(emptyDocument()), 'surfaces', 'stages', 'items']))), revisions: [...file.revisions].reverse() } as BuildFile;
    expect(writeBuildFile(shuffled)).toBe(writeBuildFile(file));
    expect(writeBuildFile(parseBuildFile(writeBuildFile(file)))).toBe(writeBuildFile(file));
  });

  it('begins with what it is', () => expect(writeBuildFile(file)).toMatch(/^\{\n {2}"format": "lean-badger-build",\n {2}"formatVersion": 1,\n {2}"build"/));

  it('says on which line it is damaged', () => {
    const lines = writeBuildFile(file).split('\n');
    const at = lines.findIndex((line) => line.includes('"letter": "B"'));
    expect(refusal(lines.with(at, '"letter": B,').join('\n')).message).toContain(`stops being JSON at line ${at + 1}`);
    expect(refusal(lines.slice(0, 5).join('\n')).message).toContain('at line 5');
  });

  it.each([
    ['a parent that is not in it', (f: BuildFile) => ({ ...f, revisions: [revision('r1', 'A', 'gone')] }), 'revisions.0.parentId'],
    ['two revisions of one letter', (f: BuildFile) => ({ ...f, revisions: [revision('r1', 'A'), revision('r2', 'A')] }), 'revisions.1'],
    ['no revision', (f: BuildFile) => ({ ...f, revisions: [] }), 'revisions'],
    ['an unknown key', (f: BuildFile) => ({ ...f, colour: 'red' }), 'colour'],
    ['a name that is no text', (f: BuildFile) => ({ ...f, build: { ...f.build, name: 7 } }), 'build.name'],
  ])('refuses %s', (_, spoil, path) => expect(refusal(JSON.stringify(spoil(file))).path).toBe(path));

  it('refuses what is larger than a build can be before reading it', () => expect(() => readBuildFileText(' '.repeat(21 * 1024 * 1024))).toThrow('larger than 20 MB'));

  it('sorts Z before AA', () => expect(['AA', 'B', 'Z', 'A', 'AB'].sort(byLetter)).toEqual(['A', 'B', 'Z', 'AA', 'AB']));
});

describe('files of a build', () => {
  const kept = (hash: string, letters: number) => ({ hash, type: 'mesh' as const, base64: 'A'.repeat(letters) });

  it('go along as many as fit, the small ones first, whatever order they come in', () => {
    const all = [kept('c', 8_000_000), kept('a', 12_000_000), kept('b', 4_000_000)];
    // 20 MB are 20,971,520 bytes: 4 and 8 million go in, 12 million more do not
    expect(filesThatFit(all, 1000).map(({ hash }) => hash)).toEqual(['b', 'c']);
    expect(filesThatFit([...all].reverse(), 1000)).toEqual(filesThatFit(all, 1000));
    expect(filesThatFit(all, 20_900_000)).toEqual([]);
  });
});
