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
});
