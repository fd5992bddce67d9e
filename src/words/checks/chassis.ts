import { thingWords } from './things';
import { counted, firstUp } from '../lists';
import type { LooseCause } from '@/core/worked/stability/loose';
import type { JointName } from '@/core/verdict/suspension/corner/lock.check';
import { END_TERMS } from '../terms';
import type { Sentences } from '../write';

/** What ends a car’s being steady. */
export const LOOSE: Readonly<Record<LooseCause, string>> = {
  lift: 'the air lifts the rear',
  drive: 'the drive takes the grip of the rear tyres',
  sideAir: 'the air pushes its nose aside',
  tyres: 'the front tyres are stiffer than the rear ones',
};
const causeWords = (cause: LooseCause | undefined): string => (cause ? `, because ${LOOSE[cause]}` : '');

const OUTSIDE = {
  ahead: 'ahead of the front axle',
  behind: 'behind the rear axle',
  aside: 'outside the track',
  ground: 'on the ground',
} as const;

/** Sentences about weight and balance. */
export const CHASSIS_SENTENCES: Sentences<'chassis'> = {
  'chassis.outside': ({ where }) =>
    `The centre of gravity lies ${OUTSIDE[where]}: the car does not stand on its wheels.`,
  'chassis.tip.slides': ({ factor, grip }) =>
    `It slides: half the track over the height is ${factor}, needs ${grip} of grip.`,
  'chassis.tip.rolls': ({ height, slidesAt }) =>
    `It rolls over before it slides: centre of gravity at ${height}, limit ${slidesAt}.`,
  'chassis.lift': ({ axle, lifts, reaches }) =>
    `The ${axle} lifts at ${lifts}; ${axle === 'front' ? 'the drive' : 'braking on the driven wheels'} reaches ${reaches}.`,
  'chassis.yaw.steady': ({ top, looseFrom, because }) =>
    looseFrom
      ? `Steady at its top speed of ${top}; from ${looseFrom} on it is not${causeWords(because)}.`
      : `A disturbance dies away at every speed that it reaches, ${top}.`,
  'chassis.yaw.loose': ({ top, looseFrom, because }) =>
    `From ${looseFrom} on it does not stay straight${causeWords(because)}; it reaches ${top}.`,
  'chassis.light': ({ axle, load, top, still }) =>
    `The ${axle} axle carries ${load} at ${top}, of ${still} at rest.`,
  'chassis.air.measured': ({ area, error }) =>
    `Drag area ${area}${error ? ` ± ${error}` : ''}, measured on this car.`,
  'chassis.air.shapes': ({ area, low, high }) => `Drag area ${area} from its shapes, ${low} to ${high}.`,
  'chassis.air.started': ({ area, share, speed }) =>
    `Drag area ${area}, neither measured nor drawn; drag is ${share} of the resistance at ${speed}.`,
  'chassis.grip.measured': ({ surface, mu, error }) =>
    `Friction on ${surface.toLowerCase()} ${mu} ± ${error}, measured with these tyres.`,
  'chassis.grip.fitted': ({ surface, mu, error, runs }) =>
    `Friction on ${surface.toLowerCase()} ${mu} ± ${error}, from ${counted(runs, 'timed run')}.`,
  'chassis.grip.assumed': ({ surface, mu, error }) =>
    `Friction on ${surface.toLowerCase()} ${mu} ± ${error} is a typical figure: pull the car on a scale or tilt a board.`,
  'chassis.straight': ({ side, drift, over }) =>
    side === 'none shown'
      ? `No pull to a side shown: ${drift} over ${over}.`
      : `It drifts ${drift} to the ${side} over ${over}.`,
  'chassis.side.even': ({ left }) => `The left wheels carry ${left} of it.`,
  'chassis.side.uneven': ({ side, share }) =>
    `The ${side} wheels carry ${share}: it pulls to one side under power and brakes.`,
};

export const JOINT_PLACES: Readonly<Record<JointName, string>> = {
  lower: 'at the lower ball',
  upper: 'at the upper outer end',
  upperInner: 'at the upper inner end',
  tieInner: 'at the tie rod’s inner end',
  tieOuter: 'at the tie rod’s outer end',
};
const DAMPED = {
  little: 'it bounces on after a bump',
  much: 'it is still low when the next bump comes',
  right: 'it settles within one swing',
} as const;

/** Sentences about corners, ride and steering. */
export const SUSPENSION_SENTENCES: Sentences<'suspension'> = {
  'suspension.bump.none': ({ end }) => `${END_TERMS[end]}: a wheel keeps its direction as it rises.`,
  'suspension.bump.steers': ({ end, towards, by }) =>
    `${END_TERMS[end]}: a rising wheel toes ${towards} by ${by}.`,
  'suspension.lock.joint': ({ end, joint, turns }) =>
    `${END_TERMS[end]}: the joint ${JOINT_PLACES[joint]} turns ${turns}.`,
  'suspension.lock.free': ({ end }) =>
    `${END_TERMS[end]}: it moves freely through all of its travel and beyond.`,
  'suspension.lock.locks': ({ end, at, rack }) =>
    `${END_TERMS[end]}: the linkage locks at ${at} of travel${rack ? ` with the rack at ${rack}` : ''}.`,
  'suspension.damping': ({ end, ratio, is }) => `${END_TERMS[end]}: damping ratio ${ratio}, ${DAMPED[is]}.`,
  'suspension.landing': ({ end, drop, wish }) =>
    `${END_TERMS[end]}: tyres, springs and dampers take a drop of ${drop}, needs ${wish}.`,
  'suspension.landing.rests': ({ end, wish }) =>
    `${END_TERMS[end]}: it rests on its bump stop, no travel is left for a drop of ${wish}.`,
  'suspension.landing.beyond': ({ end, wish }) =>
    `${END_TERMS[end]}: no drop of a model uses up the travel, needs ${wish}.`,
  'suspension.sag.bottoms': ({ end, sag, travel }) =>
    `${END_TERMS[end]}: it rests on its bump stop; the spring would sink ${sag} of ${travel}.`,
  'suspension.sag.topsOut': ({ end }) =>
    `${END_TERMS[end]}: preload holds it at full droop, so a wheel cannot follow a hole.`,
  'suspension.sag.sinks': ({ end, sag, travel, left, drawn }) =>
    `${END_TERMS[end]}: it sinks ${sag} of ${travel}; ${left} are left for bumps.${drawn ? ` ${firstUp(offDrawnWords(drawn))}.` : ''}`,
};

/** Where the springs hold an end against its drawing. */
export const offDrawnWords = ({ by, car }: { by: string; car: 'higher' | 'lower' }): string =>
  `the springs hold the car ${by} ${car} there than it is drawn`;

const where = (at: string | undefined) => (at ? ` at ${at} of travel` : '');
const whereWords = (at: string | undefined, steered: boolean) => `${where(at)}${steered ? ', steered' : ''}`;

const MESHES = { near: 'too near, they jam', far: 'too far, they skip', right: 'right' } as const;

/** Sentences about fits. */
export const FIT_SENTENCES: Sentences<'fit'> = {
  'fit.meets': ({ a, b, deep, at, steered, freeTo }) =>
    `${firstUp(thingWords(a))} meets ${thingWords(b)}${whereWords(at, steered)}: ${deep} have to go${freeTo ? `, or the travel ends at ${freeTo}` : ''}.`,
  'fit.near': ({ a, b, apart, wanted, at, steered, freeTo }) =>
    `${firstUp(thingWords(a))} comes within ${apart} of ${thingWords(b)}${whereWords(at, steered)}; ${wanted} are wanted${freeTo ? `, which it has up to ${freeTo}` : ''}.`,
  'fit.free': ({ things }) => `None of ${things} things comes near another.`,
  'fit.train': ({ stage, motor, apart, mesh, too }) =>
    `${motor ? 'Motor and gear' : 'The shafts'} of stage ${stage} stand ${apart} apart, the teeth meet at ${mesh}: ${MESHES[too]}.`,
  'fit.ground': ({ clearance, wish }) => `${clearance} are free over the ground, ${wish} are wished.`,
  'fit.step': ({ step, wish }) => `It climbs a step of ${step}, the wish is ${wish}.`,
  'fit.play': ({ end, rim, bearings }) =>
    `${END_TERMS[end]}: the rim moves ${rim} from stop to stop, ${bearings} of it in the bearings.`,
};

/** Sentences about driver aids. */
export const AID_SENTENCES: Sentences<'aids'> = {
  'aids.sign': ({ at }) => `Turned to the left by hand on ${at} it read to the left.`,
  'aids.yaw.none': ({ speed }) => `No gain keeps it straight at ${speed}: mend tyres, toe or weight first.`,
  'aids.yaw.drifts': ({ gain, least, speed }) =>
    `Gain ${gain} does not catch the tail at ${speed}, needs ${least}.`,
  'aids.yaw.swings': ({ gain, critical, speed }) =>
    `Gain ${gain} makes it swing at ${speed}, limit ${critical}.`,
  'aids.yaw.calm': ({ gain, critical, speed }) =>
    critical === undefined
      ? `Gain ${gain} is steady at ${speed}, and so is any higher one.`
      : `Gain ${gain}; it over-corrects above ${critical} at ${speed}.`,
  'aids.traction': ({ edges, frame, speed, enough }) =>
    `${edges} edges in a frame of ${frame} at ${speed}, needs 1: ${enough ? 'every frame has news' : 'it acts on old readings'}.`,
};
