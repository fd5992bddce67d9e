import { useSearchParams } from 'next/navigation';

export const POWER_TABS = ['supply', 'pack', 'wiring', 'radio'] as const;
export type PowerTab = (typeof POWER_TABS)[number];

export const POWER_TAB_NAMES: Readonly<Record<PowerTab, string>> = {
  supply: 'Supply',
  pack: 'Pack under load',
  wiring: 'Wiring',
  radio: 'Radio and fail-safe',
};

/** Which side of the power the page shows; it stands in the address, so that it can be linked to. */
export function usePowerTab(): [PowerTab, (tab: PowerTab) => void] {
  const asked = useSearchParams().get('view') as PowerTab | null;
  const tab = asked && POWER_TABS.includes(asked) ? asked : 'supply';
  const show = (next: PowerTab) =>
    window.history.replaceState(null, '', next === 'supply' ? window.location.pathname : `?view=${next}`);
  return [tab, show];
}
