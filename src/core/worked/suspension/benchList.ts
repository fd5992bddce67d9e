import { markOf } from '../../base/mark';
import {
  BENCH_ITEMS,
  type BenchItem,
  type BenchTick,
  type End,
  type Suspension,
} from '../../car/document/suspension';

/** What each look at an end proves, how it is done, and what to do where it fails. */
export const BENCH_WORDS: Readonly<Record<BenchItem, { what: string; how: string; mend: string }>> = {
  loose: {
    what: 'The arm falls',
    how: 'Damper off, bolts just in: lift the wheel and release it. The arm drops by its own weight.',
    mend: 'Find the joint that holds it with the lines below.',
  },
  tight: {
    what: 'It still falls with every bolt tight',
    how: 'Tighten them one after the other and let the arm drop after each.',
    mend: 'The last bolt tightened squeezes its joint: a longer spacer, a shoulder screw, or half a turn back with thread lock.',
  },
  inner: {
    what: 'Inner hinge turns freely',
    how: 'Arm alone on its inner pin.',
    mend: 'Ream the hole, turn the pin, put both holes in one line.',
  },
  outer: {
    what: 'Lower outer joint turns freely',
    how: 'Upright alone on the lower ball, or carrier on its outer pin.',
    mend: 'Open a ball’s seat by 0.1 mm, ream a pin’s hole.',
  },
  upper: {
    what: 'Upper joint turns freely',
    how: 'Upper arm or camber link alone, through the whole travel.',
    mend: 'Open the seat; where it stops at an end, the joint’s angle is used up.',
  },
  tie: {
    what: 'Tie rod turns freely',
    how: 'Twist the rod at full bump, full droop and full lock.',
    mend: 'Turn its ends until both sit square; open the seats.',
  },
  damper: {
    what: 'Damper does not lean on the arm',
    how: 'Put the damper back: the wheel still moves by hand without a scratch from stop to stop.',
    mend: 'Washers beside the ends until it stands in line.',
  },
};

/** Mark of a corner as it is drawn: another point, another mark. */
export const cornerMark = (suspension: Suspension, end: End): string =>
  markOf(suspension[end]?.corner ?? null);

export const benchId = (end: End, item: BenchItem): string => `${end}-${item}`;

export type BenchState = 'open' | 'passed' | 'undone';

export interface BenchLine {
  id: string;
  item: BenchItem;
  state: BenchState;
  at?: string;
}

/** The list of one end; a tick stands until a point of that corner is moved. */
export function benchList(suspension: Suspension, end: End): BenchLine[] {
  const mark = cornerMark(suspension, end);
  return BENCH_ITEMS.map((item): BenchLine => {
    const id = benchId(end, item);
    const tick: BenchTick | undefined = suspension.bench?.find((one) => one.id === id);
    return {
      id,
      item,
      state: !tick ? 'open' : tick.of === mark ? 'passed' : 'undone',
      ...(tick ? { at: tick.at } : {}),
    };
  });
}
