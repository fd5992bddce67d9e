'use client';

import type { Remedy, Segment } from '@/core/checks/check';
import { applyPatch } from '@/core/build/patch';
import { CheckRows } from '@/ui/CheckRows';
import { useBuild } from './BuildContext';

/** The checks of a segment with remedies that go into the build (undoable) or become its ghost. */
export function SegmentChecks({ segment }: { segment: Segment }) {
  const { checks, closed, document, edit, setGhost } = useBuild();
  const proposed = (remedy: Remedy) => ({ label: remedy.text.toLowerCase(), document: applyPatch(document, remedy.patch) });
  return <CheckRows checks={checks.filter((check) => check.segment === segment)} locked={closed} onApply={(remedy) => edit(remedy.patch)} onTry={(remedy) => setGhost(proposed(remedy))} />;
}
