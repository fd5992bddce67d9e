import { applyPatch } from '@/core/build/patch';
import { evaluateBuild, statesOn } from '@/core/checks/evaluate';
import { driveRun } from '@/core/drive/run';
import { runInputOf } from '@/core/drive/runOfBuild';
import { marshHareA, marshHareB } from '@/db/seed/marshHare';
import { bareRun } from './floor';

/** Median seconds of one call, over rounds of equal length. */
function secondsOf(run: () => void, rounds = 15, roundMs = 60): number {
  const warm = performance.now();
  while (performance.now() - warm < 200) run();
  const times: number[] = [];
  for (let round = 0; round < rounds; round++) {
    let calls = 0;
    const start = performance.now();
    while (performance.now() - start < roundMs) {
      run();
      calls++;
    }
    times.push((performance.now() - start) / 1000 / calls);
  }
  return times.sort((a, b) => a - b)[rounds >> 1]!;
}

const car = applyPatch(marshHareA, marshHareB);
const surface = car.brief.surfaces[0]!;
const assembled = runInputOf(car, surface);
if (!assembled.ok) throw new Error('the demo car is not ready');
const input = assembled.value;
const result = driveRun(input);
const top = result.topSpeedMps!;
const STEP_S = 0.01;

const bare = bareRun(input, top, input.distanceM!, STEP_S);
if (Math.abs(bare.arrival / result.timeToDistanceS! - 1) > 1e-3) throw new Error('the floor computes another run');

const full = secondsOf(() => driveRun(input));
const floor = secondsOf(() => bareRun(input, top, input.distanceM!, STEP_S));
const states = secondsOf(() => statesOn(car, surface));
const everything = secondsOf(() => evaluateBuild(car));

const line = (name: string, value: string) => console.log(`${name.padEnd(52)} ${value}`);
line('drive.run', `${Math.round(1 / full).toLocaleString('en')} runs a second, ${(full * 1000).toFixed(3)} ms each`);
line('the bare loop', `${Math.round(1 / floor).toLocaleString('en')} runs a second`);
line('ratio of drive.run to the bare loop (aim under 1.5)', (full / floor).toFixed(2));
line('states of all checks on one surface (aim under 10 ms)', `${(states * 1000).toFixed(2)} ms, ${Math.round(11 / states).toLocaleString('en')} checks a second`);
line('all checks, surfaces and remedies (in the worker)', `${(everything * 1000).toFixed(1)} ms`);
