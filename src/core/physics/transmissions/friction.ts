import { GRAVITY } from '../../base/constants';
import { refusal } from '../../base/errors';
import { type Finding, finding } from '../../base/finding';
import type { OperationFinding } from '../../base/operationFinding';

declare module '../../base/finding' {
  interface FindingFacts {
    'note.friction.motorOut': Record<never, never>;
    'note.friction.noDrag': Record<never, never>;
  }
}
declare module '../../base/errors' {
  interface RefusalFacts {
    'friction.keep': { startG: number };
    'friction.twice': { part: string };
    'friction.motorFirst': Record<never, never>;
    'friction.nothing': Record<never, never>;
    'friction.noMotor': Record<never, never>;
  }
}

/** The part that a reading may take out first. */
export const MOTOR_PART = 'motor';

export interface FrictionReading {
  /** What is taken out before the next reading; the last: what is left. */
  part: string;
  /** Weight on the string that just starts it, and that just keeps it turning. */
  startG: number;
  keepG: number;
  errorG?: number;
  /** Where the string winds on another shaft. */
  radiusMm?: number;
  ratio?: number;
}

export const FRICTION_MOTORS = ['brushed', 'sensored', 'sensorless'] as const;
export type FrictionMotorKind = (typeof FRICTION_MOTORS)[number];

export interface FrictionMotor {
  kind: FrictionMotorKind;
  kvRpmPerV: number;
  resistanceMilliOhm: number;
  volts: number;
  currentLimitA?: number;
  /** Share of the torque at standstill that it starts with at its worst angle. */
  startFactor?: number;
}

export interface FreeSpin {
  currentA: number;
  rpm: number;
  errorA?: number;
}

export interface FrictionInput {
  /** Motor turns per wheel turn. */
  ratio: number;
  radiusMm: number;
  radiusErrorMm?: number;
  readings?: FrictionReading[];
  motor?: FrictionMotor;
  /** Wheels in the air. */
  freeSpin?: FreeSpin;
  /** The pinion out. */
  motorAlone?: FreeSpin;
  /** At the wheel. */
  startLoadNm?: number;
  loadNm?: number;
  meshEfficiency?: number;
}

/** At the motor, Nm. */
export interface FrictionTorque {
  startNm: number;
  keepNm: number;
  startErrorNm: number;
  keepErrorNm: number;
}

export interface FrictionPart extends FrictionTorque {
  part: string;
  /** Whether it is more than its error. */
  clear: boolean;
  shareOfStart?: number;
}

export interface SpinLoss {
  torqueNm: number;
  errorNm: number;
  lossW: number;
  terminalV: number;
}

export interface FrictionResult {
  parts: FrictionPart[];
  total?: FrictionTorque & { withMotor: boolean };
  driveline?: FrictionTorque & { withMotor: boolean };
  freeSpin?: SpinLoss;
  motorAlone?: SpinLoss;
  running?: { drivelineNm: number; errorNm: number; speedPartNm?: number };
  startFactor?: number;
  stallNm?: number;
  startFrictionNm?: number;
  shareOfStall?: number;
  startMargin?: number;
  startMarginLow?: number;
  motorTorqueAtLoadNm?: number;
  efficiencyAtLoad?: number;
  findings: OperationFinding[];
  notes: Finding[];
}

/** Six-step torque at its worst angle is cos 30°; one that starts blind by judgement, to be measured. */
const START: Readonly<Record<FrictionMotorKind, number>> = {
  brushed: 1,
  sensored: Math.cos(Math.PI / 6),
  sensorless: 0.4,
};
const KG = 1000;

/**
 * What string and weight say of the friction of each part, and the ammeter of what turns.
 *
 * @returns torques in Nm at the motor, powers in W
 * @throws CalcError at `readings` without readings and a free spin, at `keepG` over its start, at a part named twice and a motor
 * that is not first, at `motor` for a current without one
 * @see statics, the DC-motor equations; Coulomb friction taken as the same at every load but for `meshEfficiency`
 */
export function driveFriction(input: FrictionInput): FrictionResult {
  const { readings = [], motor, freeSpin, motorAlone, startLoadNm = 0, loadNm, ratio } = input;
  refuse(input);
  const torques = readings.map((reading) => torqueOf(input, reading));
  const parts = partsOf(readings, torques);
  const withMotor = readings[0]?.part === MOTOR_PART;
  const total = torques[0] && { ...torques[0], withMotor };
  const own = torques[withMotor ? 1 : 0];
  const driveline = own && { ...own, withMotor: false };
  const perAmp = motor && 60 / (2 * Math.PI * motor.kvRpmPerV);
  const spun = freeSpin && motor ? spinOf(freeSpin, motor, perAmp!) : undefined;
  const alone = motorAlone && motor ? spinOf(motorAlone, motor, perAmp!) : undefined;
  const running = spun && alone ? runningOf(spun, alone, driveline) : undefined;
  const notes: Finding[] = [];
  const result: FrictionResult = {
    parts,
    ...(total ? { total } : {}),
    ...(driveline ? { driveline } : {}),
    ...(spun ? { freeSpin: spun } : {}),
    ...(alone ? { motorAlone: alone } : {}),
    ...(running ? { running } : {}),
    findings: [],
    notes,
  };
  if (motor) {
    result.startFactor = motor.startFactor ?? START[motor.kind];
    result.stallNm =
      perAmp! * Math.min((1000 * motor.volts) / motor.resistanceMilliOhm, motor.currentLimitA ?? Infinity);
  }
  if (total) {
    const added = total.withMotor ? undefined : alone;
    if (!total.withMotor && !alone) notes.push(finding('note.friction.motorOut', {}));
    result.startFrictionNm = total.startNm + (added?.torqueNm ?? 0);
    if (result.stallNm !== undefined && result.stallNm > 0) {
      const error = Math.hypot(total.startErrorNm, added?.errorNm ?? 0);
      result.shareOfStall = result.startFrictionNm / result.stallNm;
      const given = result.startFactor! * result.stallNm;
      const asked = result.startFrictionNm + startLoadNm / ratio;
      if (asked > 0) result.startMargin = given / asked;
      if (asked + error > 0) result.startMarginLow = given / (asked + error);
    }
  }
  if (loadNm !== undefined) {
    const drag = running?.drivelineNm ?? driveline?.keepNm;
    if (drag === undefined) notes.push(finding('note.friction.noDrag', {}));
    else {
      result.motorTorqueAtLoadNm = loadNm / (ratio * (input.meshEfficiency ?? 1)) + Math.max(0, drag);
      result.efficiencyAtLoad = loadNm / ratio / result.motorTorqueAtLoadNm;
    }
  }
  return result;
}

function refuse({ readings = [], motor, freeSpin, motorAlone }: FrictionInput): void {
  if (readings.length === 0 && !freeSpin) throw refusal('readings', 'friction.nothing');
  if ((freeSpin ?? motorAlone) && !motor) throw refusal('motor', 'friction.noMotor');
  const named = new Set<string>();
  readings.forEach(({ part, startG, keepG }, at) => {
    if (keepG > startG) throw refusal(`readings.${at}.keepG`, 'friction.keep', { startG });
    if (named.has(part)) throw refusal(`readings.${at}.part`, 'friction.twice', { part });
    if (part === MOTOR_PART && at > 0) throw refusal(`readings.${at}.part`, 'friction.motorFirst');
    named.add(part);
  });
}

function torqueOf(input: FrictionInput, reading: FrictionReading): FrictionTorque {
  const radiusM = (reading.radiusMm ?? input.radiusMm) / 1000;
  const radiusErrorM = (input.radiusErrorMm ?? 0) / 1000;
  const perRatio = GRAVITY / (reading.ratio ?? input.ratio);
  const of = (grams: number) => (perRatio * radiusM * grams) / KG;
  const errorOf = (grams: number) =>
    perRatio * Math.hypot((radiusM * (reading.errorG ?? 0)) / KG, (radiusErrorM * grams) / KG);
  return {
    startNm: of(reading.startG),
    keepNm: of(reading.keepG),
    startErrorNm: errorOf(reading.startG),
    keepErrorNm: errorOf(reading.keepG),
  };
}

const NOTHING: FrictionTorque = { startNm: 0, keepNm: 0, startErrorNm: 0, keepErrorNm: 0 };

/** Each part is a reading less the next. */
function partsOf(readings: readonly FrictionReading[], torques: readonly FrictionTorque[]): FrictionPart[] {
  const firstNm = torques[0]?.startNm ?? 0;
  return readings.map(({ part }, at) => {
    const [own, next] = [torques[at]!, torques[at + 1] ?? NOTHING];
    const startNm = own.startNm - next.startNm;
    const startErrorNm = Math.hypot(own.startErrorNm, next.startErrorNm);
    return {
      part,
      startNm,
      keepNm: own.keepNm - next.keepNm,
      startErrorNm,
      keepErrorNm: Math.hypot(own.keepErrorNm, next.keepErrorNm),
      clear: Math.abs(startNm) > startErrorNm,
      ...(firstNm === 0 ? {} : { shareOfStart: startNm / firstNm }),
    };
  });
}

function spinOf(
  { currentA, rpm, errorA = 0 }: FreeSpin,
  { kvRpmPerV, resistanceMilliOhm }: FrictionMotor,
  perAmp: number,
): SpinLoss {
  const torqueNm = perAmp * currentA;
  return {
    torqueNm,
    errorNm: perAmp * errorA,
    lossW: (torqueNm * 2 * Math.PI * rpm) / 60,
    terminalV: rpm / kvRpmPerV + (currentA * resistanceMilliOhm) / 1000,
  };
}

function runningOf(
  spun: SpinLoss,
  alone: SpinLoss,
  driveline: FrictionTorque | undefined,
): NonNullable<FrictionResult['running']> {
  const drivelineNm = spun.torqueNm - alone.torqueNm;
  return {
    drivelineNm,
    errorNm: Math.hypot(spun.errorNm, alone.errorNm),
    ...(driveline ? { speedPartNm: drivelineNm - driveline.keepNm } : {}),
  };
}
