import { chromium } from '@playwright/test';
const W = Number(process.env.W || 1280), H = Number(process.env.H || 800);
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--use-angle=swiftshader','--enable-unsafe-swiftshader','--ignore-gpu-blocklist'] });
const c = await b.newContext({ viewport: { width: W, height: H }, colorScheme: process.env.DARK ? 'dark' : 'light' });
let n = Number(process.env.N || 0);
for (const path of process.argv.slice(2)) {
  const p = await c.newPage();
  p.on('console', (m) => { if (m.type() === 'error') console.log('ERR', m.text().slice(0, 200)); });
  const [url, ...acts] = path.split('@@');
  await p.goto('http://127.0.0.1:3117' + url); await p.waitForLoadState('networkidle'); await p.waitForTimeout(Number(process.env.WAIT || 2500));
  for (const a of acts) { try { const f = new Function('page', `return (async()=>{${a}})()`); await f(p); await p.waitForTimeout(1200);} catch (e) { console.log('ACT', e.message.slice(0, 300)); } }
  await p.screenshot({ path: `/tmp/look${n}.png`, fullPage: !!process.env.FULL }); console.log(n, path); n++; await p.close();
}
await b.close();
