'use client';

import Paper from '@mui/material/Paper';
import type { FormEvent, ReactNode, Ref } from 'react';

interface SheetFormProps {
  label: string;
  /** Widest that it gets, px. */
  maxWidth?: number;
  /** Begins something new. */
  ok?: boolean;
  ref?: Ref<HTMLFormElement>;
  onSubmit(event: FormEvent<HTMLFormElement>): void;
  children: ReactNode;
}

/** A few fields that are sent together, on a sheet of their own. */
export function SheetForm({ label, maxWidth = 880, ok = false, ref, onSubmit, children }: SheetFormProps) {
  return (
    <Paper
      component="form"
      square
      elevation={0}
      {...(ref ? { ref: ref as Ref<never> } : {})}
      aria-label={label}
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit(event as unknown as FormEvent<HTMLFormElement>);
      }}
      sx={{
        maxWidth,
        my: 1.25,
        px: 1.5,
        py: 0.75,
        fontSize: 13,
        borderLeft: 3,
        borderColor: ok ? 'primary.main' : 'warning.main',
      }}
    >
      {children}
    </Paper>
  );
}
