import type { Schema } from 'joi';
import { briefDemand } from './physics/motion/demand';
import { briefDemandSchema } from './physics/motion/demand.schema';
import { chassisBalance } from './physics/balance/balance';
import { chassisBalanceSchema } from './physics/balance/balance.schema';
import { chassisStability } from './physics/balance/stability';
import { chassisStabilitySchema } from './physics/balance/stability.schema';
import { tractionAssistSchema } from './physics/aids/slip.schema';
import { tractionAssist } from './physics/aids/tractionAssist';
import { yawAssistSchema } from './physics/aids/yaw.schema';
import { yawAssist } from './physics/aids/yawAssist';
import { motorCalibrate } from './physics/heat/calibrate';
import { driveStandstill } from './physics/heat/standstill';
import { driveEndurance } from './physics/heat/endurance';
import {
  driveEnduranceSchema,
  driveStandstillSchema,
  motorCalibrateSchema,
  motorThermalDefaultsSchema,
} from './physics/heat/endurance.schema';
import { driveRun } from './physics/motion/run';
import { driveRunSchema } from './physics/motion/run.schema';
import { driveSweep } from './physics/search/sweep';
import { driveSweepSchema } from './physics/search/sweep.schema';
import { motorThermalDefaults } from './physics/heat/thermalDefaults';
import { failureDiagnose } from './physics/diagnosis/diagnose';
import { failureDiagnoseSchema } from './physics/diagnosis/diagnose.schema';
import { lifeEstimate } from './physics/statistics/life';
import { lifeEstimateSchema } from './physics/statistics/life.schema';
import { runsCompare } from './physics/statistics/runsCompare';
import { runsCompareSchema } from './physics/statistics/runsCompare.schema';
import { gpxSpeed } from './physics/timing/track/gpxSpeed';
import { gpxSpeedSchema } from './physics/timing/track/gpxSpeed.schema';
import { sparesStock } from './physics/statistics/spares';
import { sparesStockSchema } from './physics/statistics/spares.schema';
import { runsSummary } from './physics/statistics/runsSummary';
import { runsSummarySchema } from './physics/statistics/runsSummary.schema';
import { timingLaunch } from './physics/timing/timingLaunch';
import { timingLaunchSchema } from './physics/timing/timingLaunch.schema';
import { timingSpeed } from './physics/timing/timingSpeed';
import { timingSpeedSchema } from './physics/timing/timingSpeed.schema';
import { wheelBalance } from './physics/tyres/balance';
import { wheelBalanceSchema } from './physics/tyres/balance.schema';
import { drivetrainDifferential } from './physics/gears/differential';
import { drivetrainDifferentialSchema } from './physics/gears/differential.schema';
import { jointCapacity } from './physics/joints/joint';
import { jointCapacitySchema } from './physics/joints/joint.schema';
import { gearMesh } from './physics/gears/mesh';
import { gearMeshSchema } from './physics/gears/mesh.schema';
import { gearOutline } from './physics/gears/outline';
import { gearOutlineSchema } from './physics/gears/outline.schema';
import { drivetrainRotation } from './physics/gears/rotation';
import { drivetrainRotationSchema } from './physics/gears/rotation.schema';
import { shaftCheck } from './physics/shafts/shaft';
import { shaftCheckSchema } from './physics/shafts/shaft.schema';
import { gearStrength } from './physics/gears/strength';
import { gearStrengthSchema } from './physics/gears/strength.schema';
import { tyreSpin } from './physics/tyres/tyreSpin';
import { tyreSpinSchema } from './physics/tyres/tyreSpin.schema';
import { printCalibrate } from './physics/printing/calibrate';
import { fitCoupon } from './physics/printing/coupon';
import { fitCouponSchema } from './physics/printing/coupon.schema';
import { printEstimate } from './physics/printing/estimate';
import { printCalibrateSchema, printEstimateSchema } from './physics/printing/estimate.schema';
import { holesSolve } from './physics/printing/holes/solve';
import { holesSolveSchema } from './physics/printing/holes/solve.schema';
import { printPlates } from './physics/printing/plates';
import { printPlatesSchema } from './physics/printing/plates.schema';
import { fitStack } from './physics/printing/stack';
import { fitStackSchema } from './physics/printing/stack.schema';
import { meshFem } from './physics/fem/fem';
import { meshFemSchema } from './physics/fem/fem.schema';
import { meshMeasure } from './physics/solid/meshMeasure';
import { meshMeasureSchema } from './physics/solid/measure.schema';
import { meshOrient } from './physics/solid/orient';
import { meshSections } from './physics/solid/sections';
import { meshOrientSchema, meshSectionsSchema } from './physics/solid/sections.schema';
import { landingImpact } from './physics/loads/impact';
import { landingImpactSchema } from './physics/loads/loads.schema';
import { sectionPrinted } from './physics/strength/printedSection';
import { sectionPrintedSchema } from './physics/strength/printedSection.schema';
import { powerBudget } from './physics/supply/budget';
import { powerBudgetSchema } from './physics/supply/budget.schema';
import { servoSteer, servoTorque } from './physics/supply/servo';
import { servoSteerSchema, servoTorqueSchema } from './physics/supply/servo.schema';
import { beamCheck } from './physics/strength/beam';
import { bossCheck } from './physics/strength/boss';
import { columnCheck } from './physics/strength/column';
import { loadCases } from './physics/strength/loadCases';
import { sectionProperties } from './physics/strength/section';
import {
  beamCheckSchema,
  bossCheckSchema,
  columnCheckSchema,
  loadCasesSchema,
  sectionPropertiesSchema,
} from './physics/strength/strength.schema';
import { steeringGeometry } from './physics/corner/steering';
import { suspensionSweep } from './physics/corner/sweep';
import { steeringGeometrySchema, suspensionSweepSchema } from './physics/corner/sweep.schema';
import { suspensionRide } from './physics/corner/ride';
import { springRateSchema, suspensionRideSchema } from './physics/corner/ride.schema';
import { springRate } from './physics/corner/spring';

/** One computation that can be run without a screen. */
export interface Operation {
  readonly schema: Schema;
  readonly run: (input: never) => object;
  readonly summary: string;
}

export const operations: Readonly<Record<string, Operation>> = {
  'beam.check': {
    schema: beamCheckSchema,
    run: beamCheck,
    summary: 'a printed beam under load: stress, shear, sag, and its layers the other way',
  },
  'boss.check': {
    schema: bossCheckSchema,
    run: bossCheck,
    summary: 'four ways to hold a screw in a printed boss',
  },
  'brief.demand': {
    schema: briefDemandSchema,
    run: briefDemand,
    summary: 'what a wish asks for on each surface, before any motor is chosen',
  },
  'chassis.balance': {
    schema: chassisBalanceSchema,
    run: chassisBalance,
    summary: 'mass, centre of gravity, wheel loads and inertias from the components',
  },
  'chassis.stability': {
    schema: chassisStabilitySchema,
    run: chassisStability,
    summary: 'whether it slides or tips, what lifts an axle, how hard it brakes',
  },
  'column.check': {
    schema: columnCheckSchema,
    run: columnCheck,
    summary: 'a printed strut under compression: Euler or Johnson',
  },
  'drive.endurance': {
    schema: driveEnduranceSchema,
    run: driveEndurance,
    summary: 'heat and charge over a whole pack, and what ends it',
  },
  'drive.run': {
    schema: driveRunSchema,
    run: driveRun,
    summary: 'one run on a straight from rest: top speed, times, currents, what limits it',
  },
  'drive.standstill': {
    schema: driveStandstillSchema,
    run: driveStandstill,
    summary:
      'full throttle at rest: it moves, its tyres spin, or its motor is held, and for how long it may be',
  },
  'drive.sweep': {
    schema: driveSweepSchema,
    run: driveSweep,
    summary: 'every motor, pack and ratio on one car, and which cannot be bettered',
  },
  'drivetrain.differential': {
    schema: drivetrainDifferentialSchema,
    run: drivetrainDifferential,
    summary: 'what differential, slip clutch and steering by driving do to an axle',
  },
  'drivetrain.rotation': {
    schema: drivetrainRotationSchema,
    run: drivetrainRotation,
    summary: 'which way every wheel turns, and whether the axles agree',
  },
  'failure.diagnose': {
    schema: failureDiagnoseSchema,
    run: failureDiagnose,
    summary: 'suspects of a failure with their reasons, and the check that tells most a minute',
  },
  'fit.coupon': {
    schema: fitCouponSchema,
    run: fitCoupon,
    summary: 'what your printer makes of holes and pegs, and the sizes to draw for fits',
  },
  'fit.stack': {
    schema: fitStackSchema,
    run: fitStack,
    summary: 'free play of a wheel on its bearings, and what a chain of lengths adds up to',
  },
  'gear.mesh': {
    schema: gearMeshSchema,
    run: gearMesh,
    summary: 'how two gears mesh: centre distance, contact ratio, undercut, and what a slot takes',
  },
  'gear.outline': {
    schema: gearOutlineSchema,
    run: gearOutline,
    summary: 'outline of a gear from true involutes, as points and as files',
  },
  'gear.strength': {
    schema: gearStrengthSchema,
    run: gearStrength,
    summary: 'bending and wear of a tooth, and the width that holds',
  },
  'gpx.speed': {
    schema: gpxSpeedSchema,
    run: gpxSpeed,
    summary: 'top speed, distance and time from a satellite track',
  },
  'holes.solve': {
    schema: holesSolveSchema,
    run: holesSolve,
    summary: 'a hole pattern from caliper readings, its errors and the reading that is wrong',
  },
  'joint.capacity': {
    schema: jointCapacitySchema,
    run: jointCapacity,
    summary: 'torque that a joint between shaft and gear carries at a temperature',
  },
  'life.estimate': {
    schema: lifeEstimateSchema,
    run: lifeEstimate,
    summary: 'mean life of a part from hours and failures, with its bounds',
  },
  'landing.impact': {
    schema: landingImpactSchema,
    run: landingImpact,
    summary: 'the car dropped on its wheels: forces, travel, stops, and the drop that it takes',
  },
  'load.cases': {
    schema: loadCasesSchema,
    run: loadCases,
    summary: 'what acts on the parts when the car lands, crashes, corners, brakes and drives off',
  },
  'mesh.fem': {
    schema: meshFemSchema,
    run: meshFem,
    summary: 'a part as a solid of layers: what fails first, by what, and how far it gives',
  },
  'mesh.measure': {
    schema: meshMeasureSchema,
    run: meshMeasure,
    summary: 'volume, mass, inertia, edges and overhangs of a mesh',
  },
  'mesh.orient': {
    schema: meshOrientSchema,
    run: meshOrient,
    summary: 'ways up on the bed, the strongest first, then the least support',
  },
  'mesh.sections': {
    schema: meshSectionsSchema,
    run: meshSections,
    summary: 'a mesh cut across its axis and loaded as a beam, with its layers',
  },
  'motor.calibrate': {
    schema: motorCalibrateSchema,
    run: motorCalibrate,
    summary: 'cooling of a motor from measured case temperatures',
  },
  'motor.thermalDefaults': {
    schema: motorThermalDefaultsSchema,
    run: motorThermalDefaults,
    summary: 'first guesses of the thermal figures from mass, size and housing',
  },
  'power.budget': {
    schema: powerBudgetSchema,
    run: powerBudget,
    summary: 'volts and amperes of everything that hangs on the pack, charged and low',
  },
  'print.calibrate': {
    schema: printCalibrateSchema,
    run: printCalibrate,
    summary: 'what finished prints say of the estimate of their time',
  },
  'print.estimate': {
    schema: printEstimateSchema,
    run: printEstimate,
    summary: 'plastic, time and cost of a print',
  },
  'print.plates': {
    schema: printPlatesSchema,
    run: printPlates,
    summary: 'parts laid on as few beds as they need, and what would do for those that fit none',
  },
  'runs.compare': {
    schema: runsCompareSchema,
    run: runsCompare,
    summary: 'whether a change helped: two groups of runs compared, and the runs that are still needed',
  },
  'runs.summary': {
    schema: runsSummarySchema,
    run: runsSummary,
    summary: 'mean, spread and 95 % interval of repeated measurements',
  },
  'section.printed': {
    schema: sectionPrintedSchema,
    run: sectionPrinted,
    summary:
      'a printed bar as walls and core under bending, shear, torsion and pull, and the lightest that holds',
  },
  'section.properties': {
    schema: sectionPropertiesSchema,
    run: sectionProperties,
    summary: 'area, second moments and section moduli of a cross-section',
  },
  'servo.steer': {
    schema: servoSteerSchema,
    run: servoSteer,
    summary: 'torque that steering asks of a servo against what it gives',
  },
  'servo.torque': {
    schema: servoTorqueSchema,
    run: servoTorque,
    summary: 'torque and speed of a servo at a voltage',
  },
  'shaft.check': {
    schema: shaftCheckSchema,
    run: shaftCheck,
    summary: 'bending, torsion and whirl of a shaft',
  },
  'spares.stock': {
    schema: sparesStockSchema,
    run: sparesStock,
    summary: 'spares to carry so that nothing runs out, and what to print ahead',
  },
  'spring.rate': {
    schema: springRateSchema,
    run: springRate,
    summary: 'rate, index and solid length of a coil spring',
  },
  'steering.geometry': {
    schema: steeringGeometrySchema,
    run: steeringGeometry,
    summary: 'what the rack does to both wheels: Ackermann, turn circle, rack for an angle',
  },
  'suspension.ride': {
    schema: suspensionRideSchema,
    run: suspensionRide,
    summary: 'sag, frequency, damping and landing of a corner',
  },
  'suspension.sweep': {
    schema: suspensionSweepSchema,
    run: suspensionSweep,
    summary: 'one corner through travel and rack: camber, toe, roll centre, motion ratio, joints',
  },
  'timing.launch': {
    schema: timingLaunchSchema,
    run: timingLaunch,
    summary: 'mean acceleration of a standing start, its error and the grip it takes',
  },
  'timing.speed': {
    schema: timingSpeedSchema,
    run: timingSpeed,
    summary: 'speed over a measured distance by stop-watch, frames or slowed clip, with its error',
  },
  'traction.assist': {
    schema: tractionAssistSchema,
    run: tractionAssist,
    summary: 'throttle held back by wheel slip on a straight, with a sensor of magnets',
  },
  'tyre.spin': {
    schema: tyreSpinSchema,
    run: tyreSpin,
    summary: 'growth of a tyre with speed, and where it bursts or runs away',
  },
  'wheel.balance': {
    schema: wheelBalanceSchema,
    run: wheelBalance,
    summary: 'pull of an imbalance, and what to stick on opposite it',
  },
  'yaw.assist': {
    schema: yawAssistSchema,
    run: yawAssist,
    summary: 'a gyro on the steering: whether a kick or a step settles, and up to which gain',
  },
};
