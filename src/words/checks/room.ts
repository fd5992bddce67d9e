import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { NearThings } from '@/core/worked/space/clearanceOfBuild';
import { saidThing, type SaidThing } from '@/core/worked/space/said';
import { firstUp } from '../lists';
import { thingWords } from './things';

/** What comes nearest when the car moves, in one sentence. */
export function roomAnswer(near: readonly NearThings[], things: number, reader: Reader): string {
  const [worst] = near;
  const mm = (value: number) => formatText(value, 'lengthMm', reader, 2);
  const touching = near.filter(({ contact }) => contact).length;
  if (!worst)
    return `None of ${things} things comes near another, through all of the travel and from lock to lock.`;
  const { a, b, pose, moves, contact, signedMm, wantedMm } = worst;
  const [one, other] = [thingWords(saidThing(a)), thingWords(saidThing(b))];
  const end = (a.of ?? b.of)?.end;
  const where =
    moves && end ? ` at ${mm(pose.travelMm[end])} of travel${pose.rackMm === 0 ? '' : ', steered'}` : '';
  if (contact)
    return `${firstUp(one)} meets ${other}${where}: ${mm(Math.max(0, -signedMm))} have to go.${touching > 1 ? ` ${touching} pairs touch in all.` : ''}`;
  return signedMm < wantedMm
    ? `${firstUp(one)} comes within ${mm(signedMm)} of ${other}${where}; ${mm(wantedMm)} are wanted.`
    : `Nothing touches: the nearest are ${one} and ${other}, ${mm(signedMm)} apart${where}.`;
}

/** How far two things are apart. */
export const pickedWords = (a: SaidThing, b: SaidThing, signedMm: number, reader: Reader): string => {
  const mm = formatText(Math.abs(signedMm), 'lengthMm', reader, 3);
  const [one, other] = [firstUp(thingWords(a)), thingWords(b)];
  return signedMm >= 0
    ? `${one} and ${other} are ${mm} apart there.`
    : `${one} lies ${mm} deep in ${other} there.`;
};
