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

test('a slip target is swept, a brake is held back, and a car without a free wheel is told so', async ({
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
  await expect(page.locator('main h1')).toHaveText(/axle that rolls free/);
});
