'use client';

import Checkbox from '@mui/material/Checkbox';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ChangeEvent } from 'react';

interface TickProps {
  checked: boolean;
  onChange(event: ChangeEvent<HTMLInputElement>): void;
  disabled?: boolean;
  id?: string;
  /** Where no label stands beside it. */
  'aria-label'?: string;
  sx?: SxProps<Theme>;
}

const Box = ({ ticked }: { ticked: boolean }) => (
  <svg viewBox="0 0 16 16" aria-hidden="true">
    <rect x="1" y="1" width="14" height="14" fill="none" stroke="currentColor" strokeWidth="1.4" />
    {ticked ? <path d="M3.5 8.5l3 3 6-7" fill="none" stroke="currentColor" strokeWidth="2.2" /> : null}
  </svg>
);

/** Yes or no. */
export function Tick({ 'aria-label': label, id, ...rest }: TickProps) {
  'use memo';
  return (
    <Checkbox
      icon={<Box ticked={false} />}
      checkedIcon={<Box ticked />}
      slotProps={{ input: { ...(label ? { 'aria-label': label } : {}), ...(id ? { id } : {}) } }}
      {...rest}
    />
  );
}
