import type { BuildDocument } from '@/core/car/document/document';
import type { HeatReading } from '@/core/car/document/heat';
import { packOfBuild } from '@/core/worked/heat/enduranceOfBuild';
import { drivePack } from '@/core/worked/heat/wholePack';
import { driveRun } from '@/core/physics/motion/run';
import { runInputOf } from '@/core/worked/motion/runOfBuild';
import { predictRun } from '@/core/worked/field/predictRun';
import type { RunSheet, TimedConditions, TimedRun } from '@/core/car/records/records';
import { interpolate } from '@/core/base/numeric/interpolate';
import type { MARSH_HARE_RUNS } from './marshHareRuns';
import { normalFrom } from '@/core/base/numeric/random';

/** Spread of one attempt's time, share. */
const TIME_SPREAD = 0.02;
const ATTEMPTS = 3;
const CAPTURE_FPS = 240;

/** The car as it truly is, a few per cent off what its builder assumes, so that calibration has something to find. */
export function trueCar(document: BuildDocument): BuildDocument {
  const { brief, drive } = document;
  return {
    ...document,
    brief: {
      ...brief,
      surfaces: brief.surfaces.map((surface) => ({
        ...surface,
        mu: surface.mu * 0.95,
        rollingResistance: surface.rollingResistance * 1.08,
      })),
    },
    drive: {
      ...drive,
      motor: {
        ...drive.motor!,
        kvRpmPerV: drive.motor!.kvRpmPerV * 0.98,
        resistanceMilliOhm: drive.motor!.resistanceMilliOhm * 1.06,
      },
    },
  };
}

/** What the true car reaches on its first surface, m/s. */
export function trueTopSpeed(document: BuildDocument): number {
  const car = trueCar(document);
  const input = runInputOf(car, car.brief.surfaces[0]!);
  if (!input.ok) throw new Error(`the demo car cannot be driven: ${input.missing.join(', ')}`);
  return driveRun(input.value).topSpeedMps!;
}

/** A run sheet whose times are what the true car would do, with a seeded error. */
export function measuredRun(
  run: (typeof MARSH_HARE_RUNS)[number],
  document: BuildDocument,
  seed: number,
): TimedRun<RunSheet> {
  const { letter: _, id, kind, ranAt, ambientC, packVBefore, packVAfter, drivenMinutes, ...more } = run;
  const surface = document.brief.surfaces[0]!;
  const conditions: TimedConditions = {
    surfaceId: surface.id,
    surfaceName: surface.name,
    distanceM: 20,
    distanceErrorM: 0.02,
    ...(kind === 'timedDistance' ? { runUpM: 25 } : {}),
    ambientC,
    packVBefore,
    packVAfter,
    extraMassG: 0,
  };
  const truth = predictRun(trueCar(document), kind, conditions);
  if (!truth.ok) throw new Error(`the demo run ${id} cannot be driven: ${truth.missing.join(', ')}`);
  const normal = normalFrom(seed);
  const attempts = Array.from({ length: ATTEMPTS }, (_unused, index) => ({
    id: `${id}-${index + 1}`,
    frames: Math.round(truth.value.timeS * (1 + TIME_SPREAD * normal()) * CAPTURE_FPS),
    captureFps: CAPTURE_FPS,
  }));
  return { id, kind, ranAt, attempts, conditions, drivenMinutes, ...more, document };
}

/** How much worse the shell of the true car lets the motor's heat out than the first guess, and a probe's error, K. */
const TRUE_COOLING = 1.2;
const PROBE_ERROR_K = 3;

/** Case temperatures as the true car would have them, read with a seeded error. */
export function measuredReadings(
  document: BuildDocument,
  atMinutes: readonly number[],
  seed: number,
): HeatReading[] {
  const car = trueCar(document);
  const input = packOfBuild(car, car.brief.surfaces[0]!);
  if (!input.ok) throw new Error(`the demo car has no heat: ${input.missing.join(', ')}`);
  const { thermal } = input.value;
  const { series } = drivePack({
    ...input.value,
    thermal: {
      ...thermal,
      caseLimitC: undefined,
      windingLimitC: 400,
      caseToAmbientKPerW: TRUE_COOLING * thermal.caseToAmbientKPerW,
    },
  });
  const normal = normalFrom(seed);
  const points = series.tS.map((t, index) => [t / 60, series.caseC[index]!] as const);
  return atMinutes.map((minutes) => ({
    id: `after-${minutes}`,
    minutes,
    caseC: Math.round(interpolate(points, minutes) + PROBE_ERROR_K * normal()),
  }));
}
