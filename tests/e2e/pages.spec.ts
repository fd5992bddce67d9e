import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { SEGMENTS, SIDES } from '@/core/verdict/engine/segments';
import { expect, test } from './page';

/** Figures with a metric unit behind them; 0.5 g of acceleration is none of mass. */
const METRIC =
  /\d\s?(?:km\/h|m\/s²|m\/s|°C|kg|mm³|mm²|cm³|km|cm|mm|N\/mm|N·mm|Nm|N|kPa|MPa)(?![\w·/²³%])|\d\s?m(?![\w·/²³%Ω])/g;

/** What the trade names in metric: screws, pins, bearings, shafts, hexes, plugs, wires, beds, and what holes and gaps are drawn at. */
const OF_THE_TRADE = [
  /\b(?:bearing|pin|screw|screw for plastic|M\d) ?[\d.]*(?: ?× ?[\d.]+)+ mm/gi,
  /\b(?:bullet|bed|enclosed), [\d.]+ mm/gi,
  /\b[\d.]+ × [\d.]+ mm, and speed/g,
  /\b(?:long shaft|wheel axle|hex|hole|peg) of [\d.]+ mm/gi,
  /\b(?:gap|module|layer) [\d.]+ mm/gi,
  /\bseat by [\d.]+ mm/g,
  /\b[\d.]+ ?mm²(?! (?:to support|on the bed|more))/g,
];
/** The builder's own words: names of parts, stories and fixes of the demo. */
const OWN_WORDS = [/face (?:6|12) mm/gi, /doubled to 12 mm/g, /opened by [\d.]+ mm/g];
const EXEMPT = [...OF_THE_TRADE, ...OWN_WORDS];

const PAGES = [
  '/',
  '/library',
  ...SEGMENTS.flatMap((segment) =>
    (SIDES[segment] as readonly string[]).map((side) => `/builds/marsh-hare/C/${segment}?view=${side}`),
  ),
];
/** The library names what the trade sells by its own units. */
const TRADED = '/library';
/** `npm test` looks at the light scheme, `npm run test:long` at the other. */
const SCHEME = process.env.SCHEME === 'dark' ? 'dark' : 'light';
const HALVES = [0, 1] as const;

async function metricLeft(page: Page): Promise<string[]> {
  const text = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('header, nav, main')].map((one) => one.innerText).join('\n'),
  );
  return text.split('\n').flatMap((line) => {
    const said = EXEMPT.reduce((rest, one) => rest.replace(one, ''), line.replace(/\s/g, ' '));
    const found = said.match(METRIC);
    return found ? [`${found.join()} in ${line}`] : [];
  });
}

async function standsAgainst(page: Page): Promise<string[]> {
  // no page has a frame, and nothing is asked of what passes: a third of the time
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({
      resultTypes: ['violations'],
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
    })
    .analyze();
  return violations.map(
    ({ id, nodes }) =>
      `${id}, ${nodes.length} times, as ${nodes[0]!.html.slice(0, 160)} ${nodes[0]!.failureSummary?.split('\n')[1] ?? ''}`,
  );
}

const DESK = { width: 1280, height: 800 };
/** The desk at twice the size of everything. */
const TWICE = { width: 640, height: 400 };

/** How far a page at twice the size goes beyond its edge, px. */
async function beyondAtTwice(page: Page): Promise<string[]> {
  await page.setViewportSize(TWICE);
  const beyond = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  await page.setViewportSize(DESK);
  return beyond > 0 ? [`${beyond} px beyond the page at twice the size`] : [];
}

test.describe.configure({ mode: 'parallel' });

for (const half of HALVES)
  test(`every page in imperial shows no metric unit but the trade’s, nothing of level A or AA stands against it, and it fits at twice the size (${half + 1} of 2)`, async ({
    page,
    context,
    baseURL,
  }) => {
    test.setTimeout(300_000);
    await context.addCookies([
      { name: 'reader-units', value: 'imperial', url: baseURL! },
      { name: 'reader-locale', value: 'en-US', url: baseURL! },
    ]);
    await page.emulateMedia({ colorScheme: SCHEME, reducedMotion: 'reduce' });
    expect(PAGES.length).toBeGreaterThan(30);
    const left: string[] = [];
    for (const path of PAGES.filter((_, at) => at % HALVES.length === half)) {
      await page.goto(path);
      await page.waitForLoadState('networkidle');
      await expect(page.locator('main, [role="main"]').first()).toBeVisible();
      const metric = path === TRADED ? [] : await metricLeft(page);
      left.push(
        ...[...metric, ...(await standsAgainst(page)), ...(await beyondAtTwice(page))].map(
          (what) => `${path}: ${what}`,
        ),
      );
    }
    expect(left).toEqual([]);
  });
