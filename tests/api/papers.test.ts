import { marshHareA } from '@/db/seed/marshHare';
import { POST as noteFailure } from '@/app/api/revisions/[id]/failures/route';
import { POST as openNext } from '@/app/api/revisions/[id]/next/route';
import { GET as report } from '@/app/api/revisions/[id]/report/route';
import { PATCH as describeRevision, PUT as save } from '@/app/api/revisions/[id]/route';
import { POST as logRun } from '@/app/api/revisions/[id]/runs/route';
import { call, withOwnDatabase } from './workshop';
import { newBuild, sheet } from './revisionOf';

withOwnDatabase();

describe('what is said of a revision', () => {
  it('keeps what it taught, and goes back to the record when that is emptied', async () => {
    const { revision } = await newBuild();
    expect(
      await call(describeRevision, { method: 'PATCH', id: revision, body: { learned: ' Wide is good. ' } }),
    ).toMatchObject({ status: 200, json: { learned: 'Wide is good.', version: 1 } });
    expect(
      (await call(describeRevision, { method: 'PATCH', id: revision, body: { learned: '' } })).json.learned,
    ).toBeUndefined();
    expect(await call(describeRevision, { method: 'PATCH', id: revision, body: {} })).toMatchObject({
      status: 422,
    });
    expect(
      await call(describeRevision, { method: 'PATCH', id: revision, body: { learned: 'x'.repeat(4001) } }),
    ).toMatchObject({ status: 422, json: { error: { path: 'learned' } } });
  });

  it('closes it to changes, not to runs, and opens it again while nothing stands on it', async () => {
    const { revision } = await newBuild();
    expect(
      (await call(describeRevision, { method: 'PATCH', id: revision, body: { closed: true } })).json.closedAt,
    ).toMatch(/^20/);
    expect(
      await call(save, { method: 'PUT', id: revision, body: { version: 1, document: marshHareA } }),
    ).toMatchObject({
      status: 409,
      json: { error: { code: 'locked', remedy: expect.stringContaining('open A again') } },
    });
    expect(
      (await call(logRun, { method: 'POST', id: revision, body: sheet(`${revision}-late`) })).status,
    ).toBe(201);
    expect(
      (await call(describeRevision, { method: 'PATCH', id: revision, body: { closed: false } })).json
        .closedAt,
    ).toBeUndefined();
    expect(
      (await call(save, { method: 'PUT', id: revision, body: { version: 1, document: marshHareA } })).status,
    ).toBe(200);
    await call(openNext, { method: 'POST', id: revision, body: { id: `${revision}-next`, why: 'wider' } });
    expect(
      await call(describeRevision, { method: 'PATCH', id: revision, body: { closed: false } }),
    ).toMatchObject({ status: 409, json: { error: { code: 'locked' } } });
  });
});

describe('the papers of a revision', () => {
  const asked = (id: string, kind: string) =>
    report(
      new Request(`http://localhost/api/revisions/${id}/report?kind=${kind}`, {
        headers: { cookie: 'reader-units=imperial' },
      }),
      { params: Promise.resolve({ id }) },
    );

  it.each(['build', 'test'])('come as a PDF of several things: %s', async (kind) => {
    const { revision } = await newBuild();
    await call(logRun, { method: 'POST', id: revision, body: sheet(`${revision}-run`) });
    const photo = { hash: 'e'.repeat(64), caption: 'gone' };
    await call(noteFailure, {
      method: 'POST',
      id: revision,
      body: {
        id: `${revision}-f`,
        mode: 'crack',
        partName: 'Bumper',
        occurredAt: '2026-05-01T11:00:00.000Z',
        ledger: { photos: [photo] },
      },
    });
    const answer = await asked(revision, kind);
    expect(answer.headers.get('content-type')).toBe('application/pdf');
    expect(answer.headers.get('content-disposition')).toMatch(
      /filename="build-b\d+-a-(build-sheet|test-report)\.pdf"/,
    );
    const bytes = Buffer.from(await answer.arrayBuffer()).toString('latin1');
    expect(bytes).toMatch(/^%PDF-/);
    // Letter, because the reader measures in inches
    expect(bytes).toMatch(/\/MediaBox \[0 0 612(\.0+)? 792(\.0+)?\]/);
    expect(bytes.match(/\/Type \/Page\b/g)!.length).toBeGreaterThan(0);
  });

  it('are refused by name', async () => {
    const { revision } = await newBuild();
    expect((await asked(revision, 'poem')).status).toBe(422);
    expect((await asked('nowhere', 'build')).status).toBe(404);
  });
});
