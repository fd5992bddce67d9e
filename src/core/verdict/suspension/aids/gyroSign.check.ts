import { finding } from '../../../base/finding';
import { defineFamily } from '../../engine/check';

declare module '../../../base/finding' {
  interface FindingFacts {
    'aids.sign': { at: string };
  }
}

/** Whether a log of the car turned by hand has shown that the gyro steers against a skid, and not into it. */
export const gyroSign = defineFamily(
  {
    family: 'aids.sign',
    at: { segment: 'suspension', side: 'aids' },
    anySurface: true,
    quantity: 'rateDegPerS',
    kind: 'floor',
    provenBy: { run: 'look', how: 'turnGyroByHand' },
    supports: [],
  },
  ({ suspension: { aids } }) =>
    aids?.yaw?.gain === undefined
      ? []
      : [
          {
            id: 'aids.sign',
            find: ({ document }) => {
              const at = document.suspension.aids?.yaw?.signProvenAt;
              return at === undefined
                ? { missing: ['suspension.aids.yaw.signProvenAt'] }
                : { state: 'clear', finding: finding('aids.sign', { at }) };
            },
          },
        ],
);
