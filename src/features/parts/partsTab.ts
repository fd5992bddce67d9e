import { useSearchParams } from 'next/navigation';

export const PARTS_TABS = ['few', 'mesh'] as const;
export type PartsTab = (typeof PARTS_TABS)[number];

export const PARTS_TAB_NAMES: Readonly<Record<PartsTab, string>> = {
  few: 'From a few dimensions',
  mesh: 'From its own mesh',
};

/** Which side of the parts the page shows, and which part; both stand in the address. */
export function usePartsTab(): {
  tab: PartsTab;
  partId: string | undefined;
  show(next: { tab?: PartsTab; partId?: string }): void;
} {
  const asked = useSearchParams();
  const tab = PARTS_TABS.find((one) => one === asked.get('view')) ?? 'few';
  const partId = asked.get('part') ?? undefined;
  const show = (next: { tab?: PartsTab; partId?: string }) => {
    const search = new URLSearchParams({
      ...(partId === undefined ? {} : { part: partId }),
      ...(next.partId === undefined ? {} : { part: next.partId }),
      ...((next.tab ?? tab) === 'few' ? {} : { view: next.tab ?? tab }),
    });
    window.history.replaceState(null, '', search.size === 0 ? window.location.pathname : `?${search}`);
  };
  return { tab, partId, show };
}
