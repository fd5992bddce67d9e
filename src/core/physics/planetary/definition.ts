import type { Finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';
import type { GearUnderLoad, ToothStrength } from '../transmissions/underLoad';

export const MEMBERS = ['sun', 'ring', 'carrier'] as const;
export type Member = (typeof MEMBERS)[number];
export const TOOTHED = ['sun', 'planet', 'ring'] as const;
export type Toothed = (typeof TOOTHED)[number];

/** Teeth and sizes of one set. */
export interface SetDefinition {
  sunTeeth: number;
  planetTeeth: number;
  ringTeeth: number;
  planets: number;
  moduleMm?: number;
  diametralPitch?: number;
  /** Of a stepped planet: the step that meshes the ring. */
  ringPlanetTeeth?: number;
  ringModuleMm?: number;
  pressureAngleDeg?: number;
  /** In modules. */
  ringAddendum?: number;
  held: Member;
  driving: Member;
  sunMeshEfficiency?: number;
  ringMeshEfficiency?: number;
}

export interface SetStrength {
  faceWidthMm: number;
  ringFaceWidthMm?: number;
  sun: GearUnderLoad;
  planet: GearUnderLoad;
  ring: GearUnderLoad;
  temperatureC?: number;
  overloadFactor?: number;
  /** What the busiest planet carries over its share; from 1 on, by their number where not given. */
  sharingFactor?: number;
  /** On the strength of a tooth that is bent both ways. */
  reversalFactor?: number;
}

/** A set behind another, driven by what the first drives. */
export interface NextSet extends SetDefinition {
  strength?: SetStrength;
}

export interface PlanetaryInput extends SetDefinition {
  /** Of the driving member. */
  speedRpm?: number;
  strength?: SetStrength & { torqueNm: number };
  next?: NextSet;
}

export interface SetStrengthResult extends Record<Toothed, ToothStrength> {
  sharingFactor: number;
  /** Free of losses, without a sign. */
  torquesNm: Record<Member, number>;
  outputTorqueNm: number;
  sunMeshForceN: number;
  ringMeshForceN: number;
  pinForceN: number;
  /** Against the carrier. */
  pitchLineMps: number;
  ringPitchLineMps: number;
  /** Left out without load. */
  weakest?: Toothed;
}

/** How the planets mesh the ring, and how many pairs both of their meshes have. */
export interface RingMesh {
  ringTipDiameterMm: number;
  ringRootDiameterMm: number;
  /** Addendum of the ring at which its tip reaches the end of the planet's involute, in modules. */
  ringAddendumLimit: number;
  involuteInterference: boolean;
  tipInterference: boolean;
  contactRatios: { sun: number; ring: number };
}

export interface SetResult extends RingMesh {
  driven: Member;
  /** Turns of the driving member for one of the driven one; negative where it turns round. */
  ratio: number;
  speedsRpm: Record<Member | 'planet', number>;
  planetRelativeRpm: number;
  assembles: boolean;
  planetAnglesDeg: number[];
  centreDistanceMm: number;
  /** Between the tips of the closest neighbours; left out for one planet. */
  planetGapMm?: number;
  planetsClear: boolean;
  basicEfficiency: number;
  efficiency: number;
  strength?: SetStrengthResult;
}

export interface PlanetaryResult extends SetResult {
  next?: SetResult;
  totalRatio?: number;
  totalEfficiency?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

/** A set with every figure that it needs. */
export interface PlanetarySet {
  sunTeeth: number;
  ringTeeth: number;
  planets: number;
  /** Of the step on the sun, and of the step on the ring. */
  teeth: readonly [onSun: number, onRing: number];
  modulesMm: readonly [onSun: number, onRing: number];
  stepped: boolean;
  /** Rad. */
  pressureAngle: number;
  ringAddendum: number;
  /** Turns of the sun for one of the ring, the carrier held, turned round. */
  fixedRatio: number;
}

const [MM_PER_INCH, RAD] = [25.4, Math.PI / 180];

export function setOf(given: SetDefinition): PlanetarySet {
  const { sunTeeth, planetTeeth, ringTeeth, planets, ringPlanetTeeth, ringModuleMm } = given;
  const moduleMm = given.moduleMm ?? MM_PER_INCH / given.diametralPitch!;
  const onRing = ringPlanetTeeth ?? planetTeeth;
  return {
    sunTeeth,
    ringTeeth,
    planets,
    teeth: [planetTeeth, onRing],
    modulesMm: [moduleMm, ringModuleMm ?? moduleMm],
    stepped: ringPlanetTeeth !== undefined,
    pressureAngle: (given.pressureAngleDeg ?? 20) * RAD,
    ringAddendum: given.ringAddendum ?? 1,
    fixedRatio: (ringTeeth * planetTeeth) / (sunTeeth * onRing),
  };
}

export const centreOf = ({ modulesMm: [moduleMm], sunTeeth, teeth: [planetTeeth] }: PlanetarySet): number =>
  (moduleMm * (sunTeeth + planetTeeth)) / 2;
