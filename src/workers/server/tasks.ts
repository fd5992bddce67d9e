import type { Thresholds } from '@/core/verdict/engine/check';
import { type GarageCar, garageCarOrAilment } from '@/core/advice/garage';
import { refusal } from '@/core/base/errors';
import type { WholeBuild } from '@/core/car/records/records';
import { parseArchivedBuild, parseBuildFile } from '@/core/car/file/buildFile.schema';
import type { BuildFile } from '@/core/car/file/buildFile';
import type { FemInput } from '@/core/physics/fem/definition';
import { solidOf } from '@/core/physics/solid/measure';
import { readMesh } from '@/core/physics/meshFiles/readMesh';
import { readTrack } from '@/core/physics/timing/track/readTrack';
import { withoutEnds } from '@/core/physics/timing/track/withoutEnds';
import { writeGpx } from '@/core/physics/timing/track/writeGpx';
import { operations } from '@/core/operations';
import { parse } from '@/core/base/schema/parse';
import { inWords } from '@/words/output';
import { reportOf, reportOnPaper } from './report';

declare module '@/core/base/errors' {
  interface RefusalFacts {
    'request.figure': { key: string };
    'request.voxels': { count: number; mostVoxels: number };
    'request.combinations': { combinations: number; mostCombinations: number };
  }
}

/** What one request may ask of the server; `calc` and the page take more. */
const MOST_COMBINATIONS = 8000;
const MOST_VOXELS = 20_000;

/** Work that a request asks for and that is done beside the server's own thread. */
export const TASKS = {
  /** An operation over its unchecked input, as JSON text. */
  operation: ({ name, input }: { name: string; input: unknown }): string => {
    const operation = operations[name]!;
    const checked = parse(operation.schema, input);
    if (name === 'drive.sweep') refuseLongSweeps(checked as SweepAsked);
    if (name === 'mesh.fem') refuseFineGrids(checked as FemInput);
    return finiteJson(inWords(operation.run(checked as never)));
  },
  buildFile: ({ text }: { text: string }): BuildFile => parseBuildFile(text),
  /** What the garage says of a build. */
  garageCar: ({ whole, thresholds }: { whole: WholeBuild; thresholds: Thresholds }): GarageCar =>
    garageCarOrAilment(whole, thresholds),
  report: reportOf,
  reportOnPaper,
  /** A track's text as others may see it; none where nothing is left of it. */
  trackToShow: ({ text }: { text: string }): string | undefined => {
    const left = withoutEnds(readTrack(text));
    return left.length === 0 ? undefined : writeGpx('track', left);
  },
  archivedBuild: ({ text }: { text: string }): BuildFile => parseArchivedBuild(text),
};

export type Tasks = typeof TASKS;
export type TaskName = keyof Tasks;

/** JSON has no word for a number that is none: it is a refusal, never null. */
function finiteJson(result: object): string {
  return JSON.stringify(result, (key, value: unknown) => {
    if (typeof value === 'number' && !Number.isFinite(value)) throw refusal('', 'request.figure', { key });
    return value;
  });
}

/** A grid that keeps a thread busy for seconds belongs into the page's worker or `calc`. */
function refuseFineGrids({ mesh, voxelMm, targetVoxels }: FemInput): void {
  const count = targetVoxels ?? Math.round(solidOf(readMesh(mesh)).volume / voxelMm! ** 3);
  if (count > MOST_VOXELS)
    throw refusal(voxelMm === undefined ? 'targetVoxels' : 'voxelMm', 'request.voxels', {
      count,
      mostVoxels: MOST_VOXELS,
    });
}

interface SweepAsked {
  motors: readonly unknown[];
  batteries: readonly unknown[];
  ratios: readonly number[] | { from: number; to: number; step: number };
}

function refuseLongSweeps({ motors, batteries, ratios }: SweepAsked): void {
  const count =
    'from' in ratios ? Math.max(0, Math.ceil((ratios.to - ratios.from) / ratios.step)) + 1 : ratios.length;
  const combinations = motors.length * batteries.length * count;
  if (combinations > MOST_COMBINATIONS)
    throw refusal('motors', 'request.combinations', { combinations, mostCombinations: MOST_COMBINATIONS });
}
