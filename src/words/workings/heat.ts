import type { HeatFacts } from '@/core/worked/heat/heatFacts';
import type { Writer } from '../write';
import type { WorkingStep } from '../workingStep';

const SOURCE = 'Incropera, Fundamentals of Heat and Mass Transfer, ch. 5';

/** How the temperatures and the minutes of a pack come about, at the means of the drive. */
export function workingHeat(
  { thermal, meanMps, resistanceMilliOhm, capacityMah, result }: HeatFacts,
  { q, n }: Writer,
): WorkingStep[] {
  const {
    rmsMotorCurrentA = 0,
    meanBatteryCurrentA = 0,
    peakCaseC,
    peakWindingC,
    durationS,
    chargeUsedMah,
  } = result;
  const moving =
    durationS > 0
      ? `, cooled ${n(1 + (thermal.coolingPerMps ?? 0) * meanMps)} times at ${q(meanMps, 'speedMps')}`
      : '';
  return [
    {
      label: 'Motor current, root mean square',
      formula: '√(∫I²·dt / t) over everything that is driven',
      value: rmsMotorCurrentA,
      quantity: 'currentA',
    },
    {
      label: 'Mean heat in the winding, cold',
      formula: `I²·R, R = ${q(resistanceMilliOhm, 'resistanceMilliOhm')} at ${q(20, 'temperatureC')} and 0.393 % more for every kelvin`,
      value: (rmsMotorCurrentA ** 2 * resistanceMilliOhm) / 1000,
      quantity: 'powerW',
      source: SOURCE,
    },
    {
      label: 'Winding to case',
      formula: `${n(thermal.windingToCaseKPerW)} K/W, ${n(thermal.windingHeatCapacityJPerK)} J/K`,
      value: peakWindingC,
      quantity: 'temperatureC',
    },
    {
      label: 'Case to air',
      formula: `${n(thermal.caseToAmbientKPerW)} K/W standing${moving}, ${n(thermal.caseHeatCapacityJPerK)} J/K`,
      value: peakCaseC,
      quantity: 'temperatureC',
    },
    {
      label: 'Minutes',
      formula: `${q(chargeUsedMah, 'capacityMah', 4)} of ${q(capacityMah, 'capacityMah', 4)} at a mean of ${q(meanBatteryCurrentA, 'currentA')}`,
      value: durationS / 60,
      quantity: 'minutes',
    },
  ];
}
