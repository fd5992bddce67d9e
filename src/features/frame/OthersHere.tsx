'use client';

import Typography from '@mui/material/Typography';
import { listed } from '@/words/lists';
import { useBuild } from '../session/BuildContext';
import { useLive } from '../session/useLive';

/** Keeps the page as others leave the build, and names those who have it open. */
export function OthersHere() {
  const others = useLive(useBuild());
  if (others.length === 0) return null;
  const names = listed(others.map(({ name }) => name));
  return (
    <Typography component="span" variant="aside" noWrap data-testid="present" title={`${names} too`}>
      {names} {others.length === 1 ? 'is' : 'are'} here
    </Typography>
  );
}
