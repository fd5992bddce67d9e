import type { Working, WorkingCode } from '@/core/base/finding';
import type { Reader } from '@/core/base/units/formatQuantity';
import { BRIEF_WORKINGS, CHASSIS_WORKINGS } from './workings/car';
import { PART_WORKINGS, PRINT_WORKINGS } from './workings/parts';
import { AID_WORKINGS, FIT_WORKINGS, SUSPENSION_WORKINGS } from './workings/suspension';
import { DRIVE_WORKINGS, JOINT_WORKINGS, SHAFT_WORKINGS, TYRE_WORKINGS } from './workings/drive';
import { BELT_WORKINGS, GEAR_WORKINGS } from './workings/gears';
import { POWER_WORKINGS } from './workings/power';
import type { WorkingStep } from './workingStep';
import { type Writer, writerFor } from './write';

/** The lines of every working; a code without them does not compile. */
const WORKINGS = {
  ...BRIEF_WORKINGS,
  ...DRIVE_WORKINGS,
  ...GEAR_WORKINGS,
  ...BELT_WORKINGS,
  ...JOINT_WORKINGS,
  ...SHAFT_WORKINGS,
  ...TYRE_WORKINGS,
  ...POWER_WORKINGS,
  ...CHASSIS_WORKINGS,
  ...SUSPENSION_WORKINGS,
  ...FIT_WORKINGS,
  ...AID_WORKINGS,
  ...PART_WORKINGS,
  ...PRINT_WORKINGS,
} satisfies { readonly [C in WorkingCode]: unknown };

/** How a figure comes about, in the reader's units; nothing where there is no working. */
export function stepsOf(working: Working | undefined, reader: Reader): readonly WorkingStep[] {
  if (!working) return [];
  const lines = WORKINGS[working.code] as (facts: unknown, write: Writer) => readonly WorkingStep[];
  return lines(working.facts, writerFor(reader));
}
