'use client';

import checksCss from '@/ui/checks.module.css';
import Button from '@mui/material/Button';
import { applyPatch, type Patch } from '@/core/base/patch';
import { useBuild } from '../session/BuildContext';

interface TakeOrCompareProps {
  /** What the patch makes of the build, as a title. */
  text: string;
  patch: Patch;
}

/** Takes a change into the build, or shows it beside the build as a ghost. */
export function TakeOrCompare({ text, patch }: TakeOrCompareProps) {
  const { document, edit, setGhost, closed } = useBuild();
  return (
    <span className={checksCss.remedy}>
      <Button color="success" disabled={closed} aria-label={`Take: ${text}`} onClick={() => edit(patch)}>
        take
      </Button>
      <Button
        variant="link"
        color="secondary"
        aria-label={`Compare: ${text}`}
        onClick={() => setGhost({ label: text.toLowerCase(), document: applyPatch(document, patch) })}
      >
        compare
      </Button>
    </span>
  );
}
