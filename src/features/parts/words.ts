import { LOAD_FROM } from '@/words/terms';
import { LOAD_CASES } from '@/core/physics/strength/loadCases';

export const LOAD_OPTIONS: readonly { id: string; name: string }[] = [
  ...LOAD_CASES.filter((name) => name !== 'driveshaft').map((name) => ({ id: name, name: LOAD_FROM[name] })),
  { id: 'link', name: LOAD_FROM.link },
  { id: 'own', name: 'a force of my own' },
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
