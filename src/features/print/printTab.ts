import { useSearchParams } from 'next/navigation';

export const PRINT_TABS = ['tonight', 'fits', 'holes', 'list', 'assembly'] as const;
export type PrintTab = (typeof PRINT_TABS)[number];

export const PRINT_TAB_NAMES: Readonly<Record<PrintTab, string>> = {
  tonight: 'Tonight',
  fits: 'Fits',
  holes: 'Hole patterns',
  list: 'Make or buy',
  assembly: 'Assembly',
};

/** Which side of printing the page shows; it stands in the address. */
export function usePrintTab(): { tab: PrintTab; show(tab: PrintTab): void } {
  const asked = useSearchParams().get('view');
  const show = (next: PrintTab) =>
    window.history.replaceState(null, '', next === 'tonight' ? window.location.pathname : `?view=${next}`);
  return { tab: PRINT_TABS.find((one) => one === asked) ?? 'tonight', show };
}
