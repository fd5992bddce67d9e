import { type Measure, measure } from '../../../base/measure';
import { type End, ENDS } from '../../../car/document/suspension';
import { playOf } from '../../../worked/suspension/playOfBuild';
import { defineCheck, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';
import { both, worseEnd } from '../ends';

declare module '../../../base/finding' {
  interface FindingFacts {
    'fit.play': { end: End; rim: Measure; bearings: Measure };
  }
  interface WorkingFacts {
    'fit.play': {
      bearingRimMm: number;
      toeDeg: number;
      toeRimMm: number;
      camberDeg: number;
      camberRimMm: number;
    };
  }
}

/** Of the wheel's radius. */
export const MOST_PLAY_SHARE = 0.015;
/** Margin from which nothing is proposed, and how much wider bearings are set. */
const [ENOUGH, WIDER] = [1.3, 1.5];

/** How far the rim moves from stop to stop of its bearings and joints. */
export const play = defineCheck({
  id: 'fit.play',
  at: { segment: 'suspension', side: 'play' },
  anySurface: true,
  quantity: 'lengthMm',
  kind: 'ceiling',
  tightUnder: 1.3,
  find: ({ document }) =>
    worseEnd(
      both(
        (end) => playOf(document, end),
        (end, found) => {
          const limit = MOST_PLAY_SHARE * found.radiusMm;
          const { rimPlayMm, bearingRimMm, toeDeg, toeRimMm, camberDeg, camberRimMm } = found;
          return {
            end,
            value: rimPlayMm,
            limit,
            rank: limit / Math.max(rimPlayMm, 1e-6),
            finding: finding('fit.play', {
              end,
              rim: measure(rimPlayMm, 'lengthMm'),
              bearings: measure(bearingRimMm, 'lengthMm'),
            }),
            working: working('fit.play', { bearingRimMm, toeDeg, toeRimMm, camberDeg, camberRimMm }),
          };
        },
      ),
      ({ value, limit }) => value > limit!,
    ),
  remedies: ({ document }) => {
    const ailing = ENDS.flatMap((end) => {
      const found = playOf(document, end);
      const own = document.suspension[end]?.play;
      return found.ok && own && found.value.rimPlayMm * ENOUGH > MOST_PLAY_SHARE * found.value.radiusMm
        ? [{ end, own }]
        : [];
    });
    if (ailing.length === 0) return [];
    const half = (value: number) => Number((value / 2).toPrecision(2));
    const at = (end: End, key: string) => ['suspension', end, 'play', key];
    const loose = ailing.filter(({ own }) => own.tieMm);
    return [
      {
        patch: ailing.map(({ end, own }) => ({
          path: at(end, 'bearingSpacingMm'),
          value: Math.ceil(WIDER * own.bearingSpacingMm!),
        })),
        cost: 3,
      },
      {
        patch: ailing.flatMap(({ end, own }) => [
          { path: at(end, 'inboardMm'), value: half(own.inboardMm!) },
          { path: at(end, 'outboardMm'), value: half(own.outboardMm!) },
        ]),
        cost: 2,
      },
      ...(loose.length > 0
        ? [
            {
              patch: loose.map(({ end, own }) => ({ path: at(end, 'tieMm'), value: half(own.tieMm!) })),
              cost: 1 as const,
            },
          ]
        : []),
    ] satisfies Proposal[];
  },
  provenBy: { run: 'terrain', how: 'throughTravel' },
  supports: ['freePlayInLinks', 'bearingSeatLoose'],
});
