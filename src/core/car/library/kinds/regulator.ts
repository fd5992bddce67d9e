import { defineLibraryKind } from './define';
import { type PowerRail } from '../../document/power';
import { RAIL_FIGURES } from '../../document/power.figures';
import { required } from '../../fields/figure';

export type RegulatorFigures = Omit<PowerRail, 'id' | 'libraryId' | 'from' | 'meteredV'>;

export const regulator = defineLibraryKind<RegulatorFigures>({
  figures: { ...RAIL_FIGURES, continuousA: required(RAIL_FIGURES.continuousA) },
  blank: {
    kind: 'buck',
    setV: 6,
    dropoutV: 0.5,
    minInV: 5,
    maxInV: 13,
    continuousA: 3,
    peakA: 5,
    efficiency: 0.9,
  },
  tells: ['setV', 'continuousA'],
});
