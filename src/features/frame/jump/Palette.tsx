'use client';

import Autocomplete from '@mui/material/Autocomplete';
import InputBase from '@mui/material/InputBase';
import { Over } from '@/ui/controls/Over';
import { type Place, placesFor } from './placesFor';

/** The list stands in the dialog, under its field. */
const IN_PLACE = {
  position: 'static !important',
  transform: 'none !important',
  width: '100% !important',
} as const;
/** As many as one would read. */
const MOST = 40;

interface PaletteProps {
  places: readonly Place[];
  onGo(href: string): void;
  onClose(): void;
}

/** Quick jump: places by their words; arrow keys, Enter, Escape. */
export function Palette({ places, onGo, onClose }: PaletteProps) {
  return (
    <Over label="Jump" onClose={onClose}>
      <Autocomplete
        open
        autoHighlight
        disableListWrap
        options={places}
        getOptionLabel={({ label }) => label}
        getOptionKey={({ label, href, hint }) => `${label} ${href} ${hint}`}
        filterOptions={(all, { inputValue }) => placesFor(all, inputValue).slice(0, MOST)}
        onChange={(_, place: Place | null) => {
          if (!place) return;
          onClose();
          onGo(place.href);
        }}
        noOptionsText="Nothing of that name."
        slotProps={{ popper: { disablePortal: true, sx: IN_PLACE } }}
        renderOption={({ key, ...props }, { label, hint }) => (
          <li key={key} {...props}>
            <span>{label}</span>
            <small>{hint}</small>
          </li>
        )}
        renderInput={({ slotProps }) => (
          <InputBase
            {...slotProps.input}
            autoFocus
            fullWidth
            className={`jump ${slotProps.input.className}`}
            placeholder="Jump to a page, a check, a field, a part, a run or a thing of the library"
            inputProps={{ ...slotProps.htmlInput, 'aria-label': 'Jump to' }}
            onKeyDown={(event) => {
              if (event.key === 'Escape') onClose();
            }}
          />
        )}
      />
    </Over>
  );
}
