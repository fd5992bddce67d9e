import { USUAL_SLIP_AID } from '../../car/document/aids';
import type { BuildDocument } from '../../car/document/document';
import type { CheckDefinition, Proposal } from '../engine/check';
import { plain } from '../../base/units/plain';
import { criticalGain } from '../../physics/aids/criticalGain';
import { edgesPerFrame } from '../../worked/aids/slipOfBuild';
import { yawInputOf } from '../../worked/aids/yawOfBuild';

const KICK = { kind: 'kick', yawRateDegPerS: 60 } as const;
/** Gain that leaves room to the critical one. */
const ROOM = 1.6;
/** Speed at which a slip sensor must tell, share of the top speed: below it most slip happens. */
export const SENSOR_AT_SHARE = 0.5;
const FREE = 1e6;

const yaw: CheckDefinition = {
  id: 'aids.yaw',
  segment: 'suspension',
  title: 'Gyro stays calm',
  short: 'gyro',
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: (subject) => {
    const { document, surface } = subject;
    const speedMps = subject.run()?.topSpeedMps;
    const aid = document.suspension.aids!.yaw!;
    const input = yawInputOf(document, surface, aid, { speedMps: speedMps ?? 1, scenario: KICK });
    if (!input.ok || speedMps === undefined)
      return {
        missing: [...(input.ok ? [] : input.missing), ...(speedMps === undefined ? ['top speed'] : [])],
      };
    const critical = criticalGain(input.value);
    const { gain } = input.value.gyro;
    const working = [
      {
        label: 'Critical gain',
        formula: `sampled loop at ${plain(speedMps)} m/s with a lag of ${plain(1000 * input.value.servo.lagS)} ms`,
        ...(critical === undefined ? {} : { value: critical, quantity: 'coefficient' as const }),
        source: 'Åström and Wittenmark, Computer-Controlled Systems, ch. 3',
      },
    ];
    if (critical === undefined)
      return {
        value: 0,
        limit: gain,
        margin: 0,
        why: `No gain keeps it straight at ${plain(speedMps)} m/s, or none upsets it: look at its plots.`,
        working,
      };
    return {
      value: critical,
      limit: gain,
      ...(gain === 0 ? { margin: FREE } : {}),
      why:
        gain > critical
          ? `The gain of ${plain(gain)} swings the car at ${plain(speedMps)} m/s: it over-corrects above ${plain(critical, 2)}.`
          : `It over-corrects above ${plain(critical, 2)} at ${plain(speedMps)} m/s; the gain is ${plain(gain)}.`,
      working,
    };
  },
  propose: (subject): Proposal[] => {
    const speedMps = subject.run()?.topSpeedMps;
    const { document, surface } = subject;
    const aid = document.suspension.aids!.yaw!;
    const input =
      speedMps === undefined ? undefined : yawInputOf(document, surface, aid, { speedMps, scenario: KICK });
    const critical = input?.ok ? criticalGain(input.value) : undefined;
    if (critical === undefined) return [];
    const gain = Number((critical / ROOM).toPrecision(2));
    return [
      {
        text: `Gyro gain ${plain(gain)}`,
        patch: [{ path: ['suspension', 'aids', 'yaw', 'gain'], value: gain }],
        cost: 1,
      },
    ];
  },
};

const traction: CheckDefinition = {
  id: 'aids.traction',
  segment: 'suspension',
  title: 'Slip sensor fine enough',
  short: 'slip sensor',
  quantity: 'coefficient',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: (subject) => {
    const { document } = subject;
    const speedMps = subject.run()?.topSpeedMps;
    const { tyre } = document.drive;
    if (speedMps === undefined || !tyre)
      return { missing: [...(tyre ? [] : ['tyre']), ...(speedMps === undefined ? ['top speed'] : [])] };
    const { magnets = USUAL_SLIP_AID.magnets, frameMs = USUAL_SLIP_AID.frameMs } =
      document.suspension.aids!.traction!;
    const at = SENSOR_AT_SHARE * speedMps;
    const edges = edgesPerFrame({ radiusMm: tyre.radiusMm, magnets, frameMs }, at);
    return {
      value: edges,
      limit: 1,
      why: `${plain(edges, 2)} edges a frame of ${plain(frameMs)} ms at ${plain(at)} m/s, half the top speed: ${edges < 1 ? 'it answers to old news.' : 'every frame has news.'}`,
      working: [
        {
          label: 'Edges a frame',
          formula: `${plain(at)} m/s · ${plain(frameMs)} ms · ${magnets} / (2π · ${plain(tyre.radiusMm)} mm)`,
          value: edges,
          quantity: 'coefficient',
          source: 'by geometry',
        },
      ],
    };
  },
  propose: (subject): Proposal[] => {
    const { magnets = USUAL_SLIP_AID.magnets } = subject.document.suspension.aids!.traction!;
    return [2, 4].map((times) => ({
      text: `${times * magnets} magnets a wheel in place of ${magnets}`,
      patch: [{ path: ['suspension', 'aids', 'traction', 'magnets'], value: times * magnets }],
      cost: 2,
    }));
  },
};

/** Checks of the aids that a build has. */
export const aidChecksOf = ({ suspension: { aids } }: BuildDocument): readonly CheckDefinition[] => [
  ...(aids?.yaw?.gain === undefined ? [] : [yaw]),
  ...(aids?.traction?.targetSlipPct === undefined ? [] : [traction]),
];
