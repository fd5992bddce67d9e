'use client';

import { Problem } from '@/ui/controls/Problem';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { itemsOf } from '@/core/car/library/items';
import { LIBRARY_KIND_RECORDS, type LibraryItem, type LibraryKind } from '@/core/car/library/kinds';
import type { LongColumn } from '@/ui/longTable/column';
import { LongTable } from '@/ui/longTable/LongTable';
import { IconAct } from '@/ui/controls/IconAct';
import { LIBRARY_WORDS } from '@/words/library/library';
import { newId, sentenceOf } from '../api';
import { Working } from '../session/access';
import { deleteUndoably } from '../session/deleting';
import { columnsOf } from './columns';
import { figureOf, ItemFigure } from './ItemCell';
import { ItemForm } from './ItemForm';
import { Ask } from '../frame/Ask';

const COLUMN_PX = 92;
/** The most that a page of a table holds. */
const MOST_ROWS = 100;

interface KindTableProps {
  kind: LibraryKind;
  items: readonly LibraryItem[];
  /** Builds and tyres that stand on an item, by its id. */
  usedIn: ReadonlyMap<string, readonly string[]>;
  /** Letters that a name has to hold. */
  search: string;
  onItems(change: (items: readonly LibraryItem[]) => readonly LibraryItem[]): void;
}

/** The things of one kind: sorted by any figure, added, edited, copied, deleted. */
export function KindTable({ kind, items, usedIn, search, onItems }: KindTableProps) {
  const [editing, setEditing] = useState<{ item: LibraryItem; isNew: boolean; keptAs?: string }>();
  const [problem, setProblem] = useState<string>();
  const listed: readonly LibraryItem[] = itemsOf(items, kind)
    .filter(({ data }) => isNamed(data.name, search))
    .sort((a, b) => a.data.name.localeCompare(b.data.name));
  const shown = useMemo(() => shownColumns(kind, items, usedIn), [kind, items, usedIn]);
  const blank = (): LibraryItem => ({
    id: newId(),
    kind,
    data: { name: '', ...LIBRARY_KIND_RECORDS[kind].blank } as unknown as LibraryItem['data'],
  });
  const remove = async (item: LibraryItem) => {
    setProblem(undefined);
    try {
      await deleteUndoably<LibraryItem>(
        `/api/library/${item.id}`,
        `${item.data.name} deleted.`,
        () => onItems((all) => all.filter(({ id }) => id !== item.id)),
        (back) => onItems((all) => [...all.filter(({ id }) => id !== back.id), back]),
      );
    } catch (error) {
      setProblem(`${item.data.name}: ${sentenceOf(error)}`);
    }
  };
  const saved = (item: LibraryItem) => {
    onItems((all) => [...all.filter(({ id }) => id !== item.id), item]);
    setEditing(undefined);
  };
  const copyOf = (item: LibraryItem): LibraryItem => ({
    ...item,
    id: newId(),
    data: { ...item.data, name: `${item.data.name}, copy` },
  });
  return (
    <>
      <Ask>
        <Typography color="textSecondary" sx={{ maxWidth: 760 }}>
          {LIBRARY_WORDS[kind].about} A build keeps its copy of the figures until you take new ones over
          there.
        </Typography>
        <Working>
          {' '}
          <Button onClick={() => setEditing({ item: blank(), isNew: true, keptAs: `item:new ${kind}` })}>
            Add a {LIBRARY_WORDS[kind].one}
          </Button>
        </Working>{' '}
      </Ask>
      <Problem>{problem}</Problem>
      {editing ? (
        <ItemForm
          key={editing.item.id}
          {...editing}
          library={items}
          onSaved={saved}
          onCancel={() => setEditing(undefined)}
        />
      ) : null}
      {listed.length === 0 ? (
        <Typography color="textSecondary">
          {search === ''
            ? `No ${LIBRARY_WORDS[kind].one} yet: add the first.`
            : `No ${LIBRARY_WORDS[kind].one} is named “${search}”.`}
        </Typography>
      ) : (
        <LongTable
          label={LIBRARY_WORDS[kind].many}
          testId="kind-table"
          rows={listed}
          columns={shown}
          page={MOST_ROWS}
          actsFirst
          actsWidth={112}
          acts={(item) => (
            <Working>
              <IconAct
                icon="edit"
                label={`Edit ${item.data.name}`}
                onClick={() => setEditing({ item, isNew: false, keptAs: `item:${item.id}` })}
              />
              <IconAct
                icon="copy"
                label={`Copy ${item.data.name}`}
                onClick={() => setEditing({ item: copyOf(item), isNew: true })}
              />
              <IconAct icon="remove" label={`Delete ${item.data.name}`} onClick={() => void remove(item)} />
            </Working>
          )}
        />
      )}
    </>
  );
}

export const isNamed = (name: string, search: string) =>
  name.toLowerCase().includes(search.trim().toLowerCase());

const MOST_NAMED = 2;

function usedWords(users: readonly string[]): string {
  const more = users.length - MOST_NAMED;
  return users.slice(0, MOST_NAMED).join(', ') + (more > 0 ? ` and ${more} more` : '');
}

const shownColumns = (
  kind: LibraryKind,
  library: readonly LibraryItem[],
  usedIn: ReadonlyMap<string, readonly string[]>,
): LongColumn<LibraryItem>[] => [
  {
    field: 'name',
    name: 'Name',
    width: 170,
    grows: true,
    value: ({ data }) => data.name,
    show: ({ data }) => <b>{data.name}</b>,
  },
  ...columnsOf(kind).map((column): LongColumn<LibraryItem> => ({
    field: column.key,
    name: column.label,
    width: COLUMN_PX,
    value: (item) => figureOf(column, item, library),
    ...('quantity' in column.figure
      ? {
          quantity: column.figure.quantity,
          show: (item: LibraryItem) => <ItemFigure column={column} item={item} />,
        }
      : {}),
  })),
  {
    field: 'usedIn',
    name: 'Used in',
    width: 130,
    grows: true,
    value: ({ id }) => usedWords(usedIn.get(id) ?? []),
  },
];
