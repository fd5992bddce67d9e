import { expect, field, freshName, readyBuild, saved, test, toSegment } from './page';

const SEGMENTS = ['brief', 'drive', 'power', 'chassis', 'suspension', 'parts', 'print', 'field', 'learn'];

const PHONE_PAGES = {
  'the garage, the library and every segment': [
    '/',
    '/library',
    ...SEGMENTS.map((segment) => `/builds/marsh-hare/D/${segment}`),
  ],
  'every side of the drive': [
    'place',
    'lap',
    'heat',
    'ratio',
    'explorer',
    'layout',
    'gears',
    'joints',
    'tyres',
  ].map((view) => `/builds/marsh-hare/D/drive?view=${view}`),
  'every side of the power, and a closed revision': [
    ...['pack', 'wiring', 'radio'].map((view) => `/builds/marsh-hare/D/power?view=${view}`),
    '/builds/marsh-hare/C/power?view=radio',
  ],
};

for (const [name, paths] of Object.entries(PHONE_PAGES)) {
  test(`on a phone, in one column: ${name}`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    for (const path of paths) {
      await page.goto(path);
      await expect(page.getByRole('main')).toBeVisible();
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      expect({ path, wide }).toEqual({ path, wide: 390 });
    }
  });
}

test('at the field everything that is pressed is high enough for a cold thumb', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of ['field', 'field?view=tracks', 'field?view=compare', 'learn', 'learn?view=life']) {
    await page.goto(`/builds/marsh-hare/D/${path}`);
    await expect(page.getByRole('main')).toBeVisible();
    const low = await page.locator('main').evaluate((main) =>
      // what stands in a sentence is as high as its line
      [...main.querySelectorAll<HTMLElement>('button, select, input, textarea, [role=tab]')]
        .filter((one) => !one.matches('.MuiButton-link, [data-figure], [type=file], [data-check] *'))
        .map((one) => one.closest('.MuiInputBase-root, .MuiCheckbox-root') ?? one)
        .filter((one) => one.getBoundingClientRect().height > 0 && one.getBoundingClientRect().height < 44)
        .map((one) => `${one.outerHTML.slice(0, 120)}: ${one.getBoundingClientRect().height}`),
    );
    expect({ path, low }).toEqual({ path, low: [] });
  }
});

test('a segment without a result says so and what it will need', async ({ page }) => {
  await page.goto('/builds/tin-wren/A/print');
  await expect(page.getByRole('main')).toContainText('Choose a printer on the bench');
  await expect(
    page.getByRole('navigation', { name: 'Segments' }).getByRole('link', { name: /^Print/ }),
  ).toHaveAttribute('title', /not worked out yet, needs printer/);
});

test('dark and imperial stay after a reload, in the first paint too', async ({ page }) => {
  await page.goto('/builds/marsh-hare/D/drive');
  const html = page.locator('html');
  await page.getByRole('button', { name: 'Light or dark' }).click();
  await page.getByRole('button', { name: 'Units: metric, switch' }).click();
  await expect(page.getByTestId('top-speed')).toContainText('mph');
  await page.reload();
  await expect(html).toHaveAttribute('data-dark', '');
  await expect(page.getByTestId('top-speed')).toContainText('mph');
  const ground = await page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  expect(ground).toBe('rgb(22, 25, 22)');
  const sent = await (await page.request.get('/builds/marsh-hare/D/drive')).text();
  expect(sent).toContain('mph');
});

test('numbers follow the reader’s own marks', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL, locale: 'de-DE' });
  const page = await context.newPage();
  await readyBuild(page, freshName('Komma'));
  await toSegment(page, 'Brief');
  await field(page, 'Wished speed').fill('32,5');
  await field(page, 'Wished speed').blur();
  await expect(field(page, 'Wished speed')).toHaveValue('32,5');
  await field(page, 'Payload').fill('1.500');
  await expect(page.getByText(/= 1\.500\sg/)).toBeVisible();
  await saved(page);
  await context.close();
});

test('a failure is fixed, a run that it names stays, and a run without one goes', async ({ page, allow }) => {
  allow.statuses.push(409);
  await readyBuild(page, freshName('Fix'));
  await toSegment(page, 'Field');
  for (const time of ['2.0', '2.2']) {
    await field(page, 'Or type the time').fill(time);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await page.getByRole('button', { name: 'Save the run (1 attempt)' }).click();
    await expect(page.getByRole('button', { name: 'Save the run (0 attempts)' })).toBeVisible();
  }
  await toSegment(page, 'Learn');
  await page.getByRole('button', { name: 'Note a failure of A' }).click();
  await page.getByRole('button', { name: 'Save the failure' }).click();
  await expect(page.getByRole('form', { name: 'Note a failure' }).getByRole('alert')).toContainText([
    'Which part?',
    'How did it fail?',
  ]);
  await field(page, 'Its name').fill('Front link');
  await page.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'Came loose' });
  await page.getByRole('combobox', { name: 'In which run' }).selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Save the failure' }).click();
  const failure = page.getByRole('article', { name: /Front link/ });
  await expect(failure).toContainText('open');
  await failure.getByRole('button', { name: 'say what was done about it' }).click();
  await failure.getByRole('textbox', { name: 'What was done' }).fill('A longer ball.');
  await failure.getByRole('button', { name: 'Save the fix' }).click();
  await expect(failure).toContainText('Fix in A: A longer ball.');
  await toSegment(page, 'Field');
  await page.getByRole('button', { name: 'Delete the timed distance 1' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'The failure of Front link points to this run.' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Delete the timed distance 2' }).click();
  await expect(page.getByRole('button', { name: 'Delete the timed distance 2' })).toBeHidden();
});

test('the workshop’s own margin turns a clear check tight', async ({ page }) => {
  const margin = page
    .getByRole('form', { name: 'Margins' })
    .getByRole('textbox', { name: 'Minutes per pack' });
  const set = async (value: string) => {
    await page.goto('/library');
    await page.getByRole('button', { name: 'Margins' }).click();
    await margin.fill(value);
    await page.getByRole('form', { name: 'Margins' }).getByRole('button', { name: 'Save' }).click();
    await expect(page.getByText('Saved.')).toBeVisible();
  };
  await set('9');
  await page.goto('/builds/marsh-hare/D/brief');
  await expect(page.locator('[data-check="brief.charge"]')).toHaveAttribute('data-state', 'tight');
  await set('1.1');
  await page.goto('/builds/marsh-hare/D/brief');
  await expect(page.locator('[data-check="brief.charge"]')).toHaveAttribute('data-state', 'clear');
});

test('a chart is a table too, and says its picture in a sentence', async ({ page }) => {
  await page.goto('/builds/marsh-hare/D/drive');
  const chart = page.getByTestId('force-chart');
  await expect(
    chart.getByRole('img', { name: /Force at the wheels\. Drive and resistance meet at/ }),
  ).toBeVisible();
  await chart.getByRole('button', { name: 'as a table' }).click();
  await expect(chart.getByRole('columnheader', { name: 'resistance, N' })).toBeVisible();
});

test('a chart is read off by keys and pointer, looked at closely, and shown whole again', async ({
  page,
}) => {
  await page.goto('/builds/marsh-hare/D/drive');
  const chart = page.getByTestId('force-chart');
  const keys = chart.getByRole('group', { name: /^Force at the wheels: arrow keys/ });
  await keys.focus();
  await page.keyboard.press('Home');
  await expect(chart.getByTestId('reading')).toHaveText(
    /^0 km\/h · resistance \d[\d.]* N · drive \d[\d.]* N · grip/,
  );
  await page.keyboard.press('Shift+ArrowRight');
  await expect(chart.getByTestId('reading')).toHaveText(/^3\.\d+ km\/h/);
  await page.keyboard.press('+');
  await chart.getByRole('button', { name: 'show all' }).click();
  await expect(chart.getByRole('button', { name: 'show all' })).toHaveCount(0);

  const picture = chart.getByRole('img');
  const box = (await picture.boundingBox())!;
  await page.mouse.move(box.x + box.width * 0.5, box.y + 100);
  await expect(chart.locator('.brush .overlay')).toBeVisible();
  await expect(chart.getByTestId('reading')).toHaveText(/^1[5-9][.\d]* km\/h/);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * 0.75, box.y + 100, { steps: 4 });
  await page.mouse.up();
  await expect(chart.getByRole('button', { name: 'show all' })).toBeVisible();
  await picture.dblclick({ position: { x: box.width * 0.5, y: 100 } });
  await expect(chart.getByRole('button', { name: 'show all' })).toHaveCount(0);
});
