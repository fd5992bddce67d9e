import { PASS_TICKS, type PassTick } from '../car/records/report';
import type { Check } from './engine/check';

/** What must hold before a fast pass, in the order in which it is looked at. */
export const PASS_CHECKS = [
  'power.failsafe',
  'power.radio',
  'tyre.burst',
  'drive.place',
  'drive.brake',
  'drive.heat',
] as const;

/** Whether a fast pass may be driven, and what still speaks against it. */
export interface PassList {
  /** Those that the build has. */
  readonly checks: readonly Check[];
  /** Over, or not known. */
  readonly open: readonly Check[];
  readonly unticked: readonly PassTick[];
  readonly go: boolean;
}

/** The list before a fast pass: the build's own checks, and what only a look at pack, people and switches can tell. */
export function passList(checks: readonly Check[], ticked: readonly PassTick[]): PassList {
  const asked = PASS_CHECKS.flatMap((id) => checks.filter((check) => check.id === id));
  const open = asked.filter(({ state }) => state === 'over' || state === 'unknown');
  const unticked = PASS_TICKS.filter((tick) => !ticked.includes(tick));
  return { checks: asked, open, unticked, go: open.length === 0 && unticked.length === 0 };
}
