import { expose } from 'comlink';
import { type BetterResult, type BetterTask, searchBetter } from '@/core/worked/suspension/better';
import { CalcError } from '@/core/base/errors';
import { pieces } from './pieces';
import { type Refusal, refusalOf, told } from './refusal';
import type { ChosenSurface } from '@/core/car/document/brief';
import { linksOn } from '@/core/worked/parts/heldLinks';
import { clearanceOf } from '@/core/worked/space/clearanceOfBuild';
import type { BuildDocument } from '@/core/car/document/document';
import type { End } from '@/core/car/document/suspension';
import { springChoices } from '@/core/worked/suspension/springChoices';

const { run, cancel } = pieces();

const api = {
  /** `report` gets the number of corners tried so far. */
  async search(
    task: BetterTask,
    report: (done: number) => Promise<void>,
  ): Promise<BetterResult | Refusal | undefined> {
    try {
      return await run(searchBetter(task), report);
    } catch (error) {
      if (!(error instanceof CalcError)) throw error;
      return refusalOf(error);
    }
  },
  links: (document: BuildDocument, end: End, surface: ChosenSurface | undefined) =>
    told(() => linksOn(document, end, surface)),
  clearance: (document: BuildDocument) => told(() => clearanceOf(document)),
  springs: (document: BuildDocument, end: End) => told(() => springChoices(document, end)),
  cancel,
};

export type SuspensionWorker = typeof api;

expose(api);
