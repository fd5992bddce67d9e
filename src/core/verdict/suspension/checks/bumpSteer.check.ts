import type { CheckDefinition, Proposal } from '../../engine/check';
import { CalcError } from '../../../base/errors';
import { plain } from '../../../base/units/plain';
import { type EndOfBuild, endOf } from '../../../worked/suspension/endOfBuild';
import { flatTieHeight } from '../../../physics/corner/flatten';
import { endsOf } from '../../../worked/suspension/rideOfBuild';
import { both, named, worseEnd } from './ends';

/** Toe that a wheel may gain as it rises, ° a mm. */
const MOST_BUMP_STEER = 0.05;

/** How much a wheel steers by itself as it rises. */
export const bumpSteer: CheckDefinition = {
  id: 'suspension.bump',
  segment: 'suspension',
  title: 'Steers with the bumps',
  short: 'bump steer',
  anySurface: true,
  quantity: 'degPerMm',
  kind: 'ceiling',
  tightUnder: 1.5,
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => endOf(document, end),
        (end, { sweep }) => {
          const size = Math.abs(sweep.bumpSteerDegPerMm);
          return {
            end,
            value: size,
            limit: MOST_BUMP_STEER,
            rank: -size,
            why:
              size < 0.001
                ? 'a wheel keeps its direction as it rises.'
                : `it toes ${sweep.bumpSteerDegPerMm > 0 ? 'in' : 'out'} by ${plain(size)}° for each millimetre it rises.`,
            working: [
              {
                label: 'Bump steer',
                formula: 'toe at 0.05 mm up less 0.05 mm down, over 0.1 mm',
                value: sweep.bumpSteerDegPerMm,
                quantity: 'degPerMm',
                source: 'Milliken, Race Car Vehicle Dynamics, ch. 17',
              },
            ],
          };
        },
      ),
      ({ value }) => value > MOST_BUMP_STEER,
    ),
  propose: ({ document }) =>
    endsOf(document).flatMap((end): Proposal[] => {
      const found = endOf(document, end);
      if (!found.ok || Math.abs(found.value.sweep.bumpSteerDegPerMm) < MOST_BUMP_STEER / 1.5) return [];
      const { tieInner } = found.value.corner;
      const height = flatHeight(found.value);
      if (!tieInner || height === undefined) return [];
      const by = height - tieInner[2];
      return [
        {
          text: `${named(end)} tie rod’s inner end ${plain(Math.abs(by))} mm ${by > 0 ? 'higher' : 'lower'}`,
          patch: [
            {
              path: ['suspension', end, 'corner', 'tieInner'],
              value: [tieInner[0], tieInner[1], Number(height.toFixed(2))],
            },
          ],
          cost: 1,
        },
      ];
    }),
};

function flatHeight({ corner }: EndOfBuild): number | undefined {
  try {
    return flatTieHeight(corner);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}
