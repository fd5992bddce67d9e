import { GRAVITY } from '../../base/constants';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { tyreAt } from '../../car/tyres/tyres';
import { axleRatio, drivenOf } from '../../car/document/drive';
import type { Axle } from '../../car/stages/stage';
import {
  type DifferentialKind,
  type DifferentialResult,
  drivetrainDifferential,
  USUAL_BIAS,
} from '../../physics/gears/differential';
import { massWithPayloadKg } from '../motion/runOfBuild';
import { frictionOf } from '../motion/tyreOfRun';

/** What an axle does with its torque on the straight, in a corner and with one wheel light. */
export interface AxleStory {
  readonly axle: Axle;
  readonly kind: DifferentialKind;
  readonly straight: DifferentialResult;
  readonly corner: DifferentialResult;
  readonly light: DifferentialResult;
}

/** A usual tight corner over the wheelbase, and how light a wheel is in the ditch or on a kerb. */
const CORNER_WHEELBASES = 5;
const LIGHT_SHARE = 0.1;

/** Torque that the axle asks for: enough to use both tyres, so that what the differential loses shows. */
export function differentialsOf(document: BuildDocument, surface: ChosenSurface): AxleStory[] {
  const { drive, chassis } = document;
  const massKg = massWithPayloadKg(document);
  const { frontLoadShare, wheelbaseMm } = chassis;
  if (
    massKg === undefined ||
    frontLoadShare === undefined ||
    wheelbaseMm === undefined ||
    !drive.tyre ||
    !drive.drivenAxles
  )
    return [];
  return drivenOf(drive).flatMap((axle): AxleStory[] => {
    const trackMm = axle === 'front' ? chassis.trackFrontMm : chassis.trackRearMm;
    if (trackMm === undefined) return [];
    const kind = (axle === 'front' ? drive.frontDifferential : drive.rearDifferential) ?? 'open';
    const loadN = massKg * GRAVITY * (axle === 'front' ? frontLoadShare : 1 - frontLoadShare);
    const tyre = tyreAt(drive, axle)!;
    const mu = frictionOf(surface, tyre);
    const ratio = axleRatio(drive, axle);
    const on = (wheelLoadN: readonly [number, number], cornerRadiusM?: number) =>
      drivetrainDifferential({
        kind,
        biasRatio: drive.biasRatio ?? USUAL_BIAS,
        axleTorqueNm: (mu * loadN * tyre.radiusMm) / 1000,
        wheelLoadN,
        mu,
        tyreRadiusMm: tyre.radiusMm,
        trackMm,
        ...(cornerRadiusM === undefined ? {} : { cornerRadiusM }),
        ...(drive.clutchNm === undefined || ratio === undefined
          ? {}
          : { clutchNm: drive.clutchNm, clutchToAxleRatio: ratio / drivenOf(drive).length }),
        ...(drive.steering === 'skid' ? { skid: { massKg, wheelbaseMm, wheelSpeedMps: 1 } } : {}),
      });
    const half = loadN / 2;
    const straight = on([half, half]);
    return [
      {
        axle,
        kind,
        straight,
        corner: on([half, half], (CORNER_WHEELBASES * wheelbaseMm) / 1000),
        light: on([LIGHT_SHARE * half, half]),
      },
    ];
  });
}
