import { add, type Vec3 } from '../../base/vec3';
import type { ThingForm } from './thingForm';
import type { TrainThing } from '../train/trainOfCar';

const ROUND = 24;

/** What a thing of the train takes up: a roller or a cone, or a bar. */
export function formsOfTrain({ gear, shaft, axis }: TrainThing): ThingForm[] {
  if (shaft) return [{ kind: 'capsule', ...shaft }];
  const { centreMm, widthMm, tipMm, taper, taperShare = 1 } = gear!;
  const pointsMm = [-1, 1].flatMap((way) => {
    const radiusMm = way === taper ? taperShare * tipMm : tipMm;
    return Array.from({ length: ROUND }, (_, k): Vec3 => {
      const angle = (2 * Math.PI * k) / ROUND;
      const [u, v, w] = [radiusMm * Math.cos(angle), radiusMm * Math.sin(angle), (way * widthMm) / 2];
      return add(centreMm, axis.along === 0 ? [w, u, v] : [u, w, v]);
    });
  });
  return [{ kind: 'hull', pointsMm }];
}
