import type { BeltProfile } from '../../../physics/transmissions/beltDefinition';
import type { BeltAtHand } from '../kinds/belt';

const PROFILE_CALLED: Readonly<Record<BeltProfile, string>> = {
  curvilinear: 'round teeth',
  trapezoidal: 'straight teeth',
};

const beltOf = (
  profile: BeltProfile,
  pitchMm: number,
  teeth: number,
  widthMm: number,
): { id: string; data: BeltAtHand } => ({
  id: `belt-${profile}-${String(pitchMm).replace('.', '')}-${teeth}`,
  data: {
    name: `Belt, ${pitchMm} mm ${PROFILE_CALLED[profile]}, ${teeth} of them`,
    profile,
    pitchMm,
    teeth,
    widthMm,
  },
});

/** Usual lengths of endless belts of each pitch. */
export const STARTING_BELTS: readonly { id: string; data: BeltAtHand }[] = [
  ...[79, 100, 122].map((teeth) => beltOf('curvilinear', 2, teeth, 6)),
  ...[70, 80, 90, 106, 120].map((teeth) => beltOf('curvilinear', 3, teeth, 9)),
  ...[60, 71, 80].map((teeth) => beltOf('curvilinear', 5, teeth, 9)),
  ...[70, 85, 100].map((teeth) => beltOf('trapezoidal', 2.032, teeth, 6)),
  ...[64, 80, 98].map((teeth) => beltOf('trapezoidal', 2.5, teeth, 6)),
];
