import { SEGMENTS, SIDES } from '@/core/verdict/engine/segments';
import { expect, test } from './page';

/** Figures with a metric unit behind them; 0.5 g of acceleration is none of mass. */
const METRIC =
  /\d\s?(?:km\/h|m\/s²|m\/s|°C|kg|mm³|cm³|km|cm|mm|N\/mm|N·mm|Nm|N|kPa|MPa)(?![\w·/²³%])|\d\s?m(?![\w·/²³%Ω])/g;

/** What the trade names in metric: screws, pins, bearings, shafts, hexes, bores, plugs, wires, modules, beds, gaps and fits. */
const OF_THE_TRADE = [
  /\b(?:Bearing|bearing|Pin|pin|Screw|screw|M\d|Hex|hex|nut|insert|rod|shaft|bullet|bore|module|bed|Bed|enclosed|gap|hole|peg|line|layer|nozzle|ball’s seat|Ball seat)\b/,
];
/** The builder's own words: names of parts, stories and fixes of the demo. */
const OWN_WORDS = [/face (?:6|12) mm/gi, /Two millimetres/g, /\d+(?:\.\d+)? mm until the arm falls/g];

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
      const said = OWN_WORDS.reduce((rest, own) => rest.replace(own, ''), line);
      if (METRIC.test(said) && !OF_THE_TRADE.some((one) => one.test(said))) left.push(`${path}: ${line}`);
      METRIC.lastIndex = 0;
    }
  }
  expect(left).toEqual([]);
});
