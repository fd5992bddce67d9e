import { readFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';
import { extruded } from '@/core/physics/solid/extrude';
import { measureMesh } from '@/core/physics/solid/measure';
import { read3mf } from '@/core/physics/meshFiles/read3mf';
import { readStl } from '@/core/physics/meshFiles/readStl';
import { meshOf } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { expect, field, freshName, readyBuild, saved, test, toSegment, pick } from './page';

/** Six holes of 3 mm; outside readings as a caliper shows them. */
const PLACES: Readonly<Record<string, readonly [number, number]>> = {
  A: [0, 0],
  B: [50, 0],
  C: [50, 30],
  D: [0, 30],
  E: [25, 15],
  F: [25, 40],
};
const outside = (from: string, to: string) =>
  Math.hypot(PLACES[from]![0] - PLACES[to]![0], PLACES[from]![1] - PLACES[to]![1]) + 3;

const value = (page: Page) => page.getByRole('form', { name: 'Next reading' }).getByRole('textbox');

/** Types what the page asks for, whatever pair that is; says which it was. */
async function answered(page: Page, off = 0): Promise<string> {
  const form = page.getByRole('form', { name: 'Next reading' });
  const [from, to] = [
    await form.getByRole('combobox', { name: 'From hole' }).inputValue(),
    await form.getByRole('combobox', { name: 'To hole' }).inputValue(),
  ];
  await expect(value(page)).toBeFocused();
  await page.keyboard.type((outside(from, to) + off).toFixed(2));
  await page.keyboard.press('Enter');
  return `${from} to ${to}`;
}

test('a six-hole pattern is measured by keyboard alone, and the wrong reading is named', async ({ page }) => {
  await readyBuild(page, freshName('Holes'));
  await toSegment(page, 'Print');
  await page.getByRole('tab', { name: 'Hole patterns' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Measure a pattern' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Add a hole' }).focus();
  for (let hole = 0; hole < 4; hole++) await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Hole F, across' })).toHaveValue('3');
  await value(page).focus();
  const readings = page.getByTestId('readings').locator('tbody tr');
  let wrong = '';
  for (let count = 1; count <= 12; count++) {
    const pair = await answered(page, count === 5 ? 1.4 : 0);
    if (count === 5) wrong = pair;
    await expect(readings).toHaveCount(count);
    // the next pair is proposed once the holes are placed
    await expect(page.getByTestId('next-reading')).toBeVisible();
  }
  await expect(page.getByTestId('pattern-answer')).toContainText(`The reading from ${wrong} is wrong`);
  await expect(page.locator('[data-wrong="true"]').first()).toContainText(wrong);
  await page.getByRole('button', { name: `Take the reading ${wrong} out` }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('pattern-answer')).toContainText('6 holes, each known to');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'DXF', exact: true }).focus();
  await page.keyboard.press('Enter');
  expect((await download).suggestedFilename()).toBe('pattern-1.dxf');
  await page.getByRole('checkbox', { name: 'lie under the chassis drawing' }).focus();
  await page.keyboard.press('Space');
  await saved(page);
  await toSegment(page, 'Chassis');
  await expect(page.getByTestId('pattern-under').locator('circle')).toHaveCount(6);
});

const [LONG, WIDE, HIGH] = [160, 30, 10];
/** A block of 160 × 30 × 10 mm, 48 cm³. */
const block = writeStl(
  meshOf(
    extruded(
      [
        [0, 0],
        [LONG, 0],
        [LONG, WIDE],
        [0, WIDE],
      ],
      [],
      0,
      HIGH,
    ),
  ),
);

const bytesOf = async (download: Download) => new Uint8Array(readFileSync((await download.path())!));

/** A build with one printed part and a small bed. */
async function blockBuild(page: Page, name: string): Promise<void> {
  await readyBuild(page, freshName(name));
  await toSegment(page, 'Parts');
  await field(page, 'Name of the part').fill('Block');
  await page.getByRole('button', { name: 'Add the part' }).click();
  await pick(page, 'Choose a material', 'Printed PETG');
  await page.getByRole('tab', { name: 'Own mesh' }).click();
  await page
    .getByLabel('File of the mesh')
    .setInputFiles({ name: 'block.stl', mimeType: 'model/stl', buffer: Buffer.from(block) });
  await expect(page.getByTestId('mesh-facts')).toContainText('12 triangles');
  await toSegment(page, 'Print');
  await pick(page, 'Add a printer', 'Small bed, 180 mm');
}

test('a plate is planned, pushed about, handed on as 3MF, printed, and corrects the next estimate', async ({
  page,
}) => {
  await blockBuild(page, 'Plates');
  // 48 cm³ solid at 0.2 · 0.42 · 150 = 12.6 mm³/s, of which 80 %: 79.4 min, and 50 layers of 4 s
  await expect(page.getByTestId('print-answer')).toContainText(
    /One plate, 1\sh\s23\smin, 61\sg of plastic, 1.34\s€/,
  );
  await page.getByRole('button', { name: 'One Block more' }).click();
  await page.getByRole('button', { name: 'One Block more' }).click();
  const plate = page.getByRole('figure', { name: 'Plate 1' });
  const things = plate.getByRole('button', { name: /arrow keys push it/ });
  await expect(things).toHaveCount(3);
  await things.last().focus();
  await page.keyboard.press('ArrowUp');
  await expect(things.last()).toHaveAccessibleName(/, 75 mm/);
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  const download = page.waitForEvent('download');
  await plate.getByRole('button', { name: 'Plate 1 as 3MF' }).click();
  const mesh = read3mf(await bytesOf(await download), 'file');
  const { boundsMm, volumeMm3, shells } = measureMesh(mesh, {});
  expect(shells).toBe(3);
  expect(volumeMm3).toBeCloseTo(3 * LONG * WIDE * HIGH, 0);
  // two blocks side by side take 30, 5 and 30 mm, the third was pushed up 3 mm
  expect(boundsMm.max.map(Math.round)).toEqual([LONG, 3 * WIDE + 2 * 5 + 3, HIGH]);
  const list = page.waitForEvent('download');
  await plate.getByRole('button', { name: 'List of plate 1 as CSV' }).click();
  expect(Buffer.from(await bytesOf(await list)).toString()).toContain('Block,0,73,160,30,10,no');

  await plate.getByRole('button', { name: 'Start plate 1' }).click();
  const log = page.getByTestId('print-log');
  await expect(log).toContainText('3 × block');
  await log.getByRole('button', { name: 'it is done' }).click();
  const ended = page.getByRole('form', { name: 'How the print ended' });
  // three times 82.7 min were expected
  await ended.getByRole('textbox', { name: 'It took' }).fill('298');
  await ended.getByRole('textbox', { name: 'The plate weighs' }).fill('180');
  await ended.getByRole('button', { name: 'Finished: 3 copies' }).click();
  await expect(page.getByTestId('print-answer')).toContainText('Nothing more is owed');
  await expect(page.getByText(/× 1.2 \(1 finished print\)/)).toBeVisible();
  await page.getByText(/3 printed copies, 3 of them good/).click();
  await page.getByRole('button', { name: 'What happened to Block no. 1' }).click();
  await field(page, /^Block no. 1/).fill('cracked');
  await page.getByRole('button', { name: 'Given up' }).click();
  const good = page.getByText(/3 printed copies, 2 of them good/);
  await expect(good).toBeVisible();
  await page.reload();
  await expect(good).toBeVisible();
});

test('a part too large for the bed is named, stood up or split into closed halves with pin holes', async ({
  page,
}) => {
  await blockBuild(page, 'Too large');
  await page.getByText(/its bed, 180 × 180 mm/).click();
  await field(page, 'Bed, wide').fill('100');
  await field(page, 'Bed, deep').fill('100');
  await expect(page.getByRole('region', { name: 'Parts too large' })).toContainText(
    'Block is larger than the bed: split it into 2',
  );
  await expect(page.getByRole('button', { name: /Block stood up/ })).toBeVisible();
  await page
    .getByRole('region', { name: 'Parts too large' })
    .getByRole('button', { name: 'Split it' })
    .click();
  const tool = page.getByRole('group', { name: 'Split Block' });
  await tool.getByRole('button', { name: 'Split it' }).click();
  await expect(page.getByTestId('split')).toContainText('Two closed pieces of');
  const download = page.waitForEvent('download');
  await tool.getByRole('button', { name: 'Piece 1, STL' }).click();
  const piece = measureMesh(readStl(await bytesOf(await download), 'file'), {});
  expect(piece.watertight).toBe(true);
  // half of it without two holes of 3 mm, 8 mm deep
  expect(piece.volumeMm3).toBeCloseTo(
    (LONG / 2) * WIDE * HIGH - 2 * 16 * 1.5 ** 2 * Math.sin(Math.PI / 16) * 8,
    0,
  );
});

test('a test piece is read by keyboard, and a bearing seat shows the size to draw', async ({ page }) => {
  await blockBuild(page, 'Fits');
  await page.getByRole('tab', { name: 'Fits', exact: true }).click();
  await field(page, 'Name of the joint').fill('Wheel bearing');
  await page.getByRole('combobox', { name: 'Kind of joint' }).selectOption('bearing');
  await page.getByRole('button', { name: 'Add the joint' }).click();
  await page.getByRole('combobox', { name: 'Sits in' }).selectOption({ label: 'Block' });
  const sizes = page.getByTestId('drawn-sizes');
  await expect(sizes).toContainText(/10.95\smm\s*10.95\smm\s*Block\s*not corrected/);
  await page.getByRole('combobox', { name: 'Material' }).selectOption({ label: 'Printed PETG' });
  await page
    .getByRole('combobox', { name: 'Printer', exact: true })
    .selectOption({ label: 'Small bed, 180 mm' });
  await page.getByRole('button', { name: 'Read a new piece' }).click();
  const sheet = page.getByRole('group', { name: 'Reading sheet' });
  await sheet
    .getByRole('region', { name: /^Holes/ })
    .getByRole('textbox', { name: 'drawn 2', exact: true })
    .focus();
  for (const drawn of [2, 3, 4, 5, 6, 8, 10]) {
    await page.keyboard.type((drawn - 0.2).toFixed(2));
    await page.keyboard.press('Enter');
  }
  // 11 mm pressed in by 0.05, and 0.2 that the printer takes away
  await expect(sizes).toContainText(/seat\s*11.15\smm.*10.95\smm/);
  await toSegment(page, 'Parts');
  await expect(page.getByTestId('holes-to-draw')).toContainText(
    /seat 11.15\smm by the test piece of printed PETG/,
  );
  await page.goBack();
  await expect(page.getByTestId('fits-answer')).toContainText(/a hole of 5\smm comes out 0.2\smm small/);
});

test('the make-or-buy list is priced by hand and by CSV, and stands against the budget', async ({ page }) => {
  await blockBuild(page, 'List');
  await page.getByRole('tab', { name: 'Make or buy' }).click();
  await field(page, 'Budget').fill('100');
  await field(page, 'Price of one, 2S 5000 hard case').fill('34.5');
  await expect(page.getByTestId('make-answer')).toContainText(/lines come to 35.8\d\s€/);
  const bring = (text: string) =>
    page
      .getByLabel('CSV of the list')
      .setInputFiles({ name: 'prices.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await bring('name,price\nSensored 540 13.5 turns,cheap\n');
  await expect(page.getByRole('alert').filter({ hasText: 'prices.csv' })).toContainText(
    'prices.csv, line 2, price: “cheap” is no number',
  );
  await bring('name,price,lead_days\n"Sensored 540, 13.5 turns",80,6\nThread lock,4,\n');
  await expect(page.getByTestId('make-answer')).toContainText('over the budget');
  await expect(page.getByTestId('make-list')).toContainText('Thread lock');
  await page.getByRole('button', { name: /Salvage from an old car: Sensored 540/ }).click();
  await expect(page.getByTestId('make-answer')).toContainText('under the budget');
  await saved(page);
  await page.getByRole('button', { name: 'To look through' }).click();
  const lines = page.getByTestId('make-grid').getByRole('row');
  await expect(lines.first()).toContainText('Price of one');
  await expect(lines.nth(1)).toContainText('2S 5000 hard case');
});

test('the joints are counted and put in an order to build by', async ({ page }) => {
  await page.goto('/builds/marsh-hare/D/print?view=assembly');
  await expect(page.getByTestId('hardware')).toContainText(/Insert M3\s*8/);
  await expect(page.getByTestId('steps').getByRole('listitem').first()).toContainText(
    'Melt the M3 insert into chassis plate',
  );
  // what a step joins is green in its picture
  await expect(page.getByTestId('steps').getByTestId('car-still')).toHaveCount(12);
  await page.getByTestId('steps').getByRole('checkbox').first().check();
  await page.reload();
  await expect(page.getByTestId('assembly-answer')).toContainText('13 to go');
});
