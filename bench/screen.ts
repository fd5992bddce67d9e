import { chromium, type Page } from 'playwright-core';
import { meshOf, sphereCorners } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import { ensureModules, ensurePackages } from '../scripts/lib/machine.mjs';
import { freePort } from '../scripts/lib/ports.mjs';
import { Cluster, clusterFolder } from '../scripts/lib/postgres.mjs';
import { runMain } from '../scripts/lib/say.mjs';
import { prepareDatabase, serveBeside } from '../scripts/lib/serve.mjs';

const SEGMENTS = ['brief', 'drive', 'power', 'chassis', 'suspension', 'parts', 'print', 'field', 'learn'];
const [CHANGES, FRAMES_MS] = [40, 4000];
/** Aims: a changed number at the median and at the 95th percentile, a long task, script a frame, ms; first script, kB. */
const AIM = { median: 50, p95: 100, frame: 4, scripts: 420 };

const at = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;

/**
 * Times from an act in the page until the figure under a selector has another text and is painted, ms, and
 * the tasks over 50 ms meanwhile.
 */
async function changed(
  page: Page,
  act: { field: string; keys: readonly string[] },
  shown: string,
): Promise<{ times: number[]; long: number[] }> {
  const control = page.getByRole(act.field.startsWith('slider') ? 'slider' : 'textbox', {
    name: act.field.replace('slider ', ''),
    exact: true,
  });
  await control.focus();
  await page.evaluate((selector) => {
    const bench = { times: [] as number[], long: [] as number[] };
    Object.assign(window, { bench });
    new PerformanceObserver((list) =>
      bench.long.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({
      type: 'longtask',
    });
    const text = () => document.querySelector(selector)!.textContent;
    window.addEventListener(
      'keydown',
      () => {
        const [before, start] = [text(), performance.now()];
        const look = () => {
          if (performance.now() - start > 2000) return;
          if (text() === before) requestAnimationFrame(look);
          else requestAnimationFrame(() => bench.times.push(performance.now() - start));
        };
        requestAnimationFrame(look);
      },
      true,
    );
  }, shown);
  for (let change = 0; change < CHANGES; change++) {
    await page.keyboard.press(act.keys[change % act.keys.length]!);
    await page.waitForTimeout(350);
  }
  return page.evaluate(() => (window as unknown as { bench: { times: number[]; long: number[] } }).bench);
}

async function sayChanged(
  page: Page,
  name: string,
  path: string,
  field: string,
  keys: readonly string[],
  shown: string,
) {
  await page.goto(path, { waitUntil: 'networkidle' });
  const { times, long } = await changed(page, { field, keys }, shown);
  const sorted = times.sort((a, b) => a - b);
  console.log(
    `${name.padEnd(34)} median ${at(sorted, 0.5).toFixed(0)} ms (aim ${AIM.median})   p95 ${at(sorted, 0.95).toFixed(0)} ms (aim ${AIM.p95})   of ${sorted.length}; ${long.length} long tasks${long.length > 0 ? `, longest ${Math.max(...long).toFixed(0)} ms` : ''}`,
  );
}

/** Script of a first visit, compressed, kB. */
async function firstScripts(page: Page, path: string): Promise<number> {
  const client = await page.context().newCDPSession(page);
  await client.send('Network.enable');
  const [sizes, kinds] = [new Map<string, number>(), new Map<string, string>()];
  client.on('Network.responseReceived', ({ requestId, type }) => kinds.set(requestId, type));
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) =>
    sizes.set(requestId, encodedDataLength),
  );
  await page.goto(path, { waitUntil: 'networkidle' });
  return [...sizes].reduce((sum, [id, size]) => sum + (kinds.get(id) === 'Script' ? size : 0), 0) / 1000;
}

/** The stage that is chosen turns. */
async function gears(page: Page, stage?: string): Promise<void> {
  await page.goto('/builds/marsh-hare/D/drive?view=gears', { waitUntil: 'networkidle' });
  if (stage) await page.getByRole('button', { name: stage, exact: true }).click();
  await page.getByRole('button', { name: 'turn it' }).click();
}

/** The whole car, its made parts as meshes of 50,000 triangles each, turned by the view with every frame. */
async function car(page: Page): Promise<void> {
  const body = Buffer.from(writeStl(meshOf(sphereCorners(30, 126, 200))));
  await page.route('**/api/meshes/*', (route) =>
    route.fulfill({ body, contentType: 'application/octet-stream' }),
  );
  await page.goto('/builds/marsh-hare/D/chassis?view=space', { waitUntil: 'networkidle' });
  await page.getByTestId('car-space').locator('canvas').waitFor();
  await page.evaluate(() => {
    const canvas = document.querySelector('[data-testid="car-space"] canvas')!;
    const act = (type: string, x: number) =>
      canvas.dispatchEvent(
        new PointerEvent(type, {
          pointerId: 1,
          button: 0,
          buttons: 1,
          clientX: x,
          clientY: 300,
          bubbles: true,
        }),
      );
    canvas.setPointerCapture = () => undefined;
    canvas.releasePointerCapture = () => undefined;
    let x = 300;
    act('pointerdown', x);
    const turn = () => {
      act('pointermove', (x += 2));
      requestAnimationFrame(turn);
    };
    requestAnimationFrame(turn);
  });
}

/** Time of the main thread a frame while something turns. */
async function turning(page: Page, name: string, begin: () => Promise<void>): Promise<void> {
  const client = await page.context().newCDPSession(page);
  await client.send('Performance.enable');
  const scriptS = async () =>
    (await client.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'ScriptDuration')!
      .value;
  await begin();
  const before = await scriptS();
  const frames = await page.evaluate(
    (forMs) =>
      new Promise<number>((done) => {
        const start = performance.now();
        let count = 0;
        const frame = () =>
          performance.now() - start > forMs ? done(count) : (count++, requestAnimationFrame(frame));
        requestAnimationFrame(frame);
      }),
    FRAMES_MS,
  );
  const script = (1000 * ((await scriptS()) - before)) / frames;
  const renderer = await page.evaluate(() => {
    const gl = document.createElement('canvas').getContext('webgl');
    const named = gl?.getExtension('WEBGL_debug_renderer_info');
    return gl && named ? String(gl.getParameter(named.UNMASKED_RENDERER_WEBGL)) : 'no WebGL';
  });
  console.log(
    `${name.padEnd(34)} ${((1000 * frames) / FRAMES_MS).toFixed(0)} frames a second, script ${script.toFixed(1)} ms a frame (aim ${AIM.frame}); renderer: ${renderer}`,
  );
}

runMain(async () => {
  await ensurePackages({ browser: true });
  await ensureModules();
  const cluster = new Cluster(clusterFolder('screen'), await freePort(), { throwaway: true });
  let server: Awaited<ReturnType<typeof serveBeside>> | undefined;
  const stop = async () => {
    await server?.stop();
    cluster.stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => void stop().then(() => process.exit(130)));
  try {
    cluster.start();
    await prepareDatabase(cluster.url());
    server = await serveBeside(cluster.url());
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
    const inPage = async (work: (page: Page) => Promise<void>) => {
      const context = await browser.newContext({
        baseURL: server!.address,
        viewport: { width: 1280, height: 800 },
        serviceWorkers: 'block',
        locale: 'en-GB',
      });
      // the loader of this file names its functions
      await context.addInitScript('globalThis.__name = (named) => named');
      await work(await context.newPage());
      await context.close();
    };
    for (const segment of SEGMENTS)
      await inPage(async (page) => {
        const size = await firstScripts(page, `/builds/marsh-hare/D/${segment}`);
        console.log(
          `first visit of ${segment.padEnd(12)} ${size.toFixed(0)} kB of script (aim ${AIM.scripts})`,
        );
      });
    await inPage((page) =>
      sayChanged(
        page,
        'typing in a field of the drive',
        '/builds/marsh-hare/D/drive',
        'Stage 1: pinion teeth',
        ['ArrowUp', 'ArrowDown'],
        '[data-testid="top-speed"]',
      ),
    );
    await inPage((page) =>
      sayChanged(
        page,
        'a slider of the suspension',
        '/builds/marsh-hare/D/suspension',
        'slider Travel, up is bump',
        ['ArrowRight', 'ArrowLeft'],
        'table[aria-label="Readings"]',
      ),
    );
    await inPage((page) => turning(page, 'gears that turn', () => gears(page)));
    await inPage((page) => turning(page, 'cones that turn', () => gears(page, '2 bevel')));
    await inPage((page) => turning(page, 'the whole car in space', () => car(page)));
    await browser.close();
  } finally {
    await stop();
  }
  return 0;
});
