import type { Axle } from '../stages/stage';
import type { PartKind } from './partKinds';

/** Dimensions of a part that is drawn here, mm; what each means depends on what is drawn. */
export const MADE_DIMS = [
  'thicknessMm',
  'widthMm',
  'lengthMm',
  'heightMm',
  'wallMm',
  'holeMm',
  'boreMm',
  'spacingMm',
  'slotMm',
  'filletMm',
  'marginMm',
  'flangeMm',
  'pocketMm',
  'hexMm',
  'lipMm',
] as const;
export type MadeDim = (typeof MADE_DIMS)[number];

export const MADE_COUNTS = ['sections', 'spokes', 'holes'] as const;
export type MadeCount = (typeof MADE_COUNTS)[number];

/** Dimensions that may be none at all. */
export const MADE_MAY_BE_NONE: ReadonlySet<MadeDim> = new Set([
  'slotMm',
  'filletMm',
  'flangeMm',
  'pocketMm',
  'lipMm',
]);

interface MadeRecord {
  /** Dimensions in the order in which they are asked. */
  readonly dims: readonly MadeDim[];
  readonly counts?: readonly MadeCount[];
  /** It belongs to an end of the car. */
  readonly atEnd?: true;
  /** It may be the upper arm. */
  readonly arms?: true;
  /** Two legs in place of a plate. */
  readonly mayBeOpen?: true;
  /** It is made for a measured hole pattern. */
  readonly ofPattern?: true;
  /** Kinds of part that it is usually drawn for. */
  readonly usualFor: readonly PartKind[];
}

const RECORDS = {
  plate: {
    dims: ['thicknessMm', 'marginMm', 'flangeMm', 'wallMm', 'pocketMm', 'holeMm'],
    counts: ['sections'],
    usualFor: ['chassis'],
  },
  motorMount: {
    dims: [
      'thicknessMm',
      'widthMm',
      'lengthMm',
      'heightMm',
      'boreMm',
      'spacingMm',
      'slotMm',
      'holeMm',
      'wallMm',
      'filletMm',
    ],
    usualFor: ['motorMount'],
  },
  bulkhead: {
    dims: ['thicknessMm', 'heightMm', 'wallMm', 'boreMm', 'spacingMm', 'holeMm'],
    atEnd: true,
    usualFor: ['brace'],
  },
  arm: {
    dims: ['thicknessMm', 'widthMm', 'wallMm', 'boreMm', 'holeMm'],
    atEnd: true,
    arms: true,
    mayBeOpen: true,
    usualFor: ['arm'],
  },
  upright: {
    dims: ['thicknessMm', 'wallMm', 'boreMm', 'lengthMm', 'holeMm'],
    atEnd: true,
    usualFor: ['carrier', 'knuckle', 'hub'],
  },
  lever: {
    dims: ['lengthMm', 'widthMm', 'thicknessMm', 'wallMm', 'boreMm', 'holeMm'],
    usualFor: ['steeringArm', 'link'],
  },
  tower: {
    dims: ['thicknessMm', 'heightMm', 'widthMm', 'wallMm', 'holeMm', 'spacingMm'],
    counts: ['holes'],
    atEnd: true,
    usualFor: ['shockTower'],
  },
  servoMount: {
    dims: ['thicknessMm', 'widthMm', 'lengthMm', 'heightMm', 'spacingMm', 'holeMm', 'filletMm'],
    usualFor: ['servo'],
  },
  wheel: {
    dims: ['heightMm', 'widthMm', 'wallMm', 'lipMm', 'thicknessMm', 'hexMm', 'boreMm'],
    counts: ['spokes'],
    atEnd: true,
    usualFor: ['wheel'],
  },
  bumper: {
    dims: ['widthMm', 'lengthMm', 'thicknessMm', 'spacingMm', 'holeMm', 'wallMm'],
    usualFor: ['bumper'],
  },
  tray: {
    dims: ['heightMm', 'thicknessMm', 'wallMm', 'marginMm', 'slotMm', 'holeMm'],
    usualFor: ['battery'],
  },
  guide: {
    dims: ['thicknessMm', 'heightMm', 'wallMm'],
    ofPattern: true,
    usualFor: [],
  },
} satisfies Readonly<Record<string, MadeRecord>>;

export type MadeKind = keyof typeof RECORDS;

/** All that is known of what can be drawn from the document; its name stands in the words. */
export const MADE_RECORDS: Readonly<Record<MadeKind, MadeRecord>> = RECORDS;
export const MADE_KINDS = Object.keys(RECORDS) as MadeKind[];

/** A part that is drawn from the document and a few dimensions of its own; one that is left out is the usual. */
export interface PartMade extends Partial<Record<MadeDim | MadeCount, number>> {
  as: MadeKind;
  end?: Axle;
  arm?: 'lower' | 'upper';
  open?: boolean;
  pattern?: string;
}

/** What is usually drawn for a kind of part. */
export const usuallyMade = (kind: PartKind): MadeKind | undefined =>
  MADE_KINDS.find((one) => MADE_RECORDS[one].usualFor.includes(kind));
