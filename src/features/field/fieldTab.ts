import { useSearchParams } from 'next/navigation';

export const FIELD_TABS = ['runs', 'tracks', 'compare', 'calibrate'] as const;
export type FieldTab = (typeof FIELD_TABS)[number];

export const FIELD_TAB_NAMES: Readonly<Record<FieldTab, string>> = {
  runs: 'Runs',
  tracks: 'Tracks',
  compare: 'Compare',
  calibrate: 'Learn from it',
};

/** Which side of the field the page shows; it stands in the address. */
export function useFieldTab(): { tab: FieldTab; show(tab: FieldTab): void } {
  const asked = useSearchParams().get('view');
  const show = (next: FieldTab) =>
    window.history.replaceState(null, '', next === 'runs' ? window.location.pathname : `?view=${next}`);
  return { tab: FIELD_TABS.find((one) => one === asked) ?? 'runs', show };
}
