import { emptyDocument } from '../document/document';
import { CalcError } from '../../base/errors';
import type { RunRecord } from '../records/records';
import { type BuildFile, byLetter, FILE_LISTS, FILE_ORDER, type FiledRun, type FileList } from './buildFile';
import { parseArchivedBuild, parseBuildFile } from './buildFile.schema';
import { readBuildFileText } from './readBuildFile';
import { buildFilePieces, indentedRecord, recordLine } from './writeBuildFile';

const revision = (id: string, letter: string, parentId?: string) => ({
  id,
  letter,
  createdAt: '2026-01-01T00:00:00.000Z',
  document: emptyDocument(),
  ...(parentId ? { parentId } : {}),
});
const file: BuildFile = {
  format: 'lean-badger-build',
  formatVersion: 2,
  build: { id: 'b', name: 'Build', createdAt: '2026-01-01T00:00:00.000Z' },
  revisions: [revision('r2', 'B', 'r1'), revision('r1', 'A')],
  runs: [],
  failures: [],
  prints: [],
  copies: [],
  library: [],
  files: [],
};

const written = async ({ build, ...lists }: Omit<BuildFile, 'runs'> & { runs: FiledRun[] }) => {
  let text = '';
  const lines = Object.fromEntries(
    FILE_LISTS.map((name) => [name, [...lists[name]].sort(FILE_ORDER[name] as never).map(recordLine)]),
  ) as Record<FileList, string[]>;
  for await (const piece of buildFilePieces(build, lines, indentedRecord)) text += piece;
  return text;
};

const refusal = (text: string) => {
  try {
    parseBuildFile(text);
  } catch (error) {
    return (error as CalcError).refused;
  }
  throw new Error('was accepted');
};

describe('a build file', () => {
  it('is the same text whatever the order of keys and records', async () => {
    const shuffled = {
      ...JSON.parse(
        JSON.stringify(
          file,
          Object.keys(file)
            .reverse()
            .concat([
              'id',
              'name',
              'letter',
              'createdAt',
              'document',
              'parentId',
              ...Object.keys(emptyDocument()),
              'surfaces',
              'stages',
              'items',
            ]),
        ),
      ),
      revisions: [...file.revisions].reverse(),
    } as BuildFile;
    const text = await written(file);
    expect(await written(shuffled)).toBe(text);
    expect(await written(parseBuildFile(text))).toBe(text);
    expect(text).toBe(`${JSON.stringify(JSON.parse(text), null, 2)}\n`);
  });

  it('begins with what it is', async () =>
    expect(await written(file)).toMatch(
      /^\{\n {2}"format": "lean-badger-build",\n {2}"formatVersion": 2,\n {2}"build"/,
    ));

  it('says on which line it is damaged', async () => {
    const lines = (await written(file)).split('\n');
    const at = lines.findIndex((line) => line.includes('"letter": "B"'));
    expect(refusal(lines.with(at, '"letter": B,').join('\n')).given).toEqual({
      line: at + 1,
    });
    expect(refusal(lines.slice(0, 5).join('\n')).given).toEqual({ line: 5 });
  });

  it.each([
    [
      'a parent that is not in it',
      (f: BuildFile) => ({ ...f, revisions: [revision('r1', 'A', 'gone')] }),
      'revisions.0.parentId',
    ],
    [
      'two revisions of one letter',
      (f: BuildFile) => ({ ...f, revisions: [revision('r1', 'A'), revision('r2', 'A')] }),
      'revisions.1',
    ],
    ['no revision', (f: BuildFile) => ({ ...f, revisions: [] }), 'revisions'],
    ['an unknown key', (f: BuildFile) => ({ ...f, colour: 'red' }), 'colour'],
    ['a name that is no text', (f: BuildFile) => ({ ...f, build: { ...f.build, name: 7 } }), 'build.name'],
  ])('refuses %s', (_, spoil, path) => expect(refusal(JSON.stringify(spoil(file))).path).toBe(path));

  it('refuses what is larger than a build can be before reading it', () =>
    expect(() => readBuildFileText(' '.repeat(21 * 1024 * 1024))).toThrow('buildFile.large {"mostMb":20}'));

  it('sorts Z before AA', () =>
    expect(['AA', 'B', 'Z', 'A', 'AB'].sort(byLetter)).toEqual(['A', 'B', 'Z', 'AA', 'AB']));
});

describe('the runs of a build file', () => {
  const run = (id: string, cgHeightMm?: number): RunRecord => ({
    id,
    revisionId: 'r1',
    kind: 'terrain',
    attempts: [],
    conditions: {},
    ranAt: '2026-05-01T10:00:00.000Z',
    document: cgHeightMm === undefined ? emptyDocument() : { ...emptyDocument(), chassis: { cgHeightMm } },
  });
  const of = ({ document: _, ...light }: RunRecord, documentOf: string) => ({ ...light, documentOf });
  const files = { hash: 'a'.repeat(64), type: 'mesh' as const };

  it('share the document that they were driven with', async () => {
    const text = await written({ ...file, runs: [run('a'), of(run('b'), 'a'), run('c', 40)] });
    expect(text.match(/"schemaVersion"/g)).toHaveLength(4);
    expect(parseBuildFile(text).runs).toEqual([run('a'), run('b'), run('c', 40)]);
  });

  it('of the first format hold one each, and are read as before, without prints that were gone', () => {
    const copy = {
      id: 'k',
      partName: 'Arm',
      how: 'final',
      madeAt: '2026-05-01T10:00:00.000Z',
      printId: 'gone',
      revisionId: 'r1',
    };
    const old = JSON.stringify({
      ...file,
      formatVersion: 1,
      runs: [run('a'), run('b'), run('c', 40)],
      copies: [copy],
    });
    const { runs, copies, formatVersion } = parseBuildFile(old);
    expect(runs).toEqual([run('a'), run('b'), run('c', 40)]);
    expect(runs[0]!.document).toBe(runs[1]!.document);
    const { printId: _, ...rest } = copy;
    expect([formatVersion, copies]).toEqual([2, [rest]]);
  });

  it.each([
    ['none', of(run('b'), 'c'), 'runs.1.documentOf'],
    ['one that has none itself', of(run('b'), 'b'), 'runs.1.documentOf'],
    ['one and its own', { ...run('b'), documentOf: 'a' }, 'runs.1.document'],
  ])('are refused where they name %s', (_, second, path) =>
    expect(refusal(JSON.stringify({ ...file, runs: [run('a'), second] })).path).toBe(path),
  );

  it('a figure out of range is told where it stands', () =>
    expect(refusal(JSON.stringify({ ...file, runs: [run('a'), run('b', -1)] })).path).toBe(
      'runs.1.document.chassis.cgHeightMm',
    ));

  it('a file without its bytes belongs into an archive', () => {
    const text = JSON.stringify({ ...file, files: [files] });
    expect(refusal(text)).toMatchObject({
      path: 'files.0.base64',
      code: 'buildFile.noContent',
    });
    expect(parseArchivedBuild(text).files).toEqual([files]);
  });
});
