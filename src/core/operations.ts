import type { Schema } from 'joi';
import { briefDemand } from './brief/demand';
import { briefDemandSchema } from './brief/demand.schema';
import { driveRun } from './drive/run';
import { driveRunSchema } from './drive/run.schema';
import { runsSummary } from './field/runsSummary';
import { runsSummarySchema } from './field/runsSummary.schema';
import { timingLaunch } from './field/timingLaunch';
import { timingLaunchSchema } from './field/timingLaunch.schema';
import { timingSpeed } from './field/timingSpeed';
import { timingSpeedSchema } from './field/timingSpeed.schema';

/** One computation that can be run without a screen. */
export interface Operation {
  readonly schema: Schema;
  readonly run: (input: never) => object;
  readonly summary: string;
}

export const operations: Readonly<Record<string, Operation>> = {
  'brief.demand': { schema: briefDemandSchema, run: briefDemand, summary: 'what a wish asks for on each surface, before any motor is chosen' },
  'drive.run': { schema: driveRunSchema, run: driveRun, summary: 'one run on a straight from rest: top speed, times, currents, what limits it' },
  'runs.summary': { schema: runsSummarySchema, run: runsSummary, summary: 'mean, spread and 95 % interval of repeated measurements' },
  'timing.launch': { schema: timingLaunchSchema, run: timingLaunch, summary: 'mean acceleration of a standing start, its error and the grip it takes' },
  'timing.speed': { schema: timingSpeedSchema, run: timingSpeed, summary: 'speed over a measured distance by stop-watch, frames or slowed clip, with its error' },
};
