import type { CoincidentEnds } from '@/core/physics/corner/linkage';
import type { Refusals } from './refusals';

const APART: Readonly<Record<CoincidentEnds, string>> = {
  hinge: 'give the two ends of the hinge apart',
  upperHinge: 'a single upper link leaves the upright a freedom too many: use hingePins',
  outerHinge: 'give the two ends of the outer hinge apart',
  balls: 'give the ball joints apart',
  link: 'give the ends of the link apart',
  kingpin: 'give the ends of the kingpin apart',
  tie: 'give the ends of the tie rod apart',
};

export const CORNER_REFUSALS: Refusals<'corner'> = {
  'corner.stuck': () => [
    'the corner is stuck at rest: turning the arm does not lift the wheel, or a link stands in line',
    'move the points so that each link stands across the way its end must go',
  ],
  'corner.coincides': ({ ends }) => ['coincides with its partner', APART[ends]],
  'corner.onHinge': () => ['lies on the line of its own hinge', 'move it off the hinge'],
  'corner.steeringPart': () => [
    'is missing while others of the steering are given',
    'give kingpinLower, kingpinUpper, tieInner and tieOuter together, or none of them',
  ],
  'corner.noRoom': ({ trackMm, tyresMm }) => [
    `a track of ${trackMm} leaves no room for arms between tyres of ${tyresMm}`,
    'give the tyre’s radius and the track of the same car',
  ],
};

export const RIDE_REFUSALS: Refusals<'ride'> = {
  'ride.noSpring': () => ['has no spring yet', 'give wire, diameter and coils'],
};

export const STEERING_REFUSALS: Refusals<'steering'> = {
  'steering.fixed': () => ['does not steer', 'give kingpin and tie rod, or use the front corner'],
};

export const BETTER_REFUSALS: Refusals<'better'> = {
  'better.noPoint': () => ['names no point that may move', 'free one coordinate at least'],
  'better.noWish': () => ['asks for nothing', 'wish for one reading at least'],
  'better.unknownPoint': ({ point }) => [`${point} is no point of this corner`, 'free a point that is drawn'],
  'better.reach': () => ['must be more than 0'],
  'better.ackermann': () => [
    'needs a corner that steers and its rack to full lock',
    'give the rack, or leave Ackermann out',
  ],
  'better.caster': () => ['needs a steering axis', 'leave caster out'],
};

export const POINTS_REFUSALS: Refusals<'points'> = {
  'points.long': () => ['is too long for a list of points', 'choose a file of one corner'],
  'points.empty': ({ columns }) => ['holds no points', `give a line for each: ${columns}`],
  'points.unknown': ({ name, known }) => [`“${name}” is no point of this corner`, `it has ${known}`],
  'points.numbers': ({ name }) => [`${name} has no three numbers in mm`, 'write x, y and z behind the name'],
};
