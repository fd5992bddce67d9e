import { type Measure, measure } from '../../../base/measure';
import type { PowerLoad } from '../../../car/document/power';
import type { ServoSteerInput } from '../../../physics/supply/servo';
import { BATTERY } from '../../../physics/supply/budgetDefinition';
import { servoOf } from '../../../worked/power/servoOfBuild';
import type { Worked } from '../../../worked/worked';
import { defineFamily, type Found, type Proposal } from '../../engine/check';
import { finding, working } from '../../../base/finding';

declare module '../../../base/finding' {
  interface FindingFacts {
    'power.servo': { volts: Measure; gives: Measure; needs: Measure; beyondSheet: boolean };
  }
  interface WorkingFacts {
    'power.servo': { input: ServoSteerInput; neededNm: number; availableNm: number };
  }
}

const [STRONGER, SHORTER, MORE_THROW, MOST_RATIO] = [1.5, 1.3, 1.5, 2];
/** A servo turns 60° each way. */
const MOST_SERVO_RAD = Math.PI / 3;
const NM_PER_KGCM = 0.0980665;

/** A servo at its true voltage against wheels turned at a standstill. */
export const servoChecks = defineFamily(
  {
    family: 'power.servo',
    at: { segment: 'power', side: 'supply' },
    quantity: 'torqueNm',
    kind: 'floor',
    tightUnder: 1.3,
    provenBy: { run: 'spin', how: 'steerOnGround' },
    supports: ['servoTooSmall', 'servoVoltsLow'],
  },
  ({ power: { loads = [] } }) =>
    loads
      .filter(({ kind }) => kind === 'servo')
      .map((of) => ({
        id: `power.servo:${of.id}`,
        named: of.name,
        find: (subject) => findServo(subject, of),
        remedies: (subject) => strongerServo(subject, of),
      })),
);

const nowIn = ({ document }: Worked, of: PowerLoad) =>
  document.power.loads?.find(({ id }) => id === of.id) ?? of;

/** What a servo gives, and what turning the wheels takes. */
export function findServo(subject: Worked, of: PowerLoad): Found {
  const found = servoOf(
    subject.document,
    subject.surface,
    nowIn(subject, of),
    subject.run()?.peakBatteryCurrentA ?? 0,
  );
  if (!found.ok) return found;
  const { steer, input, low } = found.value;
  return {
    value: steer.availableNm,
    limit: steer.neededNm,
    ...(steer.margin === undefined ? { margin: 1e6 } : {}),
    finding: finding('power.servo', {
      volts: measure(input.servo.volts, 'voltageV'),
      gives: measure(low.torqueKgcm, 'torqueKgcm'),
      needs: measure(steer.neededNm / NM_PER_KGCM, 'torqueKgcm'),
      beyondSheet: low.overVolts === true,
    }),
    working: working('power.servo', { input, neededNm: steer.neededNm, availableNm: steer.availableNm }),
  };
}

/** More volts, a stronger servo, or a shorter horn. */
export function strongerServo(subject: Worked, of: PowerLoad): Proposal[] {
  const { document } = subject;
  const load = nowIn(subject, of);
  const rail = document.power.rails?.find(({ id }) => id === load.rail);
  const { highV, lowTorqueKgcm, highTorqueKgcm } = load.servo ?? {};
  const fitsHigher =
    rail?.setV !== undefined && highV !== undefined && rail.setV < highV && highV <= (load.maxV ?? highV);
  const { hornMm, lockMm } = document.suspension.steering ?? {};
  const shorterHornMm = hornMm === undefined ? 0 : Math.round(hornMm / SHORTER);
  const shortens =
    load.steer?.linkageRatio === undefined &&
    lockMm !== undefined &&
    shorterHornMm * Math.sin(MOST_SERVO_RAD) >= lockMm;
  const stronger = Object.entries({ lowTorqueKgcm, highTorqueKgcm })
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) => ({
      path: ['power', 'loads', load.id, 'servo', key],
      value: Number((STRONGER * value!).toPrecision(3)),
    }));
  const ratio = load.steer?.linkageRatio;
  return [
    ...(fitsHigher && rail
      ? [{ patch: [{ path: ['power', 'rails', rail.id, 'setV'], value: highV }], cost: 1 as const }]
      : []),
    ...(stronger.length > 0 ? [{ patch: stronger, cost: 2 as const }] : []),
    ...(shortens
      ? [{ patch: [{ path: ['suspension', 'steering', 'hornMm'], value: shorterHornMm }], cost: 1 as const }]
      : []),
    ...(load.rail !== BATTERY && ratio !== undefined && ratio < MOST_RATIO
      ? [
          {
            patch: [
              { path: ['power', 'loads', load.id, 'steer', 'linkageRatio'], value: MORE_THROW * ratio },
            ],
            cost: 1 as const,
          },
        ]
      : []),
  ];
}
