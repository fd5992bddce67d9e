'use client';

import { inSentence } from '@/core/base/units/words';
import { useReader } from '@/ui/reader';
import { remedyText } from '@/words/checkWords';
import type { Remedy } from '@/core/verdict/engine/check';
import type { Segment } from '@/core/verdict/engine/segments';
import { applyPatch } from '@/core/base/patch';
import { CheckRows } from '@/ui/CheckRows';
import { useBuild, useBuildChecks } from '../session/BuildContext';

/** The checks of a segment with remedies that go into the build (undoable) or become its ghost. */
export function SegmentChecks({
  segment,
  side,
  only,
}: {
  segment: Segment;
  /** Those of one side, where not of all. */
  side?: string;
  only?: readonly string[];
}) {
  'use memo';
  const { closed, document, edit, setGhost } = useBuild();
  const checks = useBuildChecks();
  const { reader } = useReader();
  const proposed = (remedy: Remedy) => ({
    label: inSentence(remedyText(remedy, reader)),
    document: applyPatch(document, remedy.patch),
  });
  return (
    <CheckRows
      checks={checks.filter(
        (check) =>
          check.segment === segment &&
          (side === undefined || check.side === side) &&
          (!only || only.includes(check.id)),
      )}
      locked={closed}
      onApply={(remedy) => edit(remedy.patch)}
      onTry={(remedy) => setGhost(proposed(remedy))}
    />
  );
}
