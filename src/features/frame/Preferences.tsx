'use client';

import { useColorScheme } from '@mui/material/styles';
import { useReader } from '@/ui/reader';

/** Units and light, both kept. */
export function Preferences() {
  const { reader, setUnits } = useReader();
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <span className="row wide" style={{ gap: 0, flexWrap: 'nowrap' }}>
      <button
        type="button"
        className="plain"
        onClick={() => setUnits(reader.units === 'metric' ? 'imperial' : 'metric')}
        aria-label={`Units: ${reader.units}, switch`}
      >
        {reader.units}
      </button>
      <button
        type="button"
        className="plain"
        onClick={() => setMode(dark ? 'light' : 'dark')}
        aria-label="Light or dark"
        suppressHydrationWarning
      >
        {dark ? 'light' : 'dark'}
      </button>
    </span>
  );
}
