import type { PartLoad, PartShape } from './partShape';

/** What a part looks like and carries. */
export interface PartStart {
  readonly shape: PartShape;
  readonly loads: PartLoad[];
}

interface PartKindRecord {
  /** It is asked what breaks it; teeth and shafts have checks of their own. */
  readonly carries?: true;
  /** A shop sells it, rather than a printer makes it. */
  readonly bought?: true;
  /** A plate by nature, which flanges stiffen. */
  readonly plate?: true;
  /** Motor, pack and their like: the document weighs them where they are chosen. */
  readonly weighedWhereChosen?: true;
  /** The list of what to make or buy has it from where it is chosen. */
  readonly listedWhereChosen?: true;
  /** What the tables of the diagnosis call it, where that is another word. */
  readonly diagnosedAs?: string;
  /** What it usually looks like and carries, to be changed to its own. */
  readonly start?: PartStart;
}

const BEAM: PartShape = {
  as: 'beam',
  profile: 'plate',
  support: 'cantilever',
  lengthMm: 30,
  widthMm: 12,
  heightMm: 6,
};
const STRUT: PartShape = { as: 'column', profile: 'round', ends: 'pinned', lengthMm: 50, heightMm: 5 };
const SCREWS: PartShape = {
  as: 'boss',
  screwMm: 3,
  engagementMm: 8,
  wallMm: 3,
  screws: 4,
  screwKind: 'screwInPlastic',
};
const landing: PartLoad = { id: 'landing', from: 'landingOneWheel', bends: 'upright' };
const kerb: PartLoad = { id: 'kerb', from: 'curbStrike', share: 0.5, bends: 'sideways' };

const chosen = { bought: true, weighedWhereChosen: true, listedWhereChosen: true } as const;

const RECORDS = {
  gear: {},
  pinion: {},
  shaft: { bought: true },
  arm: {
    carries: true,
    plate: true,
    start: { shape: { ...BEAM, lengthMm: 40, widthMm: 22, heightMm: 8 }, loads: [landing, kerb] },
  },
  carrier: {
    carries: true,
    diagnosedAs: 'knuckle',
    start: { shape: { ...BEAM, lengthMm: 20 }, loads: [landing, kerb] },
  },
  knuckle: { carries: true, start: { shape: { ...BEAM, lengthMm: 18 }, loads: [landing, kerb] } },
  steeringArm: {
    carries: true,
    diagnosedAs: 'knuckle',
    start: {
      shape: { ...BEAM, lengthMm: 18, widthMm: 8, heightMm: 5 },
      loads: [{ id: 'servo', from: 'tieRod', bends: 'sideways' }],
    },
  },
  link: {
    carries: true,
    start: { shape: STRUT, loads: [{ id: 'kerb', from: 'curbStrike', share: 0.5 }] },
  },
  chassis: {
    carries: true,
    plate: true,
    start: {
      shape: {
        as: 'beam',
        profile: 'flanged',
        support: 'simple',
        lengthMm: 250,
        widthMm: 90,
        heightMm: 4,
        wallMm: 3,
        flangeMm: 14,
      },
      loads: [{ id: 'landing', from: 'landingFourWheels', share: 0.3, bends: 'upright' }],
    },
  },
  motorMount: { carries: true, start: { shape: SCREWS, loads: [landing] } },
  shockTower: {
    carries: true,
    plate: true,
    diagnosedAs: 'chassis',
    start: { shape: { ...BEAM, lengthMm: 15, widthMm: 25, heightMm: 8 }, loads: [landing] },
  },
  brace: {
    carries: true,
    plate: true,
    diagnosedAs: 'chassis',
    start: {
      shape: { ...STRUT, ends: 'fixed', profile: 'plate', widthMm: 10, lengthMm: 90 },
      loads: [{ id: 'kerb', from: 'curbStrike' }],
    },
  },
  hub: { carries: true },
  wheel: { weighedWhereChosen: true },
  tyre: chosen,
  bumper: {
    carries: true,
    plate: true,
    diagnosedAs: 'body',
    start: {
      shape: { as: 'beam', profile: 'plate', support: 'simple', lengthMm: 120, widthMm: 20, heightMm: 10 },
      loads: [{ id: 'kerb', from: 'curbStrike', share: 2, bends: 'upright' }],
    },
  },
  spacer: { carries: true, diagnosedAs: 'other' },
  spring: { bought: true },
  bearing: { bought: true },
  fastener: { bought: true },
  body: {},
  motor: chosen,
  controller: chosen,
  regulator: { bought: true, listedWhereChosen: true },
  receiver: chosen,
  servo: chosen,
  battery: chosen,
  sensor: { bought: true },
  wiring: { bought: true },
  other: { plate: true },
} satisfies Readonly<Record<string, PartKindRecord>>;

export type PartKind = keyof typeof RECORDS;

/** All that is known of each kind of part; its name stands in the words. */
export const PART_KIND_RECORDS: Readonly<Record<PartKind, PartKindRecord>> = RECORDS;
export const PART_KINDS = Object.keys(RECORDS) as PartKind[];

/** What a part of a kind usually looks like and carries. */
export const startOfPart = (kind: PartKind): PartStart =>
  PART_KIND_RECORDS[kind].start ?? { shape: BEAM, loads: [landing] };
