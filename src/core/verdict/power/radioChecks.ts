import { FAILSAFE_ITEMS } from '../../car/document/power';
import type { CheckDefinition, Finding, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { plain } from '../../base/units/plain';
import { FAILSAFE_WORDS, failsafeMarks, type FailsafePart, undoneBy } from '../../worked/power/failsafe';
import { supplyOfSubject } from './supplyChecks';
import { wiringOf } from '../../worked/power/wiring';

const THROTTLE_AND_STEERING = 2;

const radio: CheckDefinition = {
  id: 'power.radio',
  segment: 'power',
  title: 'Radio link',
  short: 'radio',
  anySurface: true,
  quantity: 'distanceM',
  kind: 'floor',
  tightUnder: 1.5,
  evaluate: ({ document: { power } }): Finding => {
    const { transmitter, gyroGain, awayM } = power.radio ?? {};
    const receiver = power.loads?.find(({ kind }) => kind === 'receiver');
    const missing = [
      ...(transmitter ? [] : ['transmitter']),
      ...(receiver ? [] : ['receiver']),
      ...(receiver && receiver.protocol === undefined ? ['protocol of the receiver'] : []),
      ...(receiver && receiver.channels === undefined ? ['channels of the receiver'] : []),
      ...(awayM === undefined ? ['how far away it is driven'] : []),
    ];
    if (missing.length > 0 || !transmitter || !receiver) return { missing };
    const needed = THROTTLE_AND_STEERING + (gyroGain ? 1 : 0);
    const fewest = Math.min(transmitter.channels, receiver.channels!);
    const same = transmitter.protocol.trim().toLowerCase() === receiver.protocol!.trim().toLowerCase();
    const enough = fewest >= needed;
    return {
      value: transmitter.rangeM,
      limit: awayM!,
      ...(same && enough ? {} : { state: 'over' as const, margin: same ? fewest / needed : 0 }),
      why: !same
        ? `The transmitter speaks ${transmitter.protocol}, the receiver ${receiver.protocol}: they will not bind.`
        : !enough
          ? `Throttle, steering${gyroGain ? ' and gyro gain' : ''} take ${needed} channels; the ${transmitter.channels < receiver.channels! ? 'transmitter' : 'receiver'} has ${fewest}.`
          : `One protocol, ${fewest} channels for ${needed}, and ${plain(transmitter.rangeM)} m of range for ${plain(awayM!)} m.`,
      working: [
        {
          label: 'Channels',
          formula: `throttle, steering${gyroGain ? ', gyro gain' : ''} of ${fewest}`,
          value: needed,
          quantity: 'count',
        },
        {
          label: 'Range',
          formula: `${plain(transmitter.rangeM)} m of the data sheet against ${plain(awayM!)} m driven away; grass, bodies and a low aerial eat half of it`,
          value: transmitter.rangeM,
          quantity: 'distanceM',
        },
      ],
    };
  },
  propose: ({ document: { power } }): Proposal[] => {
    const { transmitter, gyroGain, awayM } = power.radio ?? {};
    const receiver = power.loads?.find(({ kind }) => kind === 'receiver');
    if (!transmitter || !receiver) return [];
    const needed = THROTTLE_AND_STEERING + (gyroGain ? 1 : 0);
    return [
      ...(receiver.protocol === transmitter.protocol
        ? []
        : [
            {
              text: `A receiver that speaks ${transmitter.protocol}`,
              patch: [
                { path: ['power', 'loads', receiver.id, 'protocol'], value: transmitter.protocol },
                ...((receiver.channels ?? 0) < needed
                  ? [{ path: ['power', 'loads', receiver.id, 'channels'], value: needed }]
                  : []),
              ],
              cost: 2 as const,
            },
          ]),
      ...((receiver.channels ?? 0) < needed
        ? [
            {
              text: `A receiver of ${needed} channels`,
              patch: [{ path: ['power', 'loads', receiver.id, 'channels'], value: needed }],
              cost: 2 as const,
            },
          ]
        : []),
      ...(transmitter.channels < needed
        ? [
            {
              text: `A transmitter of ${needed} channels`,
              patch: [{ path: ['power', 'radio', 'transmitter', 'channels'], value: needed }],
              cost: 2 as const,
            },
          ]
        : []),
      ...(gyroGain && needed > 2
        ? [
            {
              text: 'Set the gyro’s gain on the gyro',
              patch: [{ path: ['power', 'radio', 'gyroGain'], value: undefined }],
              cost: 1 as const,
            },
          ]
        : []),
      ...(awayM !== undefined
        ? [
            {
              text: `Stay within ${plain(Math.floor(transmitter.rangeM / 1.6))} m`,
              patch: [
                {
                  path: ['power', 'radio', 'awayM'],
                  value: Math.max(1, Math.floor(transmitter.rangeM / 1.6)),
                },
              ],
              cost: 1 as const,
            },
          ]
        : []),
    ];
  },
};

const PART_WORDS: Readonly<Record<FailsafePart, string>> = {
  radio: 'the radio',
  receiver: 'the receiver',
  controller: 'the controller',
  wiring: 'the wiring',
};

const failsafe: CheckDefinition = {
  id: 'power.failsafe',
  segment: 'power',
  title: 'Fail-safe list',
  short: 'fail-safe',
  anySurface: true,
  quantity: 'count',
  kind: 'floor',
  tightUnder: 1,
  evaluate: ({ document: { power } }): Finding => {
    const ticks = power.failsafe ?? [];
    if (ticks.length === 0) return { missing: ['the fail-safe list, tried and ticked'] };
    const marks = failsafeMarks(power);
    const undone = ticks.filter((tick) => undoneBy(tick, marks).length > 0);
    const parts = [...new Set(undone.flatMap((tick) => undoneBy(tick, marks)))].map(
      (part) => PART_WORDS[part],
    );
    const open = FAILSAFE_ITEMS.filter(
      (id) => !ticks.some((tick) => tick.id === id && !undone.includes(tick)),
    );
    return {
      value: FAILSAFE_ITEMS.length - open.length,
      limit: FAILSAFE_ITEMS.length,
      state: undone.length > 0 ? 'over' : open.length > 0 ? 'tight' : 'clear',
      why:
        undone.length > 0
          ? `${undone.length} of ${ticks.length} tests no longer count: ${parts.join(' and ')} changed since. Try them again, wheels off the ground.`
          : open.length > 0
            ? `Still to try: ${open.map((id) => FAILSAFE_WORDS[id].what.replace(/^./, (one) => one.toLowerCase())).join(', ')}.`
            : 'All tried with this radio, receiver, controller and wiring.',
      working: ticks.map((tick) => ({
        label: FAILSAFE_WORDS[tick.id].what,
        formula: `tried ${tick.at.slice(0, 10)}${
          undoneBy(tick, marks).length > 0
            ? `, undone by a change of ${undoneBy(tick, marks)
                .map((part) => PART_WORDS[part])
                .join(' and ')}`
            : ''
        }`,
      })),
    };
  },
};

const wiringOfSubject = (subject: Subject) =>
  wiringOf(subject.document, supplyOfSubject(subject), {
    packA: subject.run()?.peakBatteryCurrentA,
    motorA: subject.run()?.peakMotorCurrentA,
  });

const wiring: CheckDefinition = {
  id: 'power.wiring',
  segment: 'power',
  title: 'Plugs and wires',
  short: 'wiring',
  quantity: 'count',
  kind: 'band',
  evaluate: (subject): Finding => {
    const rows = wiringOfSubject(subject);
    if (!rows.some(({ wire }) => wire.plug !== undefined || wire.areaMm2 !== undefined))
      return { missing: ['wires and plugs'] };
    const misfits = rows.filter(({ misfit }) => misfit);
    const thin = rows.filter(({ thin: weak }) => weak);
    return {
      value: misfits.length + thin.length,
      state:
        misfits.length > 0 || thin.some(({ wire, wantedMm2 }) => wire.areaMm2! < wantedMm2! / 2)
          ? 'over'
          : thin.length > 0
            ? 'tight'
            : 'clear',
      why:
        misfits.length > 0
          ? misfits
              .map(({ from, to, wire }) => `From ${from} to ${to}: ${wire.plug} does not fit ${wire.socket}.`)
              .join(' ')
          : thin.length > 0
            ? thin
                .map(
                  ({ to, wire, wantedMm2, peakA }) =>
                    `${plain(wire.areaMm2!)} mm² to ${to} is thin for ${plain(peakA!)} A: ${plain(wantedMm2!)} mm².`,
                )
                .join(' ')
            : 'Every plug that is named fits, and every wire bears its current.',
      working: rows
        .filter(({ wantedMm2 }) => wantedMm2 !== undefined)
        .map(({ from, to, typicalA = 0, peakA, wantedMm2 }) => ({
          label: `${from} to ${to}`,
          formula: `${plain(typicalA)} A as a rule, ${plain(peakA!)} A at the peak`,
          value: wantedMm2!,
          quantity: 'areaMm2' as const,
          source: '12 A/mm² for long, 30 A/mm² for seconds',
        })),
    };
  },
  propose: (subject): Proposal[] => {
    const rows = wiringOfSubject(subject);
    const rewired = (id: string, change: object) =>
      Object.entries(change).map(([key, value]) => ({ path: ['power', 'wires', id, key], value }));
    return [
      ...rows
        .filter(({ misfit }) => misfit)
        .map(({ id, to, wire }) => ({
          text: `Solder a ${wire.plug} to ${to}`,
          patch: rewired(id, { socket: wire.plug }),
          cost: 1 as const,
        })),
      ...rows
        .filter(({ thin }) => thin)
        .map(({ id, to, wantedMm2 }) => ({
          text: `${plain(wantedMm2!)} mm² to ${to}`,
          patch: rewired(id, { areaMm2: wantedMm2 }),
          cost: 1 as const,
        })),
    ];
  },
};

export const radioChecks: readonly CheckDefinition[] = [radio, failsafe, wiring];
