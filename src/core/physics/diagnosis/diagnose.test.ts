import { type DiagnoseInput, failureDiagnose } from './diagnose';
import examples from './examples.json';
import { TABLES } from './tables';

const split: DiagnoseInput = { mode: 'layerSplit', clues: ['flatBreak'] };

describe('the tables', () => {
  const causeIds = TABLES.causes.map(({ id }) => id);
  const checkIds = TABLES.checks.map(({ id }) => id);
  const lists = [
    ...Object.entries(TABLES.modes).map(
      ([id, { usual, possible }]) => [id, [...usual, ...possible]] as const,
    ),
    ...[TABLES.clues, TABLES.partKinds, TABLES.changes].flatMap((table) =>
      Object.entries(table).map(
        ([id, { strong, weak, against = [] }]) => [id, [...strong, ...weak, ...against]] as const,
      ),
    ),
    ...[...TABLES.conditions, ...TABLES.history].map(
      ({ id, strong, weak, against = [] }) => [id, [...strong, ...weak, ...against]] as const,
    ),
    ...Object.entries(TABLES.margins),
  ];

  it.each(lists)('know every cause of %s, and none twice', (_, causes) => {
    expect(causes.filter((cause) => !causeIds.includes(cause))).toEqual([]);
    expect(new Set(causes).size).toBe(causes.length);
  });

  it('give every cause a mode, a clue and a check, and every id once', () => {
    for (const { id, check } of TABLES.causes) {
      expect(
        Object.values(TABLES.modes).some(
          ({ usual, possible }) => usual.includes(id) || possible.includes(id),
        ),
      ).toBe(true);
      expect(
        Object.values(TABLES.clues).some(({ strong, weak }) => strong.includes(id) || weak.includes(id)),
      ).toBe(true);
      expect(checkIds).toContain(check);
    }
    expect([new Set(causeIds).size, new Set(checkIds).size]).toEqual([causeIds.length, checkIds.length]);
    expect([causeIds.length, Object.keys(TABLES.modes).length, Object.keys(TABLES.clues).length]).toEqual([
      68, 30, 53,
    ]);
  });
});

describe('a diagnosis', () => {
  it('shares as reckoned by hand: two suspects of 0.402, the lines first', () => {
    const { suspects, nextCheck } = failureDiagnose(split);
    // 2·e^3.5 + 8 + 2·e^−1 + 55·e^−2 + e^−3
    const sum = 2 * Math.exp(3.5) + 8 + 2 * Math.exp(-1) + 55 * Math.exp(-2) + Math.exp(-3);
    expect(suspects.slice(0, 2).map(({ cause }) => cause)).toEqual(['layersAcrossLoad', 'layersPoorlyFused']);
    expect(suspects[0]!.share).toBeCloseTo(Math.exp(3.5) / sum, 9);
    expect(suspects[0]!.share).toBe(suspects[1]!.share);
    expect(nextCheck).toMatchObject({ check: 'linesAcrossLoad', minutes: 1 });
    expect(nextCheck!.bitsPerMinute).toBeCloseTo(0.702, 3);
    expect(suspects[1]!.check).toMatchObject({ id: 'peelOffcut', bitsPerMinute: expect.closeTo(0.234, 3) });
  });

  it.each(examples.map(({ story, input, trueCause }) => [story, input as DiagnoseInput, trueCause] as const))(
    '%s',
    (_, input, trueCause) => {
      expect(
        failureDiagnose(input)
          .suspects.slice(0, 2)
          .map(({ cause }) => cause),
      ).toContain(trueCause);
    },
  );

  it('moves with what its checks say, and their shares keep adding up', () => {
    const no = failureDiagnose({ ...split, outcomes: [{ check: 'linesAcrossLoad', result: 'no' }] });
    expect(no.suspects[0]!.cause).toBe('layersPoorlyFused');
    expect(no.nextCheck!.check).not.toBe('linesAcrossLoad');
    const yes = failureDiagnose({ ...split, outcomes: [{ check: 'linesAcrossLoad', result: 'yes' }] });
    expect(yes.suspects[0]).toMatchObject({ cause: 'layersAcrossLoad', check: { result: 'yes' } });
    expect(yes.notes).toContainEqual(expect.objectContaining({ code: 'note.diagnosis.clear' }));
    const unclear = failureDiagnose({
      ...split,
      outcomes: [{ check: 'linesAcrossLoad', result: 'unclear' }],
    });
    expect(unclear.suspects.map(({ share }) => share)).toEqual(
      failureDiagnose(split).suspects.map(({ share }) => share),
    );
  });

  it('counts the smallest margin of the longest prefix once, and names those that it does not know', () => {
    const of = (margins: Record<string, number>) =>
      failureDiagnose({ ...split, margins }).suspects.find(({ cause }) => cause === 'layersAcrossLoad')!;
    expect(of({ 'parts.layer:arm': 0.7 }).share).toBeGreaterThan(of({}).share);
    expect(of({ 'parts.layer:arm': 0.7, 'parts.layer:carrier': 3 }).share).toBe(
      of({ 'parts.layer:arm': 0.7 }).share,
    );
    expect(of({ 'parts.layer:arm': 0.7 }).why).toContainEqual({
      code: 'note.diagnosis.margin',
      facts: { for: true, key: 'parts.layer:arm', margin: { value: 0.7, quantity: 'coefficient' } },
    });
    expect(failureDiagnose({ ...split, margins: { 'moon.phase': 1 } }).notes).toContainEqual({
      code: 'note.diagnosis.unusedMargins',
      facts: { margins: ['moon.phase'] },
    });
  });

  it('lets the same evidence count once: a hot motor by its clue or by its reading', () => {
    const hot: DiagnoseInput = { mode: 'loosening', clues: ['motorHot'] };
    expect(failureDiagnose({ ...hot, conditions: { motorCaseC: 96 } }).suspects).toEqual(
      failureDiagnose(hot).suspects,
    );
  });

  it.each([
    [{ mode: 'sulking' }, 'mode'],
    [{ mode: 'own', partKind: 'soul' }, 'partKind'],
    [{ mode: 'own', clues: ['flatBreak', 'fullMoon'] }, 'clues.1'],
    [{ mode: 'own', clues: ['flatBreak', 'smell', 'flatBreak'] }, 'clues.2'],
    [{ mode: 'own', conditions: { surface: 'moon' } }, 'conditions.surface'],
    [{ mode: 'own', history: { changesSinceGood: ['mood'] } }, 'history.changesSinceGood.0'],
    [{ mode: 'own', outcomes: [{ check: 'pray', result: 'yes' as const }] }, 'outcomes.0.check'],
    [
      {
        mode: 'own',
        outcomes: [
          { check: 'peelOffcut', result: 'yes' as const },
          { check: 'peelOffcut', result: 'no' as const },
        ],
      },
      'outcomes.1',
    ],
  ])('refuses %j at its place', (input, path) => {
    expect(() => failureDiagnose(input as DiagnoseInput)).toThrow(expect.objectContaining({ path }));
  });
});
