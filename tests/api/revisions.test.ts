import { SCHEMA_VERSION } from '@/core/car/document/document';
import { emptyDocument } from '@/core/car/document/document';
import { marshHareA } from '@/db/seed/marshHare';
import { DELETE as deleteBuild, GET as readBuild } from '@/app/api/builds/[id]/route';
import { POST as makeBuild } from '@/app/api/builds/route';
import { POST as noteFailure } from '@/app/api/revisions/[id]/failures/route';
import { POST as openNext } from '@/app/api/revisions/[id]/next/route';
import { GET as report } from '@/app/api/revisions/[id]/report/route';
import { PATCH as describeRevision, PUT as save } from '@/app/api/revisions/[id]/route';
import { POST as logRun } from '@/app/api/revisions/[id]/runs/route';
import { PUT as changeFailure } from '@/app/api/failures/[id]/route';
import { DELETE as deleteRun } from '@/app/api/runs/[id]/route';
import { call, withOwnDatabase } from './workshop';

withOwnDatabase();

let count = 0;
async function newBuild(document: object = marshHareA) {
  const key = `b${++count}`;
  await call(makeBuild, {
    method: 'POST',
    body: { id: key, revisionId: `${key}-a`, name: `Build ${key}`, document },
  });
  return { build: key, revision: `${key}-a` };
}

const sheet = (id: string, document: object = marshHareA) => ({
  id,
  kind: 'timedDistance',
  ranAt: '2026-05-01T10:00:00.000Z',
  document,
  attempts: [
    { id: `${id}-1`, timeS: 2.6 },
    { id: `${id}-2`, timeS: 2.7 },
  ],
  conditions: { surfaceId: 'mownGrass', surfaceName: 'Mown grass', distanceM: 20, runUpM: 25 },
});

describe('a door', () => {
  it.each(['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x', ''])(
    'takes no %s, which a form of another site can send',
    async (kind) => {
      const request = new Request('http://localhost/api/builds', {
        method: 'POST',
        body: '{"id":"x","revisionId":"y","name":"Z"}',
        headers: { 'content-type': kind },
      });
      const response = await makeBuild(request, { params: Promise.resolve(undefined) });
      expect(response.status).toBe(415);
      expect((await response.json()).error).toMatchObject({
        code: 'unsupported',
        remedy: 'send it with content-type: application/json',
      });
    },
  );
});

describe('saving a document', () => {
  it('counts versions, and gives a stale writer the present document', async () => {
    const { revision } = await newBuild();
    const changed = { ...marshHareA, brief: { ...marshHareA.brief, payloadG: 400 } };
    expect(
      await call(save, { method: 'PUT', id: revision, body: { version: 1, document: changed } }),
    ).toMatchObject({ status: 200, json: { version: 2 } });
    const stale = await call(save, {
      method: 'PUT',
      id: revision,
      body: { version: 1, document: marshHareA },
    });
    expect(stale).toMatchObject({
      status: 409,
      json: { error: { code: 'conflict' }, current: { version: 2 } },
    });
    expect(stale.json.current.document.brief.payloadG).toBe(400);
  });

  it('lets one of two writers at once through', async () => {
    const { revision } = await newBuild();
    const answers = await Promise.all(
      [1, 2, 3].map((payloadG) =>
        call(save, {
          method: 'PUT',
          id: revision,
          body: { version: 1, document: { ...marshHareA, brief: { ...marshHareA.brief, payloadG } } },
        }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
  });

  it.each([
    [
      { ...marshHareA, chassis: { ...marshHareA.chassis, massG: -1 } },
      'document.chassis.massG',
      'must be greater than 0',
    ],
    [
      { ...marshHareA, chassis: { ...marshHareA.chassis, weight: 1 } },
      'document.chassis.weight',
      'is not a known field',
    ],
    [
      { ...marshHareA, schemaVersion: 9 },
      'document.schemaVersion',
      `is 9, and this program knows versions up to ${SCHEMA_VERSION}`,
    ],
    [
      { ...emptyDocument(), drive: { stages: [{ id: 's', kind: 'spur', efficiency: 1.2 }] } },
      'document.drive.stages.0.efficiency',
      'must be less than or equal to 1',
    ],
  ])('refuses by path', async (document, path, message) => {
    const { revision } = await newBuild();
    expect(await call(save, { method: 'PUT', id: revision, body: { version: 1, document } })).toMatchObject({
      status: 422,
      json: { error: { code: 'invalid', path, message } },
    });
  });

  it('takes an unfinished build', async () => {
    const { revision } = await newBuild(emptyDocument());
    expect(
      (await call(save, { method: 'PUT', id: revision, body: { version: 1, document: emptyDocument() } }))
        .status,
    ).toBe(200);
  });
});

describe('opening the next revision', () => {
  it('copies the document, closes the parent, and is idempotent', async () => {
    const { build, revision } = await newBuild();
    const body = { id: `${revision}-next`, why: 'too slow', expected: '35 km/h' };
    const first = await call(openNext, { method: 'POST', id: revision, body });
    expect(first).toMatchObject({
      status: 201,
      json: { letter: 'B', parentId: revision, why: 'too slow', document: { brief: { payloadG: 350 } } },
    });
    await call(openNext, { method: 'POST', id: revision, body });
    expect((await call(readBuild, { id: build })).json.revisions).toHaveLength(2);
    expect(
      await call(save, { method: 'PUT', id: revision, body: { version: 1, document: marshHareA } }),
    ).toMatchObject({
      status: 409,
      json: { error: { code: 'locked', message: 'Revision A is closed: B stands on it.' } },
    });
  });

  it('gives a branch the next free letter', async () => {
    const { revision } = await newBuild();
    await call(openNext, { method: 'POST', id: revision, body: { id: `${revision}-1`, why: 'one' } });
    expect(
      (await call(openNext, { method: 'POST', id: revision, body: { id: `${revision}-2`, why: 'another' } }))
        .json,
    ).toMatchObject({ letter: 'C', parentId: revision });
  });

  it('wants a reason', async () => {
    const { revision } = await newBuild();
    expect(await call(openNext, { method: 'POST', id: revision, body: { id: 'x', why: '' } })).toMatchObject({
      status: 422,
      json: { error: { path: 'why' } },
    });
  });
});

describe('runs and failures', () => {
  it('makes one run of two deliveries, with the prediction of its conditions', async () => {
    const { build, revision } = await newBuild();
    const first = await call(logRun, { method: 'POST', id: revision, body: sheet(`${revision}-run`) });
    const second = await call(logRun, { method: 'POST', id: revision, body: sheet(`${revision}-run`) });
    expect([first.status, second.status]).toEqual([201, 200]);
    expect(second.json).toEqual(first.json);
    expect((await call(readBuild, { id: build })).json.runs).toHaveLength(1);
    expect(first.json.prediction.massKg).toBeCloseTo((1595 + 350) / 1000, 9);
    expect(first.json.prediction.timeS * first.json.prediction.speedMps).toBeCloseTo(20, 9);
  });

  it('keeps a run of a build that is not ready for a prediction', async () => {
    const { revision } = await newBuild(emptyDocument());
    const run = await call(logRun, {
      method: 'POST',
      id: revision,
      body: sheet(`${revision}-run`, emptyDocument()),
    });
    expect(run.status).toBe(201);
    expect(run.json).not.toHaveProperty('prediction');
  });

  it('refuses an attempt timed in two ways, at its place', async () => {
    const { revision } = await newBuild();
    const body = {
      ...sheet('two'),
      attempts: [
        { id: 'a', timeS: 2 },
        { id: 'b', timeS: 2, frames: 10 },
      ],
    };
    expect(await call(logRun, { method: 'POST', id: revision, body })).toMatchObject({
      status: 422,
      json: { error: { path: 'attempts.1.timeS', message: 'give exactly one of timeS, frames, clipTimeS' } },
    });
  });

  it('ties a failure to a run of its own build, and a run with a failure stays', async () => {
    const { revision } = await newBuild();
    const other = await newBuild();
    const run = `${revision}-run`;
    await call(logRun, { method: 'POST', id: revision, body: sheet(run) });
    const failure = {
      id: `${revision}-f`,
      mode: 'toothStrip',
      partName: 'Main gear',
      runId: run,
      occurredAt: '2026-05-01T10:10:00.000Z',
    };
    expect((await call(noteFailure, { method: 'POST', id: revision, body: failure })).status).toBe(201);
    expect((await call(noteFailure, { method: 'POST', id: revision, body: failure })).status).toBe(200);
    expect(
      await call(noteFailure, { method: 'POST', id: other.revision, body: { ...failure, id: 'other' } }),
    ).toMatchObject({ status: 404, json: { error: { path: 'runId' } } });
    expect(await call(deleteRun, { method: 'DELETE', id: run })).toMatchObject({
      status: 409,
      json: { error: { code: 'inUse' } },
    });
    const fixed = await call(changeFailure, {
      method: 'PUT',
      id: failure.id,
      body: { version: 1, sheet: { ...failure, fix: 'twice the face', fixRevisionId: revision } },
    });
    expect(fixed.json).toMatchObject({
      version: 2,
      fix: 'twice the face',
      fixRevisionId: revision,
      runId: run,
    });
  });

  it('refuses an unknown mode', async () => {
    const { revision } = await newBuild();
    const body = {
      id: 'f',
      mode: 'explosion',
      partName: 'Main gear',
      occurredAt: '2026-05-01T10:10:00.000Z',
    };
    expect(await call(noteFailure, { method: 'POST', id: revision, body })).toMatchObject({
      status: 422,
      json: { error: { path: 'mode' } },
    });
  });
});

it('answers what is not there, not JSON or too large in words, without a stack', async () => {
  expect(await call(readBuild, { id: 'nowhere' })).toMatchObject({
    status: 404,
    json: { error: { code: 'notFound' } },
  });
  expect(await call(makeBuild, { method: 'POST', text: '{' })).toMatchObject({
    status: 400,
    json: { error: { code: 'malformed' } },
  });
  const large = await call(makeBuild, {
    method: 'POST',
    text: JSON.stringify({ name: 'x'.repeat(3_000_000) }),
  });
  expect(large).toMatchObject({ status: 413, json: { error: { code: 'tooLarge' } } });
  expect(large.text).not.toMatch(/ at .*:\d+|\.ts:|select /);
});

it('takes a build out with everything on it', async () => {
  const { build, revision } = await newBuild();
  await call(logRun, { method: 'POST', id: revision, body: sheet(`${revision}-run`) });
  await call(deleteBuild, { method: 'DELETE', id: build });
  expect((await call(readBuild, { id: build })).status).toBe(404);
});

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
