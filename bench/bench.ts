import { applyPatch } from '@/core/base/patch';
import { evaluateBuild } from '@/core/verdict/evaluate';
import { statesOn } from '@/core/verdict/states';
import { driveEndurance } from '@/core/physics/heat/endurance';
import type { EnduranceInput } from '@/core/physics/heat/enduranceDefinition';
import { packOfBuild } from '@/core/worked/heat/enduranceOfBuild';
import { driveRun } from '@/core/physics/motion/run';
import { runInputOf } from '@/core/worked/motion/runOfBuild';
import { planSweep, type SweepBattery, type SweepMotor } from '@/core/physics/search/sweep';
import { itemsOf } from '@/core/car/library/items';
import { STARTING_LIBRARY } from '@/core/car/library/starting';
import { marshHareA, marshHareB } from '@/db/seed/marshHare';
import { suspensionSweep, type SweepInput } from '@/core/physics/corner/sweep';
import { tractionAssist } from '@/core/physics/aids/tractionAssist';
import { tractionInputOf } from '@/core/worked/aids/slipOfBuild';
import { yawAssist } from '@/core/physics/aids/yawAssist';
import { yawInputOf } from '@/core/worked/aids/yawOfBuild';
import { measureMesh } from '@/core/physics/solid/measure';
import { readStl } from '@/core/physics/meshFiles/readStl';
import { sectionsOf } from '@/core/physics/solid/sections';
import { meshOf, torusCorners } from '@/core/physics/solid/shapes';
import { writeStl } from '@/core/physics/meshFiles/writeStl';
import type { WishboneCorner } from '@/core/physics/corner/corner';
import { searchBetter } from '@/core/worked/suspension/better';
import { steeringGeometry } from '@/core/physics/corner/steering';
import { bareRun } from './floor';
import { benchDriving } from './driving';
import { benchField } from './field';
import { benchLearn } from './learn';
import { benchMaking } from './making';
import { benchSolid } from './solid';
import { libraryCorner } from './librarySolver';

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
if (
  Math.abs(bare.arrival / result.timeToDistanceS! - 1) > 1e-3 ||
  Math.abs(bare.top / result.topSpeedMps! - 1) > 1e-9
)
  throw new Error('the floor computes another run');

/** Another car at every turn, so that nothing is remembered. */
let turn = 0;

const HALF_HOUR_MAH = 1500;
const endurance = packOfBuild(car, surface);
if (!endurance.ok) throw new Error('the demo car has no pack to empty');
const pack: EnduranceInput = {
  ...endurance.value,
  battery: { ...endurance.value.battery, capacityMah: HALF_HOUR_MAH },
  cycle: { cruiseMps: 5, cruiseS: 5, restS: 4 },
};
const minutes = driveEndurance(pack).durationS / 60;

const figuresOf = <T extends { data: object }>(items: readonly T[], keys: readonly string[]) =>
  items.map(({ data }, index) => ({
    id: String(index),
    ...Object.fromEntries(keys.map((key) => [key, (data as Record<string, unknown>)[key]])),
  }));
const motors = figuresOf(itemsOf(STARTING_LIBRARY, 'motor').slice(6, 12), [
  'kvRpmPerV',
  'resistanceMilliOhm',
  'noLoadCurrentA',
  'rotorInertiaKgM2',
]) as SweepMotor[];
const batteries = figuresOf(itemsOf(STARTING_LIBRARY, 'battery').slice(4, 8), [
  'cells',
  'parallel',
  'cellResistanceMilliOhm',
  'capacityMah',
  'maxDischargeC',
]) as SweepBattery[];
const sweep = planSweep({
  base: input,
  motors,
  batteries,
  ratios: { from: 6, to: 15, step: 1 },
  thermal: pack.thermal,
  cycle: endurance.value.cycle,
});
const singles = motors.flatMap(({ id: _, ...motor }) =>
  batteries.flatMap(({ id: __, ...battery }) =>
    Array.from({ length: 10 }, (___, k) => ({
      ...input,
      motor,
      battery,
      drive: { ...input.drive, ratio: 6 + k },
    })),
  ),
);
if (
  singles.length !== sweep.count ||
  singles.some((one, index) => driveRun(one).topSpeedMps !== sweep.row(index).topSpeedMps)
)
  throw new Error('the sweep computes other runs');

const CORNER_STATIONS = 61;
const cornerSweep: SweepInput = {
  kind: 'wishbones',
  lowerFront: [30, 28, 24],
  lowerRear: [-28, 31, 22],
  lowerOuter: [3, 92, 21],
  upperFront: [18, 42, 60],
  upperRear: [-26, 44, 57],
  upperOuter: [-4, 85, 66],
  tieInner: [-30, 34, 33],
  tieOuter: [-26, 88, 36],
  wheelCentre: [0, 106, 41.99],
  tyreRadiusMm: 42,
  staticCamberDeg: -1,
  staticToeDeg: 0.5,
  travelMm: { from: -15, to: 15, step: 0.5 },
};

const { travelMm: _travel, ...cornerAlone } = cornerSweep as WishboneCorner & { travelMm: unknown };
const library = libraryCorner(cornerAlone);
const [NEIGHBOUR_MM, LIBRARY_STEP_MM, LIBRARY_STATIONS] = [0.05, 0.5, 31];
/** Outward from rest, each station with its two neighbours. */
function librarySweep(): number[][] {
  let from: readonly number[] = library.rest;
  return Array.from({ length: LIBRARY_STATIONS }, (_, index) => {
    const at = library.place(index * LIBRARY_STEP_MM, from);
    library.place(index * LIBRARY_STEP_MM + NEIGHBOUR_MM, at);
    library.place(index * LIBRARY_STEP_MM - NEIGHBOUR_MM, at);
    from = at;
    return at;
  });
}
const swept = suspensionSweep({
  ...cornerSweep,
  travelMm: { from: 0, to: 15, step: LIBRARY_STEP_MM },
}).stations;
const AGREE_MM = 1e-4;
librarySweep().forEach((at, index) => {
  const { lowerOuter, upperOuter, tieOuter } = swept[index]!.points;
  if (
    [...lowerOuter!, ...upperOuter!, ...tieOuter!].some(
      (value, axis) => Math.abs(value - at[axis]!) > AGREE_MM,
    )
  )
    throw new Error(`the library's solver stands elsewhere at ${index * LIBRARY_STEP_MM} mm`);
});
const racks = Array.from({ length: 21 }, (_, index) => index / 2 - 5);

const [full, floor, states, everything, rows, calls, whole, corner, byLibrary, slider] = secondsOf([
  () => driveRun(input),
  () => bareRun(input, input.distanceM!, STEP_S),
  () => statesOn(car, surface),
  () => evaluateBuild(applyPatch(car, [{ path: ['chassis', 'massG'], value: 1600 + 1e-6 * turn++ }])),
  () => {
    for (let index = 0; index < sweep.count; index++) sweep.row(index);
  },
  () => singles.forEach(driveRun),
  () => driveEndurance(pack),
  () => suspensionSweep(cornerSweep),
  librarySweep,
  () => {
    suspensionSweep(cornerSweep);
    steeringGeometry({ corner: cornerAlone, wheelbaseMm: 285, rackMm: racks });
  },
]) as [number, number, number, number, number, number, number, number, number, number];

const searchStart = performance.now();
const search = searchBetter({
  corner: cornerAlone,
  wheelbaseMm: 285,
  bumpMm: 15,
  droopMm: 10,
  free: [
    { point: 'tieInner', axis: 1, plusMinusMm: 6 },
    { point: 'tieInner', axis: 2, plusMinusMm: 6 },
    { point: 'upperOuter', axis: 2, plusMinusMm: 4 },
  ],
  wants: { bumpSteerDegPerMm: 0, camberGainDegPerMm: -0.1 },
});
while (!search.next().done);
const searched = performance.now() - searchStart;

const line = (name: string, value: string) => console.log(`${name.padEnd(52)} ${value}`);
line(
  'drive.run',
  `${Math.round(1 / full).toLocaleString('en')} runs a second, ${(full * 1000).toFixed(3)} ms each`,
);
line('the bare loop', `${Math.round(1 / floor).toLocaleString('en')} runs a second`);
line('ratio of drive.run to the bare loop (aim under 1.5)', (full / floor).toFixed(2));
line(
  'states of all checks on one surface (aim under 8 ms)',
  `${(states * 1000).toFixed(2)} ms, ${Math.round(statesOn(car, surface).length / states).toLocaleString('en')} checks a second`,
);
line('all checks, surfaces and remedies (in the worker)', `${(everything * 1000).toFixed(1)} ms`);
line(
  'suspension.sweep, a station with its neighbours (aim under 50 µs)',
  `${((corner * 1e6) / CORNER_STATIONS).toFixed(0)} µs`,
);
line(
  'stations of suspension.sweep a second, with their neighbours',
  Math.round(CORNER_STATIONS / corner).toLocaleString('en'),
);
line(
  'ratio to the same linkage by a general-purpose solver',
  `${(LIBRARY_STATIONS / byLibrary / (CORNER_STATIONS / corner)).toFixed(4)}, ${Math.round(LIBRARY_STATIONS / byLibrary).toLocaleString('en')} stations a second`,
);
line('61 travel and 21 rack stations (aim under 6 ms)', `${(slider * 1000).toFixed(2)} ms`);
line('10,000 corners of 11 stations searched (aim under 10 s)', `${(searched / 1000).toFixed(2)} s`);
const kicked = yawInputOf(
  car,
  surface,
  { gain: 0.05 },
  { speedMps: 8, scenario: { kind: 'kick', yawRateDegPerS: 90 } },
);
const slipping = tractionInputOf(
  applyPatch(car, [{ path: ['drive', 'drivenAxles'], value: 'rear' }]),
  surface,
  {},
  { distanceM: 15 },
);
if (!kicked.ok || !slipping.ok) throw new Error('the aids have no car');
const once = (work: () => void) => {
  work();
  const start = performance.now();
  work();
  return performance.now() - start;
};
const yawMs =
  once(() => {
    for (let times = 0; times < 20; times++) yawAssist(kicked.value);
  }) / 20;
const gainsMs = once(() =>
  yawAssist({ ...kicked.value, gains: Array.from({ length: 40 }, (_, k) => k / 100) }),
);
const slipMs = once(() =>
  tractionAssist({ ...slipping.value, targets: Array.from({ length: 200 }, (_, k) => k / 5) }),
);
line('yaw.assist over 2 s (aim under 5 ms)', `${yawMs.toFixed(2)} ms`);
line('yaw.assist over 40 gains (aim under 200 ms)', `${gainsMs.toFixed(0)} ms`);
line('200 runs of traction.assist (aim under 3 s)', `${(slipMs / 1000).toFixed(2)} s`);
const ring = writeStl(meshOf(torusCorners(40, 10, 500, 200)));
let mesh = readStl(ring, 'mesh');
const readMs = once(() => {
  mesh = readStl(ring, 'mesh');
  measureMesh(mesh, {});
});
const cutMs = once(() =>
  sectionsOf(mesh, {
    axis: 'x',
    load: { forceN: [0, 0, -5], atMm: [50, 0, 0] },
    material: { modulusMpa: 2000, inPlaneStrengthMpa: 50, interlayerStrengthMpa: 25, interlayerShearMpa: 15 },
  }),
);
line('200,000 triangles read and measured (aim under 1 s)', `${(readMs / 1000).toFixed(2)} s`);
line('200,000 triangles cut at 50 stations (aim under 300 ms)', `${cutMs.toFixed(0)} ms`);
line('drive.sweep, rows a second on one core', Math.round(sweep.count / rows).toLocaleString('en'));
line('ratio of a sweep row to one call of drive.run', (rows / calls).toFixed(2));
line(
  `drive.endurance of a pack of ${minutes.toFixed(0)} minutes, stop and go (aim under 50 ms)`,
  `${(whole * 1000).toFixed(1)} ms`,
);

benchDriving(car, floor * 1000);
benchSolid();
await benchMaking();
benchField(car);
benchLearn(marshHareA, car);
