'use client';

import Dialog from '@mui/material/Dialog';
import type { ReactNode } from 'react';

interface OverProps {
  label: string;
  onClose(): void;
  children: ReactNode;
}

/** Lies over the page, keeps the focus inside and gives it back; Esc or a click beside it closes it. */
export function Over({ label, onClose, children }: OverProps) {
  return (
    <Dialog
      open
      onClose={onClose}
      transitionDuration={0}
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
      slotProps={{ paper: { 'aria-label': label, sx: { width: 560, maxWidth: '92vw', mt: '90px' } } }}
    >
      {children}
    </Dialog>
  );
}
