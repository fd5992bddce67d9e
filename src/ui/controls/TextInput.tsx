'use client';

import InputBase from '@mui/material/InputBase';
import type { InputHTMLAttributes, Ref, TextareaHTMLAttributes } from 'react';

interface Look {
  /** With a box around it; a line in a table or a list has none. */
  boxed?: boolean;
}

type TextInputProps = Look &
  Omit<InputHTMLAttributes<HTMLInputElement>, 'size' | 'color'> & { ref?: Ref<HTMLInputElement> };

/** A line of words. */
export function TextInput({
  boxed = false,
  style,
  className,
  disabled = false,
  ref,
  ...rest
}: TextInputProps) {
  'use memo';
  return (
    <InputBase
      className={[boxed ? 'boxed' : '', className].filter(Boolean).join(' ')}
      {...(style ? { style } : {})}
      disabled={disabled}
      {...(ref ? { inputRef: ref } : {})}
      slotProps={{ input: rest }}
    />
  );
}

type TextAreaProps = Omit<TextareaHTMLAttributes<HTMLTextAreaElement>, 'color'>;

/** Several lines of words, that grow as they are written. */
export function TextArea({ rows = 2, style, className, disabled = false, ...rest }: TextAreaProps) {
  'use memo';
  return (
    <InputBase
      multiline
      fullWidth
      minRows={rows}
      className={['boxed', className].filter(Boolean).join(' ')}
      {...(style ? { style } : {})}
      disabled={disabled}
      slotProps={{ input: rest as object }}
    />
  );
}
