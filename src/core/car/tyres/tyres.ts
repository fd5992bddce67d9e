import type { Edit } from '../../base/patch';
import type { KnownTyreKind, SpinHold, TyreMake } from '../../physics/tyres/tyreKinds';
import type { Axle } from '../stages/stage';

/** Copy of a tyre's figures with those of its compound. */
export interface ChosenTyre {
  libraryId?: string;
  name: string;
  compound: string;
  radiusMm: number;
  /** One wheel with its tyre. */
  massG: number;
  /** Squash on flat ground, N/mm; by how it is built where not given. */
  rateNPerMm?: number;
  /** How it is built, which says how it grows with speed. */
  ring?: KnownTyreKind;
  /** Factors on the surface's friction. */
  hardFactor: number;
  looseFactor: number;
}

/** A tyre with its compound, as it is named on the car. */
export const tyreName = ({ name, compound }: Pick<ChosenTyre, 'name' | 'compound'>): string =>
  compound ? `${name}, ${compound}` : name;

/** What keeps a tyre on its rim; nothing rolls without. */
export const TYRE_HOLDS = ['bonded', 'beads', 'clamp', 'friction'] as const satisfies readonly SpinHold[];

/** How the tyres of an axle are made and sit on their rims, as measured or as typical of their kind where not given. */
export interface TyreHold extends Pick<
  TyreMake,
  | 'rimRadiusMm'
  | 'widthMm'
  | 'densityKgM3'
  | 'hoopModulusMpa'
  | 'hoopStrengthMpa'
  | 'bondStrengthMpa'
  | 'bondShearMpa'
  | 'beadMm'
  | 'screws'
  | 'screwPreloadN'
  | 'interferenceMm'
  | 'wallMm'
  | 'insertDensityKgM3'
  | 'pressureMpa'
> {
  by?: (typeof TYRE_HOLDS)[number];
  /** Such a tyre turned so fast on the bench and held. */
  provenRpm?: number;
}

/** Of all wheels, or of the rear ones where the front has its own. */
export interface Tyres {
  tyre?: ChosenTyre;
  frontTyre?: ChosenTyre;
  tyreHold?: TyreHold;
  frontTyreHold?: TyreHold;
}

/** The tyres of one axle: its own where the front has some, else those of all wheels. */
export const tyreAt = ({ tyre, frontTyre }: Tyres, axle: Axle): ChosenTyre | undefined =>
  axle === 'front' && tyre ? (frontTyre ?? tyre) : tyre;

const hasOwnFront = ({ tyre, frontTyre }: Tyres): boolean => tyre !== undefined && frontTyre !== undefined;

/** Axles by the tyres they have, each tyre once. */
export const tyresApart = (drive: Tyres): readonly (readonly Axle[])[] =>
  hasOwnFront(drive) ? [['front'], ['rear']] : [['front', 'rear']];

/** Where the document says how an axle's tyre is chosen and held. */
export const tyreKeys = (drive: Tyres, axle: Axle) =>
  axle === 'front' && hasOwnFront(drive)
    ? ({ tyre: 'frontTyre', hold: 'frontTyreHold' } as const)
    : ({ tyre: 'tyre', hold: 'tyreHold' } as const);

const MEASURED = ['densityKgM3', 'hoopModulusMpa', 'hoopStrengthMpa', 'provenRpm'] as const;

/** Figures measured on a tyre go with it when another takes its place. */
export const forgetMeasured = (drive: Tyres, hold: 'tyreHold' | 'frontTyreHold'): Edit[] =>
  MEASURED.flatMap((key) =>
    drive[hold]?.[key] === undefined ? [] : [{ path: ['drive', hold, key], value: undefined }],
  );
