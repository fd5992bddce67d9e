import { measure } from '@/core/base/measure';
import type { Unlike } from '@/core/advice/learn/groups';
import { unlikeWords } from './unlike';

test('what was not alike is said clause by clause, of the build the first three', () => {
  const exchange = (to: number): Unlike => ({
    of: 'build',
    exchange: { path: ['chassis', 'massG'], from: 1600, to },
  });
  const found: Unlike[] = [
    { of: 'surface', a: ['Asphalt', 'Gravel'], b: ['Grass'] },
    { of: 'ambientC', a: measure(8, 'temperatureC'), b: measure(25, 'temperatureC') },
    { of: 'runUpM', onOneSide: true },
    ...[1700, 1800, 1900, 2000].map(exchange),
  ];
  const said = unlikeWords(found, { locale: 'en-GB', units: 'metric' }).map((one) => one.replace(/\s/g, ' '));
  expect(said).toEqual([
    'surface: asphalt and gravel against grass',
    'air: 8 °C against 25 °C',
    'run-up: noted on one side only',
    ...[1700, 1800, 1900].map(
      (to) => `ready to run, without payload: 1,600 g against ${to.toLocaleString('en-GB')} g`,
    ),
    '1 more of the build',
  ]);
});
