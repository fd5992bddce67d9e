import type { Page } from '@playwright/test';
import { expect, field, freshName, readyBuild, saved, test, toSegment } from './page';

const rowOf = (page: Page, name: string) =>
  page.getByRole('region', { name: 'What each brings' }).getByRole('row', { name });

test('a wing that is put on presses the rear, moves with the mouse, and counts once the shapes do', async ({
  page,
}) => {
  await readyBuild(page, freshName('Winged'));
  await toSegment(page, 'Chassis');
  await page.getByRole('tab', { name: 'Air', exact: true }).click();
  await page.getByLabel('Kind of body').selectOption({ label: 'closed car, upright' });
  const drawing = page.getByTestId('air-drawing');
  await expect(drawing.getByText(/^lifts/)).toHaveCount(2);
  await page.getByRole('button', { name: 'add a wing' }).click();
  await expect(rowOf(page, 'Rear wing')).toBeVisible();
  const lone = await rowOf(page, 'Together').innerText();
  await field(page, 'Angle, pressing down').fill('14');
  await expect(rowOf(page, 'Together')).not.toHaveText(lone);
  // dragged to the rear it presses the rear more
  const wing = drawing.locator('[data-element^="wing-"]');
  const box = (await wing.boundingBox())!;
  const before = await field(page, 'Ahead of the front axle').inputValue();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2 - 20, { steps: 5 });
  await page.mouse.up();
  await expect(field(page, 'Ahead of the front axle')).not.toHaveValue(before);
  await saved(page);
  // the car was given a drag area to start with, which counts until the shapes are let
  await page.getByTestId('typed-first').getByRole('button', { name: 'Let the shapes count' }).click();
  await expect(page.locator('[data-check="chassis.air"]')).toContainText('from its shapes');
  await page.getByRole('tab', { name: 'Stability' }).click();
  await expect(page.getByTestId('steady-answer')).toContainText(/[Ss]teady/);
  const whatIf = page.getByRole('region', { name: 'What if' });
  await expect(whatIf.getByRole('row', { name: /Rear wing .* steeper/ })).toBeVisible();
  await whatIf
    .getByRole('button', { name: /^Take: Rear wing/ })
    .first()
    .click();
  await page.getByRole('tab', { name: 'Air', exact: true }).click();
  await expect(field(page, 'Angle, pressing down')).toHaveValue('18');
});

test('friction that was measured on a tilted board moves the launch', async ({ page }) => {
  await readyBuild(page, freshName('Tilted'));
  const launch = page.getByTestId('standstill');
  const typical = await launch.innerText();
  await toSegment(page, 'Field');
  await page.getByRole('tab', { name: 'Grip and handling' }).click();
  await expect(page.getByTestId('grip-answer')).toContainText('typical figure');
  await page.getByLabel('Method').selectOption({ label: 'Tilted board' });
  for (const degrees of ['21', '22', '21.5']) {
    await field(page, 'Angle').fill(degrees);
    await page.getByRole('button', { name: 'Add the reading' }).click();
  }
  // tan 21.5° with all wheels held
  await expect(page.getByTestId('grip-found')).toContainText('0.39');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByTestId('grip-answer')).toContainText('0.39');
  await page.getByRole('button', { name: 'Take the measured one' }).click();
  await expect(page.getByTestId('grip-taken')).toBeVisible();
  await expect(page.locator('[data-check="chassis.grip"]')).toHaveAttribute('data-state', 'clear');
  await saved(page);
  await toSegment(page, 'Drive');
  await expect(launch).not.toHaveText(typical);
});

test('circles are held against what was foretold, and a drift says which way to trim', async ({ page }) => {
  await readyBuild(page, freshName('Rounds'));
  await toSegment(page, 'Field');
  await page.getByRole('tab', { name: 'Grip and handling' }).click();
  await expect(page.getByTestId('grip-answer')).toBeVisible();
  await page.getByLabel('Kind of run').selectOption({ label: 'Circles' });
  const circle = async (lap: string, steer: string) => {
    await field(page, 'One lap').fill(lap);
    await field(page, 'Front wheels, into the turn').fill(steer);
    await page.getByRole('button', { name: 'Add the circle' }).click();
  };
  await field(page, 'Radius of the car’s middle').fill('3');
  await circle('12', '5.4');
  await circle('12', '5.4');
  await expect(page.getByRole('alert').filter({ hasText: 'driven alike' })).toBeVisible();
  await circle('7', '7.2');
  await expect(page.getByTestId('circle-found')).toContainText('understeer');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByTestId('circle-last')).toContainText('Predicted was');
  await expect(page.getByText('It still needs two circles.')).toBeVisible();
  await page.getByRole('button', { name: 'Let the build steer like that' }).click();
  await expect(page.getByTestId('circle-last')).toContainText('The build steers like that');
  await page.getByLabel('Kind of run').selectOption({ label: 'Straightness' });
  for (const drift of ['-0.5', '-0.55', '-0.45']) {
    await field(page, 'Drift, to the car’s left positive').fill(drift);
    await page.getByRole('button', { name: 'Add the drift' }).click();
  }
  await expect(page.getByTestId('straight-found')).toContainText('to the right');
  await expect(page.getByTestId('straight-found')).toContainText('to the left: steering trim');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.locator('[data-check="chassis.straight"]')).toHaveAttribute('data-state', 'tight');
});

test('a roll-out both ways gives a drag to take', async ({ page }) => {
  await readyBuild(page, freshName('Rolling'));
  await toSegment(page, 'Field');
  await page.getByRole('tab', { name: 'Grip and handling' }).click();
  await expect(page.getByTestId('grip-answer')).toBeVisible();
  await page.getByLabel('Kind of run').selectOption({ label: 'Roll-out' });
  const paste = page.getByLabel(/^Time in s and speed/);
  await paste.fill('0 one');
  await expect(page.getByRole('alert').filter({ hasText: 'Each line' })).toBeVisible();
  // 1.5 m/s² of rolling and a drag that takes another 0.9 m/s² at 40 km/h
  const roll = Array.from({ length: 60 }, (_, k) => k * 0.1).reduce<{ v: number; lines: string[] }>(
    ({ v, lines }, t) => ({
      v: v - 0.1 * (1.2 + 0.012 * v * v),
      lines: [...lines, `${t.toFixed(1)} ${(3.6 * v).toFixed(2)}`],
    }),
    { v: 12, lines: [] },
  ).lines;
  for (const way of ['out', 'back']) {
    await page.getByRole('button', { name: way, exact: true }).click();
    await paste.fill(roll.join('\n'));
    await page.getByRole('button', { name: 'Add the roll-out' }).click();
  }
  await expect(page.getByTestId('coast-found')).toContainText('Drag area');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await page.getByRole('button', { name: 'Take the measured drag' }).click();
  await expect(page.getByTestId('coast-last')).toContainText('drives with that drag');
  await saved(page);
  await toSegment(page, 'Chassis');
  await page.getByRole('tab', { name: 'Air', exact: true }).click();
  await expect(page.locator('[data-check="chassis.air"]')).toContainText('measured on this car');
});

test('a slalom stands beside the best that the car could do, and is compared by its own kind', async ({
  page,
}) => {
  await readyBuild(page, freshName('Weaver'));
  await toSegment(page, 'Field');
  await page.getByRole('tab', { name: 'Grip and handling' }).click();
  await expect(page.getByTestId('grip-answer')).toBeVisible();
  await page.getByLabel('Kind of run').selectOption({ label: 'Slalom' });
  await field(page, 'Distance').fill('12');
  await field(page, 'Marker to marker').fill('2');
  await field(page, 'Car’s middle beside a marker').fill('0.2');
  await expect(page.getByText('The best it could do', { exact: false })).toContainText('is the limit');
  for (const [at, seconds] of ['4.2', '4.4', '4.3'].entries()) {
    await field(page, 'Or type the time').fill(seconds);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('button', { name: `Save the run (${at + 1} attempt` })).toBeVisible();
  }
  await page.getByRole('button', { name: /^Save the run/ }).click();
  await page.getByRole('tab', { name: 'Runs', exact: true }).click();
  await expect(page.getByTestId('field-answer')).toContainText('through gates');
  await expect(page.getByTestId('field-answer')).toContainText(/At best .* of that was driven/);
  // a driver is no proof against the model
  await expect(page.locator('[data-check="field.band"]')).toHaveAttribute('data-state', 'unknown');
});
