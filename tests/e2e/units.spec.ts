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

test('imperial units are those of every number on every page, but for what the trade names in metric', async ({
  page,
  context,
  baseURL,
}) => {
  test.setTimeout(240_000);
  await context.addCookies([
    { name: 'reader-units', value: 'imperial', url: baseURL! },
    { name: 'reader-locale', value: 'en-US', url: baseURL! },
  ]);
  const left: string[] = [];
  const sides = SEGMENTS.flatMap((segment) =>
    (SIDES[segment] as readonly string[]).map((side) => `/builds/marsh-hare/C/${segment}?view=${side}`),
  );
  expect(sides.length).toBeGreaterThan(30);
  for (const path of ['/', ...sides]) {
    await page.goto(path);
    await page.waitForLoadState('networkidle');
    await expect(page.locator('main, [role="main"]').first()).toBeVisible();
    const text = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('header, nav, main')].map((one) => one.innerText).join('\n'),
    );
    for (const line of text.split('\n')) {
      const said = EXEMPT.reduce((rest, one) => rest.replace(one, ''), line.replace(/\s/g, ' '));
      const found = said.match(METRIC);
      if (found) left.push(`${path}: ${found.join()} in ${line}`);
    }
  }
  expect(left).toEqual([]);
});
