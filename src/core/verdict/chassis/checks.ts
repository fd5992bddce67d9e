import type { Body } from '../../car/document/chassis';
import type { BuildDocument } from '../../car/document/document';
import type { Patch } from '../../base/patch';
import type { CheckDefinition, Finding, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { GRAVITY } from '../../base/constants';
import { frictionOf } from '../../worked/drive/runOfBuild';
import { CalcError } from '../../base/errors';
import { plain } from '../../base/units/plain';
import { SIDE_TOLERANCE } from '../../physics/balance/balance';
import type { PlacedBody } from '../../worked/chassis/bodiesOfBuild';
import { chassisStability, type StabilityResult } from '../../physics/balance/stability';
import { weightOf, type WeightOfBuild } from '../../worked/chassis/weightOfBuild';

/** Side share beyond which it is more than untidy. */
const SIDE_OVER = 0.05;

export interface Standing {
  weight: WeightOfBuild;
  stability: StabilityResult;
  mu: number;
}

/** How a build stands on a surface, or what is missing; a centre of gravity outside the wheels is told as missing words. */
export function standingOf({
  document,
  surface,
}: Pick<Subject, 'document' | 'surface'>): { missing: readonly string[] } | Standing {
  const weight = weightOf(document);
  const { tyre } = document.drive;
  const missing = [
    ...(weight.ok ? [] : weight.missing),
    ...(surface ? [] : ['surface']),
    ...(tyre ? [] : ['tyre']),
  ];
  if (missing.length > 0 || !weight.ok || !surface || !tyre) return { missing };
  const { chassis, brief } = document;
  const mu = frictionOf(surface, tyre);
  try {
    const stability = chassisStability({
      wheelbaseMm: chassis.wheelbaseMm!,
      trackFrontMm: chassis.trackFrontMm!,
      trackRearMm: chassis.trackRearMm!,
      cgMm: weight.value.cgMm,
      massG: weight.value.massG,
      mu,
      ...(chassis.cornerRadiusM === undefined ? {} : { cornerRadiusM: chassis.cornerRadiusM }),
      cdaM2: chassis.cdaM2 ?? 0,
      claFrontM2: chassis.claFrontM2 ?? 0,
      claRearM2: chassis.claRearM2 ?? 0,
      speedMps: brief.targetMps ?? 0,
    });
    return { weight: weight.value, stability, mu };
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { missing: [`a centre of gravity between the wheels (it ${error.message})`] };
  }
}

function onStanding(subject: Subject, find: (standing: Standing) => Finding): Finding {
  const standing = standingOf(subject);
  return 'missing' in standing ? standing : find(standing);
}

const tip: CheckDefinition = {
  id: 'chassis.tip',
  segment: 'chassis',
  title: 'Slides or rolls over',
  short: 'roll-over',
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.15,
  evaluate: (subject) =>
    onStanding(
      subject,
      ({ stability: { staticStabilityFactor, outcome, cgHeightForNoTipMm }, mu, weight: { cgMm } }) => ({
        value: staticStabilityFactor,
        limit: mu,
        why:
          outcome === 'slides'
            ? `It slides: half the track over the height is ${plain(staticStabilityFactor)}, and the tyres hold ${plain(mu)}.`
            : `It rolls over before it slides: the centre of gravity is ${plain(cgMm[2])} mm high, and ${plain(cgHeightForNoTipMm)} mm would slide.`,
        working: [
          {
            label: 'Stability factor',
            formula: `(half the track − ${plain(Math.abs(cgMm[1]))} mm) / ${plain(cgMm[2])} mm`,
            value: staticStabilityFactor,
            quantity: 'coefficient',
            source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 9',
          },
          {
            label: 'Slides rather than rolls under',
            formula: 'half the track over the friction',
            value: cgHeightForNoTipMm,
            quantity: 'lengthMm',
          },
        ],
      }),
    ),
  propose: (subject) => [...lowered(subject), ...wider(subject)],
};

const lift: CheckDefinition = {
  id: 'chassis.lift',
  segment: 'chassis',
  title: 'Wheels stay down',
  short: 'axle lift',
  quantity: 'accelMps2',
  kind: 'floor',
  tightUnder: 1.1,
  evaluate: (subject) => {
    const input = subject.runInput();
    if (!input.ok) return { missing: input.missing };
    return onStanding(subject, ({ stability, mu }) => {
      const launch = subject.run()!.peakAccelMps2;
      const { drivenAxles, frontLoadShare } = input.value.car;
      const braked =
        mu *
        GRAVITY *
        (drivenAxles === 'all' ? 1 : drivenAxles === 'front' ? frontLoadShare : 1 - frontLoadShare);
      const [front, rear] = [
        {
          lifts: stability.frontLiftsAtMps2,
          reaches: launch,
          what: 'The front lifts',
          how: 'the drive reaches',
        },
        {
          lifts: stability.rearLiftsAtMps2,
          reaches: braked,
          what: 'The rear lifts',
          how: 'braking on the driven wheels reaches',
        },
      ];
      const worst = rear.lifts / rear.reaches < front.lifts / front.reaches ? rear : front;
      return {
        value: worst.lifts,
        limit: worst.reaches,
        why: `${worst.what} at ${plain(worst.lifts)} m/s²; ${worst.how} ${plain(worst.reaches)} m/s².`,
        working: [
          {
            label: 'Front lifts at',
            formula: 'g · distance ahead of the rear axle / height',
            value: stability.frontLiftsAtMps2,
            quantity: 'accelMps2',
          },
          {
            label: 'The drive reaches',
            formula: 'peak of a full-throttle run',
            value: launch,
            quantity: 'accelMps2',
          },
          {
            label: 'Rear lifts at',
            formula: 'g · distance behind the front axle / height',
            value: stability.rearLiftsAtMps2,
            quantity: 'accelMps2',
          },
          {
            label: 'Braking reaches',
            formula: 'μ·g on the share of the driven wheels',
            value: braked,
            quantity: 'accelMps2',
            source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 3',
          },
        ],
      };
    });
  },
  propose: lowered,
};

const side: CheckDefinition = {
  id: 'chassis.side',
  segment: 'chassis',
  title: 'Left and right',
  short: 'left share',
  anySurface: true,
  quantity: 'share',
  kind: 'band',
  evaluate: ({ document }) => {
    const weight = weightOf(document);
    if (!weight.ok) return { missing: weight.missing };
    if (!weight.value.balance) return { missing: ['components with their places'] };
    const { leftLoadShare } = weight.value;
    const off = Math.abs(leftLoadShare - 0.5);
    return {
      value: leftLoadShare,
      state: off <= SIDE_TOLERANCE ? 'clear' : off <= SIDE_OVER ? 'tight' : 'over',
      why:
        off <= SIDE_TOLERANCE
          ? `The left wheels carry ${plain(100 * leftLoadShare)} % of it.`
          : `The ${leftLoadShare > 0.5 ? 'left' : 'right'} wheels carry ${plain(100 * Math.max(leftLoadShare, 1 - leftLoadShare))} %: it pulls to one side under power and brakes.`,
      working: [
        {
          label: 'Left share',
          formula: '(half the track + y of the centre of gravity) / track',
          value: leftLoadShare,
          quantity: 'share',
        },
      ],
    };
  },
  propose: ({ document }) => {
    const weight = weightOf(document);
    if (!weight.ok || !weight.value.balance) return [];
    const { bodies, massG, cgMm } = weight.value;
    return movable(bodies)
      .map((body) => {
        const yMm = Math.round(body.yMm - (cgMm[1] * massG) / body.massG);
        return { body, yMm };
      })
      .filter(({ yMm }) => Math.abs(yMm) < (document.chassis.trackFrontMm ?? 0) / 3)
      .map(({ body, yMm }): Proposal => ({
        text: `${body.name} ${Math.abs(yMm - body.yMm) < 0.5 ? '' : `${plain(Math.abs(yMm - body.yMm))} mm to the ${yMm > body.yMm ? 'left' : 'right'}`}`.trim(),
        patch: moved(document, body.id, { yMm }),
        cost: 1,
      }));
  },
};

export const chassisChecks: readonly CheckDefinition[] = [tip, lift, side];

const movable = (bodies: readonly PlacedBody[]) =>
  bodies.filter(({ fixed, source }) => !fixed && source !== 'rest').sort((a, b) => b.massG - a.massG);

/** A patch that gives a component another place or size, whether or not the document holds it yet. */
export function moved({ chassis }: BuildDocument, id: string, change: Partial<Body>): Patch {
  if (!chassis.bodies) return [{ path: ['chassis', 'bodies'], value: [{ id, ...change }] }];
  return Object.entries(change).map(([key, value]) => ({ path: ['chassis', 'bodies', id, key], value }));
}

const LOWER_MM = 15;
const LEAST_HEIGHT_MM = 8;

function lowered({ document }: Subject): Proposal[] {
  const weight = weightOf(document);
  if (!weight.ok) return [];
  if (!weight.value.balance)
    return [
      {
        text: `Centre of gravity ${LOWER_MM} mm lower`,
        patch: [
          { path: ['chassis', 'cgHeightMm'], value: Math.max(1, document.chassis.cgHeightMm! - LOWER_MM) },
        ],
        cost: 3,
      },
    ];
  return movable(weight.value.bodies)
    .map((body) => ({ body, zMm: Math.max(LEAST_HEIGHT_MM + body.sizeMm[2] / 2, body.zMm - LOWER_MM) }))
    .filter(({ body, zMm }) => zMm < body.zMm - 1)
    .slice(0, 3)
    .map(({ body, zMm }) => ({
      text: `${body.name} ${plain(body.zMm - zMm)} mm lower`,
      patch: moved(document, body.id, { zMm: Math.round(10 * zMm) / 10 }),
      cost: 1,
    }));
}

const WIDER_MM = 20;

function wider({ document: { chassis } }: Subject): Proposal[] {
  const { trackFrontMm, trackRearMm } = chassis;
  if (trackFrontMm === undefined || trackRearMm === undefined) return [];
  return [1, 2].map((times) => ({
    text: `Track ${plain(WIDER_MM * times)} mm wider`,
    patch: [
      { path: ['chassis', 'trackFrontMm'], value: trackFrontMm + WIDER_MM * times },
      { path: ['chassis', 'trackRearMm'], value: trackRearMm + WIDER_MM * times },
    ],
    cost: 2,
  }));
}
