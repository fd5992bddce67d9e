import { useSearchParams } from 'next/navigation';

export const SUSPENSION_TABS = ['corner', 'better', 'ride', 'steering', 'play', 'aids'] as const;
export type SuspensionTab = (typeof SUSPENSION_TABS)[number];

export const SUSPENSION_TAB_NAMES: Readonly<Record<SuspensionTab, string>> = {
  corner: 'Corner',
  better: 'Find a better point',
  ride: 'Ride and landing',
  steering: 'Steering',
  play: 'Free play and binding',
  aids: 'Aids',
};

/** Which side of the suspension the page shows; it stands in the address, so that it can be linked to. */
export function useSuspensionTab(): [SuspensionTab, (tab: SuspensionTab) => void] {
  const asked = useSearchParams().get('view') as SuspensionTab | null;
  const tab = asked && SUSPENSION_TABS.includes(asked) ? asked : 'corner';
  const show = (next: SuspensionTab) =>
    window.history.replaceState(null, '', next === 'corner' ? window.location.pathname : `?view=${next}`);
  return [tab, show];
}
