import { defineLibraryKind } from './define';
import { type PowerLoad, type ServoFigures } from '../../document/power';
import { LOAD_FIGURES, SERVO_FIGURES } from '../../document/power.figures';
import { required } from '../../fields/figure';

/** What a rail has to give. */
export type Supplied = Required<Pick<PowerLoad, 'minV' | 'maxV' | 'typicalA' | 'peakA'>>;

/** What of a thing on a rail the workshop always knows. */
export const SUPPLIED = {
  minV: required(LOAD_FIGURES.minV),
  maxV: required(LOAD_FIGURES.maxV),
  typicalA: required(LOAD_FIGURES.typicalA),
  peakA: required(LOAD_FIGURES.peakA),
};

export type ServoAtHand = { name: string } & Supplied & ServoFigures;

/** Typical of each class; take the data sheet of yours. Peak current is that of a stall. */
const STARTING_SERVOS: readonly { id: string; data: ServoAtHand }[] = [
  {
    id: 'servo-micro',
    data: {
      name: 'Micro servo, 9 g',
      minV: 4.8,
      maxV: 6,
      typicalA: 0.15,
      peakA: 0.7,
      lowV: 4.8,
      lowTorqueKgcm: 1.3,
      lowSecondsPer60Deg: 0.12,
      highV: 6,
      highTorqueKgcm: 1.6,
      highSecondsPer60Deg: 0.1,
    },
  },
  {
    id: 'servo-mini',
    data: {
      name: 'Mini servo, metal gears',
      minV: 4.8,
      maxV: 6,
      typicalA: 0.25,
      peakA: 1.2,
      lowV: 4.8,
      lowTorqueKgcm: 2.5,
      lowSecondsPer60Deg: 0.13,
      highV: 6,
      highTorqueKgcm: 3,
      highSecondsPer60Deg: 0.11,
    },
  },
  {
    id: 'servo-standard',
    data: {
      name: 'Standard servo',
      minV: 4.8,
      maxV: 6,
      typicalA: 0.4,
      peakA: 1.8,
      lowV: 4.8,
      lowTorqueKgcm: 5,
      lowSecondsPer60Deg: 0.2,
      highV: 6,
      highTorqueKgcm: 6.2,
      highSecondsPer60Deg: 0.16,
    },
  },
  {
    id: 'servo-strong',
    data: {
      name: 'Strong servo, metal gears',
      minV: 4.8,
      maxV: 7.4,
      typicalA: 0.7,
      peakA: 3.5,
      lowV: 4.8,
      lowTorqueKgcm: 13,
      lowSecondsPer60Deg: 0.19,
      highV: 7.4,
      highTorqueKgcm: 20,
      highSecondsPer60Deg: 0.13,
    },
  },
  {
    id: 'servo-high-volt',
    data: {
      name: 'High-voltage servo',
      minV: 6,
      maxV: 8.4,
      typicalA: 0.9,
      peakA: 5,
      lowV: 6,
      lowTorqueKgcm: 22,
      lowSecondsPer60Deg: 0.14,
      highV: 8.4,
      highTorqueKgcm: 31,
      highSecondsPer60Deg: 0.1,
    },
  },
];

export const servo = defineLibraryKind<ServoAtHand>({
  figures: {
    ...SUPPLIED,
    ...SERVO_FIGURES,
    lowV: required(SERVO_FIGURES.lowV),
    lowTorqueKgcm: required(SERVO_FIGURES.lowTorqueKgcm),
  },
  blank: {
    minV: 4.8,
    maxV: 6,
    typicalA: 0.4,
    peakA: 2,
    lowV: 4.8,
    lowTorqueKgcm: 5,
    highV: 6,
    highTorqueKgcm: 6,
  },
  tells: ['highTorqueKgcm', 'peakA'],
  starting: STARTING_SERVOS,
});
