import { expect, field, freshName, readyBuild, test, toSegment } from './page';

test('from a wish to a lesson', async ({ page }) => {
  const start = Date.now();
  await readyBuild(page, freshName('Loop'));
  console.log(`a new build to its predicted top speed: ${((Date.now() - start) / 1000).toFixed(1)} s`);

  const speed = page.getByTestId('top-speed');
  // the motor's no-load speed bounds it: 8.4 V · 3000 rpm/V / 10 turns on 42 mm = 39.9 km/h
  const first = Number.parseFloat(await speed.innerText());
  expect(first).toBeGreaterThan(30);
  expect(first).toBeLessThan(39.9);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('The tyres, not the motor, set the launch.');

  const drive = page.getByTestId('force-chart').locator('[data-line="drive"]');
  const run = page.getByTestId('run-chart').locator('[data-line="speed"]');
  const [force, way] = [await drive.getAttribute('d'), await run.getAttribute('d')];
  await page.getByRole('button', { name: 'Stage 1: pinion teeth: one more' }).click();
  await expect(speed).not.toHaveText(`${first} km/h`);
  expect(Number.parseFloat(await speed.innerText()) / first).toBeCloseTo(16 / 15, 1);
  await expect(drive).not.toHaveAttribute('d', force!);
  await expect(run).not.toHaveAttribute('d', way!);

  await page.getByRole('button', { name: 'Working of top speed' }).click();
  await expect(page.getByTestId('working')).toContainText('2 · 4.2 V');
  await expect(page.getByTestId('working')).toContainText('8.4 V · 3000 rpm/V');

  await toSegment(page, 'Parts');
  await field(page, 'Name of the part').fill('Main gear');
  await page.getByRole('button', { name: 'Add the part' }).click();

  await toSegment(page, 'Field');
  for (const time of ['2.00', '2.10', '2.20']) {
    await field(page, 'Or type the time').fill(time);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
  }
  await field(page, 'Air').fill('15');
  await page.getByRole('button', { name: 'Save the run (3 attempts)' }).click();
  const answer = page.getByTestId('field-answer');
  // 36, 34.286 and 32.727 km/h: mean 34.34, sd 1.637; three stop-watch errors of about 4.8 % make 2.75 % of the mean
  await expect(answer).toContainText('34.34 ± 0.95 km/h');
  await expect(answer).toContainText('3 attempts');
  await expect(answer).toContainText(/Predicted [\d.]+\skm\/h: [\d.]+\s% (slower|faster)/);
  await expect(page.getByTestId('runs')).toContainText('1.6 km/h');
  await expect(page.getByTestId('dot-plot')).toBeVisible();

  await toSegment(page, 'Learn');
  await page.getByRole('button', { name: 'Note a failure of A' }).click();
  await page.getByRole('combobox', { name: 'Part' }).selectOption({ label: 'Main gear' });
  await page.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'Teeth stripped' });
  await page.getByRole('combobox', { name: 'In which run' }).selectOption({ index: 1 });
  await field(page, 'Hours on the part').fill('1.5');
  await field(page, 'What you saw').fill('Three teeth gone on landing.');
  await page.getByRole('button', { name: 'Save the failure' }).click();
  await expect(page.getByTestId('failures')).toContainText('Main gear: teeth stripped');
  await expect(page.getByTestId('failures')).toContainText('after 1.5 h, in timed distance');

  await page.getByRole('button', { name: 'Open the next revision' }).click();
  await page.getByRole('button', { name: /^Open revision B/ }).click();
  await expect(page.getByRole('form', { name: 'Open the next revision' }).getByRole('alert')).toContainText('Say why');
  await field(page, 'Why').fill('The gear stripped: one tooth less on the pinion.');
  await page.getByRole('button', { name: /^Open revision B/ }).click();
  await page.waitForURL(/\/B\/drive/);
  await field(page, 'Stage 1: pinion teeth').fill('14');
  await toSegment(page, 'Learn');
  const diff = page.getByRole('list', { name: 'What changed from A' });
  await expect(diff).toContainText('Stage 1: pinion teeth');
  await expect(diff).toContainText('16 → 14');
  await expect(page.getByRole('article', { name: 'Revision B' })).toContainText('The gear stripped');
});

test('the stop-watch makes an attempt, and a reload keeps the sheet', async ({ page }) => {
  const root = await readyBuild(page, freshName('Watch'));
  await page.goto(`${root}/field`);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText(/attempt 1:/)).toBeVisible();
  await page.getByRole('button', { name: 'Video frames' }).click();
  await field(page, 'Frames counted').fill('480');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.reload();
  // 20 m in 480 frames of 240 a second: 2 s, 36 km/h
  await expect(page.getByText(/attempt 2: 2\ss/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the run (2 attempts)' }).click();
  await expect(page.getByTestId('field-answer')).toContainText('2 attempts');
});
