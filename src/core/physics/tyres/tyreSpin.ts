import { GRAVITY, RAD_PER_S_PER_RPM } from '../../base/constants';
import { type Finding, finding } from '../../base/finding';
import { bisect } from '../../base/numeric/root';
import { checkMake } from './checkMake';
import { spinFree } from './freeRing';
import { hollowShape } from './hollowBody';
import { limitsOf, type SpinConditions, type SpinEnd, type SpinLimit, strengthsOf } from './spinLimits';
import type { Spun } from './spun';
import { bodyOf } from './tyreBody';
import { type TyreMake, type WholeMake, wholeMake } from './tyreKinds';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.tyreSpin.caution': Record<never, never>;
    'note.tyreSpin.runsAway': Record<never, never>;
    'note.tyreSpin.rimAssumed': { rimMm: number };
    'note.tyreSpin.farGrown': { growthPct: number };
  }
}

export interface TyreSpinInput extends TyreMake, SpinConditions {
  /** How far the tread is pressed in under its load. */
  sinkMm?: number;
  /** Turns a minute. */
  rpm?: number;
  /** Of the car, at the grown radius. */
  speedMps?: number;
}

export interface SpinPoint {
  rpm: number;
  diameterMm: number;
  growthPct: number;
  speedMps: number;
}

export interface TyreSpinResult {
  /** Turns a minute. */
  rpm?: number;
  radiusMm?: number;
  diameterMm?: number;
  growthPct?: number;
  vehicleSpeedMps?: number;
  hoopStressMpa?: number;
  /** Radial pull at the rim of a layer. */
  rimStressMpa?: number;
  /** On a length of one edge. */
  rimPullNPerMm?: number;
  /** Multiples of gravity. */
  accelerationGees?: number;
  /** What is left of the tread on the ground, and of the grip; coarse. */
  contactShare?: number;
  gripShare?: number;
  runsAway: boolean;
  runAwayRpm?: number;
  limits?: SpinLimit[];
  limitRpm: number;
  limitSpeedMps?: number;
  endsBy: SpinEnd | 'burst';
  /** Square of the speeds' ratio, as the pull goes. */
  margin?: number;
  massG?: number;
  storedEnergyJ?: number;
  /** What flies when it ends as it is said to. */
  releasedEnergyJ?: number;
  curve?: SpinPoint[];
  caution?: Finding;
  notes: Finding[];
}

const CAUTION_MARGIN = 2;
const CAUTION = finding('note.tyreSpin.caution', {});
const TORN_SHARE = 1 / 6;
const GRIP_EXPONENT = 0.15;
const USUAL_SINK = 0.02;
const FAR_GROWN_PCT = 30;
const CURVE_STEPS = 20;
const CURVE_SHORT_OF_RUNAWAY = 0.9;

/**
 * How a tyre grows with speed, how fast it may turn, and what lets go first: an elastic layer on its rim, a hollow tread on its
 * side-walls, or a free ring.
 *
 * @returns radius in mm, growth in per cent, stress in MPa, pull in N/mm, acceleration in g, energy in J
 * @throws CalcError at a figure of an own tyre or its hold that is missing, at `hold` for a hollow tyre bonded all over, at a
 * hollow tyre's figure on a layer, at `rimRadiusMm` or `wallMm` that leave no tyre, at `rpm` for both or no speed
 * @see Timoshenko and Goodier, Theory of Elasticity (rotating discs, thick rings)
 */
export function tyreSpin(input: TyreSpinInput): TyreSpinResult {
  checkMake(input);
  const make = wholeMake(input);
  const strengths = strengthsOf(make, input);
  if (make.hold === 'free') {
    const spun = spinFree(
      {
        radiusMm: make.radiusMm,
        densityKgM3: make.densityKgM3,
        modulusMpa: make.hoopModulusMpa,
        strengthMpa: make.hoopStrengthMpa * strengths.material,
      },
      input,
    );
    const isCautioned = spun.margin === undefined || spun.margin < CAUTION_MARGIN;
    return {
      ...spun,
      ...(isCautioned ? { caution: CAUTION } : {}),
      notes: spun.runsAway ? [finding('note.tyreSpin.runsAway', {})] : [],
    };
  }
  const body = bodyOf(make);
  const speedAt = (omega: number) => omega * (make.radiusMm / 1000 + body.at(omega).growthM);
  const omega =
    input.rpm === undefined
      ? bisect((one) => speedAt(one) - input.speedMps!, 0, body.runAwayRadPerS)
      : input.rpm * RAD_PER_S_PER_RPM;
  const runsAway = omega >= body.runAwayRadPerS;
  const limits = limitsOf(make, body, strengths, speedAt);
  const first = limits[0]!;
  const rpm = input.rpm ?? omega / RAD_PER_S_PER_RPM;
  const margin = (first.rpm / rpm) ** 2;
  const { massKg, inertia } = massOf(make);
  const storedEnergyJ = 0.5 * inertia * omega ** 2;
  const tears = first.what === 'tearAtRim' || first.what === 'tearOutside';
  const spun = runsAway ? undefined : stateOf(make, body.at(omega), omega, input.sinkMm);
  const curveTo = first.rpm * (first.what === 'runAway' ? CURVE_SHORT_OF_RUNAWAY : 1);
  return {
    rpm,
    ...spun,
    runsAway,
    runAwayRpm: body.runAwayRadPerS / RAD_PER_S_PER_RPM,
    limits,
    limitRpm: first.rpm,
    ...(first.speedMps === undefined ? {} : { limitSpeedMps: first.speedMps }),
    endsBy: first.what,
    margin,
    massG: massKg * 1000,
    storedEnergyJ,
    releasedEnergyJ: storedEnergyJ * (tears ? TORN_SHARE : 1),
    curve: Array.from({ length: CURVE_STEPS + 1 }, (_, k) => {
      const at = ((curveTo * k) / CURVE_STEPS) * RAD_PER_S_PER_RPM;
      const { growthM } = body.at(at);
      return {
        rpm: (curveTo * k) / CURVE_STEPS,
        diameterMm: 2 * (make.radiusMm + growthM * 1000),
        growthPct: (growthM / make.radiusMm) * 1e5,
        speedMps: speedAt(at),
      };
    }),
    ...(margin < CAUTION_MARGIN || runsAway ? { caution: CAUTION } : {}),
    notes: [
      ...(make.rimAssumed ? [finding('note.tyreSpin.rimAssumed', { rimMm: make.rimRadiusMm })] : []),
      ...(runsAway ? [finding('note.tyreSpin.runsAway', {})] : []),
      ...(spun && spun.growthPct > FAR_GROWN_PCT
        ? [finding('note.tyreSpin.farGrown', { growthPct: spun.growthPct })]
        : []),
    ],
  };
}

function stateOf(make: WholeMake, spun: Spun, omega: number, sinkMm = USUAL_SINK * make.radiusMm) {
  const radiusM = make.radiusMm / 1000 + spun.growthM;
  const crownMm = make.crown * spun.growthM * 1000;
  const contactShare = crownMm > sinkMm ? Math.sqrt(sinkMm / crownMm) : 1;
  return {
    radiusMm: radiusM * 1000,
    diameterMm: 2 * radiusM * 1000,
    growthPct: (spun.growthM / make.radiusMm) * 1e5,
    vehicleSpeedMps: omega * radiusM,
    hoopStressMpa: spun.hoopPa / 1e6,
    ...(spun.rimPa === undefined ? {} : { rimStressMpa: spun.rimPa / 1e6 }),
    rimPullNPerMm: spun.pullNPerM / 1000,
    accelerationGees: (omega ** 2 * radiusM) / GRAVITY,
    contactShare,
    gripShare: contactShare ** GRIP_EXPONENT,
  };
}

/** Mass and inertia at rest's shape, kg and kg·m². */
function massOf(make: WholeMake): { massKg: number; inertia: number } {
  const ring = (density: number, outer: number, inner: number, width: number) => {
    const massKg = density * Math.PI * (outer ** 2 - inner ** 2) * width;
    return { massKg, inertia: (massKg * (outer ** 2 + inner ** 2)) / 2 };
  };
  const { R, a, t, ts, w, h, middle, inner } = hollowShape(make);
  if (!make.isHollow) return ring(make.densityKgM3, R, a, w);
  const tread = 2 * Math.PI * middle * t * w * make.densityKgM3;
  const side = (a + inner) / 2;
  const sides = 2 * 2 * Math.PI * side * h * ts * make.densityKgM3;
  const insert = ring(make.insertDensityKgM3, inner, a, w);
  return {
    massKg: tread + sides + insert.massKg,
    inertia: tread * middle ** 2 + sides * side ** 2 + insert.inertia,
  };
}
