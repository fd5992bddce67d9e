import type { BuildDocument } from '../build/document';
import { type Assembled, massWithPayloadKg, missingOf } from '../drive/runOfBuild';
import { type BalanceResult, chassisBalance, type Triple } from './balance';
import { bodiesOf, type PlacedBody } from './bodiesOfBuild';

export interface WeightOfBuild {
  /** From the components; left out while the figures are those of the scale. */
  balance?: BalanceResult;
  bodies: readonly PlacedBody[];
  massG: number;
  cgMm: Triple;
  leftLoadShare: number;
}

/** Where the weight of a build sits: from its components once one of them was placed, else from the figures of the scale. */
export function weightOf(document: BuildDocument): Assembled<WeightOfBuild> {
  const { chassis } = document;
  const { wheelbaseMm, trackFrontMm, trackRearMm, cgHeightMm, frontLoadShare } = chassis;
  const massKg = massWithPayloadKg(document);
  const missing = missingOf({ wheelbase: wheelbaseMm, 'front track': trackFrontMm, 'rear track': trackRearMm, 'mass ready to run': massKg });
  if (missing.length > 0) return { ok: false, missing };
  const bodies = bodiesOf(document);
  if ((chassis.bodies ?? []).length > 0) {
    const balance = chassisBalance({ wheelbaseMm: wheelbaseMm!, trackFrontMm: trackFrontMm!, trackRearMm: trackRearMm!, components: bodies });
    return { ok: true, value: { balance, bodies, massG: balance.massG, cgMm: balance.cgMm, leftLoadShare: balance.leftLoadShare } };
  }
  const open = missingOf({ 'height of the centre of gravity': cgHeightMm, 'weight on the front axle': frontLoadShare });
  if (open.length > 0) return { ok: false, missing: open };
  return { ok: true, value: { bodies, massG: massKg! * 1000, cgMm: [(frontLoadShare! - 1) * wheelbaseMm!, 0, cgHeightMm!], leftLoadShare: 0.5 } };
}
