import { tyreAt } from '../../car/tyres/tyres';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { PowerLoad, ServoFigures } from '../../car/document/power';
import { GRAVITY } from '../../base/constants';
import { massWithPayloadKg } from '../motion/runOfBuild';
import { frictionOf } from '../motion/tyreOfRun';
import type { Assembled } from '../../base/assembled';
import { CalcError } from '../../base/errors';
import { steerGeometryOf } from '../suspension/steeringOfBuild';
import {
  type ServoPoint,
  servoSteer,
  type ServoSteerInput,
  type ServoSteerResult,
  servoTorque,
  type ServoTorqueResult,
} from '../../physics/supply/servo';
import { supplyOf } from './supplyOfBuild';

export interface ServoOfBuild {
  input: ServoSteerInput;
  steer: ServoSteerResult;
  /** At the volts of a low pack. */
  low: ServoTorqueResult;
  full: ServoTorqueResult;
  volts: { full: number; low: number };
}

export function pointsOf({
  lowV,
  lowTorqueKgcm,
  lowSecondsPer60Deg,
  highV,
  highTorqueKgcm,
  highSecondsPer60Deg,
}: ServoFigures): ServoPoint[] {
  const point = (volts?: number, torqueKgcm?: number, secondsPer60Deg?: number): ServoPoint[] =>
    volts === undefined || torqueKgcm === undefined
      ? []
      : [{ volts, torqueKgcm, ...(secondsPer60Deg === undefined ? {} : { secondsPer60Deg }) }];
  return [
    ...point(lowV, lowTorqueKgcm, lowSecondsPer60Deg),
    ...point(highV, highTorqueKgcm, highSecondsPer60Deg),
  ];
}

/** A steering servo at the volts that reach it, against wheels turned at a standstill; or what is missing. */
export function servoOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  load: PowerLoad,
  motorPeakA: number,
): Assembled<ServoOfBuild> {
  const { chassis, drive } = document;
  const supply = supplyOf(document, motorPeakA);
  const points = pointsOf(load.servo ?? {});
  const drawn = steerGeometryOf(document);
  const {
    contactWidthMm,
    linkageEfficiency,
    scrubRadiusMm = drawn && Math.abs(drawn.scrubRadiusMm),
    linkageRatio = drawn?.linkageRatio,
  } = load.steer ?? {};
  const massKg = massWithPayloadKg(document);
  const needed = {
    'brief.surfaces': surface,
    'drive.tyre': drive.tyre,
    'chassis.massG': massKg,
    'chassis.frontLoadShare': chassis.frontLoadShare,
    [`power.loads.${load.id}.steer.contactWidthMm`]: contactWidthMm,
    [`power.loads.${load.id}.steer.scrubRadiusMm`]: scrubRadiusMm,
    [`power.loads.${load.id}.torque`]: points[0],
  };
  const missing = [
    ...(supply.ok ? [] : supply.refused ? ['power.rails:refused'] : supply.missing),
    ...Object.entries(needed)
      .filter(([, value]) => value === undefined)
      .map(([name]) => name),
  ];
  if (missing.length > 0 || !supply.ok) return { ok: false, missing };
  const own = supply.result.loads.find(({ id }) => id === load.id)!;
  const wheelN = (massKg! * GRAVITY * chassis.frontLoadShare!) / 2;
  const volts = { full: own.full.volts, low: own.low.volts };
  const input: ServoSteerInput = {
    wheelLoadN: [wheelN, wheelN],
    mu: frictionOf(surface!, tyreAt(drive, 'front')!),
    contactWidthMm: contactWidthMm!,
    scrubRadiusMm: scrubRadiusMm!,
    ...(linkageRatio === undefined ? {} : { linkageRatio }),
    ...(drawn?.liftMmPerN === undefined ? {} : { liftNmm: drawn.liftMmPerN * wheelN }),
    ...(linkageEfficiency === undefined ? {} : { linkageEfficiency }),
    servo: { points, volts: Math.min(volts.full, volts.low) },
  };
  try {
    return {
      ok: true,
      value: {
        input,
        steer: servoSteer(input),
        low: servoTorque({ points, volts: volts.low }),
        full: servoTorque({ points, volts: volts.full }),
        volts,
      },
    };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { ok: false, missing: [`power.loads.${load.id}.torque:twoVoltages`] };
  }
}
