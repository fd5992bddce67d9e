import { defineLibraryKind } from './define';
import { type ChosenController } from '../../document/power';
import { CONTROLLER_FIGURES } from '../../document/power.figures';

export type ControllerFigures = Omit<ChosenController, 'libraryId'>;

export const controller = defineLibraryKind<ControllerFigures>({
  figures: CONTROLLER_FIGURES,
  blank: {
    kind: 'sensored',
    currentLimitA: 180,
    continuousA: 60,
    resistanceMilliOhm: 2,
    maxV: 12.6,
    massG: 55,
    cooling: 'sink',
    limitC: 100,
  },
  tells: ['kind', 'continuousA', 'maxV'],
});
