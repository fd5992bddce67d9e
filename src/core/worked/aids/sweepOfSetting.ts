import type { Assembled } from '../../base/assembled';
import { USUAL_SLIP_AID, USUAL_YAW_AID } from '../../car/document/aids';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { SweptSetting } from '../../car/records/report';
import { criticalGain } from '../../physics/aids/criticalGain';
import { tractionAssist } from '../../physics/aids/tractionAssist';
import { yawAssist } from '../../physics/aids/yawAssist';
import { tractionInputOf } from './slipOfBuild';
import { yawInputOf } from './yawOfBuild';

export interface SweepQuestion {
  of: SweptSetting;
  /** Of the simulated figure for one of the setting. */
  perUnit: number;
  /** Lowest and highest setting of the series. */
  from: number;
  to: number;
  /** Mean over the series, and the distance that it was driven over. */
  speedMps: number;
  distanceM: number;
}

/** What the aid's simulator says over the settings of a series: time to settle of a gyro, time over the distance of slip control. */
export interface SettingSweep {
  of: SweptSetting;
  points: { setting: number; timeS: number }[];
  /** Of the shortest time; none where nothing settles or arrives. */
  best?: number;
  /** Up to which setting a gyro stays calm. */
  calmTo?: number;
}

const STEPS = { yawGain: 24, slipTarget: 12, slipGain: 12 } as const satisfies Record<SweptSetting, number>;
/** A knock of the size that a stone gives. */
const KNOCK_DEG_PER_S = 90;

/** The aid's own simulator over the settings that a series tried; or what the build lacks for it. */
export function sweepOfSetting(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  question: SweepQuestion,
): Assembled<SettingSweep> {
  const { of, from, to, perUnit } = question;
  const settings = Array.from({ length: STEPS[of] + 1 }, (_, k) => from + ((to - from) * k) / STEPS[of]);
  const figures = settings.map((setting) => setting * perUnit);
  const found = of === 'yawGain' ? gyroOver : slipOver;
  const swept = found(document, surface, question, figures);
  if (!swept.ok) return swept;
  const points = swept.value.times.flatMap((timeS, k) =>
    timeS === undefined ? [] : [{ setting: settings[k]!, timeS }],
  );
  const best = points.reduce<(typeof points)[number] | undefined>(
    (least, one) => (least && least.timeS <= one.timeS ? least : one),
    undefined,
  );
  const { calmTo } = swept.value;
  return {
    ok: true,
    value: {
      of,
      points,
      ...(best ? { best: best.setting } : {}),
      ...(calmTo === undefined ? {} : { calmTo: calmTo / perUnit }),
    },
  };
}

interface Swept {
  times: (number | undefined)[];
  calmTo?: number;
}

function gyroOver(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { speedMps }: SweepQuestion,
  gains: readonly number[],
): Assembled<Swept> {
  const aid = { ...USUAL_YAW_AID, ...document.suspension.aids?.yaw };
  const scenario = { kind: 'kick', yawRateDegPerS: KNOCK_DEG_PER_S } as const;
  const input = yawInputOf(document, surface, aid, { speedMps, scenario });
  if (!input.ok) return input;
  const { sweep } = yawAssist({ ...input.value, gains: gains.map((gain) => Math.max(0, gain)) });
  const calmTo = criticalGain(input.value);
  return {
    ok: true,
    value: {
      // a correction that is held at its limit can look settled where the loop itself swings
      times: sweep.map(({ gain, stable, settleS }) =>
        stable && (calmTo === undefined || gain <= calmTo) ? settleS : undefined,
      ),
      ...(calmTo === undefined ? {} : { calmTo }),
    },
  };
}

function slipOver(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  { of, distanceM }: SweepQuestion,
  figures: readonly number[],
): Assembled<Swept> {
  const aid = { ...USUAL_SLIP_AID, ...document.suspension.aids?.traction };
  const input = tractionInputOf(document, surface, aid, { distanceM });
  if (!input.ok) return input;
  const { controller } = input.value;
  const times = figures.map(
    (figure) =>
      tractionAssist({
        ...input.value,
        controller: {
          ...controller,
          [of === 'slipGain' ? 'gainUsPerPct' : 'targetSlipPct']: Math.max(0, figure),
        },
      }).timeToDistanceS,
  );
  return { ok: true, value: { times } };
}
