import { refusal } from '../../base/errors';
import { printedBar } from './printedBar';
import { searchPrinted } from './printedSearch';
import type { PrintedSectionInput, PrintedSectionResult } from './printedSectionDefinition';

declare module '../../base/errors' {
  interface RefusalFacts {
    'printedSection.buildAxis': Record<never, never>;
  }
}

/**
 * A printed bar as shell and core: walls of full plastic round a core whose stiffness and strength go with a power of its
 * fill, bent, sheared, twisted and pulled.
 *
 * @returns stresses in MPa, stiffnesses in N mm², masses in g
 * @throws CalcError at `buildAxis` for layers across, at `settings.infillPct` where nothing joins the faces, at `search`
 * @see Gere, Mechanics of Materials, ch. 3 (Bredt) and 6 (transformed section); Gibson and Ashby, Cellular Solids, ch. 5;
 *   Shigley, Mechanical Engineering Design, ch. 3-12
 */
export function sectionPrinted(input: PrintedSectionInput): PrintedSectionResult {
  if (input.layers === 'across' && input.buildAxis !== undefined)
    throw refusal('buildAxis', 'printedSection.buildAxis');
  const found = printedBar(input);
  if (!input.search) return found;
  const { lightest, tried, enough, note } = searchPrinted(input);
  return {
    ...found,
    tried,
    enough,
    ...(lightest ? { lightest } : {}),
    notes: note ? [...found.notes, note] : found.notes,
  };
}
