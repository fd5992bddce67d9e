'use client';

import Autocomplete from '@mui/material/Autocomplete';
import InputBase from '@mui/material/InputBase';
import { useRef, useState } from 'react';
import type { OpenPickProps } from './pickProps';
import { searched } from './searched';

/** A list that is searched by typing, with the figures that one chooses by beside each name; open from the start. */
export function PickList({
  label,
  options,
  chosen,
  placeholder,
  adds = false,
  begun,
  onChoose,
  onLeave,
}: OpenPickProps) {
  'use memo';
  const [typed, setTyped] = useState(begun ?? chosen?.name ?? '');
  const fresh = useRef(begun !== undefined);
  return (
    <Autocomplete
      openOnFocus
      autoHighlight
      selectOnFocus={begun === undefined}
      fullWidth
      options={options}
      value={chosen ?? null}
      inputValue={typed}
      onInputChange={(_, text, reason) => {
        // when it opens the list writes the chosen name over the letter that opened it
        if (fresh.current && reason === 'reset') fresh.current = false;
        else setTyped(adds && reason === 'selectOption' ? '' : text);
      }}
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
