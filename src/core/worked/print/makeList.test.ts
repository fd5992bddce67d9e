import type { BuildDocument } from '../../car/document/document';
import { evaluateBuild } from '../../verdict/evaluate';
import { car } from '../../fixtures/car';
import { liesMark } from './lies';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { makeFromCsv, makeToCsv } from './makeCsv';
import { makeList, totalsOf } from './makeList';

const mesh = { hash: 'a'.repeat(64), name: 'block.stl', unitMm: 1, up: [0, 0, 1] as const };
/** A block of 10 × 20 × 40 mm that lies: 2 g of plastic of 0.25 g/cm³. */
const block: BuildDocument = {
  ...car,
  brief: { ...car.brief, budget: 200 },
  parts: {
    items: [
      {
        id: 'block',
        name: 'Block',
        kind: 'arm',
        material: { ...TYPICAL_MATERIALS.petg, densityGPerCm3: 0.25, pricePerKg: 100 },
        mesh: {
          ...mesh,
          lies: {
            of: liesMark(mesh),
            volumeMm3: 8000,
            areaMm2: 2800,
            horizontalAreaMm2: 1600,
            sizeMm: [20, 40, 10],
          },
        },
      },
      { id: 'servo', name: 'Servo', kind: 'servo' },
    ],
  },
  print: {
    printers: [
      {
        id: 'p',
        name: 'Home',
        bedWidthMm: 30,
        bedDepthMm: 30,
        bedHeightMm: 60,
        speedMmps: 80,
        maxFlowMm3ps: 10,
      },
    ],
    list: [
      { id: 'part.block', quantity: 4 },
      { id: 'motor', price: 60, onHand: 0, leadDays: 7 },
      { id: 'own.paint', name: 'Paint', price: 5, quantity: 2 },
    ],
  },
};

describe('the make-or-buy list', () => {
  it('counts parts, components and things of its own, with plastic at its price', () => {
    const lines = makeList(block);
    expect(lines.map(({ id, source, quantity }) => [id, source, quantity])).toEqual([
      ['part.block', 'printed', 4],
      ['part.servo', 'bought', 1],
      ['motor', 'bought', 1],
      ['tyre', 'bought', 4],
      ['battery', 'bought', 1],
      ['controller', 'bought', 1],
      ['own.paint', 'bought', 2],
    ]);
    expect(lines[0]).toMatchObject({ massG: 2, price: 0.2 });
    // 4 · 0.2 + 60 + 2 · 5
    expect(totalsOf(lines)).toMatchObject({ price: 70.8, unpriced: 4, leadDays: 7 });
  });

  it('is written and read back without setting what was not set', () => {
    const lines = makeList(block);
    const entries = makeFromCsv(makeToCsv(lines), lines, () => 'fresh');
    expect(entries).toHaveLength(lines.length);
    expect(entries.find(({ id }) => id === 'part.block')).toEqual({ id: 'part.block', quantity: 4 });
    expect(entries.find(({ id }) => id === 'tyre')).toEqual({ id: 'tyre' });
    expect(
      makeList({ ...block, print: { ...block.print, list: entries } }).map(({ said: _, ...line }) => line),
    ).toEqual(lines.map(({ said: _, ...line }) => line));
  });

  it('takes prices by name, new things, decimal commas, and a shop’s own order of columns', () => {
    const entries = makeFromCsv(
      'name;price;on_hand\nservo;"12,5";1\nGlue;3;0\n',
      makeList(block),
      () => 'fresh',
    );
    expect(entries).toEqual([
      { id: 'part.servo', price: 12.5, onHand: 1 },
      { id: 'own.fresh', name: 'Glue', price: 3, onHand: 0 },
    ]);
  });

  it.each([
    ['a,b\n1,2', 'line 1: makeList.columns'],
    ['name,source\nServo,stolen', 'line 2, source: makeList.source'],
    ['name,quantity\nServo,1.5', 'line 2, quantity: makeList.number {"written":"1.5","whole":true'],
    ['id,price\nmotor,cheap', 'line 2, price: makeList.number {"written":"cheap","whole":false'],
    ['id,price\nnothing,1', 'line 2, name: makeList.unnamed'],
    ['name,price\nServo,1\nservo,2', 'line 3: makeList.twice {"name":"Servo"}'],
  ])('refuses %j with the place', (text, says) =>
    expect(() => makeFromCsv(text, makeList(block), () => 'x')).toThrow(says),
  );

  it('stands against the budget in the brief, and says that prices are missing', () => {
    const check = evaluateBuild(block).find(({ id }) => id === 'brief.cost')!;
    expect(check).toMatchObject({
      state: 'clear',
      value: 70.8,
      limit: 200,
      finding: { facts: { lines: 7, unpriced: 4 } },
    });
    const dear = evaluateBuild({ ...block, brief: { ...block.brief, budget: 50 } }).find(
      ({ id }) => id === 'brief.cost',
    )!;
    expect(dear.state).toBe('over');
    expect(dear.remedies[0]).toMatchObject({
      says: { code: 'remedy.salvage' },
      state: 'clear',
      value: 10.8,
    });
  });

  it('finds the part that fits no bed, and the way up that does', () => {
    const bed = evaluateBuild(block).find(({ id }) => id === 'print.bed')!;
    expect(bed).toMatchObject({
      state: 'over',
      value: 1,
      finding: { code: 'print.bed.misfit', facts: { part: 'Block', reason: 'tooLarge' } },
    });
    expect(bed.remedies.map(({ says, state }) => [says, state])).toMatchObject([
      [{ facts: { part: 'Block', size: [{ value: 20 }, { value: 10 }, { value: 40 }] } }, 'clear'],
    ]);
    expect(evaluateBuild({ ...block, print: {} }).find(({ id }) => id === 'print.bed')).toMatchObject({
      state: 'unknown',
      missing: ['print.printers'],
    });
  });
});
