import { steeringServo } from '../power/steeringServo';
import { USUAL_HOLD, USUAL_YAW_AID, type YawAid } from '../../car/document/aids';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { GRAVITY } from '../../base/constants';
import { frictionOfCar } from '../motion/tyreOfRun';
import { type Assembled } from '../../base/assembled';
import { servoTorque } from '../../physics/supply/servo';
import { pointsOf } from '../power/servoOfBuild';
import { axlesAt } from '../../physics/handling/steady/axles';
import { setupOf } from '../../physics/handling/steady/setup';
import { steadyInputOf } from '../stability/steadyOfBuild';
import { supplyOf } from '../power/supplyOfBuild';
import { steerGeometryOf, steeringOfBuild } from '../suspension/steeringOfBuild';
import type { YawInput, YawScenario } from '../../physics/aids/yawDefinition';

/** An axle in the air neither holds nor steers. */
const [NO_STIFFNESS, NO_LOAD_N] = [1e-6, 1e-6];
/** Wheels and servo where neither corner nor servo say. */
const USUAL_MAX_STEER_DEG = 25;
const USUAL_SERVO_RATE_DEG_PER_S = 300;

export interface YawTrial {
  speedMps: number;
  scenario: YawScenario;
  durationS?: number;
}

/** Speed of the steering at the wheels, °/s, from the servo's data sheet at its volts. */
export function servoRateOf(document: BuildDocument): number | undefined {
  const servo = steeringServo(document);
  const points = servo?.servo ? pointsOf(servo.servo) : [];
  const supply = servo && points.length > 0 ? supplyOf(document, 0) : undefined;
  if (!servo || !supply?.ok) return undefined;
  const volts = supply.result.loads.find(({ id }) => id === servo.id)!.full.volts;
  const seconds =
    volts > 0 && new Set(points.map((point) => point.volts)).size === points.length
      ? servoTorque({ points, volts }).secondsPer60Deg
      : undefined;
  const ratio = servo.steer?.linkageRatio ?? steerGeometryOf(document)?.linkageRatio ?? 1;
  return seconds === undefined ? undefined : 60 / seconds / ratio;
}

/** Mean of both front wheels at full lock, degrees. */
export function maxSteerOf(document: BuildDocument): number | undefined {
  const steering = steeringOfBuild(document);
  const full = steering.ok ? steering.value.geometry.rows.at(-1) : undefined;
  return full?.innerDeg === undefined ? undefined : (full.innerDeg + full.outerDeg!) / 2;
}

/** A build with a gyro on its steering, at a speed and a disturbance; or what is missing. */
export function yawInputOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  aid: YawAid,
  { speedMps, scenario, durationS }: YawTrial,
): Assembled<YawInput> {
  const still = steadyInputOf(document, surface, { speedMps });
  if (!still.ok) return still;
  const { massKg, yawInertiaKgM2, wheelbaseMm, frontLoadShare } = still.value;
  const { front, rear } = axlesAt(setupOf(still.value), speedMps);
  const maxDeg = aid.maxSteerDeg ?? maxSteerOf(document) ?? USUAL_MAX_STEER_DEG;
  return {
    ok: true,
    value: {
      massKg,
      yawInertiaKgM2,
      cgToFrontMm: (1 - frontLoadShare) * wheelbaseMm,
      cgToRearMm: frontLoadShare * wheelbaseMm,
      corneringFrontNPerRad: Math.max(NO_STIFFNESS, front.corneringNPerRad),
      corneringRearNPerRad: Math.max(NO_STIFFNESS, rear.corneringNPerRad),
      mu: frictionOfCar(document.drive, surface!, frontLoadShare),
      frontLoadN: Math.max(NO_LOAD_N, front.loadN),
      rearLoadN: Math.max(NO_LOAD_N, rear.loadN),
      speedMps,
      servo: {
        lagS: (aid.servoLagMs ?? USUAL_YAW_AID.servoLagMs) / 1000,
        rateDegPerS: aid.servoRateDegPerS ?? servoRateOf(document) ?? USUAL_SERVO_RATE_DEG_PER_S,
        maxDeg,
      },
      gyro: {
        gain: aid.gain ?? USUAL_YAW_AID.gain,
        deadbandDegPerS: aid.deadbandDegPerS ?? USUAL_YAW_AID.deadbandDegPerS,
        maxCorrectionDeg: aid.maxCorrectionDeg ?? USUAL_YAW_AID.maxCorrectionDeg,
        sampleS: (aid.sampleMs ?? USUAL_YAW_AID.sampleMs) / 1000,
        lowpassS: (aid.lowpassMs ?? USUAL_YAW_AID.lowpassMs) / 1000,
        ...(aid.mode === 'hold'
          ? {
              holds: {
                fullSteerDegPerS: aid.fullSteerDegPerS ?? USUAL_HOLD.fullSteerDegPerS,
                catchUpS: (aid.catchUpMs ?? USUAL_HOLD.catchUpMs) / 1000,
              },
            }
          : {}),
      },
      scenario,
      ...(durationS === undefined ? {} : { durationS }),
    },
  };
}

/** Most steering that the ground can answer at a speed, degrees: v²/R = μ·g on a circle of L/δ. */
export const usefulSteerDeg = ({ mu, cgToFrontMm, cgToRearMm }: YawInput, speedMps: number): number =>
  (((cgToFrontMm + cgToRearMm) / 1000) * mu * GRAVITY * 180) / (Math.PI * speedMps ** 2);
