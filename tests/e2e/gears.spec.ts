import { readFile } from 'node:fs/promises';
import { expect, field, freshName, readyBuild, saved, test, pick } from './page';
import { toTab } from './driveTabs';

test('a ring gear on the wrong side is flagged and cured by one click', async ({ page }) => {
  await readyBuild(page, freshName('Bevel'));
  await pick(page, 'Add a stage', 'Bevel gears');
  await field(page, 'Stage 2: pinion teeth').fill('15');
  await field(page, 'Stage 2: wheel teeth').fill('39');
  await page.getByRole('combobox', { name: 'Driven' }).selectOption('all');
  await toTab(page, 'Train', 'Layout');
  const answer = page.getByRole('heading', { level: 1 });
  await expect(answer).toContainText('Both axles roll forward at 26 : 1');
  await page
    .getByRole('region', { name: 'Bevel pair, front axle' })
    .getByRole('combobox', { name: 'Ring gear sits' })
    .selectOption('right');
  await expect(answer).toContainText('drive against each other');
  const sketch = page.getByTestId('rotation-sketch');
  await expect(sketch.locator('[data-axle="front"]')).toHaveAttribute('data-rolls', 'backward');
  await expect(page.locator('[data-check="drive.rotation"]')).toHaveAttribute('data-state', 'over');
  await expect(
    page.getByRole('navigation', { name: 'Segments' }).getByRole('link', { name: /^Drive/ }),
  ).toContainText('fails');
  await page.getByRole('alert').getByRole('button', { name: 'Put the front ring gear on the left' }).click();
  await expect(answer).toContainText('Both axles roll forward');
  await expect(page.locator('[data-check="drive.rotation"]')).toHaveAttribute('data-state', 'clear');
  await page.getByRole('combobox', { name: 'Stage 2 serves' }).selectOption('front');
  await pick(page, 'Add a stage', 'Bevel gears');
  await field(page, 'Stage 3: pinion teeth').fill('15');
  await field(page, 'Stage 3: wheel teeth').fill('42');
  await page.getByRole('combobox', { name: 'Stage 3 serves' }).selectOption('rear');
  await expect(answer).toContainText('26 : 1 and 28 : 1');
  await page
    .getByRole('alert')
    .getByRole('button', { name: 'Teeth of the rear bevel wheel 42 → 39' })
    .click();
  await expect(answer).toContainText('Both axles roll forward at 26 : 1');
});

test('gears mesh, fit the slot, and go out as files of the right size', async ({ page }) => {
  await readyBuild(page, freshName('Gears'));
  await toTab(page, 'Train', 'Gears');
  await field(page, 'Stage 1: pinion teeth').fill('21');
  await field(page, 'Stage 1: wheel teeth').fill('71');
  await page.getByRole('textbox', { name: 'Module', exact: true }).fill('0.8');
  // 0.8 mm · (21 + 71)/2
  await expect(page.getByTestId('centre-distance')).toHaveText(/^36\.8\smm$/);
  await field(page, 'Slot, closest shafts').fill('38');
  await field(page, 'Slot, furthest shafts').fill('40');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('it takes pinions of 24 to 29 teeth');
  const mesh = page.locator('[data-check="gears.mesh"]');
  await expect(mesh).toHaveAttribute('data-state', 'over');
  await mesh.getByRole('button', { name: /pinion teeth 21 → 24/ }).click();
  await expect(mesh).toHaveAttribute('data-state', 'clear');
  // gears of two modules do not mesh, whatever else is right
  await field(page, 'Module of the wheel').fill('1');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('do not mesh: module of the wheel');
  await mesh.getByRole('button', { name: /^Wheel with the pinion’s module, 0\.8/ }).click();
  await expect(mesh).toHaveAttribute('data-state', 'clear');
  await page.getByRole('button', { name: 'turn it' }).click();
  const turned = () =>
    page
      .getByTestId('mesh-sketch')
      .locator('[role=img] svg')
      .first()
      .evaluate((svg) => getComputedStyle(svg).transform);
  const before = await turned();
  await expect.poll(turned).not.toBe(before);
  const made = page.getByTestId('pieces').locator('[data-piece="pinion"]');
  await expect(made).toContainText('Needs');
  await expect(made).toContainText('bore');
  await page
    .getByRole('region', { name: 'Pinion', exact: true })
    .getByRole('textbox', { name: 'Bore' })
    .fill('3.17');
  await field(page, 'Face width').fill('8');
  await saved(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'pinion as STL' }).click(),
  ]);
  expect(download.suggestedFilename()).toContain('pinion-24-teeth-module-0.8.stl');
  const bytes = await readFile(await download.path());
  const corners = Array.from({ length: 3 * bytes.readUInt32LE(80) }, (_, i) =>
    [0, 4, 8].map((k) => bytes.readFloatLE(84 + 50 * Math.floor(i / 3) + 12 + 12 * (i % 3) + k)),
  );
  expect(Math.max(...corners.map(([x, y]) => Math.hypot(x!, y!)))).toBeCloseTo((0.8 * 26) / 2, 4);
  expect(Math.max(...corners.map(([, , z]) => z!))).toBeCloseTo(8, 5);
});

test('a gear is widened until it holds, from what spins the tyres up', async ({ page }) => {
  await readyBuild(page, freshName('Teeth'));
  await toTab(page, 'Train', 'Gears');
  await field(page, 'Stage 1: pinion teeth').fill('21');
  await field(page, 'Stage 1: wheel teeth').fill('71');
  await page.getByRole('textbox', { name: 'Module', exact: true }).fill('0.8');
  await field(page, 'Face width').fill('1.5');
  const part = (name: string) => page.getByRole('region', { name, exact: true });
  await pick(page, 'Choose a material', 'Steel, hardened', part('Pinion'));
  await pick(page, 'Choose a material', 'Printed nylon, carbon filled', part('Wheel'));
  await field(page, 'Lands from').fill('10 cm');
  const tooth = page.locator('[data-check="gears.tooth"]');
  await expect(tooth).toHaveAttribute('data-state', 'over');
  await expect(page.locator('[data-tooth$="wheel"]')).toContainText('the motor spinning the tyres up');
  await tooth.getByRole('button', { name: /face width 1.5 → / }).click();
  await expect(tooth).toHaveAttribute('data-state', 'clear');
  await page.keyboard.press('Control+z');
  await expect(field(page, 'Face width')).toHaveValue('1.5');
  await expect(tooth).toHaveAttribute('data-state', 'over');
});

test('what holds the pinion stands side by side, and a long shaft whips less in two halves', async ({
  page,
}) => {
  await page.goto('/builds/marsh-hare/C/drive?view=joints');
  const ways = page.getByRole('region', { name: 'Ways to hold the pinion' });
  await expect(ways.locator('[data-joint="cyanoacrylate"]')).toContainText('as it is');
  await expect(page.locator('[data-check="joint.pinion"]')).toHaveAttribute('data-state', 'over');
  await expect(page.getByRole('region', { name: 'Shafts' }).locator('[data-shaft="centre"]')).toContainText(
    'two halves',
  );
  await toTab(page, 'Tyres');
  await expect(page.getByTestId('burst-rpm')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Tyres at their fastest' })).toContainText('its glue fails');
  await expect(page.getByText(/behind a shield/).last()).toBeVisible();
  await page.goto('/builds/marsh-hare/D/drive?view=tyres');
  // front wheels with tyres of their own are judged by their own
  await page.getByRole('button', { name: 'Other tyres at the front' }).click();
  await page.getByRole('combobox', { name: 'Built as, front' }).selectOption('foam');
  const fastest = page.getByRole('region', { name: 'Tyres at their fastest' });
  await expect(fastest).toContainText('front, at top speed');
  await expect(fastest).toContainText('rear, at top speed');
  await page.getByRole('button', { name: 'Same tyres front and rear' }).click();
  await expect(fastest).toContainText('all, at top speed');
});
