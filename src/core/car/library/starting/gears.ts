import type { LibraryItem } from '../items';

const gear = (role: 'pinion' | 'wheel', teeth: number, moduleMm: number): LibraryItem<'gear'> => ({
  id: `gear-${role}-${teeth}-${String(moduleMm).replace('.', '')}`,
  kind: 'gear',
  data: {
    name: `${role === 'pinion' ? 'Pinion' : 'Wheel'}, ${teeth} teeth, module ${moduleMm}`,
    role,
    teeth,
    moduleMm,
  },
});

/** A usual box of spur gears. */
export const STARTING_GEARS: readonly LibraryItem<'gear'>[] = [
  ...[11, 13, 15, 17, 19, 21, 23].map((teeth) => gear('pinion', teeth, 0.8)),
  ...[54, 62, 71].map((teeth) => gear('wheel', teeth, 0.8)),
  ...[10, 12, 14, 16, 18].map((teeth) => gear('pinion', teeth, 0.5)),
  ...[42, 56, 70].map((teeth) => gear('wheel', teeth, 0.5)),
];
