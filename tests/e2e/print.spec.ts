import type { Page } from '@playwright/test';
import { expect, freshName, readyBuild, saved, test, toSegment } from './page';

/** Six holes of 3 mm; outside readings as a caliper shows them. */
const PLACES: Readonly<Record<string, readonly [number, number]>> = { A: [0, 0], B: [50, 0], C: [50, 30], D: [0, 30], E: [25, 15], F: [25, 40] };
const outside = (from: string, to: string) => Math.hypot(PLACES[from]![0] - PLACES[to]![0], PLACES[from]![1] - PLACES[to]![1]) + 3;

const value = (page: Page) => page.getByRole('form', { name: 'Next reading' }).getByRole('textbox');

/** Types what the page asks for, whatever pair that is; says which it was. */
async function answered(page: Page, off = 0): Promise<string> {
  const form = page.getByRole('form', { name: 'Next reading' });
  const [from, to] = [await form.getByRole('combobox', { name: 'From hole' }).inputValue(), await form.getByRole('combobox', { name: 'To hole' }).inputValue()];
  await expect(value(page)).toBeFocused();
  await page.keyboard.type((outside(from, to) + off).toFixed(2));
  await page.keyboard.press('Enter');
  return `${from} to ${to}`;
}

test('a six-hole pattern is measured by keyboard alone, and the wrong reading is named', async ({ page }) => {
  await readyBuild(page, freshName('Holes'));
  await toSegment(page, 'Print');
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
