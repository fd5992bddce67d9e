import { useSearchParams } from 'next/navigation';
import { type Segment, type SideOf, SIDES } from '@/core/verdict/engine/segments';

/** What the sides of the segments are called. */
export const SIDE_NAMES: { readonly [S in Segment]: Readonly<Record<SideOf<S>, string>> } = {
  brief: { wish: 'The wish' },
  chassis: { layout: 'Layout', space: 'In space', air: 'Air', stability: 'Stability' },
  drive: {
    run: 'Run',
    place: 'Place and braking',
    lap: 'Lap',
    heat: 'Heat and duty',
    ratio: 'Ratio',
    explorer: 'Explorer',
    layout: 'Layout',
    gears: 'Gears',
    search: 'Find a ratio',
    joints: 'Joints and shafts',
    tyres: 'Tyres',
  },
  power: { supply: 'Supply', pack: 'Pack under load', wiring: 'Wiring', radio: 'Radio and fail-safe' },
  suspension: {
    corner: 'Corner',
    better: 'Find a better point',
    ride: 'Ride and landing',
    forces: 'Forces in the links',
    steering: 'Steering',
    play: 'Play and binding',
    aids: 'Aids',
  },
  parts: { few: 'What breaks first', made: 'Drawn here', mesh: 'Own mesh' },
  print: {
    tonight: 'Tonight',
    fits: 'Fits',
    holes: 'Hole patterns',
    list: 'Make or buy',
    assembly: 'Assembly',
  },
  field: {
    runs: 'Runs',
    tracks: 'Tracks and logs',
    compare: 'Compare and series',
    grip: 'Grip and handling',
    bench: 'Spin and balance',
    blows: 'Blows and crashes',
    calibrate: 'Learn from it',
  },
  learn: {
    failures: 'Failures',
    life: 'Life',
    revisions: 'Revisions',
    next: 'Next change',
    report: 'Report',
  },
};

interface Tab<S extends Segment> {
  name: string;
  /** The sides under it; more than one are switched beside the tabs. */
  sides: readonly SideOf<S>[];
}

/** Sides that share a tab. */
const SHARED: { readonly [S in Segment]?: readonly Tab<S>[] } = {
  drive: [
    { name: 'Ratio and explorer', sides: ['ratio', 'explorer'] },
    { name: 'Train', sides: ['layout', 'gears', 'search', 'joints'] },
  ],
};

/** The tabs of a segment in the order of its sides. */
export function tabsOf<S extends Segment>(segment: S): readonly Tab<S>[] {
  const names = SIDE_NAMES[segment] as Readonly<Record<SideOf<S>, string>>;
  const shared = (SHARED[segment] ?? []) as readonly Tab<S>[];
  return sidesOf(segment).flatMap((side) => {
    const tab = shared.find(({ sides }) => sides.includes(side));
    if (!tab) return [{ name: names[side], sides: [side] }];
    return tab.sides[0] === side ? [tab] : [];
  });
}

export const sidesOf = <S extends Segment>(segment: S): readonly SideOf<S>[] => SIDES[segment];

/** Which side of a segment the page shows; it stands in the address, so that it can be linked to. */
export function useSide<S extends Segment>(
  segment: S,
): { side: SideOf<S>; show(side: SideOf<S>, more?: Readonly<Record<string, string>>): void } {
  const asked = useSearchParams().get('view');
  const all = sidesOf(segment);
  const show = (side: SideOf<S>, more: Readonly<Record<string, string>> = {}) => {
    const search = new URLSearchParams({ ...more, ...(side === all[0] ? {} : { view: side }) });
    window.history.replaceState(null, '', search.size === 0 ? window.location.pathname : `?${search}`);
  };
  return { side: all.find((one) => one === asked) ?? all[0]!, show };
}
