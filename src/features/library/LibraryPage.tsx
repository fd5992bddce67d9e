'use client';

import { LIBRARY_WORDS } from '@/words/labels/library';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Thresholds as Margins } from '@/core/verdict/engine/check';
import { itemsOf } from '@/core/car/library/items';
import {
  LIBRARY_KIND_RECORDS,
  LIBRARY_KINDS,
  type LibraryItem,
  type LibraryKind,
} from '@/core/car/library/kinds';
import { type RangedFigure } from '@/core/car/library/kinds/material';
import { type Own, ownFigures, type StripTest } from '@/core/car/material/strips';
import { formatNumber, formatText } from '@/core/base/units/formatQuantity';
import { toShown, unitOf } from '@/core/base/units/quantities';
import { useReader } from '@/ui/reader';
import { newId, sentenceOf } from '../api';
import { Preferences } from '../frame/Preferences';
import { useKeys } from '../frame/useKeys';
import { choiceWords, type Column, columnsOf } from './columns';
import { ItemForm } from './ItemForm';
import { Thresholds } from './Thresholds';
import { deleteUndoably } from '../session/deleting';

/** Test pieces are read where they are printed for, on the print page. */
const KINDS_HERE = LIBRARY_KINDS.filter((kind) => kind !== 'coupon');

/** What the workshop holds, by kind: add, edit, copy, delete. */
export function LibraryPage({
  items: initial,
  thresholds,
  printAheadMinutes,
}: {
  items: readonly LibraryItem[];
  thresholds: Margins;
  printAheadMinutes: number | undefined;
}) {
  const router = useRouter();
  const [items, setItems] = useState(initial);
  const [kind, setKind] = useState<LibraryKind | 'margins'>('motor');
  useKeys({ g: () => router.push('/') });
  return (
    <>
      <header className="head">
        <Link href="/" className="name">
          Lean Badger
        </Link>
        <nav className="row">
          <Link href="/">Garage</Link>
          <Link href="/library" aria-current="page">
            Library
          </Link>
        </nav>
        <span className="push" />
        <Preferences />
      </header>
      <div className="stripe" style={{ height: 12 }} aria-hidden="true" />
      <main className="readings">
        <div className="seg" role="group" aria-label="Kind" style={{ flexWrap: 'wrap' }}>
          {KINDS_HERE.map((one) => (
            <button key={one} type="button" aria-pressed={kind === one} onClick={() => setKind(one)}>
              {LIBRARY_WORDS[one].many}
            </button>
          ))}
          <button type="button" aria-pressed={kind === 'margins'} onClick={() => setKind('margins')}>
            Margins
          </button>
        </div>
        {kind === 'margins' ? (
          <Thresholds initial={thresholds} printAheadMinutes={printAheadMinutes} />
        ) : (
          <KindTable key={kind} kind={kind} items={items} onItems={setItems} />
        )}
      </main>
    </>
  );
}

interface KindTableProps {
  kind: LibraryKind;
  items: readonly LibraryItem[];
  onItems(change: (items: readonly LibraryItem[]) => readonly LibraryItem[]): void;
}

function KindTable({ kind, items, onItems }: KindTableProps) {
  const [editing, setEditing] = useState<{ item: LibraryItem; isNew: boolean }>();
  const [problem, setProblem] = useState<string>();
  const columns = columnsOf(kind);
  const blank = (): LibraryItem => ({
    id: newId(),
    kind,
    data: {
      name: '',
      ...LIBRARY_KIND_RECORDS[kind].blank,
    } as unknown as LibraryItem['data'],
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
  return (
    <>
      <p className="quiet" style={{ margin: '8px 0', maxWidth: 760 }}>
        {LIBRARY_WORDS[kind].about} A build keeps its copy of the figures until you take new ones over there.
      </p>
      <button type="button" className="btn" onClick={() => setEditing({ item: blank(), isNew: true })}>
        Add a {LIBRARY_WORDS[kind].one}
      </button>
      {problem ? (
        <p className="note bad" role="alert">
          {problem}
        </p>
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
      <div className="gridbox">
        <table className="grid" style={{ marginTop: 8 }}>
          <thead>
            <tr>
              <th>Name</th>
              {columns.map(({ key, label, figure }) => (
                <th key={key} className={'quantity' in figure ? 'num' : undefined}>
                  {label}
                </th>
              ))}
              <th />
            </tr>
          </thead>
          <tbody>
            {itemsOf(items, kind).map((item) => (
              <tr key={item.id}>
                <td>
                  <b>{item.data.name}</b>
                </td>
                {columns.map((column) => (
                  <Cell key={column.key} column={column} item={item} library={items} />
                ))}
                <td style={{ whiteSpace: 'nowrap' }}>
                  <button
                    type="button"
                    className="plain"
                    aria-label={`Edit ${item.data.name}`}
                    onClick={() => setEditing({ item, isNew: false })}
                  >
                    edit
                  </button>
                  <button
                    type="button"
                    className="plain"
                    aria-label={`Copy ${item.data.name}`}
                    onClick={() =>
                      setEditing({
                        item: {
                          ...item,
                          id: newId(),
                          data: { ...item.data, name: `${item.data.name}, copy` },
                        },
                        isNew: true,
                      })
                    }
                  >
                    copy
                  </button>
                  <button
                    type="button"
                    className="plain"
                    aria-label={`Delete ${item.data.name}`}
                    onClick={() => void remove(item)}
                  >
                    delete
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

/** What the strips say in place of a typical strength. */
function ownOf(strips: readonly StripTest[], key: string): Own | undefined {
  const { along, across } = ownFigures(strips);
  return key === 'inPlaneStrengthMpa' ? along : key === 'interlayerStrengthMpa' ? across : undefined;
}

function Cell({
  column,
  item,
  library,
}: {
  column: Column;
  item: LibraryItem;
  library: readonly LibraryItem[];
}) {
  const { reader } = useReader();
  const { key, figure } = column;
  const value = (item.data as unknown as Record<string, number | string | undefined>)[key];
  if (typeof value === 'number' && 'quantity' in figure) {
    const { quantity } = figure;
    const range =
      item.kind === 'material'
        ? (item as LibraryItem<'material'>).data.ranges?.[key as RangedFigure]
        : undefined;
    const own =
      item.kind === 'material' ? ownOf((item as LibraryItem<'material'>).data.strips ?? [], key) : undefined;
    return (
      <td className="num">
        {own ? (
          <b title="from your own strips">
            {formatText(own.mean, 'stressMpa', reader)}
            {own.spread === undefined ? '' : ` ± ${formatNumber(own.spread, reader.locale, 2)}`}
          </b>
        ) : (
          formatText(value, quantity, reader)
        )}
        {own ? (
          <div className="quiet" style={{ fontSize: 11 }}>
            own, {own.count} {own.count === 1 ? 'strip' : 'strips'}
          </div>
        ) : range ? (
          <div className="quiet" style={{ fontSize: 11 }}>
            {range
              .map((one) => formatNumber(toShown(one, unitOf(quantity, reader.units)), reader.locale, 2))
              .join(' to ')}
          </div>
        ) : null}
      </td>
    );
  }
  if (value === undefined) return <td />;
  return <td>{'itemOf' in figure ? nameOf(library, value) : choiceWords(item.kind, String(value))}</td>;
}

const nameOf = (library: readonly LibraryItem[], itemId: string | number) =>
  library.find(({ id }) => id === itemId)?.data.name ?? itemId;
