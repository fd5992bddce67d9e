import { readFile } from 'node:fs/promises';
import { read3mf } from '@/core/physics/meshFiles/read3mf';
import { measureMesh } from '@/core/physics/solid/measure';
import { sprung } from '@/core/fixtures/sprungCar';
import { expect, field, freshName, newBuild, pick, saved, test, toSegment } from './page';

test('an arm is drawn from the car’s points, solved under its own loads, printed as 3MF, and drawn anew when a point moves', async ({
  page,
}) => {
  test.slow();
  const root = await newBuild(page, freshName('Drawn'), sprung);
  await page.goto(`${root}/parts`);
  await page.getByRole('textbox', { name: 'Name of the part' }).fill('Lower arm');
  await page.getByRole('combobox', { name: 'Kind of part' }).selectOption({ label: 'arm' });
  await page.getByRole('button', { name: 'Add the part' }).click();
  await page.getByRole('tab', { name: 'Drawn here' }).click();
  await expect(page.getByRole('combobox', { name: 'Draw it as' })).toHaveValue('arm');
  await page.getByRole('button', { name: 'Draw it here' }).click();
  const answer = page.getByTestId('drawn');
  await expect(answer).toContainText('Suspension arm:', { timeout: 60_000 });
  await expect(page.getByText(/^Held at 2 places and tried by \d+ load cases/)).toBeVisible();

  // bad dimensions say so by their field, and the last good one stays
  const wall = field(page, 'Plastic round holes');
  await wall.fill('0.2');
  await expect(page.getByRole('alert').filter({ hasText: 'Not drawn' })).toContainText('plastic');
  await wall.fill('');
  await field(page, 'Thick').first().fill('8');
  await expect(page.getByRole('alert').filter({ hasText: 'Not drawn' })).toHaveCount(0);

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Lower arm as 3MF' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/lower-arm\.3mf$/);
  const found = measureMesh(read3mf(new Uint8Array(await readFile(await download.path())), 'file'), {});
  expect(found.watertight).toBe(true);
  // along the hinge the arm is as long as the hinge is
  const { lowerFront, lowerRear } = sprung.suspension.front!.corner!;
  const [min, max] = [found.boundsMm.min[0], found.boundsMm.max[0]];
  expect(max - min).toBeCloseTo(Math.hypot(...lowerFront.map((one, k) => one - lowerRear[k]!)), 1);

  await pick(page, 'Choose a material', 'Printed PETG');
  await page.getByRole('button', { name: 'Make it and solve it' }).click();
  const solid = page.getByTestId('solid');
  await expect(solid).toContainText('front wheel', { timeout: 120_000 });
  await expect(solid).toHaveAttribute('data-stale', 'false');
  await expect(page.getByTestId('drawn-anew')).toHaveCount(0);
  await saved(page);

  await toSegment(page, 'Suspension');
  await field(page, 'lower ball, to the left').fill('90');
  await saved(page);
  await toSegment(page, 'Parts');
  await page.getByRole('tab', { name: 'Drawn here' }).click();
  await expect(page.getByTestId('drawn-anew')).toBeVisible();
});
