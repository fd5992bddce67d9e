import type { BuildDocument } from '../../car/document/document';
import { massWithPayloadKg } from '../motion/runOfBuild';
import { type Assembled, missingOf } from '../../base/assembled';
import { type BalanceResult, chassisBalance, type Triple } from '../../physics/balance/balance';
import { bodiesOf, type PlacedBody, raked } from './bodiesOfBuild';

export interface WeightOfBuild {
  /** From the components, as they stand with the rake; left out while the figures are those of the scale. */
  balance?: BalanceResult;
  bodies: readonly PlacedBody[];
  massG: number;
  cgMm: Triple;
  leftLoadShare: number;
}

/** Where the weight of a build sits: from its components once one of them was placed, else from the figures of the scale. */
export function weightOf(document: BuildDocument): Assembled<WeightOfBuild> {
  const { chassis } = document;
  const { wheelbaseMm, trackFrontMm, trackRearMm, cgHeightMm, frontLoadShare, rakeDeg = 0 } = chassis;
  const massKg = massWithPayloadKg(document);
  const missing = missingOf({
    'chassis.wheelbaseMm': wheelbaseMm,
    'chassis.trackFrontMm': trackFrontMm,
    'chassis.trackRearMm': trackRearMm,
    'chassis.massG': massKg,
  });
  if (missing.length > 0) return { ok: false, missing };
  const bodies = bodiesOf(document);
  if ((chassis.bodies ?? []).length > 0) {
    const balance = chassisBalance({
      wheelbaseMm: wheelbaseMm!,
      trackFrontMm: trackFrontMm!,
      trackRearMm: trackRearMm!,
      components: bodies.map((body) => standing(body, wheelbaseMm!, rakeDeg)),
    });
    return {
      ok: true,
      value: {
        balance,
        bodies,
        massG: balance.massG,
        cgMm: balance.cgMm,
        leftLoadShare: balance.leftLoadShare,
      },
    };
  }
  const open = missingOf({
    'chassis.cgHeightMm': cgHeightMm,
    'chassis.frontLoadShare': frontLoadShare,
  });
  if (open.length > 0) return { ok: false, missing: open };
  return {
    ok: true,
    value: {
      bodies,
      massG: massKg! * 1000,
      cgMm: raked([(frontLoadShare! - 1) * wheelbaseMm!, 0, cgHeightMm!], wheelbaseMm!, rakeDeg),
      leftLoadShare: 0.5,
    },
  };
}

/** What moves with the wheels stays where it is. */
function standing(body: PlacedBody, wheelbaseMm: number, rakeDeg: number): PlacedBody {
  if (!body.sprung || rakeDeg === 0) return body;
  const [xMm, yMm, zMm] = raked([body.xMm, body.yMm, body.zMm], wheelbaseMm, rakeDeg);
  return { ...body, xMm, yMm, zMm };
}
