'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { SheetForm } from '@/ui/controls/SheetForm';
import { TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { Select } from '@/ui/controls/Select';
import { LIBRARY_WORDS } from '@/words/library/library';
import { type Ref, useState } from 'react';
import { Controller } from 'react-hook-form';
import { type LibraryItem } from '@/core/car/library/kinds';
import type { StripTest } from '@/core/car/material/strips';
import { QuantityField } from '@/ui/QuantityField';
import { callApi, sentenceOf } from '../api';
import { FieldProblem } from '../fields/FieldProblem';
import { useSheet } from '../fields/useSheet';
import { choiceWords, type Column, columnsOf } from './columns';
import { StripLog } from './StripLog';

type Figures = Record<string, number | string | StripTest[] | undefined>;

interface ItemFormProps {
  item: LibraryItem;
  isNew: boolean;
  /** Under which name it is kept on this page until it is saved. */
  keptAs?: string | undefined;
  library: readonly LibraryItem[];
  onSaved(item: LibraryItem): void;
  onCancel(): void;
}

/** One item of the library; a build that has a copy keeps it until its figures are taken over. */
export function ItemForm({ item, isNew, keptAs, library, onSaved, onCancel }: ItemFormProps) {
  const [problem, setProblem] = useState<string>();
  const columns = columnsOf(item.kind);
  const { control, handleSubmit, forget } = useSheet<Figures>({
    schema: () =>
      import('@/core/car/library/items.schema').then(({ figuresSchema }) => figuresSchema(item.kind)),
    empty: { ...(item.data as unknown as Figures) },
    toSend: given,
    words: Object.fromEntries(
      [{ key: 'name', label: 'Name' }, ...columns].map(({ key, label }) => [
        key,
        `Still needs ${label.toLowerCase()}.`,
      ]),
    ),
    ...(keptAs === undefined ? {} : { keptAs }),
  });
  const save = async (figures: Figures) => {
    try {
      const saved = await callApi<LibraryItem>('PUT', '/api/library', { ...item, data: given(figures) });
      forget();
      onSaved(saved);
    } catch (error) {
      setProblem(`Not saved, kept here: ${sentenceOf(error)}`);
    }
  };
  return (
    <SheetForm
      label={`${isNew ? 'New' : 'Edit'} ${LIBRARY_WORDS[item.kind].one}`}
      maxWidth={440}
      onSubmit={(event) => void handleSubmit(save)(event)}
    >
      <Controller
        name="name"
        control={control}
        render={({ field, fieldState: { error } }) => (
          <>
            <div className={fieldsCss.textField}>
              <label htmlFor="item-name">Name</label>
              <TextInput
                {...field}
                id="item-name"
                value={String(field.value ?? '')}
                maxLength={80}
                aria-invalid={error !== undefined}
                aria-describedby={error ? 'item-name-problem' : undefined}
              />
            </div>
            <FieldProblem id="item-name-problem">{error?.message}</FieldProblem>
          </>
        )}
      />
      {columns.map((column) => (
        <Controller
          key={column.key}
          name={column.key}
          control={control}
          render={({ field, fieldState: { error } }) => (
            <FigureField
              column={column}
              item={item}
              library={library}
              value={field.value as number | string | undefined}
              problem={error?.message}
              inputRef={field.ref}
              onChange={field.onChange}
            />
          )}
        />
      ))}
      {item.kind === 'material' ? (
        <Controller
          name="strips"
          control={control}
          render={({ field }) => (
            <StripLog
              strips={(field.value as StripTest[] | undefined) ?? []}
              onChange={(strips) => field.onChange(strips.length === 0 ? undefined : strips)}
            />
          )}
        />
      ) : null}
      {problem ? (
        <Typography color="error" sx={{ p: '4px 0' }} role="alert">
          {problem}
        </Typography>
      ) : null}
      <Row sx={{ mt: 1 }}>
        <Button variant="contained" type="submit">
          Save
        </Button>
        <Button
          onClick={() => {
            forget();
            onCancel();
          }}
        >
          Cancel
        </Button>
      </Row>
    </SheetForm>
  );
}

/** What is given: an empty line is none. */
const given = (figures: Figures): Figures =>
  Object.fromEntries(Object.entries(figures).filter(([, value]) => value !== undefined && value !== ''));

interface FigureFieldProps {
  column: Column;
  item: LibraryItem;
  library: readonly LibraryItem[];
  value: number | string | undefined;
  problem: string | undefined;
  inputRef: Ref<HTMLInputElement>;
  onChange(value: number | string | undefined): void;
}

function FigureField({ column, item, library, value, problem, inputRef, onChange }: FigureFieldProps) {
  const { key, label, figure } = column;
  const id = `item-${key}`;
  if ('quantity' in figure)
    return (
      <QuantityField
        label={label}
        quantity={figure.quantity}
        limits={figure.limits}
        value={value as number | undefined}
        problem={problem}
        ref={inputRef}
        onChange={onChange}
      />
    );
  if ('text' in figure)
    return (
      <div className={fieldsCss.textField}>
        <label htmlFor={id}>{label}</label>
        <TextInput
          id={id}
          value={String(value ?? '')}
          maxLength={figure.text}
          onChange={(event) => onChange(event.target.value)}
        />
      </div>
    );
  const choices =
    'oneOf' in figure
      ? figure.oneOf.map((choice) => [choice, choiceWords(item.kind, choice)] as const)
      : 'itemOf' in figure
        ? library.filter(({ kind }) => kind === figure.itemOf).map((one) => [one.id, one.data.name] as const)
        : [];
  return (
    <div className={fieldsCss.field}>
      <label htmlFor={id}>{label}</label>
      <Select id={id} value={String(value ?? '')} onChange={(event) => onChange(event.target.value)}>
        {choices.map(([choice, words]) => (
          <option key={choice} value={choice}>
            {words}
          </option>
        ))}
      </Select>
    </div>
  );
}
