import { expose } from 'comlink';
import type { ChosenSurface } from '@/core/car/document/brief';
import type { BuildDocument } from '@/core/car/document/document';
import { beltsOn, jointsOn, stagePeakNm, teethOn, waysOn } from '@/core/verdict/drive/gearLife';
import { calibrateBuild, heatOf, tryWhatIfs } from '@/core/worked/heat/heatOf';
import { packErrors } from '@/core/worked/field/predictPack';
import { ratioBand } from '@/core/worked/drive/ratioBand';
import { wishPinion } from '@/core/worked/drive/wishPinion';
import { lapGears } from '@/core/worked/place/lapGears';
import { standstillOfBuild } from '@/core/worked/heat/heldOfBuild';
import { planetarySearch, type PlanetarySearchInput } from '@/core/physics/planetary/planetarySearch';
import { gearSearch, type GearSearchInput } from '@/core/physics/transmissions/gearSearch';
import { toneOf } from '@/core/physics/transmissions/tone';
import { told } from './refusal';

const api = {
  heat: (document: BuildDocument, surface: ChosenSurface) => told(() => heatOf(document, surface)),
  whatIfs: (document: BuildDocument, surface: ChosenSurface) => told(() => tryWhatIfs(document, surface)),
  packErrors: (document: BuildDocument, surface: ChosenSurface) =>
    told(() => packErrors(document, surface.id)),
  band: (document: BuildDocument, surfaces: readonly ChosenSurface[]) =>
    told(() => surfaces.map((surface) => ratioBand(document, surface))),
  wishPinion: (document: BuildDocument, surfaces: readonly ChosenSurface[]) =>
    told(() => wishPinion(document, surfaces)),
  standstill: (document: BuildDocument, surface: ChosenSurface) =>
    told(() => standstillOfBuild(document, surface)),
  lapGears: (document: BuildDocument, surface: ChosenSurface) => told(() => lapGears(document, surface)),
  teeth: (document: BuildDocument, surface: ChosenSurface) => told(() => teethOn(document, surface)),
  sideBySide: (document: BuildDocument, surface: ChosenSurface, stageId: string) =>
    told(() => waysOn(document, surface, stageId)),
  stagePeakNm: (document: BuildDocument, surface: ChosenSurface, stageId: string) =>
    told(() => stagePeakNm(document, surface, stageId)),
  belts: (document: BuildDocument, surface: ChosenSurface) => told(() => beltsOn(document, surface)),
  tone: (samples: Float32Array, rate: number) => {
    const hz = toneOf(samples, rate);
    return hz === undefined ? {} : { hz };
  },
  joints: (document: BuildDocument, surface: ChosenSurface) => told(() => jointsOn(document, surface)),
  gearSearch: (input: GearSearchInput, report: (share: number) => void) =>
    told(() => gearSearch(input, report)),
  planetarySearch: (input: PlanetarySearchInput) => told(() => planetarySearch(input)),
  calibrate: (document: BuildDocument, surface: ChosenSurface) =>
    told(() => calibrateBuild(document, surface)),
};

export type DriveWorker = typeof api;

expose(api);
