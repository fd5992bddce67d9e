import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import type { Problem } from '@/core/base/errors';
import { BuildSession, type KeptSteps, type SaveAnswer } from './buildSession';

/** A session on a server and a clock that the test drives. */
function withServer() {
  const server: { version: number; document: BuildDocument; down: boolean; problem?: Problem } = {
    version: 1,
    document: emptyDocument(),
    down: false,
  };
  const waiting: (() => void)[] = [];
  const open = (keepSteps?: (steps: KeptSteps) => void) =>
    new BuildSession({
      ...(keepSteps ? { keepSteps } : {}),
      document: server.document,
      version: server.version,
      closed: false,
      later: (run) => {
        waiting.push(run);
        return () => waiting.splice(waiting.indexOf(run), 1);
      },
      now: () => 0,
      send: async (version, document): Promise<SaveAnswer> => {
        if (server.problem) return { kind: 'unreachable', problem: server.problem };
        if (server.down) return { kind: 'unreachable' };
        if (version !== server.version)
          return { kind: 'conflict', version: server.version, document: server.document };
        server.version += 1;
        server.document = document;
        return { kind: 'saved', version: server.version };
      },
    });
  const settleOnce = async () => {
    waiting.shift()!();
    await new Promise((resolve) => setImmediate(resolve));
  };
  const settle = async () => {
    while (waiting.length > 0) await settleOnce();
  };
  return { server, open, settle, settleOnce };
}

const wheelbase = (value: number | undefined) => [{ path: ['chassis', 'wheelbaseMm'], value }];
const track = (value: number) => [{ path: ['chassis', 'trackFrontMm'], value }];
const chassis = ({ chassis: all }: BuildDocument) => all;

describe('a build session', () => {
  it('saves what was edited, and says when', async () => {
    const { server, open, settle } = withServer();
    const session = open();
    session.edit(wheelbase(280));
    expect(session.state.save).toBe('unsaved');
    await settle();
    expect(session.state.save).toBe('saved');
    expect(chassis(server.document)).toEqual({ wheelbaseMm: 280 });
  });

  it('counts one drag as one step of undo', async () => {
    const { open } = withServer();
    const session = open();
    session.edit(wheelbase(270), 'drag');
    for (const value of [280, 290, 300]) session.edit(wheelbase(value), 'drag');
    session.endStep();
    session.edit(wheelbase(310), 'drag');
    session.undo();
    expect(chassis(session.state.document)).toEqual({ wheelbaseMm: 300 });
    session.undo();
    expect(chassis(session.state.document)).toEqual({});
    expect(session.state.canUndo).toBe(false);
    session.redo();
    session.redo();
    expect(chassis(session.state.document)).toEqual({ wheelbaseMm: 310 });
  });

  it('counts a figure that was typed again as no step', async () => {
    const { open } = withServer();
    const session = open();
    session.edit(wheelbase(280));
    session.edit(track(150), 'track');
    session.endStep();
    for (const value of [1, 15, 150]) session.edit(track(value), 'track');
    session.endStep();
    for (const value of [151, 152]) session.edit(track(value), 'track');
    session.undo();
    expect(chassis(session.state.document)).toEqual({ wheelbaseMm: 280, trackFrontMm: 150 });
    session.undo();
    expect(chassis(session.state.document)).toEqual({ wheelbaseMm: 280 });
    session.undo();
    session.edit(wheelbase(5), 'typed');
    session.edit(wheelbase(undefined), 'typed');
    session.endStep();
    expect([chassis(session.state.document), session.state.canUndo]).toEqual([{}, false]);
  });

  it('takes its steps up again after the page was loaded anew', async () => {
    const { open, settle } = withServer();
    const kept: KeptSteps[] = [];
    const session = open((steps) => kept.push(JSON.parse(JSON.stringify(steps)) as KeptSteps));
    session.edit(wheelbase(280));
    session.edit(wheelbase(300));
    session.undo();
    await settle();
    const again = open();
    expect(again.state.canUndo).toBe(false);
    again.restore(kept.at(-1)!);
    expect(again.state).toMatchObject({ canUndo: true, canRedo: true });
    again.redo();
    expect(chassis(again.state.document)).toEqual({ wheelbaseMm: 300 });
    again.undo();
    again.undo();
    expect(chassis(again.state.document)).toEqual({});
  });

  it('undoes its own edit and leaves the other tab’s alone', async () => {
    const { server, open, settle } = withServer();
    const [one, two] = [open(), open()];
    one.edit(wheelbase(280));
    await settle();
    two.edit(track(200));
    await settle();
    expect(chassis(two.state.document)).toEqual({ wheelbaseMm: 280, trackFrontMm: 200 });
    two.undo();
    await settle();
    expect(chassis(server.document)).toEqual({ wheelbaseMm: 280 });
  });

  it('asks where both changed one field, and keeps either', async () => {
    for (const [keep, kept] of [
      ['mine', 300],
      ['theirs', 280],
    ] as const) {
      const { server, open, settle } = withServer();
      const [one, two] = [open(), open()];
      one.edit(wheelbase(280));
      await settle();
      two.edit(wheelbase(300));
      await settle();
      expect(two.state.conflicts).toEqual([{ path: ['chassis', 'wheelbaseMm'], mine: 300, theirs: 280 }]);
      two.settle(['chassis', 'wheelbaseMm'], keep);
      await settle();
      expect(two.state.conflicts).toEqual([]);
      expect(chassis(server.document).wheelbaseMm).toBe(kept);
    }
  });

  it('keeps edits through a lost connection and sends them again', async () => {
    const { server, open, settle } = withServer();
    const session = open();
    server.down = true;
    session.edit(wheelbase(280));
    await session.flush();
    expect(session.state.save).toBe('failed');
    server.down = false;
    await settle();
    expect(session.state.save).toBe('saved');
    expect(chassis(server.document)).toEqual({ wheelbaseMm: 280 });
  });

  it('says what the server said where it could not save, and sends it again', async () => {
    const { server, open, settleOnce, settle } = withServer();
    const session = open();
    const full = {
      path: '',
      message: 'The disk of the database is full.',
      remedy: 'make room on the disk and save again',
    };
    server.problem = full;
    session.edit(wheelbase(280));
    await settleOnce();
    expect(session.state).toMatchObject({ save: 'failed', problem: full });
    delete server.problem;
    await settle();
    expect([session.state.save, chassis(server.document)]).toEqual(['saved', { wheelbaseMm: 280 }]);
  });

  it('takes over what is newer, but never over edits of its own', async () => {
    const { open } = withServer();
    const session = open();
    session.adopt(5, { ...emptyDocument(), chassis: { wheelbaseMm: 111 } });
    expect(chassis(session.state.document).wheelbaseMm).toBe(111);
    session.edit(wheelbase(222));
    session.adopt(9, { ...emptyDocument(), chassis: { wheelbaseMm: 333 } });
    expect(chassis(session.state.document).wheelbaseMm).toBe(222);
  });

  it('takes no edit while it is closed by hand, nor takes one back, and takes them again when it is open', async () => {
    const { server, open } = withServer();
    const session = open();
    session.edit(wheelbase(280));
    await session.flush();
    session.setClosed(true);
    session.edit(wheelbase(300));
    session.undo();
    expect(session.state).toMatchObject({ save: 'closed', canUndo: false });
    expect(chassis(session.state.document).wheelbaseMm).toBe(280);
    session.setClosed(false);
    session.edit(wheelbase(310));
    await session.flush();
    expect(chassis(server.document).wheelbaseMm).toBe(310);
  });
});
