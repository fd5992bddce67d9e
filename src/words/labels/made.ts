import type { MadeCount, MadeDim, MadeKind } from '@/core/car/parts/partMade';

/** What can be drawn from the document. */
export const MADE_NAMES: Readonly<Record<MadeKind, string>> = {
  plate: 'Chassis plate',
  motorMount: 'Motor mount',
  bulkhead: 'Bulkhead',
  arm: 'Suspension arm',
  upright: 'Carrier or knuckle',
  lever: 'Steering arm or horn',
  tower: 'Shock tower',
  servoMount: 'Servo mount, one of two',
  wheel: 'Wheel',
  bumper: 'Bumper',
  tray: 'Pack tray',
  guide: 'Drill guide',
};

/** What a dimension means in a kind of drawing, where that is not its usual label. */
export const MADE_DIM_NAMES: Readonly<Record<MadeKind, Partial<Record<MadeDim | MadeCount, string>>>> = {
  plate: {
    marginMm: 'Beyond what it carries',
    wallMm: 'Walls of flanges and pockets',
    pocketMm: 'Pockets, square',
    holeMm: 'Screws of the bulkheads, M',
  },
  motorMount: {
    lengthMm: 'Foot, long',
    heightMm: 'Shaft over the plate',
    boreMm: 'Boss of the can',
    spacingMm: 'Face screws apart',
    slotMm: 'Slots to set the mesh',
    holeMm: 'Screws, M',
    filletMm: 'Fillet in the corner',
  },
  bulkhead: {
    thicknessMm: 'Along the car',
    heightMm: 'Hinge over its foot',
    boreMm: 'Hinge pin',
    spacingMm: 'Screws apart',
    holeMm: 'Screws from below, M',
  },
  arm: { widthMm: 'Legs, wide', boreMm: 'Hinge pin', holeMm: 'Outer pin or ball' },
  upright: {
    thicknessMm: 'Along the axle',
    boreMm: 'Bearing, across',
    lengthMm: 'Bearing, wide',
    holeMm: 'Pins or balls',
  },
  lever: { lengthMm: 'Between its holes', boreMm: 'On the shaft', holeMm: 'Ball' },
  tower: {
    heightMm: 'Damper eye over its foot',
    widthMm: 'Foot screws apart',
    spacingMm: 'From hole to hole',
    holeMm: 'Screws, M',
  },
  servoMount: {
    lengthMm: 'Foot, long',
    spacingMm: 'Lug screws apart',
    holeMm: 'Screws, M',
    filletMm: 'Fillet in the corner',
  },
  wheel: {
    heightMm: 'Seat of the tyre, radius',
    wallMm: 'Rim, thick',
    thicknessMm: 'Spokes, thick',
    boreMm: 'Axle',
  },
  bumper: { lengthMm: 'Ahead of its screws', spacingMm: 'Screws apart', holeMm: 'Screws, M' },
  tray: {
    heightMm: 'Walls, high',
    thicknessMm: 'Floor',
    wallMm: 'Walls, thick',
    marginMm: 'Room round the pack',
    slotMm: 'Strap, wide',
    holeMm: 'Screws, M',
  },
  guide: { thicknessMm: 'Plate, thick', heightMm: 'Bushes, high', wallMm: 'Bushes, wall' },
};
