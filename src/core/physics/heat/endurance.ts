import { CalcError } from '../../base/errors';
import { driveWhole } from './driveWhole';
import type { EnduranceInput, EnduranceResult } from './enduranceDefinition';
import { type ThermalDefinition, USUAL_WINDING_LIMIT_C } from './thermal';

/**
 * Heat and charge over a whole pack: the same cycle of start, cruise and rest again and again, until winding, case or pack
 * has had enough.
 *
 * @returns times in s, temperatures in °C, distance in m, energy in Wh, charge in mAh
 * @throws CalcError at `thermal.windingLimitC` or `thermal.caseLimitC` for a limit that the air already reaches
 * @see Incropera, Fundamentals of Heat and Mass Transfer, ch. 5 (lumped capacitance); the DC-motor equations of any drives text
 */
export function driveEndurance(input: EnduranceInput): EnduranceResult {
  return simulateEndurance(input, 1);
}

/** The same with every step scaled, for the proof that the steps are fine enough. */
export function simulateEndurance(input: EnduranceInput, stepScale: number): EnduranceResult {
  refuseColdLimits(input.thermal);
  const whole = driveWhole(input, { stepScale, ignoreEnds: false, untilS: input.maxDurationS ?? 7200 });
  return {
    durationS: whole.durationS,
    endedBy: whole.endedBy,
    peakWindingC: whole.peakWindingC,
    peakCaseC: whole.peakCaseC,
    distanceM: whole.distanceM,
    energyWh: whole.energyJ / 3600,
    ...(whole.durationS > 0
      ? {
          meanMotorCurrentA: whole.motorAs / whole.durationS,
          rmsMotorCurrentA: Math.sqrt(
            whole.copperJ / whole.durationS / (input.motor.resistanceMilliOhm / 1000),
          ),
          meanBatteryCurrentA: whole.packAs / whole.durationS,
        }
      : {}),
    chargeUsedMah: whole.packAs / 3.6,
    series: whole.series,
    notes: whole.notes,
  };
}

/** A limit at or below the air is no limit. */
export function refuseColdLimits({
  ambientC,
  windingLimitC = USUAL_WINDING_LIMIT_C,
  caseLimitC,
}: ThermalDefinition): void {
  const refuse = (field: string, limitC: number) => {
    throw new CalcError(
      `thermal.${field}`,
      `${limitC} °C is at or below the air, ${ambientC} °C`,
      'give a limit above the temperature of the air',
    );
  };
  if (windingLimitC <= ambientC) refuse('windingLimitC', windingLimitC);
  if (caseLimitC !== undefined && caseLimitC <= ambientC) refuse('caseLimitC', caseLimitC);
}
