import type { Page } from '@playwright/test';
import { expect, field, freshName, pick, readyBuild, test } from './page';
import { toTab } from './driveTabs';

/** A ready build whose only stage is of a kind, on the page of its gears. */
async function withStage(page: Page, name: string, kind: string, teeth: readonly [string, string]) {
  await readyBuild(page, freshName(name));
  await page.getByRole('button', { name: 'Take stage 1 out' }).click();
  await pick(page, 'Add a stage', kind);
  await toTab(page, 'Train', 'Gears');
  await page.getByRole('textbox', { name: /^Stage 1: (pinion|sun) teeth$/ }).fill(teeth[0]);
  await page.getByRole('textbox', { name: /^Stage 1: (wheel|ring) teeth$/ }).fill(teeth[1]);
}
const answer = (page: Page) => page.getByRole('heading', { level: 1 });
const madeOf = (page: Page, group: string, material: string) =>
  pick(page, 'Choose a material', material, page.getByRole('region', { name: group, exact: true }));

test('a bevel that strips is widened or made larger until it holds', async ({ page }) => {
  await withStage(page, 'Bevel teeth', 'Bevel gears', ['15', '39']);
  await expect(answer(page)).toContainText('once it has a');
  await field(page, 'Module, large end').fill('1');
  await field(page, 'Face width').fill('2');
  await expect(answer(page)).toContainText('cones of 21');
  await expect(page.getByTestId('bevel-sketch')).toBeVisible();
  await madeOf(page, 'Bevel pinion', 'Steel, untreated');
  await madeOf(page, 'Bevel wheel', 'Printed nylon');
  const tooth = page.locator('[data-check="gears.tooth"]');
  await expect(tooth).toHaveAttribute('data-state', 'over');
  await expect(tooth).toContainText('bevel wheel of 39 teeth');
  await tooth
    .getByRole('button', { name: /^(Face width|Module|Wheel made of|Stage 1)/ })
    .first()
    .click();
  await expect(tooth).not.toHaveAttribute('data-state', 'over');
  // a face as long as the cone has no inner end: said at the field, nothing lost
  await field(page, 'Face width').fill('30');
  await expect(answer(page)).toContainText('apex');
});

test('a belt is chosen for a slot, and tuned so that it stays in its teeth', async ({ page }) => {
  await withStage(page, 'Belt', 'Belt', ['16', '64']);
  await field(page, 'Pitch').fill('3');
  await field(page, 'Width').fill('9');
  await field(page, 'Slot, closest shafts').fill('70');
  await field(page, 'Slot, furthest shafts').fill('80');
  // from the belt's length round both pulleys by hand: 89.2 to 95.5 teeth between 70 and 80 mm, 92.3 at 75
  await expect(answer(page)).toContainText('A belt of 92 teeth');
  await expect(page.getByRole('region', { name: 'Figures of the stage' })).toContainText('90 to 95 teeth');
  await expect(page.getByTestId('loop-sketch')).toBeVisible();
  await expect(page.locator('[data-check="belt.teeth"]')).toHaveAttribute('data-state', /clear|tight|over/);
  await field(page, 'Tension of a span, as set').fill('1');
  const skips = page.locator('[data-check="belt.skip"]');
  await expect(skips).toHaveAttribute('data-state', 'over');
  await skips.getByRole('button', { name: /^Stage 1: tension|^Tension of a span/ }).click();
  await expect(skips).toHaveAttribute('data-state', 'clear');
  await expect(page.getByRole('region', { name: 'Figures of the stage' })).toContainText('Hz');
  // tuned by ear: 4·m'·L²·f² with 2.4 g a metre and mm, 9 mm wide, spans of 70.8 mm: 11.2 N at 161 Hz
  await expect(page.getByTestId('tune-to')).toContainText('Hz');
  await field(page, 'It sounds at').fill('161');
  await expect(page.getByTestId('heard')).toContainText(/11.N/);
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByText('No microphone is to be had here')).toBeVisible();
  await page.getByRole('button', { name: 'Take it as set' }).click();
  await expect(field(page, 'Tension of a span, as set')).toHaveValue(/^11\.2/);
  await pick(page, 'Take a belt of the library', 'Belt, 3 mm round teeth, 90 of them');
  await expect(field(page, 'Teeth of the belt')).toHaveValue('90');
});

test('planets that do not go in are told, and the nearest set that does is taken', async ({ page }) => {
  await withStage(page, 'Planets', 'Planetary', ['12', '50']);
  await field(page, 'Planets').fill('3');
  await page.getByRole('textbox', { name: 'Module', exact: true }).fill('0.8');
  const places = page.locator('[data-check="gears.assembly"]');
  await expect(places).toHaveAttribute('data-state', 'over');
  await expect(places).toContainText('62 teeth do not divide by 3');
  await expect(page.getByTestId('planetary-sketch')).toBeVisible();
  await places.getByRole('button', { name: /→/ }).first().click();
  await expect(places).toHaveAttribute('data-state', 'clear');
});

test('a mount that lets the teeth skip is made thick enough', async ({ page }) => {
  await readyBuild(page, freshName('Mount'));
  await toTab(page, 'Train', 'Gears');
  await page.getByRole('textbox', { name: 'Module', exact: true }).fill('0.8');
  await page.getByRole('button', { name: 'How stiff it is' }).click();
  await pick(page, 'Take the play of two bearings', 'Ball bearing 5 × 11 × 4');
  await expect(field(page, 'Play of the bearings')).toHaveValue('0.016');
  await page.getByRole('combobox', { name: 'Or a beam, held' }).selectOption('cantilever');
  await field(page, 'Free length').fill('40');
  await page
    .getByRole('region', { name: 'Mount between the shafts' })
    .getByRole('textbox', { name: 'Width' })
    .fill('12');
  await field(page, 'Thickness along the centres').fill('1');
  await madeOf(page, 'Mount between the shafts', 'Printed PLA');
  const mount = page.locator('[data-check="gears.opening"]');
  await expect(mount).toHaveAttribute('data-state', 'over');
  await expect(mount).toContainText('the teeth skip');
  await mount
    .getByRole('button', { name: /thickness/i })
    .first()
    .click();
  await expect(mount).toHaveAttribute('data-state', 'clear');
});

test('a ratio is found among the gears at hand while it is typed, and a planetary set that makes another', async ({
  page,
}) => {
  await readyBuild(page, freshName('Search'));
  await toTab(page, 'Train', 'Find a ratio');
  const found = page.getByTestId('search-answer');
  const rows = page.getByRole('region', { name: 'Gears found' });
  await field(page, 'Wanted ratio').fill('4.2');
  // 71 to 17 is 4.176, 0.6 % off, and the nearest of the usual box in module 0.8
  await expect(rows.getByRole('row').nth(1)).toContainText('17 to 71');
  await expect(found).toContainText('4.2 : 1');
  await page.getByRole('combobox', { name: 'Stages' }).selectOption('2');
  await field(page, 'Wanted ratio').fill('14');
  await expect(rows.getByRole('row').nth(1)).toContainText('then');
  // more than can be looked at is said, and nothing is lost
  await page.getByRole('combobox', { name: 'Among' }).selectOption({ label: 'any teeth' });
  await page.getByRole('combobox', { name: 'Stages' }).selectOption('3');
  await expect(page.getByRole('alert').filter({ hasText: 'combinations' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Among' }).selectOption({ label: 'planetary sets' });
  await field(page, 'Wanted ratio').fill('5');
  const set = rows.getByRole('row').filter({ hasText: 'sun 12, 4 planets of 18, ring 48' });
  await expect(set).toBeVisible();
  await set.getByRole('button', { name: /^Take/ }).click();
  await toTab(page, 'Train', 'Gears');
  await expect(page.getByTestId('planetary-sketch')).toBeVisible();
  await expect(page.locator('[data-check="gears.assembly"]')).toHaveAttribute('data-state', 'clear');
});

test('string, weight and ammeter say what the drive drags with, and the run takes its efficiency', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Drag'));
  await page.goto(`${root}/field`);
  await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Friction of the drive' });
  const part = field(page, 'Taken out next');
  for (const [name, starts, keeps] of [
    ['motor', '100', '80'],
    ['gears', '60', '50'],
    ['wheels', '20', '15'],
  ] as const) {
    await part.fill(name);
    await field(page, 'Just starts it').fill(starts);
    await field(page, 'Just keeps it turning').fill(keeps);
    await page.getByRole('button', { name: 'Add the weights' }).click();
    await expect(part).toHaveValue('');
  }
  // the motor 100 − 60 of 100 g, the gears 60 − 20
  await expect(page.getByTestId('friction-bar')).toContainText(
    /motor.*40\s*%.*gears.*40\s*%.*wheels.*20\s*%/,
  );
  await expect(page.getByTestId('start-margin')).toContainText('times what friction and ground ask');
  const said = page.getByTestId('drive-efficiency');
  await expect(said).toContainText('passes on');
  await page.getByRole('button', { name: /^Let the run take/ }).click();
  await expect(said).toContainText(/passes on ([\d.]+)\s*%, the run takes \1\s*%/);
  // a weight that keeps it turning but does not start it is no reading
  await part.fill('bearings');
  await field(page, 'Just starts it').fill('5');
  await field(page, 'Just keeps it turning').fill('9');
  await page.getByRole('button', { name: 'Add the weights' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'the weight that starts it' })).toBeVisible();
  await page.getByRole('button', { name: 'Take weights 4 out' }).click();
  await page.getByRole('button', { name: /^Save the run/ }).click();
  await expect(page.getByTestId('runs').locator('.longrow').filter({ hasText: 'Friction' })).toContainText(
    '3 parts told apart',
  );
});
