import { type Measure, measure } from '../../../base/measure';
import { criticalGain } from '../../../physics/aids/criticalGain';
import { yawInputOf } from '../../../worked/aids/yawOfBuild';
import type { Subject } from '../../../worked/subject';
import { defineFamily } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'aids.yaw.none': { speed: Measure };
    'aids.yaw.swings': { gain: Measure; critical: Measure; speed: Measure };
    'aids.yaw.calm': { gain: Measure; critical: Measure; speed: Measure };
  }
  interface WorkingFacts {
    'aids.yaw': { speedMps: number; lagS: number; critical?: number };
  }
}

const KICK = { kind: 'kick', yawRateDegPerS: 60 } as const;
/** Gain that leaves room to the critical one. */
const ROOM = 1.6;
const FREE = 1e6;

/** Gain of the gyro against that at which it over-corrects at top speed. */
export const gyro = defineFamily(
  {
    family: 'aids.yaw',
    at: { segment: 'suspension', side: 'aids' },
    quantity: 'coefficient',
    kind: 'floor',
    tightUnder: 1.5,
    provenBy: { run: 'series', how: 'aidInTurns' },
    supports: ['gyroGainTooHigh'],
  },
  ({ suspension: { aids } }) =>
    aids?.yaw?.gain === undefined
      ? []
      : [
          {
            id: 'aids.yaw',
            find: (subject) => {
              const speedMps = subject.run()?.topSpeedMps;
              const input = inputAt(subject, speedMps ?? 1);
              if (!input.ok || speedMps === undefined)
                return {
                  missing: [
                    ...(input.ok ? [] : input.missing),
                    ...(speedMps === undefined ? ['drive.motor:topSpeed'] : []),
                  ],
                };
              const critical = criticalGain(input.value);
              const { gain } = input.value.gyro;
              const speed = measure(speedMps, 'speedMps');
              const facts = { speedMps, lagS: input.value.servo.lagS };
              if (critical === undefined)
                return {
                  value: 0,
                  limit: gain,
                  margin: 0,
                  finding: finding('aids.yaw.none', { speed }),
                  working: working('aids.yaw', facts),
                };
              return {
                value: critical,
                limit: gain,
                ...(gain === 0 ? { margin: FREE } : {}),
                finding: finding(gain > critical ? 'aids.yaw.swings' : 'aids.yaw.calm', {
                  gain: measure(gain, 'coefficient'),
                  critical: measure(critical, 'coefficient', 2),
                  speed,
                }),
                working: working('aids.yaw', { ...facts, critical }),
              };
            },
            remedies: (subject) => {
              const speedMps = subject.run()?.topSpeedMps;
              const input = speedMps === undefined ? undefined : inputAt(subject, speedMps);
              const critical = input?.ok ? criticalGain(input.value) : undefined;
              if (critical === undefined) return [];
              const gain = Number((critical / ROOM).toPrecision(2));
              return [{ patch: [{ path: ['suspension', 'aids', 'yaw', 'gain'], value: gain }], cost: 1 }];
            },
          },
        ],
);

const inputAt = ({ document, surface }: Subject, speedMps: number) =>
  yawInputOf(document, surface, document.suspension.aids!.yaw!, { speedMps, scenario: KICK });
