import { defineFace } from '../../engine/check';

/** Length of the place less its margins against run-up, measured stretch and stop at the wished speed. */
export const fitsFace = defineFace({
  id: 'drive.place',
  at: { segment: 'drive', side: 'place' },
  heavy: true,
  quantity: 'distanceM',
  kind: 'floor',
  tightUnder: 1.1,
  applies: ({ brief }) => brief.place?.lengthM !== undefined,
  provenBy: { run: 'stopping', how: 'paceOutAndStop' },
  supports: [],
});
