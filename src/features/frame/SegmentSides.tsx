import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import type { ReactNode } from 'react';
import type { Segment, SideOf } from '@/core/verdict/engine/segments';
import { SIDE_NAMES, sidesOf } from './sides';

interface SegmentSidesProps<S extends Segment> {
  segment: S;
  /** What the sides are sides of. */
  label: string;
  shown: SideOf<S>;
  onShow(side: SideOf<S>): void;
  /** Beside the name of a side. */
  mark?: (side: SideOf<S>) => ReactNode;
  /** At the end of the row. */
  children?: ReactNode;
}

/** The sides of a segment, one of them shown; left out on paper. */
export function SegmentSides<S extends Segment>({
  segment,
  label,
  shown,
  onShow,
  mark,
  children,
}: SegmentSidesProps<S>) {
  'use memo';
  const names = SIDE_NAMES[segment] as Readonly<Record<SideOf<S>, string>>;
  return (
    <div className="tabbar noprint">
      <Tabs
        value={shown}
        onChange={(_, side: SideOf<S>) => onShow(side)}
        aria-label={label}
        selectionFollowsFocus
      >
        {sidesOf(segment).map((one) => (
          <Tab
            key={one}
            value={one}
            label={
              <>
                {names[one]}
                {mark?.(one)}
              </>
            }
          />
        ))}
      </Tabs>
      {children}
    </div>
  );
}
