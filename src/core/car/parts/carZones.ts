import type { PartKind } from './partKinds';

/** Where on a car seen from above a part of a kind usually sits, from the nose on. */
export const CAR_ZONES = ['nose', 'corners', 'drive', 'frame', 'electrics'] as const;
export type CarZone = (typeof CAR_ZONES)[number];

export const ZONE_OF: Readonly<Record<PartKind, CarZone>> = {
  bumper: 'nose',
  body: 'nose',
  arm: 'corners',
  carrier: 'corners',
  knuckle: 'corners',
  steeringArm: 'corners',
  link: 'corners',
  hub: 'corners',
  wheel: 'corners',
  tyre: 'corners',
  spring: 'corners',
  shockTower: 'corners',
  gear: 'drive',
  pinion: 'drive',
  shaft: 'drive',
  bearing: 'drive',
  motor: 'drive',
  motorMount: 'drive',
  chassis: 'frame',
  brace: 'frame',
  spacer: 'frame',
  fastener: 'frame',
  other: 'frame',
  controller: 'electrics',
  regulator: 'electrics',
  receiver: 'electrics',
  servo: 'electrics',
  battery: 'electrics',
  sensor: 'electrics',
  wiring: 'electrics',
};
