import { SCHEMA_VERSION } from '@/core/car/document/document';
import { emptyDocument } from '@/core/car/document/document';
import { marshHareA } from '@/db/seed/marshHare';
import { DELETE as deleteBuild, GET as readBuild } from '@/app/api/builds/[id]/route';
import { POST as makeBuild } from '@/app/api/builds/route';
import { POST as openNext } from '@/app/api/revisions/[id]/next/route';
import { PUT as save } from '@/app/api/revisions/[id]/route';
import { POST as logRun } from '@/app/api/revisions/[id]/runs/route';
import { call, withOwnDatabase } from './workshop';
import { newBuild, sheet } from './revisionOf';

withOwnDatabase();

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
