import { AIR_SHARE, type Body, REFERENCE_MPS, STILL_W_PER_M2K } from './airflow';
import { alongPlate, type Fins, finnedWPerK, together } from './fins';
import { fanMps } from './caseCooling';

/** How a controller is cooled: by its bare case, by fins on it, or by fins with a fan. */
export const CONTROLLER_COOLINGS = ['bare', 'sink', 'fan'] as const;
export type ControllerCooling = (typeof CONTROLLER_COOLINGS)[number];

export interface ControllerBody {
  massG: number;
  lengthMm?: number;
  widthMm?: number;
  heightMm?: number;
  cooling?: ControllerCooling;
}

/** One mass and its way to the air. */
export interface ControllerThermal {
  heatCapacityJPerK: number;
  toAmbientKPerW: number;
  coolingPerMps: number;
}

/** Where most controllers shut down, °C. */
export const USUAL_CONTROLLER_LIMIT_C = 100;
export const USUAL_CONTROLLER_COOLING: ControllerCooling = 'sink';
/** A usual one with its sink: g/cm³, and its sides over its height; counted and weighed. */
const [DENSITY_G_PER_CM3, LENGTH, WIDTH] = [1.9, 1.6, 1.35];
/** Copper, board and aluminium together, J/(g K). */
const HEAT_J_PER_GK = 0.8;
/** Fins of a sink on a controller, mm. */
const FIN = { height: 8, thickness: 1, gap: 3 };
/** A fan as wide as the sink moves air at this speed, blowing freely, m/s; as data sheets of 25 to 40 mm say. */
const FAN_MPS = 3.2;

/** Sides of a controller, mm, as given or as one of its mass has them. */
export function controllerSides({ massG, lengthMm, widthMm, heightMm }: ControllerBody) {
  const height = 10 * Math.cbrt(massG / DENSITY_G_PER_CM3 / (LENGTH * WIDTH));
  return {
    lengthMm: lengthMm ?? LENGTH * height,
    widthMm: widthMm ?? WIDTH * height,
    heightMm: heightMm ?? height,
  };
}

/**
 * A controller as one mass: its box without the underside it is stuck down with, fins and fan on its top. First guesses.
 *
 * @see Incropera, Fundamentals of Heat and Mass Transfer, eq. 3.107 (fins), 7.30 (plate), section 9.9 (both together)
 */
export function controllerThermal(controller: ControllerBody, body: Body): ControllerThermal {
  const airShare = AIR_SHARE[body].is;
  const { cooling = USUAL_CONTROLLER_COOLING, massG } = controller;
  const sides = controllerSides(controller);
  const [lengthM, widthM, heightM] = [sides.lengthMm, sides.widthMm, sides.heightMm].map(
    (mm) => mm / 1000,
  ) as [number, number, number];
  const sidesM2 = 2 * heightM * (lengthM + widthM);
  const topM2 = lengthM * widthM;
  const blownMps = cooling === 'fan' ? fanInFins(lengthM, widthM) : 0;
  const wPerK = (carMps: number) => {
    const windMps = airShare * carMps;
    const plain = windMps > 0 ? together(STILL_W_PER_M2K, alongPlate(lengthM, windMps)) : STILL_W_PER_M2K;
    const top =
      cooling === 'bare'
        ? plain * topM2
        : finnedWPerK(finsOn(lengthM, widthM), Math.hypot(blownMps, windMps));
    return plain * sidesM2 + top;
  };
  const still = wPerK(0);
  return {
    heatCapacityJPerK: HEAT_J_PER_GK * massG,
    toAmbientKPerW: 1 / still,
    coolingPerMps: (wPerK(REFERENCE_MPS) / still - 1) / REFERENCE_MPS,
  };
}

function finsOn(lengthM: number, widthM: number): Fins {
  const [heightM, thicknessM, gapM] = [FIN.height, FIN.thickness, FIN.gap].map((mm) => mm / 1000) as [
    number,
    number,
    number,
  ];
  const count = Math.max(2, Math.floor((widthM + gapM) / (thicknessM + gapM)));
  return { count, lengthM, heightM, thicknessM, gapM: (widthM - count * thicknessM) / (count - 1) };
}

function fanInFins(lengthM: number, widthM: number): number {
  const sizeMm = 1000 * Math.min(lengthM, widthM);
  const flowM3PerH = FAN_MPS * (Math.PI / 4) * (sizeMm / 1000) ** 2 * 3600;
  return fanMps({ flowM3PerH, sizeMm, blows: 'throughSink' }, finsOn(lengthM, widthM));
}
