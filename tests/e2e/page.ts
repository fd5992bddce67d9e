import { test as base, expect, type Page } from '@playwright/test';
import { type BuildDocument, emptyDocument } from '@/core/car/document/document';
import { applyPatch } from '@/core/base/patch';
import { startingCar } from '@/core/car/library/startingCar';
import { itemsOf, tyreForBuild } from '@/core/car/library/items';
import { STARTING_LIBRARY } from '@/core/car/library/starting';

/** A page on which any console error and any request off loopback fails the test; expected answers are named in `allow`. */
export const test = base.extend<{ allow: { statuses: number[]; words?: RegExp } }>({
  allow: async ({ baseURL: _ }, run) => run({ statuses: [] }),
  page: async ({ page, allow }, run) => {
    const problems: string[] = [];
    watch(page, problems, allow);
    awaitLife(page);
    // a page that is closed unsaved asks first
    page.on('dialog', (dialog) => (dialog.type() === 'beforeunload' ? dialog.accept() : dialog.dismiss()));
    await run(page);
    expect(problems).toEqual([]);
  },
});

/** A click before the page has come alive is lost: whoever opens one waits for that. */
function awaitLife(page: Page): void {
  const alive = () => page.locator('html[data-alive]').waitFor({ state: 'attached' });
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
  page.goto = async (url, options) => {
    const answer = await goto(url, options);
    await alive();
    return answer;
  };
  page.reload = async (options) => {
    const answer = await reload(options);
    await alive();
    return answer;
  };
}

export function watch(page: Page, problems: string[], allow: { statuses: number[]; words?: RegExp }): void {
  page.on('pageerror', (error) => problems.push(error.message));
  page.on('console', (message) => {
    const expected =
      allow.statuses.some((status) => message.text().includes(`status of ${status}`)) ||
      allow.words?.test(message.text()) === true;
    if (message.type() === 'error' && !expected) problems.push(`${message.text()} ${message.location().url}`);
  });
  page.on('request', (request) => {
    const { protocol, hostname } = new URL(request.url());
    if (protocol.startsWith('http') && hostname !== '127.0.0.1') problems.push(`request to ${hostname}`);
  });
}

export { expect };

let names = 0;
export const freshName = (base: string) => `${base} ${Date.now().toString(36)}${++names}`;

/** A number field by its label. */
export const field = (page: Page, label: string | RegExp) => page.getByRole('textbox', { name: label });

const copyOf = <K extends 'motor' | 'battery' | 'controller' | 'sizeClass'>(kind: K, id: string) => ({
  libraryId: id,
  ...itemsOf(STARTING_LIBRARY, kind).find((item) => item.id === id)!.data,
});

/** A build that is ready to be driven: a usual car of 1:10 on mown grass. */
function readyDocument(): BuildDocument {
  const surface = {
    id: 'mownGrass',
    libraryId: 'surface-mownGrass',
    ...itemsOf(STARTING_LIBRARY, 'surface').find(({ id }) => id === 'surface-mownGrass')!.data,
  };
  const wished: BuildDocument = {
    ...emptyDocument(),
    brief: { surfaces: [surface], targetMps: 30 / 3.6, sizeClass: copyOf('sizeClass', 'size-10') },
  };
  return applyPatch(wished, [
    ...startingCar(wished),
    { path: ['drive', 'motor'], value: copyOf('motor', 'motor-540-sensored-13') },
    { path: ['power', 'battery'], value: copyOf('battery', 'pack-2s-5000') },
    { path: ['power', 'controller'], value: copyOf('controller', 'controller-60') },
    {
      path: ['drive', 'stages'],
      value: [{ id: 'stage-1', kind: 'spur', pinionTeeth: 15, wheelTeeth: 150, efficiency: 0.95 }],
    },
    {
      path: ['drive', 'tyre'],
      value: tyreForBuild(
        itemsOf(STARTING_LIBRARY, 'tyre').find(({ id }) => id === 'tyre-10-pin')!,
        STARTING_LIBRARY,
      ),
    },
  ]);
}

/** A new build with its document, and its address up to the segment. */
export async function newBuild(page: Page, name: string, document: BuildDocument): Promise<string> {
  const id = name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  const made = await page.request.post('/api/builds', {
    data: { id, revisionId: `${id}-a`, name, document },
    maxRetries: 2,
  });
  expect(made.status()).toBe(201);
  return new URL(`/builds/${id}/A`, test.info().project.use.baseURL).href;
}

/** A new build that is ready to be driven, on its Drive page; its address up to the segment. */
export async function readyBuild(page: Page, name: string): Promise<string> {
  const root = await newBuild(page, name, readyDocument());
  await page.goto(`${root}/drive`);
  await expect(page.getByTestId('top-speed')).toBeVisible();
  return root;
}

/** Chooses from a list that is searched by typing. */
export async function pick(
  page: Page,
  name: string,
  label: string,
  within: Pick<Page, 'getByRole'> = page,
): Promise<void> {
  const list = within.getByRole('combobox', { name, exact: true });
  await list.click();
  await list.fill(label);
  await page.getByRole('listbox').getByRole('option').filter({ hasText: label }).first().click();
}

/** The same made by hand, from the garage on. */
export async function readyByHand(page: Page, name: string): Promise<string> {
  await page.goto('/');
  await field(page, 'Name of the new build').fill(name);
  await page.getByRole('button', { name: 'Start it' }).click();
  await page.waitForURL(/\/builds\/.*\/A\/brief/);
  const root = page.url().replace(/\/brief.*$/, '');
  await pick(page, 'Add a surface', 'Mown grass');
  await field(page, 'Wished speed').fill('30');
  await pick(page, 'Choose a size class', '1:10');
  await page.getByRole('button', { name: /Fill in a usual 1:10 car/ }).click();
  await toSegment(page, 'Drive');
  await pick(page, 'Choose a motor', 'Sensored 540, 13.5 turns');
  await pick(page, 'Choose a pack', '2S 5000 hard case');
  await pick(page, 'Choose a controller', '60 A sensored, 1:10');
  await page.getByRole('button', { name: 'Take stage 2 out' }).click();
  await field(page, 'Stage 1: pinion teeth').fill('15');
  await field(page, 'Stage 1: wheel teeth').fill('150');
  await pick(page, 'Choose a tyre', '1:10 grass pin');
  await expect(page.getByTestId('top-speed')).toBeVisible();
  await saved(page);
  return root;
}

export const saved = (page: Page) => expect(page.getByRole('status').first()).toHaveText(/^saved/);

export const toSegment = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Segments' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click();
