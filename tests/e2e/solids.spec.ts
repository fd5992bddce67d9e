import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { read3mf } from '@/core/physics/meshFiles/read3mf';
import { measureMesh } from '@/core/physics/solid/measure';
import { expect, field, freshName, pick, readyBuild, saved, test, toSegment } from './page';
import { toTab } from './driveTabs';

const part = (page: Page, name: string) => page.getByRole('region', { name, exact: true });
const bore = (page: Page, of: string) => part(page, of).getByRole('textbox', { name: /^Bore/ });
const downloaded = async (page: Page, button: string) => {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) };
};

test('a planetary set found for a ratio is printed as one 3MF', async ({ page }) => {
  test.slow();
  await readyBuild(page, freshName('Printed set'));
  await toTab(page, 'Train', 'Find a ratio');
  await page.getByRole('combobox', { name: 'Among' }).selectOption({ label: 'planetary sets' });
  await field(page, 'Wanted ratio').fill('5');
  const set = page
    .getByRole('region', { name: 'Gears found' })
    .getByRole('row')
    .filter({ hasText: 'sun 12, 4 planets of 18, ring 48' });
  await set.getByRole('button', { name: /^Take/ }).click();
  await toTab(page, 'Train', 'Gears');
  const pieces = page.getByTestId('pieces');
  await page.getByRole('textbox', { name: 'Module', exact: true }).fill('0.8');
  await field(page, 'Face width').fill('8');
  await expect(pieces.locator('[data-piece="planet"]')).toContainText('Needs');
  await bore(page, 'Sun').fill('5');
  await bore(page, 'Planets').fill('4');
  await bore(page, 'Carrier').fill('6');
  await saved(page);
  await expect(pieces.locator('[data-piece="planet"]')).toContainText('× 4');
  const { name, bytes } = await downloaded(page, 'All as one 3MF');
  expect(name).toMatch(/planetary-all-pieces\.3mf$/);
  const measured = measureMesh(read3mf(new Uint8Array(bytes), 'file'), {});
  // sun, four planets, ring and carrier, each closed and apart from the others
  expect(measured.watertight).toBe(true);
  const size = 0.8;
  const disc = (teeth: number, hole: number) => 8 * Math.PI * (((size * teeth) / 2) ** 2 - (hole / 2) ** 2);
  const [outside, carrier] = [2 * size * 27.25, 12 + 2 + 2];
  const whole =
    disc(12, 5.05) +
    4 * disc(18, 4.2) +
    8 * Math.PI * (outside ** 2 / 4 - (24 * size) ** 2) +
    Math.PI * (carrier ** 2 * 4 - 3.025 ** 2 * 4 + 4 * 4 * 8.5);
  // teeth stand over their pitch circle by about as much as they are missing below it
  expect(measured.volumeMm3 / whole).toBeGreaterThan(0.93);
  expect(measured.volumeMm3 / whole).toBeLessThan(1.05);
});

test('a wheel with its hub is refused at the field that does not fit, then analysed as a part with the force of its mesh', async ({
  page,
}) => {
  test.slow();
  await readyBuild(page, freshName('Hub'));
  await toTab(page, 'Train', 'Gears');
  await field(page, 'Stage 1: wheel teeth').fill('45');
  await page.getByRole('textbox', { name: 'Module', exact: true }).fill('0.8');
  await field(page, 'Face width').fill('6');
  await bore(page, 'Wheel').fill('8');
  await pick(page, 'Choose a material', 'Printed nylon', part(page, 'Wheel'));
  await part(page, 'Wheel').getByRole('button', { name: 'Hub and bolts' }).click();
  await part(page, 'Wheel').getByRole('textbox', { name: 'Hub, diameter' }).fill('7');
  const section = page.getByRole('region', { name: 'As printed solids' });
  await page.getByRole('button', { name: 'Look at the spur' }).click();
  await expect(section.getByRole('status')).toContainText('hub, diameter, must lie between 9.25 mm and');
  await part(page, 'Wheel').getByRole('textbox', { name: 'Hub, diameter' }).fill('16');
  await part(page, 'Wheel').getByRole('textbox', { name: 'Seat on the shaft' }).fill('12');
  await page.getByRole('button', { name: 'Look at the spur' }).click();
  await expect(section.getByRole('status')).toContainText('12 mm high');
  await expect(section.getByRole('status')).toContainText('its surface is closed');
  const { bytes } = await downloaded(page, 'spur as STEP');
  expect(bytes.subarray(0, 13).toString()).toBe('ISO-10303-21;');
  await page.getByRole('combobox', { name: 'Piece to analyse' }).selectOption('wheel');
  await page.getByRole('button', { name: 'Analyse it' }).click();
  await expect(section.getByRole('status')).toContainText(/pulled by .*N at one tooth/);
  await saved(page);
  await toSegment(page, 'Parts');
  await page.getByRole('tab', { name: 'Own mesh' }).click();
  await page.getByRole('button', { name: 'Solve it as a solid' }).click();
  await expect(page.getByTestId('solid')).toHaveAttribute('data-stale', 'false', { timeout: 60_000 });
  await expect(page.getByTestId('solid')).toContainText(/carries .* times its load/);
});
