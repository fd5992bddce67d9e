import type { ChosenSurface } from '../build/brief';
import type { BuildDocument } from '../build/document';
import type { Check, Thresholds } from './check';
import { statesOn } from './evaluate';
import { keepLast } from './kept';

const keep = keepLast<readonly Check[]>(60);

/** The states of a build's quick checks on one surface; of one that was looked at lately they are known. */
export const keptStates = (
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  thresholds: Thresholds,
): readonly Check[] =>
  keep(JSON.stringify([document, surface, thresholds]), () => statesOn(document, surface, thresholds));
