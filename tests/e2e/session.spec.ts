import { expect, field, freshName, readyBuild, saved, test, watch } from './page';

test('saves by itself, and undo and redo follow', async ({ page }) => {
  const root = await readyBuild(page, freshName('Session'));
  await page.goto(`${root}/brief`);
  const payload = field(page, 'Payload');
  await payload.fill('350');
  await payload.blur();
  await payload.fill('400');
  await payload.blur();
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(payload).toHaveValue('350');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(payload).toHaveValue('400');
  await saved(page);
  await page.reload();
  await expect(payload).toHaveValue('400');
});

test('understands other units, says so, and keeps what it cannot read without saving it', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Units'));
  await page.goto(`${root}/brief`);
  const wish = field(page, 'Wished speed');
  await wish.fill('20 mph');
  await expect(page.getByText('= 32.19 km/h')).toBeVisible();
  await wish.fill('fast');
  await expect(page.getByRole('alert').filter({ hasText: '"fast" is not a number' })).toBeVisible();
  await wish.blur();
  await expect(wish).toHaveValue('fast');
  await wish.fill('900');
  await expect(
    page.getByRole('alert').filter({ hasText: 'Wished speed must be at most 540 km/h' }),
  ).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(wish).toHaveValue('32.187');
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(wish).toHaveValue('20');
  await page.reload();
  await expect(page.getByText('mph').first()).toBeVisible();
});

test('two tabs: different fields merge, the same field shows both and asks', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL });
  const problems: string[] = [];
  const [one, two] = [await context.newPage(), await context.newPage()];
  for (const page of [one, two]) watch(page, problems, { statuses: [409] });
  const root = await readyBuild(one, freshName('Tabs'));
  await saved(one);
  await one.goto(`${root}/chassis`);
  await two.goto(`${root}/chassis`);

  await field(one, 'Wheelbase').fill('280');
  await field(one, 'Wheelbase').blur();
  await saved(one);
  await field(two, 'Front track').fill('200');
  await field(two, 'Front track').blur();
  await expect(field(two, 'Wheelbase')).toHaveValue('280');
  await saved(two);

  await field(one, 'Rear track').fill('190');
  await field(one, 'Rear track').blur();
  await expect(field(one, 'Front track')).toHaveValue('200');
  await saved(one);
  await field(two, 'Rear track').fill('210');
  await field(two, 'Rear track').blur();
  const question = two.getByRole('alert', { name: 'Changed in two places' });
  await expect(question).toContainText('here 210 mm, there 190 mm');
  await question.getByRole('button', { name: 'Keep 210 mm' }).click();
  await expect(question).toBeHidden();
  await expect(field(two, 'Rear track')).toHaveValue('210');
  await saved(two);
  await one.reload();
  await expect(field(one, 'Rear track')).toHaveValue('210');
  await expect(field(one, 'Wheelbase')).toHaveValue('280');
  expect(problems).toEqual([]);
  await context.close();
});

test('a remedy goes into the build, clears the check, and is undone', async ({ page }) => {
  const root = await readyBuild(page, freshName('Remedy'));
  await field(page, 'Stage 1: pinion teeth').fill('10');
  const check = page.locator('[data-check="drive.speed"]');
  await expect(check).toHaveAttribute('data-state', 'over');
  await check
    .getByRole('button', { name: /pinion teeth 10 → / })
    .first()
    .click();
  await expect(check).not.toHaveAttribute('data-state', 'over');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(check).toHaveAttribute('data-state', 'over');
  expect(root).toContain('/A');
});

test('without a connection nothing is lost', async ({ page, context, allow }) => {
  allow.statuses.push(0);
  const root = await readyBuild(page, freshName('Offline'));
  await saved(page);
  await page.goto(`${root}/chassis`);
  page.on('console', () => undefined);
  allow.words = /ERR_FAILED/;
  await page.route('**/api/revisions/**', (route) => route.abort());
  await field(page, 'Wheelbase').fill('333');
  await field(page, 'Wheelbase').blur();
  await expect(page.getByRole('status').first()).toContainText('your changes stay in this tab');
  // closing the page now asks first
  const leaving = () =>
    page.evaluate(() => window.dispatchEvent(new Event('beforeunload', { cancelable: true })));
  expect(await leaving()).toBe(false);
  await page.unroute('**/api/revisions/**');
  await page.route('**/api/revisions/**', (route) =>
    route.fulfill({
      status: 503,
      contentType: 'application/json',
      body: '{"error":{"code":"database","message":"The database does not answer. What you typed stays on this page."}}',
    }),
  );
  allow.statuses.push(503);
  await expect(page.getByRole('status').first()).toContainText(
    'The database does not answer. What you typed stays on this page.',
  );
  await page.unroute('**/api/revisions/**');
  await saved(page);
  expect(await leaving()).toBe(true);
  await page.reload();
  await expect(field(page, 'Wheelbase')).toHaveValue('333');
  await context.close();
});
