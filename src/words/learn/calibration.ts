import { formatNumber, formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { AskedRun, Askable } from '@/core/worked/field/askedRun';
import type { CalibrateResult, FittedFigure } from '@/core/worked/field/calibrate';
import type { Knob } from '@/core/worked/field/knobs';
import { listed } from '../lists';

/** Figures that runs can correct. */
export const FIGURE_NAMES: Readonly<Record<Knob, string>> = {
  grip: 'grip of the tyres',
  rolling: 'rolling resistance',
  drag: 'drag area',
  efficiency: 'efficiency of the drive',
  motor: 'motor constant',
};

/** What makes most of the bands of a speed and of a time. */
export const bandSources = (ofSpeed: Knob | undefined, ofTime: Knob | undefined): string[] =>
  ofSpeed === ofTime
    ? ofSpeed === undefined
      ? []
      : [`its spread comes most from the ${FIGURE_NAMES[ofSpeed]}`]
    : [
        ...(ofSpeed === undefined ? [] : [`the speed’s spread comes most from the ${FIGURE_NAMES[ofSpeed]}`]),
        ...(ofTime === undefined ? [] : [`the time’s from the ${FIGURE_NAMES[ofTime]}`]),
      ];

/** What a surface is called, by its id. */
export type SurfaceNames = (id: string) => string | undefined;

export function figureName(
  { knob, surfaceId }: Pick<FittedFigure, 'knob' | 'surfaceId'>,
  surfaces: SurfaceNames,
): string {
  const on = surfaceId === undefined ? undefined : surfaces(surfaceId);
  return on === undefined ? FIGURE_NAMES[knob] : `${FIGURE_NAMES[knob]} on ${on.toLowerCase()}`;
}

const ASKED: Readonly<Record<Askable, (reader: Reader) => string>> = {
  shortLaunch: (reader) => `a launch from rest over ${formatText(5, 'distanceM', reader, 3)}`,
  longLaunch: (reader) => `a launch from rest over ${formatText(20, 'distanceM', reader, 3)}`,
  afterRunUp: (reader) => `a timed distance after ${formatText(60, 'distanceM', reader, 3)} of run-up`,
  heavier: (reader) => `the same with ${formatText(500, 'massG', reader, 3)} more on the car`,
  emptierPack: () => 'the same with a nearly empty pack',
};

/** The run to drive next, and what it would tell. */
export function askedRunWords({ run, of, error }: AskedRun, surfaces: SurfaceNames, reader: Reader): string {
  return `To know the ${figureName(of, surfaces)} better, drive ${ASKED[run](reader)}, three times: it would then be known to ±${formatNumber(100 * error, reader.locale, 2)} %.`;
}

const SCATTERS = 1.5;

/** What is to be said beside the figures: what stays as it is, what moves together, what scatters. */
export function calibrationNotes(
  { figures, untold, correlations, runs, scatter }: CalibrateResult,
  surfaces: SurfaceNames,
  reader: Reader,
): string[] {
  if (runs.length === 0)
    return [
      'One timed run says how far off the prediction is, not why: drive at least two that differ, a launch among them.',
    ];
  const percent = (value: number) => `±${formatNumber(100 * value, reader.locale, 2)} %`;
  const kept = untold.map((one) => `the ${figureName(one, surfaces)} (${percent(one.beforeError)})`);
  return [
    ...(figures.length === 0 ? ['These runs tell no figure better than it is known.'] : []),
    ...(kept.length === 0
      ? []
      : [
          `Not told by these runs, and left as ${kept.length === 1 ? 'it is' : 'they are'}: ${listed(kept)}.`,
        ]),
    ...correlations
      .filter(({ correlation }) => Math.abs(correlation) > TOGETHER)
      .map(({ a, b, correlation }) => {
        const [one, other] = [figures[a]!, figures[b]!].map((figure) => figureName(figure, surfaces));
        const how = correlation > 0 ? 'together' : 'against each other';
        return `The ${one} and the ${other} move ${how} in these runs (${formatNumber(correlation, reader.locale, 2)}): their errors are larger than if the other were known.`;
      }),
    ...(scatter > SCATTERS
      ? ['The runs scatter more than their own errors say, so the errors here are taken that much larger.']
      : []),
  ];
}

const TOGETHER = 0.7;
