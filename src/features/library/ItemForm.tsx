'use client';

import { useState } from 'react';
import { itemsOf, KIND_NAMES, type LibraryItem } from '@/core/car/library/items';
import type { StripTest } from '@/core/car/library/strips';
import { QuantityField } from '@/ui/QuantityField';
import { callApi, sentenceOf } from '../api';
import { COLUMNS } from './columns';
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
  const columns = COLUMNS[item.kind];
  const missing = [{ key: 'name', label: 'Name' }, ...columns.filter(({ optional }) => !optional)]
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
    <form
      aria-label={`${isNew ? 'New' : 'Edit'} ${KIND_NAMES[item.kind].one}`}
      className="note"
      style={{ maxWidth: 440 }}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="field text">
        <label htmlFor="item-name">Name</label>
        <input
          id="item-name"
          value={String(data.name ?? '')}
          maxLength={80}
          onChange={(event) => set('name', event.target.value)}
        />
      </div>
      {columns.map(({ key, label, quantity, limits, options, text }) =>
        text ? (
          <div key={key} className="field text">
            <label htmlFor={`item-${key}`}>{label}</label>
            <input
              id={`item-${key}`}
              value={String(data[key] ?? '')}
              maxLength={40}
              onChange={(event) => set(key, event.target.value)}
            />
          </div>
        ) : quantity ? (
          <QuantityField
            key={key}
            label={label}
            quantity={quantity}
            limits={limits}
            value={data[key] as number | undefined}
            onChange={(value) => set(key, value)}
          />
        ) : (
          <div key={key} className="field">
            <label htmlFor={`item-${key}`}>{label}</label>
            <select
              id={`item-${key}`}
              value={String(data[key] ?? '')}
              onChange={(event) => set(key, event.target.value)}
            >
              {(key === 'compound'
                ? itemsOf(library, 'compound').map(({ id, data: own }) => [id, own.name] as const)
                : options!
              ).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
          </div>
        ),
      )}
      {item.kind === 'material' ? (
        <StripLog
          strips={(data.strips as StripTest[] | undefined) ?? []}
          onChange={(strips) => set('strips', strips.length === 0 ? undefined : strips)}
        />
      ) : null}
      {problem ? (
        <p role="alert" style={{ color: 'var(--rust)', padding: '4px 0' }}>
          {problem}
        </p>
      ) : null}
      <div className="row" style={{ marginTop: 8 }}>
        <button type="submit" className="btn main">
          Save
        </button>
        <button type="button" className="btn" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}
