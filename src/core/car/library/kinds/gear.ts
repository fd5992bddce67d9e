import { defineLibraryKind } from './define';

/** A gear that lies in the workshop. */
export interface GearAtHand {
  name: string;
  role: 'pinion' | 'wheel';
  teeth: number;
  moduleMm: number;
}

export const gear = defineLibraryKind<GearAtHand>({
  figures: {
    role: { oneOf: ['pinion', 'wheel'] },
    teeth: { quantity: 'count', limits: { from: 1, to: 1000 }, whole: true },
    moduleMm: { quantity: 'fitMm', limits: { above: 0, to: 20 } },
  },
  blank: { role: 'pinion', teeth: 17, moduleMm: 0.8 },
  tells: ['teeth', 'moduleMm'],
});
