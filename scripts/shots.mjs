import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHROMIUM } from './lib/machine.mjs';
import { runMain, Sentence } from './lib/say.mjs';

const BASE = process.env.BASE_URL ?? 'http://127.0.0.1:3117';
const BENCH = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const COMMON = [
  '--headless',
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
/** Drawing in space asks for WebGL in software, which slows everything else. */
const FLAT = [...COMMON, '--disable-gpu'];
const SPACE = [...COMMON, '--use-angle=swiftshader', '--enable-unsafe-swiftshader'];

const SHOTS = [
  { name: 'garage', path: '/', size: BENCH },
  { name: 'brief', path: '/builds/marsh-hare/D/brief', size: BENCH },
  {
    name: 'drive',
    path: '/builds/marsh-hare/B/drive',
    size: BENCH,
    act: (page) => page.getByRole('button', { name: 'vs A' }).click(),
  },
  {
    name: 'drive-explorer',
    path: '/builds/marsh-hare/D/drive?view=explorer',
    size: BENCH,
    act: async (page) => {
      await page.getByRole('grid', { name: 'Combinations' }).getByRole('row').nth(3).waitFor();
    },
  },
  {
    name: 'car-space',
    path: '/builds/marsh-hare/D/chassis?view=space',
    size: BENCH,
    space: true,
    act: async (page) => {
      await page.getByTestId('car-space').locator('canvas').waitFor();
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'chassis-stability',
    path: '/builds/marsh-hare/D/chassis?view=stability',
    size: BENCH,
    act: (page) => page.getByTestId('steady-answer').getByText('as far as it is known').waitFor(),
  },
  {
    name: 'parts-drawn',
    path: '/builds/marsh-hare/D/parts?part=armFront&view=made',
    size: BENCH,
    space: true,
    act: async (page) => {
      await page.getByTestId('drawn').filter({ hasText: 'mm' }).waitFor({ timeout: 90_000 });
      await page.getByRole('button', { name: 'Solve it as a solid' }).click();
      await page.getByTestId('solid-margin').waitFor({ timeout: 90_000 });
      await page.waitForTimeout(1500);
    },
  },
  {
    name: 'drive-gears',
    path: '/builds/marsh-hare/A/drive?view=gears',
    size: BENCH,
    act: (page) => page.locator('[data-tooth]').first().waitFor(),
  },
  {
    name: 'power',
    path: '/builds/marsh-hare/B/power',
    size: BENCH,
    act: (page) => page.locator('[data-feed]').nth(2).waitFor(),
  },
  { name: 'chassis', path: '/builds/marsh-hare/D/chassis', size: BENCH },
  { name: 'suspension', path: '/builds/marsh-hare/D/suspension', size: BENCH },
  {
    name: 'parts',
    path: '/builds/marsh-hare/B/parts',
    size: BENCH,
    act: (page) => page.getByTestId('part-remedies').waitFor(),
  },
  {
    name: 'print',
    path: '/builds/marsh-hare/D/print',
    size: BENCH,
    act: async (page) => {
      for (const [name, times] of [
        ['Front arm', 2],
        ['Rear arm', 2],
        ['Rear carrier, turned on the bed', 2],
        ['Bumper', 2],
        ['Shock tower', 2],
        ['Main gear, face 12 mm', 2],
        ['Chassis plate, pocketed', 1],
      ])
        for (let at = 0; at < times; at++)
          await page.getByRole('button', { name: `One ${name} more` }).click();
    },
  },
  {
    name: 'learn',
    path: '/builds/marsh-hare/D/learn',
    size: BENCH,
    act: async (page) => {
      await page.getByRole('button', { name: 'find out why it failed' }).first().click();
      await page.getByTestId('suspects').waitFor();
      await page.waitForTimeout(1500);
    },
  },
  { name: 'field', path: '/builds/marsh-hare/B/field', size: BENCH },
  {
    name: 'help',
    path: '/builds/marsh-hare/D/chassis',
    size: BENCH,
    act: async (page) => {
      await page.keyboard.press('?');
      await page.getByRole('heading', { name: 'An example by hand' }).waitFor();
    },
  },
  {
    name: 'shared-build',
    path: '/builds/marsh-hare/share',
    size: BENCH,
    act: async (page) => {
      await page.getByRole('button', { name: 'Make a link' }).click();
      const link = await page.getByRole('textbox', { name: /^Send this link/ }).inputValue();
      await page.getByRole('button', { name: 'take back' }).last().waitFor();
      await page.goto(link);
      await page.waitForURL(/\/D\/brief/);
      await page.goto(page.url().replace('/brief', '/drive'));
    },
  },
  // of the real installation, where ACCOUNTS_URL says where one runs
  { name: 'sign-in', base: process.env.ACCOUNTS_URL, path: '/sign-in', size: BENCH },
  { name: 'field-phone', path: '/builds/marsh-hare/D/field', size: PHONE },
];

/** Takes the pictures of the main views from a running demo. */
runMain(async () => {
  mkdirSync('docs/screenshots', { recursive: true });
  const [flat, inSpace] = await Promise.all(
    [FLAT, SPACE].map((args) => chromium.launch({ executablePath: CHROMIUM, args })),
  );
  const asked = process.argv.slice(2);
  for (const shot of SHOTS) {
    const { name, base = BASE, path, size, act, space } = shot;
    if (asked.length > 0 && !asked.includes(name)) continue;
    if ('base' in shot && !shot.base) continue;
    const page = await (space ? inSpace : flat).newPage({
      viewport: size,
      locale: 'en-GB',
      colorScheme: 'light',
    });
    const answer = await page.goto(base + path, { waitUntil: 'networkidle' }).catch(() => undefined);
    if (!answer?.ok())
      throw new Sentence(
        `No demo answers at ${base}${path}. Start it with npm run demo, or name another with BASE_URL.`,
      );
    await act?.(page);
    await page.locator('h1').first().waitFor();
    // the long checks follow from the worker
    await page.getByText('being worked out').first().waitFor({ state: 'hidden', timeout: 60_000 });
    await page.waitForTimeout(400);
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
    await page.close();
  }
  await Promise.all([flat.close(), inSpace.close()]);
});
