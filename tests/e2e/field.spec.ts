import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { writeGpx } from '@/core/physics/timing/track/writeGpx';
import { expect, field, freshName, readyBuild, saved, test, toSegment } from './page';
import { timedRun } from './fieldRuns';

/** 5 m/s due north for 20 s, with a jump at 9 s. */
const track = writeGpx('north', [
  Array.from({ length: 21 }, (_, at) => ({
    atMs: Date.UTC(2026, 4, 1, 10, 0, at),
    latDeg: 31 + ((5 * at + (at === 9 ? 400 : 0)) * 360) / (2 * Math.PI * 6_371_008.8),
    lonDeg: -41,
  })),
]);

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

test('a run of yesterday is written down with its own day', async ({ page }) => {
  const root = await readyBuild(page, freshName('Yesterday'));
  await page.goto(`${root}/field`);
  await page.getByRole('button', { name: 'Conditions' }).click();
  await page.getByRole('button', { name: 'It was driven earlier' }).click();
  const at = page.getByRole('group', { name: 'Driven at, if not now' });
  await at.getByRole('spinbutton', { name: 'Year' }).click();
  await page.keyboard.type('202605141730');
  await timedRun(page, 2.4);
  await expect(page.getByTestId('runs').locator('.longrow')).toContainText('14 May 2026, 17:30');
});

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
    await expect(
      page.getByRole('button', { name: new RegExp(`^Save the run \\(${at + 1} attempt`) }),
    ).toBeVisible();
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
