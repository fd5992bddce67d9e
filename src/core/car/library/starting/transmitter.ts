import type { TransmitterFigures } from '../kinds/transmitter';

/** Radios under invented protocol names; a protocol binds only with its own. */
export const STARTING_TRANSMITTERS: readonly { id: string; data: TransmitterFigures }[] = [
  {
    id: 'transmitter-2',
    data: { name: 'Wheel transmitter, 2 channels', protocol: 'hop 1', channels: 2, rangeM: 120 },
  },
  {
    id: 'transmitter-3',
    data: { name: 'Wheel transmitter, 3 channels', protocol: 'hop 2', channels: 3, rangeM: 200 },
  },
  {
    id: 'transmitter-6',
    data: { name: 'Stick transmitter, 6 channels', protocol: 'hop 3', channels: 6, rangeM: 500 },
  },
];
