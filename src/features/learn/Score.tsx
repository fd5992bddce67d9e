'use client';

import Typography from '@mui/material/Typography';
import { useBuild } from '../session/BuildContext';
import { useWorked } from '../session/useWorked';
import { workerOf } from '@/workers/clients';

/** How well the diagnosis did on the failures of this build that have a verdict. */
export function Score() {
  const { failures, revisions, runs, thresholds } = useBuild();
  const closed = failures.filter(({ ledger }) => ledger?.verdict?.cause !== undefined);
  const found = useWorked(
    closed.length > 0
      ? () => workerOf('learn').score(closed, [...revisions], [...runs], thresholds)
      : undefined,
    [failures, revisions, runs, thresholds],
  );
  if (!found.value) return null;
  const { closed: count, first, second } = found.value;
  return (
    <Typography variant="note" color="textSecondary" data-testid="score">
      Of {count} failures with a verdict, {first} had their cause first among the suspects before any check,{' '}
      {second} second.
    </Typography>
  );
}
