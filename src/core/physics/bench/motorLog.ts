import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import { measure, type Measure } from '../../base/measure';
import type { OperationFinding } from '../../base/operationFinding';
import { RAD_PER_S_PER_RPM } from '../../base/constants';
import { mean } from '../../base/numeric/statistics';
import { type MotorFit, motorFit, type ResistanceFrom } from './motorFit';
import { type MotorLog, type MotorPoint, type MotorReading, pointOf, steadyRows } from './motorPoints';

declare module '../../base/errors' {
  interface RefusalFacts {
    'motorLog.rising': Record<never, never>;
    'motorLog.noFreeSpin': Record<never, never>;
    'motorLog.noSlowing': Record<never, never>;
  }
}
declare module '../../base/finding' {
  interface FindingFacts {
    'motorLog.meter': { gap: Measure };
    'motorLog.ratio': { off: number };
    'motorLog.radius': { slip: number };
    'note.motorLog.idling': Record<never, never>;
  }
}

export interface LogMotorInput {
  currentIs?: 'motor' | 'battery';
  freeSpin?: MotorReading[];
  loaded?: MotorReading[];
  /** Held fast. */
  locked?: Omit<MotorReading, 'rpm'>[];
  log?: MotorLog;
  meterMilliOhm?: number;
  meterErrorMilliOhm?: number;
  /** Current off. */
  coastDown?: { tS: number[]; rpm: number[] };
  wheel?: {
    samples: { motorRpm: number; wheelRpm?: number; speedMps?: number }[];
    ratio?: number;
    tyreRadiusMm?: number;
  };
}

export interface LogMotorResult {
  rows: number;
  kvRpmPerV: number;
  kvErrorRpmPerV: number;
  resistanceMilliOhm: number;
  resistanceErrorMilliOhm: number;
  /** Of kv and resistance. */
  correlation?: number;
  residualV: number;
  resistanceFrom: ResistanceFrom;
  meterGapMilliOhm?: number;
  noLoad?: {
    constantA: number;
    perThousandRpmA: number;
    atRpm: number;
    constantErrorA?: number;
    perThousandRpmErrorA?: number;
  };
  noLoadCurrentA?: number;
  /** All that turned with the motor. */
  inertiaKgM2?: number;
  inertiaErrorKgM2?: number;
  wheel?: { ratio?: number; ratioError?: number; ratioErrorPct?: number; slipPct?: number };
  findings: OperationFinding[];
  notes: Finding[];
}

const USUAL_METER_ERROR = 0.05;
const APART = 2;
const [LEAST_IDLING, LEAST_SPAN] = [3, 1.5];
const [OFF_PCT, LEAST_SLIP_PCT] = [2, -2];

/**
 * A motor's voltage constant, resistance, idling current and inertia out of readings and a log, with their errors.
 *
 * @throws CalcError at `log` for unequal columns, at `freeSpin` or `loaded` for what readings do not tell, at
 * `coastDown.tS.k` for times that do not rise, at `coastDown.rpm` for a motor that does not slow down
 * @see GUM (JCGM 100); Draper and Smith, Applied Regression Analysis
 */
export function logMotor(input: LogMotorInput): LogMotorResult {
  const { currentIs = 'motor', freeSpin = [], loaded = [], locked = [], meterMilliOhm } = input;
  const readings = [
    ...freeSpin,
    ...loaded,
    ...locked.map((one): MotorReading => ({ ...one, rpm: 0 })),
    ...(input.log ? steadyRows(input.log) : []),
  ];
  const points = readings.map((one) => pointOf(one, currentIs));
  const meterOhm = meterMilliOhm === undefined ? undefined : meterMilliOhm / 1000;
  const errorOhm = (input.meterErrorMilliOhm ?? USUAL_METER_ERROR * (meterMilliOhm ?? 0)) / 1000;
  const fit = motorFit(points, meterOhm === undefined ? undefined : { ohm: meterOhm, error: errorOhm });
  const kv = 1 / fit.alpha;
  const spread = Math.sqrt(fit.alphaVariance * fit.ohmVariance);
  const idling = idlingOf(freeSpin.map((one) => pointOf(one, currentIs)));
  const notes: Finding[] = idling && !idling.line ? [finding('note.motorLog.idling', {})] : [];
  const slowing = input.coastDown ? inertiaOf(input.coastDown, idling, fit.alpha) : undefined;
  const wheel = input.wheel ? wheelOf(input.wheel) : undefined;
  return {
    rows: points.length,
    kvRpmPerV: kv,
    kvErrorRpmPerV: (kv * Math.sqrt(fit.alphaVariance)) / fit.alpha,
    resistanceMilliOhm: 1000 * fit.ohm,
    resistanceErrorMilliOhm: 1000 * Math.sqrt(fit.ohmVariance),
    ...(spread > 0 ? { correlation: -fit.covariance / spread } : {}),
    residualV: fit.residualV,
    resistanceFrom: fit.from,
    ...(fit.gap ? { meterGapMilliOhm: 1000 * fit.gap.ohm } : {}),
    ...(idling ? { noLoad: idling.noLoad, noLoadCurrentA: idling.at(idling.noLoad.atRpm) } : {}),
    ...slowing,
    ...(wheel ? { wheel } : {}),
    findings: [...meterFindings(fit.gap), ...(wheel ? wheelFindings(wheel) : [])],
    notes,
  };
}

/** Whether points and meter lie further apart than both may be wrong. */
function meterFindings(gap: MotorFit['gap']): OperationFinding[] {
  if (!gap || Math.abs(gap.ohm) <= APART * gap.error) return [];
  const found = measure(1000 * gap.ohm, 'resistanceMilliOhm', 3);
  return [{ severity: 'tight', about: 'meterMilliOhm', why: finding('motorLog.meter', { gap: found }) }];
}

interface Idling {
  noLoad: NonNullable<LogMotorResult['noLoad']>;
  line: boolean;
  at(rpm: number): number;
}

/** Current of a motor that turns by itself, over its speed. */
function idlingOf(points: readonly MotorPoint[]): Idling | undefined {
  const turning = points.filter(({ rpm }) => rpm > 0);
  if (turning.length === 0) return undefined;
  const speeds = turning.map(({ rpm }) => rpm);
  const [slowest, atRpm] = [Math.min(...speeds), Math.max(...speeds)];
  const line =
    turning.length >= LEAST_IDLING && atRpm >= LEAST_SPAN * slowest
      ? straight(
          speeds,
          turning.map(({ amps }) => amps),
        )
      : undefined;
  if (!line || line.slope <= 0) {
    const constantA = mean(turning.map(({ amps }) => amps));
    return { noLoad: { constantA, perThousandRpmA: 0, atRpm }, line: false, at: () => constantA };
  }
  return {
    noLoad: {
      constantA: line.constant,
      perThousandRpmA: 1000 * line.slope,
      atRpm,
      constantErrorA: line.constantError,
      perThousandRpmErrorA: 1000 * line.slopeError,
    },
    line: true,
    at: (rpm) => line.constant + line.slope * rpm,
  };
}

/** A straight line through points, with the errors of both. */
function straight(xs: readonly number[], ys: readonly number[]) {
  const [mx, my] = [mean(xs), mean(ys)];
  const sxx = xs.reduce((sum, x) => sum + (x - mx) ** 2, 0);
  const slope = xs.reduce((sum, x, k) => sum + (x - mx) * (ys[k]! - my), 0) / sxx;
  const constant = my - slope * mx;
  const sse = ys.reduce((sum, y, k) => sum + (y - constant - slope * xs[k]!) ** 2, 0);
  const variance = xs.length > 2 ? sse / (xs.length - 2) : 0;
  return {
    slope,
    constant,
    slopeError: Math.sqrt(variance / sxx),
    constantError: Math.sqrt(variance * (1 / xs.length + mx ** 2 / sxx)),
  };
}

/** J·dω/dt = −k_t·I_0(n): what the idling current slows in the time it takes. */
function inertiaOf(
  { tS, rpm }: NonNullable<LogMotorInput['coastDown']>,
  idling: Idling | undefined,
  alpha: number,
): Pick<LogMotorResult, 'inertiaKgM2' | 'inertiaErrorKgM2'> {
  const stays = tS.findIndex((t, k) => k > 0 && t <= tS[k - 1]!);
  if (stays > 0) throw refusal(`coastDown.tS.${stays}`, 'motorLog.rising');
  if (!idling) throw refusal('freeSpin', 'motorLog.noFreeSpin');
  const first = rpm[0]!;
  const b = idling.noLoad.perThousandRpmA / 1000;
  if (rpm.length !== tS.length || rpm.some((n) => idling.at(n) <= 0))
    throw refusal('coastDown.rpm', 'motorLog.noSlowing');
  const slowed = rpm.map((n) =>
    b === 0 ? (first - n) / idling.at(n) : Math.log(idling.at(first) / idling.at(n)) / b,
  );
  const { slope, slopeError } = straight(tS, slowed);
  if (!(slope > 0)) throw refusal('coastDown.rpm', 'motorLog.noSlowing');
  const torqueConstant = alpha / RAD_PER_S_PER_RPM;
  const inertiaKgM2 = torqueConstant / RAD_PER_S_PER_RPM / slope;
  return { inertiaKgM2, inertiaErrorKgM2: (inertiaKgM2 * slopeError) / slope };
}

function wheelOf({
  samples,
  ratio: given,
  tyreRadiusMm,
}: NonNullable<LogMotorInput['wheel']>): NonNullable<LogMotorResult['wheel']> {
  const counted = samples.flatMap(({ motorRpm, wheelRpm }) =>
    wheelRpm === undefined ? [] : [[motorRpm, wheelRpm] as const],
  );
  const ww = counted.reduce((sum, [, wheel]) => sum + wheel ** 2, 0);
  const fitted = ww > 0 ? counted.reduce((sum, [motor, wheel]) => sum + motor * wheel, 0) / ww : undefined;
  const sse =
    fitted === undefined
      ? 0
      : counted.reduce((sum, [motor, wheel]) => sum + (motor - fitted * wheel) ** 2, 0);
  const ratio = fitted ?? given;
  const rolling = samples.flatMap(({ motorRpm, wheelRpm, speedMps }) => {
    const wheel = wheelRpm ?? (ratio === undefined ? undefined : motorRpm / ratio);
    return speedMps === undefined || wheel === undefined || tyreRadiusMm === undefined
      ? []
      : [[speedMps, wheel * RAD_PER_S_PER_RPM * (tyreRadiusMm / 1000)] as const];
  });
  const surface = rolling.reduce((sum, [, one]) => sum + one, 0);
  return {
    ...(fitted === undefined ? {} : { ratio: fitted }),
    ...(fitted === undefined || counted.length < 2
      ? {}
      : { ratioError: Math.sqrt(sse / (counted.length - 1) / ww) }),
    ...(fitted === undefined || given === undefined ? {} : { ratioErrorPct: 100 * (fitted / given - 1) }),
    ...(surface > 0
      ? { slipPct: 100 * (1 - rolling.reduce((sum, [speed]) => sum + speed, 0) / surface) }
      : {}),
  };
}

const wheelFindings = ({
  ratioErrorPct,
  slipPct,
}: NonNullable<LogMotorResult['wheel']>): OperationFinding[] => [
  ...(ratioErrorPct !== undefined && Math.abs(ratioErrorPct) > OFF_PCT
    ? [
        {
          severity: 'tight' as const,
          about: 'wheel.ratio',
          why: finding('motorLog.ratio', { off: Number(ratioErrorPct.toPrecision(2)) }),
        },
      ]
    : []),
  ...(slipPct !== undefined && slipPct < LEAST_SLIP_PCT
    ? [
        {
          severity: 'tight' as const,
          about: 'wheel.tyreRadiusMm',
          why: finding('motorLog.radius', { slip: Number((-slipPct).toPrecision(2)) }),
        },
      ]
    : []),
];
