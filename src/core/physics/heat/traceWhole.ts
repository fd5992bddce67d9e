import { AIR_DENSITY, GRAVITY } from '../../base/constants';
import { CalcError } from '../../base/errors';
import { cellVolts } from '../motion/cell';
import type { DriveRunInput } from '../motion/definition';
import { createPlant, currentOf, dutyFor, retune, type TunablePlant } from '../motion/plant';
import { createRoad, dragAndRoll, type Road, traction } from '../motion/road';
import type { End, EnduranceSeries } from './enduranceDefinition';
import { LOSS_NAMES, type LossName } from './lossNames';
import { type Losses, lossesOf, type LossesDefinition } from './losses';
import {
  heatedFor,
  type Temperatures,
  type ThermalDefinition,
  USUAL_WINDING_LIMIT_C,
  windingAt,
} from './thermal';
import { PackRecord, stalledNote } from './packRecord';
import { fullThrottleMps2 } from './topWithDrag';
import type { TraceSeries } from './trace';

export interface TraceWhole {
  durationS: number;
  endedBy: End;
  peakWindingC: number;
  peakCaseC: number;
  distanceM: number;
  energyJ: number;
  motorAs: number;
  /** ∫I² dt without ripple, A² s. */
  squaresAs: number;
  packAs: number;
  lossesJ: Record<LossName, number>;
  /** The case at the times asked for, °C. */
  readC: number[];
  series: EnduranceSeries;
  notes: string[];
}

interface Asked {
  input: DriveRunInput;
  thermal: ThermalDefinition;
  trace: TraceSeries;
  losses: LossesDefinition | undefined;
  cutoffVPerCell: number;
  untilS: number;
  stepScale: number;
  /** Drives on past every limit, as a measured run did. */
  ignoreEnds?: boolean;
  /** Times at which the case is read, s, rising. */
  readAtS?: readonly number[];
}

/** Longest steps while the speed changes and while it is held, s. */
const [STEP_S, HELD_S] = [0.04, 0.25];
/** Volts under load are smoothed over this time before they are held against the cut-off, s. */
const SMOOTHED_S = 2;
const MOST_STEPS = 4_000_000;

/** The trace again and again until winding, case or pack has had enough. */
export function driveTrace(asked: Asked): TraceWhole {
  return new Drive(asked).drive();
}

class Drive {
  private readonly plant: TunablePlant;
  private readonly losses: Losses;
  private readonly motorOhm: number;
  private readonly escOhm: number;
  private readonly capacityAs: number;
  private readonly roadAt: (gradePct: number) => Road;
  private readonly found: TraceWhole;
  private temperatures: Temperatures;
  private charge: number;
  private v: number;
  private smoothedV: number;
  private ended = false;
  private steps = 0;
  private readonly record: PackRecord;

  constructor(private readonly asked: Asked) {
    const { input, thermal, trace, losses } = asked;
    this.record = new PackRecord(asked.readAtS);
    this.plant = createPlant(input) as TunablePlant;
    this.losses = lossesOf(losses);
    this.motorOhm = input.motor.resistanceMilliOhm / 1000;
    this.escOhm = (input.esc.resistanceMilliOhm ?? 0) / 1000;
    this.capacityAs = input.battery.capacityMah * 3.6;
    this.charge = input.battery.stateOfCharge ?? 1;
    this.temperatures = [thermal.ambientC, thermal.ambientC];
    this.v = trace.speedMps[0]!;
    this.smoothedV = this.openV();
    const { car, tyre, airDensityKgM3 = AIR_DENSITY } = input;
    this.roadAt = (gradePct) =>
      createRoad({
        massKg: car.massKg,
        cdaM2: car.cdaM2,
        claFrontM2: car.claFrontM2 ?? 0,
        claRearM2: car.claRearM2 ?? 0,
        rollingResistance: car.rollingResistance,
        frontLoadShare: car.frontLoadShare,
        cgHeightM: car.cgHeightMm / 1000,
        wheelbaseM: car.wheelbaseMm / 1000,
        drivenAxles: car.drivenAxles,
        mu: tyre.mu,
        airDensityKgM3,
        gradePct,
      });
    this.found = {
      durationS: 0,
      endedBy: 'time',
      peakWindingC: thermal.ambientC,
      peakCaseC: thermal.ambientC,
      distanceM: 0,
      energyJ: 0,
      motorAs: 0,
      squaresAs: 0,
      packAs: 0,
      lossesJ: Object.fromEntries(LOSS_NAMES.map((name) => [name, 0])) as Record<LossName, number>,
      series: this.record.series,
      readC: this.record.readC,
      notes: [],
    };
  }

  drive(): TraceWhole {
    const { trace } = this.asked;
    const startJ = 0.5 * this.plant.effectiveMassKg * this.v ** 2;
    this.sample(true);
    while (!this.ended) {
      for (let k = 1; k < trace.tS.length && !this.ended; k++) this.follow(k);
      if (!this.ended) this.brakeTo(trace.speedMps[0]!);
    }
    this.sample(true);
    const { found } = this;
    const { lossesJ } = found;
    const kinetic = 0.5 * this.plant.effectiveMassKg * this.v ** 2 - startJ;
    lossesJ.driveline = 0;
    lossesJ.driveline = found.energyJ - kinetic - LOSS_NAMES.reduce((sum, name) => sum + lossesJ[name], 0);
    return found;
  }

  /** One stretch between two points of the trace, in steps. */
  private follow(k: number): void {
    const { trace, stepScale } = this.asked;
    const { tS, speedMps, gradePct, lateralMps2 } = trace;
    const [t0, t1] = [tS[k - 1]!, tS[k]!];
    const [w0, w1] = [speedMps[k - 1]!, speedMps[k]!];
    const slope = (w1 - w0) / (t1 - t0);
    const at = (list: readonly number[] | undefined, share: number) =>
      list ? list[k - 1]! + share * (list[k]! - list[k - 1]!) : 0;
    const level = !gradePct || gradePct[k - 1] === gradePct[k];
    if (gradePct && level) this.plant.road = this.roadAt(gradePct[k]!);
    for (let t = t0; t < t1 - 1e-12 && !this.ended;) {
      const steady = slope === 0 && this.v === w0 && level;
      const dt = Math.min(t1 - t, stepScale * (steady ? HELD_S : STEP_S), this.leftS());
      const middle = (t + dt / 2 - t0) / (t1 - t0);
      if (gradePct && !level) this.plant.road = this.roadAt(at(gradePct, middle));
      this.step(dt, w0 + slope * (t - t0), w0 + slope * (t + dt - t0), slope, at(lateralMps2, middle));
      t += dt;
    }
  }

  /** A step from the wish at its start to that at its end. */
  private step(dt: number, from: number, to: number, slope: number, lateralMps2: number): void {
    const { plant, losses, found } = this;
    if (++this.steps > MOST_STEPS)
      throw new CalcError(
        'cycle',
        `asks for more than ${MOST_STEPS} steps`,
        'give a trace of longer stretches',
      );
    retune(plant, this.openV(), windingAt(this.motorOhm, this.temperatures[0]) + this.escOhm);
    const before = this.v;
    const behindN = losses.drivelineDrag * plant.massKg * GRAVITY;
    const cornering = (v: number) => {
      if (lateralMps2 === 0) return 0;
      const load = Math.max(1e-9, plant.road.weightN + plant.road.downPerQ * v * v);
      return (plant.massKg * lateralMps2) ** 2 / (losses.corneringPerRad * load);
    };
    // over the wish, as at a repeat, it is braked down at once
    if (before > from) this.brakeTo(from);
    const start = this.v;
    const standing = start === 0 && from === 0 && to === 0;
    const best = standing ? 0 : fullThrottleMps2(plant, start, cornering(start), behindN);
    const onTrace = start === from && (slope <= best || to <= from);
    let after = onTrace ? to : start;
    let full = false;
    if (!onTrace) {
      if (start === 0 && best <= 0 && !this.asked.ignoreEnds) return this.end('stalled');
      const half = Math.max(0, start + 0.5 * dt * best);
      const reached = Math.max(0, start + dt * fullThrottleMps2(plant, half, cornering(half), behindN));
      full = reached < to;
      after = full ? reached : to;
    }
    this.v = after;
    const v = 0.5 * (start + after);
    const accel = (after - start) / dt;
    const q = v * v;
    const passive = dragAndRoll(plant.road, q);
    const corneringN = cornering(v);
    const roadN = passive + plant.road.slopeN + corneringN;
    const tyreN = plant.massKg * accel + roadN;
    const wheelN = plant.effectiveMassKg * accel + roadN + behindN;
    const idleN = plant.dragNPerA * plant.idleA;
    const moving = v > 0;
    const amps = !moving ? 0 : Math.min(plant.limitA, Math.max(0, currentOf(plant, wheelN)));
    const brakeN = moving ? Math.max(0, -wheelN - idleN) : 0;
    const held = traction(plant.road, q, passive);
    const slip = held > 0 ? (losses.slipAtLimitPct / 100) * Math.min(1, Math.max(0, tyreN / held)) : 0;
    this.advance(dt, {
      v,
      amps,
      slip,
      brakeW: brakeN * v,
      full,
      rollingJ: (passive - plant.road.dragPerQ * q) * v * dt,
      dragJ: plant.road.dragPerQ * q * v * dt,
      slopeJ: plant.road.slopeN * v * dt,
      corneringJ: corneringN * v * dt,
    });
    found.distanceM += v * dt;
  }

  private advance(
    dt: number,
    at: {
      v: number;
      amps: number;
      slip: number;
      brakeW: number;
      full: boolean;
      rollingJ: number;
      dragJ: number;
      slopeJ: number;
      corneringJ: number;
    },
  ): void {
    const { plant, losses, found, asked } = this;
    const { thermal, input } = asked;
    const { amps, v, slip, brakeW } = at;
    const n = plant.motors;
    const openV = plant.openV;
    const emf = v * plant.emfPerMps;
    const winding = plant.windingOhm - this.escOhm;
    const duty = amps === 0 ? 0 : Math.min(plant.throttle, dutyFor(plant, amps, v * (1 + slip)));
    const rippleA = (openV * duty * (1 - duty)) / (losses.inductanceMicroH * 1e-6 * losses.pwmKHz * 1e3);
    const squared = amps === 0 ? 0 : amps ** 2 + rippleA ** 2 / 12;
    const freewheelW = n * (1 - duty) * amps * losses.freewheelV;
    const extraW = amps === 0 ? 0 : freewheelW + n * (squared - amps ** 2) * winding;
    const packA = n * duty * amps + extraW / openV + losses.auxiliaryA;
    const windingShare = plant.windingOhm > 0 ? winding / plant.windingOhm : 0;
    const brakeHeatW = (losses.brakingHeatShare * input.drive.efficiency * brakeW * windingShare) / n;
    const frictionW = v > 0 ? plant.idleA * emf : 0;
    const before = this.temperatures;
    const cold = windingAt(this.motorOhm, before[0]) / this.motorOhm;
    const copperW = squared * this.motorOhm + brakeHeatW / cold;
    this.temperatures = heatedFor(before, { copperW, frictionW, speedMps: v }, thermal, dt);
    const { lossesJ } = found;
    const copperJ = n * squared * winding * dt;
    const packJ = (n * duty * amps) ** 2 * plant.packOhm * dt;
    lossesJ.rolling += at.rollingJ;
    lossesJ.drag += at.dragJ;
    lossesJ.slope += at.slopeJ;
    lossesJ.cornering += at.corneringJ;
    lossesJ.copper += copperJ;
    lossesJ.noLoad += n * frictionW * dt;
    lossesJ.controller += (n * amps ** 2 * this.escOhm + freewheelW) * dt;
    lossesJ.pack += packJ;
    lossesJ.auxiliary += losses.auxiliaryA * openV * dt;
    lossesJ.brakes += brakeW * dt;
    lossesJ.slip += n * duty * amps * openV * dt - packJ - n * amps * (emf + amps * plant.windingOhm) * dt;
    this.record.readCase(this.found.durationS, dt, before[1], this.temperatures[1]);
    found.durationS += dt;
    found.motorAs += amps * dt;
    found.squaresAs += amps ** 2 * dt;
    found.packAs += packA * dt;
    const charge = this.charge - (packA * dt) / this.capacityAs;
    found.energyJ += packA * dt * 0.5 * (openV + this.openV(Math.max(0, charge)));
    this.charge = Math.max(0, charge);
    const loadedV = openV - packA * plant.packOhm;
    this.smoothedV += (loadedV - this.smoothedV) * (1 - Math.exp(-dt / SMOOTHED_S));
    found.peakWindingC = Math.max(found.peakWindingC, this.temperatures[0]);
    found.peakCaseC = Math.max(found.peakCaseC, this.temperatures[1]);
    this.sample();
    const { windingLimitC = USUAL_WINDING_LIMIT_C, caseLimitC = Infinity } = thermal;
    if (!asked.ignoreEnds) {
      if (this.temperatures[0] >= windingLimitC) return this.end('winding');
      if (this.temperatures[1] >= caseLimitC) return this.end('case');
      if (charge <= 0 || this.smoothedV / input.battery.cells < asked.cutoffVPerCell)
        return this.end('battery');
    }
    if (this.leftS() <= 1e-9 * asked.untilS) this.end('time');
  }

  /** Brakes in no time to a lower speed, the heat of it in the windings. */
  private brakeTo(speed: number): void {
    if (this.v <= speed) return;
    const { plant, losses, found, asked } = this;
    const work = 0.5 * plant.effectiveMassKg * (this.v ** 2 - speed ** 2);
    const winding = windingAt(this.motorOhm, this.temperatures[0]);
    const share = winding / (winding + this.escOhm);
    const heatJ = (losses.brakingHeatShare * asked.input.drive.efficiency * work * share) / plant.motors;
    found.lossesJ.brakes += work;
    this.temperatures = [
      this.temperatures[0] + heatJ / asked.thermal.windingHeatCapacityJPerK,
      this.temperatures[1],
    ];
    this.v = speed;
  }

  private end(by: End): void {
    this.ended = true;
    this.found.endedBy = by;
    if (by === 'stalled') this.found.notes.push(stalledNote(this.found.durationS));
  }

  private openV = (charge = this.charge) => this.asked.input.battery.cells * cellVolts(charge);
  private leftS = () => this.asked.untilS - this.found.durationS;

  private sample(end = false): void {
    const { temperatures, charge, v, found } = this;
    this.record.sample({ durationS: found.durationS, temperatures, charge, speedMps: v }, end);
  }
}
