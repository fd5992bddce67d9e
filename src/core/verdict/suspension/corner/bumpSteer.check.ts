import { CalcError } from '../../../base/errors';
import { type Measure, measure } from '../../../base/measure';
import type { Assembled } from '../../../base/assembled';
import type { BuildDocument } from '../../../car/document/document';
import type { End } from '../../../car/document/suspension';
import { flatTieHeight } from '../../../physics/corner/flatten';
import { type EndOfBuild, endOf } from '../../../worked/suspension/endOfBuild';
import { type RestOfEnd, restOf } from '../../../worked/suspension/restOfBuild';
import { endsOf } from '../../../worked/suspension/rideOfBuild';
import { defineCheck, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { both, worseEnd } from '../ends';

declare module '../../../base/finding' {
  interface FindingFacts {
    'suspension.bump.none': { end: End };
    'suspension.bump.steers': { end: End; towards: 'in' | 'out'; by: Measure };
  }
  interface WorkingFacts {
    'suspension.bump': { degPerMm: number };
  }
}

/** Toe that a wheel may gain as it rises, °/mm. */
const MOST_BUMP_STEER = 0.05;
/** Bump steer that is none, °/mm. */
const NONE = 0.001;
/** Margin from which nothing is proposed. */
const ENOUGH = 1.5;

/** How much a wheel steers by itself as it rises. */
export const bumpSteer = defineCheck({
  id: 'suspension.bump',
  at: { segment: 'suspension', side: 'corner' },
  anySurface: true,
  quantity: 'degPerMm',
  kind: 'ceiling',
  tightUnder: 1.5,
  find: ({ document }) =>
    worseEnd(
      both(
        (end) => restOrMissing(document, end),
        (end, { bumpSteerDegPerMm }) => {
          const size = Math.abs(bumpSteerDegPerMm);
          return {
            end,
            value: size,
            limit: MOST_BUMP_STEER,
            rank: -size,
            finding:
              size < NONE
                ? finding('suspension.bump.none', { end })
                : finding('suspension.bump.steers', {
                    end,
                    towards: bumpSteerDegPerMm > 0 ? 'in' : 'out',
                    by: measure(size, 'degPerMm'),
                  }),
            working: working('suspension.bump', { degPerMm: bumpSteerDegPerMm }),
          };
        },
      ),
      ({ value }) => value > MOST_BUMP_STEER,
    ),
  remedies: ({ document }) =>
    endsOf(document).flatMap((end): Proposal[] => {
      const [found, rest] = [endOf(document, end), restOf(document, end)];
      if (!found.ok || !rest || Math.abs(rest.bumpSteerDegPerMm) < MOST_BUMP_STEER / ENOUGH) return [];
      const { tieInner } = found.value.corner;
      const height = flatHeight(found.value, rest.travelMm);
      if (!tieInner || height === undefined) return [];
      return [
        {
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
  provenBy: { run: 'terrain', how: 'throughTravel' },
  supports: ['bumpSteer'],
});

function restOrMissing(document: BuildDocument, end: End): Assembled<RestOfEnd> {
  const found = endOf(document, end);
  return found.ok ? { ok: true, value: restOf(document, end)! } : found;
}

function flatHeight({ corner }: EndOfBuild, travelMm: number): number | undefined {
  try {
    return flatTieHeight(corner, travelMm);
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return undefined;
  }
}
