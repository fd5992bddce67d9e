'use client';

import type { Remedy, Segment } from '@/core/verdict/engine/check';
import { applyPatch } from '@/core/base/patch';
import { CheckRows } from '@/ui/CheckRows';
import { useBuild } from '../session/BuildContext';

/** The checks of a segment with remedies that go into the build (undoable) or become its ghost. */
export function SegmentChecks({ segment, only }: { segment: Segment; only?: readonly string[] }) {
  const { checks, closed, document, edit, setGhost } = useBuild();
  const proposed = (remedy: Remedy) => ({
    label: remedy.text.toLowerCase(),
    document: applyPatch(document, remedy.patch),
  });
  return (
    <CheckRows
      checks={checks.filter((check) => check.segment === segment && (!only || only.includes(check.id)))}
      locked={closed}
      onApply={(remedy) => edit(remedy.patch)}
      onTry={(remedy) => setGhost(proposed(remedy))}
    />
  );
}
