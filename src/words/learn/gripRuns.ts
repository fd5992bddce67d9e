import { formatText, type Reader } from '@/core/base/units/formatQuantity';
import type { QuantityName } from '@/core/base/units/quantities';
import type { RunReport } from '@/core/car/records/report';
import type { GripMethod } from '@/core/physics/grip/definition';
import { counted } from '../lists';

/** What the home methods are called, and what is read. */
export const GRIP_METHOD_NAMES: Readonly<Record<GripMethod, { name: string; quantity: QuantityName }>> = {
  pull: { name: 'Pull on a scale', quantity: 'forceN' },
  tilt: { name: 'Tilted board', quantity: 'angleDeg' },
  circle: { name: 'Circle at the limit', quantity: 'timeS' },
  brakeLength: { name: 'Braking length', quantity: 'distanceM' },
  brakeTime: { name: 'Braking time', quantity: 'timeS' },
  launch: { name: 'Launch with spinning wheels', quantity: 'timeS' },
};

/** What was measured, as a run tells it. */
export function gripRunWords({ grip }: RunReport, reader: Reader): string[] {
  if (!grip) return [];
  const { method = 'pull', readings = [], tyre } = grip;
  const { name, quantity } = GRIP_METHOD_NAMES[method];
  const mean = readings.reduce((sum, { value }) => sum + value, 0) / readings.length;
  return [
    name.toLowerCase(),
    readings.length === 0
      ? ''
      : `${formatText(mean, quantity, reader, 3)} over ${counted(readings.length, 'reading')}`,
    tyre ?? '',
  ];
}

export const straightRunWords = ({ straight }: RunReport, reader: Reader): string[] =>
  (straight?.drifts ?? []).map(({ driftM }) => formatText(driftM, 'distanceM', reader, 2));

export const circleRunWords = ({ circle }: RunReport, reader: Reader): string[] => [
  counted(circle?.circles?.length ?? 0, 'circle'),
  ...(circle?.circles ?? []).slice(0, 1).map(({ radiusM }) => formatText(radiusM, 'distanceM', reader, 2)),
];

export const coastRunWords = ({ coast }: RunReport): string[] => [
  counted(coast?.rolls?.length ?? 0, 'roll-out'),
];
