'use client';

import InputBase from '@mui/material/InputBase';
import { type ComponentType, useEffect, useState } from 'react';
import { onFirstAct } from '@/ui/onFirstAct';
import type { OpenPickProps, PickProps } from './pickProps';

type List = ComponentType<OpenPickProps>;

/** Keys that open it besides letters; who only tabs past it is not held up. */
const OPENERS: ReadonlySet<string> = new Set(['ArrowDown', 'ArrowUp', 'Enter', ' ']);

const fetchList = () => import('./PickList').then(({ PickList }) => PickList);

/** A searched list: closed it is a field, and the list is fetched once somebody is at the page. */
export function Pick({ disabled = false, ...props }: PickProps & { disabled?: boolean }) {
  'use memo';
  const { label, chosen, placeholder } = props;
  const [list, setList] = useState<{ List: List }>();
  const [open, setOpen] = useState<{ begun?: string }>();
  useEffect(() => onFirstAct(() => void fetchList().then((List) => setList({ List }))), []);
  if (open && list && !disabled)
    return <list.List {...props} begun={open.begun} onLeave={() => setOpen(undefined)} />;
  return (
    <InputBase
      readOnly
      fullWidth
      disabled={disabled}
      className="pickbox"
      value={chosen?.name ?? ''}
      placeholder={placeholder}
      onClick={() => setOpen({})}
      onKeyDown={(event) => {
        const letter = event.key.length === 1 && event.key !== ' ';
        if (event.ctrlKey || event.metaKey || event.altKey || !(letter || OPENERS.has(event.key))) return;
        event.preventDefault();
        setOpen(letter ? { begun: event.key } : {});
      }}
      inputProps={{
        role: 'combobox',
        'aria-expanded': false,
        'aria-haspopup': 'listbox',
        'aria-label': label,
      }}
    />
  );
}
