'use client';

import clsx from 'clsx';
import fieldsCss from '@/ui/fields.module.css';
import { Pick } from './Pick';
import type { PickOption } from './searched';

interface AddFromProps {
  label: string;
  /** The list that it adds to. */
  path: string;
  options: readonly PickOption[];
  onAdd(id: string): void;
}

/** Adds what is chosen from a list. */
export function AddFrom({ label, path, options, onAdd }: AddFromProps) {
  'use memo';
  return (
    <div className={clsx(fieldsCss.pick, 'add')} data-path={path}>
      <Pick
        adds
        label={label}
        options={options}
        chosen={undefined}
        placeholder={label.toLowerCase()}
        onChoose={(id) => {
          if (id !== undefined) onAdd(id);
        }}
      />
    </div>
  );
}
