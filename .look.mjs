import { chromium } from 'playwright';
const [arg] = process.argv.slice(2);
const [path, ...acts] = arg.split('@@');
const { W = 1280, H = 800, N = 1, WAIT = 2500, DARK, FULL } = process.env;
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--use-angle=swiftshader', '--enable-unsafe-swiftshader'] });
const page = await browser.newPage({ viewport: { width: +W, height: +H }, colorScheme: DARK ? 'dark' : 'light' });
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text().slice(0, 400)));
page.on('pageerror', (e) => console.log('pageerror:', String(e).slice(0, 400)));
await page.goto('http://127.0.0.1:3117' + path);
await page.waitForTimeout(+WAIT);
for (const act of acts) { await (new Function('page', `return (async () => { ${act} })()`))(page); await page.waitForTimeout(800); }
await page.screenshot({ path: `/tmp/look${N}.png`, fullPage: !!FULL });
await browser.close();
