import { writeGpx } from '@/core/physics/timing/track/writeGpx';
import { numberIn, toTab } from './driveTabs';
import { timedRun } from './fieldRuns';
import { expect, field, freshName, pick, readyBuild, saved, test, toSegment } from './page';

/** A circle of 20 m at 3 m/s for 200 s. */
const circle = writeGpx('circle', [
  Array.from({ length: 201 }, (_, at) => {
    const metre = 360 / (2 * Math.PI * 6_371_008.8);
    const angle = (3 * at) / 20;
    return {
      atMs: Date.UTC(2026, 4, 1, 10, 0, at),
      latDeg: 20 * Math.sin(angle) * metre,
      lonDeg: 20 * Math.cos(angle) * metre,
    };
  }),
]);

test('a place that is too short says the speed it allows, and a longer one takes the pass', async ({
  page,
}) => {
  await readyBuild(page, freshName('Place'));
  await toSegment(page, 'Drive');
  await page.getByRole('tab', { name: 'Place and braking' }).click();
  const answer = page.getByRole('heading', { level: 1 });
  await expect(answer).toContainText('Not worked out yet: it needs length of the place');
  await page.getByRole('link', { name: 'Fill in: length of the place' }).click();
  const length = field(page, 'Length of the place');
  await expect(length).toBeFocused();
  await length.fill('14');
  await expect(answer).toContainText(/needs [\d.]+\s*m more: this place allows/);
  await length.fill('100');
  const spare = async () => Number(/fits with ([\d.]+)\s*m to spare/.exec(await answer.innerText())![1]);
  await expect(answer).toContainText(/fits with/);
  const before = await spare();
  await length.fill('120');
  await expect(answer).not.toContainText(`with ${before}`);
  expect((await spare()) - before).toBeCloseTo(20, 0);
  const room = page.locator('[data-check="drive.place"]');
  await expect(room).toHaveAttribute('data-state', 'clear');
  // the end of the place goes by arrow keys and under the pointer
  const end = page.getByRole('slider', { name: 'End of the place' });
  await end.press('ArrowRight');
  await expect(length).toHaveValue('120.5');
  const box = (await end.boundingBox())!;
  const middle = [box.x + box.width / 2, box.y + box.height / 2] as const;
  await page.mouse.move(...middle);
  await page.mouse.down();
  await page.mouse.move(middle[0] - 400, middle[1], { steps: 4 });
  await page.mouse.up();
  await expect(async () => expect(Number(await length.inputValue())).toBeLessThan(100)).toPass();
  await field(page, 'Wind along it').fill('15');
  await expect(page.getByText(/In a wind of 15\s*km\/h along it the top speed is/)).toBeVisible();
  const stop = page.getByTestId('braking');
  const said = await stop.innerText();
  await field(page, 'Driver brakes after').fill('2');
  await expect(stop).not.toHaveText(said);
  await saved(page);
});

test('a round is laid out segment by segment, and a longer gear is compared on it', async ({ page }) => {
  await readyBuild(page, freshName('Lap'));
  await toSegment(page, 'Drive');
  await page.getByRole('tab', { name: 'Lap', exact: true }).click();
  const answer = page.getByRole('heading', { level: 1 });
  await expect(answer).toContainText('Not worked out yet: it needs segments of the track');
  await page.getByRole('link', { name: 'Fill in: segments of the track' }).click();
  await page.getByRole('button', { name: 'Add a straight' }).click();
  await page.getByRole('button', { name: 'Add a bend' }).click();
  await expect(page.getByText(/The round does not close/)).toBeVisible();
  await page.getByRole('button', { name: 'Add a straight' }).click();
  await page.getByRole('button', { name: 'Add a bend' }).click();
  await expect(page.getByText(/The round does not close/)).toBeHidden();
  await expect(answer).toContainText(/A lap of 65.2\sm takes [\d.]+\ss/);
  await expect(page.getByRole('table', { name: 'Segment by segment' }).getByRole('row')).toHaveCount(5);
  await page.getByRole('button', { name: 'pin' }).click();
  // a gentler driver, by one slider: its least is three tenths
  const style = page.getByRole('slider', { name: 'Grip that the driver uses' });
  await style.press('Home');
  await expect(answer).toContainText(/slower than/);
  await expect(page.locator('[data-won="1"]')).toContainText('−');
  await style.press('End');
  await expect(answer).toContainText(/faster than/);
  await page.getByRole('region', { name: 'Segment 4' }).getByRole('button').first().click();
  await expect(answer).toContainText(/A lap of 52.6\sm/);
  // long straights want a longer gear
  for (const name of ['Segment 1', 'Segment 3'])
    await page.getByRole('region', { name }).getByRole('textbox', { name: 'Length' }).fill('150');
  await expect(answer).toContainText(/A lap of 313\sm/);
  const lapS = async () => Number(/takes ([\d.]+)\s*s/.exec(await answer.innerText())![1]);
  const before = await lapS();
  const gears = page.getByRole('region', { name: 'The gear for this lap' });
  await expect(gears).toHaveAttribute('aria-busy', 'false');
  await expect(page.getByTestId('lap-gear')).toContainText(/takes [\d.]+\s*s off a lap against/);
  await gears.getByRole('button', { name: /^Take/ }).click();
  await expect(async () => expect(await lapS()).toBeLessThan(before)).toPass();
  await expect(page.getByTestId('lap-gear')).toContainText('as it is, is the fastest gear for this round');
  await saved(page);
});

test('a round comes out of a track, is drawn by what decides over its speed, and makes room for one by hand', async ({
  page,
}) => {
  await readyBuild(page, freshName('Round'));
  await toSegment(page, 'Drive');
  await page.getByRole('tab', { name: 'Lap', exact: true }).click();
  const file = page.getByLabel('File of a track with the round');
  const give = (name: string, text: string) =>
    file.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await give('words.csv', 'time,lat,lon\nsoon,here,there\n');
  await expect(page.getByRole('alert').filter({ hasText: 'words.csv' })).toBeVisible();
  await give('circle.gpx', circle);
  // 2π·20 m
  const answer = page.getByRole('heading', { level: 1 });
  await expect(answer).toContainText(/A lap of 12[4-7]\s*m takes/);
  await expect(page.getByText(/^mean of \d rounds$/)).toBeVisible();
  await expect(page.getByTestId('lap-plan').locator('[data-by="grip"]').first()).toBeAttached();
  await expect(page.getByTestId('lap-speed').locator('[data-part="strip"] rect').first()).toBeAttached();
  await give('row.csv', 'time,lat,lon\n0,0,0\n1,0,0.00005\n2,0,0.0001\n3,0,0.00015\n4,0,0.0002\n');
  await expect(page.getByText(/there is no round in it: it is driven once/)).toBeVisible();
  await page.getByRole('button', { name: 'back to a round laid out by hand' }).click();
  await expect(answer).toContainText('it needs segments of the track');
  await saved(page);
});

test('a pack is driven as the lap, and as on a track of one’s own, which moves minutes and heat', async ({
  page,
}) => {
  await readyBuild(page, freshName('Duty'));
  await toSegment(page, 'Drive');
  await toTab(page, 'Heat and duty');
  const minutes = await numberIn(page, 'minutes');
  const driven = page.getByRole('combobox', { name: 'Driven as' });
  await driven.selectOption({ label: 'the lap of this build' });
  await expect(page.getByRole('heading', { level: 1 })).toContainText('it needs segments of the track');
  await driven.selectOption({ label: 'as on a track of your own' });
  await expect(page.getByRole('heading', { level: 1 })).toContainText('it needs track of your own');
  const file = page.getByLabel('File of a track to drive');
  await file.setInputFiles({
    name: 'still.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('time,lat,lon\n0,1,1\n9,1,1\n'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'nothing in it moves' })).toBeVisible();
  await file.setInputFiles({
    name: 'circle.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from(circle),
  });
  // 3 m/s are 10.8 km/h
  await expect(page.getByTestId('mean-speed')).toHaveText(/10.8\s*km\/h/);
  await expect(page.getByTestId('duty-followed')).toContainText('It follows all of it');
  expect(await numberIn(page, 'minutes')).toBeGreaterThan(1.5 * minutes);
  const log = (text: string) =>
    file.setInputFiles({ name: 'log.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await log('time,speed\n0,5\n9,5\n3,5\n');
  await expect(page.getByRole('alert').filter({ hasText: 'line 4: the clock goes back' })).toBeVisible();
  // 5 m/s are 18 km/h
  await log('time,speed\n0,5\n3,5\n');
  await expect(page.getByTestId('mean-speed')).toHaveText(/18(\.0)?\s*km\/h/);
  await expect(page.getByTestId('energy-bar')).toContainText(/rolling [\d.]+\s*Wh/);
  await saved(page);
});

test('a car that stands says what each change alone would have to be', async ({ page }) => {
  await readyBuild(page, freshName('Stands'));
  await toSegment(page, 'Brief');
  await field(page, 'Steepest climb').fill('60');
  await toSegment(page, 'Drive');
  await expect(page.getByTestId('standstill-remedies')).toContainText(/^Each of these alone would move it: /);
});

test('a motor that is held is given less current, and lives', async ({ page }) => {
  await readyBuild(page, freshName('Held'));
  await toSegment(page, 'Drive');
  const held = page.locator('[data-check="drive.hold"]');
  await expect(held).toHaveAttribute('data-state', 'over');
  await held.getByRole('button', { name: /current limit .* → 72/i }).click();
  await expect(held).toHaveAttribute('data-state', 'clear');
});

test('before a fast pass everything is looked at, and the run remembers it', async ({ page }) => {
  const root = await readyBuild(page, freshName('Pass'));
  await page.goto(`${root}/field`);
  await page.getByRole('button', { name: /^Before a fast pass: no go yet/ }).click();
  // the list stands still once all checks are in
  await expect(page.getByText(/^No go: .*fail-safe list is not known/)).toBeVisible();
  for (const look of [/^Pack charged/, /^Closed ground/, /^Switched on/])
    await page.getByRole('checkbox', { name: look }).check();
  await timedRun(page, 2.4);
  await expect(page.getByTestId('runs').locator('.longrow')).toContainText(
    'looked at everything before the pass',
  );
});

test('laps and stops are written down beside what is predicted, and the lap that stands out is named', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Timed'));
  await toSegment(page, 'Brief');
  await pick(page, 'Add a surface', 'Gravel');
  await saved(page);
  await page.goto(`${root}/field`);
  const kind = page.getByRole('combobox', { name: 'Kind of run' });
  const runs = page.getByTestId('runs').locator('.longrow');
  await kind.selectOption({ label: 'Lap times' });
  for (const seconds of ['15', '15.2', '15.4', '15.2', '21.4']) {
    await field(page, 'Or typed').fill(seconds);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
  }
  await expect(page.getByText('Lap 5, stands out')).toBeVisible();
  await expect(page.getByTestId('laps-said')).toHaveText(
    /5 laps, best 15\s*s, mean 15\.2\s*s, sd 0\.16\s*s, lap 5 left aside/,
  );
  await page.getByRole('button', { name: /^Save the run/ }).click();
  await expect(runs.filter({ hasText: 'Lap times' })).toContainText('lap 5 left aside');
  // the next sheet is laid out
  await expect(page.getByTestId('laps-said')).toBeEmpty();
  await kind.selectOption({ label: 'Stopping' });
  // 6 m/s, 3.6 m: v²/2d = 5 m/s²
  await field(page, 'Braked from').fill('21.6');
  const predicted = page.getByText(/^Predicted [\d.]+\s*m\.$/);
  await expect(predicted).toBeVisible();
  // on the sheet's own surface, which the page does not show
  const onGrass = await predicted.innerText();
  await page.getByRole('combobox', { name: 'Surface' }).selectOption({ label: 'Gravel' });
  await expect(predicted).not.toHaveText(onGrass);
  await field(page, 'Stood after').fill('3.6');
  await page.getByRole('button', { name: 'Add the stop' }).click();
  await expect(page.getByTestId('stops-said')).toHaveText(
    /1 stop, at least 5\s*m\/s², friction 0\.51 if all wheels brake/,
  );
  await page.getByRole('button', { name: /^Save the run/ }).click();
  await expect(runs.filter({ hasText: 'Stopping' })).toContainText('1 stop');
});
