import type { Page } from '@playwright/test';
import { extruded } from '@/core/physics/solid/extrude';
import { boxCorners, meshOf } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { expect, field, freshName, readyBuild, saved, test, toSegment, pick } from './page';

const margin = async (page: Page) => Number.parseFloat(await page.getByTestId('solid-margin').innerText());

/** A bar of 6 × 6 × 36 that stands on the bed. */
const bar = writeStl(
  meshOf(
    extruded(
      [
        [0, 0],
        [6, 0],
        [6, 6],
        [0, 6],
      ],
      [],
      0,
      36,
    ),
  ),
);

async function namedPart(page: Page, name: string): Promise<void> {
  await field(page, 'Name of the part').fill(name);
  await page.getByRole('button', { name: 'Add the part' }).click();
  await expect(page.getByRole('combobox', { name: 'Choose a part' })).toContainText(name);
}

const dropped = (page: Page, name: string, bytes: Uint8Array) =>
  page
    .getByLabel('File of the mesh')
    .setInputFiles({ name, mimeType: 'model/stl', buffer: Buffer.from(bytes) });

test('a part from a few dimensions: what breaks it, and turned on the bed it holds', async ({ page }) => {
  await readyBuild(page, freshName('Ears'));
  await toSegment(page, 'Parts');
  await namedPart(page, 'Ear');
  await page.getByRole('button', { name: 'Start with usual dimensions' }).click();
  await pick(page, 'Choose a material', 'Printed PETG');
  await page.getByRole('combobox', { name: 'Layers lie' }).selectOption('across');
  // one load of its own: 100 N on 40 mm, 20 × 5 mm: 27 · 20 · 25 / 6 / 40 N across, 45 along
  await page.getByRole('button', { name: 'Take load 2 off' }).click();
  await page.getByRole('button', { name: 'Take load 1 off' }).click();
  await pick(page, 'Add a load', 'a force of my own');
  await field(page, 'Force').fill('100');
  await field(page, 'From hold to load').fill('40');
  await field(page, 'Width').fill('20');
  await field(page, 'Thickness').fill('5');
  const row = page.locator('[data-part]');
  await expect(row).toHaveAttribute('data-state', 'over');
  await expect(page.getByTestId('part-loads')).toContainText('56.3 N');
  await expect(page.locator('main h1')).toContainText('between the layers');
  await expect(
    page.getByRole('img', { name: /^Ear, clamped at one end.*100 N, .*; margin 0\.563, fails$/ }),
  ).toBeVisible();
  await page.getByRole('combobox', { name: 'Layers lie' }).selectOption('along');
  await expect(page.getByTestId('part-loads')).toContainText('93.8 N');
  await page
    .getByTestId('stiff-or-tough')
    .getByRole('button', { name: 'Take Printed nylon, carbon filled' })
    .click();
  // 85 · 20 · 25 / 6 / 40 = 177 N
  await expect(page.getByTestId('part-loads')).toContainText('177 N');
  await expect(row).toHaveAttribute('data-state', 'clear');
  // the lightest of what is at hand holds twice, and is what the part becomes
  await page.getByRole('button', { name: 'Find the lightest ear that holds' }).click();
  await expect(page.getByTestId('lightest')).toContainText('limits it');
  await page.getByTestId('lightest-table').getByRole('button', { name: 'take it' }).first().click();
  const breaksAt = page.getByTestId('part-loads').getByRole('cell').nth(2);
  await expect.poll(async () => Number.parseFloat(await breaksAt.innerText())).toBeGreaterThan(199);
  await saved(page);
});

test('a mesh is dropped, held and pulled by its faces, solved, turned on the bed, and holds better', async ({
  page,
}) => {
  await readyBuild(page, freshName('Meshes'));
  await toSegment(page, 'Parts');
  await namedPart(page, 'Bar');
  await pick(page, 'Choose a material', 'Printed PETG');
  await page.getByRole('tab', { name: 'Own mesh' }).click();
  await dropped(page, 'bar.stl', bar);
  await expect(page.getByTestId('mesh-facts')).toContainText('12 triangles');
  await field(page, 'Voxel').fill('1');
  await page.getByRole('button', { name: /^Hold face \d, looks −z/ }).click();
  await page.getByRole('button', { name: /^Pull face \d, looks \+z/ }).click();
  await page.getByRole('combobox', { name: 'Pull 1 comes from' }).selectOption('own');
  await field(page, 'Force').fill('8');
  await page.getByRole('combobox', { name: 'Pull 1 goes' }).selectOption('+x');
  await expect(page.getByTestId('cut-says')).toContainText('margin');
  await page.getByRole('button', { name: 'Solve it as a solid' }).click();
  await expect(page.getByTestId('solid')).toHaveAttribute('data-stale', 'false');
  await expect(page.getByTestId('solid')).toContainText('between the layers: layers pulled apart');
  const standing = await margin(page);
  // Euler and Bernoulli at the clamp: 8 N · 36 mm over 36 mm³ is 8 MPa of 27; a clamped corner reads higher, the centre of a voxel lower
  expect(standing).toBeGreaterThan(2.4);
  expect(standing).toBeLessThan(4.2);
  await page.getByRole('button', { name: 'Look again with finer voxels' }).click();
  await expect(page.getByTestId('solid')).toContainText('With');
  await page.getByRole('button', { name: 'Take way 1' }).click();
  await expect(page.getByRole('combobox', { name: 'Layers lie' })).toHaveValue('along');
  await expect(page.getByTestId('solid')).toHaveAttribute('data-stale', 'true');
  await page.getByRole('button', { name: 'Solve it as a solid' }).click();
  await expect(page.getByTestId('solid')).toHaveAttribute('data-stale', 'false');
  // in the layers it bears 45 in place of 27 MPa
  expect((await margin(page)) / standing).toBeGreaterThan(1.4);
  expect((await margin(page)) / standing).toBeLessThan(2.1);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: '3MF' }).click();
  expect((await download).suggestedFilename()).toBe('bar.3mf');
  await saved(page);
  await page.reload();
  await expect(page.getByTestId('mesh-facts')).toContainText('12 triangles');
  await expect(page.getByTestId('solid')).toHaveAttribute('data-stale', 'false');
});

test('broken meshes are told in a sentence, mended on request, and metres are asked', async ({ page }) => {
  await readyBuild(page, freshName('Broken'));
  await toSegment(page, 'Parts');
  await namedPart(page, 'Bar');
  await page.getByRole('tab', { name: 'Own mesh' }).click();
  await dropped(page, 'cut.stl', bar.slice(0, 300));
  await expect(page.getByRole('main').getByRole('alert')).toContainText(
    'is cut off: it announces 12 triangles and holds 4',
  );
  await dropped(page, 'note.txt', new TextEncoder().encode('hello'));
  await expect(page.getByRole('main').getByRole('alert')).toContainText('drop an STL, a 3MF or an OBJ');
  const box = meshOf(boxCorners([0, 0, 0], [20, 10, 8]));
  await dropped(page, 'open.stl', writeStl({ ...box, triangles: box.triangles.slice(3) }));
  await expect(page.getByRole('main').getByRole('alert')).toContainText('It is open: 3 edges');
  await page.getByRole('button', { name: 'Mend it' }).click();
  await expect(page.getByText('Closed 1 hole')).toBeVisible();
  await expect(page.getByTestId('mesh-facts')).toContainText('14 triangles');
  await dropped(page, 'metres.stl', writeStl(meshOf(boxCorners([0, 0, 0], [0.05, 0.01, 0.01]))));
  await page.getByRole('button', { name: /^metres: 50/ }).click();
  await expect(page.getByTestId('mesh-facts')).toContainText('50 mm');
  await expect(page.getByRole('main').getByRole('alert')).toBeHidden();
});

test('strips of one’s own take the place of typical strengths', async ({ page }) => {
  await page.goto('/library');
  await page.locator('html[data-alive]').waitFor({ state: 'attached' });
  await page.getByRole('button', { name: 'Materials' }).click();
  await page.getByRole('button', { name: 'Copy Printed PETG', exact: true }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(freshName('Own PETG'));
  await page.locator('#strip-how').selectOption('pulled');
  await field(page, 'Load at break').fill('1600');
  await page.getByRole('button', { name: 'Note the strip' }).click();
  await field(page, 'Load at break').fill('2000');
  await page.getByRole('button', { name: 'Note the strip' }).click();
  // 1600 and 2000 N over 10 × 4 mm: 40 and 50 MPa
  await expect(page.getByTestId('own-figures')).toContainText(/45\s*MPa ± 7\.1 from 2/);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Standing strip, STL' }).click();
  expect((await download).suggestedFilename()).toBe('test-strip-standing.stl');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('own, 2 strips')).toBeVisible();
});
