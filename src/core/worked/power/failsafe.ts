import { markOf } from '../../base/mark';
import type { FailsafeItem, FailsafeTick, Power } from '../../car/document/power';

/** What each test proves, and how it is done, wheels off the ground. */
export const FAILSAFE_WORDS: Readonly<Record<FailsafeItem, { what: string; how: string }>> = {
  signalLoss: {
    what: 'Signal loss stops the motor',
    how: 'Half throttle, switch the transmitter off: the wheels stop within a second.',
  },
  restart: {
    what: 'A restart leaves the motor off',
    how: 'Pull the receiver’s plug with the throttle open and put it back: nothing turns until the stick was at neutral.',
  },
  neutralArming: {
    what: 'It arms at neutral only',
    how: 'Switch it on with the throttle half open: the motor stays off.',
  },
  pullDown: {
    what: 'A loose signal wire means off',
    how: 'Pull the controller’s signal wire at half throttle: the motor stops. A resistor to minus on the signal sees to it.',
  },
  steeringCentre: {
    what: 'Steering goes straight',
    how: 'Full lock, transmitter off: the wheels go to straight ahead or hold, as you chose.',
  },
  brake: {
    what: 'The brake holds',
    how: 'Transmitter off while it rolls: the brake comes on as you set it.',
  },
};

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
