import { assumedPaths } from '@/core/car/assumed/assumed';
import type { BuildDocument } from '@/core/car/document/document';
import { listed } from '../lists';
import { labelOf } from './labels';

/** Which figures of a build are guesses still, or nothing where there is none. */
export function guessesText(document: Pick<BuildDocument, 'assumed'>): string | undefined {
  const names = assumedPaths(document).map((path) => labelOf(path).label.toLowerCase());
  return names.length === 0 ? undefined : `Guessed still: ${listed(names)}.`;
}
