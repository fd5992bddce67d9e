'use client';

import Typography from '@mui/material/Typography';
import { applyPatch } from '@/core/base/patch';
import { inSentence } from '@/core/base/units/words';
import { curesOf } from '@/core/advice/learn/curesOf';
import type { FailureRecord } from '@/core/car/records/records';
import { CheckRows } from '@/ui/CheckRows';
import { useReader } from '@/ui/reader';
import { remedyText } from '@/words/checkWords';
import { useBuild, useBuildChecks } from '../session/BuildContext';

/** What the build says of a cause that was found, with what would cure it; a remedy that is taken is the fix. */
export function Cures({
  failure,
  cause,
  onFix,
}: {
  failure: FailureRecord;
  cause: string;
  onFix(words: string, revisionId: string): void;
}) {
  const { document, revision, edit, closed, setGhost } = useBuild();
  const checks = useBuildChecks();
  const { reader } = useReader();
  const own = curesOf(cause, failure.partId, checks);
  const isOpen = failure.fix === undefined;
  if (own.length === 0)
    return isOpen ? (
      <Typography color="textSecondary" data-testid="cures">
        No check of {revision.letter} shows this cause: change the build by hand, and say above what was done.
      </Typography>
    ) : null;
  return (
    <section aria-label="What would cure it" data-testid="cures">
      <Typography component="p" variant="label">
        What {revision.letter} says of it
      </Typography>
      <CheckRows
        checks={own}
        locked={closed}
        onApply={(remedy) => {
          const words = remedyText(remedy, reader);
          edit(remedy.patch);
          if (isOpen) onFix(words, revision.id);
        }}
        onTry={(remedy) =>
          setGhost({
            label: inSentence(remedyText(remedy, reader)),
            document: applyPatch(document, remedy.patch),
          })
        }
      />
      {isOpen && failure.revisionId === revision.id && own.every(({ state }) => state === 'clear') ? (
        <Typography color="textSecondary">
          By its figures it holds, and it failed all the same: measure what they rest on before they are
          trusted again.
        </Typography>
      ) : null}
    </section>
  );
}
