import { applyPatch } from '@/core/base/patch';
import { car } from '@/core/fixtures/car';
import type { FailureRecord, RevisionRecord, RunRecord } from '@/core/car/records/records';
import { evaluateBuild } from '@/core/verdict/evaluate';
import { CAUTIONS } from './cautions';
import { buildSheet } from './buildSheet';
import { type Block, flat, type Report } from './definition';
import { reportAsMarkdown } from './markdown';
import { reportAsPaper } from './paper';
import { planPicture, runsPicture, ticksOf } from './pictures';
import { testReport } from './testReport';

const reader = { locale: 'en-GB', units: 'metric' as const, currency: 'EUR' };
const build = { id: 'b', name: 'Hare | one', createdAt: '2026-05-01T10:00:00.000Z' };
const document = applyPatch(car, [
  {
    path: ['parts', 'items'],
    value: [
      {
        id: 'gear',
        name: 'Main gear',
        kind: 'gear',
        material: {
          name: 'Printed nylon',
          densityGPerCm3: 1.1,
          modulusMpa: 1700,
          inPlaneStrengthMpa: 50,
          softeningC: 90,
          interlayerStrengthMpa: 30,
        },
        perimeters: 5,
      },
      { id: 'bearing', name: 'Bearing', kind: 'bearing' },
    ],
  },
  {
    path: ['print', 'list'],
    value: [
      { id: 'part.bearing', quantity: 4, price: 1.5 },
      { id: 'motor', price: 40 },
    ],
  },
]);
const revision: RevisionRecord = {
  id: 'a',
  buildId: 'b',
  letter: 'A',
  document,
  why: 'To see <what> it does',
  version: 1,
  createdAt: '2026-05-01T10:00:00.000Z',
};
const run: RunRecord = {
  id: 'r',
  revisionId: 'a',
  kind: 'timedDistance',
  attempts: [1.2, 1.25, 1.3].map((timeS, at) => ({ id: String(at), timeS })),
  conditions: { surfaceId: 'asphalt', surfaceName: 'Asphalt', distanceM: 10 },
  ranAt: '2026-05-02T10:00:00.000Z',
  document,
  prediction: { timeS: 1.25, timeErrorS: 0.02, speedMps: 8, speedErrorMps: 0.13, massKg: 1.9 },
};
const failure: FailureRecord = {
  id: 'f',
  revisionId: 'a',
  partId: 'gear',
  partName: 'Main gear',
  mode: 'own',
  occurredAt: '2026-05-02T11:00:00.000Z',
  ledger: {
    modeWords: 'Belt frayed',
    lostMinutes: 30,
    photos: [{ hash: 'a'.repeat(64), caption: 'The edge' }],
  },
};

const sheet = buildSheet({ build, revision, document, checks: evaluateBuild(document) }, reader);
const paper = testReport(
  { build, revision, revisions: [revision], runs: [run], failures: [failure], checks: [] },
  reader,
);
const headings = ({ blocks }: Report) =>
  flat(blocks).flatMap((block) => (block.kind === 'heading' ? [block.text] : []));
const tables = ({ blocks }: Report) =>
  blocks.filter((block): block is Extract<Block, { kind: 'table' }> => block.kind === 'table');

describe('the build sheet', () => {
  it('has what it takes to build it again, with its cautions', () => {
    expect(headings(sheet)).toEqual(
      expect.arrayContaining([
        'At a glance',
        'Printed parts',
        'Gearing and drive',
        'Wiring',
        'Bought and found',
        'Before it moves',
      ]),
    );
    expect(sheet.blocks.filter(({ kind }) => kind === 'caution')).toContainEqual({
      kind: 'caution',
      text: CAUTIONS.pack,
    });
  });

  it('prints the printed and buys the bought: 4 bearings at 1.50 are 6.00', () => {
    const [printed, , bought] = [
      tables(sheet).find(({ head }) => head[0] === 'Part')!,
      0,
      tables(sheet).find(({ head }) => head[0] === 'Thing')!,
    ];
    expect(printed.rows.map(([name]) => name)).toEqual(['Main gear']);
    expect(
      bought.rows
        .find(([name]) => name === 'Bearing')!
        .slice(2)
        .map((text) => text.replace(/\s/, ' ')),
    ).toEqual(['4', '1.50 EUR', '6.00 EUR']);
  });

  it('says the whole reduction: 150 to 15 turns the motor ten times a wheel turn', () => {
    const facts = sheet.blocks.flatMap((block) => (block.kind === 'facts' ? block.rows : []));
    expect(facts).toContainEqual(['Motor turns a wheel turn', '10']);
  });

  it('draws the plan to scale: wheels as far apart as the wheelbase', () => {
    const { svg } = planPicture(document)!;
    const wheels = [
      ...svg.matchAll(/<rect x="([\d.]+)" y="[\d.]+" width="([\d.]+)" height="[\d.]+" fill="#20241F"/g),
    ].map((one) => Number(one[1]));
    const scale = 520 / (280 + 2 * document.drive.tyre!.radiusMm + 40);
    expect(wheels).toHaveLength(4);
    expect(Math.max(...wheels) - Math.min(...wheels)).toBeCloseTo(280 * scale, 1);
    expect(
      planPicture(applyPatch(document, [{ path: ['chassis', 'wheelbaseMm'], value: undefined }])),
    ).toBeUndefined();
  });
});

describe('the test report', () => {
  it('holds runs against their prediction: 10 m in 1.25 s are 28.8 km/h', () => {
    const [row] = tables(paper)[0]!.rows;
    expect(row!.slice(3).map((text) => text.replace(/\s/g, ' '))).toEqual([
      '3',
      expect.stringMatching(/^28\.8\d? ± .* km\/h$/),
      '28.8 km/h',
      expect.stringMatching(/^\+0\.\d+ %$/),
    ]);
  });

  it('tells each failure in its own words, with its photograph', () => {
    expect(headings(paper)).toContain('Main gear: belt frayed');
    expect(flat(paper.blocks)).toContainEqual({ kind: 'photos', photos: failure.ledger!.photos });
  });

  it('goes by the builder’s words where they were written', () => {
    const own = testReport(
      {
        build,
        revision: { ...revision, learned: 'Wide is good.\n\nShort is bad.' },
        revisions: [revision],
        runs: [],
        failures: [],
        checks: [],
      },
      reader,
    );
    expect(own.blocks[1]).toEqual({ kind: 'list', items: ['Wide is good.', 'Short is bad.'] });
  });
});

describe('a report as Markdown', () => {
  const { text, pictures, photos } = reportAsMarkdown(paper);
  it('keeps signs of the text from becoming marks, and its tables even', () => {
    expect(text).toContain('# Hare \\| one A: test report');
    expect(text).toContain('To see \\<what\\> it does');
    for (const block of text.split('\n\n').filter((one) => one.startsWith('|')))
      expect(new Set(block.split('\n').map((row) => row.replace(/\\\|/g, '').split('|').length)).size).toBe(
        1,
      );
  });
  it('names every picture that it calls', () => {
    const called = [...text.matchAll(/!\[[^\]]*\]\(([^)]+)\)/g)].map((one) => one[1]);
    expect([...called].sort()).toEqual(
      [...pictures.map(({ path }) => path), ...photos.map(({ path }) => path)].sort(),
    );
    expect(called).toHaveLength(3);
  });
});

describe('a report as a paper', () => {
  it('sets what its font can write, and says which photograph is not there', () => {
    const definition = JSON.stringify(
      reportAsPaper(
        {
          title: 't',
          subtitle: 's',
          blocks: [
            { kind: 'text', text: '6 mm → 12 mm' },
            { kind: 'photos', photos: [{ hash: 'x' }] },
          ],
        },
        {},
        'A4',
      ),
    );
    expect(definition).toContain('6 mm to 12 mm');
    expect(definition).toContain('not in this workshop');
  });
});

it('breaks what does not fit on one page, so that nothing is left out', () => {
  const held = (rows: number) =>
    JSON.stringify(
      reportAsPaper(
        {
          title: 't',
          subtitle: 's',
          blocks: [
            {
              kind: 'together',
              blocks: [
                { kind: 'facts', rows: Array.from({ length: rows }, (_, at) => [`row ${at}`, 'x'] as const) },
              ],
            },
          ],
        },
        {},
        'A4',
      ),
    );
  expect(held(4)).toContain('"unbreakable":true');
  expect(held(120)).not.toContain('"unbreakable":true');
});

describe('ticks of a drawing', () => {
  it.each([
    [0, 10, [0, 2, 4, 6, 8, 10]],
    [21.3, 36, [25, 30, 35]],
    [0.11, 0.52, [0.2, 0.3, 0.4, 0.5]],
  ])('from %d to %d', (low, high, ticks) => {
    expect(ticksOf(low, high).map((one) => Number(one.toFixed(9)))).toEqual(ticks);
  });
  it('does not draw what is not there', () => expect(runsPicture([], 'speedMps', 8, reader)).toBeUndefined());
});
