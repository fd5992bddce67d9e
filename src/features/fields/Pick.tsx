'use client';

import InputBase from '@mui/material/InputBase';
import { type ComponentType, useEffect, useState } from 'react';
import { onFirstAct } from '@/ui/onFirstAct';
import type { PickProps } from './pickProps';

type List = ComponentType<PickProps & { onLeave(): void }>;

const fetchList = () => import('./PickList').then(({ PickList }) => PickList);

/** A searched list: closed it is a field, and the list is fetched once somebody is at the page. */
export function Pick({ disabled = false, ...props }: PickProps & { disabled?: boolean }) {
  'use memo';
  const { label, chosen, placeholder } = props;
  const [list, setList] = useState<{ List: List }>();
  const [open, setOpen] = useState(false);
  useEffect(() => onFirstAct(() => void fetchList().then((List) => setList({ List }))), []);
  if (open && list && !disabled) return <list.List {...props} onLeave={() => setOpen(false)} />;
  return (
    <InputBase
      readOnly
      fullWidth
      disabled={disabled}
      className="pickbox"
      value={chosen?.name ?? ''}
      placeholder={placeholder}
      onFocus={() => setOpen(true)}
      onClick={() => setOpen(true)}
      inputProps={{
        role: 'combobox',
        'aria-expanded': false,
        'aria-haspopup': 'listbox',
        'aria-label': label,
      }}
    />
  );
}
