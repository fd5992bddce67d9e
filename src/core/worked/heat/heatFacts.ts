import type { EnduranceInput, EnduranceResult } from '../../physics/heat/enduranceDefinition';

/** What temperatures and minutes of a pack come from. */
export interface HeatFacts {
  thermal: EnduranceInput['thermal'];
  /** Mean speed over the pack, m/s. */
  meanMps: number;
  resistanceMilliOhm: number;
  capacityMah: number;
  result: Pick<
    EnduranceResult,
    'rmsMotorCurrentA' | 'meanBatteryCurrentA' | 'peakCaseC' | 'peakWindingC' | 'durationS' | 'chargeUsedMah'
  >;
}

export function heatFacts(input: EnduranceInput, result: EnduranceResult): HeatFacts {
  const { series: _, notes: __, ...figures } = result;
  return {
    thermal: input.thermal,
    meanMps: result.durationS > 0 ? result.distanceM / result.durationS : 0,
    resistanceMilliOhm: input.motor.resistanceMilliOhm,
    capacityMah: input.battery.capacityMah,
    result: figures,
  };
}
