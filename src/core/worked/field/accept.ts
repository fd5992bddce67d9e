import { applyPatch, changesBetween, type Edit, type Patch, valueAt } from '../../base/patch';
import type { CorrectedFigure } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import { shaftEfficiencyOf } from '../../car/document/drive';
import { airOfBuild } from '../air/airOfBuild';
import type { CalibrateResult, FittedFigure } from './calibrate';
import type { Knob } from './knobs';
import { uncalibrated } from './uncalibrated';

const rounded = (value: number) => Number(value.toPrecision(3));
const LEAST_SPREAD = 0.001;

/** A fitted figure in the build that it was not fitted on: before any calibration, and as the runs say. */
export interface Correction {
  readonly figure: FittedFigure;
  readonly from: number;
  /** In the figure's unit. */
  readonly to: number;
  readonly error: number;
  readonly edits: Patch;
}

/** What the runs make of each figure of this build; figures that it does not have are left out. */
export function correctionsOf(document: BuildDocument, { figures }: CalibrateResult): Correction[] {
  const base = uncalibrated(document);
  return figures.flatMap((figure): Correction[] => {
    const place = PLACES[figure.knob](base, figure.surfaceId);
    if (!place) return [];
    const to = Math.min(place.most ?? Infinity, rounded(place.from * figure.factor));
    const error = rounded(place.from * figure.error);
    return [
      {
        figure,
        from: place.from,
        to,
        error,
        edits: [
          { path: place.path, value: to },
          ...(place.errorPath ? [{ path: place.errorPath, value: error }] : []),
        ],
      },
    ];
  });
}

/**
 * The edits by which a build takes over what its runs say: figures, what is still unknown of them, and what they were before.
 * None where it holds all that already.
 *
 * @param letter of the last revision that was driven
 * @param at ISO 8601
 */
export function acceptCalibration(
  document: BuildDocument,
  result: CalibrateResult,
  letter: string,
  at: string,
): Patch {
  const base = uncalibrated(document);
  const edits = correctionsOf(document, result).flatMap((correction) => correction.edits);
  const back = (document.brief.calibration?.corrected ?? [])
    .filter(({ path }) => !edits.some((edit) => edit.path.join('.') === path.join('.')))
    .map(({ path }): Edit => ({ path, value: valueAt(base, path) }))
    .filter(({ path, value }) => valueAt(document, path) !== value);
  const spread = (name: string, knob: Knob) => {
    const found = result.figures.find((figure) => figure.knob === knob);
    return found ? { [name]: Math.max(LEAST_SPREAD, Math.min(1, rounded(found.error / found.factor))) } : {};
  };
  const calibration = {
    letter,
    runs: result.runs.length,
    ...spread('dragSpread', 'drag'),
    ...spread('efficiencySpread', 'efficiency'),
    ...spread('motorSpread', 'motor'),
    corrected: edits.map(({ path, value }): CorrectedFigure => {
      const from = valueAt(base, path) as number | undefined;
      return { path, ...(from === undefined ? {} : { from }), to: value as number };
    }),
  };
  const patch = (day: string): Patch => [
    ...back,
    ...edits,
    { path: ['brief', 'calibration'], value: { ...calibration, at: day } },
  ];
  const held = document.brief.calibration?.at ?? at;
  return changesBetween(document, applyPatch(document, patch(held))).length === 0 ? [] : patch(at);
}

interface Place {
  readonly path: readonly string[];
  readonly from: number;
  readonly errorPath?: readonly string[];
  readonly most?: number;
}

const ofSurface =
  (key: 'mu' | 'rollingResistance') =>
  ({ brief }: BuildDocument, surfaceId?: string): Place | undefined => {
    const surface = brief.surfaces.find(({ id }) => id === surfaceId);
    const path = ['brief', 'surfaces', surfaceId!];
    return surface && { path: [...path, key], from: surface[key], errorPath: [...path, `${key}Error`] };
  };

const PLACES: Readonly<Record<Knob, (base: BuildDocument, surfaceId?: string) => Place | undefined>> = {
  grip: ofSurface('mu'),
  rolling: ofSurface('rollingResistance'),
  drag: (document) => {
    const { cdaM2 } = airOfBuild(document);
    return cdaM2 === undefined ? undefined : { path: ['chassis', 'cdaM2'], from: cdaM2 };
  },
  efficiency: ({ drive }) => ({
    path: ['drive', 'shaftEfficiency'],
    from: shaftEfficiencyOf(drive),
    most: 1,
  }),
  motor: ({ drive: { motor } }) => motor && { path: ['drive', 'motor', 'kvRpmPerV'], from: motor.kvRpmPerV },
};
