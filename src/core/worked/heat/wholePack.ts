import { simulateEndurance } from '../../physics/heat/endurance';
import type { EnduranceResult } from '../../physics/heat/enduranceDefinition';
import { keepLast } from '../../base/kept';
import type { PackOfBuild } from './enduranceOfBuild';

/** A pack driven empty, as it ends and as if nothing could get too hot. */
export interface WholePack {
  readonly input: PackOfBuild;
  readonly ended: EnduranceResult;
  readonly unlimited: EnduranceResult;
}

/** Drives a pack of a build, with its steps scaled. */
export function drivePack(
  { leastCharge, hottest: _, ...input }: PackOfBuild,
  stepScale = 1,
): EnduranceResult {
  return simulateEndurance(input, stepScale, { leastCharge, jumps: true });
}

/** No winding and no case outlives this, °C; a rise that ends here is far over every limit. */
const PAST_ALL_C = 400;
const keep = keepLast<WholePack>(60);

/** Both ways of driving a pack, kept for the checks and remedies that ask for the same again. */
export const wholePack = (input: PackOfBuild): WholePack => keep(JSON.stringify(input), () => driven(input));

function driven(input: PackOfBuild): WholePack {
  const { windingLimitC = PAST_ALL_C, caseLimitC = Infinity, ...thermal } = input.thermal;
  const { controller } = input;
  const unlimited = drivePack({
    ...input,
    thermal: { ...thermal, windingLimitC: PAST_ALL_C },
    ...(controller ? { controller: { ...controller, limitC: Infinity } } : {}),
  });
  const cool =
    unlimited.peakWindingC < windingLimitC &&
    unlimited.peakCaseC < caseLimitC &&
    (unlimited.peakControllerC ?? -Infinity) < (controller?.limitC ?? Infinity);
  return { input, unlimited, ended: cool ? unlimited : drivePack(input) };
}
