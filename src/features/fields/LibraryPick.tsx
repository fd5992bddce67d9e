'use client';

import fieldsCss from '@/ui/fields.module.css';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import Button from '@mui/material/Button';
import { LIBRARY_WORDS } from '@/words/library/library';
import { itemsOf } from '@/core/car/library/items';
import { type LibraryItem, type LibraryKind } from '@/core/car/library/kinds';
import { type Path, valueAt } from '@/core/base/patch';
import { useReader } from '@/ui/reader';
import { exchanged, isExchanged } from '@/core/worked/exchange/exchanged';
import { massFollows } from '@/words/labels/describe';
import { isAssumed } from '@/core/car/assumed/assumed';
import { useBuild } from '../session/BuildContext';
import { libraryOptions } from './libraryOptions';
import { Pick } from './Pick';

/** Stands for what the document holds and the library does not. */
const OWN = 'own';

interface LibraryPickProps<K extends LibraryKind> {
  kind: K;
  path: Path;
  /** The copy that the document takes. */
  copy(item: LibraryItem<K>): object;
}

/** Chooses an item of the library; the document gets a copy of its figures. */
export function LibraryPick<K extends LibraryKind>({ kind, path, copy }: LibraryPickProps<K>) {
  'use memo';
  const { library, document, edit, closed } = useBuild();
  const items = itemsOf(library, kind);
  const chosen = valueAt(document, path) as { libraryId?: string; name: string } | undefined;
  const known = items.find(({ id }) => id === chosen?.libraryId);
  const { reader } = useReader();
  const [followed, setFollowed] = useState<{ fromG: number; toG: number }>();
  const options = libraryOptions(items, reader);
  const changed = known && chosen && JSON.stringify(sorted(copy(known))) !== JSON.stringify(sorted(chosen));
  const choose = (value: object | undefined) => {
    const what = path.at(-1)!;
    const patch = value && isExchanged(what) ? exchanged(document, { [what]: value }) : [{ path, value }];
    const car = patch.find((one) => one.path[0] === 'chassis');
    setFollowed(car ? { fromG: document.chassis.massG!, toG: car.value as number } : undefined);
    edit(patch);
  };
  return (
    <>
      <div className={fieldsCss.pick} data-path={path.join('.')}>
        <Pick
          label={`Choose ${article(LIBRARY_WORDS[kind].one)}`}
          placeholder={`choose ${article(LIBRARY_WORDS[kind].one)}`}
          disabled={closed}
          options={options}
          chosen={
            options.find(({ id }) => id === known?.id) ??
            (chosen ? { id: OWN, name: `${chosen.name} (not in the library)` } : undefined)
          }
          onChoose={(wanted) => {
            const item = items.find(({ id }) => id === wanted);
            if (wanted !== OWN) choose(item && copy(item));
          }}
        />
      </div>
      {isAssumed(document, path) ? (
        <p className={fieldsCss.assumed}>assumed: choose your own, or keep it</p>
      ) : null}
      {followed && followed.toG === document.chassis.massG ? (
        <Typography color="textSecondary" role="status">
          {massFollows(followed, reader)}
        </Typography>
      ) : null}
      {changed ? (
        <Typography variant="small" color="textSecondary">
          Figures differ from the library.{' '}
          {closed ? null : (
            <Button variant="link" onClick={() => edit([{ path, value: copy(known) }])}>
              Take the library&rsquo;s
            </Button>
          )}
        </Typography>
      ) : null}
    </>
  );
}

const article = (word: string) => `${/^[aeiou]/.test(word) ? 'an' : 'a'} ${word}`;
const sorted = (bag: object) =>
  Object.entries(bag)
    .filter(([key]) => key !== 'id')
    .sort(([a], [b]) => (a < b ? -1 : 1));
