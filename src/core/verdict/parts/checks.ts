import type { BuildDocument } from '../../car/document/document';
import { CARRYING_KINDS, type Part } from '../../car/document/parts';
import type { CheckDefinition } from '../engine/check';
import { plain } from '../../base/units/plain';
import { partRemedies } from './partRemedies';
import { type LoadedPart, partStrength } from '../../worked/parts/partStrength';

/** A part against the worst of its loads: the margin is what it bears over what it must. */
function partCheck(of: Part): CheckDefinition {
  const nowIn = (document: BuildDocument) => document.parts.items.find(({ id }) => id === of.id) ?? of;
  return {
    id: `parts.${of.id}`,
    segment: 'parts',
    title: of.name,
    short: of.name.split(',')[0]!.toLowerCase(),
    quantity: 'forceN',
    kind: 'floor',
    tightUnder: 1.5,
    evaluate: ({ document, surface }) => {
      const found = partStrength(document, surface, nowIn(document));
      if (!found.ok) return { missing: found.missing };
      const { worst } = found.value;
      return {
        value: worst.breaksAtN,
        limit: worst.forceN,
        margin: worst.margin,
        why: whyOf(worst),
        working: worst.working,
      };
    },
    propose: ({ document, surface }) => {
      const part = nowIn(document);
      const found = partStrength(document, surface, part);
      return found.ok ? partRemedies(part, found.value.worst) : [];
    },
  };
}

/** Where it fails: in the layers or between them, by what, and what it stands against. */
export const whyOf = ({ called, forceN, breaksAtN, between, mode, how }: LoadedPart): string =>
  `${sentence(called)} asks ${plain(forceN)} N; ${mode}, it breaks at ${plain(breaksAtN)} N, ${between ? 'between the layers' : 'in the material'}. ${how}`;

const sentence = (words: string) => words[0]!.toUpperCase() + words.slice(1);

/** A mesh that was told where it is held or pulled; any other is there to be printed. */
const isHeld = ({ mesh }: Part) => (mesh?.held ?? []).length + (mesh?.pulls ?? []).length > 0;

/** A check for every part that carries something, or was told what acts on it. */
export const partChecksOf = ({ parts }: BuildDocument): CheckDefinition[] =>
  parts.items
    .filter((part) => CARRYING_KINDS.includes(part.kind) || part.shape !== undefined || isHeld(part))
    .map(partCheck);
