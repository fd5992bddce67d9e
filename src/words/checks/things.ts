import type { SaidThing, SaidTrain } from '@/core/worked/space/said';
import type { LinkThing } from '@/core/worked/space/thingsOfCar';

const LINK_THING_TERMS: Readonly<Record<LinkThing, string>> = {
  lower: 'lower arm',
  upper: 'upper link',
  upright: 'upright',
  tie: 'tie rod',
  damper: 'damper',
  damperRod: 'damper rod',
  shaft: 'drive shaft',
  wheel: 'tyre',
};

/** A thing of the car inside a sentence. */
export function thingWords(thing: SaidThing): string {
  if ('thing' in thing) return `${thing.end} ${LINK_THING_TERMS[thing.thing]}`;
  if ('shell' in thing) return 'body shell';
  if ('train' in thing) return trainWords(thing.train);
  return 'wire' in thing
    ? `wire ${firstDown(thing.wire.from)} to ${firstDown(thing.wire.to)}`
    : firstDown(thing.name);
}

function trainWords({ role, stage, end }: SaidTrain): string {
  if (role === 'shaft') return stage === undefined ? 'motor’s shaft' : `shaft behind stage ${stage}`;
  return `stage ${stage}’s ${role}${end ? ` at the ${end}` : ''}`;
}

const firstDown = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);
