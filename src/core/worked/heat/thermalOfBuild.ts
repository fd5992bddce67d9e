import { calibrationFor, USUAL_AMBIENT_C, USUAL_FAN_A } from '../../car/document/heat';
import { controllersInAll, motorsInAll } from '../../car/document/motors';
import type { BuildDocument } from '../../car/document/document';
import { type ChosenMotor, type Drive, motorsInWheels } from '../../car/document/drive';
import { caseCooling, type ClippedSink, type Fan, mostFins } from '../../physics/cooling/caseCooling';
import { controllerThermal, USUAL_CONTROLLER_LIMIT_C } from '../../physics/cooling/controllerCooling';
import type { DrivenController } from '../../physics/heat/enduranceDefinition';
import { type ThermalDefinition, USUAL_WINDING_LIMIT_C } from '../../physics/heat/thermal';
import { motorThermalDefaults } from '../../physics/heat/thermalDefaults';
import { caseLimitOf } from './caseLimit';

/** The sink on the motors, and the fan at each. */
const clippedOn = ({ heat = {} }: Drive): ClippedSink | undefined =>
  heat.sinkFinMm === undefined
    ? undefined
    : { finHeightMm: heat.sinkFinMm, lengthMm: heat.sinkLengthMm, fins: heat.sinkFins };

/** Whether more fins are asked for than go round the motor. */
export const tooManyFins = ({ motor, heat = {} }: Drive): boolean =>
  motor !== undefined && heat.sinkFinMm !== undefined && (heat.sinkFins ?? 0) > mostFins(motor);

const fanOf = ({ heat = {} }: Drive): Fan | undefined =>
  heat.fanM3PerH === undefined
    ? undefined
    : { flowM3PerH: heat.fanM3PerH, sizeMm: heat.fanSizeMm, blows: heat.fanBlows };

/** What the fans at the motors draw, A. */
export const fansA = (drive: Drive): number =>
  fanOf(drive) ? motorsInAll(drive) * (drive.heat?.fanA ?? USUAL_FAN_A) : 0;

const bodyOver = (drive: Drive) => (motorsInWheels(drive) ? 'closed' : (drive.heat?.body ?? 'open'));

/** Thermal figures of a motor as it is built in: first guesses, with the readings' correction where there is one. */
export function thermalOf(drive: Drive, motor: ChosenMotor): ThermalDefinition {
  const {
    housing = motor.housing ?? 'closed',
    ambientC = USUAL_AMBIENT_C,
    windingLimitC = USUAL_WINDING_LIMIT_C,
  } = drive.heat ?? {};
  const first = motorThermalDefaults({
    massG: motor.massG,
    diameterMm: motor.diameterMm,
    lengthMm: motor.lengthMm,
    housing,
  });
  const factor = calibrationFor(drive.heat, motor)?.factor ?? 1;
  const cooled = caseCooling(motor, first.caseToAmbientKPerW, bodyOver(drive), {
    sink: clippedOn(drive),
    fan: fanOf(drive),
  });
  return {
    ...first,
    caseHeatCapacityJPerK: first.caseHeatCapacityJPerK + cooled.addedJPerK,
    caseToAmbientKPerW: cooled.caseToAmbientKPerW * factor,
    coolingPerMps: cooled.coolingPerMps,
    ambientC,
    windingLimitC,
    caseLimitC: caseLimitOf(drive).limitC,
  };
}

/** The controllers of a build; they sit under the body that is over the motors. */
export function controllerOf(document: BuildDocument): DrivenController | undefined {
  const { controller } = document.power;
  return (
    controller && {
      ...controllerThermal(controller, document.drive.heat?.body ?? 'open'),
      count: controllersInAll(document),
      limitC: controller.limitC ?? USUAL_CONTROLLER_LIMIT_C,
    }
  );
}

/** What has to be another where the air is already at a limit; nothing where it is under both. */
export function underAir({
  ambientC,
  caseLimitC = Infinity,
  windingLimitC = USUAL_WINDING_LIMIT_C,
}: ThermalDefinition): string[] {
  if (caseLimitC <= ambientC) return ['drive.heat.pinionJoint:underLimit'];
  return windingLimitC <= ambientC ? ['drive.heat.ambientC:underLimit'] : [];
}
