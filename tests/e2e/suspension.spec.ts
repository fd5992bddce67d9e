import { type Page } from '@playwright/test';
import { expect, field, freshName, readyBuild, saved, test, toSegment } from './page';

async function started(page: Page, name: string, corner: string): Promise<void> {
  await readyBuild(page, freshName(name));
  await toSegment(page, 'Suspension');
  await expect(page.locator('main h1')).toHaveText(/No front corner yet: start from one of the four/);
  await page.getByRole('button', { name: corner }).click();
  await expect(page.getByTestId('toe-strays')).toBeVisible();
}

const point = (page: Page, name: string, axis: string) => field(page, `${name}, ${axis}`);
const strays = async (page: Page) => Number.parseFloat(await page.getByTestId('toe-strays').innerText());

test('a bump-steer curve is flattened by the search', async ({ page }) => {
  await started(page, 'Bumpy', 'Unequal wishbones');
  const height = point(page, 'tie rod, inner end', 'up');
  await height.fill(String(Number(await height.inputValue()) + 4));
  const bump = page.locator('[data-check="suspension.bump"]');
  await expect(bump).toHaveAttribute('data-state', 'over');
  expect(await strays(page)).toBeGreaterThan(0.8);
  await page.getByRole('tab', { name: /^Find a better point/ }).click();
  await field(page, 'Each way by at most').fill('10');
  await page.getByRole('button', { name: 'Search' }).click();
  await expect(page.getByTestId('toe-after')).toBeVisible();
  expect(Number.parseFloat(await page.getByTestId('toe-after').innerText())).toBeLessThan(0.1);
  await page.getByRole('button', { name: 'Take these points' }).click();
  await expect(page.getByText('These points are in the build now')).toBeVisible();
  await page.getByRole('tab', { name: /^Corner/ }).click();
  await expect.poll(() => strays(page)).toBeLessThan(0.1);
  await saved(page);
});

test('points are dragged, nudged and typed; what makes no corner says so and leaves the picture', async ({
  page,
}) => {
  await started(page, 'Points', 'Flat arms');
  const upper = page.getByTestId('view-front').locator('[data-point="upperOuter"]');
  const box = (await upper.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 10, box.y + box.height / 2 - 6, { steps: 4 });
  await page.mouse.up();
  // arms that are no longer alike lean the wheel
  await expect(page.getByTestId('camber-at-bump')).not.toHaveText('0°');
  const y = point(page, 'upper outer joint', 'to the left');
  const dragged = Number(await y.inputValue());
  await upper.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(y).toHaveValue(String(Math.round(10 * (dragged + 2)) / 10));
  const front = point(page, 'lower hinge, front end', 'ahead');
  const before = await front.inputValue();
  await front.fill(await point(page, 'lower hinge, rear end', 'ahead').inputValue());
  await expect(page.locator('[data-row="lowerFront"]').getByRole('alert')).toHaveText(/coincides/);
  await expect(page.getByTestId('view-front')).toBeVisible();
  await front.fill(before);
  await expect(page.getByTestId('camber-at-bump')).toBeVisible();
  // a wheel that stands elsewhere than the chassis says offers its track
  await point(page, 'wheel centre', 'to the left').fill('110');
  await page.getByRole('button', { name: 'Take the corner’s track' }).click();
  await expect(page.getByText('These points stand on a track')).toBeHidden();
  // the linkage moves with its slider, until it locks
  await page.getByRole('slider', { name: /^Travel/ }).fill('8');
  await expect(page.locator('[data-reading="Track"]').first()).not.toHaveText(/^0\s/);
  await page.getByRole('slider', { name: /^Rack/ }).fill('4');
  await expect(page.locator('[data-side="Right"] [data-reading="Steers"]')).toBeVisible();
  await page.getByRole('button', { name: 'back to rest' }).click();
});

test('points go out as CSV and come in again; a file that is none changes nothing', async ({ page }) => {
  await started(page, 'File', 'Hinge pins and a camber link');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Points as CSV' }).click();
  const text = await (
    await (await download).createReadStream()
  )
    .toArray()
    .then((parts) => Buffer.concat(parts as Buffer[]).toString());
  expect(text).toContain('point,x_mm,y_mm,z_mm');
  const read = (name: string, body: string) =>
    page
      .getByLabel('Points from CSV')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(body) });
  await read('bad.csv', 'point,x_mm,y_mm,z_mm\nelbow,1,2,3\n');
  await expect(page.getByRole('main').getByRole('alert')).toHaveText(
    /line 2: “elbow” is no point of this corner.*Nothing was changed/,
  );
  await read('good.csv', text.replace(/^upperInner,.*$/m, 'upperInner,-4,44.4,58'));
  await expect(point(page, 'link, inner end', 'to the left')).toHaveValue('44.4');
  // and in space, with and without 3D
  await page.getByRole('button', { name: 'In space' }).click();
  await expect(page.getByTestId('space').or(page.getByTestId('axis-view'))).toBeVisible();
});

test('without WebGL the space view is drawn flat', async ({ page }) => {
  await page.addInitScript(() => {
    const usual = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (
      this: HTMLCanvasElement,
      kind: string,
      ...rest: unknown[]
    ) {
      return kind.startsWith('webgl')
        ? null
        : (usual as (...given: unknown[]) => unknown).call(this, kind, ...rest);
    } as typeof usual;
  });
  await started(page, 'Flat', 'Parallel wishbones');
  await page.getByRole('button', { name: 'In space' }).click();
  await expect(page.getByTestId('axis-view')).toBeVisible();
});

test('springs are chosen by sag, the steering turns a circle, and a joint is ticked free until its corner moves', async ({
  page,
}) => {
  await started(page, 'Springs', 'Unequal wishbones');
  await page.getByRole('tab', { name: /^Ride and landing/ }).click();
  await page.getByRole('textbox', { name: 'Rate', exact: true }).fill('0.2');
  await field(page, 'Lands from').fill('0.1');
  await expect(page.locator('main h1')).toHaveText(/rests on its bump stop/);
  await page.getByRole('button', { name: /^Take: By the sag aimed at/ }).click();
  await expect(page.locator('main h1')).toHaveText(/sinks .* \(30\s%\)/);
  await page.getByRole('tab', { name: /^Steering/ }).click();
  const circle = async () => Number.parseFloat(await page.getByTestId('circle').innerText());
  const wide = await circle();
  await field(page, 'Rack to full lock').fill('10');
  await expect.poll(circle).toBeLessThan(wide);
  await page.getByRole('tab', { name: /^Play and binding/ }).click();
  await field(page, 'Apart').fill('10');
  await field(page, 'Play, inboard').fill('0.2');
  await field(page, 'Play, outboard').fill('0.2');
  await expect(page.locator('main h1')).toHaveText(/wobbles 1\.7\smm/);
  const loose = page.locator('[data-bench="front-loose"]');
  await loose.getByRole('checkbox').check();
  await expect(loose).toHaveAttribute('data-state', 'passed');
  await page.getByRole('tab', { name: /^Corner/ }).click();
  await point(page, 'lower ball', 'up').fill('24');
  await page.getByRole('tab', { name: /^Play and binding/ }).click();
  await expect(loose).toHaveAttribute('data-state', 'undone');
  await saved(page);
});

test('a link that is too weak is named with what does it, and holds once it is stronger', async ({
  page,
}) => {
  await started(page, 'Linked', 'Unequal wishbones');
  await page.getByRole('tab', { name: /^Ride and landing/ }).click();
  await page.getByRole('textbox', { name: 'Rate', exact: true }).fill('0.8');
  await field(page, 'Damper').fill('30');
  await page.getByRole('tab', { name: /^Forces in the links/ }).click();
  await field(page, 'Lands from').fill('0.3');
  const answer = page.getByTestId('forces-answer');
  await expect(answer).toContainText('carries the most');
  await expect(page.getByTestId('force-picture')).toHaveCount(2);
  await page.getByTestId('link-forces').getByRole('button', { name: 'Damper', exact: true }).click();
  await field(page, 'Holds when pushed').fill('20');
  await expect(answer).toContainText('Breaks first: the front damper, pushed with');
  await expect(answer).toContainText('by landing');
  await saved(page);
  await toSegment(page, 'Parts');
  await expect(page.locator('[data-check="links.front.damper"]')).toHaveAttribute('data-state', 'over');
  await toSegment(page, 'Suspension');
  await page.getByRole('tab', { name: /^Forces in the links/ }).click();
  await page.getByTestId('link-forces').getByRole('button', { name: 'Damper', exact: true }).click();
  await field(page, 'Holds when pushed').fill('4000');
  await expect(answer).toContainText('Weakest: the front damper');
});
