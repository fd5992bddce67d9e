import type { Assembled } from '../../base/assembled';
import type { BuildDocument } from '../../car/document/document';
import { axleRatio, drivenOf } from '../../car/document/drive';
import { tyreKeys, tyresApart } from '../../car/tyres/tyres';
import type { Axle } from '../../car/stages/stage';
import type { DriveRunInput } from '../../physics/motion/definition';
import { createPlant } from '../../physics/motion/plant';
import { driveRun } from '../../physics/motion/run';

import type { TyreMake } from '../../physics/tyres/tyreKinds';
import { ON_ROAD } from '../../physics/tyres/spinLimits';
import { tyreSpin, type TyreSpinResult } from '../../physics/tyres/tyreSpin';
import { makeAt } from '../tyres/tyreMake';

export const SPIN_USES = ['bench', 'road'] as const;
export type SpinUse = (typeof SPIN_USES)[number];

/** The tyres of one or both axles at the fastest that they turn, wheels in the air or on the road. */
export interface TyreTurns {
  axles: readonly Axle[];
  make: TyreMake;
  use: SpinUse;
  spin: TyreSpinResult;
  rpm: number;
  limitRpm: number;
  /** A speed held on the bench is over what is worked out. */
  proven: boolean;
  margin: number;
}

export interface TyresOfBuild {
  /** The least margin first. */
  turns: TyreTurns[];
  /** Top speed with tyres that stay as they are, and as they grow; left out where it has none. */
  top?: { stiffMps: number; grownMps: number };
}

/** How fast the tyres of a build turn, how they grow, and what they withstand; or what is missing. */
export function tyresOfBuild(document: BuildDocument, input: DriveRunInput): Assembled<TyresOfBuild> {
  const { drive } = document;
  const motorRpm = createPlant(input).appliedV * input.motor.kvRpmPerV;
  const { grown: _, ...stiff } = input.tyre;
  const grownMps = driveRun(input).topSpeedMps;
  const stiffMps = driveRun({ ...input, tyre: stiff }).topSpeedMps;
  const missing: string[] = [];
  const turns = tyresApart(drive).flatMap((axles): TyreTurns[] => {
    const made = makeAt(drive, axles[0]!);
    if (!made.ok) {
      missing.push(...made.missing);
      return [];
    }
    const provenRpm = drive[tyreKeys(drive, axles[0]!).hold]?.provenRpm;
    const driven = axles.filter((axle) => drivenOf(drive).includes(axle));
    const ratios = driven.map((axle) => axleRatio(drive, axle) ?? input.drive.ratio);
    return [
      ...(driven.length > 0
        ? [turned(made.value, axles, 'bench', { rpm: motorRpm / Math.min(...ratios) }, provenRpm)]
        : []),
      ...(grownMps ? [turned(made.value, axles, 'road', { speedMps: grownMps }, provenRpm)] : []),
    ];
  });
  if (missing.length > 0) return { ok: false, missing };
  return {
    ok: true,
    value: {
      turns: turns.sort((one, other) => one.margin - other.margin),
      ...(stiffMps && grownMps ? { top: { stiffMps, grownMps } } : {}),
    },
  };
}

function turned(
  make: TyreMake,
  axles: readonly Axle[],
  use: SpinUse,
  at: { rpm: number } | { speedMps: number },
  provenRpm: number | undefined,
): TyreTurns {
  const spin = tyreSpin({ ...make, use, ...at });
  // strengths go with the square of the speed, and the road leaves a share of them
  const provenHere = (provenRpm ?? 0) * (use === 'road' ? Math.sqrt(ON_ROAD) : 1);
  const limitRpm = Math.max(spin.limitRpm, provenHere);
  const rpm = spin.rpm!;
  return {
    axles,
    make,
    use,
    spin,
    rpm,
    limitRpm,
    proven: provenHere > spin.limitRpm,
    margin: (limitRpm / rpm) ** 2,
  };
}
