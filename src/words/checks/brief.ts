import type { Sentences } from '../write';

const ENDED = {
  battery: 'its charge is used',
  winding: 'the winding is at its limit before the charge is used',
  case: 'the motor case is too hot before the charge is used',
  controller: 'the controller is too hot before the charge is used',
  time: 'the pack is not empty even then',
  stalled: 'it no longer gets under way',
} as const;

/** Sentences about the wish. */
export const BRIEF_SENTENCES: Sentences<'brief'> = {
  'brief.mass': ({ car, payload, sizeClass, budget }) =>
    `${car}${payload ? ` and ${payload} of payload` : ''}, limit ${budget} of the class ${sizeClass}.`,
  'brief.charge.stands': () => 'It does not move from where it stands.',
  'brief.charge.driven': ({ speed, current, ended }) =>
    `Driven at a mean of ${speed}${current ? ` and ${current}` : ''} until ${ENDED[ended]}.`,
  'brief.charge.meanPower': ({ share, power, energy }) =>
    `At a mean of ${share} of the wished speed it draws ${power}, and a pack gives ${energy}.`,
  'brief.cost': ({ lines, unpriced }) =>
    unpriced > 0
      ? `${unpriced} of ${lines} lines of the make-or-buy list have no price yet, so it will be more.`
      : `All ${lines} lines of the make-or-buy list have a price.`,
};

/** Sentences of remedies that say more than what they exchange. */
export const REMEDY_SENTENCES: Sentences<'remedy'> = {
  'remedy.salvage': ({ what }) => `Salvage from an old car: ${what}`,
  'remedy.oneModule': ({ module }) => `Wheel with the pinion’s module, ${module}`,
  'remedy.stand': ({ part, size }) => `${part} stood up, ${size.join(' × ')} as it lies`,
};
