import { briefDemand, type BriefDemandResult } from '../brief/demand';
import { demandInputOf } from '../brief/demandOfBuild';
import type { ChosenSurface } from '../build/brief';
import type { BuildDocument } from '../build/document';
import type { DriveRunInput } from '../drive/definition';
import { driveRun, type DriveRunResult } from '../drive/run';
import { type Assembled, runInputOf } from '../drive/runOfBuild';
import type { Subject } from './check';

/** A build on one surface that works each thing out once, when it is first asked for. */
export function subjectOf(document: BuildDocument, surface: ChosenSurface | undefined): Subject {
  let input: Assembled<DriveRunInput> | undefined;
  let demand: Assembled<BriefDemandResult> | undefined;
  const runs = new Map<number, DriveRunResult>();

  const runInput = () => (input ??= surface ? runInputOf(document, surface) : { ok: false, missing: ['surface'] });
  return {
    document,
    surface,
    runInput,
    run: (stateOfCharge = 1) => {
      const assembled = runInput();
      if (!assembled.ok) return undefined;
      const known = runs.get(stateOfCharge);
      if (known) return known;
      const result = driveRun({ ...assembled.value, battery: { ...assembled.value.battery, stateOfCharge } });
      runs.set(stateOfCharge, result);
      return result;
    },
    demand: () => {
      if (demand) return demand;
      const assembled = demandInputOf(document, surface ? [surface] : []);
      demand = assembled.ok ? { ok: true, value: briefDemand(assembled.value) } : assembled;
      return demand;
    },
  };
}
