import { add, scale, type Vec3 } from '../../base/vec3';
import type { BuildDocument } from '../../car/document/document';
import { CAR } from '../../physics/clearance/definition';
import { assemblyOrder } from '../print/assembly';
import { namesOfThings, partName } from './partsOfThings';
import type { LinkThing, Thing } from './thingsOfCar';

/** How far what moves with a wheel is drawn off the car when it is taken apart: outwards and up, mm. */
const OFF: Readonly<Record<LinkThing, readonly [outMm: number, upMm: number]>> = {
  lower: [45, -18],
  upper: [45, 30],
  tie: [55, 8],
  damper: [20, 62],
  damperRod: [20, 62],
  shaft: [35, 0],
  upright: [70, 0],
  wheel: [100, 0],
};
/** Gears and shafts rise out of the car, mm. */
const TRAIN_UP_MM = 70;
/** Components rise over the lowest of them by so much of their height over it, and at least so far. */
const [SPREAD, LEAST_MM] = [0.5, 24];

/** Where each thing stands beside its place when the car is taken apart as far as it is drawn, mm. */
export function offsetsApart(things: readonly Thing[]): ReadonlyMap<string, Vec3> {
  const heights = new Map(
    things.filter(({ body, of }) => body === CAR && !of).map((thing) => [thing.id, middleOf(thing)[2]]),
  );
  const lowest = Math.min(...heights.values());
  return new Map(
    things.map(({ id, of, train }): [string, Vec3] => {
      if (train) return [id, [0, 0, TRAIN_UP_MM]];
      if (of) {
        const [outMm, upMm] = OFF[of.thing];
        return [id, [0, of.side === 'left' ? outMm : -outMm, upMm]];
      }
      const over = (heights.get(id) ?? lowest) - lowest;
      return [id, over > 0 ? [0, 0, LEAST_MM + SPREAD * over] : [0, 0, 0]];
    }),
  );
}

/** Middle of all that a thing is drawn of. */
export function middleOf({ forms }: Pick<Thing, 'forms'>): Vec3 {
  const points = forms.flatMap((form): readonly Vec3[] =>
    form.kind === 'box' ? [form.centreMm] : form.kind === 'hull' ? form.pointsMm : [form.fromMm, form.toMm],
  );
  return scale(
    points.reduce<Vec3>((sum, point) => add(sum, point), [0, 0, 0]),
    1 / Math.max(1, points.length),
  );
}

/** A picture of one step of the assembly. */
export interface StepPicture {
  id: string;
  /** Things that the step is about. */
  now: ReadonlySet<string>;
  /** Things that are not on the car yet. */
  later: ReadonlySet<string>;
}

/** What each step of the assembly is about, and what comes after it: things of no joint go in when all joints are made. */
export function stepPictures(document: BuildDocument, things: readonly Thing[]): StepPicture[] {
  const names = namesOfThings(document, things);
  const steps = assemblyOrder(document);
  const isOf = (id: string, parts: readonly string[]) =>
    parts.some((part) => names.get(id)!.includes(partName(part)));
  const first = new Map(
    things.map(({ id }) => {
      const found = steps.findIndex(({ parts }) => isOf(id, parts));
      return [id, found < 0 ? steps.length : found];
    }),
  );
  return steps.map(({ id, parts }, k) => ({
    id,
    now: new Set(things.flatMap((thing) => (isOf(thing.id, parts) ? [thing.id] : []))),
    later: new Set(things.flatMap((thing) => (first.get(thing.id)! > k ? [thing.id] : []))),
  }));
}
