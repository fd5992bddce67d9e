import { defineLibraryKind } from './define';
import { type PowerLoad } from '../../document/power';
import { RADIO_FIGURES } from '../../document/power.figures';
import { SUPPLIED, type Supplied } from './servo';

export type ReceiverFigures = { name: string } & Supplied &
  Required<Pick<PowerLoad, 'protocol' | 'channels'>>;

export const receiver = defineLibraryKind<ReceiverFigures>({
  figures: { ...RADIO_FIGURES, ...SUPPLIED },
  blank: { protocol: '', channels: 3, minV: 4, maxV: 8.4, typicalA: 0.05, peakA: 0.1 },
  tells: ['protocol', 'channels'],
});
