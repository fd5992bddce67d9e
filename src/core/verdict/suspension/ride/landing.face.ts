import { defineFace } from '../../engine/check';

/** The drop that tyres, springs and dampers take before the travel is used up. */
export const landingFace = defineFace({
  id: 'suspension.landing',
  at: { segment: 'suspension', side: 'ride' },
  anySurface: true,
  heavy: true,
  quantity: 'distanceM',
  kind: 'floor',
  tightUnder: 1.2,
  provenBy: { run: 'drop', how: 'dropForMarks' },
  supports: ['springTooSoft', 'impactOverDesign'],
});
