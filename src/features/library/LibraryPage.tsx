'use client';

import clsx from 'clsx';
import frameCss from '@/ui/layout/frame.module.css';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { itemsOf } from '@/core/car/library/items';
import { LIBRARY_KINDS, type LibraryItem, type LibraryKind } from '@/core/car/library/kinds';
import type { Thresholds as Margins } from '@/core/verdict/engine/check';
import { TextInput } from '@/ui/controls/TextInput';
import { LIBRARY_WORDS } from '@/words/library/library';
import { HouseNav } from '../account/HouseNav';
import { Preferences } from '../frame/Preferences';
import { useKeys } from '../frame/useKeys';
import { isNamed, KindTable } from './KindTable';
import { Thresholds } from './Thresholds';

/** Test pieces are read where they are printed for, on the print page. */
const KINDS_HERE = LIBRARY_KINDS.filter((kind) => kind !== 'coupon');

interface LibraryPageProps {
  items: readonly LibraryItem[];
  usedIn: ReadonlyMap<string, readonly string[]>;
  thresholds: Margins;
  printAheadMinutes: number | undefined;
  /** What the address asks for. */
  asked?: { kind?: LibraryKind | undefined; find?: string | undefined };
}

/** What the workshop holds, by kind. */
export function LibraryPage({
  items: initial,
  usedIn,
  thresholds,
  printAheadMinutes,
  asked,
}: LibraryPageProps) {
  const router = useRouter();
  const [items, setItems] = useState(initial);
  const [kind, setKind] = useState<LibraryKind | 'margins'>(asked?.kind ?? 'motor');
  const [search, setSearch] = useState(asked?.find ?? '');
  useKeys({ g: () => router.push('/') });
  const found = (one: LibraryKind) =>
    itemsOf(items, one).filter(({ data }) => isNamed(data.name, search)).length;
  return (
    <>
      <header className={frameCss.head}>
        <Link href="/" className={frameCss.name}>
          Lean Badger
        </Link>
        <HouseNav at="/library" />
        <span className={frameCss.push} />
        <Preferences />
      </header>
      <Box className={frameCss.stripe} sx={{ height: 12 }} aria-hidden="true" />
      <main className={clsx(frameCss.page, frameCss.shelf)}>
        <nav className={frameCss.bench} aria-label="Kinds of thing">
          <TextInput
            boxed
            type="search"
            aria-label="Search the library"
            placeholder="Search by name"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
            sx={{ width: '100%' }}
          />
          <List dense component="div">
            {KINDS_HERE.map((one) => (
              <ListItemButton
                key={one}
                selected={kind === one}
                aria-current={kind === one}
                onClick={() => setKind(one)}
              >
                <span>{LIBRARY_WORDS[one].many}</span>
                <Typography variant="reading">{found(one)}</Typography>
              </ListItemButton>
            ))}
            <ListItemButton
              selected={kind === 'margins'}
              aria-current={kind === 'margins'}
              onClick={() => setKind('margins')}
            >
              Margins
            </ListItemButton>
          </List>
          {search === '' ? null : (
            <Button variant="text" onClick={() => setSearch('')}>
              show all again
            </Button>
          )}
        </nav>
        <div className={frameCss.readings}>
          {kind === 'margins' ? (
            <Thresholds initial={thresholds} printAheadMinutes={printAheadMinutes} />
          ) : (
            <KindTable
              key={kind}
              kind={kind}
              items={items}
              usedIn={usedIn}
              search={search}
              onItems={setItems}
            />
          )}
        </div>
      </main>
    </>
  );
}
