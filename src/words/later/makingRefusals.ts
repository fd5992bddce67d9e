import type { Refusals } from '../refusals/refusals';

export const MAKING_REFUSALS: Refusals<'making'> = {
  'making.incomplete': () => ['is missing', 'give number, circle and hole of the bolts, or none of them'],
  'making.hub': ({ bore, root }) => [
    `must lie between ${bore} and ${root}, so that a wall is left round the bore and the teeth stay free`,
    'change it, or the bore',
  ],
  'making.hubLength': ({ width }) => [
    `must be over the ${width} of the teeth: the hub is what stands out`,
    'give a longer seat, or no hub',
  ],
  'making.screwHub': () => ['is missing: a set screw needs a hub that it goes through', 'give one'],
  'making.screw': ({ room }) => [
    `must be at most ${room}, what the hub has room for`,
    'take a smaller screw or a longer seat',
  ],
  'making.bolts': ({ inside, outside }) => [
    `must lie between ${inside} and ${outside}, so that plastic is left round the holes`,
    'change it, or take smaller holes',
  ],
  'making.boltsTouch': ({ fits }) => [
    `must be at most ${fits}: the holes would run into each other`,
    'take fewer',
  ],
  'making.rim': ({ least }) => [
    `must be at least ${least}, so that a rim is left behind the teeth`,
    'make the ring larger',
  ],
  'making.carrierPin': ({ most }) => [
    `must be under ${most}, so that pins and bore stay apart`,
    'take thinner pins',
  ],
  'making.groove': () => [
    'belongs to no belt whose teeth are known, or leaves no land between its grooves',
    'take a known pitch, or more teeth',
  ],
  'making.round': ({ mm }) => [
    `of ${mm} mm is more than the edge has room for`,
    'take a smaller fillet, or thicker walls',
  ],
  'making.apart': ({ pieces }) => [
    `falls apart into ${pieces} pieces`,
    'make it thicker or wider, until everything hangs together',
  ],
  'making.empty': () => ['leaves no solid', 'look at its dimensions again'],
  'making.edge': ({ left, wanted }) => [
    `leaves ${left} of plastic beside a hole; ${wanted} is the least`,
    'make it larger, or the hole smaller',
  ],
  'making.noRoom': ({ room }) => [
    `leaves ${room} of plastic where two things meet`,
    'change it, or what it meets',
  ],
  'making.armFlat': () => [
    'has an arm without length: hinge and wheel lie on one line',
    'look at its points on Suspension',
  ],
};
