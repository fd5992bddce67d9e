// Written by npm run checks:list from the files named *.check.ts and *.face.ts.
import type { CheckFace, CheckFamily, CheckRecord, RecordCheck } from './engine/check';
import { cost } from './brief/cost.check';
import { mass } from './brief/mass.check';
import { runTimeFace } from './brief/runTime.face';
import { air } from './chassis/air.check';
import { clearanceFace } from './chassis/clearance.face';
import { grip } from './chassis/grip.check';
import { lift } from './chassis/lift.check';
import { lightFace } from './chassis/light.face';
import { side } from './chassis/side.check';
import { tip } from './chassis/tip.check';
import { trainFace } from './chassis/train.face';
import { yawFace } from './chassis/yaw.face';
import { skipFace } from './drive/belts/skip.face';
import { teethFace } from './drive/belts/teeth.face';
import { assemblyFace } from './drive/gears/assembly.face';
import { mesh } from './drive/gears/mesh.check';
import { openingFace } from './drive/gears/opening.face';
import { toothFace } from './drive/gears/tooth.face';
import { wearFace } from './drive/gears/wear.face';
import { controllerHeatFace } from './drive/heat/controllerHeat.face';
import { motorCaseFace } from './drive/heat/motorCase.face';
import { windingFace } from './drive/heat/winding.face';
import { pinionJointFace } from './drive/joints/pinionJoint.face';
import { shaftStrengthFace } from './drive/joints/shaftStrength.face';
import { shaftWhirlFace } from './drive/joints/shaftWhirl.face';
import { wheelHexFace } from './drive/joints/wheelHex.face';
import { axlesAgree } from './drive/layout/axlesAgree.check';
import { fitsFace } from './drive/place/fits.face';
import { rearLocks } from './drive/place/rearLocks.check';
import { ratioFace } from './drive/ratio/ratio.face';
import { gripAtWish } from './drive/run/gripAtWish.check';
import { heldMotor } from './drive/run/heldMotor.check';
import { pull } from './drive/run/pull.check';
import { start } from './drive/run/start.check';
import { timeToDistance } from './drive/run/timeToDistance.check';
import { topSpeed } from './drive/run/topSpeed.check';
import { benchBalance } from './drive/tyres/benchBalance.check';
import { burstFace } from './drive/tyres/burst.face';
import { band } from './field/band.check';
import { goal } from './field/goal.check';
import { owed } from './field/owedRuns.check';
import { straight } from './field/straight.check';
import { due } from './learn/due.check';
import { fixes } from './learn/fixes.check';
import { openFailures } from './learn/openFailures.check';
import { fastenersFace } from './parts/fasteners.face';
import { linksFace } from './parts/links.face';
import { partsFace } from './parts/parts.face';
import { chargedVolts } from './power/pack/chargedVolts.check';
import { controllerCurrentFace } from './power/pack/controllerCurrent.face';
import { packPeak } from './power/pack/packPeak.check';
import { packSag } from './power/pack/sag.check';
import { failsafe } from './power/radio/failsafe.check';
import { radioLink } from './power/radio/radioLink.check';
import { loadChecks } from './power/supply/loads.check';
import { railChecks } from './power/supply/rails.check';
import { servoChecks } from './power/supply/servos.check';
import { wiring } from './power/wiring/wiring.check';
import { bed } from './print/bed.check';
import { queue } from './print/queue.check';
import { gyro } from './suspension/aids/gyro.check';
import { gyroSign } from './suspension/aids/gyroSign.check';
import { slipSensor } from './suspension/aids/slipSensor.check';
import { bumpSteer } from './suspension/corner/bumpSteer.check';
import { lockFace } from './suspension/corner/lock.face';
import { play } from './suspension/play/play.check';
import { damping } from './suspension/ride/damping.check';
import { landingFace } from './suspension/ride/landing.face';
import { sag } from './suspension/ride/sag.check';
import { effort } from './suspension/steering/effort.check';

/** The checks of every build; the heavy ones without what they find. */
export const FACES: readonly (CheckRecord | (CheckFace & { heavy: true }))[] = [
  cost,
  mass,
  runTimeFace,
  air,
  clearanceFace,
  grip,
  lift,
  lightFace,
  side,
  tip,
  trainFace,
  yawFace,
  skipFace,
  teethFace,
  assemblyFace,
  mesh,
  openingFace,
  toothFace,
  wearFace,
  controllerHeatFace,
  motorCaseFace,
  windingFace,
  pinionJointFace,
  shaftStrengthFace,
  shaftWhirlFace,
  wheelHexFace,
  axlesAgree,
  fitsFace,
  rearLocks,
  ratioFace,
  gripAtWish,
  heldMotor,
  pull,
  timeToDistance,
  topSpeed,
  burstFace,
  chargedVolts,
  controllerCurrentFace,
  packPeak,
  packSag,
  failsafe,
  radioLink,
  wiring,
  bed,
  bumpSteer,
  lockFace,
  play,
  damping,
  landingFace,
  sag,
  effort,
];

/** The checks of what a build has; the heavy ones without what they find. */
export const FAMILIES: readonly CheckFamily<CheckRecord | CheckFace>[] = [
  fastenersFace,
  linksFace,
  partsFace,
  loadChecks,
  railChecks,
  servoChecks,
  gyro,
  gyroSign,
  slipSensor,
];

/** The checks that stand on what was printed, run and broken. */
export const RECORD_CHECKS: readonly RecordCheck[] = [
  start,
  benchBalance,
  band,
  goal,
  owed,
  straight,
  due,
  fixes,
  openFailures,
  queue,
];
