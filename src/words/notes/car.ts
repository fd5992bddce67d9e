import type { Sentences } from '../write';
import type { WheelLoads } from '@/core/physics/balance/balance';
import { firstUp } from '../lists';

const packIs = (low: boolean) => (low ? 'with the pack low' : 'with the pack charged');

const rackOf = (rack: string | undefined, joined: string) =>
  rack === undefined ? '' : ` ${joined} ${rack} of rack`;

const WHEEL_NAMES: Readonly<Record<keyof WheelLoads, string>> = {
  fl: 'front left',
  fr: 'front right',
  rl: 'rear left',
  rr: 'rear right',
};

/** Sentences of what the models note, by their codes. */
const BUDGET_NOTES: Sentences<'note.budget'> = {
  'note.budget.tooFew': ({ id, volts, low, minV }) =>
    `${firstUp(id)} gets ${volts} ${packIs(low)} and needs ${minV}.`,
  'note.budget.tooMany': ({ id, volts, low, maxV }) =>
    `${firstUp(id)} gets ${volts} ${packIs(low)}, limit ${maxV}.`,
  'note.budget.otherRail': ({ minV, maxV }) => `Feed it from a rail of ${minV} to ${maxV}.`,
  'note.budget.doesNotStart': ({ id, volts, low, minInV }) =>
    `${firstUp(id)} is fed ${volts} ${packIs(low)} and starts at ${minInV}, so it gives nothing.`,
  'note.budget.higherFeed': () => 'Feed it from a higher voltage, or take one that works lower.',
  'note.budget.overfed': ({ id, volts, low, maxInV }) =>
    `${firstUp(id)} is fed ${volts} ${packIs(low)}, limit ${maxInV}.`,
  'note.budget.madeForPack': () => 'Take one made for the charged pack.',
  'note.budget.rating': ({ id, amps, kind, rating }) =>
    `${firstUp(id)} carries ${amps} of its ${kind} ${rating}.`,
  'note.budget.strongerRegulator': () => 'Take a stronger regulator, or move a load to another.',
  'note.budget.packRating': ({ amps, rating }) =>
    `The pack gives ${amps} at the peak and is rated ${rating}.`,
  'note.budget.largerPack': () =>
    'Take a pack of more capacity or a higher rating, or limit the motor current.',
  'note.budget.brownsOut': ({ servo, amps, rail, peak, victim }) =>
    `When ${servo} stalls it takes ${amps} of the ${peak} that ${rail} gives: ${victim} browns out, and a controller starts again with the motor live.`,
  'note.budget.ownRegulator': ({ servo }) =>
    `Give ${servo} a regulator of its own, and let the motor output fail to off.`,
};

const SERVO_NOTES: Sentences<'note.servo'> = {
  'note.servo.idle': () => 'Nothing is asked of the servo, so there is no margin to tell.',
};

const BALANCE_NOTES: Sentences<'note.balance'> = {
  'note.balance.lifted': ({ wheel }) => `The ${WHEEL_NAMES[wheel]} wheel carries nothing.`,
  'note.balance.betweenWheels': () => 'Bring the weight between the wheels.',
  'note.balance.left': ({ share }) => `The left wheels carry ${share} of the weight.`,
  'note.balance.moveTo': ({ side }) => `Move weight to the ${side}.`,
  'note.balance.outside': ({ id }) => `${firstUp(id)} sits more than a quarter of the wheelbase outside it.`,
};

const STABILITY_NOTES: Sentences<'note.stability'> = {
  'note.stability.drag': ({ accel }) => `Drag slows it by ${accel} besides.`,
  'note.stability.lifted': () => 'Lift takes all of an axle’s load at this speed.',
};

const LINKAGE_NOTES: Sentences<'note.linkage'> = {
  'note.linkage.offGround': ({ off, over }) =>
    `The tyre stands ${off} ${over ? 'over' : 'in'} the ground at rest.`,
  'note.linkage.centreHeight': ({ height }) => `Put the wheel centre ${height} over the ground.`,
  'note.linkage.joint': ({ joint, turns, travel, limit }) =>
    `The joint ${joint} turns ${turns} at ${travel} of travel; it goes to ${limit}.`,
  'note.linkage.damperClosed': ({ closed, travel }) =>
    `The damper is shorter than its closed ${closed} at ${travel} of travel.`,
  'note.linkage.locks': ({ at, reached }) =>
    `The linkage locks at ${at.travel} of travel${rackOf(at.rack, 'and')}, before it reaches ${reached.travel}${rackOf(reached.rack, 'at')}.`,
  'note.linkage.pushrod': ({ travel }) => `At ${travel} of travel the pushrod does not reach the rocker.`,
  'note.linkage.bumpSteers': ({ slope }) => `The wheel steers by ${slope} of travel.`,
  'note.linkage.tieRodHeight': () =>
    'Bring the tie rod’s inner end to the height at which it swings like the arms.',
  'note.linkage.doesNotSteer': () =>
    'It does not steer, so it has no caster, kingpin, scrub radius or trail.',
};

const STEERING_NOTES: Sentences<'note.steering'> = {
  'note.steering.rackNotReached': ({ rack }) => `A rack of ${rack} is not reached by both wheels.`,
  'note.steering.stopRack': () => 'Stop the rack before it, or lengthen the rod.',
  'note.steering.noRack': ({ wanted }) => `No rack steers the left wheel by ${wanted}.`,
};

const RIDE_NOTES: Sentences<'note.ride'> = {
  'note.ride.onBumpStop': () => 'It rests on its bump stop.',
  'note.ride.onDroopStop': () => 'Preload holds it against its droop stop.',
};

const IMPACT_NOTES: Sentences<'note.impact'> = {
  'note.impact.neverBottoms': ({ drop }) => `It does not bottom from ${drop}.`,
  'note.impact.neverReached': ({ drop }) => `The force is not reached from ${drop}.`,
  'note.impact.crushed': () => 'The bump stop is crushed through: metal or plastic meets.',
  'note.impact.stifferOrLonger': () => 'a stiffer spring, more travel, a longer stop',
  'note.impact.travelUsed': () => 'The travel is used up and the bump stop takes the rest.',
  'note.impact.stifferOrDamped': () => 'a stiffer spring or more damping in bump',
  'note.impact.toRim': () => 'The tyre is squashed to its rim.',
  'note.impact.firmerTyre': () => 'a firmer insert or a taller tyre',
};

const SLIP_NOTES: Sentences<'note.slip'> = {
  'note.slip.notCovered': ({ distance, within }) => `It does not cover ${distance} within ${within}.`,
  'note.slip.noEdge': () => 'The free wheel gave no second edge, so there is no slip to tell.',
};

const YAW_NOTES: Sentences<'note.yaw'> = {
  'note.yaw.overCorrects': ({ gain, speed }) => `It over-corrects above ${gain} at ${speed} with this servo.`,
  'note.yaw.turnDown': ({ gain }) => `The gain of ${gain} is past that: turn it down.`,
  'note.yaw.noneSettles': () => 'No gain of the sweep settles within the run.',
  'note.yaw.fastest': ({ gain, time, overshoots }) =>
    `${gain} settles fastest, in ${time}${overshoots > 0 ? ` after ${overshoots} ${overshoots === 1 ? 'overshoot' : 'overshoots'}` : ''}.`,
};

export const CAR_NOTES = {
  ...BUDGET_NOTES,
  ...SERVO_NOTES,
  ...BALANCE_NOTES,
  ...STABILITY_NOTES,
  ...LINKAGE_NOTES,
  ...STEERING_NOTES,
  ...RIDE_NOTES,
  ...IMPACT_NOTES,
  ...SLIP_NOTES,
  ...YAW_NOTES,
};
