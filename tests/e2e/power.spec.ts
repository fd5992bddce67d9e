import type { Page } from '@playwright/test';
import { expect, field, freshName, readyBuild, saved, test, toSegment, pick } from './page';

async function toTab(page: Page, name: string): Promise<void> {
  const tab = page
    .getByRole('tablist', { name: 'Sides of the power' })
    .getByRole('tab', { name: new RegExp(`^${name}`) });
  await tab.click();
  await expect(tab).toHaveAttribute('aria-selected', 'true');
}

/** Receiver and strong servo on the controller's own regulator. */
async function sharedRegulator(page: Page): Promise<void> {
  await toSegment(page, 'Power');
  await pick(page, 'Add a regulator', 'Controller’s regulator, 6 V');
  await pick(page, 'Add a load', 'Receiver, 3 channels');
  await pick(page, 'Add a load', 'Strong servo, metal gears');
}

test('a shared regulator browns out, and a second one cures it', async ({ page }) => {
  await readyBuild(page, freshName('Brown-out'));
  await sharedRegulator(page);
  const receiver = page.locator('[data-check^="power.load:"]').filter({ hasText: 'Receiver, 3 channels' });
  await expect(receiver).toHaveAttribute('data-state', 'over');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Browns out');
  await expect(page.locator('[data-thing]').filter({ hasText: 'Receiver, 3 channels' })).toHaveAttribute(
    'data-state',
    'over',
  );
  const steps = page.getByTestId('supply-steps').getByRole('img');
  await expect(steps).toHaveAccessibleName(/Receiver, 3 channels, fails: 6\sV with the pack charged/);
  await receiver.getByRole('button', { name: /^Rail → Strong servo, metal gears regulator/ }).click();
  await expect(receiver).toHaveAttribute('data-state', 'clear');
  await expect(steps).toHaveAccessibleName(
    /Receiver, 3 channels, clear: 6\sV with the pack charged, 6\sV low/,
  );
  await expect(
    page.locator('[data-thing]').filter({ hasText: 'Strong servo, metal gears regulator' }),
  ).toHaveAttribute('data-state', 'clear');
  await page.keyboard.press('Control+z');
  await expect(receiver).toHaveAttribute('data-state', 'over');
  // the same by hand: from the pack itself it gets too many volts
  await page
    .getByRole('combobox', { name: 'Strong servo, metal gears is fed by' })
    .selectOption({ label: 'the pack' });
  await expect(page.locator('[data-check^="power.load:"]').filter({ hasText: 'Strong servo' })).toContainText(
    'limit 7.4',
  );
  await saved(page);
});

test('a load is dragged to another regulator in the tree, and a ring is refused in words', async ({
  page,
}) => {
  await readyBuild(page, freshName('Tree'));
  await toSegment(page, 'Power');
  await pick(page, 'Add a regulator', 'Controller’s regulator, 6 V');
  await pick(page, 'Add a regulator', 'Switching regulator, 6 V, 5 A');
  await pick(page, 'Add a load', 'Receiver, 3 channels');
  const thing = (name: string) => page.locator('[data-thing]').filter({ hasText: name });
  const end = (name: string, side: 'source' | 'target') => thing(name).locator(`.react-flow__handle.${side}`);
  await expect(page.getByRole('combobox', { name: 'Receiver, 3 channels is fed by' })).toHaveValue(/^rail-/);
  await saved(page);
  await end('Switching regulator', 'source').hover();
  await page.mouse.down();
  await end('Receiver, 3 channels', 'target').hover({ position: { x: 2, y: 2 } });
  await end('Receiver, 3 channels', 'target').hover();
  await page.mouse.up();
  await expect(
    page.getByRole('combobox', { name: 'Receiver, 3 channels is fed by' }).locator('option:checked'),
  ).toHaveText('Switching regulator, 6 V, 5 A');
  await page
    .getByRole('combobox', { name: 'Controller’s regulator, 6 V is fed by' })
    .selectOption({ label: 'Switching regulator, 6 V, 5 A' });
  await page
    .getByRole('combobox', { name: 'Switching regulator, 6 V, 5 A is fed by' })
    .selectOption({ label: 'Controller’s regulator, 6 V' });
  await expect(page.getByTestId('supply-tree').getByRole('alert')).toContainText('feeds itself');
});

test('a fail-safe test is ticked with its day, and undone by another controller but not by another servo', async ({
  page,
}) => {
  await readyBuild(page, freshName('Fail-safe'));
  await sharedRegulator(page);
  await toTab(page, 'Radio and fail-safe');
  await page.getByRole('checkbox', { name: 'Signal loss stops the motor' }).check();
  const row = page.locator('[data-failsafe="signalLoss"]');
  await expect(row).toHaveAttribute('data-state', 'passed');
  await expect(row).toContainText(String(new Date().getFullYear()));
  await toTab(page, 'Supply');
  await page
    .getByRole('button', { name: 'Strong servo, metal gears', expanded: true })
    .or(page.getByRole('button', { name: 'Strong servo, metal gears', expanded: false }))
    .first()
    .click();
  await page.getByRole('button', { name: 'Strong servo, metal gears', expanded: false }).click();
  await field(page, 'Stalls at').fill('2');
  await toTab(page, 'Radio and fail-safe');
  await expect(row).toHaveAttribute('data-state', 'passed');
  await toTab(page, 'Pack under load');
  await field(page, 'Continuous current').fill('50');
  await toTab(page, 'Radio and fail-safe');
  await expect(row).toHaveAttribute('data-state', 'undone');
  await expect(row).toContainText('the controller changed');
  await expect(page.locator('[data-check="power.failsafe"]')).toHaveAttribute('data-state', 'over');
});

test('the wiring list finds a plug that does not fit, and the radio a receiver that will not bind', async ({
  page,
}) => {
  await readyBuild(page, freshName('Wires'));
  await sharedRegulator(page);
  await toTab(page, 'Wiring');
  const servo = page.locator('tr[data-wire]').filter({ hasText: 'Strong servo' });
  await servo.getByRole('combobox', { name: /^Plug/ }).selectOption('bullet, 4 mm');
  await servo.getByRole('combobox', { name: /^Socket/ }).selectOption('servo plug, three pins');
  await expect(servo).toContainText('does not fit');
  const wiring = page.locator('[data-check="power.wiring"]');
  await expect(wiring).toHaveAttribute('data-state', 'over');
  await wiring.getByRole('button', { name: /bullet, 4 mm/ }).click();
  await expect(wiring).toHaveAttribute('data-state', 'clear');
  await toTab(page, 'Radio and fail-safe');
  await pick(page, 'Choose a transmitter', 'Wheel transmitter, 2 channels');
  await field(page, 'Driven away as far as').fill('60');
  await expect(page.locator('[data-check="power.radio"]')).toContainText('will not bind');
});
