import { AIR_DENSITY, GRAVITY } from '../../../base/constants';
import { refusal } from '../../../base/errors';
import type { End, SteadyInput, SteadyTyre } from './definition';

declare module '../../../base/errors' {
  interface RefusalFacts {
    'steady.notAllDriven': Record<never, never>;
    'steady.noCentre': Record<never, never>;
  }
}

/** The car with every usual figure filled in; lengths in m. */
export interface Setup {
  massKg: number;
  inertia: number;
  wheelbase: number;
  frontLoadShare: number;
  height: number;
  rollingResistance: number;
  driveFront: number;
  brakeFront: number;
  tyres: Record<End, Required<SteadyTyre>>;
  lateralGripFactor: number;
  cdaM2: number;
  claM2: Record<End, number>;
  sideM2: number;
  /** Of the side force, ahead of the front axle. */
  pressureX: number;
  airDensity: number;
  accel: number;
}

const [USUAL_LOAD_FALLOFF, USUAL_MU_FALLOFF, EVEN] = [0.1, 0.05, 0.5];
const FRONT_OF = { front: 1, rear: 0 };

/** @throws CalcError at `driveFrontShare` of a car that is not driven at all wheels, at `air.centreOfPressureXMm` where needed */
export function setupOf(input: SteadyInput): Setup {
  const { drivenAxles, driveFrontShare, frontLoadShare, air = {}, tyres } = input;
  if (drivenAxles !== 'all' && driveFrontShare !== undefined)
    throw refusal('driveFrontShare', 'steady.notAllDriven');
  const { sideForceSlopeM2: sideM2 = 0, centreOfPressureXMm } = air;
  if (sideM2 > 0 && centreOfPressureXMm === undefined)
    throw refusal('air.centreOfPressureXMm', 'steady.noCentre');
  const driveFront = drivenAxles === 'all' ? (driveFrontShare ?? EVEN) : FRONT_OF[drivenAxles];
  const weight = input.massKg * GRAVITY;
  return {
    massKg: input.massKg,
    inertia: input.yawInertiaKgM2,
    wheelbase: input.wheelbaseMm / 1000,
    frontLoadShare,
    height: input.cgHeightMm / 1000,
    rollingResistance: input.rollingResistance ?? 0,
    driveFront,
    brakeFront: input.brakeFrontShare ?? driveFront,
    tyres: {
      front: tyreOf(tyres.front, weight * frontLoadShare),
      rear: tyreOf(tyres.rear, weight * (1 - frontLoadShare)),
    },
    lateralGripFactor: tyres.lateralGripFactor ?? 1,
    cdaM2: air.cdaM2 ?? 0,
    claM2: { front: air.claFrontM2 ?? 0, rear: air.claRearM2 ?? 0 },
    sideM2,
    pressureX: (centreOfPressureXMm ?? 0) / 1000,
    airDensity: input.airDensityKgM3 ?? AIR_DENSITY,
    accel: input.accelMps2 ?? 0,
  };
}

const tyreOf = (tyre: SteadyTyre, staticN: number): Required<SteadyTyre> => ({
  ...tyre,
  loadFalloff: tyre.loadFalloff ?? USUAL_LOAD_FALLOFF,
  muFalloff: tyre.muFalloff ?? USUAL_MU_FALLOFF,
  referenceLoadN: tyre.referenceLoadN ?? staticN,
});
