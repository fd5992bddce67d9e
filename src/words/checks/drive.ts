import { formatNumber } from '@/core/base/units/formatQuantity';
import { WHEEL_WORDS } from '../bench/wheelWords';
import { SPIN_ENDS_WORDS } from '../labels/tyres';
import { inSentence } from '@/core/base/units/words';
import { counted, firstUp, listed } from '../lists';
import type { GearNamed } from '@/core/verdict/drive/gears/onTeeth';
import { CASE_LIMIT_OF, gearName, PINION_HELD_BY, TORQUE_BY } from '../terms';
import type { Sentences } from '../write';
import { messageOf } from '../refusals/problemOf';

const AXLE = { front: 'The front axle rolls', rear: 'The rear axle rolls', both: 'Both axles roll' } as const;
const LIMITED_BY = {
  grip: 'grip of the tyres',
  lift: 'lift of the front wheels',
  controller: 'controller’s current limit',
  ownLimit: 'current limit set by hand',
  clutch: 'slip clutch',
  voltage: 'pack voltage',
} as const;
const TOO_LITTLE = {
  breakaway: 'stiction holds it',
  controller: 'the controller’s current limit holds it back',
  ownLimit: 'the current limit set by hand holds it back',
  clutch: 'the slip clutch slips',
  voltage: 'the pack has too few volts for it',
} as const;

const BRAKED_FIRST = {
  front: (at?: string) =>
    `The front wheels lock first${at ? `, at ${at} of the brake` : ''}: it slides on straight.`,
  both: (at?: string) => `Both axles lock together${at ? `, at ${at} of the brake` : ''}.`,
  lift: () => 'The rear wheels lift before any wheel locks.',
  none: () => 'No wheel locks, however hard it brakes.',
} as const;

/** Sentences about the run, the heat, the ratio and the layout. */
export const DRIVE_SENTENCES: Sentences<'drive'> = {
  'drive.moves.moves': ({ drive, grip, needed, limitedBy }) =>
    limitedBy === 'drive'
      ? `The motor pulls ${drive} at the wheels, needs ${needed}.`
      : `The tyres hold ${grip} of the motor’s ${drive}, needs ${needed}.`,
  'drive.moves.spins': ({ grip, needed, friction }) =>
    `The tyres spin: they hold ${grip}, needs ${needed}${friction ? `; friction ${friction} would do` : ''}.`,
  'drive.moves.stalls': ({ drive, needed, short, tyresToo }) =>
    `The motor is held: it pulls ${drive}, needs ${needed}; ${TOO_LITTLE[short]}${tyresToo ? ', and the tyres hold no more' : ''}.`,
  'drive.speed.stands': ({ outcome }) =>
    outcome === 'spins' ? 'Its tyres spin where it stands.' : 'Its motor is held where it stands.',
  'drive.speed.grip': ({ top, wish }) =>
    `Grip ends it at ${top}, needs ${wish}: the tyres decide, not the gear.`,
  'drive.speed.drive': ({ top, wish, share }) =>
    `It reaches ${top}, needs ${wish}, with the motor at ${share} of its no-load speed.`,
  'drive.time.never': () => 'It does not get there.',
  'drive.time.limited': ({ by }) => `The launch is limited by the ${LIMITED_BY[by]}.`,
  'drive.grip.always': ({ wish }) => `The tyres hold the resistance at ${wish} and at every other speed.`,
  'drive.grip.upTo': ({ speed, wish }) => `The tyres hold the resistance up to ${speed}, needs ${wish}.`,
  'drive.ratio': ({ by, way, loses, share }) => {
    switch (by) {
      case 'tyresAtRest':
        return 'The tyres spin at rest, whatever the gear.';
      case 'stalls':
        return 'Long: the motor is held at rest. Go shorter.';
      case 'gripAtSpeed':
        return 'Grip sets the top speed, whatever the gear.';
      case 'missed':
        return way === 'longer'
          ? `Short: the motor runs at ${share} of its no-load speed and the wish is missed. Go longer.`
          : `Long: the motor is dragged down to ${share} of its no-load speed and the wish is missed. Go shorter.`;
      case 'tooLittleMotor':
        return `Too little motor: at ${share} of its no-load speed neither a longer nor a shorter gear is faster.`;
      case 'hot':
        return `The wish is met, but the motor is too hot before the charge is used; a ${way!} gear is cooler.`;
      case 'hotAnyGear':
        return 'The wish is met; that the motor gets too hot is no matter of the gear.';
      case 'nearEnd':
        return loses === 'wish'
          ? `Nearly too ${way === 'longer' ? 'short' : 'long'}: 10 % ${way === 'longer' ? 'shorter' : 'longer'} misses the wish.`
          : `Nearly too ${way === 'longer' ? 'short' : 'long'}: 10 % ${way === 'longer' ? 'shorter' : 'longer'} gets the motor too hot.`;
      case 'meets':
        return `The wish is met, cool, with the motor at ${share} of its no-load speed.`;
    }
  },
  'drive.heat.spins': () => 'It does not move, but the tyres spin: the motor is not held.',
  'drive.heat.held': ({ of, limit, after }) =>
    `The motor is held where it stands: the ${of} is at its limit of ${limit} after ${after}.`,
  'drive.heat.heldForEver': ({ of, limit }) =>
    `The motor is held where it stands, but the ${of} stays under ${limit}.`,
  'drive.heat.case': ({ peak, air, limit, of }) =>
    `The case reaches ${peak} in air of ${air}; ${CASE_LIMIT_OF[of]} ${limit}.`,
  'drive.heat.caseAfter': ({ after, limit, of }) =>
    `After ${after} the case is too hot: ${CASE_LIMIT_OF[of]} ${limit}.`,
  'drive.winding.peak': ({ peak, limit }) => `The winding reaches ${peak}, limit ${limit}.`,
  'drive.winding.after': ({ after, limit }) => `The winding is at its limit of ${limit} after ${after}.`,
  'drive.controllerHeat.peak': ({ peak, limit }) =>
    `The controller reaches ${peak} and shuts down at ${limit}.`,
  'drive.controllerHeat.after': ({ after, limit }) =>
    `After ${after} the controller shuts down: it is at its limit of ${limit}.`,
  'drive.controllerHeat.stands': () => 'A car that stands still draws no more than a moment’s current.',
  'drive.hold.ends': ({ after, of, current, safe }) =>
    `Held at full throttle, ${current} bring the ${of} to its limit in ${after}, needs 5 s; up to ${safe} of the throttle may be held for ever.`,
  'drive.hold.forEver': ({ current }) => `Held at full throttle it takes ${current} for ever.`,
  'drive.place.stands': () => 'The car cannot move, so no place is long enough.',
  'drive.place.margins': () => 'The margins at both ends leave nothing of the place.',
  'drive.place.rollsOn': ({ speed }) => `From ${speed} it does not stop: give it a brake.`,
  'drive.place.needs': ({ speed, needed, usable, allowed }) =>
    `A pass at ${speed} needs ${needed} of the ${usable} there are${allowed ? `; this place allows ${allowed}` : ''}.`,
  'drive.start': ({ times, takes, kind }) =>
    `By string and weight the drive takes ${takes} of the motor’s pull; the motor starts with ${times} times what that and the ground ask${kind === 'sensorless' ? ', and without sensors it starts blind' : ''}.`,
  'drive.brake.stands': () => 'A car that cannot move needs no brake.',
  'drive.brake.rear': ({ at, from, over }) =>
    over
      ? `Braked from ${from} its rear wheels lock first, at ${at} of the brake: the car turns about.`
      : `Braked from ${from} its rear wheels would lock first, at ${at} of the brake.`,
  'drive.brake.first': ({ lock, at }) => BRAKED_FIRST[lock](at),
  'drive.rotation.forward': ({ axle }) =>
    axle === 'both' ? 'Both axles roll forward at the same ratio.' : `${AXLE[axle]} forward.`,
  'drive.rotation.backward': ({ axle }) => `${AXLE[axle]} backward: swap two motor leads.`,
  'drive.rotation.apart': () => 'Front and rear axle roll against each other.',
  'drive.rotation.mismatch': ({ by }) => `The axles’ ratios differ by ${by}: the tyres scrub.`,
};

/** Sentences about the gears. */
export const GEAR_SENTENCES: Sentences<'gears'> = {
  'gears.mesh.refused': ({ pinion, wheel, refused }) =>
    `${pinion} and ${wheel} teeth do not mesh: ${messageOf(refused)}.`,
  'gears.mesh.slot': ({ pinion, wheel, apart, from, to, fits }) =>
    `${pinion} and ${wheel} teeth need ${apart} between shafts; the slot gives ${from} to ${to}${fits ? `, for pinions of ${fits.min} to ${fits.max} teeth` : ''}.`,
  'gears.mesh.undercut': ({ role, under }) =>
    `The ${role === 'pinion' ? 'pinion' : 'spur'} is undercut: under ${counted(under, 'tooth', 'teeth')} the root is thinner than it looks.`,
  'gears.mesh.meshes': ({ pinion, wheel, apart, contact }) =>
    `${pinion} and ${wheel} teeth mesh at ${apart}; contact ratio ${contact}, needs 1.1.`,
  'gears.tooth.soft': (gear) => `The ${gearNamed(gear)} is soft at ${gear.at}.`,
  'gears.tooth.loaded': (gear) =>
    `The ${gearNamed(gear)} takes ${gear.torque} from ${TORQUE_BY[gear.by]}, strips at ${gear.strips}${gear.unjudged.length > 0 ? `; ${listed(gear.unjudged)} not worked out yet` : ''}.`,
  'gears.opening.apart': ({ torque, by, opens, contact, skips }) =>
    `${torque} from ${TORQUE_BY[by]} push the shafts ${opens} apart: ${skips ? `the teeth skip, contact ratio ${contact}` : `${contact} pairs are left in touch`}.`,
  'gears.opening.loose': ({ play }) =>
    `The play of the bearings, ${play}, and the backlash leave the teeth out of each other’s reach.`,
  'gears.opening.refused': ({ refused }) => `These gears do not mesh: ${messageOf(refused)}.`,
  'gears.assembly.uneven': ({ sun, ring, planets, places }) =>
    `${planets} planets do not go evenly between sun ${sun} and ring ${ring}: their ${places} teeth do not divide by ${planets}.`,
  'gears.assembly.touch': ({ planets, overlap }) => `${planets} planets run into each other by ${overlap}.`,
  'gears.assembly.involute': ({ ring, limit }) =>
    `The inner teeth of the ring of ${ring} must be ${limit} modules high at most, or they dig into the planets.`,
  'gears.assembly.goes': ({ sun, ring, planets, gap }) =>
    `${planets} planets go in between sun ${sun} and ring ${ring}${gap ? `, ${gap} from tip to tip` : ''}.`,
  'gears.assembly.insideUneven': ({ planets, side }) =>
    `${planets} planets do not go evenly between side gears of ${side}: twice ${side} teeth do not divide by ${planets}.`,
  'gears.assembly.insideTouch': ({ planets, overlap }) =>
    `${planets} planets of the differential run into each other by ${overlap}.`,
  'gears.assembly.insideGoes': ({ planets, side, gap }) =>
    `${counted(planets, 'planet', 'planets')} ${planets === 1 ? 'goes' : 'go'} in between side gears of ${side} teeth${gap ? `, ${gap} from tip to tip` : ''}.`,
  'gears.wear.none': () => 'Neither gear is of a material that wears away.',
  'gears.wear.hours': (gear) =>
    `The flank of the ${gearNamed(gear)} is worn by ${gear.worn} after ${gear.beyond ? 'over ' : ''}${gear.hours} of such driving.`,
};

/** Sentences about belts. */
export const BELT_SENTENCES: Sentences<'belt'> = {
  'belt.refused': ({ small, large, refused }) =>
    `Pulleys of ${small} and ${large} teeth with this belt do not go: ${messageOf(refused)}.`,
  'belt.teeth.pulled': ({ torque, by, pull, carries, inMesh }) =>
    `${torque} from ${TORQUE_BY[by]} pull it with ${pull}; it carries ${carries} with ${counted(inMesh, 'tooth', 'teeth')} in mesh.`,
  'belt.teeth.pulley': ({ small, torque, by, stress, allowed }) =>
    `${torque} from ${TORQUE_BY[by]} bend the teeth of the pulley of ${small} with ${stress}, limit ${allowed}.`,
  'belt.skip.climbs': ({ torque, by, pull, climbs, set, needed }) =>
    `Set to ${set} it climbs at ${climbs}; ${torque} from ${TORQUE_BY[by]} pull with ${pull}, for which ${needed} are needed.`,
};

const gearNamed = ({ kind, role, teeth, material }: GearNamed & { material: string }): string =>
  `${gearName(kind, role)} of ${teeth} teeth in ${inSentence(material)}`;

const BENT_BY = { landing: 'landing', kerb: 'kerb' } as const;

/** Sentences about what holds pinion and wheels. */
export const JOINT_SENTENCES: Sentences<'joint'> = {
  'joint.pinion.splits': ({ hoop }) => `The hub splits as it is pressed on: ${hoop} around it.`,
  'joint.pinion.soft': ({ joint, at, softens }) =>
    `${firstUp(PINION_HELD_BY[joint])} softens at ${softens}, and the shaft is at ${at}.`,
  'joint.pinion.carries': ({ joint, carries, at, torque, by }) =>
    `${firstUp(PINION_HELD_BY[joint])} carries ${carries} at ${at}, needs ${torque} for ${TORQUE_BY[by]}.`,
  'joint.wheel': ({ across, deep, material, carries, torque, by }) =>
    `A hex of ${across}, ${deep} deep in ${inSentence(material)}, carries ${carries}, needs ${torque} for ${TORQUE_BY[by]}.`,
};

/** Sentences about the shafts. */
export const SHAFT_SENTENCES: Sentences<'shaft'> = {
  'shaft.strength': ({ kind, diameter, material, torque, by, bent, stress, strength }) =>
    `The ${kind === 'axle' ? 'wheel axle' : 'long shaft'} of ${diameter} ${inSentence(material)} takes ${torque} from ${TORQUE_BY[by]}${bent ? ` and ${bent.force} from a ${BENT_BY[bent.by]}` : ''}: ${stress}, limit ${strength}.`,
  'shaft.whirl': ({ span, whips, turns }) =>
    `Over ${span} it whips at ${whips}; wheels in the air it turns ${turns}.`,
};

/** Sentences about wheels on the bench. */
export const BENCH_SENTENCES: Sentences<'bench'> = {
  'bench.balance': ({ wheel, turns, left, allowed, corrected }, reader) => {
    const mass = (value: number) => `${formatNumber(value, reader.locale, 2)} g·mm`;
    return `${wheel ? `The ${WHEEL_WORDS[wheel]} wheel` : 'A wheel'} ${corrected ? 'has' : 'was measured with'} ${mass(left)} of imbalance${corrected ? ' left' : ''}; at ${turns} a fast one may have ${mass(allowed)}.`;
  },
};

const TURNS_WHERE = { bench: 'in the air', road: 'at top speed' } as const;

/** Sentences about the tyres. */
export const TYRE_SENTENCES: Sentences<'tyre'> = {
  'tyre.burst.runsAway': ({ turns, use, axle }) =>
    `At ${turns} ${TURNS_WHERE[use]} ${axle ? `the ${axle} tyre` : 'the tyre'} grows without end.`,
  'tyre.burst.ends': ({ turns, by, at, use, axle, proven }) =>
    `${axle ? `The ${axle} tyre` : 'The tyre'} turns ${turns} ${TURNS_WHERE[use]}; ${proven ? `such ones held ${at} on the bench` : `${SPIN_ENDS_WORDS[by]} at ${at}`}.`,
};
