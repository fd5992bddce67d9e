'use client';

import Autocomplete from '@mui/material/Autocomplete';
import InputBase from '@mui/material/InputBase';
import { useState } from 'react';
import type { PickProps } from './pickProps';
import { searched } from './searched';

/** A list that is searched by typing, with the figures that one chooses by beside each name; open from the start. */
export function PickList({
  label,
  options,
  chosen,
  placeholder,
  adds = false,
  onChoose,
  onLeave,
}: PickProps & { onLeave(): void }) {
  'use memo';
  const [typed, setTyped] = useState(chosen?.name ?? '');
  return (
    <Autocomplete
      openOnFocus
      autoHighlight
      selectOnFocus
      fullWidth
      options={options}
      value={chosen ?? null}
      inputValue={typed}
      onInputChange={(_, text, reason) => setTyped(adds && reason === 'selectOption' ? '' : text)}
      onChange={(_, option) => onChoose(option?.id)}
      onBlur={onLeave}
      getOptionLabel={({ name }) => name}
      getOptionKey={({ id }) => id}
      isOptionEqualToValue={(one, other) => one.id === other.id}
      filterOptions={(all, { inputValue }) => searched(all, inputValue === chosen?.name ? '' : inputValue)}
      noOptionsText="Nothing of that name or figure in the library."
      renderOption={({ key, ...props }, { name, tells }) => (
        <li key={key} {...props}>
          <span>{name}</span>
          {tells ? <small>{tells}</small> : null}
        </li>
      )}
      renderInput={({ slotProps }) => (
        <InputBase
          {...slotProps.input}
          autoFocus
          fullWidth
          className={`pickbox ${slotProps.input.className}`}
          placeholder={placeholder}
          inputProps={{ ...slotProps.htmlInput, 'aria-label': label }}
        />
      )}
    />
  );
}
