import type { ChosenSurface } from '../car/document/brief';
import type { BuildDocument } from '../car/document/document';
import type { Check, Thresholds } from './engine/check';
import { statesOn } from './states';
import { keepLast } from '../base/kept';

const keep = keepLast<readonly Check[]>(60);

/** The states of a build's quick checks on one surface; of one that was looked at lately they are known. */
export const keptStates = (
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  thresholds: Thresholds,
): readonly Check[] =>
  keep(JSON.stringify([document, surface, thresholds]), () => statesOn(document, surface, thresholds));
