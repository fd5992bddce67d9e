import type { ReactNode } from 'react';
import type { End } from '@/core/car/document/suspension';

/** What every side of the page shows around its own: the tabs over it, checks and working under it. */
export interface SideProps {
  end: End;
  tabs: ReactNode;
  foot: ReactNode;
}
