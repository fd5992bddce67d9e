import type { Standing } from '../physics/motion/standstill';
import { standstillOf } from './motion/standstillOfBuild';
import { briefDemand, type BriefDemandResult } from '../physics/motion/demand';
import { demandInputOf } from './motion/demandOfBuild';
import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import type { DriveRunInput } from '../physics/motion/definition';
import { driveRun, type DriveRunResult } from '../physics/motion/run';
import { runInputOf } from './motion/runOfBuild';
import type { Assembled } from '../base/assembled';
import { LOW_CHARGE, type Supply, supplyOf } from './power/supplyOfBuild';

/** One build on one surface with what was already worked out about it. */
export interface Worked {
  readonly document: BuildDocument;
  readonly surface: ChosenSurface | undefined;
  runInput(): Assembled<DriveRunInput>;
  /** At a state of charge (share), full where none is given. */
  run(stateOfCharge?: number): DriveRunResult | undefined;
  demand(): Assembled<BriefDemandResult>;
  /** Full throttle from standing, on the steepest slope that is wished. */
  standstill(): Standing | undefined;
  /** Everything that hangs on the pack, charged and at the lowest volts of a run. */
  supply(): Supply;
}

const known = new WeakMap<BuildDocument, Map<ChosenSurface | undefined, Worked>>();

/** A build on one surface: the one memo that pages, checks, search and report read. */
export function worked(document: BuildDocument, surface: ChosenSurface | undefined): Worked {
  const own = known.get(document) ?? new Map<ChosenSurface | undefined, Worked>();
  known.set(document, own);
  const found = own.get(surface) ?? workedAnew(document, surface);
  own.set(surface, found);
  return found;
}

/** Each thing is worked out when it is first asked for. */
function workedAnew(document: BuildDocument, surface: ChosenSurface | undefined): Worked {
  let input: Assembled<DriveRunInput> | undefined;
  let demand: Assembled<BriefDemandResult> | undefined;
  let supply: Supply | undefined;
  const runs = new Map<number, DriveRunResult>();

  const runInput = () =>
    (input ??= surface ? runInputOf(document, surface) : { ok: false, missing: ['brief.surfaces'] });
  const run = (stateOfCharge = 1) => {
    const assembled = runInput();
    if (!assembled.ok) return undefined;
    const known = runs.get(stateOfCharge);
    if (known) return known;
    const result = driveRun({ ...assembled.value, battery: { ...assembled.value.battery, stateOfCharge } });
    runs.set(stateOfCharge, result);
    return result;
  };
  return {
    document,
    surface,
    runInput,
    run,
    supply: () =>
      (supply ??= supplyOf(document, run()?.peakBatteryCurrentA ?? 0, run(LOW_CHARGE)?.minBatteryVoltageV)),
    standstill: () => {
      const assembled = runInput();
      return assembled.ok ? standstillOf(document, assembled.value) : undefined;
    },
    demand: () => {
      if (demand) return demand;
      const assembled = demandInputOf(document, surface ? [surface] : []);
      demand = assembled.ok ? { ok: true, value: briefDemand(assembled.value) } : assembled;
      return demand;
    },
  };
}
