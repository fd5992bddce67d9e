import type { BuildDocument } from '../../car/document/document';
import { checksOnRecord } from '../../verdict/record';
import type { Part } from '../../car/parts/parts';
import { car } from '../../fixtures/car';
import { extruded } from '../../physics/solid/extrude';
import { laidOnBed } from '../../physics/solid/bed';
import { liesMark, liesOf, measureLying } from './lies';
import { boundsOf, measureMesh } from '../../physics/solid/measure';
import { placedOnPlate } from '../../physics/solid/onPlate';
import { meshOf } from '../../physics/solid/shapes';
import { TYPICAL_MATERIALS } from '../../car/material/typicalMaterials';
import { printerTimesOf, timeFactor } from './printerTimes';
import { copiesOf, designMark, owedOf } from './log';
import type { CopyRecord, PrintRecord } from '../../car/records/prints';
import { estimateOfPart } from './printed';

/** 40 × 20 × 10 mm. */
const block = meshOf(
  extruded(
    [
      [0, 0],
      [40, 0],
      [40, 20],
      [0, 20],
    ],
    [],
    0,
    10,
  ),
);

describe('a mesh as it lies', () => {
  it('is measured way up by way up: level faces are those nearer to level than to upright', () => {
    expect(measureLying(block, [0, 0, 1])).toEqual({
      volumeMm3: expect.closeTo(8000, 6),
      areaMm2: expect.closeTo(2800, 6),
      horizontalAreaMm2: expect.closeTo(1600, 6),
      sizeMm: [40, 20, 10],
    });
    const stood = measureLying(block, [1, 0, 0]);
    expect(stood.horizontalAreaMm2).toBeCloseTo(400, 6);
    expect(stood.sizeMm.map((one) => Number(one.toFixed(6)))).toEqual([10, 20, 40]);
  });

  it('counts only while file, unit and way up are those it was measured from', () => {
    const mesh = { hash: 'b'.repeat(64), name: 'a.stl', unitMm: 1, up: [0, 0, 1] as const };
    const lies = { of: liesMark(mesh), ...measureLying(block, [0, 0, 1]) };
    expect(liesOf({ ...mesh, lies })).toBe(lies);
    expect(liesOf({ ...mesh, up: [1, 0, 0], lies })).toBeUndefined();
    expect(liesOf({ ...mesh, unitMm: 25.4, lies })).toBeUndefined();
  });

  it('comes to its place on a plate with its low corner, a quarter turn where asked', () => {
    const laid = laidOnBed(block, [0, 0, 1]);
    expect(boundsOf(placedOnPlate(laid, { xMm: 5, yMm: 7, turned: false }))).toEqual({
      min: [5, 7, 0],
      max: [45, 27, 10],
    });
    const turned = placedOnPlate(laid, { xMm: 5, yMm: 7, turned: true });
    expect(boundsOf(turned)).toEqual({ min: [5, 7, 0], max: [25, 47, 10] });
    expect(measureMesh(turned, {}).volumeMm3).toBeCloseTo(8000, 6);
  });
});

const mesh = { hash: 'b'.repeat(64), name: 'a.stl', unitMm: 1, up: [0, 0, 1] as const };
const part = {
  id: 'block',
  name: 'Block',
  kind: 'arm' as const,
  material: { ...TYPICAL_MATERIALS.petg, densityGPerCm3: 1, pricePerKg: 25 },
  perimeters: 2,
  lineMm: 0.5,
  infill: 0.2,
  mesh: { ...mesh, lies: { of: liesMark(mesh), ...measureLying(block, [0, 0, 1]) } },
};
const printer = {
  id: 'p',
  name: 'Home',
  bedWidthMm: 200,
  bedDepthMm: 200,
  bedHeightMm: 200,
  speedMmps: 50,
  maxFlowMm3ps: 10,
};
const document: BuildDocument = {
  ...car,
  parts: { items: [part] },
  print: {
    printers: [printer],
    list: [{ id: 'part.block', quantity: 3 }],
    final: { layerMm: 0.25, topBottomLayers: 4 },
  },
};

describe('the estimate of a part', () => {
  it('takes the part’s own walls, by hand: 1,200 · 2 · 0.5 + 1,600 · 4 · 0.25 = 2,800 of 8,000 mm³', () => {
    const found = estimateOfPart(document, part, 'final', [
      { printer: printer.name, calibration: 1.1, spreadPct: 0, n: 1 },
    ]);
    if (!found.ok) throw new Error('not ready');
    const plastic = 2800 + 0.2 * 5200;
    expect(found.value.plasticMm3).toBeCloseTo(plastic, 6);
    // 0.25 · 0.5 · 50 = 6.25 mm³/s, 80 % of it; 40 layers of 4 s
    expect(found.value.timeS).toBeCloseTo(1.1 * (plastic / 5 + 160), 6);
    expect(found.value.cost).toBeCloseTo((plastic / 1e6) * 25, 9);
  });

  it('takes the draft’s figures for a draft, and says what is missing', () => {
    const draft = estimateOfPart(
      {
        ...document,
        print: { ...document.print, draft: { layerMm: 0.5, topBottomLayers: 1, perimeters: 1, infill: 0.1 } },
      },
      part,
      'draft',
    );
    if (!draft.ok) throw new Error('not ready');
    const shell = 1200 * 0.5 + 1600 * 0.5;
    expect(draft.value.plasticMm3).toBeCloseTo(shell + 0.1 * (8000 - shell), 6);
    expect(
      estimateOfPart(
        { ...document, print: {} },
        { ...part, mesh: undefined, material: undefined } as never,
        'final',
      ),
    ).toEqual({
      ok: false,
      missing: ['parts.items.block.mesh', 'parts.items.block.material', 'print.printers'],
    });
  });
});

const print = (more: Partial<PrintRecord>): PrintRecord => ({
  id: 'p1',
  revisionId: 'a',
  state: 'finished',
  how: 'final',
  printer: 'Home',
  queuedAt: '2026-05-01',
  items: [
    { copyId: 'c1', partId: 'block', partName: 'Block', massG: 10 },
    { copyId: 'c2', partId: 'block', partName: 'Block', massG: 30 },
  ],
  ...more,
});

describe('the log of prints', () => {
  it('shares what a plate weighs over its copies as they were expected to weigh', () => {
    expect(copiesOf(print({ massG: 44 })).map(({ massG }) => massG)).toEqual([11, 33]);
    expect(copiesOf(print({})).map(({ massG }) => massG)).toEqual([10, 30]);
  });

  it('is made by the smallest printer that holds it, in its own time', () => {
    const large = { ...printer, id: 'l', name: 'Large', bedWidthMm: 400, bedDepthMm: 400, bedHeightMm: 400 };
    const tiny = { ...printer, id: 't', name: 'Tiny', bedWidthMm: 10, bedDepthMm: 10 };
    const on = (printers: (typeof printer)[]) =>
      estimateOfPart({ ...document, print: { ...document.print, printers } }, part, 'final', [
        { printer: 'Large', calibration: 2, spreadPct: 0, n: 1 },
      ]);
    expect(on([large, printer, tiny])).toMatchObject({ ok: true, value: { printer: { id: printer.id } } });
    const [small, big] = [on([printer]), on([tiny, large])];
    if (!small.ok || !big.ok) throw new Error('not ready');
    expect(big.value.timeS).toBeCloseTo(2 * small.value.timeS, 9);
    expect(on([tiny])).toEqual({ ok: false, missing: ['print.printers:holds'] });
  });

  it('corrects by the median of one printer’s finished prints', () => {
    const done = [
      [100, 110],
      [200, 240],
      [50, 65],
    ].map(([estimateS, actualS], at) => print({ id: `${at}`, estimateS: estimateS!, actualS: actualS! }));
    const times = printerTimesOf([
      ...done,
      print({ id: 'x', printer: 'Away', estimateS: 1, actualS: 9 }),
      print({ id: 'y', state: 'failed', estimateS: 1, actualS: 9 }),
    ]);
    expect(times.find(({ printer: on }) => on === 'Home')).toMatchObject({ calibration: 1.2, n: 3 });
    expect(timeFactor(times, 'Away')).toBe(9);
    expect(timeFactor(times, 'Nowhere')).toBe(1);
  });

  it('corrects each plastic by its own prints, and one that was not printed yet by all of the printer’s', () => {
    const plate = (id: string, actualS: number, ...materials: string[]) =>
      print({
        id,
        estimateS: 100,
        actualS,
        items: materials.map((material, at) => ({ copyId: `${id}${at}`, partName: 'Arm', material })),
      });
    const times = printerTimesOf([
      plate('1', 110, 'PETG'),
      plate('2', 150, 'TPU', 'TPU'),
      plate('3', 130, 'PETG', 'TPU'),
    ]);
    expect(timeFactor(times, 'Home', 'PETG')).toBeCloseTo(1.1, 12);
    expect(timeFactor(times, 'Home', 'TPU')).toBeCloseTo(1.5, 12);
    expect(timeFactor(times, 'Home', 'Nylon')).toBeCloseTo(1.3, 12);
  });

  it('owes what the car needs less what is good and what is on its way', () => {
    const copy = (id: string, more: Partial<CopyRecord> = {}): CopyRecord => ({
      id,
      revisionId: 'a',
      partId: 'block',
      partName: 'Block',
      how: 'final',
      madeAt: '',
      ...more,
    });
    const owed = (prints: PrintRecord[], copies: CopyRecord[]) =>
      owedOf({ document, revisions: [], prints, copies })[0]!.owed;
    expect(owed([], [])).toBe(3);
    expect(owed([], [copy('1'), copy('2', { how: 'draft' }), copy('3', { retiredAt: '2026-05-01' })])).toBe(
      2,
    );
    expect(owed([print({ state: 'queued' })], [copy('1')])).toBe(0);
    const check = (prints: PrintRecord[], copies: CopyRecord[]) =>
      checksOnRecord({
        document,
        revisionId: 'a',
        revisions: [],
        runs: [],
        failures: [],
        prints,
        copies,
      }).find(({ id }) => id === 'print.queue')!;
    expect(check([], [copy('1')])).toMatchObject({
      state: 'tight',
      value: 2,
      finding: { facts: { owed: [{ part: 'Block', count: 2 }] } },
    });
    expect(check([], [copy('1'), copy('2'), copy('3')]).state).toBe('clear');
  });

  it('owes a part anew that a later revision draws otherwise, and not one that is the same', () => {
    const copy = (id: string, more: Partial<CopyRecord> = {}): CopyRecord => ({
      id,
      revisionId: 'a',
      partId: 'block',
      partName: 'Block',
      how: 'final',
      madeAt: '',
      ...more,
    });
    const owed = (next: BuildDocument, copies: CopyRecord[], prints: PrintRecord[] = []) =>
      owedOf({
        document: next,
        revisions: [
          { id: 'a', document },
          { id: 'b', document: next },
        ],
        prints,
        copies,
      })[0]!.owed;
    const block = (change: Partial<Part>) => ({
      ...document,
      parts: {
        items: document.parts.items.map((part) => (part.id === 'block' ? { ...part, ...change } : part)),
      },
    });
    const three = [copy('1'), copy('2'), copy('3')];
    expect(owed(block({ name: 'Block, renamed', massG: 3 }), three)).toBe(0);
    const thicker = block({ perimeters: 9 });
    expect(owed(thicker, three)).toBe(3);
    expect(owed(thicker, [...three, copy('4', { revisionId: 'b' })])).toBe(2);
    // printed in this revision before it was drawn otherwise
    expect(
      owed(thicker, [copy('4', { revisionId: 'b', design: designMark(document.parts.items[0]!) })]),
    ).toBe(3);
    expect(owed(thicker, three, [print({ revisionId: 'b', state: 'queued' })])).toBe(1);
    expect(owed(thicker, three, [print({ state: 'queued' })])).toBe(3);
  });
});
