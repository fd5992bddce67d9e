'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import { type FieldValues, type Path, useForm } from 'react-hook-form';
import { SHORTEST_PASSWORD } from '@/core/car/records/roles';
import { Note } from '@/ui/controls/Note';
import { SheetForm } from '@/ui/controls/SheetForm';
import { TextInput } from '@/ui/controls/TextInput';
import { ApiProblem, sentenceOf } from '../api';

interface FieldOf<T extends FieldValues> {
  name: Path<T>;
  label: string;
  type?: 'email' | 'password' | 'text';
  autoComplete: string;
  hint?: string;
  /** A password that is made here, not tried. */
  isNew?: boolean;
}

interface AccountFormProps<T extends FieldValues> {
  label: string;
  fields: readonly FieldOf<T>[];
  verb: string;
  onSend(values: T): Promise<void>;
}

/** A few fields about an account; what the server refuses stands at its field. */
export function AccountForm<T extends FieldValues>({ label, fields, verb, onSend }: AccountFormProps<T>) {
  const id = useId();
  const { register, handleSubmit, setError, formState } = useForm<T>();
  const { errors, isSubmitting } = formState;
  const send = handleSubmit(async (values) => {
    try {
      await onSend(values as unknown as T);
    } catch (error) {
      const at = error instanceof ApiProblem ? fields.find(({ name }) => name === error.path) : undefined;
      const message =
        at && error instanceof ApiProblem
          ? `${error.message}${error.remedy ? ` (${error.remedy})` : ''}`
          : sentenceOf(error);
      setError(at?.name ?? 'root', { message });
    }
  });
  return (
    <SheetForm label={label} maxWidth={440} ok onSubmit={(event) => void send(event)}>
      {fields.map(({ name, label: words, type = 'text', autoComplete, hint, isNew }) => {
        const message = errors[name]?.message;
        return (
          <Box key={name} sx={{ my: 1.25 }}>
            <Typography component="label" variant="label" htmlFor={`${id}-${name}`}>
              {words}
            </Typography>
            <TextInput
              boxed
              id={`${id}-${name}`}
              type={type}
              autoComplete={autoComplete}
              aria-invalid={message !== undefined}
              aria-describedby={message === undefined ? undefined : `${id}-${name}-wrong`}
              sx={{ width: '100%' }}
              {...register(name, {
                required: `${words} is needed.`,
                ...(isNew
                  ? {
                      minLength: {
                        value: SHORTEST_PASSWORD,
                        message: `At least ${SHORTEST_PASSWORD} letters: a few words in a row are good.`,
                      },
                    }
                  : {}),
              })}
            />
            {hint && message === undefined ? (
              <Typography variant="aside" color="textSecondary" component="p">
                {hint}
              </Typography>
            ) : null}
            {message === undefined ? null : (
              <Typography id={`${id}-${name}-wrong`} color="error" role="alert" component="p">
                {String(message)}
              </Typography>
            )}
          </Box>
        );
      })}
      {errors.root ? (
        <Note tone="bad" role="alert">
          {errors.root.message}
        </Note>
      ) : null}
      <Button variant="contained" type="submit" disabled={isSubmitting} sx={{ my: 1 }}>
        {verb}
      </Button>
    </SheetForm>
  );
}
