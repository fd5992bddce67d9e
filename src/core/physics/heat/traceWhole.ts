import { refusal } from '../../base/errors';
import { ControllerNode } from '../cooling/controllerNode';
import { cellVolts } from '../motion/cell';
import { createPlant, emfAt, retune, roadOf, type TunablePlant } from '../motion/plant';
import type { End } from './enduranceDefinition';
import { LOSS_NAMES } from './lossNames';
import { type Losses, lossesOf } from './losses';
import { heatedFor, type Temperatures, USUAL_WINDING_LIMIT_C, windingAt } from './thermal';
import { PackRecord, stalledNote } from './packRecord';
import { startOf, type TraceDrive, type TraceWhole } from './traceDefinition';
import { addSums, type PassMark, passesAhead, sumsOf } from './passJump';
import { fullThrottleMps2 } from './topWithDrag';
import {
  addLosses,
  corneringN,
  drivelineN,
  stretchElectrics,
  type StretchForces,
  stretchForces,
} from './traceStep';

/** Longest steps while the speed changes and while it is held, s. */
const [STEP_S, HELD_S] = [0.04, 0.25];
/** Volts under load are smoothed over this time before they are held against the cut-off, s. */
const SMOOTHED_S = 2;
const MOST_STEPS = 4_000_000;

/** The trace again and again until winding, case or pack has had enough. */
export function driveTrace(asked: TraceDrive): TraceWhole {
  return new Drive(asked).drive();
}

class Drive {
  private readonly plant: TunablePlant;
  private readonly losses: Losses;
  private readonly motorOhm: number;
  private readonly escOhm: number;
  private readonly capacityAs: number;
  private readonly found: TraceWhole;
  private temperatures: Temperatures;
  private charge: number;
  private v: number;
  private smoothedV: number;
  private readonly cutoffV: number;
  /** Heat into one motor's winding, with the resistance of 20 °C, and into its case, J. */
  private copperJ = 0;
  private frictionJ = 0;
  /** Of the pass. */
  private lowestV = Infinity;
  private hottest: Temperatures;
  private ended = false;
  private steps = 0;
  private readonly record: PackRecord;
  private readonly controller: ControllerNode | undefined;

  constructor(private readonly asked: TraceDrive) {
    const { input, thermal, trace, losses } = asked;
    this.record = new PackRecord(asked.readAtS);
    this.controller =
      asked.controller && new ControllerNode(asked.controller, thermal.ambientC, 1 / asked.controller.count);
    this.plant = createPlant(input) as TunablePlant;
    this.losses = lossesOf(losses);
    this.motorOhm = input.motor.resistanceMilliOhm / 1000;
    this.escOhm = (input.esc.resistanceMilliOhm ?? 0) / 1000;
    this.capacityAs = input.battery.capacityMah * 3.6;
    this.charge = input.battery.stateOfCharge ?? 1;
    this.temperatures = [thermal.ambientC, thermal.ambientC];
    this.hottest = this.temperatures;
    this.cutoffV = input.battery.cells * asked.cutoffVPerCell;
    this.v = trace.speedMps[0]!;
    this.smoothedV = this.openV();
    this.found = startOf(thermal.ambientC, this.record);
  }

  drive(): TraceWhole {
    const { trace } = this.asked;
    const startJ = 0.5 * this.plant.effectiveMassKg * this.v ** 2;
    this.sample(true);
    while (!this.ended) {
      const before = this.asked.jumps ? this.mark() : undefined;
      for (let k = 1; k < trace.tS.length && !this.ended; k++) this.follow(k);
      if (!this.ended) this.brakeTo(trace.speedMps[0]!);
      if (!this.ended && before) this.jump(before);
    }
    this.sample(true);
    const { found } = this;
    const { lossesJ } = found;
    const kinetic = 0.5 * this.plant.effectiveMassKg * this.v ** 2 - startJ;
    lossesJ.driveline = 0;
    lossesJ.driveline = found.energyJ - kinetic - LOSS_NAMES.reduce((sum, name) => sum + lossesJ[name], 0);
    found.windingJ = this.copperJ;
    if (this.controller) found.peakControllerC = this.controller.peakC;
    return found;
  }

  /** Where a pass begins. */
  private mark(): PassMark {
    this.lowestV = Infinity;
    this.hottest = this.temperatures;
    this.controller?.mark();
    const { temperatures, charge, v, copperJ, frictionJ, found } = this;
    return { temperatures, charge, v, copperJ, frictionJ, sums: sumsOf(found) };
  }

  /** Counts passes that would go as the last one went. */
  private jump(before: PassMark): void {
    const { asked, found, charge, temperatures, v } = this;
    const { windingLimitC = USUAL_WINDING_LIMIT_C, caseLimitC = Infinity } = asked.thermal;
    const sums = sumsOf(found);
    const seconds = sums.durationS - before.sums.durationS;
    const pass = {
      seconds,
      chargeShare: before.charge - charge,
      copperJ: this.copperJ - before.copperJ,
      frictionJ: this.frictionJ - before.frictionJ,
      distanceM: sums.distanceM - before.sums.distanceM,
      from: before.temperatures,
      to: temperatures,
    };
    if (Math.abs(v - before.v) > 1e-9) return;
    const { passes, after } = passesAhead(pass, asked.thermal, {
      mostPasses: Math.floor(Math.min(this.leftS(), this.record.untilRead(found.durationS)) / seconds) - 1,
      isWithin: (n, reached) => {
        const left = charge - n * pass.chargeShare;
        const lowestV = this.lowestV + this.openV(left) - this.openV(before.charge);
        return (
          asked.ignoreEnds === true ||
          (left > (asked.leastCharge ?? 0) &&
            lowestV > this.cutoffV &&
            !((this.controller?.peakAfter(n) ?? 0) >= (asked.controller?.limitC ?? Infinity)) &&
            reached[0] + this.hottest[0] - temperatures[0] < windingLimitC &&
            reached[1] + this.hottest[1] - temperatures[1] < caseLimitC)
        );
      },
    });
    if (passes === 0) return;
    // the same work takes more charge as the volts fall
    const during = (left: number) => this.openV(Math.max(0, charge - left));
    const more = during(-0.5 * pass.chargeShare) / during(0.5 * passes * pass.chargeShare);
    addSums(found, before.sums, sums, passes, more);
    this.smoothedV += this.openV(Math.max(0, charge - passes * more * pass.chargeShare)) - this.openV();
    this.charge = Math.max(0, charge - passes * more * pass.chargeShare);
    this.temperatures = after;
    this.controller?.repeat(passes);
    this.copperJ += passes * pass.copperJ;
    this.frictionJ += passes * pass.frictionJ;
    this.sample();
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
    if (gradePct && level) this.plant.road = roadOf(this.asked.input, gradePct[k]!);
    for (let t = t0; t < t1 - 1e-12 && !this.ended;) {
      const steady = slope === 0 && this.v === w0 && level;
      const dt = Math.min(t1 - t, stepScale * (steady ? HELD_S : STEP_S), this.leftS());
      const middle = (t + dt / 2 - t0) / (t1 - t0);
      if (gradePct && !level) this.plant.road = roadOf(this.asked.input, at(gradePct, middle));
      this.step(dt, w0 + slope * (t - t0), w0 + slope * (t + dt - t0), slope, at(lateralMps2, middle));
      t += dt;
    }
  }

  /** A step from the wish at its start to that at its end. */
  private step(dt: number, from: number, to: number, slope: number, lateralMps2: number): void {
    const { plant, losses, found } = this;
    if (++this.steps > MOST_STEPS) throw refusal('cycle', 'endurance.traceSteps', { mostSteps: MOST_STEPS });
    retune(plant, this.openV(), windingAt(this.motorOhm, this.temperatures[0]) + this.escOhm);
    // over the wish, as at a repeat, it is braked down at once
    if (this.v > from) this.brakeTo(from);
    const start = this.v;
    const after = this.speedAfter(dt, from, to, slope, lateralMps2);
    if (after === undefined) return this.end('stalled');
    this.v = after;
    const forces = stretchForces(plant, losses, [start, after], dt, lateralMps2);
    this.advance(dt, forces);
    found.distanceM += forces.v * dt;
  }

  /** The wish where the car can follow it, else what full throttle reaches; undefined where it gets under way no more. */
  private speedAfter(
    dt: number,
    from: number,
    to: number,
    slope: number,
    lateralMps2: number,
  ): number | undefined {
    const { plant, losses } = this;
    const start = this.v;
    const behindN = drivelineN(plant, losses);
    const fullAt = (v: number) =>
      fullThrottleMps2(plant, v, corneringN(plant, losses, lateralMps2, v), behindN);
    if (start === 0 && from === 0 && to === 0) return 0;
    const best = fullAt(start);
    if (start === from && slope <= best) return to;
    if (start === 0 && best <= 0 && !this.asked.ignoreEnds) return undefined;
    const half = Math.max(0, start + 0.5 * dt * best);
    return Math.min(to, Math.max(0, start + dt * fullAt(half)));
  }

  private advance(dt: number, at: StretchForces): void {
    const { plant, losses, found, asked } = this;
    const { thermal, input } = asked;
    const { amps, v, brakeW } = at;
    const n = plant.motors;
    const { openV } = plant;
    const emf = emfAt(plant, v);
    const winding = plant.windingOhm - this.escOhm;
    const electrics = stretchElectrics(plant, losses, at, winding);
    const { packA, driveA, squared } = electrics;
    const windingShare = plant.windingOhm > 0 ? winding / plant.windingOhm : 0;
    const brakeHeatW = (losses.brakingHeatShare * input.drive.efficiency * brakeW * windingShare) / n;
    const frictionW = v > 0 ? plant.idleA * emf : 0;
    const before = this.temperatures;
    const cold = windingAt(this.motorOhm, before[0]) / this.motorOhm;
    const copperW = squared * this.motorOhm + brakeHeatW / cold;
    this.temperatures = heatedFor(before, { copperW, frictionW, speedMps: v }, thermal, dt);
    this.copperJ += copperW * dt;
    this.frictionJ += frictionW * dt;
    const controllerW = n * amps ** 2 * this.escOhm + electrics.freewheelW;
    this.controller?.warm(controllerW, v, dt);
    addLosses(found.lossesJ, at, {
      dt,
      copperW: n * squared * winding,
      noLoadW: n * frictionW,
      controllerW,
      packW: driveA ** 2 * plant.packOhm,
      auxiliaryW: losses.auxiliaryA * openV,
      throughW: driveA * openV,
      motorW: n * amps * (emf + amps * plant.windingOhm),
    });
    this.record.readCase(found.durationS, dt, before[1], this.temperatures[1]);
    found.durationS += dt;
    found.motorAs += amps * dt;
    found.squaresAs += amps ** 2 * dt;
    found.packAs += packA * dt;
    const charge = this.charge - (packA * dt) / this.capacityAs;
    found.energyJ += packA * dt * 0.5 * (openV + this.openV(Math.max(0, charge)));
    this.charge = Math.max(0, charge);
    const loadedV = openV - packA * plant.packOhm;
    this.smoothedV += (loadedV - this.smoothedV) * (1 - Math.exp(-dt / SMOOTHED_S));
    this.lowestV = Math.min(this.lowestV, this.smoothedV);
    this.hottest = [
      Math.max(this.hottest[0], this.temperatures[0]),
      Math.max(this.hottest[1], this.temperatures[1]),
    ];
    found.peakWindingC = Math.max(found.peakWindingC, this.temperatures[0]);
    found.peakCaseC = Math.max(found.peakCaseC, this.temperatures[1]);
    this.sample();
    const { windingLimitC = USUAL_WINDING_LIMIT_C, caseLimitC = Infinity } = thermal;
    if (!asked.ignoreEnds) {
      if (this.temperatures[0] >= windingLimitC) return this.end('winding');
      if (this.temperatures[1] >= caseLimitC) return this.end('case');
      if (this.controller && this.controller.temperatureC >= asked.controller!.limitC)
        return this.end('controller');
      if (charge <= (asked.leastCharge ?? 0) || this.smoothedV < this.cutoffV) return this.end('battery');
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
    this.copperJ += (heatJ * this.motorOhm) / winding;
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
    const controllerC = this.controller?.temperatureC;
    this.record.sample({ durationS: found.durationS, temperatures, controllerC, charge, speedMps: v }, end);
  }
}
