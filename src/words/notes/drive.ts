import type { Sentences } from '../write';
import type { Wish } from '@/core/physics/search/sweep';

const WISHES: Readonly<Record<Wish, string>> = {
  topSpeed: 'top speed',
  time: 'time to the distance',
  case: 'case temperature',
  runTime: 'run time',
};

const TURN_NOTES: Sentences<'note.turn'> = {
  'note.turn.motor': ({ axle, both }) =>
    both ? `Swap two leads of both ${axle} motors` : `Swap two leads of the ${axle} motor`,
  'note.turn.ring': ({ axle, ring }) => `Put the ${axle} ring gear on the ${ring}`,
  'note.turn.all': ({ several }) =>
    several ? 'Swap two leads of every motor' : 'Swap two leads of the motor',
  'note.turn.teeth': ({ axle, stage, from, to }) => `Teeth of the ${axle} ${stage} wheel ${from} → ${to}`,
};

/** Sentences of what the models note, by their codes. */
const RUN_NOTES: Sentences<'note.run'> = {
  'note.run.overRating': ({ peak, rated }) =>
    `The pack gives ${peak} at its peak, over its rating of ${rated}.`,
  'note.run.stalled': () =>
    'The car cannot move: at a standstill the wheel force does not exceed the resistance, so there is no time and no speed at the distance.',
  'note.run.noTop': () => 'No top speed: on this downhill nothing balances the pull of the slope.',
  'note.run.notReached': ({ within }) => `The distance is not reached within ${within}.`,
  'note.run.no95': ({ within }) => `95 % of the top speed is not reached within ${within}.`,
};

const STANDSTILL_NOTES: Sentences<'note.standstill'> = {
  'note.standstill.tyresSlip': () =>
    'Even a stronger drive would not move it: the tyres pass on no more than is needed.',
  'note.standstill.noFriction': () =>
    'No friction holds it: the front axle lifts first, or nothing rests on the driven axle.',
  'note.standstill.noGrade': () => 'No grade from −100 to 300 % parts moving from standing.',
};

const BRAKE_NOTES: Sentences<'note.brake'> = {
  'note.brake.rearFirst': ({ at }) =>
    at === undefined
      ? 'The rear axle would lock first under a stronger brake.'
      : `The rear axle locks first, at ${at} of the brake: the tail comes round.`,
  'note.brake.fullPack': () => 'A full pack takes nothing back: its volts rise over what it stands.',
  'note.brake.neverThere': ({ to }) => `It does not slow to ${to} within 600 s.`,
};

const SITE_NOTES: Sentences<'note.site'> = {
  'note.site.stalled': () => 'The car cannot move, so no run-up is long enough.',
  'note.site.noTop': () => 'No top speed on this downhill: give the speed that is meant.',
  'note.site.overTop': ({ top }) => `The wish is over the top speed: ${top} is taken.`,
  'note.site.tooShort': () => 'Even the slowest pass does not fit: stretch and stop take more than there is.',
  'note.site.noEntry': () => 'No rolling start helps: stretch and stop alone take more than there is.',
  'note.site.radio': () =>
    'A low antenna, walls and wet grass shorten the radio’s range: walk it off with the motor unplugged.',
};

const LAP_NOTES: Sentences<'note.lap'> = {
  'note.lap.startTakenDown': () =>
    'The track allows less than the speed that it begins with: it is taken down.',
  'note.lap.stalled': () => 'The car stops on the way: neither its drive nor its tyres carry it on.',
};

const DEMAND_NOTES: Sentences<'note.demand'> = {
  'note.demand.gripEnough': ({ surface, speed }) =>
    `On ${surface} the grip exceeds the resistance at every speed up to ${speed}.`,
};

const ROTATION_NOTES: Sentences<'note.rotation'> = {
  'note.rotation.opposed': ({ paths }) =>
    `The axles drive against each other: ${paths.map(({ axle, rolls }) => `the ${axle} rolls ${rolls}`).join(', ')}.`,
  'note.rotation.otherSide': () => 'Put the gear of one bevel on the other side of its shaft.',
  'note.rotation.scrubs': ({ mismatch }) =>
    `One axle wants to run ${mismatch} faster than the other, so its tyres scrub.`,
  'note.rotation.sameTeeth': () => 'Give both axles the same teeth and the same tyres.',
  'note.rotation.backward': () => 'The car drives backward.',
  'note.rotation.swapLeads': () => 'Swap the leads of the motor, or put every bevel on the other side.',
};

const GEAR_STRENGTH_NOTES: Sentences<'note.gearStrength'> = {
  'note.gearStrength.formFactor': ({ angle }) =>
    `The form factor is that of 20° teeth, used for ${angle} as well.`,
  'note.gearStrength.noLoad': () => 'There is no load, so there is no margin to tell.',
  'note.gearStrength.soft': () => 'It is soft at this temperature: no width holds.',
};

const GEAR_MESH_NOTES: Sentences<'note.gearMesh'> = {
  'note.gearMesh.pointed': ({ gear }) =>
    `The ${gear}’s teeth run out to a point below their tip circle: shift it less.`,
  'note.gearMesh.noPinion': () => 'No pinion of six teeth or more reaches this wheel within the slot.',
};

const GEAR_SEARCH_NOTES: Sentences<'note.gearSearch'> = {
  'note.gearSearch.none': () =>
    'No gears at hand come so near: allow a wider tolerance, more gears or another stage.',
};

const BELT_NOTES: Sentences<'note.belt'> = {
  'note.belt.noOffset': () =>
    'There is no typical pitch line for this pitch, so the outside of the pulleys is not told.',
  'note.belt.unloaded': () => 'Without a load or a pre-tension there is no tension to tell.',
};

const FRICTION_NOTES: Sentences<'note.friction'> = {
  'note.friction.motorOut': () =>
    'The motor was out and its own current is not known, so its friction is missing here.',
  'note.friction.noDrag': () =>
    'Neither readings nor two currents say what the drive drags with, so its efficiency is not told.',
};

const HELICAL_NOTES: Sentences<'note.helical'> = {
  'note.helical.noThrust': () => 'Straight and double teeth give no thrust, so no hand turns it.',
};

const OPENING_NOTES: Sentences<'note.opening'> = {
  'note.opening.openAtRest': () =>
    'The play alone opens the gears so far that the next tooth comes too late: there is no torque at which they skip.',
};

const GEAR_OUTLINE_NOTES: Sentences<'note.gearOutline'> = {
  'note.gearOutline.pointed': () =>
    'The teeth run out to a point below their tip circle: shift the gear less.',
};

const JOINT_NOTES: Sentences<'note.joint'> = {
  'note.joint.idle': () => 'Nothing is asked of the joint, so there is no margin to tell.',
  'note.joint.flatAdds': () => 'A flat under the screw adds to this.',
  'note.joint.hubSplits': () => 'The hub splits as it is pressed on; the torque is that of a whole one.',
};

const SHAFT_NOTES: Sentences<'note.shaft'> = {
  'note.shaft.noLoad': () => 'There is no load, so there is no margin to tell.',
  'note.shaft.supportIt': () => 'Support it in the middle: each half whirls at four times the speed.',
};

const ENDURANCE_NOTES: Sentences<'note.endurance'> = {
  'note.endurance.outOfReach': ({ cruise, holds }) =>
    `The cruise speed of ${cruise} is out of reach: it holds ${holds}, 98 % of its top speed, and less as the pack empties.`,
  'note.endurance.slows': ({ from, cruise }) =>
    `From ${from} on the pack is too low for ${cruise}, and the car slows.`,
  'note.endurance.cannotMove': () => 'The car cannot move, so there is no heat and no charge to tell.',
  'note.endurance.stalls': () =>
    'The car no longer gets under way: the pack is too low or the winding too hot.',
};

const HEAT_NOTES: Sentences<'note.heat'> = {
  'note.heat.noResistance': ({ least, most }) =>
    `No resistance between ${least} and ${most} K/W explains the readings; this is the nearest bound. Check the cycle, the air temperature and where the case was measured.`,
};

const TYRE_SPIN_NOTES: Sentences<'note.tyreSpin'> = {
  'note.tyreSpin.caution': () =>
    'Spin it up by remote from another room, behind a shield, never in the hand and with nobody in the plane of the wheel.',
  'note.tyreSpin.runsAway': () => 'At this speed it grows without end.',
  'note.tyreSpin.rimAssumed': () => 'The rim is taken as 0.6 of the radius: give its own.',
  'note.tyreSpin.farGrown': () =>
    'It has grown by over 30 %, more than the model is made for: read diameters on the bench and fit its modulus.',
};

const SWEEP_NOTES: Sentences<'note.sweep'> = {
  'note.sweep.unknown': ({ what, wish }) => `There is no ${WISHES[what]} to hold against ${wish}.`,
  'note.sweep.missed': ({ what, found, wish, least }) =>
    `The ${WISHES[what]} of ${found} ${least ? 'is under' : 'exceeds'} the ${wish} asked for.`,
  'note.sweep.cannotMove': () => 'The car cannot move.',
  'note.sweep.tooHeavy': ({ mass, budget }) => `The mass of ${mass} exceeds the ${budget} of the class.`,
};

export const DRIVE_NOTES = {
  ...TURN_NOTES,
  ...RUN_NOTES,
  ...STANDSTILL_NOTES,
  ...BRAKE_NOTES,
  ...SITE_NOTES,
  ...LAP_NOTES,
  ...DEMAND_NOTES,
  ...ROTATION_NOTES,
  ...GEAR_STRENGTH_NOTES,
  ...GEAR_MESH_NOTES,
  ...GEAR_SEARCH_NOTES,
  ...BELT_NOTES,
  ...FRICTION_NOTES,
  ...HELICAL_NOTES,
  ...OPENING_NOTES,
  ...GEAR_OUTLINE_NOTES,
  ...JOINT_NOTES,
  ...SHAFT_NOTES,
  ...ENDURANCE_NOTES,
  ...HEAT_NOTES,
  ...TYRE_SPIN_NOTES,
  ...SWEEP_NOTES,
};
