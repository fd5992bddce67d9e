import { refusal } from '../../base/errors';
import { cellVolts } from '../motion/cell';
import {
  arrivalIn,
  canHold,
  holdableMps,
  holdingA,
  launchStep,
  launchStepS,
  MEAN_A,
  MEAN_A2,
  MEAN_PACK_A,
  MEAN_V,
  newStretch,
  NEXT_V,
  packFor,
} from '../motion/cruise';
import type { CruiseInput, End, EnduranceSeries } from './enduranceDefinition';
import { PackRecord, stalledNote, USUAL_CUTOFF_V } from './packRecord';
import { accelMps2, createPlant, emfAt, retune, type TunablePlant } from '../motion/plant';
import {
  heatedFor,
  type Losses,
  type Temperatures,
  type ThermalDefinition,
  USUAL_WINDING_LIMIT_C,
  windingAt,
} from './thermal';
import { type Options, type Stretch, WHOLE_STRETCH } from './stretch';
import { type Finding, finding } from '../../base/finding';
import { measure } from '../../base/measure';

declare module '../../base/errors' {
  interface RefusalFacts {
    'endurance.cycleSteps': { mostSteps: number };
  }
}

/** A held speed has constant losses, for which the heat is solved exactly: early steps are short for the picture alone. */
const EARLY_HOLD_S = 2;
const HOLD_OF_ELAPSED = 0.01;
/** Share of the time in which the present current would empty the pack. */
const HOLD_OF_PACK = 0.004;
/** More than any cycle of a car takes. */
const MOST_STEPS = 1_000_000;

/** Cycle after cycle until something has had enough; the integrals that `drive.endurance` reports. */
class Whole {
  durationS = 0;
  endedBy: End = 'time';
  distanceM = 0;
  energyJ = 0;
  motorAs = 0;
  /** Heat in the winding as it would be at 20 °C, J. */
  copperJ = 0;
  packAs = 0;
  peakWindingC: number;
  peakCaseC: number;
  readonly notes: Finding[] = [];
  private ended = false;
  private steps = 0;
  private launches = 0;
  temperatures: Temperatures;
  charge: number;
  speedMps = 0;
  private readonly record: PackRecord;
  private readonly plant: TunablePlant;
  private readonly stretch = newStretch();
  private readonly thermal: ThermalDefinition;
  private readonly motorOhm: number;
  private readonly escOhm: number;
  private readonly capacityAs: number;

  constructor(
    private readonly input: CruiseInput,
    private readonly options: Options,
  ) {
    this.record = new PackRecord(options.readAtS);
    this.plant = createPlant(input);
    this.thermal = input.thermal;
    this.motorOhm = input.motor.resistanceMilliOhm / 1000;
    this.escOhm = (input.esc.resistanceMilliOhm ?? 0) / 1000;
    this.capacityAs = input.battery.capacityMah * 3.6;
    this.charge = input.battery.stateOfCharge ?? 1;
    this.temperatures = [this.thermal.ambientC, this.thermal.ambientC];
    this.peakWindingC = this.peakCaseC = this.thermal.ambientC;
  }

  drive(): this {
    const { cruiseS, restS = 0 } = this.input.cycle;
    this.sample();
    while (!this.ended) {
      this.launch();
      this.hold(restS > 0 ? cruiseS : Infinity);
      this.speedMps = 0;
      this.rest(restS);
    }
    this.sample(true);
    return this;
  }

  private launch(): void {
    const { plant, stretch, options } = this;
    this.follow();
    if (accelMps2(plant, 0) <= 0)
      return options.ignoreEnds ? this.rest(options.untilS - this.durationS) : this.end('stalled');
    while (!this.ended) {
      this.follow();
      const v = this.speedMps;
      const dt = options.stepScale * launchStepS(plant, v);
      launchStep(plant, v, dt, plant.openV, stretch);
      const arrival = arrivalIn(plant, v, stretch[NEXT_V]!, this.input.cycle.cruiseMps);
      const step = Math.min(arrival <= 1 ? arrival * dt : dt, this.leftS());
      if (step < dt) launchStep(plant, v, step, plant.openV, stretch);
      this.speedMps = stretch[NEXT_V]!;
      this.advance(
        step,
        {
          copperW: stretch[MEAN_A2]! * this.motorOhm,
          frictionW: plant.idleA * emfAt(plant, stretch[MEAN_V]!),
          speedMps: stretch[MEAN_V]!,
        },
        stretch[MEAN_A]!,
        stretch[MEAN_PACK_A]!,
      );
      if (arrival <= 1) return this.sayIfShort();
    }
  }

  /** Once: that the cruise is out of reach from the start, or from when on. */
  private sayIfShort(): void {
    const { cruiseMps } = this.input.cycle;
    const first = this.launches++ === 0;
    if (this.notes.length > 0 || this.speedMps > 0.999 * cruiseMps) return;
    this.notes.push(
      first
        ? finding('note.endurance.outOfReach', {
            cruise: measure(cruiseMps, 'speedMps'),
            holds: measure(this.speedMps, 'speedMps'),
          })
        : finding('note.endurance.slows', {
            from: measure(this.durationS / 60, 'minutes'),
            cruise: measure(cruiseMps, 'speedMps'),
          }),
    );
  }

  private hold(seconds: number): void {
    const { plant, options, input } = this;
    const { cruiseMps } = input.cycle;
    const cutoffV = input.cutoffVPerCell ?? USUAL_CUTOFF_V;
    for (let left = seconds; left > 0 && !this.ended;) {
      this.follow();
      const v = canHold(plant, cruiseMps)
        ? cruiseMps
        : Math.min(cruiseMps, holdableMps(plant, this.speedMps));
      this.speedMps = v;
      if (v === 0) return options.ignoreEnds ? this.rest(left) : this.end('stalled');
      const amps = holdingA(plant, v);
      const packA = packFor(plant, amps, v);
      if (!options.ignoreEnds && this.loadedV(this.charge, amps, v) < cutoffV) return this.end('battery');
      const full = Math.min(
        options.stepScale * Math.min(this.longestS(), (HOLD_OF_PACK * this.capacityAs) / packA),
        left,
        this.leftS(),
      );
      const share = options.ignoreEnds
        ? 1
        : this.shareToCutoff((full * packA) / this.capacityAs, amps, v, cutoffV);
      const step = share * full;
      const middleV = this.openV(Math.max(0, this.charge - (0.5 * step * packA) / this.capacityAs));
      this.advance(
        step,
        {
          copperW: amps * amps * this.motorOhm,
          frictionW: amps === 0 ? 0 : plant.idleA * emfAt(plant, v),
          speedMps: v,
        },
        amps,
        packFor(plant, amps, v, middleV),
      );
      if (share < 1) return this.ended ? undefined : this.end('battery');
      left -= step;
    }
  }

  /** Volts of a cell under the current that the motor takes at a speed. */
  private loadedV(charge: number, amps: number, v: number): number {
    const openV = this.openV(charge);
    return (openV - packFor(this.plant, amps, v, openV) * this.plant.packOhm) / this.input.battery.cells;
  }

  /** How much of a charge can be taken before the cell falls under its cut-off; 1 for all of it. */
  private shareToCutoff(used: number, amps: number, v: number, cutoffV: number): number {
    const after = (share: number) => this.loadedV(Math.max(0, this.charge - share * used), amps, v);
    if (after(1) >= cutoffV) return 1;
    let low = 0;
    let high = 1;
    for (let i = 0; i < 30; i++) {
      const middle = 0.5 * (low + high);
      if (after(middle) >= cutoffV) low = middle;
      else high = middle;
    }
    return low;
  }

  private rest(seconds: number): void {
    for (let left = seconds; left > 0 && !this.ended;) {
      const step = Math.min(this.options.stepScale * this.longestS(), left, this.leftS());
      this.advance(step, { copperW: 0, frictionW: 0, speedMps: 0 }, 0, 0);
      left -= step;
    }
  }

  /** Winding and pack as they are now. */
  private follow(): void {
    retune(this.plant, this.openV(this.charge), windingAt(this.motorOhm, this.temperatures[0]) + this.escOhm);
  }

  private openV = (charge: number) => this.input.battery.cells * cellVolts(charge);
  private longestS = () => Math.max(EARLY_HOLD_S, HOLD_OF_ELAPSED * this.durationS);
  private leftS = () => this.options.untilS - this.durationS;

  /** Heat, charge and way of a stretch; it is cut where something ends the drive. */
  private advance(seconds: number, losses: Losses, amps: number, packA: number): void {
    const { mostSteps = MOST_STEPS } = this.options;
    if (++this.steps > mostSteps) throw refusal('cycle', 'endurance.cycleSteps', { mostSteps });
    const before = this.temperatures;
    const after = heatedFor(before, losses, this.thermal, seconds);
    const { share, by } = this.options.ignoreEnds
      ? WHOLE_STRETCH
      : this.endWithin(seconds, losses, packA, after);
    const taken = share * seconds;
    this.temperatures = share === 1 ? after : heatedFor(before, losses, this.thermal, taken);
    this.record.readCase(this.durationS, taken, before[1], this.temperatures[1]);
    this.durationS += taken;
    this.distanceM += taken * losses.speedMps;
    this.motorAs += taken * amps;
    this.copperJ += taken * losses.copperW;
    this.packAs += taken * packA;
    const charge = Math.max(0, this.charge - (taken * packA) / this.capacityAs);
    this.energyJ += taken * packA * this.openV(0.5 * (this.charge + charge));
    this.charge = charge;
    this.peakWindingC = Math.max(this.peakWindingC, this.temperatures[0]);
    this.peakCaseC = Math.max(this.peakCaseC, this.temperatures[1]);
    this.sample();
    if (by) this.end(by);
    else if (this.leftS() <= 1e-9 * this.options.untilS) this.end('time');
  }

  private endWithin(seconds: number, losses: Losses, packA: number, after: Temperatures): Stretch {
    const { windingLimitC = USUAL_WINDING_LIMIT_C, caseLimitC = Infinity } = this.thermal;
    const used = (seconds * packA) / this.capacityAs;
    let share = 1;
    let by: End | undefined;
    if (used >= this.charge) [share, by] = [this.charge / used, 'battery'];
    if (after[0] >= windingLimitC) {
      const at = this.crossing(seconds, losses, 0, windingLimitC);
      if (at <= share) [share, by] = [at, 'winding'];
    }
    if (after[1] >= caseLimitC) {
      const at = this.crossing(seconds, losses, 1, caseLimitC);
      if (at < share || by === undefined) [share, by] = [at, 'case'];
    }
    return by ? { share, by } : WHOLE_STRETCH;
  }

  private crossing(seconds: number, losses: Losses, node: 0 | 1, limitC: number): number {
    let low = 0;
    let high = 1;
    for (let i = 0; i < 50; i++) {
      const middle = 0.5 * (low + high);
      if (heatedFor(this.temperatures, losses, this.thermal, middle * seconds)[node] < limitC) low = middle;
      else high = middle;
    }
    return high;
  }

  private end(by: End): void {
    this.ended = true;
    this.endedBy = by;
    if (by === 'stalled') this.notes.push(stalledNote(this.durationS));
  }

  private sample(end = false): void {
    this.record.sample(this, end);
  }

  get series(): EnduranceSeries {
    return this.record.series;
  }

  /** The case at the times asked for, °C. */
  get readC(): readonly number[] {
    return this.record.readC;
  }
}

export const driveWhole = (input: CruiseInput, options: Options): Whole => new Whole(input, options).drive();
