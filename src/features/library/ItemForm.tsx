'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { Row } from '@/ui/layout/Row';
import { SheetForm } from '@/ui/controls/SheetForm';
import { TextInput } from '@/ui/controls/TextInput';
import Button from '@mui/material/Button';
import { Select } from '@/ui/controls/Select';
import { LIBRARY_WORDS } from '@/words/labels/library';
import { useState } from 'react';
import { type LibraryItem } from '@/core/car/library/kinds';
import type { StripTest } from '@/core/car/material/strips';
import { QuantityField } from '@/ui/QuantityField';
import { callApi, sentenceOf } from '../api';
import { choiceWords, type Column, columnsOf } from './columns';
import { StripLog } from './StripLog';

type Figures = Record<string, number | string | StripTest[] | undefined>;

interface ItemFormProps {
  item: LibraryItem;
  isNew: boolean;
  library: readonly LibraryItem[];
  onSaved(item: LibraryItem): void;
  onCancel(): void;
}

/** One item of the library; a build that has a copy keeps it until its figures are taken over. */
export function ItemForm({ item, isNew, library, onSaved, onCancel }: ItemFormProps) {
  const [data, setData] = useState<Figures>({ ...(item.data as unknown as Figures) });
  const [problem, setProblem] = useState<string>();
  const columns = columnsOf(item.kind);
  const missing = [{ key: 'name', label: 'Name' }, ...columns.filter(({ figure }) => !figure.optional)]
    .filter(({ key }) => data[key] === undefined || data[key] === '')
    .map(({ label }) => label.toLowerCase());
  const set = (key: string, value: Figures[string]) => setData((all) => ({ ...all, [key]: value }));
  const save = async () => {
    if (missing.length > 0) return setProblem(`Still needs ${missing.join(', ')}.`);
    try {
      onSaved(await callApi<LibraryItem>('PUT', '/api/library', { ...item, data }));
    } catch (error) {
      setProblem(`Not saved, kept here: ${sentenceOf(error)}`);
    }
  };
  return (
    <SheetForm
      label={`${isNew ? 'New' : 'Edit'} ${LIBRARY_WORDS[item.kind].one}`}
      maxWidth={440}
      onSubmit={() => void save()}
    >
      <div className={fieldsCss.textField}>
        <label htmlFor="item-name">Name</label>
        <TextInput
          id="item-name"
          value={String(data.name ?? '')}
          maxLength={80}
          onChange={(event) => set('name', event.target.value)}
        />
      </div>
      {columns.map((column) => (
        <FigureField
          key={column.key}
          column={column}
          item={item}
          library={library}
          value={data[column.key] as number | string | undefined}
          onChange={(value) => set(column.key, value)}
        />
      ))}
      {item.kind === 'material' ? (
        <StripLog
          strips={(data.strips as StripTest[] | undefined) ?? []}
          onChange={(strips) => set('strips', strips.length === 0 ? undefined : strips)}
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
        <Button onClick={onCancel}>Cancel</Button>
      </Row>
    </SheetForm>
  );
}

interface FigureFieldProps {
  column: Column;
  item: LibraryItem;
  library: readonly LibraryItem[];
  value: number | string | undefined;
  onChange(value: number | string | undefined): void;
}

function FigureField({ column, item, library, value, onChange }: FigureFieldProps) {
  const { key, label, figure } = column;
  const id = `item-${key}`;
  if ('quantity' in figure)
    return (
      <QuantityField
        label={label}
        quantity={figure.quantity}
        limits={figure.limits}
        value={value as number | undefined}
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
