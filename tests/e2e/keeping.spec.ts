import type { Page } from '@playwright/test';
import { applyPatch } from '@/core/base/patch';
import { marshHareDocuments } from '@/db/seed/marshHareRevisions';
import { oddBuild } from '../whole/oddBuilds';
import { expect, field, freshName, newBuild, readyBuild, saved, test, toSegment } from './page';

const { D } = marshHareDocuments();
const status = (page: Page) => page.getByRole('status').first();

/** As a person empties a field. */
async function emptied(page: Page, label: string | RegExp): Promise<void> {
  await field(page, label).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
}

test('an emptied figure is unfinished: it counts on, says so, and stops nothing else from being saved', async ({
  page,
  allow,
}) => {
  // a page that is opened while the last one still saves joins the two
  allow.statuses = [409];
  const root = await newBuild(page, freshName('Emptied'), D);
  await page.goto(`${root}/drive`);
  const top = await page.getByTestId('top-speed').innerText();
  await emptied(page, 'Constant');
  await expect(field(page, 'Constant')).toHaveValue('');
  await expect(page.getByText('unfinished: 2,200 rpm/V goes on counting')).toBeVisible();
  await expect(page.getByTestId('top-speed')).toHaveText(top);
  await page.getByRole('button', { name: 'Stage 1: pinion teeth: one more' }).click();
  await expect(status(page)).toHaveText(/^saved.*motor constant unfinished$/);

  await page.goto(`${root}/brief`);
  await page
    .getByRole('button', { name: /^Mown grass/ })
    .first()
    .click();
  await emptied(page, /^Friction$/);
  await emptied(page, 'Wished speed');
  await expect(field(page, 'Wished speed')).toHaveValue('');
  await page.goto(`${root}/print`);
  await page
    .getByRole('button', { name: /^its bed/ })
    .first()
    .click();
  await emptied(page, 'Print speed');
  await expect(status(page)).toHaveText(/^saved.*3 figures unfinished$/);

  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('NaN');
  await page
    .getByRole('button', { name: /^its bed/ })
    .first()
    .click();
  await expect(field(page, 'Print speed')).toHaveValue('');
  await page.goto(`${root}/drive`);
  await expect(field(page, 'Constant')).toHaveValue('');
  await expect(field(page, 'Stage 1: pinion teeth')).toHaveValue('22');
  await field(page, 'Constant').fill('2500');
  await expect(page.getByTestId('top-speed')).not.toHaveText(top);
  await expect(status(page)).toHaveText(/^saved.*2 figures unfinished$/);
});

test('the first click selects the figure, Esc brings back what stood there, and undo outlives a reload', async ({
  page,
}) => {
  const root = await newBuild(page, freshName('Click'), D);
  await page.goto(`${root}/drive`);
  const constant = field(page, 'Constant');
  await constant.click();
  await page.keyboard.type('3300');
  await expect(constant).toHaveValue('3300');
  await page.keyboard.press('Escape');
  await expect(constant).toHaveValue('2,200');
  await expect(constant).toBeFocused();
  await page.keyboard.type('2600');
  await page.keyboard.press('Enter');
  await expect(constant).toHaveValue('2,600');
  await saved(page);

  // three presses that follow each other are one step
  const pinion = field(page, 'Stage 1: pinion teeth');
  await pinion.click();
  await page.keyboard.type('21');
  await expect(pinion).toHaveValue('21');
  for (let press = 0; press < 3; press++) await page.keyboard.press('ArrowUp');
  await expect(pinion).toHaveValue('24');
  await saved(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.reload();
  const undo = page.getByRole('button', { name: 'Undo' });
  await undo.click();
  await expect(pinion).toHaveValue('21');
  await undo.click();
  await expect(constant).toHaveValue('2,200');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(constant).toHaveValue('2,600');
  await saved(page);
});

test('a car that the model cannot drive keeps its pages and its fields', async ({ page }) => {
  // 40 rpm/V in tall grass with a wish of 1 m/s: part throttle does not move it at all
  const { document } = oddBuild(9);
  const slow = applyPatch(D, [
    { path: ['drive', 'motor', 'kvRpmPerV'], value: 40 },
    { path: ['brief', 'targetMps'], value: 1 },
    { path: ['brief', 'surfaces'], value: [{ ...D.brief.surfaces[0]!, rollingResistance: 0.25 }] },
  ]);
  for (const [name, car] of [
    ['Slow', slow],
    ['Odd', document],
  ] as const) {
    const root = await newBuild(page, freshName(name), car);
    await page.goto(`${root}/drive`);
    await expect(page.getByText('This page could not be shown')).toBeHidden();
    await expect(field(page, 'Current limit')).toBeVisible();
    await field(page, 'Current limit').fill('55');
    await saved(page);
  }
});

test('the part that is being edited stays, whichever becomes the weakest', async ({ page }) => {
  const root = await newBuild(page, freshName('Stay'), D);
  await page.goto(`${root}/parts`);
  const chosen = page.getByRole('combobox', { name: 'Choose a part' });
  const first = await chosen.inputValue();
  const name = await chosen.locator('option:checked').innerText();
  // ten times as thick it is the weakest no longer
  await field(page, 'Thickness').click();
  await page.keyboard.type('200');
  await expect(page.locator(`[data-part="${first}"]`)).toHaveAttribute('data-state', 'clear');
  await saved(page);
  await expect(chosen).toHaveValue(first);
  await expect(field(page, `Name of ${name}`)).toHaveValue(name);
});

test('a run, a failure, an item and an entry that was never sent come back after they were deleted', async ({
  page,
  context,
  allow,
}) => {
  allow.words = /ERR_INTERNET_DISCONNECTED/;
  const root = await readyBuild(page, freshName('Back'));
  // of the words at the foot, not of the page's head
  const undo = () => page.getByRole('status').getByRole('button', { name: 'Undo', exact: true }).last();
  await page.goto(`${root}/field`);
  const rows = page.getByTestId('runs').locator('.longrow');
  const timed = async (count: number) => {
    await field(page, 'Distance').fill('20');
    await field(page, 'Or type the time').fill('2.4');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('button', { name: 'Save the run (1 attempt)' }).click();
    await expect(rows).toHaveCount(count);
  };
  await timed(1);
  await page.getByRole('button', { name: 'Delete the timed distance 1' }).click();
  await expect(rows).toHaveCount(0);
  await undo().click();
  await expect(rows).toHaveCount(1);
  await context.setOffline(true);
  await timed(2);
  await page.getByRole('button', { name: 'Delete the timed distance 2' }).click();
  await expect(rows).toHaveCount(1);
  await undo().click();
  await expect(rows).toHaveCount(2);
  await context.setOffline(false);
  await expect(page.getByTestId('waiting')).toBeHidden();
  await page.reload();
  await expect(rows).toHaveCount(2);

  const [, id] = /builds\/([^/]+)/.exec(root)!;
  await page.request.post(`/api/revisions/${id}-a/failures`, {
    data: {
      id: `${id}-f`,
      mode: 'crack',
      partName: 'Bumper',
      occurredAt: '2026-05-01T10:00:00.000Z',
      ledger: { verdict: { words: 'hit a post', at: '2026-05-02T10:00:00.000Z' } },
    },
  });
  await page.goto(`${root}/learn`);
  const failure = page.getByRole('article', { name: /^Bumper/ });
  await failure.getByRole('button', { name: 'Delete the failure of Bumper' }).click();
  await expect(failure).toBeHidden();
  await undo().click();
  await expect(failure).toBeVisible();
  await page.reload();
  await expect(failure.getByRole('button', { name: 'why it failed' })).toBeVisible();

  await page.goto('/library');
  const item = page.getByRole('row', { name: /^Brushless 40 x 74/ });
  await item.getByRole('button', { name: /^Delete/ }).click();
  await expect(item).toBeHidden();
  await undo().click();
  await expect(item).toBeVisible();
  await page.reload();
  await expect(item).toBeVisible();
});

const BUILDS_HERE = 6;

test('odd cars show every segment', async ({ page }) => {
  for (let number = 0; number < BUILDS_HERE; number++) {
    const { name, document } = oddBuild(number * 13 + 1);
    await page.goto(`${await newBuild(page, freshName(`Odd ${number}`), document)}/brief`);
    for (const segment of ['Drive', 'Power', 'Chassis', 'Suspension', 'Parts', 'Print', 'Field', 'Learn']) {
      await toSegment(page, segment);
      await page.waitForURL(new RegExp(`/${segment.toLowerCase()}$`));
      await expect(page.locator('main h1').first(), `${name}, ${segment}`).toBeVisible();
      expect(await page.getByTestId('not-worked-out').count(), `${name}, ${segment}`).toBe(0);
    }
  }
});
