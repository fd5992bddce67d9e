import type { Page } from '@playwright/test';
import { expect } from './page';

/** The bench is another one once the tab is pressed; before that a field of the old one could take what is typed. */
export async function toTab(page: Page, name: string, within?: string): Promise<void> {
  const tab = page
    .getByRole('tablist', { name: 'Sides of the drive' })
    .getByRole('tab', { name, exact: true });
  await tab.click();
  await expect(tab).toHaveAttribute('aria-selected', 'true');
  if (!within) return;
  const part = page.getByRole('group', { name }).getByRole('button', { name: within });
  await part.click();
  await expect(part).toHaveAttribute('aria-pressed', 'true');
}

/** The number of a figure on the page. */
export const numberIn = async (page: Page, testId: string) =>
  Number.parseFloat(await page.getByTestId(testId).innerText());
