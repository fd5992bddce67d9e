'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { ChangeEvent, ReactNode } from 'react';

interface FileButtonProps {
  /** What the file is of. */
  label: string;
  accept: string;
  multiple?: boolean;
  disabled?: boolean;
  variant?: 'outlined' | 'link';
  size?: 'small' | 'large';
  onFiles(files: File[]): void;
  children: ReactNode;
}

/** Asks for a file of this device. */
export function FileButton({
  label,
  accept,
  multiple = false,
  disabled = false,
  variant = 'outlined',
  size = 'small',
  onFiles,
  children,
}: FileButtonProps) {
  return (
    <Button
      component="label"
      role={undefined}
      tabIndex={-1}
      variant={variant}
      size={size}
      disabled={disabled}
      sx={{ '&:focus-within': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: 2 } }}
    >
      {children}
      <Box
        component="input"
        type="file"
        sx={visuallyHidden}
        aria-label={label}
        accept={accept}
        multiple={multiple}
        disabled={disabled}
        onChange={(event: ChangeEvent<HTMLInputElement>) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </Button>
  );
}
