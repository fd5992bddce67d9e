import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomFrom } from '@/core/base/numeric/random';
import { gyroCommand, gyroLawOf, wantedRate } from '@/core/physics/aids/gyroLaw';
import type { YawInput } from '@/core/physics/aids/yawDefinition';
import { followedSpeed } from '@/core/physics/aids/followedSpeed';
import type { TractionInput } from '@/core/physics/aids/slipDefinition';
import { commanded } from '@/core/physics/aids/tractionAssist';
import { gyroLawInC } from '@/core/worked/aids/gyroLawInC';
import { slipLawInC } from '@/core/worked/aids/slipLawInC';

const RAD = Math.PI / 180;
const input: YawInput = {
  massKg: 1.9,
  yawInertiaKgM2: 0.02,
  cgToFrontMm: 145,
  cgToRearMm: 140,
  corneringFrontNPerRad: 80,
  corneringRearNPerRad: 85,
  mu: 0.62,
  speedMps: 9,
  servo: { lagS: 0.03, rateDegPerS: 300, maxDeg: 24 },
  gyro: { sampleS: 0.004, gain: 0.18, deadbandDegPerS: 4, maxCorrectionDeg: 9, lowpassS: 0.012 },
  scenario: { kind: 'kick', yawRateDegPerS: 60 },
};
const holding: YawInput = {
  ...input,
  gyro: { ...input.gyro, holds: { fullSteerDegPerS: 150, catchUpS: 0.3 } },
};
const HARNESS = `
#include <stdio.h>
float gyro_steer(float rate, float driver, float speed);
int main(void) {
  float rate, driver, speed;
  while (scanf("%f %f %f", &rate, &driver, &speed) == 3) printf("%.6f\\n", gyro_steer(rate, driver, speed));
  return 0;
}
`;

const folder = mkdtempSync(join(tmpdir(), 'laws-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** What a C file answers to lines of figures, compiled without a warning. */
function answered(law: string, harness: string, lines: readonly (readonly number[])[]): number[] {
  writeFileSync(join(folder, 'law.c'), law);
  writeFileSync(join(folder, 'main.c'), harness);
  const program = join(folder, 'law');
  execFileSync('gcc', [
    ...['-std=c99', '-Wall', '-Wextra', '-Werror', '-O1', '-o', program],
    ...[join(folder, 'law.c'), join(folder, 'main.c'), '-lm'],
  ]);
  return execFileSync(program, { input: lines.map((line) => line.join(' ')).join('\n'), encoding: 'utf8' })
    .trim()
    .split('\n')
    .map(Number);
}

describe('the law of the gyro in C', () => {
  it.each([
    ['damps', input],
    ['holds a yaw rate', holding],
  ])('compiles without a warning and steers step by step as the simulation that %s', (_, input) => {
    const random = randomFrom(9);
    const steps = Array.from({ length: 2000 }, (_, k) => ({
      // still, slow, wild; and the driver straight or turning
      rate: (random() - 0.5) * [4, 40, 600][k % 3]!,
      driver: k % 5 === 0 ? 0 : (random() - 0.5) * 50,
      speed: k % 7 === 0 ? 0 : 12 * random(),
    }));
    const steered = answered(
      gyroLawInC('Hare */ D ½', input),
      HARNESS,
      steps.map(({ rate, driver, speed }) => [rate, driver, speed]),
    );
    const law = gyroLawOf(input);
    let filtered = 0;
    const memory = { held: 0 };
    const expected = steps.map(({ rate, driver, speed }) => {
      filtered += law.filter * (rate * RAD - filtered);
      const wanted = law.holds || speed > 0 ? wantedRate(law, speed, driver * RAD) : 0;
      return gyroCommand(law, filtered, wanted, driver * RAD, memory) / RAD;
    });
    expect(steered).toHaveLength(steps.length);
    steered.forEach((angle, k) => expect(Math.abs(angle - expected[k]!)).toBeLessThan(1e-3));
    // the limits and the dead band were met on the way
    expect(expected.some((angle) => Math.abs(angle) > 23.99)).toBe(true);
    if (!law.holds)
      expect(expected.some((angle, k) => angle === steps[k]!.driver && Math.abs(angle) < 24)).toBe(true);
  });
});

describe('slip control in C', () => {
  const base = {
    controller: { targetSlipPct: 12, gainUsPerPct: 9, frameMs: 10, mostAccelMps2: 6 },
  } as const;
  const read = `
#include <stdio.h>
float slip_throttle(float driven, float free_wheel);
int main(void) {
  float driven, free_wheel;
  while (scanf("%f %f", &driven, &free_wheel) == 2) printf("%.4f\\n", slip_throttle(driven, free_wheel));
  return 0;
}
`;
  const followed = `
#include <stdio.h>
float slip_throttle(float driven);
int main(void) {
  float driven, ignored;
  while (scanf("%f %f", &driven, &ignored) == 2) printf("%.4f\\n", slip_throttle(driven));
  return 0;
}
`;
  const random = randomFrom(4);
  const speeds = Array.from({ length: 800 }, (_, k): [number, number] => {
    const car = 0.01 * k;
    return k < 3 ? [-1, -1] : [car * (1 + 0.6 * random()), car];
  });

  it.each([
    ['a free wheel', 'rear', undefined, read],
    ['a free wheel, coming back slowly', 'rear', 3, read],
    ['a car that is followed', 'all', undefined, followed],
  ] as const)(
    'holds the throttle back frame by frame as the simulation does, by %s',
    (_, drivenAxles, releaseUsPerMs, harness) => {
      const controller = { ...base.controller, ...(releaseUsPerMs ? { releaseUsPerMs } : {}) };
      const input = { controller, car: { drivenAxles } } as TractionInput;
      const pulses = answered(slipLawInC('Hare D', input), harness, speeds);
      const follow = followedSpeed(6, 0.01, 'atRest');
      let last = 2000;
      const expected = speeds.map(([driven, free]) => {
        const known = driven < 0 ? undefined : driven;
        const car = drivenAxles === 'all' ? follow(known) : free < 0 ? undefined : free;
        last = commanded(known, car, last, 12, controller, 10);
        return last;
      });
      pulses.forEach((pulse, k) => expect(Math.abs(pulse - expected[k]!)).toBeLessThan(0.05));
      expect(Math.min(...expected)).toBeLessThan(1700);
      expect(pulses).toHaveLength(speeds.length);
    },
  );
});
