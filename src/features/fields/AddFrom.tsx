'use client';

import { useState } from 'react';

interface AddFromProps {
  label: string;
  options: readonly (readonly [string, string])[];
  onAdd(id: string): void;
}

/** A choice and a button: a list alone would add with every arrow key. */
export function AddFrom({ label, options, onAdd }: AddFromProps) {
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
      <select
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
      </select>
      <button type="submit" className="btn" disabled={!known} aria-label={`${label}: add`}>
        Add
      </button>
    </form>
  );
}
