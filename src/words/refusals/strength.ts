import type { Refusals } from './refusals';

export const SECTION_REFUSALS: Refusals<'section'> = {
  'section.noWall': () => ['leaves no wall', 'give a diameter over the bore'],
  'section.noHollow': () => ['leaves no hollow', 'give a wall under half of width and height'],
  'section.webTooWide': () => ['is wider than the section', 'give a web within the width'],
  'section.noWeb': () => ['leaves no web', 'give thinner flanges or more height'],
  'section.crosses': () => ['crosses itself', 'give its corners in order'],
  'section.holeCrosses': () => ['crosses itself', 'give its corners in order'],
  'section.noArea': () => [
    'encloses no area once its holes are out',
    'give corners that enclose more than the holes',
  ],
};

export const IMPACT_REFUSALS: Refusals<'impact'> = {
  'impact.tooLight': () => [
    'is too light for tyre, spring and damper: it would swing within a millionth of a second',
    'check the mass of wheel and hub, the rates and the damper',
  ],
  'impact.loadShare': () => ['is for four wheels', 'leave it out, or land on four wheels'],
  'impact.inertia': () => ['plays no part on four wheels', 'leave it out, or land on one or two wheels'],
  'impact.beside': () => ['is needed', 'give the distance of the wheel from the middle'],
  'impact.rollInertia': () => ['is needed', 'give the inertia about the roll axis'],
  'impact.rim': () => ['must be at least the rate of the tyre', 'give a rim that is stiffer'],
  'impact.force': () => ['is needed for forceAt', 'give the force whose drop is sought'],
  'impact.forceAt': () => ['needs a suspension', 'give the suspension, or ask for tyre or chassis'],
  'impact.notAscending': () => ['must be larger than the one before', 'give travels in order'],
  'impact.unequal': ({ ratioCount, travelMmCount }) => [
    `holds ${ratioCount} values for ${travelMmCount} travels`,
    'give one for each travel',
  ],
};

export const SPRING_REFUSALS: Refusals<'spring'> = {
  'spring.wire': ({ meanDiameterMm, wireMm }) => [
    `${meanDiameterMm} is no more than the wire of ${wireMm}`,
    'give the diameter at the middle of the wire',
  ],
};

export const BEAM_REFUSALS: Refusals<'beam'> = {
  'beam.beyond': () => ['lies beyond the beam', 'give a place on it'],
};

export const PRINTED_SECTION_REFUSALS: Refusals<'printedSection'> = {
  'printedSection.noFill': () => [
    'is 0 and nothing joins the faces',
    'give it some infill, or walls all round',
  ],
  'printedSection.combinations': ({ tried, most }) => [
    `makes ${tried} combinations, over ${most}`,
    'take larger steps or shorter ranges',
  ],
  'printedSection.tooMany': ({ most }) => [
    `makes over ${most} combinations`,
    'take larger steps or shorter ranges',
  ],
  'printedSection.buildAxis': () => ['plays no part where the layers lie across', 'leave it out'],
};
