import { type Measure, measure } from '../../../base/measure';
import type { BuildDocument } from '../../../car/document/document';
import { defineCheck, type Found, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.radio.protocols': { transmitter: string; receiver: string };
    'power.radio.channels': { needed: number; has: number; of: 'transmitter' | 'receiver'; gyro: boolean };
    'power.radio.range': { channels: number; needed: number; range: Measure; away: Measure };
  }
  interface WorkingFacts {
    'power.radio': { needed: number; fewest: number; gyro: boolean; rangeM: number; awayM: number };
  }
}

const THROTTLE_AND_STEERING = 2;
/** What ground, body and a low antenna leave of the range of a data sheet. By judgement. */
const RANGE_LEFT = 0.5;
/** Distance that a remedy stays within, over the range that is left. */
const WITHIN = 1 / 1.6;

const linkOf = ({ power: { radio, loads = [] } }: BuildDocument) => ({
  ...radio,
  receiver: loads.find(({ kind }) => kind === 'receiver'),
  needed: THROTTLE_AND_STEERING + (radio?.gyroGain ? 1 : 0),
});

/** Transmitter and receiver: one protocol, channels enough, range enough. */
export const radioLink = defineCheck({
  id: 'power.radio',
  at: { segment: 'power', side: 'radio' },
  anySurface: true,
  quantity: 'distanceM',
  kind: 'floor',
  tightUnder: 1.5,
  find: ({ document }): Found => {
    const { transmitter, receiver, awayM, needed, gyroGain: gyro = false } = linkOf(document);
    const missing = [
      ...(transmitter ? [] : ['power.radio.transmitter']),
      ...(receiver ? [] : ['power.loads:receiver']),
      ...(receiver && receiver.protocol === undefined ? [`power.loads.${receiver.id}.protocol`] : []),
      ...(receiver && receiver.channels === undefined ? [`power.loads.${receiver.id}.channels`] : []),
      ...(awayM === undefined ? ['power.radio.awayM'] : []),
    ];
    if (missing.length > 0 || !transmitter || !receiver) return { missing };
    const fewest = Math.min(transmitter.channels, receiver.channels!);
    const same = transmitter.protocol.trim().toLowerCase() === receiver.protocol!.trim().toLowerCase();
    const enough = fewest >= needed;
    const reachesM = RANGE_LEFT * transmitter.rangeM;
    return {
      value: reachesM,
      limit: awayM!,
      ...(same && enough ? {} : { state: 'over' as const, margin: same ? fewest / needed : 0 }),
      finding: !same
        ? finding('power.radio.protocols', {
            transmitter: transmitter.protocol,
            receiver: receiver.protocol!,
          })
        : !enough
          ? finding('power.radio.channels', {
              needed,
              has: fewest,
              of: transmitter.channels < receiver.channels! ? 'transmitter' : 'receiver',
              gyro,
            })
          : finding('power.radio.range', {
              channels: fewest,
              needed,
              range: measure(reachesM, 'distanceM'),
              away: measure(awayM!, 'distanceM'),
            }),
      working: working('power.radio', { needed, fewest, gyro, rangeM: transmitter.rangeM, awayM: awayM! }),
    };
  },
  remedies: ({ document }): Proposal[] => {
    const { transmitter, receiver, gyroGain, awayM, needed } = linkOf(document);
    if (!transmitter || !receiver) return [];
    const few = (receiver.channels ?? 0) < needed;
    const channels = { path: ['power', 'loads', receiver.id, 'channels'], value: needed };
    const within = Math.max(1, Math.floor(RANGE_LEFT * transmitter.rangeM * WITHIN));
    return [
      ...(receiver.protocol === transmitter.protocol
        ? []
        : [
            {
              patch: [
                { path: ['power', 'loads', receiver.id, 'protocol'], value: transmitter.protocol },
                ...(few ? [channels] : []),
              ],
              cost: 2 as const,
            },
          ]),
      ...(few ? [{ patch: [channels], cost: 2 as const }] : []),
      ...(transmitter.channels < needed
        ? [
            {
              patch: [{ path: ['power', 'radio', 'transmitter', 'channels'], value: needed }],
              cost: 2 as const,
            },
          ]
        : []),
      ...(gyroGain
        ? [{ patch: [{ path: ['power', 'radio', 'gyroGain'], value: undefined }], cost: 1 as const }]
        : []),
      ...(awayM === undefined
        ? []
        : [{ patch: [{ path: ['power', 'radio', 'awayM'], value: within }], cost: 1 as const }]),
    ];
  },
  provenBy: { run: 'spin', how: 'rangeWalk' },
  supports: ['radioProtocolMismatch', 'antennaShadowed'],
});
