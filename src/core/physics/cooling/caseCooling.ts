import { AIR_SHARE, type Body, coolingPerMps, crossFlow, REFERENCE_MPS, STILL_W_PER_M2K } from './airflow';
import { type Fins, finnedWPerK } from './fins';

/** A sink clipped round a motor, its fins along the shaft; what is not given is as usual. */
export interface ClippedSink {
  finHeightMm: number;
  lengthMm?: number;
  fins?: number;
  finThicknessMm?: number;
}

export const FAN_BLOWS = ['free', 'throughSink'] as const;
export interface Fan {
  /** As its data sheet says, blowing freely. */
  flowM3PerH: number;
  /** Width of its opening. */
  sizeMm?: number;
  blows?: (typeof FAN_BLOWS)[number];
}

export interface Cylinder {
  diameterMm: number;
  lengthMm: number;
}

/** What the sink on a motor is where it is not said: share of its length and of its way round, fins and gaps, wall, mm. */
export const USUAL_SINK = { lengthShare: 0.8, finThicknessMm: 1.2, gapMm: 4, wallMm: 1.5 } as const;
const AROUND = 0.75;
/** No tool makes narrower gaps, mm. */
const LEAST_GAP_MM = 0.5;
export const USUAL_FAN_MM = 30;
/** Share of a fan's flow that is left against what it blows at; by judgement, 0.3 to 0.7. */
const FLOW_LEFT = 0.5;
/** Two rough faces of aluminium with air between them, m² K/W. Source: Incropera, table 3.1. */
const CONTACT_M2K_PER_W = 2.75e-4;
/** J/(m³ K) of aluminium. Source: Incropera, table A.1. */
const ALUMINIUM_J_PER_M3K = 2.43e6;

const arcMm = ({ diameterMm }: Cylinder) => Math.PI * diameterMm * AROUND;

/** Fins that go round a motor. */
export function mostFins(motor: Cylinder, finThicknessMm: number = USUAL_SINK.finThicknessMm): number {
  return Math.max(2, Math.floor((arcMm(motor) + LEAST_GAP_MM) / (finThicknessMm + LEAST_GAP_MM)));
}

/** Fins of a sink that does not say how many it has. */
export function usualFins(motor: Cylinder, finThicknessMm: number = USUAL_SINK.finThicknessMm): number {
  const { gapMm } = USUAL_SINK;
  return Math.max(2, Math.floor((arcMm(motor) + gapMm) / (finThicknessMm + gapMm)));
}

/** A sink's fins, laid out flat. */
export function finsOf(motor: Cylinder, sink: ClippedSink): Fins {
  const { finThicknessMm = USUAL_SINK.finThicknessMm } = sink;
  const count = Math.min(mostFins(motor, finThicknessMm), sink.fins ?? usualFins(motor, finThicknessMm));
  return {
    count,
    lengthM: (sink.lengthMm ?? USUAL_SINK.lengthShare * motor.lengthMm) / 1000,
    heightM: sink.finHeightMm / 1000,
    thicknessM: finThicknessMm / 1000,
    gapM: (arcMm(motor) - count * finThicknessMm) / (count - 1) / 1000,
  };
}

/** Air speed of a fan, m/s: over its own opening, or in the gaps of the fins that it blows through. */
export function fanMps({ flowM3PerH, sizeMm = USUAL_FAN_MM, blows = 'free' }: Fan, fins?: Fins): number {
  const openM2 =
    fins && blows === 'throughSink'
      ? Math.max(1, fins.count - 1) * fins.gapM * fins.heightM
      : (Math.PI / 4) * (sizeMm / 1000) ** 2;
  return (FLOW_LEFT * flowM3PerH) / 3600 / openM2;
}

export interface CaseCooling {
  caseToAmbientKPerW: number;
  coolingPerMps: number;
  /** Of the sink, J/K. */
  addedJPerK: number;
}

/**
 * A motor's way to the air with a sink and a fan on it: what stays bare, the sink in series with its seat, and what the fan
 * adds, as the line through rest and 5 m/s. Wind and fan add as squares of speed.
 *
 * @param bareKPerW of the motor's case alone, standing
 * @see Incropera, Fundamentals of Heat and Mass Transfer, eq. 3.107 (fins), 7.52 (Hilpert), table 3.1 (contact)
 */
export function caseCooling(
  motor: Cylinder,
  bareKPerW: number,
  body: Body,
  { sink, fan }: { sink?: ClippedSink; fan?: Fan },
): CaseCooling {
  const airShare = AIR_SHARE[body].is;
  const wind = coolingPerMps(motor.diameterMm, body);
  if (!sink && !fan) return { caseToAmbientKPerW: bareKPerW, coolingPerMps: wind, addedJPerK: 0 };
  const [diameterM, lengthM] = [motor.diameterMm / 1000, motor.lengthMm / 1000];
  const caseM2 = Math.PI * diameterM * (lengthM + diameterM / 2);
  const fins = sink && finsOf(motor, sink);
  const seatM2 = fins ? (arcMm(motor) / 1000) * Math.min(lengthM, fins.lengthM) : 0;
  const bareShare = Math.max(0, 1 - seatM2 / caseM2);
  const blownMps = fan ? fanMps(fan, fins) : 0;
  const blowsOnCase = fan && !(fins && fan.blows === 'throughSink');
  const fanWPerM2K = (windMps: number) => {
    if (!blowsOnCase) return 0;
    const alone = Math.max(STILL_W_PER_M2K, crossFlow(diameterM, windMps));
    return Math.max(0, crossFlow(diameterM, Math.hypot(blownMps, windMps)) - alone);
  };
  const wPerK = (carMps: number) => {
    const windMps = airShare * carMps;
    const bare = bareShare * ((1 + wind * carMps) / bareKPerW + fanWPerM2K(windMps) * caseM2);
    if (!fins) return bare;
    const given = finnedWPerK(fins, Math.hypot(blownMps, windMps));
    return bare + 1 / (CONTACT_M2K_PER_W / seatM2 + 1 / given);
  };
  const still = wPerK(0);
  return {
    caseToAmbientKPerW: 1 / still,
    coolingPerMps: Math.max(0, (wPerK(REFERENCE_MPS) / still - 1) / REFERENCE_MPS),
    addedJPerK: fins ? sinkM3(fins, seatM2) * ALUMINIUM_J_PER_M3K : 0,
  };
}

const sinkM3 = ({ count, heightM, thicknessM, lengthM }: Fins, seatM2: number): number =>
  count * heightM * thicknessM * lengthM + (seatM2 * USUAL_SINK.wallMm) / 1000;
