import type { Part, PartKind, PartLoad, PartShape } from '@/core/car/document/parts';
import { LOAD_FROM } from '@/words/terms';
import { LOAD_CASES } from '@/core/physics/strength/loadCases';

const KIND_WORDS: Readonly<Partial<Record<PartKind, string>>> = {
  motorMount: 'motor mount',
  steeringArm: 'steering arm',
  shockTower: 'shock tower',
  chassis: 'chassis plate',
  other: 'own',
};
export const kindWords = (kind: PartKind): string => KIND_WORDS[kind] ?? kind;

export const LOAD_OPTIONS: readonly (readonly [string, string])[] = [
  ...LOAD_CASES.filter((name) => name !== 'driveshaft').map((name) => [name, LOAD_FROM[name]] as const),
  ['own', 'a force of my own'],
];

export const PROFILE_WORDS = [
  ['plate', 'flat plate or bar'],
  ['flanged', 'plate with flanges'],
  ['round', 'round bar'],
  ['tube', 'tube'],
  ['box', 'box'],
] as const;
export const SUPPORT_WORDS = [
  ['cantilever', 'at one end'],
  ['simple', 'resting at both ends'],
  ['fixed', 'clamped at both ends'],
] as const;
export const END_WORDS = [
  ['pinned', 'joints at both'],
  ['fixed-pinned', 'one fixed, one joint'],
  ['fixed', 'both fixed'],
  ['fixed-free', 'one fixed, one free'],
] as const;
export const AS_WORDS = [
  ['beam', 'a beam that bends'],
  ['column', 'a strut that is pressed'],
  ['boss', 'screws that are pulled'],
] as const;

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

const STARTS: Readonly<Partial<Record<PartKind, Pick<Part, 'shape' | 'loads'>>>> = {
  arm: { shape: { ...BEAM, lengthMm: 40, widthMm: 22, heightMm: 8 }, loads: [landing, kerb] },
  carrier: { shape: { ...BEAM, lengthMm: 20 }, loads: [landing, kerb] },
  knuckle: { shape: { ...BEAM, lengthMm: 18 }, loads: [landing, kerb] },
  steeringArm: {
    shape: { ...BEAM, lengthMm: 18, widthMm: 8, heightMm: 5 },
    loads: [{ id: 'servo', from: 'tieRod', bends: 'sideways' }],
  },
  link: { shape: STRUT, loads: [{ id: 'kerb', from: 'curbStrike', share: 0.5 }] },
  chassis: {
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
  motorMount: { shape: SCREWS, loads: [landing] },
  shockTower: { shape: { ...BEAM, lengthMm: 15, widthMm: 25, heightMm: 8 }, loads: [landing] },
  brace: {
    shape: { ...STRUT, ends: 'fixed', profile: 'plate', widthMm: 10, lengthMm: 90 },
    loads: [{ id: 'kerb', from: 'curbStrike' }],
  },
  bumper: {
    shape: { as: 'beam', profile: 'plate', support: 'simple', lengthMm: 120, widthMm: 20, heightMm: 10 },
    loads: [{ id: 'kerb', from: 'curbStrike', share: 2, bends: 'upright' }],
  },
};

/** What a part of a kind usually looks like and bears, to be changed to its own. */
export const startOf = (kind: PartKind): Pick<Part, 'shape' | 'loads'> =>
  STARTS[kind] ?? { shape: BEAM, loads: [landing] };
