'use client';

import Typography from '@mui/material/Typography';
import { listed } from '@/words/lists';
import { useAccess } from '../session/access';
import { useBuild } from '../session/BuildContext';
import { useLive } from '../session/useLive';

/** Who else has the build open, where people have names; tabs of one person look when they come to the front. */
export const Present = () => (useAccess()?.person ? <OthersHere /> : null);

function OthersHere() {
  const others = useLive(useBuild());
  if (others.length === 0) return null;
  const names = listed(others.map(({ name }) => name));
  return (
    <Typography component="span" variant="aside" noWrap data-testid="present" title={`${names} too`}>
      {names} {others.length === 1 ? 'is' : 'are'} here
    </Typography>
  );
}
