import { ENDS } from '../../../car/document/suspension';
import type { CheckDefinition, Proposal } from '../../engine/check';
import { plain } from '../../../base/units/plain';
import { playOf } from '../../../worked/suspension/playOfBuild';
import { both, named, worseEnd } from './ends';

/** Of the wheel's radius. */
export const MOST_PLAY_SHARE = 0.015;

/** How far the rim moves from stop to stop of its bearings and joints. */
export const play: CheckDefinition = {
  id: 'fit.play',
  segment: 'suspension',
  title: 'Free play at the rim',
  short: 'play',
  anySurface: true,
  quantity: 'lengthMm',
  kind: 'ceiling',
  tightUnder: 1.3,
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => playOf(document, end),
        (end, found) => {
          const limit = MOST_PLAY_SHARE * found.radiusMm;
          return {
            end,
            value: found.rimPlayMm,
            limit,
            rank: limit / Math.max(found.rimPlayMm, 1e-6),
            why: `the rim moves ${plain(found.rimPlayMm)} mm from stop to stop, ${plain(found.bearingRimMm)} mm of it in the bearings.`,
            working: [
              {
                label: 'Bearings',
                formula: '2 · radius · (inboard + outboard play) / (2 · spacing)',
                value: found.bearingRimMm,
                quantity: 'lengthMm',
                source: 'by geometry',
              },
              {
                label: 'With the tie rod’s ends',
                formula: `2 · radius · tan ${plain(found.toeDeg)}° more`,
                value: found.toeRimMm,
                quantity: 'lengthMm',
              },
              {
                label: 'With the upper joint',
                formula: `2 · radius · tan ${plain(found.camberDeg)}° more`,
                value: found.camberRimMm,
                quantity: 'lengthMm',
              },
            ],
          };
        },
      ),
      ({ value, limit }) => value > limit!,
    ),
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = playOf(document, end);
      const own = document.suspension[end]?.play;
      if (!found.ok || !own || found.value.rimPlayMm * 1.3 <= MOST_PLAY_SHARE * found.value.radiusMm)
        return [];
      const wider = Math.ceil(1.5 * own.bearingSpacingMm!);
      const half = (value: number) => Number((value / 2).toPrecision(2));
      return [
        {
          text: `${named(end)} bearings ${wider} mm apart in place of ${plain(own.bearingSpacingMm!)} mm`,
          patch: [{ path: ['suspension', end, 'play', 'bearingSpacingMm'], value: wider }],
          cost: 3,
        },
        {
          text: `${named(end)} bearing seats at half their play`,
          patch: [
            { path: ['suspension', end, 'play', 'inboardMm'], value: half(own.inboardMm!) },
            { path: ['suspension', end, 'play', 'outboardMm'], value: half(own.outboardMm!) },
          ],
          cost: 2,
        },
        ...(own.tieMm
          ? [
              {
                text: `${named(end)} tie rod’s ends at half their play`,
                patch: [{ path: ['suspension', end, 'play', 'tieMm'], value: half(own.tieMm) }],
                cost: 1 as const,
              },
            ]
          : []),
      ];
    }),
};
