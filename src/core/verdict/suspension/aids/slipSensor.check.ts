import { type Measure, measure } from '../../../base/measure';
import { USUAL_SLIP_AID } from '../../../car/document/aids';
import { edgesPerFrame } from '../../../worked/aids/slipOfBuild';
import { defineFamily } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'aids.traction': { edges: Measure; frame: Measure; speed: Measure; enough: boolean };
  }
  interface WorkingFacts {
    'aids.traction': { speedMps: number; frameMs: number; magnets: number; radiusMm: number; edges: number };
  }
}

/** Speed at which a slip sensor must tell, share of the top speed: below it most slip happens. */
export const SENSOR_AT_SHARE = 0.5;

/** Edges of the slip sensor in a frame of the radio. */
export const slipSensor = defineFamily(
  {
    family: 'aids.traction',
    at: { segment: 'suspension', side: 'aids' },
    quantity: 'coefficient',
    kind: 'floor',
    tightUnder: 1.5,
    provenBy: { run: 'series', how: 'aidInTurns' },
    supports: ['noiseOnSensor'],
  },
  ({ suspension: { aids } }) =>
    aids?.traction?.targetSlipPct === undefined
      ? []
      : [
          {
            id: 'aids.traction',
            find: (subject) => {
              const { document } = subject;
              const topMps = subject.run()?.topSpeedMps;
              const { tyre } = document.drive;
              if (topMps === undefined || !tyre)
                return {
                  missing: [
                    ...(tyre ? [] : ['drive.tyre']),
                    ...(topMps === undefined ? ['drive.motor:topSpeed'] : []),
                  ],
                };
              const { magnets = USUAL_SLIP_AID.magnets, frameMs = USUAL_SLIP_AID.frameMs } =
                document.suspension.aids!.traction!;
              const speedMps = SENSOR_AT_SHARE * topMps;
              const edges = edgesPerFrame({ radiusMm: tyre.radiusMm, magnets, frameMs }, speedMps);
              return {
                value: edges,
                limit: 1,
                finding: finding('aids.traction', {
                  edges: measure(edges, 'coefficient', 2),
                  frame: measure(frameMs, 'millis'),
                  speed: measure(speedMps, 'speedMps'),
                  enough: edges >= 1,
                }),
                working: working('aids.traction', {
                  speedMps,
                  frameMs,
                  magnets,
                  radiusMm: tyre.radiusMm,
                  edges,
                }),
              };
            },
            remedies: ({ document }) => {
              const { magnets = USUAL_SLIP_AID.magnets } = document.suspension.aids!.traction!;
              return [2, 4].map((times) => ({
                patch: [{ path: ['suspension', 'aids', 'traction', 'magnets'], value: times * magnets }],
                cost: 2,
              }));
            },
          },
        ],
);
