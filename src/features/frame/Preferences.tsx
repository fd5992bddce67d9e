'use client';

import frameCss from '@/ui/layout/frame.module.css';
import { Row } from '@/ui/layout/Row';
import Button from '@mui/material/Button';
import { useColorScheme } from '@mui/material/styles';
import { useReader } from '@/ui/reader';

/** Units and light, both kept. */
export function Preferences() {
  'use memo';
  const { reader, setUnits } = useReader();
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <Row as="span" className={frameCss.wide} sx={{ gap: 0, flexWrap: 'nowrap' }}>
      <Button
        variant="text"
        onClick={() => setUnits(reader.units === 'metric' ? 'imperial' : 'metric')}
        aria-label={`Units: ${reader.units}, switch`}
      >
        {reader.units}
      </Button>
      <Button
        variant="text"
        onClick={() => setMode(dark ? 'light' : 'dark')}
        aria-label="Light or dark"
        suppressHydrationWarning
      >
        {dark ? 'light' : 'dark'}
      </Button>
    </Row>
  );
}
