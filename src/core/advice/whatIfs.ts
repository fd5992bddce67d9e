import type { Body } from '../car/document/chassis';
import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import { type Measure, measure } from '../base/measure';
import { applyPatch, type Patch } from '../base/patch';
import type { PlacedBody } from '../worked/chassis/bodiesOfBuild';
import { type Standing, standingOf } from '../worked/standing/standingOfBuild';
import { moved } from '../verdict/chassis/onStanding';
import type { WeightOfBuild } from '../worked/chassis/weightOfBuild';

/** What is moved, and which way. */
export const CHASSIS_MOVES = [
  'pack-forward',
  'pack-back',
  'controller-lower',
  'payload-lower',
  'rake',
  'wider',
] as const;
export type ChassisMove = (typeof CHASSIS_MOVES)[number];

export interface ChassisWhatIf {
  id: ChassisMove;
  /** How far, mm or degrees. */
  by: Measure;
  patch: Patch;
  standing: Standing;
}

const SHIFT_MM = 20;
const LOWER_MM = 10;
const WIDER_MM = 10;
const RAKE_DEG = 2;

type Shift = Partial<Record<'xMm' | 'zMm', number>>;

/** What moving the pack, lowering the controller and the payload, or another track would do; each worked out on the surface. */
export function chassisWhatIfs(document: BuildDocument, surface: ChosenSurface): ChassisWhatIf[] {
  const present = standingOf({ document, surface });
  if (!('weight' in present)) return [];
  const body = (id: string) => present.weight.bodies.find((one) => one.id === id);
  const [pack, controller, payload] = [body('pack'), body('controller'), body('payload')];
  const { trackFrontMm, trackRearMm } = document.chassis;
  const shift = (one: PlacedBody, by: Shift) => shifted(document, present.weight, one, by);
  const mm = (value: number) => measure(value, 'lengthMm');
  const tried: Omit<ChassisWhatIf, 'standing'>[] = [
    ...(pack
      ? [
          { id: 'pack-forward' as const, by: mm(SHIFT_MM), patch: shift(pack, { xMm: SHIFT_MM }) },
          { id: 'pack-back' as const, by: mm(SHIFT_MM), patch: shift(pack, { xMm: -SHIFT_MM }) },
        ]
      : []),
    ...(controller && controller.zMm > LOWER_MM
      ? [
          {
            id: 'controller-lower' as const,
            by: mm(LOWER_MM),
            patch: shift(controller, { zMm: -LOWER_MM }),
          },
        ]
      : []),
    ...(payload && payload.zMm > 2 * LOWER_MM
      ? [
          {
            id: 'payload-lower' as const,
            by: mm(2 * LOWER_MM),
            patch: shift(payload, { zMm: -2 * LOWER_MM }),
          },
        ]
      : []),
    {
      id: 'rake' as const,
      by: measure(RAKE_DEG, 'angleDeg'),
      patch: [{ path: ['chassis', 'rakeDeg'], value: (document.chassis.rakeDeg ?? 0) + RAKE_DEG }],
    },
    {
      id: 'wider' as const,
      by: mm(2 * WIDER_MM),
      patch: [
        { path: ['chassis', 'trackFrontMm'], value: trackFrontMm! + 2 * WIDER_MM },
        { path: ['chassis', 'trackRearMm'], value: trackRearMm! + 2 * WIDER_MM },
      ],
    },
  ];
  return tried.flatMap((one) => {
    const standing = standingOf({ document: applyPatch(document, one.patch), surface });
    return !('weight' in standing) ? [] : [{ ...one, standing }];
  });
}

const LEAST_SHARE = 0.001;
const rounded = (value: number) => Number(value.toPrecision(6));

/**
 * A component moved. Where the weight stands by the components it is that one which moves; where it stands by the scale's
 * figures these move by the component's share of the whole, so that both are held against the car as it is.
 */
export function shifted(document: BuildDocument, weight: WeightOfBuild, body: PlacedBody, by: Shift): Patch {
  if (weight.balance) {
    const place: Partial<Body> = {
      xMm: body.xMm + (by.xMm ?? 0),
      yMm: body.yMm,
      zMm: body.zMm + (by.zMm ?? 0),
    };
    return moved(document, body.id, place);
  }
  const { frontLoadShare, cgHeightMm, wheelbaseMm } = document.chassis;
  const share = body.massG / weight.massG;
  return [
    ...(by.xMm === undefined
      ? []
      : [
          {
            path: ['chassis', 'frontLoadShare'],
            value: rounded(
              Math.min(
                1 - LEAST_SHARE,
                Math.max(LEAST_SHARE, frontLoadShare! + (share * by.xMm) / wheelbaseMm!),
              ),
            ),
          },
        ]),
    ...(by.zMm === undefined
      ? []
      : [{ path: ['chassis', 'cgHeightMm'], value: rounded(cgHeightMm! + share * by.zMm) }]),
  ];
}
