import { type Assembled, missingOf } from '../../base/assembled';
import { GRAVITY } from '../../base/constants';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { tyreAt } from '../../car/tyres/tyres';
import type { SteadyInput } from '../../physics/handling/steady/definition';
import { weightOf } from '../chassis/weightOfBuild';
import { frictionAcross } from '../motion/tyreOfRun';
import { airOfBuild, sideAirOf } from '../air/airOfBuild';

/** Cornering stiffness over load where none is given, by judgement between Gillespie, ch. 6, and Wong on soft ground, 1/rad. */
export const USUAL_CORNERING_PER_RAD = { hard: 9, loose: 5 } as const;
/** A build straight ahead on a surface, as `handling.steady` takes it; or what is missing. */
export function steadyInputOf(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { speedMps, accelMps2 = 0 }: { speedMps: number; accelMps2?: number },
): Assembled<SteadyInput> {
  const weight = weightOf(document);
  const { chassis, drive, suspension } = document;
  const missing = [
    ...(weight.ok ? [] : weight.missing),
    ...missingOf({
      'brief.surfaces': surface,
      'drive.tyre': drive.tyre,
      'drive.drivenAxles': drive.drivenAxles,
    }),
  ];
  if (missing.length > 0 || !weight.ok) return { ok: false, missing };
  const { massG, cgMm, balance } = weight.value;
  const wheelbaseMm = chassis.wheelbaseMm!;
  const frontLoadShare = 1 + cgMm[0] / wheelbaseMm;
  if (!(frontLoadShare > 0 && frontLoadShare < 1))
    return { ok: false, missing: ['chassis.frontLoadShare:betweenAxles'] };
  const massKg = massG / 1000;
  const trackMm = (chassis.trackFrontMm! + chassis.trackRearMm!) / 2;
  const usual = USUAL_CORNERING_PER_RAD[surface!.ground];
  const { corneringFrontPerRad, corneringRearPerRad } = suspension.aids?.tyre ?? {};
  const evenN = (massKg * GRAVITY) / 2;
  // a typical stiffness over the load is one at an even load, a measured one that of the load it was measured at
  const stiffness = (measured: number | undefined) =>
    measured === undefined
      ? { corneringPerRad: usual, referenceLoadN: evenN }
      : { corneringPerRad: measured };
  const { mechanicalFrontNm: front = 0, mechanicalRearNm: rear = 0 } = drive.brakes ?? {};
  const { cdaM2 = 0, claFrontM2, claRearM2 } = airOfBuild(document);
  return {
    ok: true,
    value: {
      massKg,
      yawInertiaKgM2: balance?.yawInertiaKgM2 ?? (massKg * (wheelbaseMm ** 2 + trackMm ** 2)) / 12e6,
      wheelbaseMm,
      frontLoadShare,
      cgHeightMm: cgMm[2],
      rollingResistance: surface!.rollingResistance,
      drivenAxles: drive.drivenAxles!,
      ...(front + rear > 0 ? { brakeFrontShare: front / (front + rear) } : {}),
      tyres: {
        front: {
          ...stiffness(corneringFrontPerRad),
          mu: frictionAcross(surface!, tyreAt(drive, 'front')!),
        },
        rear: { ...stiffness(corneringRearPerRad), mu: frictionAcross(surface!, tyreAt(drive, 'rear')!) },
        ...(surface!.lateralGripFactor === undefined
          ? {}
          : { lateralGripFactor: surface!.lateralGripFactor }),
      },
      air: { cdaM2, claFrontM2, claRearM2, ...sideAirOf(document) },
      speedMps,
      accelMps2,
    },
  };
}
