import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { createPlant, MOTOR_A, newMoment, observe } from '../../physics/motion/plant';
import { driveRun } from '../../physics/motion/run';
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
