import type { ChosenSurface, SizeClass } from '../document/brief';
import type { ChosenMotor, ChosenTyre, StageKind } from '../document/drive';
import type { ChosenMaterial } from '../material/material';
import type { ChosenPrinter } from '../document/print';
import type {
  ChosenBattery,
  ChosenController,
  PowerLoad,
  PowerRail,
  ServoFigures,
  Transmitter,
} from '../document/power';
import type { Feature } from '../../physics/printing/coupon';
import { type StripTest, withOwnFigures } from './strips';

/** A gear that lies in the workshop. */
export interface GearAtHand {
  name: string;
  role: 'pinion' | 'wheel';
  teeth: number;
  moduleMm: number;
}

export const LIBRARY_KINDS = [
  'motor',
  'battery',
  'controller',
  'tyre',
  'surface',
  'compound',
  'stage',
  'gear',
  'material',
  'servo',
  'regulator',
  'receiver',
  'transmitter',
  'sizeClass',
  'printer',
  'coupon',
] as const;
export type LibraryKind = (typeof LIBRARY_KINDS)[number];

type Supplied = Required<Pick<PowerLoad, 'minV' | 'maxV' | 'typicalA' | 'peakA'>>;

/** What the workshop holds of each kind; a build copies the figures. */
export interface LibraryFigures {
  motor: Omit<ChosenMotor, 'libraryId'>;
  battery: Omit<ChosenBattery, 'libraryId'>;
  controller: Omit<ChosenController, 'libraryId'>;
  /** `compound` is the id of a compound of the same library. */
  tyre: Pick<ChosenTyre, 'name' | 'compound' | 'radiusMm' | 'massG' | 'rateNPerMm' | 'ring'>;
  surface: Omit<ChosenSurface, 'id' | 'libraryId'>;
  compound: { name: string } & Pick<ChosenTyre, 'hardFactor' | 'looseFactor'>;
  stage: { name: string; kind: StageKind; efficiency: number };
  gear: GearAtHand;
  material: LibraryMaterial;
  servo: { name: string } & Supplied & ServoFigures;
  regulator: Omit<PowerRail, 'id' | 'libraryId' | 'from'>;
  receiver: { name: string } & Supplied & Required<Pick<PowerLoad, 'protocol' | 'channels'>>;
  transmitter: Omit<Transmitter, 'libraryId'>;
  sizeClass: Omit<SizeClass, 'libraryId'>;
  printer: Omit<ChosenPrinter, 'id' | 'libraryId'>;
  coupon: ReadCoupon;
}

/** A printed test piece as it was read: what one printer makes of one material. */
export interface ReadCoupon {
  name: string;
  printer: string;
  material: string;
  samples: CouponReading[];
  gaps: { id: string; gapMm: number; freed?: boolean }[];
}

export interface CouponReading {
  id: string;
  kind: Feature;
  nominalMm: number;
  measuredMm?: number;
}

/** A material as the workshop knows it: typical figures, how far apart they are, and strips of its own that were broken. */
export interface LibraryMaterial extends Omit<ChosenMaterial, 'libraryId'> {
  ranges?: Readonly<Partial<Record<RangedFigure, readonly [number, number]>>>;
  source?: string;
  strips?: StripTest[];
}

export const RANGED_FIGURES = ['modulusMpa', 'inPlaneStrengthMpa', 'interlayerStrengthMpa'] as const;
export type RangedFigure = (typeof RANGED_FIGURES)[number];

export interface LibraryItem<K extends LibraryKind = LibraryKind> {
  id: string;
  kind: K;
  data: LibraryFigures[K];
}

export const KIND_NAMES: Readonly<Record<LibraryKind, { one: string; many: string }>> = {
  motor: { one: 'motor', many: 'Motors' },
  battery: { one: 'pack', many: 'Packs' },
  controller: { one: 'controller', many: 'Controllers' },
  tyre: { one: 'tyre', many: 'Tyres' },
  surface: { one: 'surface', many: 'Surfaces' },
  compound: { one: 'compound', many: 'Tyre compounds' },
  stage: { one: 'stage', many: 'Reduction stages' },
  gear: { one: 'gear', many: 'Gears at hand' },
  material: { one: 'material', many: 'Materials' },
  servo: { one: 'servo', many: 'Servos' },
  regulator: { one: 'regulator', many: 'Regulators' },
  receiver: { one: 'receiver', many: 'Receivers' },
  transmitter: { one: 'transmitter', many: 'Transmitters' },
  sizeClass: { one: 'size class', many: 'Size classes' },
  printer: { one: 'printer', many: 'Printers' },
  coupon: { one: 'test piece', many: 'Test pieces' },
};

export function itemsOf<K extends LibraryKind>(items: readonly LibraryItem[], kind: K): LibraryItem<K>[] {
  return items.filter((item): item is LibraryItem<K> => item.kind === kind);
}

/** A tyre's figures with those of its compound, as a build copies them. */
export function tyreForBuild(tyre: LibraryItem<'tyre'>, items: readonly LibraryItem[]): ChosenTyre {
  const compound = itemsOf(items, 'compound').find(({ id }) => id === tyre.data.compound);
  return {
    libraryId: tyre.id,
    ...tyre.data,
    compound: compound?.data.name ?? tyre.data.compound,
    hardFactor: compound?.data.hardFactor ?? 1,
    looseFactor: compound?.data.looseFactor ?? 1,
  };
}

/** A material's figures as a build copies them, with the strengths of the workshop's own strips. */
export function materialForBuild({
  id,
  data: { ranges: _, source: __, strips = [], ...figures },
}: LibraryItem<'material'>): ChosenMaterial {
  return { libraryId: id, ...withOwnFigures(figures, strips) };
}

/** The gears that lie in the workshop. */
export const gearsAtHand = (items: readonly LibraryItem[]): GearAtHand[] =>
  itemsOf(items, 'gear').map(({ data }) => data);

/** A servo or a receiver as a build hangs it on a rail. */
export function loadForBuild(
  item: LibraryItem<'servo'> | LibraryItem<'receiver'>,
): Omit<PowerLoad, 'id' | 'rail'> {
  if (item.kind === 'receiver')
    return { libraryId: item.id, ...item.data, kind: 'receiver' } as Omit<PowerLoad, 'id' | 'rail'>;
  const { name, minV, maxV, typicalA, peakA, ...servo } = (item as LibraryItem<'servo'>).data;
  return { libraryId: item.id, name, kind: 'servo', minV, maxV, typicalA, peakA, servo };
}
