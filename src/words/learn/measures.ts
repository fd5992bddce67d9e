import type { MeasureId } from '@/core/advice/learn/overRevisions';

/** What is measured of a revision, as it heads a chart. */
export const MEASURE_TITLES: Readonly<Record<MeasureId, string>> = {
  speed: 'Speed over a distance',
  launch: 'Standing start',
  slalom: 'Slalom',
  track: 'Top speed by satellite',
  pack: 'A pack lasts',
  motor: 'Motor at its hottest',
};
