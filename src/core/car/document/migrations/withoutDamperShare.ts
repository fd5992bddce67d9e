import { type Fields, fieldsOf } from './fields';

/** A landing is worked out with the damper itself since the third version, so its guessed share of the energy goes. */
export function withoutDamperShare(older: Fields): Fields {
  const suspension = fieldsOf(older.suspension);
  if (!suspension) return older;
  const kept = Object.entries(suspension).map(([key, value]) => {
    const end = key === 'front' || key === 'rear' ? fieldsOf(value) : undefined;
    if (!end) return [key, value] as const;
    const { damperShare: _, ...rest } = end;
    return [key, rest] as const;
  });
  return { ...older, suspension: Object.fromEntries(kept) };
}
