import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomFrom } from '@/core/base/numeric/random';
import { gyroCommand, gyroLawOf, wantedRate } from '@/core/physics/aids/gyroLaw';
import type { YawInput } from '@/core/physics/aids/yawDefinition';
import { gyroLawInC } from '@/core/worked/aids/lawInC';

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

describe('the law of the gyro in C', () => {
  const folder = mkdtempSync(join(tmpdir(), 'gyro-'));
  afterAll(() => rmSync(folder, { recursive: true }));

  it.each([
    ['damps', input],
    ['holds a yaw rate', holding],
  ])('compiles without a warning and steers step by step as the simulation that %s', (_, input) => {
    writeFileSync(join(folder, 'law.c'), gyroLawInC('Hare */ D ½', input));
    writeFileSync(join(folder, 'main.c'), HARNESS);
    const program = join(folder, 'law');
    execFileSync('gcc', [
      ...['-std=c99', '-Wall', '-Wextra', '-Werror', '-O1', '-o', program],
      ...[join(folder, 'law.c'), join(folder, 'main.c'), '-lm'],
    ]);
    const random = randomFrom(9);
    const steps = Array.from({ length: 2000 }, (_, k) => ({
      // still, slow, wild; and the driver straight or turning
      rate: (random() - 0.5) * [4, 40, 600][k % 3]!,
      driver: k % 5 === 0 ? 0 : (random() - 0.5) * 50,
      speed: k % 7 === 0 ? 0 : 12 * random(),
    }));
    const steered = execFileSync(program, {
      input: steps.map(({ rate, driver, speed }) => `${rate} ${driver} ${speed}`).join('\n'),
      encoding: 'utf8',
    })
      .trim()
      .split('\n')
      .map(Number);
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
