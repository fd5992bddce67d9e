import type { LibraryItem } from '../items';

/** Radios under invented protocol names; a protocol binds only with its own. */
export const STARTING_TRANSMITTERS: readonly LibraryItem<'transmitter'>[] = [
  {
    id: 'transmitter-2',
    kind: 'transmitter',
    data: { name: 'Wheel transmitter, 2 channels', protocol: 'hop 1', channels: 2, rangeM: 120 },
  },
  {
    id: 'transmitter-3',
    kind: 'transmitter',
    data: { name: 'Wheel transmitter, 3 channels', protocol: 'hop 2', channels: 3, rangeM: 200 },
  },
  {
    id: 'transmitter-6',
    kind: 'transmitter',
    data: { name: 'Stick transmitter, 6 channels', protocol: 'hop 3', channels: 6, rangeM: 500 },
  },
];

export const STARTING_RECEIVERS: readonly LibraryItem<'receiver'>[] = [
  {
    id: 'receiver-2',
    kind: 'receiver',
    data: {
      name: 'Receiver, 2 channels',
      protocol: 'hop 1',
      channels: 2,
      minV: 4.5,
      maxV: 6.5,
      typicalA: 0.04,
      peakA: 0.08,
    },
  },
  {
    id: 'receiver-3',
    kind: 'receiver',
    data: {
      name: 'Receiver, 3 channels',
      protocol: 'hop 2',
      channels: 3,
      minV: 3.8,
      maxV: 8.4,
      typicalA: 0.05,
      peakA: 0.1,
    },
  },
  {
    id: 'receiver-6',
    kind: 'receiver',
    data: {
      name: 'Receiver, 6 channels, telemetry',
      protocol: 'hop 3',
      channels: 6,
      minV: 4,
      maxV: 10,
      typicalA: 0.08,
      peakA: 0.15,
    },
  },
];
