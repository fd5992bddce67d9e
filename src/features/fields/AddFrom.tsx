'use client';

import { Select } from '@/ui/controls/Select';
import Button from '@mui/material/Button';
import { useState } from 'react';

interface AddFromProps {
  label: string;
  options: readonly (readonly [string, string])[];
  onAdd(id: string): void;
}

/** A choice and a button: a list alone would add with every arrow key. */
export function AddFrom({ label, options, onAdd }: AddFromProps) {
  'use memo';
  const [chosen, setChosen] = useState('');
  const known = options.some(([id]) => id === chosen);
  return (
    <form
      className="pick"
      style={{ marginTop: 4 }}
      onSubmit={(event) => {
        event.preventDefault();
        if (known) onAdd(chosen);
        setChosen('');
      }}
    >
      <Select
        look="strong"
        aria-label={label}
        value={known ? chosen : ''}
        onChange={(event) => setChosen(event.target.value)}
        style={{ fontWeight: 400 }}
      >
        <option value="">{label.toLowerCase()}</option>
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </Select>
      <Button type="submit" disabled={!known} aria-label={`${label}: add`}>
        Add
      </Button>
    </form>
  );
}
