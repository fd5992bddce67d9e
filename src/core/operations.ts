import { driveLap } from './physics/laps/lap';
import { driveLapSchema } from './physics/laps/lap.schema';
import { driveSite } from './physics/place/site';
import { driveSiteSchema } from './physics/place/site.schema';
import { driveBrake } from './physics/braking/brake';
import { driveBrakeSchema } from './physics/braking/brake.schema';
import type { Schema } from 'joi';
import { airCoastDown } from './physics/air/coastDown';
import { airCoastDownSchema } from './physics/air/coastDown.schema';
import { airEstimate } from './physics/air/estimate';
import { airEstimateSchema } from './physics/air/estimate.schema';
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
import { tyreFit } from './physics/tyres/tyreFit';
import { tyreFitSchema } from './physics/tyres/tyreFit.schema';
import { tyreSpin } from './physics/tyres/tyreSpin';
import { tyreSpinSchema } from './physics/tyres/tyreSpin.schema';
import { printCalibrate } from './physics/printing/calibrate';
import { fitCoupon } from './physics/printing/coupon';
import { fitCouponSchema } from './physics/printing/coupon.schema';
import { printEstimate } from './physics/printing/estimate';
import { printCalibrateSchema, printEstimateSchema } from './physics/printing/estimate.schema';
import { seriesFit } from './physics/bench/series';
import { seriesFitSchema } from './physics/bench/series.schema';
import { wheelBalanceRun } from './physics/bench/balanceRun';
import { wheelBalanceRunSchema } from './physics/bench/balanceRun.schema';
import { logRead } from './physics/logs/logRead';
import { logReadSchema } from './physics/logs/logRead.schema';
import { logMotor } from './physics/bench/motorLog';
import { logMotorSchema } from './physics/bench/motorLog.schema';
import { impactStaircase } from './physics/bench/staircase';
import { impactStaircaseSchema } from './physics/bench/staircase.schema';
import { gripMeasureSchema } from './physics/grip/grip.schema';
import { gripMeasure } from './physics/grip/measure';
import { gyroLog } from './physics/aids/gyro/gyroLog';
import { gyroLogSchema } from './physics/aids/gyro/gyroLog.schema';
import { handlingCircle } from './physics/handling/circle';
import { handlingSteady } from './physics/handling/steady/steady';
import { handlingSteadySchema } from './physics/handling/steady/steady.schema';
import { handlingCircleSchema, handlingStraightSchema } from './physics/handling/handling.schema';
import { handlingStraight } from './physics/handling/straight';
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
import { fastenerShareSchema } from './physics/fasteners/fasteners.schema';
import { fastenerShare } from './physics/fasteners/share';
import { partLightest } from './physics/lightest/lightest';
import { partLightestSchema } from './physics/lightest/lightest.schema';
import { clearanceCheck } from './physics/clearance/check';
import { clearanceCheckSchema } from './physics/clearance/clearance.schema';
import { linksForces } from './physics/links/linksForces';
import { linksForcesSchema } from './physics/links/links.schema';
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

import { beltDrive } from './physics/transmissions/belt';
import { beltDriveSchema } from './physics/transmissions/belt.schema';
import { chainLength } from './physics/transmissions/chain';
import { chainLengthSchema } from './physics/transmissions/chain.schema';
import { driveFriction } from './physics/transmissions/friction';
import { driveFrictionSchema } from './physics/transmissions/friction.schema';
import { gearHelical } from './physics/transmissions/helical';
import { gearHelicalSchema } from './physics/transmissions/helical.schema';
import { gearSearch, type GearSearchInput } from './physics/transmissions/gearSearch';
import { gearBevel } from './physics/bevels/bevel';
import { gearBevelSchema } from './physics/bevels/bevel.schema';
import { gearPlanetary } from './physics/planetary/planetary';
import { gearPlanetarySchema } from './physics/planetary/planetary.schema';
import { planetarySearch } from './physics/planetary/planetarySearch';
import { planetarySearchSchema } from './physics/planetary/planetarySearch.schema';
import { gearSearchSchema } from './physics/transmissions/gearSearch.schema';
import { gearOpening } from './physics/transmissions/opening';
import { gearOpeningSchema } from './physics/transmissions/opening.schema';

/** One computation that can be run without a screen. */
export interface Operation {
  readonly schema: Schema;
  readonly run: (input: never) => object;
}

const OPERATIONS = {
  'air.coastDown': { schema: airCoastDownSchema, run: airCoastDown },
  'air.estimate': { schema: airEstimateSchema, run: airEstimate },
  'beam.check': { schema: beamCheckSchema, run: beamCheck },
  'belt.drive': { schema: beltDriveSchema, run: beltDrive },
  'boss.check': { schema: bossCheckSchema, run: bossCheck },
  'brief.demand': { schema: briefDemandSchema, run: briefDemand },
  'chain.length': { schema: chainLengthSchema, run: chainLength },
  'chassis.balance': { schema: chassisBalanceSchema, run: chassisBalance },
  'chassis.stability': { schema: chassisStabilitySchema, run: chassisStability },
  'clearance.check': { schema: clearanceCheckSchema, run: clearanceCheck },
  'column.check': { schema: columnCheckSchema, run: columnCheck },
  'drive.brake': { schema: driveBrakeSchema, run: driveBrake },
  'drive.endurance': { schema: driveEnduranceSchema, run: driveEndurance },
  'drive.friction': { schema: driveFrictionSchema, run: driveFriction },
  'drive.lap': { schema: driveLapSchema, run: driveLap },
  'drive.run': { schema: driveRunSchema, run: driveRun },
  'drive.site': { schema: driveSiteSchema, run: driveSite },
  'drive.standstill': { schema: driveStandstillSchema, run: driveStandstill },
  'drive.sweep': { schema: driveSweepSchema, run: driveSweep },
  'drivetrain.differential': { schema: drivetrainDifferentialSchema, run: drivetrainDifferential },
  'drivetrain.rotation': { schema: drivetrainRotationSchema, run: drivetrainRotation },
  'fastener.share': { schema: fastenerShareSchema, run: fastenerShare },
  'failure.diagnose': { schema: failureDiagnoseSchema, run: failureDiagnose },
  'fit.coupon': { schema: fitCouponSchema, run: fitCoupon },
  'fit.stack': { schema: fitStackSchema, run: fitStack },
  'gear.bevel': { schema: gearBevelSchema, run: gearBevel },
  'gear.helical': { schema: gearHelicalSchema, run: gearHelical },
  'gear.mesh': { schema: gearMeshSchema, run: gearMesh },
  'gear.opening': { schema: gearOpeningSchema, run: gearOpening },
  'gear.outline': { schema: gearOutlineSchema, run: gearOutline },
  'gear.planetary': { schema: gearPlanetarySchema, run: gearPlanetary },
  'gear.planetarySearch': { schema: planetarySearchSchema, run: planetarySearch },
  'gear.search': { schema: gearSearchSchema, run: (input: GearSearchInput) => gearSearch(input) },
  'gear.strength': { schema: gearStrengthSchema, run: gearStrength },
  'gpx.speed': { schema: gpxSpeedSchema, run: gpxSpeed },
  'grip.measure': { schema: gripMeasureSchema, run: gripMeasure },
  'gyro.log': { schema: gyroLogSchema, run: gyroLog },
  'handling.circle': { schema: handlingCircleSchema, run: handlingCircle },
  'handling.steady': { schema: handlingSteadySchema, run: handlingSteady },
  'handling.straight': { schema: handlingStraightSchema, run: handlingStraight },
  'holes.solve': { schema: holesSolveSchema, run: holesSolve },
  'impact.staircase': { schema: impactStaircaseSchema, run: impactStaircase },
  'joint.capacity': { schema: jointCapacitySchema, run: jointCapacity },
  'life.estimate': { schema: lifeEstimateSchema, run: lifeEstimate },
  'landing.impact': { schema: landingImpactSchema, run: landingImpact },
  'links.forces': { schema: linksForcesSchema, run: linksForces },
  'load.cases': { schema: loadCasesSchema, run: loadCases },
  'log.motor': { schema: logMotorSchema, run: logMotor },
  'log.read': { schema: logReadSchema, run: logRead },
  'mesh.fem': { schema: meshFemSchema, run: meshFem },
  'mesh.measure': { schema: meshMeasureSchema, run: meshMeasure },
  'mesh.orient': { schema: meshOrientSchema, run: meshOrient },
  'mesh.sections': { schema: meshSectionsSchema, run: meshSections },
  'motor.calibrate': { schema: motorCalibrateSchema, run: motorCalibrate },
  'motor.thermalDefaults': { schema: motorThermalDefaultsSchema, run: motorThermalDefaults },
  'part.lightest': { schema: partLightestSchema, run: partLightest },
  'power.budget': { schema: powerBudgetSchema, run: powerBudget },
  'print.calibrate': { schema: printCalibrateSchema, run: printCalibrate },
  'print.estimate': { schema: printEstimateSchema, run: printEstimate },
  'print.plates': { schema: printPlatesSchema, run: printPlates },
  'runs.compare': { schema: runsCompareSchema, run: runsCompare },
  'runs.summary': { schema: runsSummarySchema, run: runsSummary },
  'section.printed': { schema: sectionPrintedSchema, run: sectionPrinted },
  'section.properties': { schema: sectionPropertiesSchema, run: sectionProperties },
  'servo.steer': { schema: servoSteerSchema, run: servoSteer },
  'servo.torque': { schema: servoTorqueSchema, run: servoTorque },
  'series.fit': { schema: seriesFitSchema, run: seriesFit },
  'shaft.check': { schema: shaftCheckSchema, run: shaftCheck },
  'spares.stock': { schema: sparesStockSchema, run: sparesStock },
  'spring.rate': { schema: springRateSchema, run: springRate },
  'steering.geometry': { schema: steeringGeometrySchema, run: steeringGeometry },
  'suspension.ride': { schema: suspensionRideSchema, run: suspensionRide },
  'suspension.sweep': { schema: suspensionSweepSchema, run: suspensionSweep },
  'timing.launch': { schema: timingLaunchSchema, run: timingLaunch },
  'timing.speed': { schema: timingSpeedSchema, run: timingSpeed },
  'traction.assist': { schema: tractionAssistSchema, run: tractionAssist },
  'tyre.fit': { schema: tyreFitSchema, run: tyreFit },
  'tyre.spin': { schema: tyreSpinSchema, run: tyreSpin },
  'wheel.balance': { schema: wheelBalanceSchema, run: wheelBalance },
  'wheel.balanceRun': { schema: wheelBalanceRunSchema, run: wheelBalanceRun },
  'yaw.assist': { schema: yawAssistSchema, run: yawAssist },
} satisfies Readonly<Record<string, Operation>>;

export type OperationName = keyof typeof OPERATIONS;

/** Every operation by its name. */
export const operations: Readonly<Record<string, Operation>> = OPERATIONS;
