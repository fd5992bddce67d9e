import type { Page } from '@playwright/test';
import { expect, field, freshName, readyBuild, saved, test } from './page';
import { toTab } from './driveTabs';

const add = (page: Page) => page.getByRole('button', { name: 'Add the reading' });

test('a spin session behind its shield moves the growth of the run and the burst check', async ({ page }) => {
  const root = await readyBuild(page, freshName('Spinner'));
  const before = await page.getByTestId('top-speed').innerText();
  await page.goto(`${root}/field?view=bench`);
  await expect(page.getByTestId('bench-answer')).toContainText('Nothing was spun yet');
  await expect(field(page, 'Wheel turns')).toBeDisabled();
  await page.getByRole('checkbox', { name: /The shield stands/ }).check();
  // at rest, then far more growth than is typical of such a tyre
  for (const [rpm, diameter] of [
    ['0', '84'],
    ['2000', '87'],
    ['3000', '92.5'],
  ] as const) {
    await field(page, 'Wheel turns').fill(rpm);
    await field(page, 'Diameter then').fill(diameter);
    await add(page).click();
  }
  await expect(page.getByTestId('bench-answer')).toContainText('as much as is typical');
  await field(page, 'Wheel turns').fill('4000');
  await page.getByRole('combobox', { name: 'What became of it' }).selectOption({ label: 'it held' });
  // what could fly is said before it is spun up
  await expect(page.getByText(/at this speed with up to/)).toBeVisible();
  await add(page).click();
  await expect(page.getByTestId('bench-answer')).toContainText('is proven at 4,000');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByRole('button', { name: 'Take it in' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await saved(page);
  await expect(page.getByText('in the build')).toBeVisible();
  await page.goto(`${root}/drive`);
  await expect(page.getByTestId('top-speed')).not.toHaveText(before);
  await toTab(page, 'Tyres');
  await expect(page.locator('[data-check="tyre.burst"]')).toContainText('rpm');
  await expect(field(page, 'Proven on the bench')).toHaveValue('4,000');
});

test('a staircase is planned blow by blow, crosses, and says what it is on the car', async ({ page }) => {
  const root = await readyBuild(page, freshName('Hitter'));
  await page.goto(`${root}/field?view=blows`);
  await expect(page.getByTestId('blows-answer')).toContainText('No part was hit');
  await page.getByLabel('Part or variant to clamp').fill('Arm');
  await page.getByRole('button', { name: 'Clamp it' }).click();
  // without its mass no blow has an energy
  await expect(page.getByRole('button', { name: 'It held' })).toBeDisabled();
  await field(page, 'Falling mass').fill('500');
  // 1 J of half a kilogram: 204 mm
  await expect(page.getByTestId('next-blow')).toContainText(/falls from 204.mm/);
  await page.getByRole('button', { name: 'It held' }).click();
  // 1.4 times as much after the first that held
  await expect(page.getByTestId('next-blow')).toContainText(/1\.4.J/);
  // around 1.6 J copies differ: one breaks at less than another holds
  for (const [mm, outcome] of [
    ['285', 'It broke'],
    ['245', 'It held'],
    ['285', 'It held'],
    ['340', 'It broke'],
    ['285', 'It held'],
    ['340', 'It held'],
    ['400', 'It broke'],
    ['340', 'It broke'],
  ] as const) {
    await field(page, 'Falls from').fill(mm);
    await page.getByRole('button', { name: outcome }).click();
  }
  await expect(page.getByTestId('blows-answer')).toContainText(
    /Arm breaks half the time at .*a fall of the car from/,
  );
  await expect(page.getByTestId('blow-ladder')).toBeVisible();
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByRole('row', { name: /Blows by energy/ })).toBeVisible();
});

test('a wheel is balanced with a trial weight at three places, and again after', async ({ page }) => {
  const root = await readyBuild(page, freshName('Balancer'));
  await page.goto(`${root}/field?view=bench`);
  await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Wheel balance' });
  await field(page, 'Shakes without a weight').fill('5');
  await field(page, 'Trial weight').first().fill('2');
  await field(page, 'at the radius').fill('25');
  // an imbalance of 50 g·mm at 90°, amplitude a tenth of it: with 50 g·mm at 0, 120 and 240°
  for (const amplitude of ['7.071', '9.659', '2.588']) {
    await field(page, 'Shakes then').fill(amplitude);
    await page.getByRole('button', { name: 'Add the place' }).click();
  }
  await expect(page.getByTestId('balance-answer')).toContainText(/Stick 2.g at 270/);
  await field(page, 'Shakes with the weight stuck on').fill('0.5');
  await expect(page.getByTestId('balance-answer')).toContainText('10 times less');
  await page.getByRole('button', { name: 'Save the run' }).click();
});

test('a log identifies the motor and moves the prediction', async ({ page }) => {
  const root = await readyBuild(page, freshName('Logger'));
  const before = await page.getByTestId('top-speed').innerText();
  await page.goto(`${root}/field?view=tracks&of=logs`);
  await expect(page.getByTestId('log-answer')).toContainText('drop one of its controller');
  // V = rpm/2000 + 0.05·I by hand: a motor of 2000 rpm/V and 50 mΩ all together
  const rows = Array.from({ length: 120 }, (_, k) => {
    const amps = 4 + (k % 12);
    return `${k / 20};8,000;${amps};${Math.round(2000 * (8 - 0.05 * amps))}`;
  });
  await page.getByLabel('File of the log').setInputFiles({
    name: 'own.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['Time [s];Voltage [V];Motor current [A];Motor RPM [rpm]', ...rows].join('\n')),
  });
  await expect(page.getByTestId('log-read')).toContainText('120 rows');
  await expect(page.getByTestId('log-rpm')).toBeVisible();
  const motor = page.getByRole('region', { name: 'Motor by the log' });
  await expect(motor).toContainText(/2,000/);
  await motor.getByRole('button', { name: 'Take the motor as measured into the build' }).click();
  await saved(page);
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(page.getByRole('button', { name: 'Save the run' })).toBeDisabled();
  await page.goto(`${root}/drive`);
  await expect(page.getByTestId('top-speed')).not.toHaveText(before);
  // the kept log is read again
  await page.goto(`${root}/field?view=tracks&of=logs`);
  await expect(page.getByTestId('log-answer')).toContainText('rows a second');
});

test('a log that is none is refused at its line, and a column taken wrongly is set right', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Wronglog'));
  await page.goto(`${root}/field?view=tracks&of=logs`);
  const drop = (text: string) =>
    page
      .getByLabel('File of the log')
      .setInputFiles({ name: 'x.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await drop('alpha,beta\nred,green\nblue,white\n');
  await expect(page.getByRole('alert').filter({ hasText: 'x.csv' })).toBeVisible();
  await drop(`seconds;volts;foo\n${Array.from({ length: 30 }, (_, k) => `${k};8;${k * 2}`).join('\n')}`);
  await expect(page.getByTestId('log-read')).toContainText('30 rows');
  // the column of times was guessed by its place, so the columns stand open
  await page.getByRole('combobox', { name: 'What foo is' }).selectOption({ label: 'Speed' });
  await expect(page.getByTestId('log-answer')).toContainText('up to 209');
});

test('a crash with four damaged parts is one sheet, its failures noted at once', async ({ page }) => {
  const root = await readyBuild(page, freshName('Crasher'));
  await page.goto(`${root}/parts`);
  for (const part of ['Bumper', 'Front arm', 'Knuckle', 'Tie rod']) {
    await field(page, 'Name of the part').fill(part);
    await page.getByRole('button', { name: 'Add the part' }).click();
    await expect(page.getByRole('combobox', { name: 'Choose a part' })).toContainText(part);
  }
  await saved(page);
  await page.goto(`${root}/field?view=blows`);
  await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Crash' });
  await field(page, 'It hit').fill('a post');
  await field(page, 'At about').fill('25');
  const tapped = page.getByRole('group', { name: 'Parts that broke' });
  for (const part of ['Bumper', 'Front arm', 'Knuckle', 'Tie rod'])
    await tapped.getByRole('button', { name: part }).click();
  // the first that is tapped is the first cause, the others came of it
  await expect(tapped.getByRole('button', { name: 'Bumper: first' })).toBeVisible();
  await expect(tapped.getByRole('button', { name: 'Tie rod: after' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Tie rod' }).selectOption({ label: 'Bent' });
  await page.getByRole('checkbox', { name: /The pack took the blow/ }).check();
  await expect(page.getByTestId('crash-answer')).toContainText('4 parts broke');
  await page.getByRole('button', { name: 'Save the run' }).click();
  await expect(field(page, 'It hit')).toHaveValue('');
  await expect(page.getByTestId('quarantine')).toContainText('stays outside until');
  await page.goto(`${root}/learn`);
  for (const part of ['Bumper', 'Front arm', 'Knuckle', 'Tie rod'])
    await expect(page.getByText(part).first()).toBeVisible();
  await expect(page.getByText('Followed from: Bumper.').first()).toBeVisible();
});

test('a crash takes its speed from the track, and lays what has to be printed on plates', async ({
  page,
}) => {
  await page.goto('/builds/marsh-hare/D/field?view=blows');
  await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Crash' });
  await page.getByRole('button', { name: 'By the place on that track' }).click();
  await page.getByRole('button', { name: /^Take [\d.]+\skm\/h$/ }).click();
  await expect(field(page, 'At about')).toHaveValue(/^\d/);
  await page
    .getByRole('group', { name: 'Parts that broke' })
    .getByRole('button', { name: 'Bumper', exact: true })
    .click();
  await page.getByRole('link', { name: 'Lay what is to be printed on plates' }).click();
  await expect(page.getByLabel('Copies of Bumper')).toHaveText('1');
  await expect(page.getByLabel('Copies of Front arm')).toHaveText('0');
  await expect(page.getByTestId('print-answer')).toContainText('One plate');
});
