import type { ReceiverFigures } from '../kinds/receiver';

/** Receivers under invented protocol names. */
export const STARTING_RECEIVERS: readonly { id: string; data: ReceiverFigures }[] = [
  {
    id: 'receiver-2',
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
