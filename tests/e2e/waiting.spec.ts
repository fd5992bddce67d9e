import sharp from 'sharp';
import { expect, field, freshName, readyBuild, test } from './page';
import { timedRun } from './fieldRuns';

const picture = () =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: '#46633A' } })
    .png()
    .toBuffer();

test.describe('with no signal', () => {
  test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });

  test('three runs are entered on a phone without a signal, survive a reload, and are sent once each when it is back', async ({
    page,
    context,
    allow,
    request,
  }) => {
    // what is fetched ahead while there is no signal fails in the service worker, under a name of its own
    allow.words = /ERR_INTERNET_DISCONNECTED|ERR_FAILED/;
    const root = await readyBuild(page, freshName('Meadow'));
    await page.goto(`${root}/field`);
    // the page is kept before the signal goes
    await page.evaluate(async (path) => {
      const { active } = await navigator.serviceWorker.ready;
      await new Promise<void>((done) => {
        navigator.serviceWorker.addEventListener('message', ({ data }) => {
          if ((data as { kept?: string[] }).kept?.includes(path)) done();
        });
        active!.postMessage({ keep: [path] });
      });
    }, new URL(page.url()).pathname);
    await page.reload();
    await context.setOffline(true);
    await timedRun(page, 2.4);
    await timedRun(page, 2.5);
    await expect(page.getByTestId('waiting')).toContainText('2 entries wait');
    await page.reload();
    await expect(page.getByTestId('waiting')).toContainText('2 entries wait');
    await page
      .getByLabel('Photographs of the run')
      .setInputFiles({ name: 'ditch.png', mimeType: 'image/png', buffer: await picture() });
    await timedRun(page, 2.6);
    await expect(page.getByTestId('runs').locator('.longrow.waits')).toHaveCount(3);
    await expect(page.getByTestId('field-answer')).toContainText('Predicted');
    await context.setOffline(false);
    await expect(page.getByTestId('waiting')).toBeHidden();
    await expect(page.getByTestId('runs').locator('.longrow.sent')).toHaveCount(3);
    const { revisions, runs } = await (
      await request.get(`/api${root.replace(/^.*(\/builds\/[^/]+).*$/, '$1')}`)
    ).json();
    expect(runs).toHaveLength(3);
    expect(runs.every(({ revisionId }: { revisionId: string }) => revisionId === revisions[0].id)).toBe(true);
    const photo = await request.get(`/api/files/${runs[2].photos[0].hash}`);
    expect(photo.headers()['content-type']).toBe('image/jpeg');
    await page.getByRole('tab', { name: 'Compare and series' }).click();
    await page.getByRole('combobox', { name: 'By' }).selectOption({ label: 'single runs' });
    await expect(page.getByTestId('compare-answer')).toContainText('has too few runs');
  });
});

test('a run whose revision was deleted meanwhile is kept with its words, and handed to another', async ({
  page,
  allow,
  request,
}) => {
  allow.statuses.push(404);
  const root = await readyBuild(page, freshName('Gone'));
  await page.goto(`${root}/field`);
  const build = root.replace(/^.*\/builds\/([^/]+).*$/, '$1');
  const {
    revisions: [{ id }],
  } = await (await request.get(`/api/builds/${build}`)).json();
  await page.route(
    `**/api/revisions/${id}/runs`,
    (route) =>
      route.fulfill({
        status: 404,
        json: { error: { code: 'notFound', message: 'There is no such revision in this workshop.' } },
      }),
    { times: 1 },
  );
  await timedRun(page, 2.4);
  await expect(page.getByTestId('waiting')).toContainText(
    'was not taken: There is no such revision in this workshop. It stays on this device.',
  );
  await page.getByRole('combobox', { name: /^Hand Timed distance/ }).selectOption({ index: 1 });
  await expect(page.getByTestId('waiting')).toBeHidden();
  await expect(page.getByTestId('runs').locator('.longrow')).toHaveCount(1);
});

test('a run that was refused is changed where it stands, and keeps when it was driven', async ({
  page,
  allow,
  request,
}) => {
  allow.statuses.push(422);
  const root = await readyBuild(page, freshName('Refused'));
  await page.goto(`${root}/field`);
  await page.route(
    '**/api/revisions/*/runs',
    (route) =>
      route.fulfill({
        status: 422,
        json: {
          error: {
            code: 'invalid',
            path: 'conditions.packVBefore',
            message: 'must be a voltage',
            remedy: 'measure it again',
          },
        },
      }),
    { times: 1 },
  );
  await timedRun(page, 2.4);
  const waiting = page.getByTestId('waiting');
  await expect(waiting).toContainText(
    'conditions.packVBefore: must be a voltage (measure it again). It stays',
  );
  const entered = new Date().toISOString();
  await waiting.getByRole('button', { name: 'Change it' }).click();
  const form = page.getByRole('dialog', { name: 'Timed distance, A' });
  await form.getByRole('textbox', { name: 'Pack before' }).fill('8.2');
  await form.getByRole('button', { name: 'Save the run (1 attempt)' }).click();
  await expect(form).toBeHidden();
  await expect(waiting).toBeHidden();
  await expect(page.getByTestId('runs').locator('.longrow')).toContainText('8.2');
  const { runs } = await (await request.get(`/api${new URL(root).pathname.replace(/\/A$/, '')}`)).json();
  expect(runs).toMatchObject([{ attempts: [{ timeS: 2.4 }], conditions: { packVBefore: 8.2 } }]);
  expect(runs[0].ranAt < entered).toBe(true);
});

test('a failure that was refused is changed where it stands', async ({ page, allow }) => {
  allow.statuses.push(422);
  const root = await readyBuild(page, freshName('Refused'));
  await page.goto(`${root}/learn?open=failure`);
  await page.route(
    '**/api/revisions/*/failures',
    (route) =>
      route.fulfill({
        status: 422,
        json: { error: { code: 'invalid', path: 'story', message: 'is too long' } },
      }),
    { times: 1 },
  );
  await field(page, 'Its name').fill('Belt');
  await page.getByRole('combobox', { name: 'What happened' }).selectOption({ label: 'Teeth stripped' });
  await field(page, 'What you saw').fill('A long story');
  await page.getByRole('button', { name: 'Save the failure' }).click();
  await page.getByTestId('waiting').getByRole('button', { name: 'Change it' }).click();
  const form = page.getByRole('dialog', { name: 'failure of Belt, A' });
  await expect(form.getByRole('textbox', { name: 'What you saw' })).toHaveValue('A long story');
  await form.getByRole('textbox', { name: 'What you saw' }).fill('Short');
  await form.getByRole('button', { name: 'Save the failure' }).click();
  await expect(page.getByTestId('waiting')).toBeHidden();
  await expect(page.getByRole('article', { name: /^Belt/ })).toContainText('Short');
});
