import { limitOfController, motorsPerController, motorAt, motorPlaces } from '../../car/document/motors';
import type { BuildDocument } from '../../car/document/document';
import {
  axleRatio,
  type ChosenMotor,
  type Drive,
  type MotorPlace,
  overallRatio,
} from '../../car/document/drive';
import type { DriveRunInput } from '../../physics/motion/definition';
import { asAlike, eachCurrent, type Fed, type Wound } from '../../physics/motors/together';

/** Whether some place has a motor with figures of its own. */
export const areUnlike = (drive: Drive): boolean =>
  motorPlaces(drive).some((place) => drive.ownMotors?.some(({ id }) => id === place));

/** Of the axle that a place turns; both turn alike where it is not of one. */
function ratioAt(drive: Drive, place: MotorPlace): number | undefined {
  if (place === 'front' || place === 'frontLeft' || place === 'frontRight') return axleRatio(drive, 'front');
  if (place === 'rear' || place === 'rearLeft' || place === 'rearRight') return axleRatio(drive, 'rear');
  return overallRatio(drive);
}

interface PlacedMotor {
  place: MotorPlace;
  motor: ChosenMotor;
  /** As it turns behind the car's one ratio, with its controller. */
  fed: Fed;
}

function placed(document: BuildDocument): PlacedMotor[] {
  const { drive } = document;
  const whole = overallRatio(drive) ?? 1;
  const common = commonController(document);
  return motorPlaces(drive).flatMap((place) => {
    const motor = motorAt(drive, place);
    if (!motor) return [];
    const { kvRpmPerV, resistanceMilliOhm, noLoadCurrentA } = motor;
    const behind = whole / (ratioAt(drive, place) ?? whole);
    const own = drive.ownMotors?.find(({ id }) => id === place);
    const fed: Fed = {
      kvRpmPerV: kvRpmPerV * behind,
      resistanceMilliOhm,
      noLoadCurrentA,
      controllerMilliOhm: own?.controllerMilliOhm ?? common.milliOhm,
      limitA: own?.controllerLimitA ?? common.limitA,
    };
    return [{ place, motor, fed }];
  });
}

/** What feeds one motor: what drives several carries the current of all of them. */
function commonController(document: BuildDocument) {
  const { controller } = document.power;
  const shared = motorsPerController(document);
  return {
    milliOhm: (controller?.resistanceMilliOhm ?? 0) * shared,
    limitA: controller ? limitOfController(controller) / shared : Infinity,
  };
}

const alikeOf = (document: BuildDocument): Fed =>
  asAlike(
    placed(document).map(({ fed }) => fed),
    commonController(document).milliOhm,
  );

/** Current at which the controllers limit, of one of the motors as alike ones, A. */
export const controllersLimitA = (document: BuildDocument): number =>
  areUnlike(document.drive) ? alikeOf(document).limitA : commonController(document).limitA;

/** The motors of a build as alike ones. */
export function alikeMotor(document: BuildDocument): ChosenMotor | undefined {
  const { drive } = document;
  if (!drive.motor || !areUnlike(drive)) return drive.motor;
  const { kvRpmPerV, resistanceMilliOhm, noLoadCurrentA } = alikeOf(document);
  return { ...drive.motor, kvRpmPerV, resistanceMilliOhm, noLoadCurrentA };
}

/** One place's motor at a moment of the car. */
export interface MotorShare {
  place: MotorPlace;
  motor: ChosenMotor;
  /** Nothing where the others turn it faster than its volts would. */
  amps: number;
  /** Heat in its winding over that of the motors as alike ones. */
  heatShare: number;
}

/** @param at current of the alike motors, and the car's speed */
export function eachMotor(
  document: BuildDocument,
  { drive, motor, tyre }: Pick<DriveRunInput, 'drive' | 'motor' | 'tyre'>,
  at: { amps: number; speedMps: number },
): MotorShare[] {
  const motors = placed(document);
  const radPerS = (at.speedMps * drive.ratio) / (tyre.radiusMm / 1000);
  const currents = eachCurrent(
    motors.map(({ fed }) => fed),
    motor,
    { amps: at.amps, radPerS },
  );
  const alikeW = at.amps ** 2 * motor.resistanceMilliOhm;
  return motors.map(({ place, motor: one }, index) => ({
    place,
    motor: one,
    amps: currents[index]!,
    heatShare: alikeW > 0 ? (currents[index]! ** 2 * one.resistanceMilliOhm) / alikeW : 1,
  }));
}

/** Revolutions that a motor makes by itself, rpm. */
export const freeRpm = ({ kvRpmPerV, resistanceMilliOhm, noLoadCurrentA }: Wound, volts: number): number =>
  kvRpmPerV * (volts - (noLoadCurrentA * resistanceMilliOhm) / 1000);

/** What a motor that spins free tells of itself: its constant, and what it idles with. */
export const foundFree = (
  { resistanceMilliOhm }: Pick<Wound, 'resistanceMilliOhm'>,
  { rpm, currentA, volts }: { rpm: number; currentA: number; volts: number },
): Pick<Wound, 'kvRpmPerV' | 'noLoadCurrentA'> => ({
  kvRpmPerV: rpm / (volts - (currentA * resistanceMilliOhm) / 1000),
  noLoadCurrentA: currentA,
});
