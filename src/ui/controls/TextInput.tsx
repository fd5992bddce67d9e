'use client';

import InputBase from '@mui/material/InputBase';
import type { SxProps, Theme } from '@mui/material/styles';
import type { InputHTMLAttributes, Ref, TextareaHTMLAttributes } from 'react';

interface Look {
  /** With a box around it; a line in a table or a list has none. */
  boxed?: boolean;
  sx?: SxProps<Theme>;
}

type TextInputProps = Look &
  Omit<InputHTMLAttributes<HTMLInputElement>, 'size' | 'color' | 'style'> & { ref?: Ref<HTMLInputElement> };

/** A line of words. */
export function TextInput({ boxed = false, sx, className, disabled = false, ref, ...rest }: TextInputProps) {
  'use memo';
  return (
    <InputBase
      className={[boxed ? 'boxed' : '', className].filter(Boolean).join(' ')}
      {...(sx ? { sx } : {})}
      disabled={disabled}
      {...(ref ? { inputRef: ref } : {})}
      slotProps={{ input: rest }}
    />
  );
}

type TextAreaProps = Pick<Look, 'sx'> & Omit<TextareaHTMLAttributes<HTMLTextAreaElement>, 'color' | 'style'>;

/** Several lines of words, that grow as they are written. */
export function TextArea({ rows = 2, sx, className, disabled = false, ...rest }: TextAreaProps) {
  'use memo';
  return (
    <InputBase
      multiline
      fullWidth
      minRows={rows}
      className={['boxed', className].filter(Boolean).join(' ')}
      {...(sx ? { sx } : {})}
      disabled={disabled}
      slotProps={{ input: rest as object }}
    />
  );
}
