import type { GearAtHand } from '../kinds/gear';

const gearOf = (
  role: 'pinion' | 'wheel',
  teeth: number,
  moduleMm: number,
): { id: string; data: GearAtHand } => ({
  id: `gear-${role}-${teeth}-${String(moduleMm).replace('.', '')}`,
  data: {
    name: `${role === 'pinion' ? 'Pinion' : 'Wheel'}, ${teeth} teeth, module ${moduleMm}`,
    role,
    teeth,
    moduleMm,
  },
});

/** A usual box of spur gears. */
export const STARTING_GEARS: readonly { id: string; data: GearAtHand }[] = [
  ...[11, 13, 15, 17, 19, 21, 23].map((teeth) => gearOf('pinion', teeth, 0.8)),
  ...[54, 62, 71].map((teeth) => gearOf('wheel', teeth, 0.8)),
  ...[10, 12, 14, 16, 18].map((teeth) => gearOf('pinion', teeth, 0.5)),
  ...[42, 56, 70].map((teeth) => gearOf('wheel', teeth, 0.5)),
];
