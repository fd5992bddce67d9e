import { spawn } from 'node:child_process';
import { lineOf } from '@/core/physics/instruments/line';
import { expect, freshName, readyBuild, test } from './page';

test('a serial port is read as well, its garbage counted, two of a kind told', async ({ page }) => {
  const readings = [
    { device: 'gate-1', kind: 'gate' as const, ms: 1000, values: { beam: 1, broken: 1 } },
    { device: 'gate-2', kind: 'gate' as const, ms: 3000, values: { beam: 1, broken: 1 } },
    { device: 'gate-1', kind: 'gate' as const, ms: 3500, values: { beam: 2, broken: 1 } },
  ];
  const text = `~~ noise ~~\n${readings.map(lineOf).join('\n')}\n`;
  await page.addInitScript((lines) => {
    const port = {
      open: () => Promise.resolve(),
      close: () => Promise.resolve(),
      readable: new ReadableStream<Uint8Array>({
        // not before the gate is armed, and for the devices to be seen at once
        start: (stream) => {
          Object.assign(window, { sendLines: () => stream.enqueue(new TextEncoder().encode(lines)) });
        },
      }),
    };
    Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(port) } });
  }, text);
  const root = await readyBuild(page, freshName('Serial'));
  await page.goto(`${root}/field`);
  await page.getByText('From an instrument: light gate').click();
  await page.getByRole('button', { name: 'Connect a serial port' }).click();
  await page.getByRole('button', { name: 'Arm the gate' }).click();
  await page.evaluate(() => (window as unknown as { sendLines(): void }).sendLines());
  await expect(page.getByRole('button', { name: 'Save the run (1 attempt)' })).toBeVisible();
  await expect(page.getByText('Two of a kind speak: gate-1 and gate-2.')).toBeVisible();
  await expect(page.getByText(/1 line told nothing and was left out/)).toBeVisible();
  // 20 m in 2.5 s
  await expect(page.getByText(/^28\.8\skm\/h/).first()).toBeVisible();
});

/** They listen at one address, so one after the other. */
test.describe('made-up instruments', () => {
  test.describe.configure({ mode: 'serial' });

  test('a simulated light gate logs three attempts by itself, and a lost connection loses nothing', async ({
    page,
    allow,
  }) => {
    allow.words = /WebSocket connection/;
    const root = await readyBuild(page, freshName('Gated'));
    await page.goto(`${root}/field`);
    await page.getByText('From an instrument: light gate').click();
    const devices = spawn('node_modules/.bin/tsx', ['src/cli/instruments.ts', '--fast', '20', '--seed', '3']);
    try {
      await new Promise<void>((ready) => devices.stdout.on('data', () => ready()));
      await page.getByRole('button', { name: 'Connect over this machine' }).click();
      await page.getByRole('button', { name: 'Arm the gate' }).click();
      await expect(page.getByTestId('instruments')).toContainText('gate-1');
      await expect(page.getByRole('button', { name: /^Save the run \([3-9] attempts\)/ })).toBeVisible();
      await page.getByRole('button', { name: 'Disarm the gate' }).click();
    } finally {
      devices.kill();
    }
    await expect(page.getByText('The connection was lost.')).toBeVisible();
    // 20 m at what the demo's car does: 32 km/h and what its devices scatter
    const speeds = await page.getByText(/^3\d(\.\d)?\skm\/h/).count();
    expect(speeds).toBeGreaterThanOrEqual(3);
    await page.getByRole('button', { name: /^Save the run \(\d attempts\)/ }).click();
    await expect(page.getByTestId('field-answer')).toContainText('over 20');
  });

  test('a probe notes a case that cools, every half minute of its own clock', async ({ page, allow }) => {
    allow.words = /WebSocket connection/;
    const root = await readyBuild(page, freshName('Cooling'));
    await page.goto(`${root}/field`);
    await page.getByRole('combobox', { name: 'Kind of run' }).selectOption({ label: 'Bench spin' });
    await page.getByText('From an instrument: thermometer').click();
    const devices = spawn('node_modules/.bin/tsx', ['src/cli/instruments.ts', '--fast', '20', '--seed', '5']);
    try {
      await new Promise<void>((ready) => devices.stdout.on('data', () => ready()));
      await page.getByRole('button', { name: 'Connect over this machine' }).click();
      await page.getByRole('button', { name: 'every half minute' }).first().click();
      const read = page
        .getByRole('region', { name: 'Temperatures' })
        .getByRole('textbox', { name: 'Motor', exact: true });
      await expect(read.nth(2)).toHaveValue(/\d/);
      // more come while they are read, so all at once
      const [first, , third] = await read.evaluateAll((all) =>
        all.map((one) => Number((one as HTMLInputElement).value)),
      );
      // 60 °C in air of 18 °C, a minute later by e^(−60/240): 7 to 9 degrees less
      expect(first! - third!).toBeGreaterThan(5);
      expect(first! - third!).toBeLessThan(12);
    } finally {
      devices.kill();
    }
  });

  test('a spin records growth by itself, and all that speak become a log', async ({ page, allow }) => {
    allow.words = /WebSocket connection/;
    const root = await readyBuild(page, freshName('Recorded'));
    await page.goto(`${root}/field?view=bench`);
    await page.getByRole('checkbox', { name: /The shield stands/ }).check();
    await page.getByText('From an instrument: tachometer').click();
    const devices = spawn('node_modules/.bin/tsx', ['src/cli/instruments.ts', '--fast', '20', '--seed', '6']);
    try {
      await new Promise<void>((ready) => devices.stdout.on('data', () => ready()));
      await page.getByRole('button', { name: 'Connect over this machine' }).click();
      await page.getByRole('button', { name: 'Record growth by itself' }).click();
      // six speeds of 9,000 at the most, and at rest
      await expect(page.getByRole('button', { name: 'Take this reading out' })).toHaveCount(7);
      await page.getByRole('button', { name: 'Stop recording' }).click();
      await expect(page.getByTestId('bench-answer')).toContainText('as much as is typical');
      await page.goto(`${root}/field?view=tracks&of=logs`);
      await page.getByText('From instruments').click();
      await page.getByRole('button', { name: 'Connect over this machine' }).click();
      await page.getByRole('button', { name: 'Record a log' }).click();
      await expect(page.getByText(/[1-9]\d\d readings so far/)).toBeVisible();
      await page.getByRole('button', { name: 'Stop, and make it a log' }).click();
    } finally {
      devices.kill();
    }
    await expect(page.getByTestId('log-read')).toContainText('rows over');
    for (const column of ['log-speed', 'log-rpm', 'log-voltage', 'log-yawRate'])
      await expect(page.getByTestId(column)).toBeVisible();
  });
});
