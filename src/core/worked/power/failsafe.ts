import { markOf } from '../../base/mark';
import type { FailsafeTick, Power } from '../../car/document/power';

export type FailsafePart = keyof FailsafeTick['of'];
export const FAILSAFE_PARTS: readonly FailsafePart[] = ['radio', 'receiver', 'controller', 'wiring'];

/** Another name alone is no other thing. */
const nameless = <T extends { name: string }>(thing: T | undefined): Omit<T, 'name'> | undefined => {
  if (!thing) return undefined;
  const { name: _, ...figures } = thing;
  return figures;
};

const byId = <T extends { id: string }>(items: readonly T[]) =>
  [...items].sort((a, b) => (a.id < b.id ? -1 : 1));

/** Marks of the four things on which a fail-safe test stands: another radio, receiver, controller or wiring has other marks. */
export function failsafeMarks({
  radio,
  controller,
  rails = [],
  loads = [],
  wires = [],
}: Power): FailsafeTick['of'] {
  const receivers = byId(loads.filter(({ kind }) => kind === 'receiver'));
  const wiring = {
    rails: byId(rails).map(({ id, from }) => [id, from]),
    loads: byId(loads).map(({ id, rail }) => [id, rail]),
    wires: byId(wires),
  };
  return {
    radio: markOf(nameless(radio?.transmitter)),
    receiver: markOf(receivers.map(({ rail: _, ...figures }) => nameless(figures))),
    controller: markOf(nameless(controller)),
    wiring: markOf(wiring),
  };
}

/** What has changed since a test was passed. */
export function undoneBy({ of }: FailsafeTick, marks: FailsafeTick['of']): FailsafePart[] {
  return FAILSAFE_PARTS.filter((part) => of[part] !== marks[part]);
}
