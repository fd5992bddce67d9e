import { refusedOr } from '../../base/errors';
import { type Assembled, missingOf } from '../../base/assembled';
import type { Patch } from '../../base/patch';
import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { GripSheet } from '../../car/records/gripReport';
import type { RunRecord } from '../../car/records/records';
import { tyreAt, tyreName } from '../../car/tyres/tyres';
import type { CombinedGrip, GripCar, GripMeasurement, GripResult } from '../../physics/grip/definition';
import { gripMeasure } from '../../physics/grip/measure';
import { weightOf } from '../chassis/weightOfBuild';

/** The car that was pulled, tilted or driven, as its build weighs it with payload. */
export function gripCarOf(document: BuildDocument): Assembled<GripCar> {
  const weight = weightOf(document);
  if (!weight.ok) return weight;
  const missing = missingOf({ 'drive.tyre': document.drive.tyre });
  if (missing.length > 0) return { ok: false, missing };
  const { massG, cgMm } = weight.value;
  const wheelbaseMm = document.chassis.wheelbaseMm!;
  return {
    ok: true,
    value: {
      massKg: massG / 1000,
      wheelbaseMm,
      cgHeightMm: cgMm[2],
      frontLoadShare: 1 + cgMm[0] / wheelbaseMm,
    },
  };
}

const USUAL_PULL_MM = 30;

/**
 * What a sheet says as `grip.measure` takes it, or the keys that it still lacks.
 *
 * @param weighs mass of the build over that of the car that day, by which every force is scaled
 */
export function measurementOf(
  id: string,
  sheet: GripSheet,
  drivenAxles: 'front' | 'rear' | 'all' = 'all',
  weighs = 1,
): Assembled<GripMeasurement> {
  const { method = 'pull', readings = [], readingError, locked, resistanceN, speedMps, fromMps } = sheet;
  const { radiusM, radiusErrorM, speedErrorMps = 0 } = sheet;
  const values = readings.map(({ value }) => (method === 'pull' ? value * weighs : value));
  const missing = missingOf({
    readings: readings[0],
    ...(method === 'circle' ? { radiusM } : {}),
    ...(method === 'brakeLength' || method === 'brakeTime' || method === 'launch' ? { speedMps } : {}),
  });
  if (missing.length > 0) return { ok: false, missing };
  const held = locked === undefined ? {} : { locked };
  const rolling = resistanceN === undefined ? {} : { resistanceN: resistanceN * weighs };
  const is = (value: GripMeasurement) => ({ ok: true as const, value });
  const error = <K extends string>(key: K, scale = 1) =>
    (readingError === undefined ? {} : { [key]: readingError * scale }) as Partial<Record<K, number>>;
  switch (method) {
    case 'pull': {
      const { direction, toward, pullHeightMm = USUAL_PULL_MM } = sheet;
      return is({
        id,
        method,
        forcesN: values,
        ...error('forceErrorN', weighs),
        pullHeightMm,
        ...rolling,
        ...(direction === 'lateral' ? { direction } : { ...held, ...(toward ? { toward } : {}) }),
      });
    }
    case 'tilt': {
      const { nose } = sheet;
      return is({
        id,
        method,
        anglesDeg: values,
        ...error('angleErrorDeg'),
        ...(nose ? { nose } : {}),
        ...(nose === 'across' ? {} : held),
      });
    }
    case 'circle':
      return is({
        id,
        method,
        lapTimesS: values,
        ...error('lapTimeErrorS'),
        radiusM: radiusM!,
        ...(radiusErrorM === undefined ? {} : { radiusErrorM }),
      });
    case 'brakeLength':
      return is({
        id,
        method,
        lengthsM: values,
        ...error('lengthErrorM'),
        speedMps: speedMps!,
        speedErrorMps,
        ...held,
        ...rolling,
      });
    case 'brakeTime':
      return is({
        id,
        method,
        timesS: values,
        ...error('timeErrorS'),
        speedMps: speedMps!,
        speedErrorMps,
        ...held,
        ...rolling,
      });
    case 'launch':
      return is({
        id,
        method,
        timesS: values,
        ...error('timeErrorS'),
        ...(fromMps === undefined ? {} : { fromMps }),
        toMps: speedMps!,
        toErrorMps: speedErrorMps,
        driven: drivenAxles,
        ...rolling,
      });
  }
}

/** Friction of one tyre on one surface, from every run that measured it. */
export interface GripOfPair {
  tyre: string;
  surfaceId: string;
  surface: string;
  /** Measured in the wet: of no use to a prediction in the dry. */
  wet: boolean;
  found: GripResult;
  /** Single readings of all runs together. */
  readings: number;
  /** Of the last of its runs, ISO 8601. */
  lastAt: string;
}

/** The table of tyres and surfaces, in the dry and in the wet, the latest measured first; runs that cannot be worked out are left out. */
export function gripTable(document: BuildDocument, runs: readonly RunRecord[]): GripOfPair[] {
  const car = gripCarOf(document);
  if (!car.ok) return [];
  const groups = new Map<string, { run: RunRecord; measured: GripMeasurement }[]>();
  for (const run of runs) {
    const sheet = run.kind === 'grip' ? run.report?.grip : undefined;
    if (!sheet || !run.conditions.surfaceId) continue;
    const massKg = car.value.massKg + (run.conditions.extraMassG ?? 0) / 1000;
    if (!(massKg > 0)) continue;
    const weighs = car.value.massKg / massKg;
    const measured = measurementOf(run.id, sheet, document.drive.drivenAxles, weighs);
    if (!measured.ok) continue;
    const alone = { car: car.value, measurements: [measured.value] };
    if ('refused' in refusedOr(() => gripMeasure(alone))) continue;
    const key = JSON.stringify([sheet.tyre ?? '', run.conditions.surfaceId, sheet.wet === true]);
    groups.set(key, [...(groups.get(key) ?? []), { run, measured: measured.value }]);
  }
  return [...groups.values()]
    .map((group): GripOfPair => {
      const last = group.reduce((a, b) => (a.run.ranAt > b.run.ranAt ? a : b)).run;
      const surfaceId = last.conditions.surfaceId!;
      return {
        tyre: last.report!.grip!.tyre ?? '',
        surfaceId,
        wet: last.report!.grip!.wet === true,
        surface: document.brief.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId,
        found: gripMeasure({ car: car.value, measurements: group.map(({ measured }) => measured) }),
        readings: group.reduce((sum, { run }) => sum + run.report!.grip!.readings!.length, 0),
        lastAt: last.ranAt,
      };
    })
    .sort((a, b) => (a.lastAt < b.lastAt ? 1 : -1));
}

const SURE = 1.959964;

/** Whether two frictions differ by more than their errors explain, at 95 %. */
export const gripDiffers = (a: CombinedGrip, b: CombinedGrip): boolean =>
  Math.abs(a.mu - b.mu) > SURE * Math.hypot(a.u, b.u);

/** A figure to the decade of its error: nobody knows more of it. */
const toError = (value: number, error: number) =>
  error > 0 ? Number(value.toFixed(Math.min(6, Math.max(0, -Math.floor(Math.log10(error)))))) : value;
const twoDigits = (value: number) => Number(value.toPrecision(2));

/** The edits by which a surface of the build takes a measured friction over; none of a pair that was measured in the wet. */
export function takeGrip(document: BuildDocument, pair: GripOfPair): Patch {
  const { longitudinal, lateral } = pair.found;
  if (pair.wet) return [];
  const surface = document.brief.surfaces.find(({ id }) => id === pair.surfaceId);
  if (!surface || !(longitudinal ?? lateral)) return [];
  const factor = tyreFactor(document, surface);
  const along = longitudinal ?? lateral!;
  const path = ['brief', 'surfaces', surface.id];
  const mu = toError(along.mu / factor, along.u / factor);
  return [
    { path: [...path, 'mu'], value: mu },
    { path: [...path, 'muError'], value: twoDigits(along.u / factor) },
    ...(longitudinal && lateral
      ? [{ path: [...path, 'lateralGripFactor'], value: twoDigits(lateral.mu / longitudinal.mu) }]
      : []),
    {
      path: [...path, 'muMeasured'],
      value: { mu, at: pair.lastAt.slice(0, 10), tyre: pair.tyre, readings: pair.readings },
    },
  ];
}

/** What the car's tyres have over the friction of the surface, by the load that each axle carries. */
function tyreFactor(document: BuildDocument, surface: ChosenSurface): number {
  const car = gripCarOf(document);
  const front = car.ok ? car.value.frontLoadShare : 0.5;
  const of = (end: 'front' | 'rear') => {
    const tyre = tyreAt(document.drive, end)!;
    return surface.ground === 'hard' ? tyre.hardFactor : tyre.looseFactor;
  };
  return front * of('front') + (1 - front) * of('rear');
}

/** Minutes that the tyres of a pair were driven since it was measured last, as far as runs tell. */
export const drivenSince = ({ tyre, lastAt }: GripOfPair, runs: readonly RunRecord[]): number =>
  runs
    .filter(
      ({ ranAt, document }) =>
        ranAt > lastAt && document.drive.tyre && tyreName(document.drive.tyre) === tyre,
    )
    .reduce((sum, { drivenMinutes = 0 }) => sum + drivenMinutes, 0);

/** Whether a pair was measured with the tyres that are on the car. */
export const isOnTheCar = (document: BuildDocument, { tyre }: GripOfPair): boolean =>
  document.drive.tyre !== undefined && tyreName(document.drive.tyre) === tyre;
