import { refusal } from '../../../base/errors';
import { finding } from '../../../base/finding';
import { measure, type Measure } from '../../../base/measure';
import { bisectBoundary } from '../../../base/numeric/boundary';
import { mean } from '../../../base/numeric/statistics';
import type { OperationFinding } from '../../../base/operationFinding';
import { criticalGain } from '../criticalGain';
import type { YawInput } from '../yawDefinition';
import {
  GYRO_LOGS,
  type GyroLog,
  type GyroLogInput,
  type GyroLogName,
  type GyroLogResult,
  type Lowpass,
  type Peak,
  type RestFigures,
  type TurningFigures,
  type TurningLog,
} from './definition';
import { type Grid, gridOf, noiseBins, peaksOf, rmsOf, type Spectrum, spectrumOf } from './spectrum';

declare module '../../../base/finding' {
  interface FindingFacts {
    'note.gyro.noFilter': { rms: Measure; target: Measure };
    'note.gyro.tooRough': { corner: Measure; rms: Measure; target: Measure };
    'note.gyro.reversed': { rate: Measure };
    'note.gyro.noTurn': Record<never, never>;
    'note.gyro.clipped': { log: GyroLogName; fullScale: Measure };
    'note.gyro.aliased': { log: GyroLogName; frequency: Measure; sampled: Measure };
  }
}

declare module '../../../base/errors' {
  interface RefusalFacts {
    'gyro.oneClock': Record<never, never>;
    'gyro.unequal': { rates: number; times: number };
    'gyro.backward': Record<never, never>;
  }
}

const [USUAL_SEGMENT, USUAL_TARGET, LEAST_CORNER_HZ, FULL] = [256, 1, 0.5, 0.98];
const [LEAST_TURN, TIMES_NOISE, S_PER_MIN] = [5, 5, 60];

/**
 * What a gyro reads at rest, with the motor running and while driving: bias, noise, what shakes it, the filter that is needed
 * and what that filter costs the loop; by hand to the left, whether its sign is right.
 *
 * @returns rates in °/s, frequencies in Hz, times in s
 * @throws CalcError at `LOG.sampleS`, `LOG.tS` or `LOG.tS.k`
 * @see Welch, IEEE Trans. AU-15 (1967); IEEE 952 for the terms
 */
export function gyroLog(input: GyroLogInput): GyroLogResult {
  const { segmentSamples = USUAL_SEGMENT, targetRmsDegPerS = USUAL_TARGET, yaw } = input;
  for (const name of GYRO_LOGS) if (input[name]) refuseClock(input[name], name);
  const seen = (log: TurningLog) => {
    const grid = gridOf(log);
    return { log, grid, spectrum: spectrumOf(grid, segmentSamples) };
  };
  const rest = restOf(seen(input.rest));
  const running = input.running && seen(input.running);
  const driving = input.driving && seen(input.driving);
  const turning = running && turningOf(running);
  const lowpass = lowpassOf(
    running ? 'running' : 'rest',
    (running ?? seen(input.rest)).spectrum,
    targetRmsDegPerS,
  );
  const turn = input.leftTurn && mean([...gridOf(input.leftTurn).values]) - rest.biasDegPerS;
  const clear = Math.max(LEAST_TURN, TIMES_NOISE * rest.noiseDegPerS);
  const sign =
    turn === undefined ? undefined : Math.abs(turn) < clear ? 'unclear' : turn > 0 ? 'right' : 'reversed';
  const result: Omit<GyroLogResult, 'findings' | 'notes'> = {
    rest,
    ...(turning
      ? {
          running: {
            ...turning,
            biasShiftDegPerS: turning.meanDegPerS - mean([...gridOf(input.rest).values]),
          },
        }
      : {}),
    ...(driving ? { driving: turningOf(driving) } : {}),
    lowpass,
    ...(yaw ? { criticalGain: gainsOf(yaw, lowpass.lowpassS) } : {}),
    ...(turn === undefined ? {} : { leftTurnDegPerS: turn, sign: sign! }),
  };
  const target = measure(targetRmsDegPerS, 'rateDegPerS');
  return {
    ...result,
    findings: findingsOf(input, result, target),
    notes: [
      ...(lowpass.cornerHz === undefined
        ? [finding('note.gyro.noFilter', { rms: measure(lowpass.rmsBeforeDegPerS, 'rateDegPerS'), target })]
        : []),
      ...(turn === undefined ? [finding('note.gyro.noTurn', {})] : []),
    ],
  };
}

function refuseClock({ rateDegPerS, sampleS, tS }: GyroLog, name: GyroLogName): void {
  if ((sampleS === undefined) === (tS === undefined)) throw refusal(`${name}.sampleS`, 'gyro.oneClock');
  if (!tS) return;
  if (tS.length !== rateDegPerS.length)
    throw refusal(`${name}.tS`, 'gyro.unequal', { rates: rateDegPerS.length, times: tS.length });
  const back = tS.findIndex((t, k) => k > 0 && !(t > tS[k - 1]!));
  if (back > 0) throw refusal(`${name}.tS.${back}`, 'gyro.backward');
}

interface Seen {
  log: TurningLog;
  grid: Grid;
  spectrum: Spectrum;
}

function restOf({ log, grid, spectrum }: Seen): RestFigures {
  const { values, sampleHz, stepS } = grid;
  const n = values.length;
  const [bias, middle] = [mean([...values]), (n - 1) / 2];
  const spread = values.reduce((sum, _, k) => sum + (k - middle) ** 2, 0);
  const slope = values.reduce((sum, value, k) => sum + (k - middle) * (value - bias), 0) / spread;
  const left = values.reduce((sum, value, k) => sum + (value - bias - slope * (k - middle)) ** 2, 0);
  return {
    n,
    sampleHz,
    biasDegPerS: bias,
    driftDegPerSPerMinute: (slope / stepS) * S_PER_MIN,
    noiseDegPerS: Math.sqrt(left / (n - 2)),
    noiseDegPerRootS: Math.sqrt(mean([...noiseBins(spectrum)])),
    rmsDegPerS: rmsOf(spectrum),
    peaks: peaksOf(spectrum, sampleHz, log),
  };
}

const turningOf = ({ log, grid, spectrum }: Seen): TurningFigures => ({
  n: grid.values.length,
  sampleHz: grid.sampleHz,
  meanDegPerS: mean([...grid.values]),
  rmsDegPerS: rmsOf(spectrum),
  peaks: peaksOf(spectrum, grid.sampleHz, log),
});

function lowpassOf(basedOn: 'running' | 'rest', spectrum: Spectrum, targetRms: number): Lowpass {
  const before = rmsOf(spectrum);
  const after = (corner: number) => rmsOf(spectrum, (hz) => 1 / (1 + (hz / corner) ** 2));
  if (before <= targetRms)
    return { basedOn, rmsBeforeDegPerS: before, lowpassS: 0, delayS: 0, rmsAfterDegPerS: before };
  const quiet = (corner: number) => after(corner) <= targetRms;
  let high = LEAST_CORNER_HZ;
  while (quiet(high)) high *= 2;
  const cornerHz = high === LEAST_CORNER_HZ ? high : bisectBoundary(quiet, high / 2, high);
  const lowpassS = 1 / (2 * Math.PI * cornerHz);
  return {
    basedOn,
    rmsBeforeDegPerS: before,
    cornerHz,
    lowpassS,
    delayS: lowpassS,
    rmsAfterDegPerS: after(cornerHz),
  };
}

function gainsOf(yaw: YawInput, lowpassS: number): NonNullable<GyroLogResult['criticalGain']> {
  const at = (filter: number) => criticalGain({ ...yaw, gyro: { ...yaw.gyro, lowpassS: filter } });
  const [without, filtered] = [at(0), at(lowpassS)];
  return {
    ...(without === undefined ? {} : { without }),
    ...(filtered === undefined ? {} : { with: filtered }),
    ...(without === undefined || filtered === undefined ? {} : { lossPct: 100 * (1 - filtered / without) }),
  };
}

function findingsOf(
  input: GyroLogInput,
  { rest, running, driving, lowpass, sign, leftTurnDegPerS }: Omit<GyroLogResult, 'findings' | 'notes'>,
  target: Measure,
): OperationFinding[] {
  const { fullScaleDegPerS } = input;
  const tooRough = lowpass.cornerHz === LEAST_CORNER_HZ && lowpass.rmsAfterDegPerS > target.value;
  const heard = { rest, running, driving, leftTurn: undefined };
  return [
    ...(sign === 'reversed'
      ? [over('gyro', finding('note.gyro.reversed', { rate: measure(leftTurnDegPerS!, 'rateDegPerS') }))]
      : []),
    ...(tooRough
      ? [
          over(
            'gyro',
            finding('note.gyro.tooRough', {
              corner: measure(LEAST_CORNER_HZ, 'frequencyHz'),
              rms: measure(lowpass.rmsAfterDegPerS, 'rateDegPerS'),
              target,
            }),
          ),
        ]
      : []),
    ...GYRO_LOGS.filter(
      (log) =>
        fullScaleDegPerS !== undefined &&
        input[log]?.rateDegPerS.some((rate) => Math.abs(rate) >= FULL * fullScaleDegPerS),
    ).map((log) =>
      over(
        log,
        finding('note.gyro.clipped', { log, fullScale: measure(fullScaleDegPerS!, 'rateDegPerS', 4) }),
      ),
    ),
    ...GYRO_LOGS.flatMap((log) => {
      const peak = heard[log]?.peaks.find(({ aliased }: Peak) => aliased);
      return peak
        ? [
            {
              severity: 'tight' as const,
              about: log,
              why: finding('note.gyro.aliased', {
                log,
                frequency: measure(peak.frequencyHz, 'frequencyHz'),
                sampled: measure(heard[log]!.sampleHz, 'frequencyHz'),
              }),
            },
          ]
        : [];
    }),
  ];
}

const over = (about: string, why: OperationFinding['why']): OperationFinding => ({
  severity: 'over',
  about,
  why,
});
