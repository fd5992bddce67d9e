import type { Refusals } from './refusals';

export const CHAIN_REFUSALS: Refusals<'chain'> = {
  'chain.order': ({ largeTeeth }) => [
    `must be ${largeTeeth} at most, the teeth of the large sprocket`,
    'give the smaller one first',
  ],
  'chain.oneForm': () => ['stands beside centreDistanceMm, or both are missing', 'give the one or the other'],
  'chain.odd': ({ below, above }) => ['must be even', `take ${below} or ${above}`],
  'chain.touch': ({ leastMm }) => [
    `lets the sprockets touch: their pitch circles meet at ${leastMm} between the centres`,
    'give more links or wider centres',
  ],
};

export const GEAR_SEARCH_REFUSALS: Refusals<'gearSearch'> = {
  'gearSearch.many': ({ combinations, most }) => [
    `makes ${combinations} combinations, at most ${most} are searched`,
    'leave gears out, or a stage',
  ],
};

export const OPENING_REFUSALS: Refusals<'opening'> = {
  'opening.mount': () => ['stands beside a beam, or both are missing', 'give the one or the other'],
};

export const HELICAL_REFUSALS: Refusals<'helical'> = {
  'helical.oneForm': () => [
    'stands beside centreDistanceMm, or both are missing',
    'give the one or the other',
  ],
  'helical.centre': ({ from, to }) => [`asks for a helix outside 0 to 45°`, `give ${from} to ${to}`],
  'helical.shift': () => ['must be 0 where the centres give the helix', 'leave it out, or give helixDeg'],
  'helical.teeth': ({ virtual }) => [
    `makes ${virtual} virtual teeth, under the 10 of the form factor`,
    'take more teeth or less helix',
  ],
};

export const BEARINGS_REFUSALS: Refusals<'bearings'> = {
  'bearings.order': () => [
    'must rise from the first to the second',
    'give the places along the axis in order',
  ],
};

export const BELT_REFUSALS: Refusals<'belt'> = {
  'belt.order': ({ largeTeeth }) => [
    `must be ${largeTeeth} at most, the teeth of the large pulley`,
    'give the smaller one first',
  ],
  'belt.oneForm': () => ['stands beside centreDistanceMm, or both are missing', 'give the one or the other'],
  'belt.touch': ({ leastMm }) => [
    `lets the pulleys touch: their pitch circles meet at ${leastMm} between the centres`,
    'give a longer belt or wider centres',
  ],
  'belt.noneLongEnough': ({ leastMm }) => [
    `holds no belt that is long enough: the pulleys touch at ${leastMm} between the centres`,
    'add a longer belt',
  ],
  'belt.slot': ({ slotMaxMm }) => [
    `is over the slot’s other end, ${slotMaxMm}`,
    'give the smaller end first',
  ],
  'belt.fewInMesh': ({ inMesh }) => [
    `leaves ${inMesh} teeth in mesh, a belt needs two`,
    'take a larger small pulley, or wider centres',
  ],
  'belt.unknownPitch': () => [
    'is needed: there is no typical figure for this pitch',
    'take it from the data sheet',
  ],
  'belt.pulleyUnloaded': () => ['is needed for the tooth of a pulley', 'give the torque'],
};

export const FRICTION_REFUSALS: Refusals<'friction'> = {
  'friction.keep': ({ startG }) => [
    `must be ${startG} at most, the weight that starts it`,
    'less keeps a drive turning than starts it',
  ],
  'friction.twice': ({ part }) => [`“${part}” was taken out before`, 'name each part once'],
  'friction.motorFirst': () => ['can only be the first that is taken out', 'draw the pinion before the rest'],
  'friction.nothing': () => ['are missing, and so is freeSpin', 'give the one or the other'],
  'friction.noMotor': () => ['is needed to make a torque of a current', 'give its figures'],
};

export const BEVEL_REFUSALS: Refusals<'bevel'> = {
  'bevel.angle': () => [
    'leaves one of the two gears without a cone: it would be flat or hollow',
    'take a smaller angle, or teeth that are nearer to each other',
  ],
  'bevel.face': ({ coneMm }) => [
    `reaches past the apex: the cone is ${coneMm} long`,
    'take a third of that at most',
  ],
  'bevel.teeth': ({ virtual }) => [
    `makes ${virtual} virtual teeth, under the 10 of the form factor`,
    'take more teeth',
  ],
  'bevel.noTorque': () => ['is needed', 'give the torque on the pinion, or a differential'],
  'bevel.ofDifferential': () => ['follows from the differential', 'leave it out'],
  'bevel.square': () => ['must be 90° inside a differential', 'leave it out'],
};

export const PLANETARY_REFUSALS: Refusals<'planetary'> = {
  'planetary.held': () => ['drives already', 'hold another member'],
  'planetary.ring': ({ fits }) => [
    `leaves sun and ring on other centres`,
    Number.isInteger(fits)
      ? `take ${fits} teeth`
      : `${fits} teeth would fit: change sun, planet or modules until that is whole`,
  ],
  'planetary.ringModule': () => [
    'only goes with ringPlanetTeeth',
    'leave it out, or give the step that meshes the ring',
  ],
  'planetary.firstStrength': () => [
    'needs that of the first set, whose torque it takes over',
    'give strength there too',
  ],
  'planetary.needsModule': () => ['is needed for ringOutsideMaxMm', 'give it, or leave the outside out'],
};
