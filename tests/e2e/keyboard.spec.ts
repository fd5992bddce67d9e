import type { Page } from '@playwright/test';
import { expect, freshName, pick, readyBuild, test } from './page';

/** Tabs on until the control of that name has the focus. */
async function tabTo(page: Page, name: string | RegExp): Promise<void> {
  for (let i = 0; i < 150; i++) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement as HTMLElement | null;
      if (!element || element === document.body) return '';
      const labels = [...((element as HTMLInputElement).labels ?? [])].map(
        (label) => label.textContent ?? '',
      );
      return (element.getAttribute('aria-label') ?? labels[0] ?? element.textContent ?? '').trim();
    });
    if (typeof name === 'string' ? focused === name : name.test(focused)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`Tab never reached ${name}`);
}

async function choose(page: Page, name: string, typed: string): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.type(typed, { delay: 5 });
  const searched = await page.evaluate(
    () => document.activeElement?.getAttribute('aria-autocomplete') === 'list',
  );
  if (searched) await page.locator('[role="listbox"] [role="option"]').first().waitFor();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
}

async function write(page: Page, name: string, typed: string): Promise<void> {
  await tabTo(page, name);
  await page.keyboard.press('Control+A');
  await page.keyboard.type(typed);
}

/** A single key of the page, from outside any field. */
async function key(page: Page, one: string): Promise<void> {
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press(one);
}

test('the whole loop by keyboard alone', async ({ page }) => {
  await page.goto('/');
  await tabTo(page, 'Name of the new build');
  await page.keyboard.type(freshName('Keys'));
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/A\/brief/);

  await choose(page, 'Add a surface', 'Asphalt');
  await write(page, 'Wished speed', '30');
  await choose(page, 'Choose a size class', '1:10');
  await tabTo(page, /^Fill in a usual 1:10 car/);
  await page.keyboard.press('Enter');

  await key(page, '2');
  await page.waitForURL(/\/A\/drive/);
  await choose(page, 'Choose a motor', 'Sensored 540, 13');
  await choose(page, 'Choose a pack', '2S 5000');
  await choose(page, 'Choose a controller', '60 A');
  await tabTo(page, 'Take stage 2 out');
  await page.keyboard.press('Enter');
  await write(page, 'Stage 1: pinion teeth', '15');
  await write(page, 'Stage 1: wheel teeth', '150');
  await choose(page, 'Choose a tyre', '1:10 road');
  const speed = page.getByTestId('top-speed');
  await expect(speed).toBeVisible();
  const before = await speed.innerText();
  await key(page, 'p');
  await tabTo(page, 'Stage 1: pinion teeth');
  await page.keyboard.press('ArrowUp');
  await expect(speed).not.toHaveText(before);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(`the pinned build: ${before}`);
  await key(page, 'Control+Z');
  await expect(speed).toHaveText(before);
  await key(page, 'Control+Shift+Z');
  await expect(speed).not.toHaveText(before);
  await key(page, 'w');
  await expect(page.getByTestId('working')).toContainText('8.4\u00a0V · 3,000\u00a0rpm/V');

  await key(page, 'r');
  await page.waitForURL(/\/A\/field/);
  for (const time of ['2.9', '3.0', '3.1']) {
    await write(page, 'Or type the time', time);
    await page.keyboard.press('Enter');
  }
  await tabTo(page, 'Save the run (3 attempts)');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('field-answer')).toContainText('3 attempts');

  await key(page, 'f');
  await page.waitForURL(/\/A\/learn/);
  await write(page, 'Its name', 'Pinion');
  await choose(page, 'What happened', 'Teeth stripped');
  await tabTo(page, 'Save the failure');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('failures')).toContainText('Pinion: teeth stripped');

  await tabTo(page, 'Open the next revision');
  await page.keyboard.press('Enter');
  await write(page, 'Why', 'Harder pinion.');
  await tabTo(page, 'Open revision B');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/B\/drive/);
  await tabTo(page, 'Stage 1: pinion teeth');
  await page.keyboard.press('ArrowDown');
  await key(page, '9');
  await tabTo(page, 'Failures');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('tab', { name: 'Revisions' })).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByTestId('effects')).toContainText('16 → 15');
  await key(page, ',');
  await page.waitForURL(/\/A\/learn/);
  await key(page, '.');
  await page.waitForURL(/\/B\/learn/);

  await key(page, '/');
  await page.keyboard.type('garage');
  await page.keyboard.press('Enter');
  await page.waitForURL((url) => url.pathname === '/');
});

test('no key fires while typing', async ({ page }) => {
  await page.goto('/builds/tin-wren/A/parts');
  await page.getByRole('textbox', { name: 'Name of the part' }).fill('');
  await page.getByRole('textbox', { name: 'Name of the part' }).pressSequentially('g1rpf,');
  await expect(page).toHaveURL(/\/parts/);
  await expect(page.getByRole('textbox', { name: 'Name of the part' })).toHaveValue('g1rpf,');
});

test('what is deleted or taken out by a key hands the focus to what stands next', async ({ page }) => {
  const root = await readyBuild(page, freshName('Focus'));
  await page.goto(`${root}/power`);
  await pick(page, 'Add a load', 'Strong servo, metal gears');
  await pick(page, 'Add a load', 'Receiver, 3 channels');
  await page.getByRole('button', { name: 'Remove Strong servo, metal gears' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Remove Receiver, 3 channels' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Remove Receiver/ })).toBeHidden();
  // nothing is left to remove: the nearest thing that can be pressed
  await expect.poll(() => page.evaluate(() => document.activeElement?.closest('main') !== null)).toBe(true);
});

test('where the system sets the colours, drawings are in them and what is chosen stands out', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto('/builds/marsh-hare/D/drive');
  const look = (selector: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((one) => {
        const { color, backgroundColor, fill } = getComputedStyle(one);
        return { color, backgroundColor, fill };
      });
  const words = await look('main');
  const chosen = await look('header [aria-current]');
  expect(chosen.backgroundColor).not.toBe(words.backgroundColor);
  expect(chosen.color).not.toBe(chosen.backgroundColor);
  const mark = await page.evaluate(() =>
    getComputedStyle(document.documentElement).getPropertyValue('--moss'),
  );
  expect(mark.trim()).toBe('CanvasText');
});
