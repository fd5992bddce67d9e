import { GRAVITY, RAD_PER_S_PER_RPM } from '../../base/constants';
import type { Assembled } from '../../base/assembled';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { motorsInAll } from '../../car/document/motors';
import { heldMotor } from '../../physics/heat/standstill';
import { driveRun, type DriveRunResult } from '../../physics/motion/run';
import { differentialsOf } from './differentialOfBuild';
import { thermalOf } from '../heat/thermalOfBuild';
import { runInputOf } from '../motion/runOfBuild';

/** A car turned on the spot by driving its sides against each other. */
export interface Pivot {
  /** What the tyres scrub with, all wheels together, N, and what the motors give at every speed of the treads. */
  scrubN: number;
  forces: Pick<DriveRunResult['forces'], 'speedMps' | 'driveN'>;
  /** Treads against the ground, as fast as the motors turn them; none where they do not overcome the scrubbing. */
  treadMps?: number;
  yawDegPerS?: number;
  /** Of one motor, A. */
  motorA: number;
  /** Into the tyres, W. */
  tyresW?: number;
  /** From the air's temperature until winding or case is at its limit, s; none where it may turn for ever. */
  hotAfterS?: number;
}

/** One metre a second of each tread, in which the differential's figures are told. */
const TOLD_MPS = 1;

/**
 * The motors' force over the treads' speed against the tyres' scrubbing, which does not depend on it; the current that the
 * scrubbing takes heats a winding as if it were held.
 *
 * @see Wong, Theory of Ground Vehicles, ch. 6 (skid steering)
 */
export function pivotOf(document: BuildDocument, surface: ChosenSurface): Assembled<Pivot> {
  const { drive } = document;
  if (drive.steering !== 'skid') return { ok: false, missing: ['drive.steering'] };
  const run = runInputOf(document, surface);
  if (!run.ok) return run;
  const [story] = differentialsOf(document, surface);
  const skid = story?.straight.skid;
  if (!skid) return { ok: false, missing: ['chassis.trackRearMm'] };
  const input = run.value;
  const radiusM = input.tyre.radiusMm / 1000;
  const rollingN = input.car.rollingResistance * input.car.massKg * GRAVITY;
  const scrubN = (4 * skid.wheelTorqueNm) / radiusM + rollingN;
  const { forces } = driveRun({ ...input, gradePct: 0 });
  const treadMps = reached(forces, scrubN);
  const n = motorsInAll(drive);
  const perN = radiusM / (n * input.drive.ratio * input.drive.efficiency);
  const constant = input.motor.kvRpmPerV * RAD_PER_S_PER_RPM;
  const motorA = scrubN * perN * constant + input.motor.noLoadCurrentA;
  const held = heldMotor(
    { ...input, esc: { ...input.esc, currentLimitA: Math.min(motorA, input.esc.currentLimitA) } },
    thermalOf(drive, drive.motor!),
  ).held;
  const hotAfterS = Math.min(held.windingLimitS ?? Infinity, held.caseLimitS ?? Infinity);
  return {
    ok: true,
    value: {
      scrubN,
      forces,
      motorA,
      ...(treadMps === undefined
        ? {}
        : {
            treadMps,
            yawDegPerS: (skid.yawRateDegPerS * treadMps) / TOLD_MPS,
            tyresW: (skid.powerW * treadMps) / TOLD_MPS,
          }),
      ...(hotAfterS === Infinity ? {} : { hotAfterS }),
    },
  };
}

/** Fastest speed at which so much force is still given; none where not even at rest. */
function reached({ speedMps, driveN }: Pivot['forces'], neededN: number): number | undefined {
  if (driveN[0]! < neededN) return undefined;
  const after = driveN.findIndex((force) => force < neededN);
  if (after < 0) return speedMps.at(-1);
  const [f0, f1] = [driveN[after - 1]!, driveN[after]!];
  const share = (f0 - neededN) / (f0 - f1);
  return speedMps[after - 1]! + share * (speedMps[after]! - speedMps[after - 1]!);
}
