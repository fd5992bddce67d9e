import type { FailsafeItem } from '@/core/car/document/power';

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
