import { applyPatch } from '@/core/build/patch';
import { evaluateBuild, statesOn } from '@/core/checks/evaluate';
import { driveRun } from '@/core/drive/run';
import { runInputOf } from '@/core/drive/runOfBuild';
import { marshHareA, marshHareB } from '@/db/seed/marshHare';
import { bareRun } from './floor';

const ROUNDS = 31;
const ROUND_MS = 30;

function oneRound(run: () => void): number {
  let calls = 0;
  const start = performance.now();
  while (performance.now() - start < ROUND_MS) {
    run();
    calls++;
  }
  return (performance.now() - start) / 1000 / calls;
}

const median = (values: number[]) => [...values].sort((a, b) => a - b)[values.length >> 1]!;

/** Median seconds of a call of each; the rounds take turns, so that a busy machine slows all alike. */
function secondsOf(runs: readonly (() => void)[]): number[] {
  const times = runs.map((): number[] => []);
  for (let round = 0; round < ROUNDS + 10; round++) {
    runs.forEach((run, index) => {
      const seconds = oneRound(run);
      if (round >= 10) times[index]!.push(seconds);
    });
  }
  return times.map(median);
}

const car = applyPatch(marshHareA, marshHareB);
const surface = car.brief.surfaces[0]!;
const assembled = runInputOf(car, surface);
if (!assembled.ok) throw new Error('the demo car is not ready');
const input = assembled.value;
const result = driveRun(input);
const STEP_S = 0.01;

const bare = bareRun(input, input.distanceM!, STEP_S);
if (Math.abs(bare.arrival / result.timeToDistanceS! - 1) > 1e-3 || Math.abs(bare.top / result.topSpeedMps! - 1) > 1e-9) throw new Error('the floor computes another run');

const [full, floor, states, everything] = secondsOf([
  () => driveRun(input),
  () => bareRun(input, input.distanceM!, STEP_S),
  () => statesOn(car, surface),
  () => evaluateBuild(car),
]) as [number, number, number, number];

const line = (name: string, value: string) => console.log(`${name.padEnd(52)} ${value}`);
line('drive.run', `${Math.round(1 / full).toLocaleString('en')} runs a second, ${(full * 1000).toFixed(3)} ms each`);
line('the bare loop', `${Math.round(1 / floor).toLocaleString('en')} runs a second`);
line('ratio of drive.run to the bare loop (aim under 1.5)', (full / floor).toFixed(2));
line('states of all checks on one surface (aim under 10 ms)', `${(states * 1000).toFixed(2)} ms, ${Math.round(11 / states).toLocaleString('en')} checks a second`);
line('all checks, surfaces and remedies (in the worker)', `${(everything * 1000).toFixed(1)} ms`);
