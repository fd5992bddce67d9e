import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, field, freshName, readyBuild, test, toSegment } from './page';

async function noted(page: Page, part: string, mode: string): Promise<void> {
  await toSegment(page, 'Learn');
  await page.getByRole('button', { name: 'Note a failure of A' }).click();
  await field(page, 'Its name').fill(part);
  await page.getByRole('combobox', { name: 'What happened' }).selectOption({ label: mode });
  await page.getByRole('button', { name: 'Save the failure' }).click();
}

test('a failure is run to its cause by clues and checks, closed, and opened again with its history', async ({ page }) => {
  await readyBuild(page, freshName('Cause'));
  await noted(page, 'Carrier', 'Split along the layers');
  const failure = page.getByRole('article', { name: /Carrier/ });
  await failure.getByRole('button', { name: 'find out why it failed' }).click();
  const suspects = failure.getByTestId('suspects').getByRole('listitem').filter({ has: page.locator('.sharebar') });
  await failure.getByRole('textbox', { name: 'Look for a clue' }).fill('flat');
  await failure.getByRole('button', { name: /flat/ }).first().click();
  // by hand 2·e^3.5 of 82.46, each 40 %, before the margins of this build
  await expect(suspects.first()).toContainText('pulls the layers apart');
  await expect(suspects.first()).toContainText(/(39|40|41)\s%/);
  await expect(failure.getByTestId('next-check')).toContainText('do the layer lines run square to the load');
  await failure.getByTestId('next-check').getByRole('button', { name: 'no', exact: true }).click();
  await expect(suspects.first()).toContainText('printed too cold');
  await expect(failure.getByTestId('next-check')).not.toContainText('do the layer lines run square');
  await suspects.first().getByRole('button', { name: /^Verdict/ }).click();
  await expect(failure).toContainText('explained');
  await expect(failure.getByRole('status')).toHaveText('saved');
  await page.reload();
  await failure.getByRole('button', { name: 'why it failed' }).click();
  await expect(failure).toContainText('Verdict: printed too cold');
  await failure.getByRole('button', { name: /open it again/ }).click();
  await expect(failure).toContainText('Looked at before: printed too cold');
  await expect(failure.getByTestId('next-check')).toContainText('do the layer lines run square');
});

test('the ledger of the demo car says what fails most, whether fixes held, and what is due', async ({ page }) => {
  await page.goto('/builds/marsh-hare/D/learn');
  const lives = page.getByTestId('lives').locator('tbody tr');
  await expect(lives.first()).toContainText('Rear carrier');
  await expect(page.getByRole('article', { name: /Main gear/ })).toContainText(/held 2.6\d h with no failure: at 90 % confidence/);
  await expect(page.getByTestId('score')).toContainText(/Of 8 failures with a verdict, \d had their cause first/);
  await expect(page.getByRole('navigation', { name: 'Segments' }).getByRole('link', { name: /^Learn/ })).toHaveAttribute('data-state', 'tight');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Change log as Markdown' }).click();
  const text = readFileSync((await (await download).path())!, 'utf8');
  expect(text).toContain('### What broke in B');
  expect(text).toContain('Cause: the load pulls the layers apart');
});
