import type { Sentences } from './write';

const LAYERS = {
  along: 'Lays the layers along the part',
  across: 'Stands the part up: its layers lie across it',
  leaning: 'Leans the layers across the part',
} as const;

/** Sentences about ways up on the bed. */
export const ORIENT_SENTENCES: Sentences<'orient'> = {
  'orient.best': ({ layers, support, onBed }) => {
    const supported =
      support === 'none'
        ? 'no support'
        : support === 'least'
          ? 'the least support'
          : 'more' in support
            ? `${support.more} more support than the least`
            : `${support.whereNoneIsNeeded} to support where another way needs none`;
    return `${LAYERS[layers]}; ${supported}${onBed ? `, ${onBed} on the bed` : ', nothing flat on the bed'}.`;
  },
  'orient.weaker': ({ share }) => `Weaker: ${share} of the best margin.`,
  'orient.support': ({ more }) => `${more} more to support.`,
  'orient.higher': ({ by }) => `${by} higher.`,
  'orient.asGood': () => 'As good.',
};
