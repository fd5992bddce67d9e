import { emptyDocument } from '@/core/car/document/document';
import { GET as readBuild } from '@/app/api/builds/[id]/route';
import { POST as noteFailure } from '@/app/api/revisions/[id]/failures/route';
import { POST as logRun } from '@/app/api/revisions/[id]/runs/route';
import { PUT as changeFailure } from '@/app/api/failures/[id]/route';
import { DELETE as deleteRun } from '@/app/api/runs/[id]/route';
import { call, withOwnDatabase } from './workshop';
import { newBuild, sheet } from './revisionOf';

withOwnDatabase();

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
