import { numberIn, toTab } from './driveTabs';
import { expect, field, freshName, readyBuild, saved, test, toSegment } from './page';

test('a motor is cooled by a sink and a fan, its controller by a fan, and a cold pack slows it', async ({
  page,
}) => {
  await readyBuild(page, freshName('Cool'));
  await toSegment(page, 'Drive');
  await toTab(page, 'Heat and duty');
  const bare = await numberIn(page, 'peak-case');
  const cooler = async (than: number) =>
    expect(async () => expect(await numberIn(page, 'peak-case')).toBeLessThan(than)).toPass();
  await field(page, 'Heat sink: height of fins').fill('10');
  await cooler(bare);
  const sunk = await numberIn(page, 'peak-case');
  await field(page, 'Fan: flow').fill('12');
  await cooler(sunk);
  await field(page, 'Heat sink: fins').fill('180');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('sink with fewer fins');
  await field(page, 'Heat sink: fins').fill('12');
  await expect(page.getByTestId('minutes')).toBeVisible();

  const controller = page.locator('[data-check="drive.controllerHeat"]');
  await expect(controller).toHaveAttribute('data-state', /clear|tight|over/);
  const reaches = async () =>
    Number(/reaches\s*([\d.]+)/.exec((await controller.innerText()).replaceAll('\u202f', ''))![1]);
  const before = await reaches();
  await page
    .getByRole('combobox', { name: 'Controller cooled by' })
    .selectOption({ label: 'heat sink with a fan' });
  await expect(async () => expect(await reaches()).toBeLessThan(before)).toPass();

  // every figure says how well it is known
  const known = page.getByTestId('pack-errors');
  await expect(known.locator('[data-measure="minutes"]')).toHaveText(/[\d.]+ ± [\d.]+\s*min/);
  await expect(known.locator('[data-measure="peakCaseC"]')).toContainText('cooling of the motor');
  await field(page, 'Pack driven at').fill('0');
  await toTab(page, 'Run');
  const speed = await numberIn(page, 'top-speed');
  await toTab(page, 'Heat and duty');
  await field(page, 'Pack driven at').fill('25');
  await toTab(page, 'Run');
  await expect(async () => expect(await numberIn(page, 'top-speed')).toBeGreaterThan(speed)).toPass();
  await saved(page);
});

test('a pack is expected before it is driven, stands over its curve afterwards, and teaches without a probe', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Pack'));
  await page.goto(`${root}/field`);
  const kind = page.getByRole('combobox', { name: 'Kind of run' });
  const runs = page.getByTestId('runs').locator('.longrow');
  for (const minutes of ['30', '31']) {
    await kind.selectOption({ label: 'Endurance' });
    const expected = page.getByTestId('pack-expected');
    await expect(expected).toHaveText(/^Expected: [\d.]+ ± [\d.]+\s*min, the motor case at [\d.]+ ± [\d.]+/);
    await page.getByRole('button', { name: 'the pack was empty' }).click();
    await field(page, 'It drove for').fill(minutes);
    await page.getByRole('button', { name: /^Save the run/ }).click();
    await expect(runs.filter({ hasText: `ended after ${minutes}` })).toContainText('expected');
    await expect(field(page, 'It drove for')).toHaveValue('');
  }
  const pack = page.getByTestId('pack-run');
  await expect(pack).toContainText(/driven empty after 31\s*min, [\d.]+\s*% (shorter|longer) than expected/);
  await expect(page.locator('[data-check="field.band"]')).toContainText(/Endurance of/);
  await page.getByRole('tab', { name: 'Learn from it' }).click();
  await expect(page.getByTestId('calibrate-answer')).toContainText(/2 runs of A say|tell no figure better/);
  await expect(page.getByText('Minutes of each pack: measured')).toBeVisible();
});

test('one of four motors is found weak on the bench, and the run, the heat and the turn on the spot know it', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Four'));
  await toSegment(page, 'Drive');
  await toTab(page, 'Train', 'Layout');
  await page.getByRole('combobox', { name: 'Driven', exact: true }).selectOption({ label: 'both axles' });
  await page.getByRole('combobox', { name: 'A motor for' }).selectOption({ label: 'each driven wheel' });
  await page.getByRole('button', { name: 'Give each figures of its own' }).click();
  await page.getByRole('button', { name: 'Rear right motor' }).click();
  await page.getByRole('textbox', { name: 'Called', exact: true }).fill('The spare');
  await field(page, 'Its controller limits at').fill('60');
  await expect(page.getByTestId('motor-shares')).toBeVisible();
  await saved(page);
  await page.goto(`${root}/field`);
  await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Bench spin' });
  for (const [motor, rpm] of [
    ['Front left', '15000'],
    ['Front right', '15100'],
    ['Rear left', '13500'],
    ['Rear right', '14950'],
  ]) {
    await field(page, `${motor} motor turns`).fill(rpm!);
    await field(page, `${motor} motor draws`).fill(motor === 'Rear left' ? '3' : '1.5');
  }
  await page.getByRole('button', { name: /^Save the run/ }).click();
  await expect(page.getByTestId('runs').locator('.longrow')).toContainText('rear left motor');
  await toSegment(page, 'Drive');
  await toTab(page, 'Train', 'Layout');
  await expect(page.getByTestId('free-rearLeft')).toContainText('something drags');
  await expect(page.getByTestId('free-frontLeft')).toContainText('as it should');
  await page.getByRole('button', { name: 'Take the figures of the bench run over' }).click();
  await expect(page.getByTestId('motor-shares')).toContainText('At the top speed the rear left motor');
  await page.getByRole('combobox', { name: 'Turns by' }).selectOption({ label: 'driving the sides apart' });
  await expect(page.getByTestId('pivot')).toContainText(/turns? on the spot/);
  await toTab(page, 'Heat and duty');
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /The case of the .* motor, which runs hottest/,
  );
  await saved(page);
});
