// Written by npm run checks:list from the files named *.check.ts.
import type { CheckFamily, CheckRecord } from './engine/check';
import { cost } from './brief/cost.check';
import { mass } from './brief/mass.check';
import { runTime } from './brief/runTime.check';
import { air } from './chassis/air.check';
import { clearance } from './chassis/clearance.check';
import { grip } from './chassis/grip.check';
import { lift } from './chassis/lift.check';
import { light } from './chassis/light.check';
import { side } from './chassis/side.check';
import { tip } from './chassis/tip.check';
import { train } from './chassis/train.check';
import { yaw } from './chassis/yaw.check';
import { skip } from './drive/belts/skip.check';
import { teeth } from './drive/belts/teeth.check';
import { assembly } from './drive/gears/assembly.check';
import { mesh } from './drive/gears/mesh.check';
import { opening } from './drive/gears/opening.check';
import { tooth } from './drive/gears/tooth.check';
import { wear } from './drive/gears/wear.check';
import { controllerHeat } from './drive/heat/controllerHeat.check';
import { motorCase } from './drive/heat/motorCase.check';
import { winding } from './drive/heat/winding.check';
import { pinionJoint } from './drive/joints/pinionJoint.check';
import { shaftStrength } from './drive/joints/shaftStrength.check';
import { shaftWhirl } from './drive/joints/shaftWhirl.check';
import { wheelHex } from './drive/joints/wheelHex.check';
import { axlesAgree } from './drive/layout/axlesAgree.check';
import { fits } from './drive/place/fits.check';
import { rearLocks } from './drive/place/rearLocks.check';
import { ratio } from './drive/ratio/ratio.check';
import { gripAtWish } from './drive/run/gripAtWish.check';
import { heldMotor } from './drive/run/heldMotor.check';
import { pull } from './drive/run/pull.check';
import { timeToDistance } from './drive/run/timeToDistance.check';
import { topSpeed } from './drive/run/topSpeed.check';
import { burst } from './drive/tyres/burst.check';
import { fastenerChecks } from './parts/fasteners.check';
import { linkChecks } from './parts/links.check';
import { partChecks } from './parts/parts.check';
import { chargedVolts } from './power/pack/chargedVolts.check';
import { controllerCurrent } from './power/pack/controllerCurrent.check';
import { packPeak } from './power/pack/packPeak.check';
import { packSag } from './power/pack/sag.check';
import { failsafe } from './power/radio/failsafe.check';
import { radioLink } from './power/radio/radioLink.check';
import { loadChecks } from './power/supply/loads.check';
import { railChecks } from './power/supply/rails.check';
import { servoChecks } from './power/supply/servos.check';
import { wiring } from './power/wiring/wiring.check';
import { bed } from './print/bed.check';
import { gyro } from './suspension/aids/gyro.check';
import { gyroSign } from './suspension/aids/gyroSign.check';
import { slipSensor } from './suspension/aids/slipSensor.check';
import { bumpSteer } from './suspension/corner/bumpSteer.check';
import { lock } from './suspension/corner/lock.check';
import { play } from './suspension/play/play.check';
import { damping } from './suspension/ride/damping.check';
import { landing } from './suspension/ride/landing.check';
import { sag } from './suspension/ride/sag.check';
import { effort } from './suspension/steering/effort.check';

/** The checks of every build. */
export const CHECKS: readonly CheckRecord[] = [
  cost,
  mass,
  runTime,
  air,
  clearance,
  grip,
  lift,
  light,
  side,
  tip,
  train,
  yaw,
  skip,
  teeth,
  assembly,
  mesh,
  opening,
  tooth,
  wear,
  controllerHeat,
  motorCase,
  winding,
  pinionJoint,
  shaftStrength,
  shaftWhirl,
  wheelHex,
  axlesAgree,
  fits,
  rearLocks,
  ratio,
  gripAtWish,
  heldMotor,
  pull,
  timeToDistance,
  topSpeed,
  burst,
  chargedVolts,
  controllerCurrent,
  packPeak,
  packSag,
  failsafe,
  radioLink,
  wiring,
  bed,
  bumpSteer,
  lock,
  play,
  damping,
  landing,
  sag,
  effort,
];

/** The checks of what a build has: its rails, loads, aids and parts. */
export const FAMILIES: readonly CheckFamily[] = [
  fastenerChecks,
  linkChecks,
  partChecks,
  loadChecks,
  railChecks,
  servoChecks,
  gyro,
  gyroSign,
  slipSensor,
];
