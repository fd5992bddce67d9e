'use client';

import tablesCss from '@/ui/controls/tables.module.css';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TableSortLabel from '@mui/material/TableSortLabel';
import { useState } from 'react';
import { itemsOf } from '@/core/car/library/items';
import { LIBRARY_KIND_RECORDS, type LibraryItem, type LibraryKind } from '@/core/car/library/kinds';
import { unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import { IconAct } from '@/ui/controls/IconAct';
import { Note } from '@/ui/controls/Note';
import { LIBRARY_WORDS } from '@/words/labels/library';
import { newId, sentenceOf } from '../api';
import { deleteUndoably } from '../session/deleting';
import { type Column, columnsOf } from './columns';
import { ItemCell, nameOf } from './ItemCell';
import { ItemForm } from './ItemForm';
import { Ask } from '../frame/Ask';

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
  const [editing, setEditing] = useState<{ item: LibraryItem; isNew: boolean }>();
  const [problem, setProblem] = useState<string>();
  const [order, setOrder] = useState<Order>({ key: 'name', down: false });
  const { reader } = useReader();
  const columns = columnsOf(kind);
  const listed = sorted(itemsOf(items, kind), order, columns, items).filter(({ data }) =>
    isNamed(data.name, search),
  );
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
  const head = (key: string, label: string, align: 'left' | 'right' = 'left') => (
    <TableCell
      key={key}
      align={align}
      {...(order.key === key ? { sortDirection: order.down ? ('desc' as const) : ('asc' as const) } : {})}
    >
      <TableSortLabel
        active={order.key === key}
        direction={order.key === key && order.down ? 'desc' : 'asc'}
        onClick={() => setOrder({ key, down: order.key === key && !order.down })}
      >
        {label}
      </TableSortLabel>
    </TableCell>
  );
  return (
    <>
      <Ask>
        <Typography color="textSecondary" sx={{ maxWidth: 760 }}>
          {LIBRARY_WORDS[kind].about} A build keeps its copy of the figures until you take new ones over
          there.
        </Typography>
        <Button onClick={() => setEditing({ item: blank(), isNew: true })}>
          Add a {LIBRARY_WORDS[kind].one}
        </Button>
      </Ask>
      {problem ? (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      ) : null}
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
        <TableContainer className={tablesCss.gridbox}>
          <Table size="small">
            <TableHead>
              <TableRow>
                {head('name', 'Name')}
                {columns.map(({ key, label, figure }) => {
                  const unit = 'quantity' in figure ? unitOf(figure.quantity, reader.units).symbol : '';
                  return head(
                    key,
                    unit ? `${label}, ${unit}` : label,
                    'quantity' in figure ? 'right' : 'left',
                  );
                })}
                <TableCell>Used in</TableCell>
                <TableCell />
              </TableRow>
            </TableHead>
            <TableBody>
              {listed.map((item) => (
                <TableRow key={item.id}>
                  <TableCell sx={{ minWidth: 150 }}>
                    <b>{item.data.name}</b>
                  </TableCell>
                  {columns.map((column) => (
                    <ItemCell key={column.key} column={column} item={item} library={items} />
                  ))}
                  <TableCell data-tone="quiet">{usedWords(usedIn.get(item.id) ?? [])}</TableCell>
                  <TableCell sx={{ whiteSpace: 'nowrap' }}>
                    <IconAct
                      icon="edit"
                      label={`Edit ${item.data.name}`}
                      onClick={() => setEditing({ item, isNew: false })}
                    />
                    <IconAct
                      icon="copy"
                      label={`Copy ${item.data.name}`}
                      onClick={() => setEditing({ item: copyOf(item), isNew: true })}
                    />
                    <IconAct
                      icon="remove"
                      label={`Delete ${item.data.name}`}
                      onClick={() => void remove(item)}
                    />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </TableContainer>
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

interface Order {
  key: string;
  down: boolean;
}

type Named = Pick<LibraryItem, 'data'>;

/** What lacks the figure comes last, whichever way. */
function sorted<I extends Named>(
  list: readonly I[],
  { key, down }: Order,
  columns: readonly Column[],
  library: readonly LibraryItem[],
): I[] {
  const figure = columns.find((column) => column.key === key)?.figure;
  const valueOf = ({ data }: Named) => {
    const value = (data as unknown as Record<string, number | string | undefined>)[key];
    return value !== undefined && figure && 'itemOf' in figure ? nameOf(library, value) : value;
  };
  const way = down ? -1 : 1;
  return [...list].sort((one, other) => {
    const [a, b] = [valueOf(one), valueOf(other)];
    if (a === undefined || b === undefined) return (a === undefined ? 1 : 0) - (b === undefined ? 1 : 0);
    return (
      way * (typeof a === 'number' && typeof b === 'number' ? a - b : String(a).localeCompare(String(b)))
    );
  });
}
