import { car, surface } from '../../fixtures/car';
import { passage } from './passage';
import { driveRun } from './run';
import { runInputOf } from '../../worked/motion/runOfBuild';

const found = runInputOf(car, surface('asphalt'));
if (!found.ok) throw new Error('not ready');
const input = found.value;

it.each([
  [0.4, 3],
  [5, 25],
  [60, 80],
  [0, 20],
  [290, 300],
])('passes %d m and %d m when two whole runs do', (markM, distanceM) => {
  const one = passage({ ...input, distanceM }, markM)!;
  expect(one.endS).toBe(driveRun({ ...input, distanceM }).timeToDistanceS);
  expect(one.markS).toBeCloseTo(
    markM === 0 ? 0 : driveRun({ ...input, distanceM: markM }).timeToDistanceS!,
    6,
  );
  expect(one.topSpeedMps).toBe(driveRun(input).topSpeedMps);
});

it('has no times for a car that does not move', () =>
  expect(passage({ ...input, gradePct: 300 }, 1)).toBeUndefined());
