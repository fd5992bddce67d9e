import type { PinionJoint } from '@/core/car/document/heat';
import type { ScrewKind } from '@/core/car/parts/partShape';
import type { End } from '@/core/car/document/suspension';
import type { LoadedPart } from '@/core/worked/parts/loadedPart';
import type { CaseLimit } from '@/core/worked/heat/caseLimit';
import type { PeakCause } from '@/core/worked/drive/peakTorque';
import type { GearRole } from '@/core/worked/drive/stageTeeth';
import type { StageKind } from '@/core/car/stages/stage';

/** The gears of a stage that are not called pinion and wheel. */
const GEAR_NAMES: Readonly<Partial<Record<StageKind, Partial<Record<GearRole, string>>>>> = {
  spur: { wheel: 'spur' },
  bevel: { pinion: 'bevel pinion', wheel: 'bevel wheel' },
  internal: { wheel: 'internal ring' },
  planetary: { pinion: 'sun', wheel: 'ring' },
  differential: { pinion: 'planet of the differential', wheel: 'side gear of the differential' },
};

export const gearName = (kind: StageKind, role: GearRole): string => GEAR_NAMES[kind]?.[role] ?? role;

/** Where a peak torque comes from. */
export const TORQUE_BY: Readonly<Record<PeakCause, string>> = {
  stall: 'the motor’s stall',
  currentLimit: 'the current limit',
  clutch: 'the slip clutch',
  grip: 'the grip of the driven tyres',
  spinUp: 'the motor spinning the tyres up',
  run: 'full throttle at speed',
  landing: 'a landing on one wheel',
};

/** Ways to hold a screw in a printed part. */
export const SCREW_WORDS: Readonly<Record<ScrewKind, string>> = {
  screwInPlastic: 'screws into the plastic',
  nutTrap: 'trapped nuts',
  heatSetInsert: 'heat-set inserts',
  throughBolt: 'bolts right through',
};

/** What keeps the pinion on its shaft. */
export const PINION_HELD_BY: Readonly<Record<PinionJoint, string>> = {
  screw: 'a set screw',
  hotGlue: 'hot glue',
  cyanoacrylate: 'instant glue',
  epoxy: 'epoxy',
  retainingCompound: 'retaining compound',
  printed: 'its press fit',
  flat: 'its flat',
  pin: 'a pin',
};

export const LOAD_FROM: Readonly<Record<LoadedPart['from'], string>> = {
  own: 'the force given',
  link: 'the hardest of a link',
  all: 'all that pulls at it',
  landingFourWheels: 'a landing on four wheels',
  landingOneWheel: 'a landing on one wheel',
  noseCrash: 'a crash on the nose',
  curbStrike: 'a kerb',
  corneringVerticalFront: 'cornering, weight in front',
  corneringVerticalRear: 'cornering, weight at the rear',
  corneringLateralFront: 'cornering, front grip',
  corneringLateralRear: 'cornering, rear grip',
  brakingFront: 'braking in front',
  brakingRear: 'braking at the rear',
  tieRod: 'the stalled servo',
  driveshaft: 'the drive',
};

export const SCREW_TERMS: Readonly<Record<ScrewKind, string>> = {
  screwInPlastic: 'screws into the plastic',
  nutTrap: 'trapped nuts',
  heatSetInsert: 'heat-set inserts',
  throughBolt: 'through bolts',
};

export const END_TERMS: Readonly<Record<End, string>> = { front: 'Front', rear: 'Rear' };

export const CHARGE_TERMS = { full: 'charged', low: 'at its lowest' } as const;

/** What is at its limit of temperature first. */
export const CASE_LIMIT_OF: Readonly<Record<CaseLimit['of'], string>> = {
  pinion: 'the pinion softens on its shaft at',
  glue: 'the pinion’s glue softens at',
  mount: 'the motor mount softens at',
  motor: 'the motor itself is limited to',
};
export const CASE_LIMIT_LABEL: typeof CASE_LIMIT_OF = {
  pinion: 'pinion on its shaft softens',
  glue: 'pinion’s glue softens',
  mount: 'motor mount softens',
  motor: 'limit of the motor',
};
