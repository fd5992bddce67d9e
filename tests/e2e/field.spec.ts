import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { writeGpx } from '@/core/physics/timing/track/writeGpx';
import { expect, field, freshName, readyBuild, saved, test, toSegment } from './page';

async function timedRun(page: Page, seconds: number): Promise<void> {
  await field(page, 'Or type the time').fill(seconds.toFixed(2));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('button', { name: 'Save the run (1 attempt)' }).click();
  await expect(page.getByRole('button', { name: 'Save the run (0 attempts)' })).toBeVisible();
}

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
    await expect(page.getByTestId('runs').locator('tr[data-waits="true"]')).toHaveCount(3);
    await expect(page.getByTestId('field-answer')).toContainText('Predicted');
    await context.setOffline(false);
    await expect(page.getByTestId('waiting')).toBeHidden();
    await expect(page.getByTestId('runs').locator('tr[data-waits="false"]')).toHaveCount(3);
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
  await expect(page.getByTestId('runs').locator('tbody tr')).toHaveCount(1);
});

test('a run of yesterday is written down with its own day', async ({ page }) => {
  const root = await readyBuild(page, freshName('Yesterday'));
  await page.goto(`${root}/field`);
  await page.getByRole('button', { name: 'Conditions' }).click();
  await page.getByRole('button', { name: 'It was driven earlier' }).click();
  const at = page.getByRole('group', { name: 'Driven at, if not now' });
  await at.getByRole('spinbutton', { name: 'Year' }).click();
  await page.keyboard.type('202605141730');
  await timedRun(page, 2.4);
  await expect(page.getByTestId('runs').locator('tbody tr')).toContainText('14 May 2026, 17:30');
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
  await expect(page.getByTestId('runs').locator('tbody tr')).toContainText('8.2');
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

/** 5 m/s due north for 20 s, with a jump at 9 s. */
const track = writeGpx('north', [
  Array.from({ length: 21 }, (_, at) => ({
    atMs: Date.UTC(2026, 4, 1, 10, 0, at),
    latDeg: 31 + ((5 * at + (at === 9 ? 400 : 0)) * 360) / (2 * Math.PI * 6_371_008.8),
    lonDeg: -41,
  })),
]);

test('a track is dropped, read, kept, drawn and handed out again; a broken one is refused with its line', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Track'));
  await page.goto(`${root}/field`);
  await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Satellite track' });
  const file = page.getByLabel('File of the track');
  await file.setInputFiles({
    name: 'broken.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from('<gpx>\n<trk>\n<trkseg></trk></gpx>'),
  });
  await expect(page.getByRole('region', { name: 'Satellite track' }).getByRole('alert')).toContainText(
    'broken.gpx, line 3: the XML is broken',
  );
  await file.setInputFiles({
    name: 'north.gpx',
    mimeType: 'application/gpx+xml',
    buffer: Buffer.from(track),
  });
  await expect(page.getByTestId('track-read')).toContainText(
    /18\skm\/h at best over 1\ss, 100\sm in 20\ss, 1 point dropped/,
  );
  await page.getByRole('button', { name: 'Save the run', exact: true }).click();
  await expect(page.getByTestId('runs')).toContainText('top speed 18');
  await page.getByRole('tab', { name: 'Tracks and logs' }).click();
  await expect(page.getByTestId('track-answer')).toContainText(/Fastest 18\skm\/h/);
  await expect(page.getByTestId('track-picture')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'GPX', exact: true }).click();
  expect(readFileSync((await (await download).path())!, 'utf8').match(/<trkpt/g)).toHaveLength(20);
});

/** A clip of a square that moves, made in the page: 30 frames a second. */
const clip = (page: Page) =>
  page.evaluate(async () => {
    const canvas = Object.assign(document.createElement('canvas'), { width: 64, height: 48 });
    const draw = canvas.getContext('2d')!;
    const recorder = new MediaRecorder(canvas.captureStream(30), { mimeType: 'video/webm;codecs=vp8' });
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    const ended = new Promise<void>((done) => {
      recorder.onstop = () => done();
    });
    recorder.start();
    for (let frame = 0; frame < 45; frame++) {
      draw.fillStyle = frame % 2 === 0 ? '#fff' : '#000';
      draw.fillRect(0, 0, 64, 48);
      await new Promise((done) => requestAnimationFrame(done));
    }
    recorder.stop();
    await ended;
    return [...new Uint8Array(await new Blob(parts).arrayBuffer())];
  });

test('a video is stepped frame by frame on this device, and its frames become an attempt', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Video'));
  await page.goto(`${root}/field`);
  const bytes = await clip(page);
  await page.getByRole('button', { name: 'Video file' }).click();
  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  await page
    .getByLabel('Video file')
    .setInputFiles({ name: 'pass.webm', mimeType: 'video/webm', buffer: Buffer.from(bytes) });
  const steps = page.getByRole('group', { name: 'Step through the video' });
  await expect(page.locator('video')).toHaveJSProperty('readyState', 4);
  await steps.getByRole('button', { name: 'One frame on' }).click();
  await steps.getByRole('button', { name: 'One frame on' }).click();
  await expect(page.getByTestId('frame')).toHaveText('frame 2');
  await page.getByRole('button', { name: /^At the start line/ }).click();
  await steps.getByRole('button', { name: 'Ten frames on' }).click();
  await steps.getByRole('button', { name: 'One frame back' }).click();
  await page.getByRole('button', { name: /^At the end line/ }).click();
  await field(page, 'Slowed down by').fill('8');
  // 9 frames of 240 a second: 37.5 ms
  await expect(page.getByTestId('video-time')).toContainText(/9 frames, 0.0375\ss/);
  await page.getByRole('button', { name: 'Take it as an attempt' }).click();
  await expect(page.getByText(/attempt 1: 0.0375\ss/)).toBeVisible();
  expect(sent).toEqual([]);
});

test('runs of the bench and of the ground ask what they need: a wheel that turns backward is named, a tyre waits for its shield', async ({
  page,
}) => {
  const root = await readyBuild(page, freshName('Kinds'));
  await page.goto(`${root}/field`);
  const kind = page.getByRole('combobox', { name: 'Kind of run' });
  await kind.selectOption({ label: 'Bench spin' });
  await page.getByRole('button', { name: 'All four turn forward' }).click();
  await page.getByRole('combobox', { name: 'Rear left wheel' }).selectOption('backward');
  await page.getByRole('button', { name: 'Save the run', exact: true }).click();
  await expect(page.getByTestId('field-answer')).toContainText('rear left turns backward');
  await expect(
    page.getByRole('navigation', { name: 'Segments' }).getByRole('link', { name: /^Field/ }),
  ).toHaveAttribute('data-state', 'over');
  await kind.selectOption({ label: 'Tyre spin' });
  await expect(field(page, 'Wheel turns')).toBeDisabled();
  await expect(page.getByText('It still needs the shield.')).toBeVisible();
  await kind.selectOption({ label: 'Drop' });
  await page.getByRole('button', { name: 'It held' }).click();
  await page.getByRole('button', { name: 'It failed' }).click();
  await expect(page.getByText(/It holds 0.1\sm, and fails at 0.13\sm/)).toBeVisible();
  await kind.selectOption({ label: 'Settings series' });
  await field(page, 'What is set').fill('rear toe');
  await field(page, 'Values').fill('0 2');
  await field(page, 'Runs of each').fill('2');
  await page.getByRole('button', { name: 'Shuffle the order' }).click();
  for (let at = 0; at < 4; at++) {
    const toe = Number(await page.getByTestId('series-next').locator('b').innerText());
    await field(page, 'Or type the time').fill(toe === 2 ? '2.0' : '2.5');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
  }
  await page.getByRole('button', { name: 'Save the run (4 attempts)' }).click();
  // 20 m in 2 s
  await expect(page.getByTestId('series')).toContainText(/rear toe: fastest at 2, 36\skm\/h/);
});

test('runs correct the build, which then says so', async ({ page }) => {
  const root = await readyBuild(page, freshName('Learn'));
  await page.goto(`${root}/field`);
  for (const seconds of [2.6, 2.62, 2.58]) await timedRun(page, seconds);
  await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Launch' });
  for (const seconds of [3.6, 3.65]) await timedRun(page, seconds);
  await page.getByRole('tab', { name: 'Learn from it' }).click();
  await expect(page.getByTestId('calibrate-answer')).toContainText('5 runs of A say');
  await page.getByRole('button', { name: 'Take it over' }).click();
  await saved(page);
  await toSegment(page, 'Drive');
  await expect(page.getByTestId('band')).toContainText('Calibrated on 5 runs of revision A');
});
