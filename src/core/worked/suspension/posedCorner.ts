import { CalcError } from '../../base/errors';
import type { Motion } from '../../base/vec3';
import { bodiesOfCorner } from '../../physics/clearance/poses';
import { linkageOf } from '../../physics/corner/linkage';
import { reaching } from '../../physics/corner/readings';
import { arrivals } from '../../physics/corner/sweep';

/** How the bodies of a corner stand at a travel and a rack; none where it does not get there. */
export function posedCorner(
  corner: Parameters<typeof bodiesOfCorner>[0],
  travelMm: number,
  rackMm: number,
): ReadonlyMap<string, Motion> {
  try {
    const [arrived] = arrivals(reaching(linkageOf(corner)), [travelMm], [rackMm]);
    return arrived && 'pose' in arrived.from ? bodiesOfCorner(corner, arrived.from.pose) : new Map();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return new Map();
  }
}
