import { applyPatch } from '../../base/patch';
import { printCoverage } from '../../fixtures/coverage';
import { randomFrom } from '../../base/numeric/random';
import { hoursToBelieve, lifeEstimate } from '../../physics/statistics/life';
import { car } from '../../fixtures/car';
import { evaluateStates } from '../../verdict/evaluate';
import { FACES, FAMILIES } from '../../verdict/faces';
import { BLOWS_TO_BELIEVE, pooledSpread, proofOf, trialOf } from './trial';
import { short, timed } from '../../fixtures/shortCar';

describe('how many runs show it', () => {
  it('eleven blows: 0.8 to the 11th is 0.086, to the 10th 0.107', () => expect(BLOWS_TO_BELIEVE).toBe(11));

  it('of a standing start is the standing start, and no rule names a check that does not exist', () => {
    const checks = evaluateStates(
      applyPatch(car, [
        { path: ['parts', 'items', 'arm'], value: { id: 'arm', name: 'Arm', kind: 'arm' } },
        { path: ['suspension', 'aids'], value: { yaw: { gain: 0.05 } } },
      ]),
    );
    for (const id of ['drive.time', 'drive.moves'])
      expect(
        trialOf(
          checks.find((one) => one.id === id)!,
          {},
          [],
        ).run,
      ).toBe('launch');
    const time = checks.find(({ id }) => id === 'drive.time')!;
    expect(trialOf(time, { value: time.value! - 0.3 }, [])).toMatchObject({
      quantity: 'timeS',
      expected: { before: time.value!, after: time.value! - 0.3 },
    });
    for (const { id, provenBy } of FACES) expect(proofOf(id)).toBe(provenBy);
    expect(proofOf('parts.arm')).toBe(FAMILIES.find(({ family }) => family === 'parts')!.provenBy);
  });

  it('as many hours as the test of two rates needs: table values of F at 90 %, and the bound of a known mean', () => {
    // F(2, 2) = 9.00, F(2, 4) = 4.32, F(2, 20) = 2.59
    expect(hoursToBelieve(3)).toBeCloseTo(27, 6);
    expect(hoursToBelieve(6, 2) / 3).toBeCloseTo(4.32, 2);
    expect(hoursToBelieve(30, 10) / 3).toBeCloseTo(2.59, 2);
    const many = hoursToBelieve(3e6, 1e6);
    expect(lifeEstimate({ exposureHours: many, failures: 0 }).lowerHours).toBeCloseTo(3, 4);
  });

  it.each([1, 2, 4])(
    'believes a fix that changes nothing in one case of ten, after %s lives: seeded, within three standard errors',
    (lives) => {
      const random = randomFrom(3117);
      const life = () => -Math.log(1 - random());
      const tries = 20_000;
      let believed = 0;
      for (let k = 0; k < tries; k++) {
        const lived = Array.from({ length: lives }, life).reduce((a, b) => a + b);
        if (life() > hoursToBelieve(lived, lives)) believed++;
      }
      printCoverage(`a fix that changes nothing, after ${lives} lives: believed in ${believed / tries}`);
      expect(Math.abs(believed / tries - 0.1)).toBeLessThan(3 * Math.sqrt((0.1 * 0.9) / tries));
    },
  );

  it('pools the spread of attempts within runs, by hand', () => {
    // 10, 5 m/s and 4, 2 m/s: sample variances 12.5 and 2, a degree of freedom each; the gap between the runs does not count
    expect(pooledSpread([timed('a', [1, 2]), timed('b', [2.5, 5]), timed('c', [1])])).toBeCloseTo(
      Math.sqrt(7.25),
      12,
    );
    expect(pooledSpread([timed('c', [1])])).toBeUndefined();
  });

  it('asks for more runs the smaller the difference, by the square', () => {
    const speed = evaluateStates(short).find(({ id }) => id === 'drive.speed')!;
    const runs = [timed('a', [1, 1.1, 0.9, 1.05, 0.95])];
    const [small, large] = [0.2, 0.4].map(
      (more) => trialOf(speed, { value: speed.value! + more }, runs).runs!,
    ) as [number, number];
    expect(small / large).toBeGreaterThan(3.5);
    expect(small / large).toBeLessThan(4.1);
  });
});
