import type { BenchItem } from '@/core/car/document/suspension';
import type { Template } from '@/core/worked/suspension/start';

/** How a corner can begin, and what that means on the car. */
export const TEMPLATE_WORDS: Readonly<Record<Template, { name: string; says: string }>> = {
  flatArms: {
    name: 'Flat arms',
    says: 'Upper and lower arm alike, both level: one part printed four times. No camber change, roll centre on the ground.',
  },
  parallel: {
    name: 'Parallel wishbones',
    says: 'Alike and parallel, falling towards the wheel: more ground clearance, roll centre over the ground, the wheel leans with the car.',
  },
  unequal: {
    name: 'Unequal wishbones',
    says: 'A shorter upper arm that leans the wheel in as it rises, so that the outer tyre stands flat when the car rolls.',
  },
  hingePins: {
    name: 'Hinge pins and a camber link',
    says: 'An arm between two pins and one link above: few printed parts, camber set by the link.',
  },
};

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
