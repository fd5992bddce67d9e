'use client';

import type { SxProps, Theme } from '@mui/material/styles';
import { Note } from './Note';

/** What went wrong, read out as it appears; nothing while there is nothing. */
export const Problem = ({ children, sx }: { children: string | undefined; sx?: SxProps<Theme> }) =>
  children ? (
    <Note tone="bad" role="alert" {...(sx ? { sx } : {})}>
      {children}
    </Note>
  ) : null;
