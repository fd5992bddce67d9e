'use client';

import InputBase from '@mui/material/InputBase';
import NativeSelect from '@mui/material/NativeSelect';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ChangeEvent, Ref, SelectHTMLAttributes } from 'react';

interface SelectProps extends Omit<
  SelectHTMLAttributes<HTMLSelectElement>,
  'onChange' | 'size' | 'color' | 'style'
> {
  /** `bare` in a row that has its own lines, `large` under the thumb, `strong` for what a group is about. */
  look?: 'bare' | 'large' | 'strong' | 'small';
  sx?: SxProps<Theme>;
  onChange(event: ChangeEvent<HTMLSelectElement>): void;
  ref?: Ref<HTMLSelectElement>;
}

const Arrow = (props: object) => (
  <svg viewBox="0 0 10 10" aria-hidden="true" {...props}>
    <path d="M1 3l4 4 4-4" fill="none" stroke="currentColor" strokeWidth="1.6" />
  </svg>
);

/** One of a list, chosen with the device's own list. */
export function Select({ look, children, sx, className, disabled = false, ref, ...rest }: SelectProps) {
  'use memo';
  return (
    <NativeSelect
      input={<InputBase />}
      IconComponent={Arrow}
      className={[look, className].filter(Boolean).join(' ')}
      {...(sx ? { sx } : {})}
      disabled={disabled}
      inputProps={rest}
      {...(ref ? { inputRef: ref } : {})}
    >
      {children}
    </NativeSelect>
  );
}
