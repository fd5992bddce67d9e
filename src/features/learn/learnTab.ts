import { useSearchParams } from 'next/navigation';

export const LEARN_TABS = ['failures', 'life', 'revisions', 'next', 'report'] as const;
export type LearnTab = (typeof LEARN_TABS)[number];

export const LEARN_TAB_NAMES: Readonly<Record<LearnTab, string>> = {
  failures: 'Failures',
  life: 'Life',
  revisions: 'Revisions',
  next: 'Next change',
  report: 'Report',
};

/** Which side of learning the page shows; it stands in the address. */
export function useLearnTab(): { tab: LearnTab; show(tab: LearnTab): void } {
  const asked = useSearchParams().get('view');
  const show = (next: LearnTab) =>
    window.history.replaceState(null, '', next === 'failures' ? window.location.pathname : `?view=${next}`);
  return { tab: LEARN_TABS.find((one) => one === asked) ?? 'failures', show };
}
