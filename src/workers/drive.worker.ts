import { expose } from 'comlink';
import type { ChosenSurface } from '@/core/build/brief';
import type { BuildDocument } from '@/core/build/document';
import { jointsOn, teethOn } from '@/core/checks/gearLife';
import { CalcError } from '@/core/errors';
import { calibrateBuild, heatOf, tryWhatIfs } from '@/core/drive/heatOf';
import { ratioBand } from '@/core/drive/ratioBand';

/** What a page shows of a refusal; an error's fields do not survive the way out of a worker. */
export interface Refusal {
  readonly refused: { readonly path: string; readonly message: string; readonly remedy?: string };
}

function told<T>(work: () => T): T | Refusal {
  try {
    return work();
  } catch (error) {
    if (!(error instanceof CalcError)) throw error;
    return { refused: { path: error.path, message: error.message, ...(error.remedy ? { remedy: error.remedy } : {}) } };
  }
}

const api = {
  heat: (document: BuildDocument, surface: ChosenSurface) => told(() => heatOf(document, surface)),
  whatIfs: (document: BuildDocument, surface: ChosenSurface) => told(() => tryWhatIfs(document, surface)),
  band: (document: BuildDocument, surfaces: readonly ChosenSurface[]) => told(() => surfaces.map((surface) => ratioBand(document, surface))),
  teeth: (document: BuildDocument, surface: ChosenSurface) => told(() => teethOn(document, surface)),
  joints: (document: BuildDocument, surface: ChosenSurface) => told(() => jointsOn(document, surface)),
  calibrate: (document: BuildDocument, surface: ChosenSurface) => told(() => calibrateBuild(document, surface)),
};

export type DriveWorker = typeof api;

expose(api);
