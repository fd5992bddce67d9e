export const TYRE_KINDS = [
  'foam',
  'solid rubber',
  'printed flexible',
  'hollow rubber',
  'hollow rubber with insert',
  'belted',
  'air-filled',
  'own',
] as const;
export type TyreKind = (typeof TYRE_KINDS)[number];
export type KnownTyreKind = Exclude<TyreKind, 'own'>;
export const KNOWN_TYRE_KINDS = TYRE_KINDS.filter((kind): kind is KnownTyreKind => kind !== 'own');

/** What keeps a tyre on its rim: glue all over, glue at its beads, a bolted ring, tightness alone; or nothing, a loop on its own. */
export const SPIN_HOLDS = ['bonded', 'beads', 'clamp', 'friction', 'free'] as const;
export type SpinHold = (typeof SPIN_HOLDS)[number];

/** How a tyre is made and held, as far as it is known. */
export interface TyreMake {
  kind: TyreKind;
  /** Outer, at rest. */
  radiusMm: number;
  hold?: SpinHold;
  rimRadiusMm?: number;
  widthMm?: number;
  densityKgM3?: number;
  /** Young's modulus of the layer, or of a hollow tyre's tread. */
  hoopModulusMpa?: number;
  /** Tensile, nominal. */
  hoopStrengthMpa?: number;
  poisson?: number;
  /** Pulled off. */
  bondStrengthMpa?: number;
  bondShearMpa?: number;
  /** Where the glue holds nothing any more. */
  bondSofteningC?: number;
  /** How much more the glue's edge is pulled than its middle. */
  edgeFactor?: number;
  /** Of the glue at each bead. */
  beadMm?: number;
  screws?: number;
  screwPreloadN?: number;
  clampFriction?: number;
  /** Diametral. */
  interferenceMm?: number;
  wallMm?: number;
  sidewallMm?: number;
  sidewallModulusMpa?: number;
  sidewallStrengthMpa?: number;
  insertDensityKgM3?: number;
  pressureMpa?: number;
}

interface Typical {
  densityKgM3: number;
  hoopModulusMpa: number;
  hoopStrengthMpa: number;
  poisson: number;
  bondStrengthMpa: number;
  bondShearMpa: number;
  /** How much more the middle of the tread grows than its edges, share of the growth. */
  crown: number;
  isHollow: boolean;
  sidewallModulusMpa?: number;
  sidewallStrengthMpa?: number;
  insertDensityKgM3?: number;
  pressureMpa?: number;
}

const rubber = { densityKgM3: 1150, hoopModulusMpa: 4, hoopStrengthMpa: 12, poisson: 0.49 };
const glued = { bondStrengthMpa: 2.5, bondShearMpa: 2.5 };

/** Typical of each kind, to start with, by judgement; a spin bench tells the modulus and the strength of one's own. */
const TYPICAL: Readonly<Record<KnownTyreKind, Typical>> = {
  foam: {
    densityKgM3: 180,
    hoopModulusMpa: 2.5,
    hoopStrengthMpa: 2,
    poisson: 0.3,
    bondStrengthMpa: 2,
    bondShearMpa: 1.5,
    crown: 0.2,
    isHollow: false,
  },
  'solid rubber': { ...rubber, ...glued, crown: 0.2, isHollow: false },
  'printed flexible': {
    densityKgM3: 1210,
    hoopModulusMpa: 26,
    hoopStrengthMpa: 20,
    poisson: 0.45,
    bondStrengthMpa: 2,
    bondShearMpa: 2,
    crown: 0.3,
    isHollow: false,
  },
  'hollow rubber': { ...rubber, ...glued, crown: 0.7, isHollow: true },
  'hollow rubber with insert': { ...rubber, ...glued, crown: 0.5, isHollow: true, insertDensityKgM3: 60 },
  belted: {
    densityKgM3: 1180,
    hoopModulusMpa: 1400,
    hoopStrengthMpa: 42,
    poisson: 0.49,
    ...glued,
    crown: 0.1,
    isHollow: true,
    sidewallModulusMpa: 4,
    sidewallStrengthMpa: 12,
  },
  'air-filled': { ...rubber, ...glued, crown: 0.5, isHollow: true, pressureMpa: 0.03 },
};
const OWN = { poisson: 0.3, bondStrengthMpa: 2, bondShearMpa: 2, crown: 0.3 };

const USUAL_RIM = 0.6;
const USUAL_WIDTH = 0.8;
const USUAL_WALL = 0.06;
const USUAL_EDGE = 1.5;
const USUAL_BEAD_MM = 4;
const USUAL_SOFTENING_C = 80;
const USUAL_CLAMP_FRICTION = 0.5;

/** A make with every figure: its own where given, else typical of its kind. */
export interface WholeMake extends Required<
  Omit<TyreMake, 'screws' | 'screwPreloadN' | 'interferenceMm' | 'sidewallModulusMpa'>
> {
  screws: number;
  screwPreloadN: number;
  interferenceMm: number;
  /** Left out where the side-walls are as stiff as the tread, whatever that is. */
  sidewallModulusMpa?: number;
  crown: number;
  isHollow: boolean;
  rimAssumed: boolean;
}

export const isHollowMake = ({ kind, wallMm }: Pick<TyreMake, 'kind' | 'wallMm'>): boolean =>
  kind === 'own' ? wallMm !== undefined : TYPICAL[kind].isHollow;

/** How a kind usually sits on its rim; an own one without a rim is a loop on nothing. */
export const usualHold = (make: Pick<TyreMake, 'kind' | 'wallMm' | 'rimRadiusMm'>): SpinHold =>
  make.kind === 'own' && make.rimRadiusMm === undefined ? 'free' : isHollowMake(make) ? 'beads' : 'bonded';

/** Fills in what is not given; an own tyre has been asked for density, modulus and strength before. */
export function wholeMake(make: TyreMake): WholeMake {
  const typical: Partial<Typical> & typeof OWN = make.kind === 'own' ? OWN : TYPICAL[make.kind];
  const wallMm = make.wallMm ?? USUAL_WALL * make.radiusMm;
  const hoopStrengthMpa = make.hoopStrengthMpa ?? typical.hoopStrengthMpa ?? Infinity;
  const sidewallModulusMpa = make.sidewallModulusMpa ?? typical.sidewallModulusMpa;
  return {
    kind: make.kind,
    radiusMm: make.radiusMm,
    hold: make.hold ?? usualHold(make),
    rimRadiusMm: make.rimRadiusMm ?? USUAL_RIM * make.radiusMm,
    rimAssumed: make.rimRadiusMm === undefined,
    widthMm: make.widthMm ?? USUAL_WIDTH * make.radiusMm,
    densityKgM3: make.densityKgM3 ?? typical.densityKgM3!,
    hoopModulusMpa: make.hoopModulusMpa ?? typical.hoopModulusMpa!,
    hoopStrengthMpa,
    poisson: make.poisson ?? typical.poisson,
    bondStrengthMpa: make.bondStrengthMpa ?? typical.bondStrengthMpa,
    bondShearMpa: make.bondShearMpa ?? typical.bondShearMpa,
    bondSofteningC: make.bondSofteningC ?? USUAL_SOFTENING_C,
    edgeFactor: make.edgeFactor ?? USUAL_EDGE,
    beadMm: make.beadMm ?? USUAL_BEAD_MM,
    screws: make.screws ?? 0,
    screwPreloadN: make.screwPreloadN ?? 0,
    clampFriction: make.clampFriction ?? USUAL_CLAMP_FRICTION,
    interferenceMm: make.interferenceMm ?? 0,
    wallMm,
    sidewallMm: make.sidewallMm ?? wallMm,
    ...(sidewallModulusMpa === undefined ? {} : { sidewallModulusMpa }),
    sidewallStrengthMpa: make.sidewallStrengthMpa ?? typical.sidewallStrengthMpa ?? hoopStrengthMpa,
    insertDensityKgM3: make.insertDensityKgM3 ?? typical.insertDensityKgM3 ?? 0,
    pressureMpa: make.pressureMpa ?? typical.pressureMpa ?? 0,
    crown: typical.crown,
    isHollow: isHollowMake(make),
  };
}
