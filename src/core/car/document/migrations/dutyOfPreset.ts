import { type Fields, fieldsOf } from './fields';

const numberOf = (value: unknown): number | undefined => (typeof value === 'number' ? value : undefined);

/** What the presets of the second version filled in: cruise over the wish or its mean, seconds at it and of rest. */
const PRESETS: Readonly<
  Record<string, { of: 'wish' | 'mean'; share: number; cruiseS: number; restS: number }>
> = {
  steady: { of: 'mean', share: 1, cruiseS: 60, restS: 0 },
  stopAndGo: { of: 'mean', share: 1, cruiseS: 5, restS: 4 },
  grass: { of: 'mean', share: 1.1, cruiseS: 20, restS: 5 },
  speedPasses: { of: 'wish', share: 1, cruiseS: 4, restS: 40 },
  crawl: { of: 'wish', share: 0.2, cruiseS: 30, restS: 5 },
};
const MEAN_SHARE = 0.6;

/** Keeps the driving that a document of the second version chose, with its figures written out; one that chose none drives laps. */
export function dutyOfPreset(older: Fields): Fields {
  const drive = fieldsOf(older.drive);
  const heat = fieldsOf(drive?.heat);
  if (!drive || !heat) return older;
  const { preset, ...rest } = heat;
  const typed = ['cruiseMps', 'cruiseS', 'restS'].some((key) => rest[key] !== undefined);
  if (preset === undefined && !typed) return older;
  const usual = PRESETS[String(preset)] ?? PRESETS.steady!;
  const brief = fieldsOf(older.brief) ?? {};
  const wish = numberOf(brief.targetMps);
  const reference =
    wish === undefined
      ? undefined
      : wish * (usual.of === 'wish' ? 1 : (numberOf(brief.meanSpeedShare) ?? MEAN_SHARE));
  const cruiseMps = rest.cruiseMps ?? (reference === undefined ? undefined : reference * usual.share);
  return {
    ...older,
    drive: {
      ...drive,
      heat: {
        ...rest,
        duty: 'cruise',
        ...(cruiseMps === undefined ? {} : { cruiseMps }),
        cruiseS: rest.cruiseS ?? usual.cruiseS,
        restS: rest.restS ?? usual.restS,
      },
    },
  };
}
