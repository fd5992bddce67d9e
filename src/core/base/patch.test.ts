import fc from 'fast-check';
import { applyPatch, changesBetween, inverseOf, mergeDocuments, valueAt, withValue } from './patch';

const base = {
  chassis: { wheelbaseMm: 280, massG: 1600 },
  drive: {
    stages: [
      { id: 'a', pinionTeeth: 15 },
      { id: 'b', pinionTeeth: 12 },
    ],
    motor: { libraryId: 'm1', name: 'One', kv: 3000, winding: 22 },
  },
};
type Document = typeof base;

describe('paths', () => {
  it('go into lists by id', () => {
    expect(valueAt(base, ['drive', 'stages', 'b', 'pinionTeeth'])).toBe(12);
    expect(valueAt(base, ['drive', 'stages', 'c', 'pinionTeeth'])).toBeUndefined();
    const next = withValue(base, ['drive', 'stages', 'b', 'pinionTeeth'], 13);
    expect(next.drive.stages).toEqual([
      { id: 'a', pinionTeeth: 15 },
      { id: 'b', pinionTeeth: 13 },
    ]);
    expect(base.drive.stages[1]!.pinionTeeth).toBe(12);
  });

  it('add, and take out with undefined', () => {
    expect(withValue(base, ['drive', 'stages', 'c'], { id: 'c' }).drive.stages.map(({ id }) => id)).toEqual([
      'a',
      'b',
      'c',
    ]);
    expect(withValue(base, ['drive', 'stages', 'a'], undefined).drive.stages.map(({ id }) => id)).toEqual([
      'b',
    ]);
    expect(withValue(base, ['chassis', 'massG'], undefined).chassis).toEqual({ wheelbaseMm: 280 });
  });

  it('lead back by the inverse', () => {
    const edits = fc.constantFrom(
      { path: ['chassis', 'massG'], value: 5 },
      { path: ['chassis', 'massG'], value: undefined },
      { path: ['chassis', 'trackMm'], value: 1 },
      { path: ['drive', 'stages', 'a', 'pinionTeeth'], value: 9 },
      { path: ['drive', 'motor'], value: undefined },
    );
    fc.assert(
      fc.property(
        fc.uniqueArray(edits, { maxLength: 5, selector: ({ path }) => path.join('.') }),
        (patch) => {
          expect(applyPatch(applyPatch(base, patch), inverseOf(base, patch))).toEqual(base);
        },
      ),
    );
  });
});

describe('changes', () => {
  it('are leaves, and rebuild the other document', () => {
    const after = applyPatch(base, [
      { path: ['chassis', 'massG'], value: 1700 },
      { path: ['drive', 'stages', 'b'], value: undefined },
      { path: ['drive', 'stages', 'c'], value: { id: 'c', pinionTeeth: 20 } },
    ]);
    const changes = changesBetween(base, after);
    expect(changes.map(({ path }) => path.join('.')).sort()).toEqual([
      'chassis.massG',
      'drive.stages.b',
      'drive.stages.c',
    ]);
    expect(
      applyPatch(
        base,
        changes.map(({ path, after: value }) => ({ path, value })),
      ),
    ).toEqual(after);
  });

  it('count an exchanged library item once', () => {
    const after = withValue(base, ['drive', 'motor'], {
      libraryId: 'm2',
      name: 'Two',
      kv: 2000,
      winding: 22,
    });
    expect(changesBetween(base, after)).toHaveLength(1);
  });
});

describe('merging two tabs', () => {
  const edit = (path: string[], value: unknown) => withValue<Document>(base, path, value);

  it('keeps both where the fields differ', () => {
    const { document, conflicts } = mergeDocuments(
      base,
      edit(['chassis', 'massG'], 1700),
      edit(['chassis', 'wheelbaseMm'], 290),
    );
    expect(document.chassis).toEqual({ wheelbaseMm: 290, massG: 1700 });
    expect(conflicts).toEqual([]);
  });

  it('carries both values where the field is the same', () => {
    const { document, conflicts } = mergeDocuments(
      base,
      edit(['chassis', 'massG'], 1700),
      edit(['chassis', 'massG'], 1500),
    );
    expect(document.chassis.massG).toBe(1500);
    expect(conflicts).toEqual([{ path: ['chassis', 'massG'], mine: 1700, theirs: 1500 }]);
  });

  it('does not ask where both say the same', () => {
    expect(
      mergeDocuments(base, edit(['chassis', 'massG'], 1700), edit(['chassis', 'massG'], 1700)).conflicts,
    ).toEqual([]);
  });

  it('asks about the whole motor where one was exchanged and the other edited', () => {
    const { conflicts } = mergeDocuments(
      base,
      edit(['drive', 'motor', 'kv'], 3100),
      edit(['drive', 'motor'], { libraryId: 'm2', name: 'Two', kv: 2000, winding: 30 }),
    );
    expect(conflicts.map(({ path }) => path)).toEqual([['drive', 'motor']]);
  });

  it('never loses a value: each change of mine is in the result or in a conflict', () => {
    const change = fc.record({
      massG: fc.integer({ min: 1, max: 3 }),
      wheelbaseMm: fc.integer({ min: 1, max: 3 }),
    });
    fc.assert(
      fc.property(change, change, (mine, theirs) => {
        const { document, conflicts } = mergeDocuments(
          base,
          { ...base, chassis: mine },
          { ...base, chassis: theirs },
        );
        for (const key of ['massG', 'wheelbaseMm'] as const) {
          const asked = conflicts.find(({ path }) => path[1] === key);
          if (mine[key] !== base.chassis[key])
            expect([document.chassis[key], asked?.mine]).toContain(mine[key]);
          if (theirs[key] !== base.chassis[key])
            expect([document.chassis[key], asked?.theirs]).toContain(theirs[key]);
        }
      }),
    );
  });
});
