import { expect, test } from './page';

test('the help of a page stands beside it by ?, follows to the next page, and explains a term by its mark', async ({
  page,
}) => {
  await page.goto('/builds/tin-wren/A/chassis');
  await page.keyboard.press('?');
  const help = page.getByRole('complementary', { name: 'Help' });
  await expect(help.getByRole('heading', { level: 1 })).toHaveText('Chassis: Does it slide or roll?');
  await expect(help.getByRole('heading', { name: 'An example by hand' })).toBeVisible();
  // what is for calc is not for the page
  await expect(help.getByText('"operation"')).toBeHidden();

  await page
    .getByRole('navigation', { name: 'Segments' })
    .getByRole('link', { name: /^Drive/ })
    .click();
  await expect(help.getByRole('heading', { level: 1 })).toHaveText(
    'Drive: Will it go as fast, and stay cool?',
  );
  await page.getByRole('button', { name: 'What is meant by kv' }).first().click();
  await expect(help.getByText(/^Turns a minute for each volt/)).toBeInViewport();
  await help.getByRole('searchbox', { name: 'Search the terms' }).fill('layers of a print');
  await expect(help.getByRole('term')).toHaveText(['Between layers']);
  await help.getByRole('button', { name: 'Keys' }).click();
  await expect(help.getByText('previous and next revision')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(help).toBeHidden();

  await page.goto('/');
  await page.keyboard.press('?');
  await expect(help.getByRole('heading', { level: 1 })).toHaveText('Ten minutes with the first car');
  await help.getByRole('button', { name: 'Close the help' }).click();
  await expect(help).toBeHidden();
});
