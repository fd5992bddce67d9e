import type { PowerLoad } from '../../car/document/power';
import type { CheckDefinition, Proposal } from '../engine/check';
import type { Subject } from '../../worked/subject';
import { plain } from '../../base/units/plain';
import { BATTERY } from '../../physics/supply/budgetDefinition';
import { servoOf } from '../../worked/power/servoOfBuild';
import { steeringServo } from '../../worked/power/steeringServo';

const STRONGER = 1.5;
const SHORTER = 1.3;
/** A servo turns 60° each way. */
const MOST_SERVO_RAD = Math.PI / 3;

/** A servo at its true voltage against wheels turned at a standstill. */
export function servoCheck(of: PowerLoad): CheckDefinition {
  const nowIn = ({ document }: Subject) => document.power.loads?.find(({ id }) => id === of.id) ?? of;
  return {
    id: `power.servo:${of.id}`,
    segment: 'power',
    title: `${of.name}, torque`,
    short: `${of.name} torque`,
    quantity: 'torqueNm',
    kind: 'floor',
    tightUnder: 1.3,
    evaluate: (subject) => {
      const found = servoOf(
        subject.document,
        subject.surface,
        nowIn(subject),
        subject.run()?.peakBatteryCurrentA ?? 0,
      );
      if (!found.ok) return { missing: found.missing };
      const { steer, input, low } = found.value;
      const {
        wheelLoadN,
        mu,
        contactWidthMm,
        scrubRadiusMm,
        linkageRatio = 1,
        linkageEfficiency = 0.8,
        liftNmm = 0,
        servo,
      } = input;
      return {
        value: steer.availableNm,
        limit: steer.neededNm,
        ...(steer.margin === undefined ? { margin: 1e6 } : {}),
        why: `At ${plain(servo.volts)} V it gives ${plain(low.torqueKgcm)} kg·cm; turning the wheels at a standstill asks ${plain(steer.neededNm / 0.0980665)} kg·cm.${low.overVolts ? ' The data sheet does not go that high.' : ''}`,
        working: [
          {
            label: 'At the kingpins',
            formula: `${plain(mu!)} · 2 · ${plain(wheelLoadN![0])} N · √((${plain(contactWidthMm!)} mm)²/8 + (${plain(scrubRadiusMm!)} mm)²)`,
            value: steer.neededNm * linkageRatio * linkageEfficiency - liftNmm / 1000,
            quantity: 'torqueNm',
            source: 'Gillespie, Fundamentals of Vehicle Dynamics, ch. 8',
          },
          ...(liftNmm > 0
            ? [
                {
                  label: 'Lifting the car at full lock',
                  formula: 'load on the wheels times how fast the contact points sink, from the hard points',
                  value: liftNmm / 1000,
                  quantity: 'torqueNm' as const,
                },
              ]
            : []),
          {
            label: 'At the servo',
            formula: `over ${plain(linkageRatio)} · ${plain(linkageEfficiency)} of the linkage`,
            value: steer.neededNm,
            quantity: 'torqueNm',
          },
          {
            label: 'Available',
            formula: `between the points of the data sheet, at ${plain(servo.volts)} V`,
            value: steer.availableNm,
            quantity: 'torqueNm',
          },
        ],
      };
    },
    propose: (subject): Proposal[] => {
      const { document } = subject;
      const load = nowIn(subject);
      const rail = document.power.rails?.find(({ id }) => id === load.rail);
      const { highV } = load.servo ?? {};
      const fitsHigher =
        rail?.setV !== undefined && highV !== undefined && rail.setV < highV && highV <= (load.maxV ?? highV);
      const { lowTorqueKgcm, highTorqueKgcm } = load.servo ?? {};
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
      return [
        ...(fitsHigher && rail
          ? [
              {
                text: `Set ${rail.name} to ${plain(highV)} V`,
                patch: [{ path: ['power', 'rails', rail.id, 'setV'], value: highV }],
                cost: 1 as const,
              },
            ]
          : []),
        ...(stronger.length > 0
          ? [{ text: 'A servo half as strong again', patch: stronger, cost: 2 as const }]
          : []),
        ...(shortens
          ? [
              {
                text: `Servo horn of ${shorterHornMm} mm in place of ${plain(hornMm!)} mm`,
                patch: [{ path: ['suspension', 'steering', 'hornMm'], value: shorterHornMm }],
                cost: 1 as const,
              },
            ]
          : []),
        ...(load.rail !== BATTERY && load.steer?.linkageRatio !== undefined && load.steer.linkageRatio < 2
          ? [
              {
                text: 'A shorter servo horn, half as much throw again',
                patch: [
                  {
                    path: ['power', 'loads', load.id, 'steer', 'linkageRatio'],
                    value: 1.5 * load.steer.linkageRatio,
                  },
                ],
                cost: 1 as const,
              },
            ]
          : []),
      ];
    },
  };
}

/** The steering servo once more, under what the wheels do. */
export const steeringEffort: CheckDefinition = {
  id: 'steering.effort',
  segment: 'suspension',
  title: 'Servo turns the wheels',
  short: 'steering',
  quantity: 'torqueNm',
  kind: 'floor',
  tightUnder: 1.3,
  evaluate: (subject) => {
    const servo = steeringServo(subject.document);
    return servo ? servoCheck(servo).evaluate(subject) : { missing: ['steering servo'] };
  },
  propose: (subject) => {
    const servo = steeringServo(subject.document);
    return servo ? servoCheck(servo).propose!(subject) : [];
  },
};
