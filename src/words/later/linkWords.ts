import type { FreeWay } from '@/core/physics/links/rods';
import type { Sentences } from '../write';
import type { Refusals } from '../refusals/refusals';

const FREE: Readonly<Record<FreeWay, string>> = {
  x: 'move forwards and back',
  y: 'move sideways',
  z: 'move up and down',
  roll: 'lean over',
  pitch: 'turn about its axle',
  yaw: 'steer',
};

/** What the forces in links refuse. */
export const LINK_REFUSALS: Refusals<'links'> = {
  'links.noDamper': () => [
    'is missing: nothing holds the travel',
    'give the damper, or a rocker, with its points',
  ],
  'links.few': ({ missing, free }) => [
    `hold too little: ${missing} more ${missing === 1 ? 'rod is' : 'rods are'} needed beside the damper; the upright can still ${FREE[free]}`,
    'give five rods',
  ],
  'links.many': ({ tooMany }) => [
    `are ${tooMany} too many: rods beyond five fight each other, and how they share is not a matter of statics`,
    'leave out what holds the same twice',
  ],
  'links.spanned': ({ free }) => [
    `holds only what the ones before it hold already; the upright can still ${FREE[free]}`,
    'move one of its ends, so that it stands across that',
  ],
  'links.twice': ({ id }) => [`“${id}” stands there twice`, 'give each rod a name of its own'],
  'links.short': () => ['lies on its other end', 'give its two ends apart'],
  'links.twoSteer': () => ['is the second that the rack moves', 'let the rack move one rod'],
  'links.liftsNothing': () => [
    'is not lifted by what the links leave free',
    'move the links so that the wheel can rise and fall',
  ],
  'links.noLoad': () => ['is missing: nothing acts', 'give loads, or the figures of the usual ones'],
  'links.loadTwice': ({ name }) => [
    `“${name}” is the name of another load`,
    'give each load a name of its own',
  ],
  'links.damperStill': () => [
    'does not move as the wheel rises: it cannot carry it',
    'move its ends so that the travel shortens it',
  ],
  'links.rackFixed': () => ['moves nothing: the corner has no tie rod', 'leave the rack in the middle'],
};

/** What a group of screws refuses. */
export const FASTENER_REFUSALS: Refusals<'fastener'> = {
  'fastener.twice': ({ id }) => [`“${id}” stands there twice`, 'give each screw a name of its own'],
  'fastener.same': ({ other }) => [`lies where ${other} is`, 'leave one out, or move it'],
  'fastener.noWasher': () => ['is missing: no washer of that thread is standard', 'give its diameter'],
  'fastener.noNut': () => ['is missing: no nut of that thread is standard', 'give it'],
  'fastener.thread': ({ known }) => [
    `is missing: of threads, M${known.join(', M')} are known`,
    'give the stress area of this one',
  ],
  'fastener.offPlate': ({ id }) => [`does not hold ${id}`, 'give the plate’s edges outside all screws'],
  'fastener.tilts': () => [
    'cannot carry the moment: the joint turns on a single screw, or tilts about a line of screws',
    'add a screw off that line, or give the plate that the part presses on',
  ],
};

/** What the search for the lightest part refuses. */
export const LIGHTEST_REFUSALS: Refusals<'lightest'> = {
  'lightest.tooMany': ({ most }) => [
    `make more than ${most} combinations`,
    'give fewer sizes, or a wider step',
  ],
  'lightest.noLoad': () => ['load nothing', 'give a force in one of them'],
  'lightest.beyond': () => ['lies beyond the part', 'give a place within its length'],
  'lightest.noDirection': () => ['points nowhere', 'give a direction other than 0, 0'],
};

export const LIGHTEST_NOTES: Sentences<'note.lightest'> = {
  'note.lightest.none': () => 'None of them holds all loads: allow larger sizes or a stronger material.',
};

export const LINK_NOTES: Sentences<'note.links'> = {
  'note.links.damperIdle': ({ travel }) =>
    `At ${travel} of travel the damper does not move with the wheel: nothing is told there.`,
  'note.links.noTie': () => 'Without a tie rod a stalled servo pushes nothing: its loads are left out.',
};
