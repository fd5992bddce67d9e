import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { connectSocket } from './instruments';
import { Instruments } from './Instruments';
import { useInstruments } from './useInstruments';

/** What a sheet reads off devices besides its own instrument: where one is connected the readings alone. */
export function OffDevices({ title, children }: { title: string; children: ReactNode }) {
  const { connected } = useInstruments();
  switch (connected) {
    case 'on':
      return <>{children}</>;
    case 'off':
      return <Instruments title={title}>{() => null}</Instruments>;
    case 'connecting':
      return null;
    case 'lost':
      return (
        <Button variant="link" onClick={connectSocket}>
          Connect the devices again
        </Button>
      );
  }
}
