import clsx from 'clsx';
import frameCss from '@/ui/layout/frame.module.css';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import type { ReactNode } from 'react';
import type { Segment, SideOf } from '@/core/verdict/engine/segments';
import { Toggle, Toggles } from '@/ui/controls/Toggle';
import { SIDE_NAMES, tabsOf } from './sides';

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
  const tabs = tabsOf(segment);
  const here = tabs.find(({ sides }) => sides.includes(shown))!;
  return (
    <div className={clsx(frameCss.tabbar, frameCss.noprint)}>
      <Tabs
        value={here.sides[0]}
        onChange={(_, side: SideOf<S>) => onShow(side)}
        aria-label={label}
        selectionFollowsFocus
      >
        {tabs.map(({ name, sides }) => (
          <Tab
            key={sides[0]}
            value={sides[0]}
            label={
              <>
                {name}
                {sides.map((side) => mark?.(side))}
              </>
            }
          />
        ))}
      </Tabs>
      {here.sides.length > 1 ? (
        <Toggles label={here.name}>
          {here.sides.map((side) => (
            <Toggle key={side} pressed={side === shown} onPress={() => onShow(side)} size="small">
              {names[side]}
            </Toggle>
          ))}
        </Toggles>
      ) : null}
      {children}
    </div>
  );
}
