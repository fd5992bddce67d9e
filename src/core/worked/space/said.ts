import type { End } from '../../car/document/suspension';
import type { LinkThing, Thing } from './thingsOfCar';
import type { TrainThing } from '../train/trainOfCar';

/** A thing as a sentence names it: a component by its own name, the rest by where it is. */
export type SaidThing =
  | { name: string }
  | { thing: LinkThing; end: End }
  | { wire: { from: string; to: string } }
  | { shell: true }
  | { train: SaidTrain };

/** A gear by its stage and side of it, a shaft by the stage that turns it, none of the motor's own. */
export interface SaidTrain {
  role: TrainThing['role'];
  stage?: number;
  end?: End;
}

export const saidThing = ({
  name,
  of,
  id,
  wire,
  shell,
  train,
}: Pick<Thing, 'name' | 'of' | 'id' | 'wire' | 'shell' | 'train'>): SaidThing => {
  if (of) return { thing: of.thing, end: of.end };
  if (train) {
    const { role, number: stage, end } = train;
    return { train: { role, ...(stage === undefined ? {} : { stage }), ...(end ? { end } : {}) } };
  }
  if (wire) return { wire: { from: wire.fromName, to: wire.toName } };
  return shell ? { shell } : { name: name ?? id };
};
