import type { WorkingStep } from '../../base/workingStep';
import { plain } from '../../base/units/plain';
import type { EnduranceInput, EnduranceResult } from './enduranceDefinition';

const SOURCE = 'Incropera, Fundamentals of Heat and Mass Transfer, ch. 5';

/** How the temperatures and the minutes of a pack come about, at the means of the drive. */
export function workingHeat(
  { thermal, cycle, motor, battery }: EnduranceInput,
  {
    rmsMotorCurrentA = 0,
    meanBatteryCurrentA = 0,
    peakCaseC,
    peakWindingC,
    durationS,
    chargeUsedMah,
  }: EnduranceResult,
): WorkingStep[] {
  const speed =
    durationS > 0
      ? `, cooled ${plain(1 + (thermal.coolingPerMps ?? 0) * cycle.cruiseMps)} times at ${plain(cycle.cruiseMps)} m/s`
      : '';
  return [
    {
      label: 'Motor current, root mean square',
      formula: '√(∫I²·dt / t) over starts, cruises and rests',
      value: rmsMotorCurrentA,
      quantity: 'currentA',
    },
    {
      label: 'Mean heat in the winding, cold',
      formula: `I²·R, R = ${plain(motor.resistanceMilliOhm)} mΩ at 20 °C and 0.393 % more for every K`,
      value: (rmsMotorCurrentA ** 2 * motor.resistanceMilliOhm) / 1000,
      quantity: 'powerW',
      source: SOURCE,
    },
    {
      label: 'Winding to case',
      formula: `${plain(thermal.windingToCaseKPerW)} K/W, ${plain(thermal.windingHeatCapacityJPerK)} J/K`,
      value: peakWindingC,
      quantity: 'temperatureC',
    },
    {
      label: 'Case to air',
      formula: `${plain(thermal.caseToAmbientKPerW)} K/W standing${speed}, ${plain(thermal.caseHeatCapacityJPerK)} J/K`,
      value: peakCaseC,
      quantity: 'temperatureC',
    },
    {
      label: 'Minutes',
      formula: `${plain(chargeUsedMah, 4)} of ${plain(battery.capacityMah, 4)} mAh at a mean of ${plain(meanBatteryCurrentA)} A`,
      value: durationS / 60,
      quantity: 'minutes',
    },
  ];
}
