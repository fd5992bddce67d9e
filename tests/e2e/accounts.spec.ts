import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Browser, type Page } from '@playwright/test';
import { expect, field, saved, test } from './page';

/** The real installation stands beside the demo, as it is first started. */
const ADDRESS = process.env.ACCOUNTS_URL ?? '';
/** A second server on the same database. */
const OTHER_SERVER = process.env.ACCOUNTS_OTHER_URL ?? ADDRESS;
const PASSWORD = 'a long way home';

// each follows on the one before, and the first start is only once
test.describe.configure({ mode: 'serial', retries: 0 });
test.use({ baseURL: ADDRESS });

const password = (page: Page, name = 'Password') => page.getByRole('textbox', { name, exact: true });

/** A browser of somebody else. */
async function elsewhere(browser: Browser, address = ADDRESS): Promise<Page> {
  const context = await browser.newContext({ baseURL: address, locale: 'en-GB', serviceWorkers: 'block' });
  return context.newPage();
}

async function signIn(page: Page, email: string, address = ADDRESS): Promise<void> {
  await page.goto('/sign-in');
  await field(page, 'Email').fill(email);
  await password(page).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(`${address}/`);
}

test('the first start asks for the code of its console, and whoever has it owns the workshop', async ({
  page,
  allow,
}) => {
  allow.statuses.push(401);
  await page.goto('/library');
  await expect(page).toHaveURL(`${ADDRESS}/welcome`);
  await field(page, 'Code from the console').fill('AAAA-BBBB-CCCC-DDDD');
  await field(page, 'Your name').fill('Ada Fell');
  await field(page, 'Email').fill('ada@cars.example');
  await password(page).fill('too short');
  await page.getByRole('button', { name: 'Open the workshop' }).click();
  await expect(page.getByText('At least 10 letters')).toBeVisible();
  await password(page).fill(PASSWORD);
  await page.getByRole('button', { name: 'Open the workshop' }).click();
  await expect(page.getByText('That is not the code on the console.')).toBeVisible();
  await field(page, 'Code from the console').fill(process.env.ACCOUNTS_CODE ?? '');
  await page.getByRole('button', { name: 'Open the workshop' }).click();
  await page.waitForURL(`${ADDRESS}/`);
  await field(page, 'Name of the new build').fill('Fen Stoat');
  await page.getByRole('button', { name: 'Start it' }).click();
  await page.waitForURL(/\/builds\/.*\/A\/brief/);
  await field(page, 'Wished speed').fill('30');
  await saved(page);
  await page.goto('/library');
  await expect(page.getByText('Sensored 540').first()).toBeVisible();
});

test('no page and no door is open to a stranger but those where one proves who one is', async ({ page }) => {
  const build = (name: string) =>
    JSON.parse(readFileSync(join(process.env.ACCOUNTS_BUILD ?? '', name), 'utf8'));
  const manifest = build('app-path-routes-manifest.json') as Record<string, string>;
  const pages = Object.keys(manifest).filter((path) => path.endsWith('/page'));
  const addresses = pages.map((path) => manifest[path]!.replace(/\[\w+\]/g, 'x'));
  expect(addresses.length).toBeGreaterThan(8);
  const ends: Record<string, string> = {};
  for (const path of addresses.filter((one) => !one.startsWith('/_'))) {
    const answer = await page.request.get(path, {
      maxRedirects: 0,
      headers: { 'sec-fetch-dest': 'document' },
    });
    ends[path] =
      answer.status() === 307
        ? (answer.headers().location ?? '').replace(/\?.*/, '')
        : String(answer.status());
  }
  const inside = ['/', '/library', '/workshop', '/account', '/builds/x', '/builds/x/share', '/builds/x/x/x'];
  expect(ends).toEqual({
    ...Object.fromEntries(inside.map((path) => [path, '/sign-in'])),
    '/sign-in': '200',
    '/join': '200',
    '/reset': '200',
    '/welcome': '/sign-in',
    '/shared/x': '404',
    '/shared/x/x/x': '404',
  });
  // what a page does goes through the doors: there are no others
  const { node, edge } = build('server/server-reference-manifest.json') as { node: object; edge: object };
  expect([node, edge]).toEqual([{}, {}]);
  for (const [path, door] of Object.entries(manifest))
    if (path.endsWith('/route') && door.startsWith('/api/') && door !== '/api/health')
      expect([401, 404, 405], door).toContain(
        (await page.request.get(door.replace(/\[\w+\]/g, 'x'))).status(),
      );
});

test('after signing in one is where one wanted to go; after signing out the page is gone', async ({
  page,
  allow,
}) => {
  allow.statuses.push(401);
  await page.goto('/library?kind=tyre');
  await expect(page).toHaveURL(/\/sign-in\?to=%2Flibrary%3Fkind%3Dtyre$/);
  await field(page, 'Email').fill('ada@cars.example');
  await password(page).fill('not the one it is');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Email and password do not go together.')).toBeVisible();
  await password(page).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(/\/library\?kind=tyre/);
  await page.getByRole('link', { name: 'Ada Fell' }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await page.waitForURL(/\/sign-in$/);
  await page.goto('/');
  await expect(page).toHaveURL(/\/sign-in$/);
  // an address of elsewhere is not followed
  await page.goto('/sign-in?to=//cars.example/');
  await field(page, 'Email').fill('ada@cars.example');
  await password(page).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(`${ADDRESS}/`);
});

test('a viewer who follows a link sees the car and changes nothing; made an editor, they do', async ({
  page,
  browser,
}) => {
  await signIn(page, 'ada@cars.example');
  await page.getByRole('link', { name: 'Workshop', exact: true }).click();
  await page.getByRole('combobox', { name: 'Role of who is invited' }).selectOption({ label: 'viewer' });
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByRole('textbox', { name: /^Send this link/ }).inputValue();

  const vera = await elsewhere(browser);
  await vera.goto(link);
  await expect(vera.getByText('Ada Fell invites you into Workshop as viewer.')).toBeVisible();
  await field(vera, 'Your name').fill('Vera Moss');
  await field(vera, 'Email').fill('vera@cars.example');
  await password(vera).fill(PASSWORD);
  await vera.getByRole('button', { name: 'Make an account and join' }).click();
  await vera.waitForURL(`${ADDRESS}/`);
  await vera.getByRole('article', { name: 'Fen Stoat' }).getByRole('link').first().click();
  await vera.waitForURL(/\/builds\//);
  await expect(vera.getByRole('status').first()).toHaveText('you look on: nothing here is changed');
  const brief = vera.url().replace(/\/A\/.*$/, '/A/brief');
  await vera.goto(brief);
  await expect(field(vera, 'Wished speed')).toHaveValue(/30/);

  await page.reload();
  await page.getByRole('combobox', { name: 'Role of Vera Moss' }).selectOption({ label: 'editor' });
  await expect(page.getByRole('combobox', { name: 'Role of Vera Moss' })).toHaveValue('editor');
  await vera.reload();
  await field(vera, 'Wished speed').fill('40');
  await saved(vera);
  await page.goto(brief);
  await expect(field(page, 'Wished speed')).toHaveValue(/40/);
  await vera.context().close();
});

test('two people on one build, each on a server of their own, see each other and each other’s edits, and are asked where both said one thing', async ({
  page,
  browser,
  allow,
}) => {
  // what is joined was refused first
  allow.statuses.push(409);
  const vera = await elsewhere(browser, OTHER_SERVER);
  for (const [who, email, address] of [
    [page, 'ada@cars.example', ADDRESS],
    [vera, 'vera@cars.example', OTHER_SERVER],
  ] as const) {
    await signIn(who, email, address);
    await who.getByRole('article', { name: 'Fen Stoat' }).getByRole('link').first().click();
    await who.waitForURL(/\/A\/brief/);
  }
  await expect(page.getByTestId('present')).toHaveText('Vera Moss is here');
  await expect(vera.getByTestId('present')).toHaveText('Ada Fell is here');

  await field(page, 'Wished speed').fill('45');
  await expect(field(vera, 'Wished speed')).toHaveValue(/45/);
  // each changes another field while the other's change is on its way
  await Promise.all([field(page, 'Run time').fill('20'), field(vera, 'Wished speed').fill('50')]);
  await expect(field(page, 'Wished speed')).toHaveValue(/50/);
  await expect(field(vera, 'Run time')).toHaveValue(/20/);

  // without a line she does not hear of it, and both say one thing differently
  await vera.context().setOffline(true);
  await field(vera, 'Wished speed').fill('60');
  await field(page, 'Wished speed').fill('70');
  await saved(page);
  await vera.context().setOffline(false);
  const asked = vera.getByRole('alert', { name: 'Changed in two places' });
  await asked.getByRole('button', { name: /^Keep 60/ }).click();
  await saved(vera);
  // what stands under the fingers stays until they leave it, and is not written again
  await expect(field(page, 'Wished speed')).toHaveValue(/70/);
  await field(page, 'Wished speed').press('Tab');
  await expect(field(page, 'Wished speed')).toHaveValue(/60/);
  await vera.context().close();
  await expect(page.getByTestId('present')).toBeHidden();
});

test('a workshop is deleted once it was exported as it is, and its file opens again', async ({
  page,
  browser,
}) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'I have none yet: make one' }).click();
  await field(page, 'Your name').fill('Bo Reed');
  await field(page, 'Email').fill('bo@cars.example');
  await password(page).fill(PASSWORD);
  await page.getByRole('button', { name: 'Make an account' }).click();
  await page.waitForURL(`${ADDRESS}/`);
  await field(page, 'Name of the new build').fill('Bog Otter');
  await page.getByRole('button', { name: 'Start it' }).click();
  await page.waitForURL(/\/builds\/.*\/A\/brief/);
  await page.goto('/workshop');
  await page.getByRole('button', { name: 'Delete this workshop' }).click();
  await expect(page.getByText('Export it first')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the whole workshop' }).click();
  const path = await (await download).path();
  await field(page, 'Type its name: Workshop of Bo Reed').fill('Workshop of Bo Reed');
  await page.getByRole('button', { name: 'Delete it for good' }).click();
  await page.waitForURL(/\/account$/);
  await expect(page.getByText('You are in no workshop yet.')).toBeVisible();
  await page.getByLabel('Open the file of a workshop').setInputFiles(path);
  await page.waitForURL(`${ADDRESS}/`);
  await expect(page.getByRole('article', { name: 'Bog Otter' })).toBeVisible();

  // signed out everywhere, another browser of theirs is out too
  const phone = await elsewhere(browser);
  await signIn(phone, 'bo@cars.example');
  await page.goto('/account');
  await page.getByRole('button', { name: 'Sign out on all devices' }).click();
  await page.waitForURL(/\/sign-in$/);
  await phone.goto('/');
  await expect(phone).toHaveURL(/\/sign-in$/);
  await phone.context().close();
});

test('a link shows one build to whoever has it, who copies it into their own workshop; taken back it shows nothing', async ({
  page,
  browser,
  allow,
}) => {
  await signIn(page, 'ada@cars.example');
  await page.getByRole('link', { name: 'Show Fen Stoat to others' }).click();
  await expect(page.getByText('Nobody else sees Fen Stoat.')).toBeVisible();
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.getByRole('textbox', { name: /^Send this link/ }).inputValue();

  const guest = await elsewhere(browser);
  const asked: string[] = [];
  guest.on('request', (request) => asked.push(new URL(request.url()).pathname));
  await guest.goto(link);
  await guest.waitForURL(/\/shared\/[^/]+\/A\/brief/);
  await expect(guest.getByText('shown by Workshop, to look at')).toBeVisible();
  await expect(field(guest, 'Wished speed')).toHaveValue(/60/);
  await expect(field(guest, 'Wished speed')).toBeDisabled();
  await guest.getByRole('link', { name: /^Field/ }).click();
  await expect(guest.getByText('Runs are logged here by those who work on the car.')).toBeVisible();
  await guest.getByRole('link', { name: /^Learn/ }).click();
  await expect(guest.getByRole('heading', { name: 'Nothing has failed' })).toBeVisible();
  await expect(guest.getByRole('button', { name: /^Note a failure/ })).toBeHidden();
  // its pages ask nothing of a workshop
  expect(asked.filter((path) => path.startsWith('/api/'))).toEqual([]);

  await guest.getByRole('link', { name: 'sign in to copy it' }).click();
  await field(guest, 'Email').fill('bo@cars.example');
  await password(guest).fill(PASSWORD);
  await guest.getByRole('button', { name: 'Sign in' }).click();
  await guest.waitForURL(/\/shared\//);
  await guest.locator('html[data-alive]').waitFor({ state: 'attached' });
  await guest.getByRole('button', { name: 'copy it to my workshop' }).click();
  await guest.waitForURL(/\/builds\/.*\/A\/brief/);
  await expect(guest.getByText('Copied from Fen Stoat, as Workshop showed it')).toBeVisible();
  await field(guest, 'Wished speed').fill('35');
  await saved(guest);

  await page.getByRole('button', { name: 'take back' }).click();
  await expect(page.getByText('Nobody else sees Fen Stoat.')).toBeVisible();
  allow.statuses.push(404);
  await guest.goto(link);
  await expect(guest.getByText('This link shows nothing.')).toBeVisible();
  await guest.context().close();
});
