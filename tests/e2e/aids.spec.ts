import { expect, field, freshName, readyBuild, saved, test, toSegment } from './page';

test('a gain is found that catches a car that spins, goes into the build, and comes back with a run', async ({
  page,
}) => {
  await readyBuild(page, freshName('Spinner'));
  await toSegment(page, 'Suspension');
  await page.getByRole('tab', { name: 'Aids' }).click();
  // a rear that grips far less than the front
  await page.getByText('The tyres in a corner').click();
  await field(page, 'Rear stiffness over load').fill('3');
  const gain = page.getByRole('slider', { name: 'Gain' });
  await gain.fill('0');
  const answer = page.locator('main h1');
  await expect(page.getByTestId('unstable')).toBeVisible();
  await gain.fill('0.3');
  await expect(answer).toHaveText(/without it the car spins/);
  const best = page.getByTestId('best-gain');
  await expect(best).toHaveText(/^0\.\d+$/);
  await gain.fill(await best.innerText());
  await expect(page.getByTestId('settles')).toBeVisible();
  await page.getByRole('button', { name: 'put into the build' }).click();
  const check = page.locator('[data-check="aids.yaw"]');
  await expect(check).toHaveAttribute('data-state', /clear|tight/);
  await gain.fill('0.6');
  await saved(page);
  await page.getByRole('button', { name: 'Sweep over speeds' }).click();
  await expect(page.getByRole('table', { name: 'Gains over speed' }).getByRole('row')).toHaveCount(11);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As constants in a text file' }).click();
  const text = await (
    await (await download).createReadStream()
  )
    .toArray()
    .then((parts) => Buffer.concat(parts as Buffer[]).toString());
  expect(text).toMatch(/GYRO_GAIN\s+= 0\.6 {2}# deg per deg\/s/);
  const law = page.waitForEvent('download');
  await page.getByRole('button', { name: 'As a C file for a microcontroller' }).click();
  const file = await (await law).createReadStream();
  const code = await file.toArray().then((parts) => Buffer.concat(parts as Buffer[]).toString());
  expect(code).toContain('#define GYRO_GAIN 0.6f');
  // the run sheet takes the settings along, and the page shows the run beside its simulation
  await toSegment(page, 'Field');
  await field(page, 'Or type the time').fill('2.4');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: /^Take the settings of the aids along/ }).click();
  await page.getByRole('button', { name: /^Save the run/ }).click();
  await expect(page.getByText(/gyro gain 0\.6/).first()).toBeVisible();
  await toSegment(page, 'Suspension');
  await page.getByRole('tab', { name: 'Aids' }).click();
  await expect(page.locator('[data-run]')).toContainText('0.6');
});

test('a slip target is swept, a brake is held back, and a car without a free wheel is followed', async ({
  page,
}) => {
  await readyBuild(page, freshName('Slipper'));
  await toSegment(page, 'Suspension');
  await page.getByRole('tab', { name: 'Aids' }).click();
  await page.getByRole('button', { name: 'Slip control, throttle' }).click();
  await expect(page.getByTestId('takes')).toBeVisible();
  await page.getByRole('button', { name: 'Sweep the target' }).click();
  await expect(page.getByTestId('band')).toContainText('Best from');
  await page.getByRole('button', { name: 'Slip control, brake' }).click();
  await field(page, 'Brake torque at the axle').fill('2');
  await expect(page.locator('main h1')).toHaveText(/locked wheels/);
  await toSegment(page, 'Drive');
  await page.getByRole('combobox', { name: 'Driven' }).selectOption({ label: 'both axles' });
  await toSegment(page, 'Suspension');
  await page.getByRole('tab', { name: 'Aids' }).click();
  await page.getByRole('button', { name: 'Slip control, throttle' }).click();
  await expect(page.getByText('No wheel runs free', { exact: false })).toBeVisible();
  const takes = page.getByTestId('takes');
  const before = await takes.textContent();
  // followed by far less than the tyres give, the car is held back
  await page.getByRole('slider', { name: 'Most gain of speed' }).fill('1');
  await expect(takes).not.toHaveText(before!);
  await expect(page.locator('main h1')).toHaveText(/holds back too much/);
});

test('a gyro that holds a slide says how far it can, and holds it with enough gain', async ({ page }) => {
  await readyBuild(page, freshName('Slider'));
  await toSegment(page, 'Suspension');
  await page.getByRole('tab', { name: 'Aids' }).click();
  await page.getByRole('button', { name: 'a slide', exact: true }).click();
  await expect(page.getByTestId('slide-found')).toContainText('does not hold');
  await page.getByRole('button', { name: 'holds a slide' }).click();
  await page.getByRole('slider', { name: 'Speed', exact: true }).fill('5');
  await page.getByRole('slider', { name: 'Gain' }).fill('0.3');
  await expect(page.getByTestId('slide-limits')).toContainText('can be held up to');
  await expect(page.getByTestId('slide-found')).toContainText(/^holds/);
  await page.getByRole('slider', { name: 'Driver steers' }).fill('25');
  await expect(page.getByTestId('slide-found')).toContainText('goes round');
});

test('a log of the gyro tells its direction and the filter it needs, before the first drive', async ({
  page,
}) => {
  await readyBuild(page, freshName('Logged'));
  await toSegment(page, 'Suspension');
  await page.getByRole('tab', { name: 'Aids' }).click();
  await page.getByRole('button', { name: 'put into the build' }).click();
  const direction = page.locator('[data-check="aids.sign"]');
  await expect(direction).toHaveAttribute('data-state', 'unknown');
  await page.getByRole('button', { name: 'What the gyro reads' }).click();
  // a bias of 2 °/s with a little unrest; a shake of 30 °/s at 50 Hz; a turn to the left
  const log = (rate: (t: number, k: number) => number) =>
    Array.from({ length: 400 }, (_, k) => `${(0.004 * k).toFixed(3)} ${rate(0.004 * k, k).toFixed(3)}`).join(
      '\n',
    );
  const rest = (_: number, k: number) => 2 + 0.1 * Math.sin(1.7 * k ** 1.5);
  await page.getByLabel(/^At rest/).fill(log(rest));
  await expect(page.getByTestId('gyro-rest')).toContainText(/reads 2\D/);
  await page
    .getByLabel(/motor running: time/)
    .fill(log((t, k) => rest(t, k) + 30 * Math.sin(2 * Math.PI * 50 * t)));
  await field(page, 'Motor turned meanwhile at').fill('3000');
  await expect(page.getByTestId('gyro-running')).toContainText('the motor');
  await page.getByTestId('gyro-filter').getByRole('button', { name: 'Take that filter' }).click();
  await page.getByLabel(/^Turned to the left/).fill(log((t, k) => rest(t, k) - 60));
  await expect(page.getByTestId('gyro-sign')).toContainText('reverse it');
  await page.getByLabel(/^Turned to the left/).fill(log((t, k) => rest(t, k) + 60));
  await page.getByRole('button', { name: 'Note it as proven' }).click();
  await expect(direction).toHaveAttribute('data-state', 'clear');
  await page.getByLabel(/^At rest/).fill('0 none');
  await expect(page.getByRole('alert').filter({ hasText: 'Each line' })).toBeVisible();
});
