import type { ChosenSurface } from '../../car/document/brief';
import type { BuildDocument } from '../../car/document/document';
import type { Part } from '../../car/parts/parts';
import type { PrintHow } from '../../car/records/prints';
import { partStrength } from '../parts/partStrength';
import { printedAs } from './printed';

/** The weakest margin of a part as it would be printed; none where its strength is not known. */
export function marginAs(
  document: BuildDocument,
  surface: ChosenSurface | undefined,
  part: Part,
  how: PrintHow,
): number | undefined {
  const found = partStrength(document, surface, printedAs(document, part, how));
  return found.ok ? found.value.worst.margin : undefined;
}
