'use client';

import Alert from '@mui/material/Alert';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';

/** A caution, something that went wrong, a question, or something that went well. */
export type Tone = 'caution' | 'bad' | 'ask' | 'ok';

const SEVERITY = { caution: 'warning', bad: 'error', ask: 'info', ok: 'success' } as const;

interface NoteProps {
  tone?: Tone;
  /** `alert` or `status` where it is to be read out as it appears. */
  role?: 'alert' | 'status' | 'group';
  sx?: SxProps<Theme>;
  'data-testid'?: string;
  'data-stale'?: boolean;
  'aria-label'?: string;
  children: ReactNode;
}

/** Words set apart from the rest by the line at their left. */
export function Note({ tone = 'caution', role, ...rest }: NoteProps) {
  return <Alert severity={SEVERITY[tone]} role={role ?? 'note'} {...rest} />;
}
