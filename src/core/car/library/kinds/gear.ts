import { defineLibraryKind } from './define';

/** A gear that lies in the workshop. */
export interface GearAtHand {
  name: string;
  role: 'pinion' | 'wheel';
  teeth: number;
  moduleMm: number;
}

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
const STARTING_GEARS: readonly { id: string; data: GearAtHand }[] = [
  ...[11, 13, 15, 17, 19, 21, 23].map((teeth) => gearOf('pinion', teeth, 0.8)),
  ...[54, 62, 71].map((teeth) => gearOf('wheel', teeth, 0.8)),
  ...[10, 12, 14, 16, 18].map((teeth) => gearOf('pinion', teeth, 0.5)),
  ...[42, 56, 70].map((teeth) => gearOf('wheel', teeth, 0.5)),
];

export const gear = defineLibraryKind<GearAtHand>({
  figures: {
    role: { oneOf: ['pinion', 'wheel'] },
    teeth: { quantity: 'count', limits: { from: 1, to: 1000 }, whole: true },
    moduleMm: { quantity: 'fitMm', limits: { above: 0, to: 20 } },
  },
  blank: { role: 'pinion', teeth: 17, moduleMm: 0.8 },
  tells: ['teeth', 'moduleMm'],
  starting: STARTING_GEARS,
});
