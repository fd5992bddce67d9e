import { driveWhole } from './driveWhole';
import { type CruiseInput, type EnduranceInput, type EnduranceResult, isCruise } from './enduranceDefinition';
import { stalledNote, USUAL_CUTOFF_V } from './packRecord';
import { LOSS_NAMES, type LossName, noLosses } from './lossNames';
import { refuseTrace, type TraceSeries, traceOfStyle } from './trace';
import { topWithDrag } from './topWithDrag';
import { driveTrace } from './traceWhole';
import { refuseColdLimits } from './thermal';

/**
 * Heat and charge over a whole pack: the same cycle of start, cruise and rest again and again, until winding, case or pack
 * has had enough.
 *
 * @returns times in s, temperatures in °C, distance in m, energy in Wh, charge in mAh
 * @throws CalcError at `thermal.ambientC` for a limit that the air already reaches
 * @see Incropera, Fundamentals of Heat and Mass Transfer, ch. 5 (lumped capacitance); the DC-motor equations of any drives text
 */
export function driveEndurance(input: EnduranceInput): EnduranceResult {
  return simulateEndurance(input, 1);
}

/** The same with every step scaled, for the proof that the steps are fine enough. */
export function simulateEndurance(
  input: EnduranceInput,
  stepScale: number,
  options: PackOptions = {},
): EnduranceResult {
  refuseColdLimits(input.thermal);
  return isCruise(input) ? cruised(input, stepScale) : traced(input, stepScale, options);
}

/** How a trace is driven beyond what an input says. */
export interface PackOptions {
  /** Charge, as a share, at which the driver stops. */
  leastCharge?: number;
  /** Counts passes of a trace that go as the one before: ten times faster, within a fifth of a per cent. */
  jumps?: boolean;
}

const LONGEST_S = 7200;

function cruised(input: CruiseInput, stepScale: number): EnduranceResult {
  const whole = driveWhole(input, { stepScale, ignoreEnds: false, untilS: input.maxDurationS ?? LONGEST_S });
  return {
    durationS: whole.durationS,
    endedBy: whole.endedBy,
    peakWindingC: whole.peakWindingC,
    peakCaseC: whole.peakCaseC,
    distanceM: whole.distanceM,
    energyWh: whole.energyJ / J_PER_WH,
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

const J_PER_WH = 3600;

/** The trace of an input that has one, or whose style makes one. */
export function traceOf({ cycle, ...input }: EnduranceInput): TraceSeries | undefined {
  if ('series' in cycle) return cycle.series;
  if ('style' in cycle) return traceOfStyle(cycle.style, topWithDrag(input, input.losses), input.tyre.mu);
  return undefined;
}

function traced(input: EnduranceInput, stepScale: number, options: PackOptions): EnduranceResult {
  const trace = traceOf(input)!;
  if (trace.speedMps.every((speed) => speed === 0) && 'style' in input.cycle) return stands(input, trace);
  refuseTrace(trace);
  const whole = driveTrace({
    input,
    thermal: input.thermal,
    controller: input.controller,
    trace,
    losses: input.losses,
    cutoffVPerCell: input.cutoffVPerCell ?? USUAL_CUTOFF_V,
    untilS: input.maxDurationS ?? LONGEST_S,
    stepScale,
    ...options,
  });
  const { durationS } = whole;
  return {
    durationS,
    endedBy: whole.endedBy,
    peakWindingC: whole.peakWindingC,
    peakCaseC: whole.peakCaseC,
    ...(whole.peakControllerC === undefined ? {} : { peakControllerC: whole.peakControllerC }),
    distanceM: whole.distanceM,
    energyWh: whole.energyJ / J_PER_WH,
    ...(durationS > 0
      ? {
          meanMotorCurrentA: whole.motorAs / durationS,
          rmsMotorCurrentA: Math.sqrt(whole.squaresAs / durationS),
          meanBatteryCurrentA: whole.packAs / durationS,
          meanSpeedMps: whole.distanceM / durationS,
        }
      : {}),
    chargeUsedMah: whole.packAs / 3.6,
    cycleSeries: trace,
    lossesWh: Object.fromEntries(LOSS_NAMES.map((name) => [name, whole.lossesJ[name] / J_PER_WH])) as Record<
      LossName,
      number
    >,
    series: whole.series,
    notes: whole.notes,
  };
}

/** A car that cannot move has no top speed to drive a style by. */
const stands = (
  { thermal, controller, battery }: EnduranceInput,
  cycleSeries: TraceSeries,
): EnduranceResult => ({
  durationS: 0,
  endedBy: 'stalled',
  peakWindingC: thermal.ambientC,
  peakCaseC: thermal.ambientC,
  ...(controller ? { peakControllerC: thermal.ambientC } : {}),
  distanceM: 0,
  energyWh: 0,
  chargeUsedMah: 0,
  cycleSeries,
  lossesWh: noLosses(),
  series: {
    tS: [0],
    windingC: [thermal.ambientC],
    caseC: [thermal.ambientC],
    stateOfCharge: [battery.stateOfCharge ?? 1],
    speedMps: [0],
  },
  notes: [stalledNote(0)],
});
