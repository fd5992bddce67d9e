import { parse } from '../../base/schema/parse';
import { TABLES } from '../../physics/diagnosis/tables';
import { PART_KIND_RECORDS, PART_KINDS, startOfPart } from './partKinds';
import { partsSchema } from './parts.schema';

describe('kinds of part', () => {
  it.each(PART_KINDS)('%s begins as a part that the document takes', (kind) => {
    const part = { id: 'p', name: 'A part', kind, ...startOfPart(kind) };
    expect(parse(partsSchema, { items: [part] })).toEqual({ items: [part] });
  });

  it('that carry are drawn, loaded, and neither bought nor weighed elsewhere', () => {
    for (const kind of PART_KINDS.filter((one) => PART_KIND_RECORDS[one].carries)) {
      const { bought, weighedWhereChosen } = PART_KIND_RECORDS[kind];
      expect([kind, bought, weighedWhereChosen]).toEqual([kind, undefined, undefined]);
      expect(startOfPart(kind).loads.length).toBeGreaterThan(0);
    }
  });

  it('go by words that the tables of the diagnosis know, where they go by another', () => {
    const said = PART_KINDS.flatMap((kind) => PART_KIND_RECORDS[kind].diagnosedAs ?? []);
    expect(said.length).toBeGreaterThan(0);
    for (const word of said) expect(Object.keys(TABLES.partKinds)).toContain(word);
  });

  it('that the document weighs where they are chosen are what it has a choice of', () => {
    expect(PART_KINDS.filter((kind) => PART_KIND_RECORDS[kind].weighedWhereChosen).sort()).toEqual(
      ['battery', 'controller', 'motor', 'receiver', 'servo', 'tyre', 'wheel'].sort(),
    );
  });
});
