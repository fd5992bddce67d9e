import type { Assembled } from '@/core/base/assembled';
import type { Vec3 } from '@/core/base/vec3';
import type { DropMoment, DropOfCar } from '@/core/worked/space/dropOfCar';
import { middleOf } from '@/core/worked/space/apart';
import type { Thing } from '@/core/worked/space/thingsOfCar';
import type { SceneArrow } from './CarStill';

/** Of the longest arrow, and how far beside the tyre it stands, mm. */
const [LONGEST_MM, BESIDE_MM, LEAST_MM] = [110, 12, 1];

/** Lowest and highest middle of the things along each axis of the car, mm. */
export function extentOf(things: readonly Thing[]): (readonly [number, number])[] {
  const middles = things.map(middleOf);
  return ([0, 1, 2] as const).map((k) => {
    const values = middles.map((middle) => middle[k]);
    return [Math.min(0, ...values), Math.max(0, ...values)] as const;
  });
}

/** What each tyre pushes at a moment, beside it, as long as its force beside the hardest of the landing. */
export function tyreArrows(
  things: readonly Thing[],
  found: Assembled<DropOfCar>,
  { tyreN }: DropMoment,
): SceneArrow[] {
  if (!found.ok) return [];
  const most = Math.max(1, ...found.value.moments.flatMap((one) => [one.tyreN.front, one.tyreN.rear]));
  return things.flatMap(({ id, of, roller }): SceneArrow[] => {
    if (of?.thing !== 'wheel' || !roller) return [];
    const outer = Math.max(Math.abs(roller.fromMm[1]), Math.abs(roller.toMm[1])) + BESIDE_MM;
    const long = (LONGEST_MM * tyreN[of.end]) / most;
    if (long < LEAST_MM) return [];
    const fromMm: Vec3 = [roller.fromMm[0], of.side === 'left' ? outer : -outer, 0];
    return [{ id, fromMm, toMm: [fromMm[0], fromMm[1], long] }];
  });
}
