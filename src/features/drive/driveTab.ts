import { useSearchParams } from 'next/navigation';

export const DRIVE_TABS = ['run', 'heat', 'ratio', 'explorer', 'layout', 'gears', 'joints', 'tyres'] as const;
export type DriveTab = (typeof DRIVE_TABS)[number];

export const TAB_NAMES: Readonly<Record<DriveTab, string>> = {
  run: 'The run',
  heat: 'Heat',
  ratio: 'Ratio',
  explorer: 'Explorer',
  layout: 'Layout',
  gears: 'Gears',
  joints: 'Joints and shafts',
  tyres: 'Tyres',
};

/** Which side of the drive the page shows; it stands in the address, so that it can be linked to. */
export function useDriveTab(): [DriveTab, (tab: DriveTab) => void] {
  const asked = useSearchParams().get('view') as DriveTab | null;
  const tab = asked && DRIVE_TABS.includes(asked) ? asked : 'run';
  const show = (next: DriveTab) =>
    window.history.replaceState(null, '', next === 'run' ? window.location.pathname : `?view=${next}`);
  return [tab, show];
}
