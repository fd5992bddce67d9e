import type { BuildDocument } from '../../car/document/document';
import type { TyreHold } from '../../car/document/drive';
import { tyreSeat, type TyreSeatResult } from '../../physics/tyres/tyreSeat';
import { tyreSpin, type TyreSpinResult } from '../../physics/tyres/tyreSpin';
import { rpmOf } from '../../base/units/convert';
import type { DriveRunInput } from '../../physics/motion/definition';
import { driveRun } from '../../physics/motion/run';

/** To start with, by judgement: the tyre's share of a wheel's mass, a bead that grips, a good line of instant glue. */
export const USUAL_TYRE_SHARE = 0.6;
export const USUAL_BEAD_STRETCH = 0.04;
export const USUAL_PEEL_N_PER_MM = 3;

export interface TyreOfBuild {
  /** Wheels in the air: the motor all but idles. */
  inAir: TyreSpinResult;
  /** Rolling at the top speed with the grown radius; left out where it never moves. */
  rolling?: { spin: TyreSpinResult; stiffMps: number; grownMps: number };
  seat?: TyreSeatResult & { by: 'bead' | 'glue' };
}

/** How the tyre of a build grows, how fast it lets the car go, and what keeps it on; undefined while its build is not said. */
export function tyreOfBuild(
  { drive }: Pick<BuildDocument, 'drive'>,
  input: DriveRunInput,
  noLoadMps: number,
): TyreOfBuild | undefined {
  const { tyre, tyreHold } = drive;
  if (!tyre?.ring) return undefined;
  const ring = { kind: tyre.ring, radiusMm: tyre.radiusMm };
  const rpm = rpmOf(noLoadMps, tyre.radiusMm / 1000);
  const inAir = tyreSpin({ ...ring, rpm });
  const seat = seatOf(tyre.ring, tyre, tyreHold, rpm);
  const rolling = rollingOf(ring, input);
  return { inAir, ...(rolling ? { rolling } : {}), ...(seat ? { seat } : {}) };
}

const PASSES = 4;

/** Top speed with the radius that the tyre has at it, by repetition. */
function rollingOf(ring: Parameters<typeof tyreSpin>[0], input: DriveRunInput): TyreOfBuild['rolling'] {
  const stiffMps = driveRun(input).topSpeedMps;
  if (!stiffMps) return undefined;
  let grownMps = stiffMps;
  let spin = tyreSpin({ ...ring, speedMps: grownMps });
  for (let pass = 0; pass < PASSES && spin.radiusMm !== undefined; pass++) {
    grownMps =
      driveRun({ ...input, tyre: { ...input.tyre, radiusMm: spin.radiusMm } }).topSpeedMps ?? grownMps;
    spin = tyreSpin({ ...ring, speedMps: grownMps });
  }
  return { spin, stiffMps, grownMps };
}

function seatOf(
  kind: NonNullable<NonNullable<BuildDocument['drive']['tyre']>['ring']>,
  tyre: { radiusMm: number; massG: number },
  hold: TyreHold | undefined,
  rpm: number,
): TyreOfBuild['seat'] {
  if (!hold?.by || hold.rimRadiusMm === undefined) return undefined;
  const common = { kind, radiusMm: tyre.radiusMm, rimRadiusMm: hold.rimRadiusMm, rpm };
  return hold.by === 'bead'
    ? { by: 'bead', ...tyreSeat({ ...common, by: 'bead', stretch: hold.beadStretch ?? USUAL_BEAD_STRETCH }) }
    : {
        by: 'glue',
        ...tyreSeat({
          ...common,
          by: 'glue',
          tyreMassG: USUAL_TYRE_SHARE * tyre.massG,
          peelNPerMm: hold.peelNPerMm ?? USUAL_PEEL_N_PER_MM,
        }),
      };
}
