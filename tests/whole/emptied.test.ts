import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import { parseDocument } from '@/core/car/document/document.schema';
import { LABELS } from '@/words/labels/labels';
import { isItemList, type Path } from '@/core/base/patch';
import { CalcError } from '@/core/base/errors';
import { evaluateWithParts } from '@/core/verdict/evaluate';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';
import { tinWren } from '@/db/seed/tinWren';
import { BuildSession, type SaveAnswer } from '@/features/session/buildSession';
import { plainProblemOf } from '@/words/refusals/problemOf';

/** Ways to everything that a document holds, list items by their ids, the numbers of points by their places. */
function leaves(node: unknown, path: Path = []): Path[] {
  if (isItemList(node)) return node.flatMap((item) => leaves(item, [...path, item.id]));
  if (typeof node === 'object' && node !== null)
    return Object.entries(node).flatMap(([key, value]) => leaves(value, [...path, key]));
  return path.length < 2 || path.at(-1) === 'id' ? [] : [path];
}

/** The same for what a document may hold, whether it does or not. */
const declared = Object.keys(LABELS)
  .map((label) => label.split('.').map((key) => (key === '*' ? 'nobody' : key)))
  .filter((path) => path.length > 1);

/** A session on a server with the application's own door. */
function open(document: BuildDocument) {
  const server = { version: 1, document };
  const session = new BuildSession({
    document,
    version: 1,
    closed: false,
    later: () => () => undefined,
    now: () => 0,
    send: async (version, sent): Promise<SaveAnswer> => {
      try {
        server.document = parseDocument(JSON.parse(JSON.stringify(sent)));
        return { kind: 'saved', version: version + 1 };
      } catch (error) {
        if (!(error instanceof CalcError)) throw error;
        return { kind: 'refused', problem: plainProblemOf(error.refused) };
      }
    },
  });
  return { server, session };
}

const numbersIn = (value: unknown): number[] =>
  typeof value === 'number'
    ? [value]
    : typeof value === 'object' && value !== null
      ? Object.values(value).flatMap(numbersIn)
      : [];

/** Empties figures one after the other, changes another, and says what is wrong with what was saved and found. */
async function wrongAfter(document: BuildDocument, paths: readonly Path[]): Promise<string[]> {
  const { server, session } = open(document);
  for (const path of paths) session.edit([{ path, value: undefined }]);
  session.edit([{ path: ['brief', 'payloadG'], value: 123 }]);
  await session.flush();
  const at = paths.map((path) => path.join('/')).join(', ');
  return [
    ...(session.state.save === 'saved'
      ? []
      : [`${at}: not saved, ${session.state.problem?.path} ${session.state.problem?.message}`]),
    ...(server.document.brief.payloadG === 123 ? [] : [`${at}: the payload is not saved`]),
    ...(numbersIn(evaluateWithParts(server.document)).some((value) => !Number.isFinite(value))
      ? [`${at}: a figure that is none`]
      : []),
  ];
}

const { D } = marshHareDocuments();
/** Emptied together: neighbours stand apart, so that hardly two of a group belong to one thing. */
const GROUPS = 40;

describe('an emptied field stops nothing', () => {
  it.each<[string, BuildDocument, Path[]]>([
    ['of a whole build', D, leaves(D)],
    ['of one that is begun', tinWren, leaves(tinWren)],
    ['of a fresh one', emptyDocument(), declared],
  ])('%s', async (_, document, paths) => {
    expect(paths.length).toBeGreaterThan(30);
    const wrong: string[] = [];
    for (let group = 0; group < GROUPS; group++)
      wrong.push(
        ...(await wrongAfter(
          document,
          paths.filter((_path, index) => index % GROUPS === group),
        )),
      );
    expect(wrong).toEqual([]);
  });

  it('all of them at once', async () => {
    const { server, session } = open(D);
    session.edit(leaves(D).map((path) => ({ path, value: undefined })));
    await session.flush();
    expect(session.state).toMatchObject({ save: 'saved' });
    expect(server.document.unfinished.length).toBeGreaterThan(50);
    expect(numbersIn(evaluateWithParts(server.document)).filter((value) => !Number.isFinite(value))).toEqual(
      [],
    );
  });
});

describe('a value that the server refuses', () => {
  it('is left out, and the rest is saved; mended it is saved too', async () => {
    const { server, session } = open(D);
    session.edit([{ path: ['drive', 'motor', 'kvRpmPerV'], value: -5 }]);
    session.edit([{ path: ['brief', 'payloadG'], value: 200 }]);
    for (let tries = 0; tries < 3; tries++) await session.flush();
    expect(session.state).toMatchObject({ save: 'refused', problem: { path: 'drive.motor.kvRpmPerV' } });
    expect(session.state.document.drive.motor!.kvRpmPerV).toBe(-5);
    expect(server.document).toMatchObject({
      brief: { payloadG: 200 },
      drive: { motor: { kvRpmPerV: D.drive.motor!.kvRpmPerV } },
    });
    session.edit([{ path: ['drive', 'motor', 'kvRpmPerV'], value: 2500 }]);
    await session.flush();
    expect(session.state).toMatchObject({ save: 'saved', problem: undefined });
    expect(server.document.drive.motor!.kvRpmPerV).toBe(2500);
  });

  it('in a new item leaves the item out', async () => {
    const { server, session } = open(D);
    session.edit([
      { path: ['brief', 'surfaces'], value: [...D.brief.surfaces, { id: 'moon', name: 'Moon' }] },
      { path: ['brief', 'payloadG'], value: 200 },
    ]);
    for (let tries = 0; tries < 4; tries++) await session.flush();
    expect(server.document.brief).toEqual({ ...D.brief, payloadG: 200 });
    expect(session.state.save).toBe('refused');
  });
});
