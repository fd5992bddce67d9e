import { expect, field, freshName, newBuild, readyBuild, saved, test, toSegment } from './page';

test('the pack is dragged and nudged, and the loads move with it', async ({ page }) => {
  await readyBuild(page, freshName('Balance'));
  await toSegment(page, 'Chassis');
  const share = page.getByTestId('front-share');
  await expect(share).toHaveText(/48\s%/);
  const pack = page.getByTestId('drawing-plan').locator('[data-body="pack"]');
  const box = (await pack.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(field(page, 'Ahead of the front axle')).not.toHaveValue('');
  const front = async () => Number.parseFloat(await share.innerText());
  const dragged = await front();
  // ten leaps of a centimetre to the rear take the weight off the front axle
  await pack.focus();
  for (let leap = 0; leap < 10; leap++) await page.keyboard.press('Shift+ArrowRight');
  await expect.poll(front).toBeLessThan(dragged);
  await page.getByRole('button', { name: 'Take the components’ figures' }).click();
  await expect(page.getByText('the drive still uses')).toBeHidden();
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(page.getByText('the drive still uses')).toBeVisible();
});

test('a car that rolls over stops doing so through a remedy', async ({ page }) => {
  await readyBuild(page, freshName('Tall'));
  await toSegment(page, 'Chassis');
  await field(page, 'Height of the centre of gravity').fill('200');
  const tip = page.locator('[data-check="chassis.tip"]');
  await expect(tip).toHaveAttribute('data-state', 'over');
  await expect(page.getByTestId('outcome')).toHaveText('rolls over before it slides');
  for (let times = 0; times < 8 && (await tip.getAttribute('data-state')) === 'over'; times++) {
    await tip.getByTestId('remedies').getByRole('button').first().click();
    await saved(page);
  }
  await expect(tip).not.toHaveAttribute('data-state', 'over');
  await expect(page.getByTestId('outcome')).toHaveText('slides before it rolls');
});

test('a clash is found in space with its travel, cured, or allowed and remembered', async ({ page }) => {
  await readyBuild(page, freshName('Clash'));
  await toSegment(page, 'Suspension');
  await page.getByRole('button', { name: 'Unequal wishbones' }).click();
  await page.getByRole('tab', { name: /^Ride and landing/ }).click();
  await field(page, 'Bump travel').fill('16');
  await field(page, 'Droop travel').fill('10');
  await toSegment(page, 'Chassis');
  await page.getByRole('button', { name: 'add one' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Beam');
  await field(page, 'Ahead of the front axle').fill('0');
  await field(page, 'To the left').fill('100');
  await field(page, 'Over the ground').fill('97');
  await page.getByRole('tab', { name: 'In space' }).click();
  await expect(page.getByTestId('room-answer')).toContainText('meets');
  const row = page.getByTestId('near-things').getByRole('row', { name: /^Beam, left front tyre/ });
  await expect(row).toContainText('in it');
  await row.getByRole('button', { name: 'may touch' }).click();
  await expect(row).toContainText('may touch: take back');
  await saved(page);
  await page.reload();
  await expect(row).toContainText('may touch: take back');
  await row.getByRole('button', { name: 'may touch: take back' }).click();
  // higher up it is free through all of the travel
  await page.getByRole('button', { name: /^Beam/ }).first().click();
  await field(page, 'Over the ground').fill('140');
  await expect(row).toHaveCount(0);
});

test('a drop is played to its end, and pushes harder from higher up', async ({ page }) => {
  await page.goto('/builds/marsh-hare/D/chassis?view=space');
  await page.getByRole('button', { name: 'Dropped' }).click();
  const answer = page.getByTestId('room-answer');
  await expect(answer).toContainText('tyre pushes with');
  const newtons = async () => Number.parseFloat(/pushes with ([\d.]+)/.exec(await answer.innerText())![1]!);
  const low = await newtons();
  const after = page.getByLabel('After touch-down');
  await expect(after).toHaveValue('0');
  const play = page.getByRole('button', { name: /^Play it/ });
  await play.click();
  await expect(play).toBeDisabled();
  await expect(play).toBeEnabled({ timeout: 20_000 });
  await expect(after).toHaveValue((await after.getAttribute('max'))!);
  const height = page.getByLabel('Dropped from');
  await height.focus();
  await height.press('End');
  await expect.poll(newtons).toBeGreaterThan(1.5 * low);
});

test('the car is coloured by what its checks, scale and failures say, cut and taken apart', async ({
  page,
}) => {
  await page.goto('/builds/marsh-hare/D/chassis?view=space');
  const answer = page.getByTestId('room-answer');
  const by = page.getByLabel('Coloured by');
  await by.selectOption({ label: 'mass' });
  await expect(answer).toContainText('payload, 350');
  await by.selectOption({ label: 'margin' });
  await expect(answer).toContainText(/Nearest to its limit: .+, margin \d/);
  await by.selectOption({ label: 'what failed' });
  await expect(answer).toContainText(/4 of \d+ things have failed/);
  await page.getByLabel('Shown', { exact: true }).selectOption({ label: 'cut lengthwise' });
  await expect(page.getByLabel('Cut at')).toHaveValue('0');
  const apart = page.getByLabel('Taken apart');
  await apart.focus();
  await apart.press('End');
  await expect(apart).toHaveValue('1');
  const turned = page.getByLabel('Wheels turned');
  await turned.focus();
  await turned.press('End');
  await expect(turned).toHaveValue('360');
});

test('a motor that stands where its teeth do not meet is told, and moved to where they do', async ({
  page,
}) => {
  const { revisions } = await (await page.request.get('/api/builds/marsh-hare')).json();
  const { document } = revisions.find(({ letter }: { letter: string }) => letter === 'D');
  const root = await newBuild(page, freshName('Train'), document);
  await page.goto(`${root}/chassis?view=space`);
  const check = page.locator('[data-check="fit.train"]');
  await expect(check).toHaveAttribute('data-state', 'clear');
  await page.getByRole('button', { name: 'Where stage 1’s driven gear stands' }).click();
  await field(page, 'From the middle, to the left').first().fill('4');
  await expect(check).toHaveAttribute('data-state', 'over');
  await expect(check).toContainText('stand 40.9 mm apart, the teeth meet at 36.9 mm: too far, they skip');
  await check.getByTestId('remedies').getByRole('button').first().click();
  await expect(check).toHaveAttribute('data-state', 'clear');
});
