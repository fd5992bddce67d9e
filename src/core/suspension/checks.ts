import { type End, ENDS } from '../build/suspension';
import type { CheckDefinition, Finding, Proposal, State, WorkingStep } from '../checks/check';
import { type Assembled, missingOf } from '../drive/runOfBuild';
import { CalcError } from '../errors';
import { plain } from '../units/plain';
import { type EndOfBuild, endOf } from './endOfBuild';
import { flatTieHeight } from './flatten';
import { playOf } from './playOfBuild';
import { endsOf, type RideOfBuild, rideOf, springPatch } from './rideOfBuild';
import { reachOf } from './steeringOfBuild';

/** Share of the travel in which a car sags well, and ratios that neither bounce nor stick. */
export const SAG_BAND_PCT = [20, 45] as const;
export const DAMPING_BAND = [0.4, 0.9] as const;
/** Ratios at which it bounces on, or hardly comes back. */
const DAMPING_OVER = [0.2, 1.5] as const;
export const MOST_BUMP_STEER = 0.05;
export const MOST_PLAY_SHARE = 0.015;
/** Beyond the travel asked for no one looks. */
const REACH_SHARE = 1.15;

interface OfEnd {
  end: End;
  value: number;
  limit?: number;
  state?: State;
  /** Smaller is worse. */
  rank: number;
  why: string;
  working: readonly WorkingStep[];
}

/** The worse of both ends; an end that is not worked out leaves it open unless the other is bad already. */
function worseEnd(found: readonly Assembled<OfEnd>[], bad: (one: OfEnd) => boolean): Finding {
  const known = found.flatMap((one) => (one.ok ? [one.value] : [])).sort((a, b) => a.rank - b.rank);
  const missing = [...new Set(found.flatMap((one) => (one.ok ? [] : one.missing)))];
  const worst = known[0];
  if (!worst || (missing.length > 0 && !bad(worst))) return { missing };
  return {
    value: worst.value,
    ...(worst.limit === undefined ? {} : { limit: worst.limit }),
    ...(worst.state === undefined ? {} : { state: worst.state }),
    why: `${worst.end === 'front' ? 'Front' : 'Rear'}: ${worst.why}`,
    working: worst.working,
  };
}

const both = <T>(
  work: (end: End) => Assembled<T>,
  tell: (end: End, value: T) => OfEnd | Assembled<OfEnd>,
): Assembled<OfEnd>[] =>
  ENDS.map((end) => {
    const found = work(end);
    if (!found.ok) return found;
    const told = tell(end, found.value);
    return 'ok' in told ? told : { ok: true, value: told };
  });

/** How far inside a band, in widths of it; negative outside. */
const inside = (value: number, [low, high]: readonly [number, number]) =>
  Math.min(value - low, high - value) / (high - low);

const sag: CheckDefinition = {
  id: 'suspension.sag',
  segment: 'suspension',
  title: 'Sag at rest',
  short: 'sag',
  anySurface: true,
  quantity: 'percent',
  kind: 'band',
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride, input }) => {
          const { sagPct, sagMm, bottomsAtRest, toppedOut, bumpLeftMm } = ride;
          const state: State =
            bottomsAtRest || toppedOut ? 'over' : inside(sagPct, SAG_BAND_PCT) >= 0 ? 'clear' : 'tight';
          return {
            end,
            value: sagPct,
            state,
            rank: state === 'over' ? -10 : inside(sagPct, SAG_BAND_PCT),
            why: bottomsAtRest
              ? `it rests on its bump stop: the spring would sink ${plain(sagMm)} mm of ${plain(input.wheelTravelMm)} mm.`
              : toppedOut
                ? 'preload holds it against its droop stop, so a wheel cannot follow a hole.'
                : `it sinks ${plain(sagMm)} mm of ${plain(input.wheelTravelMm)} mm, and ${plain(bumpLeftMm)} mm are left for bumps.`,
            working: rideWorking({ ride, input }),
          };
        },
      ),
      ({ state }) => state === 'over',
    ),
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = rideOf(document, end);
      if (!found.ok || (inside(found.value.ride.sagPct, SAG_BAND_PCT) >= 0 && !found.value.ride.toppedOut))
        return [];
      const { ride, input } = found.value;
      return [
        {
          text: `${named(end)} spring of ${plain(ride.springForTargetSagNPerMm)} N/mm`,
          patch: springPatch(document, end, ride.springForTargetSagNPerMm),
          cost: 2,
        },
        ...((input.preloadMm ?? 0) > 0 && ride.sagPct < SAG_BAND_PCT[0]
          ? [
              {
                text: `${named(end)} preload taken off`,
                patch: [{ path: ['suspension', end, 'preloadMm'], value: 0 }],
                cost: 1 as const,
              },
            ]
          : []),
      ];
    }),
};

const named = (end: End) => (end === 'front' ? 'Front' : 'Rear');

function rideWorking({ ride, input }: Pick<RideOfBuild, 'ride' | 'input'>): WorkingStep[] {
  return [
    {
      label: 'Rate at the wheel',
      formula: `${plain(input.springRateNPerMm)} N/mm · ${plain(input.motionRatio)}²`,
      value: ride.wheelRateNPerMm,
      quantity: 'rateNPerMm',
      source: 'Milliken, Race Car Vehicle Dynamics, ch. 16',
    },
    {
      label: 'Sag',
      formula: `(${plain(input.cornerSprungMassG)} g · g − preload) / rate at the wheel`,
      value: ride.sagMm,
      quantity: 'lengthMm',
    },
    {
      label: 'Ride frequency',
      formula: '√(rate at the wheel / sprung mass) / 2π',
      value: ride.rideHz,
      quantity: 'frequencyHz',
    },
  ];
}

const landing: CheckDefinition = {
  id: 'suspension.landing',
  segment: 'suspension',
  title: 'Lands without bottoming',
  short: 'landing',
  anySurface: true,
  quantity: 'distanceM',
  kind: 'floor',
  tightUnder: 1.2,
  evaluate: ({ document }) => {
    const { dropHeightM } = document.brief;
    if (dropHeightM === undefined) return { missing: ['height it lands from'] };
    return worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride, input }) => ({
          end,
          value: ride.maxDropM,
          limit: dropHeightM,
          rank: ride.maxDropM,
          why: `springs and dampers take a drop of ${plain(ride.maxDropM * 1000)} mm before the stop; the wish is ${plain(dropHeightM * 1000)} mm.`,
          working: [
            {
              label: 'Taken over the travel',
              formula: `(preload · travel + ½ · ${plain(ride.wheelRateNPerMm)} N/mm · (${plain(input.wheelTravelMm)} mm)²) / ((1 − ${plain(input.damperShare ?? 0.4)}) · m·g) − travel`,
              value: ride.maxDropM,
              quantity: 'distanceM',
              source: 'by energy; the damper takes its share',
            },
          ],
        }),
      ),
      ({ value, limit }) => value < limit!,
    );
  },
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = rideOf(document, end);
      const { dropHeightM } = document.brief;
      if (!found.ok || dropHeightM === undefined || found.value.ride.maxDropM >= 1.2 * dropHeightM) return [];
      const stiffer = 1.25 * found.value.ride.springForDropNPerMm!;
      const { bumpMm } = document.suspension[end]!;
      return [
        {
          text: `${named(end)} spring of ${plain(stiffer)} N/mm`,
          patch: springPatch(document, end, stiffer),
          cost: 2,
        },
        {
          text: `${MORE_TRAVEL_MM} mm more bump travel, ${end}`,
          patch: [{ path: ['suspension', end, 'bumpMm'], value: bumpMm! + MORE_TRAVEL_MM }],
          cost: 3,
        },
      ];
    }),
};

const MORE_TRAVEL_MM = 6;

const lock: CheckDefinition = {
  id: 'suspension.lock',
  segment: 'suspension',
  title: 'Travel without locking',
  short: 'travel reached',
  anySurface: true,
  quantity: 'share',
  kind: 'floor',
  tightUnder: 1.1,
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => endOf(document, end),
        (end, found) => {
          const reach = reachOf(found, REACH_SHARE);
          const joint = tightestJoint(found);
          const byJoint = joint && joint.share < reach.share;
          const working: WorkingStep[] = [
            {
              label: 'Travel reached',
              formula: `of ${plain(found.bumpMm)} mm up and ${plain(found.droopMm)} mm down, looked for up to ${plain(100 * REACH_SHARE)} %`,
              value: reach.share,
              quantity: 'share',
              source: 'Milliken, Race Car Vehicle Dynamics, ch. 17',
            },
            ...(joint
              ? [
                  {
                    label: `Joint ${joint.name}`,
                    formula: `limit over ${plain(joint.deg)}° at the worst place`,
                    value: joint.share,
                    quantity: 'share' as const,
                  },
                ]
              : []),
          ];
          const at = reach.rackMm === 0 ? '' : ` at ${plain(reach.rackMm)} mm of rack`;
          const why = byJoint
            ? `the joint ${joint.name} turns ${plain(joint.deg)}°.`
            : reach.share >= REACH_SHARE
              ? 'it moves freely through all of it and beyond.'
              : `the linkage locks at ${plain(reach.travelMm)} mm of travel${at}.`;
          return {
            end,
            value: byJoint ? joint.share : reach.share,
            limit: 1,
            rank: Math.min(reach.share, joint?.share ?? Infinity),
            why,
            working,
          };
        },
      ),
      ({ value }) => value < 1,
    ),
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = endOf(document, end);
      if (!found.ok) return [];
      const reach = reachOf(found.value, REACH_SHARE);
      if (reach.share >= 1.1) return [];
      const shorter = Math.floor((reach.travelMm / 1.12) * 2) / 2;
      const [key, was] =
        reach.travelMm > 0
          ? (['bumpMm', found.value.bumpMm] as const)
          : (['droopMm', found.value.droopMm] as const);
      if (Math.abs(shorter) < 1) return [];
      return [
        {
          text: `Stop the ${end} at ${plain(Math.abs(shorter))} mm in place of ${plain(was)} mm`,
          patch: [{ path: ['suspension', end, key], value: Math.abs(shorter) }],
          cost: 1,
        },
      ];
    }),
};

/** The joint that is nearest to its limit over the travel. */
function tightestJoint({
  corner,
  sweep,
}: EndOfBuild): { name: string; deg: number; share: number } | undefined {
  const { jointLimitDeg } = corner;
  if (jointLimitDeg === undefined) return undefined;
  const most = new Map<string, number>();
  for (const { articulationDeg } of sweep.stations)
    for (const [name, deg] of Object.entries(articulationDeg))
      most.set(name, Math.max(most.get(name) ?? 0, deg));
  const [worst] = [...most].sort((a, b) => b[1] - a[1]);
  return (
    worst && {
      name: JOINT_WORDS[worst[0]] ?? worst[0],
      deg: worst[1],
      share: Math.min(REACH_SHARE, jointLimitDeg / Math.max(worst[1], 1e-6)),
    }
  );
}

export const JOINT_WORDS: Readonly<Record<string, string>> = {
  lower: 'at the lower ball',
  upper: 'at the upper outer end',
  upperInner: 'at the upper inner end',
  tieInner: 'at the tie rod’s inner end',
  tieOuter: 'at the tie rod’s outer end',
};

const bump: CheckDefinition = {
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

const damping: CheckDefinition = {
  id: 'suspension.damping',
  segment: 'suspension',
  title: 'Damping',
  short: 'damping',
  anySurface: true,
  quantity: 'coefficient',
  kind: 'band',
  evaluate: ({ document }) =>
    worseEnd(
      both(
        (end) => rideOf(document, end),
        (end, { ride, input }): OfEnd | Assembled<OfEnd> => {
          const { dampingRatio } = ride;
          if (dampingRatio === undefined)
            return { ok: false, missing: missingOf({ [`damper figure of the ${end}`]: undefined }) };
          const state: State =
            inside(dampingRatio, DAMPING_BAND) >= 0
              ? 'clear'
              : inside(dampingRatio, DAMPING_OVER) >= 0
                ? 'tight'
                : 'over';
          return {
            end,
            value: dampingRatio,
            state,
            rank: inside(dampingRatio, DAMPING_BAND),
            why:
              dampingRatio < DAMPING_BAND[0]
                ? 'it bounces on after a bump.'
                : dampingRatio > DAMPING_BAND[1]
                  ? 'it comes back so slowly that the next bump finds it low.'
                  : 'it settles within one swing.',
            working: [
              {
                label: 'Damping ratio',
                formula: `${plain(input.damperNsPerM!)} N·s/m · ${plain(input.motionRatio)}² / (2·√(rate at the wheel · m))`,
                value: dampingRatio,
                quantity: 'coefficient',
                source: 'Milliken, Race Car Vehicle Dynamics, ch. 22',
              },
            ],
          };
        },
      ),
      ({ state }) => state !== 'clear',
    ),
  propose: ({ document }) =>
    ENDS.flatMap((end): Proposal[] => {
      const found = rideOf(document, end);
      if (
        !found.ok ||
        found.value.ride.dampingRatio === undefined ||
        inside(found.value.ride.dampingRatio, DAMPING_BAND) >= 0
      )
        return [];
      const c = Number(found.value.ride.damperForRatio06NsPerM.toPrecision(2));
      return [
        {
          text: `${named(end)} dampers of ${plain(c)} N·s/m: ${c > found.value.input.damperNsPerM! ? 'thicker' : 'thinner'} oil`,
          patch: [{ path: ['suspension', end, 'damperNsPerM'], value: c }],
          cost: 1,
        },
      ];
    }),
};

const play: CheckDefinition = {
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

export const suspensionChecks: readonly CheckDefinition[] = [sag, landing, lock, bump, damping, play];
