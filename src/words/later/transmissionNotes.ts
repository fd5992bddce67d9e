import type { Sentences } from '../write';

const BEVEL_NOTES: Sentences<'bevel'> = {
  'bevel.notAssembled': ({ pinions, sideTeeth }) =>
    `${pinions} pinions do not go between side gears of ${sideTeeth} teeth: twice the teeth must divide by them.`,
  'bevel.pinionsTouch': ({ pinions, overlap }) =>
    `${pinions} pinions touch, by ${overlap}: take fewer, or pinions of fewer teeth.`,
  'bevel.wide': ({ faceMm, limitMm }) =>
    `A face of ${faceMm} is over the ${limitMm} that a cone like this puts to use: the narrow end bends away from the load. Take a larger module rather than more width.`,
  'bevel.undercut': ({ least }) =>
    `Its teeth are cut thin at the root: ${least} teeth are whole at this cone, or shift the pinion out.`,
};

const PLANETARY_NOTES: Sentences<'planetary'> = {
  'planetary.notAssembled': ({ planets, teeth }) =>
    `${planets} planets do not go in evenly spaced: ${teeth} places do not divide by them. They may stand in the places that are told.`,
  'planetary.touch': ({ overlap }) =>
    `Neighbouring planets run into each other by ${overlap}: take fewer planets, or more teeth on the sun.`,
  'planetary.involute': ({ addendum, limit }) =>
    `The ring’s teeth, ${addendum} modules high inside, pass the end of the planet’s flank: ${limit} modules at most.`,
  'planetary.tips': () =>
    'The planet’s tips run into the ring’s beside the mesh: give the ring more teeth against the planet, or lower tips.',
};

const PLANETARY_SEARCH_NOTES: Sentences<'note.planetarySearch'> = {
  'note.planetarySearch.none': () =>
    'No set comes so near: allow a wider tolerance, more ring teeth or another number of planets.',
};

/** Of gears that are no spur gears. */
export const TRANSMISSION_NOTES = { ...BEVEL_NOTES, ...PLANETARY_NOTES, ...PLANETARY_SEARCH_NOTES };
