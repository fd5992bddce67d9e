import { type Measure, measure } from '../../../base/measure';
import { type StableGains, stableGains } from '../../../physics/aids/criticalGain';
import { yawInputOf } from '../../../worked/aids/yawOfBuild';
import type { Worked } from '../../../worked/worked';
import { defineFamily } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'aids.yaw.none': { speed: Measure };
    'aids.yaw.drifts': { gain: Measure; least: Measure; speed: Measure };
    'aids.yaw.swings': { gain: Measure; critical: Measure; speed: Measure };
    'aids.yaw.calm': { gain: Measure; critical?: Measure; speed: Measure };
  }
  interface WorkingFacts {
    'aids.yaw': { speedMps: number; lagS: number; least?: number; critical?: number };
  }
}

const KICK = { kind: 'kick', yawRateDegPerS: 60 } as const;
/** Gain that leaves room to the critical one. */
const ROOM = 1.6;
const FREE = 1e6;

/** Gain of the gyro at top speed: over what the car needs to run straight, under what makes it over-correct. */
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
              const range = stableGains(input.value);
              const { gain } = input.value.gyro;
              const speed = measure(speedMps, 'speedMps');
              const facts = { speedMps, lagS: input.value.servo.lagS };
              if (!range)
                return {
                  margin: 0,
                  finding: finding('aids.yaw.none', { speed }),
                  working: working('aids.yaw', facts),
                };
              return {
                ...held(gain, range),
                finding: tell(gain, range, speed),
                working: working('aids.yaw', {
                  ...facts,
                  ...(range.from > 0 ? { least: range.from } : {}),
                  ...(range.to === undefined ? {} : { critical: range.to }),
                }),
              };
            },
            remedies: (subject) => {
              const speedMps = subject.run()?.topSpeedMps;
              const input = speedMps === undefined ? undefined : inputAt(subject, speedMps);
              const range = input?.ok ? stableGains(input.value) : undefined;
              if (!range) return [];
              const gain = Number(amid(range).toPrecision(2));
              return [{ patch: [{ path: ['suspension', 'aids', 'yaw', 'gain'], value: gain }], cost: 1 }];
            },
          },
        ],
);

const inputAt = ({ document, surface }: Worked, speedMps: number) =>
  yawInputOf(document, surface, document.suspension.aids!.yaw!, { speedMps, scenario: KICK });

/** The nearer end of the stable range: a ceiling over, or a floor under, the gain. */
function held(
  gain: number,
  { from, to = Infinity }: StableGains,
): { value?: number; limit?: number; margin: number } {
  const over = gain === 0 ? FREE : Math.min(FREE, to / gain);
  const under = from === 0 ? FREE : gain / from;
  if (under < over) return { value: gain, limit: from, margin: under };
  return to === Infinity ? { margin: FREE } : { value: to, limit: gain, margin: over };
}

function tell(gain: number, { from, to }: StableGains, speed: Measure) {
  const set = measure(gain, 'coefficient');
  if (gain < from)
    return finding('aids.yaw.drifts', { gain: set, least: measure(from, 'coefficient', 2), speed });
  const critical = to === undefined ? undefined : measure(to, 'coefficient', 2);
  if (critical && gain > to!) return finding('aids.yaw.swings', { gain: set, critical, speed });
  return finding('aids.yaw.calm', { gain: set, ...(critical ? { critical } : {}), speed });
}

/** A gain with room to both ends. */
const amid = ({ from, to }: StableGains): number =>
  from === 0 ? (to ?? ROOM) / ROOM : to === undefined ? from * ROOM : Math.sqrt(from * to);
