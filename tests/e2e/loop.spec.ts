import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { expect, field, freshName, readyBuild, readyByHand, test, toSegment } from './page';

/** What a click puts into the downloads. */
async function handedOver(page: Page, act: () => Promise<void>): Promise<{ name: string; content: Buffer }> {
  const download = page.waitForEvent('download');
  await act();
  const file = await download;
  return { name: file.suggestedFilename(), content: readFileSync((await file.path())!) };
}

test('the whole story: wish, drive, run, failure with its cause, new revision, fix, comparison, report', async ({
  page,
}) => {
  const start = Date.now();
  await readyByHand(page, freshName('Loop'));
  console.log(`a new build to its predicted top speed: ${((Date.now() - start) / 1000).toFixed(1)} s`);

  const speed = page.getByTestId('top-speed');
  // the motor's no-load speed bounds it: 8.4 V · 3,000 rpm/V / 10 turns on 42 mm = 39.9 km/h
  const first = Number.parseFloat(await speed.innerText());
  expect(first).toBeGreaterThan(30);
  expect(first).toBeLessThan(39.9);
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'The tyres, not the motor, set the launch.',
  );

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
  await expect(page.getByTestId('working')).toContainText('8.4\u00a0V · 3,000\u00a0rpm/V');

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
  await expect(page.getByTestId('failures')).toContainText('after 1.5 h on the part, in timed distance');
  const failure = page.getByRole('article', { name: /Main gear/ });
  await failure.getByRole('button', { name: 'find out why it failed' }).click();
  await failure.getByTestId('next-check').getByRole('button', { name: 'yes', exact: true }).click();
  await failure
    .getByTestId('suspects')
    .getByRole('listitem')
    .first()
    .getByRole('button', { name: /^Verdict/ })
    .click();
  await expect(failure).toContainText('explained');
  await expect(failure.getByRole('status')).toHaveText('saved');

  await page.getByRole('button', { name: 'Open the next revision' }).click();
  await page.getByRole('button', { name: /^Open revision B/ }).click();
  await expect(page.getByRole('form', { name: 'Open the next revision' }).getByRole('alert')).toContainText(
    'Say why',
  );
  await field(page, 'Why').fill('The gear stripped: one tooth less on the pinion.');
  await page.getByRole('button', { name: /^Open revision B/ }).click();
  await page.waitForURL(/\/B\/drive/);
  await field(page, 'Stage 1: pinion teeth').fill('14');
  await expect(page.getByTestId('top-speed')).not.toHaveText(`${first} km/h`);

  await toSegment(page, 'Field');
  for (const time of ['2.40', '2.41', '2.42']) {
    await field(page, 'Or type the time').fill(time);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Save the run (3 attempts)' }).click();
  await expect(answer).toContainText('3 attempts');

  await toSegment(page, 'Learn');
  await failure.getByRole('button', { name: 'say what was done about it' }).click();
  await failure.getByRole('textbox', { name: 'What was done' }).fill('A tooth less on the pinion.');
  await failure.getByRole('button', { name: 'Save the fix' }).click();
  await expect(failure).toContainText('Fix in B: A tooth less on the pinion.');

  await page.getByRole('tab', { name: 'Revisions', exact: true }).click();
  const sides = page.getByTestId('side-by-side');
  await expect(page.getByTestId('effects')).toContainText('Stage 1: pinion teeth: 16 → 14');
  // 20 m in 2.10 s on the mean of its speeds are 34.3 km/h, in 2.41 s 29.9 km/h
  await expect(sides.getByRole('heading', { level: 1 })).toContainText(
    /A to B: top speed .* predicted, 34\.3\skm\/h → 29\.9\skm\/h measured over a distance; one thing changed/,
  );
  const lessons = page.getByRole('textbox', { name: 'What we learned from B' });
  // one run on each side does not tell how far two runs of one car lie apart
  await expect(lessons).toHaveValue(/too few runs to hold against A\./);
  await expect(lessons).toHaveValue(/A tooth less on the pinion \(against main gear, teeth stripped\)/);
  await lessons.fill('Fewer teeth, slower car.');
  await page.getByRole('button', { name: 'Keep these words' }).click();
  await expect(page.getByRole('status', { name: 'Lessons' })).toHaveText('saved');

  await page.getByRole('tab', { name: 'Report', exact: true }).click();
  await page.getByRole('button', { name: 'Test report' }).click();
  await expect(page.getByTestId('report')).toContainText('Fewer teeth, slower car.');
  await expect(page.getByTestId('report')).toContainText('20 m on mown grass');
  const pdf = await handedOver(page, () => page.getByRole('button', { name: 'PDF' }).click());
  expect(pdf.name).toMatch(/^loop-.*-b-test-report\.pdf$/);
  expect(pdf.content.subarray(0, 5).toString()).toBe('%PDF-');
  const zip = await handedOver(page, () =>
    page.getByRole('button', { name: 'Markdown with pictures' }).click(),
  );
  const files = unzipSync(new Uint8Array(zip.content));
  expect(Object.keys(files).sort()).toEqual([
    expect.stringMatching(/^loop-.*-b-test-report\.md$/),
    'pictures/failures.svg',
    'pictures/runs.svg',
  ]);
  expect(strFromU8(files[Object.keys(files).find((name) => name.endsWith('.md'))!]!)).toContain(
    '](pictures/runs.svg)',
  );
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
