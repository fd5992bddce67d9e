import type { Page } from '@playwright/test';
import { expect, field } from './page';

export async function timedRun(page: Page, seconds: number): Promise<void> {
  await field(page, 'Or type the time').fill(seconds.toFixed(2));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: 'Save the run (1 attempt)' }).click();
  await expect(page.getByRole('button', { name: 'Save the run (0 attempts)' })).toBeVisible();
}
