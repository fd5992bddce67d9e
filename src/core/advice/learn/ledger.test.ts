import { emptyDocument, type BuildDocument } from '../../car/document/document';
import { applyPatch } from '../../base/patch';
import { changesOf } from './changesOf';
import { TABLES } from '../../physics/diagnosis/tables';
import { failureDiagnose } from '../../physics/diagnosis/diagnose';
import { diagnosisMargins } from './margins';
import { openFailures } from '../../verdict/learn/openFailures.check';
import { askDiagnosis, reopened } from '../../worked/field/ledger';
import { isOpen } from '../../car/records/openFailure';
import { livesOfParts } from '../../worked/field/lives';
import type { FailureRecord } from '../../car/records/records';
import { evaluateBuild } from '../../verdict/evaluate';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { document, run, failure, onRecord, line } from '../../fixtures/learnRecord';

describe('the ledger', () => {
  it('asks with what run, part and record know, and leaves out what the tables do not', () => {
    const at = run('a', 5, {
      conditions: {
        surfaceId: 'asphalt',
        surfaceName: 'Asphalt',
        ambientC: 12,
        extraMassG: 250,
        packVAfter: 7.4,
      },
    });
    const { input, notes } = askDiagnosis(
      failure({
        mode: 'sulking',
        ledger: {
          clues: ['afterKerb', 'fullMoon'],
          wet: true,
          outcomes: [{ check: 'pray', result: 'yes', at: '' }],
        },
      }),
      document,
      at,
      {},
      2,
    );
    expect(input).toMatchObject({
      mode: 'own',
      partKind: 'knuckle',
      clues: ['afterKerb'],
      conditions: { ambientC: 12, extraMassG: 250, wet: true },
      history: { hours: 2 },
      outcomes: [],
    });
    expect(input.conditions!.stateOfCharge).toBeGreaterThan(0);
    expect(notes).toEqual([
      { code: 'note.diagnosis.unknownMode', facts: { mode: 'sulking' } },
      { code: 'note.diagnosis.unknownClues', facts: { clues: ['fullMoon'] } },
    ]);
    expect(failureDiagnose(input).suspects.length).toBeGreaterThan(2);
  });

  it('is opened again with its history, the fix among what changed', () => {
    const closed = failure({
      fix: 'thicker',
      fixRevisionId: 'b',
      ledger: {
        clues: ['afterKerb'],
        outcomes: [{ check: 'peelOffcut', result: 'no', at: '2026-05-01' }],
        verdict: { cause: 'wallTooThin', at: '2026-05-02' },
      },
    });
    expect(isOpen(closed)).toBe(false);
    const again = reopened(closed, ['partShape']);
    expect(isOpen(again)).toBe(true);
    expect(again.ledger).toEqual({
      clues: ['afterKerb'],
      rounds: [{ outcomes: closed.ledger!.outcomes, verdict: closed.ledger!.verdict }],
      changesSinceGood: ['partShape'],
    });
    expect(askDiagnosis(again, document, undefined, {}).input.history).toMatchObject({
      sameModeBefore: true,
      changesSinceGood: ['partShape'],
    });
  });

  it('is open until a fix or a verdict closes it', () => {
    expect(openFailures.find(onRecord({}))).toEqual({ missing: ['runs:orFailure'] });
    expect(openFailures.find(onRecord({ runs: [run('a', 5)] }))).toMatchObject({ state: 'clear' });
    expect(
      openFailures.find(onRecord({ failures: [failure(), failure({ id: 'g', fix: 'thicker' })] })),
    ).toMatchObject({
      state: 'tight',
      value: 1,
    });
  });
});

it('gives a diagnosis the margins of the checks, and of parts in and between their layers', () => {
  const stood: BuildDocument = {
    ...document,
    parts: {
      items: [
        {
          id: 'arm',
          name: 'Arm',
          kind: 'steeringArm',
          material: TYPICAL_MATERIALS.petg,
          layers: 'across',
          shape: {
            as: 'beam',
            profile: 'plate',
            support: 'cantilever',
            lengthMm: 40,
            widthMm: 20,
            heightMm: 5,
          },
          loads: [{ id: 'l', from: 'own', forceN: 100 }],
        },
      ],
    },
  };
  const margins = diagnosisMargins(stood, evaluateBuild(stood));
  // 27 MPa · 20 · 25 / 6 / 40 mm = 56.25 N of 100 N, between the layers
  expect(margins['parts.layer:arm']).toBeCloseTo(0.5625, 9);
  expect(margins['parts.arm']).toBeCloseTo(0.5625, 9);
  expect(margins['brief.mass']).toBeGreaterThan(1);
});

describe('what a fix changed', () => {
  const changed = (path: string[], value: unknown) =>
    changesOf(document, applyPatch(document, [{ path, value }]));
  it.each([
    [['drive', 'stages', 's', 'pinionTeeth'], 12, ['gearing']],
    [['parts', 'items', 'arm', 'layers'], 'across', ['printOrientation']],
    [['parts', 'items', 'arm', 'shape', 'heightMm'], 9, ['partShape']],
    [['chassis', 'massG'], 1400, ['weight']],
    [['power', 'loads'], [{ id: 'x', name: 'Servo', kind: 'servo', rail: 'battery' }], ['servo']],
    [['brief', 'budget'], 100, []],
  ])('at %j', (path, value, ids) => expect(changed(path, value)).toEqual(ids));

  it('is known to the tables whatever it is', () => {
    const whole = changesOf(emptyDocument(), document);
    for (const id of whole) expect(TABLES.changes[id]).toBeDefined();
    expect(whole).toEqual(
      expect.arrayContaining(['motor', 'pack', 'controller', 'tyres', 'gearing', 'weight']),
    );
  });
});

describe('a failure of what is no part', () => {
  const gone = failure({ partId: 'deleted', partName: 'Belt', ledger: { lostMinutes: 40 } });
  it('counts by its name over all that was driven, and says so where it is looked into', () => {
    const typed: FailureRecord = { ...failure({ id: 'g', partName: 'belt ' }), partId: undefined };
    const belt = livesOfParts(line, [run('a', 60), run('d', 60)], [gone, typed]).find(
      ({ name }) => name === 'Belt',
    )!;
    expect(belt).toMatchObject({ failures: 2, lostMinutes: 40, hours: 2 });
    expect(askDiagnosis(gone, document, undefined, {}).notes).toEqual([
      { code: 'note.diagnosis.noPart', facts: { part: 'Belt' } },
    ]);
  });
});
