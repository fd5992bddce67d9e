import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { createPlant, MOTOR_A, newMoment, observe } from '../../physics/motion/plant';
import type { DriveRunInput } from '../../physics/motion/definition';
import { driveRun, type DriveRunResult } from '../../physics/motion/run';
import { areUnlike, eachMotor, type MotorShare } from '../motion/motorsOfBuild';
import { runInputOf } from '../motion/runOfBuild';

/** What each motor carries at the top speed; nothing where they are alike, or the car does not move. */
export function sharesAtTop(document: BuildDocument, surface: ChosenSurface): MotorShare[] {
  if (!areUnlike(document.drive)) return [];
  const run = runInputOf(document, surface);
  if (!run.ok) return [];
  const { topSpeedMps } = driveRun(run.value);
  if (!topSpeedMps) return [];
  const moment = newMoment();
  observe(createPlant(run.value), topSpeedMps, moment);
  return eachMotor(document, run.value, { amps: moment[MOTOR_A]!, speedMps: topSpeedMps });
}

/** The most that a single motor carries in a run, A: of unlike ones the hardest, held by its own controller. */
export function motorPeakA(document: BuildDocument, input: DriveRunInput, run: DriveRunResult): number {
  const { drive } = document;
  const { peakMotorCurrentA: peakA } = run;
  if (!areUnlike(drive)) return peakA;
  const { motorCurrentA, speedMps } = run.series;
  const at = motorCurrentA.reduce((most, amps, index) => (amps > motorCurrentA[most]! ? index : most), 0);
  return Math.max(
    ...eachMotor(document, input, { amps: peakA, speedMps: speedMps[at] ?? 0 }).map(({ place, amps }) =>
      Math.min(amps, drive.ownMotors?.find(({ id }) => id === place)?.controllerLimitA ?? Infinity),
    ),
  );
}
