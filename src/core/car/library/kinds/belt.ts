import type { BeltProfile } from '../../../physics/transmissions/beltDefinition';
import { defineLibraryKind } from './define';

/** A toothed belt that lies in the workshop. */
export interface BeltAtHand {
  name: string;
  profile: BeltProfile;
  pitchMm: number;
  teeth: number;
  widthMm: number;
}

export const belt = defineLibraryKind<BeltAtHand>({
  figures: {
    profile: { oneOf: ['curvilinear', 'trapezoidal'] },
    pitchMm: { quantity: 'fitMm', limits: { above: 0, to: 50 } },
    teeth: { quantity: 'count', limits: { from: 1, to: 5000 }, whole: true },
    widthMm: { quantity: 'lengthMm', limits: { above: 0, to: 500 } },
  },
  blank: { profile: 'curvilinear', pitchMm: 3, teeth: 90, widthMm: 9 },
  tells: ['pitchMm', 'teeth'],
});
