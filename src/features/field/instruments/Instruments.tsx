import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { FileButton } from '@/ui/controls/FileButton';
import { Fold } from '@/ui/controls/Fold';
import { Note } from '@/ui/controls/Note';
import type { ReactNode } from 'react';
import { formatText } from '@/core/base/units/formatQuantity';
import {
  INSTRUMENT_KINDS,
  type InstrumentKind,
  type InstrumentReading,
} from '@/core/physics/instruments/line';
import { useReader } from '@/ui/reader';
import { INSTRUMENT_NAMES, INSTRUMENT_QUANTITIES } from '@/words/bench/instrumentWords';
import { connectSerial, connectSocket, devicesOf, disconnect, readFile } from './instruments';
import { useInstruments, useSerial } from './useInstruments';

/** Connects what measures for a sheet; typing is always possible beside it. */
export function Instruments({
  kind,
  title,
  children,
}: {
  /** All kinds where none is said. */
  kind?: InstrumentKind;
  title?: string;
  /** What the sheet does with a device of that kind. */
  children(device: InstrumentReading | undefined): ReactNode;
}) {
  const state = useInstruments();
  const serial = useSerial();
  const { connected, badLines, lastBad } = state;
  const here = (kind ? [kind] : INSTRUMENT_KINDS).flatMap((one) => devicesOf(state, one));
  const name = kind ? INSTRUMENT_NAMES[kind] : 'instrument';
  return (
    <Fold
      title={title ?? (kind ? `From an instrument: ${name}` : 'From instruments')}
      open={connected !== 'off'}
    >
      {connected === 'on' || connected === 'connecting' ? (
        <Typography color="textSecondary" data-testid="instruments">
          {connected === 'connecting'
            ? 'Connecting…'
            : here.length === 0
              ? `Connected; no ${name} has spoken yet.`
              : here.map(({ device }) => device).join(', ')}{' '}
          <Button variant="link" onClick={disconnect}>
            Disconnect
          </Button>
        </Typography>
      ) : (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
          <Button onClick={connectSocket}>Connect over this machine</Button>
          {serial ? <Button onClick={() => void connectSerial()}>Connect a serial port</Button> : null}
          <FileButton
            variant="link"
            label="Recording of instruments"
            accept=".txt,.log,.nmea,text/plain"
            onFiles={([file]) => void readFile(file!)}
          >
            Read a recording
          </FileButton>
        </Box>
      )}
      {connected === 'lost' ? (
        <Note tone="bad" role="alert">
          The connection was lost. What was read stays; connect again, or type.
        </Note>
      ) : null}
      {kind && here.length > 1 ? (
        <Note>
          Two of a kind speak: {here.map(({ device }) => device).join(' and ')}. The first is taken; draw the
          other one.
        </Note>
      ) : null}
      {badLines > 0 ? (
        <Typography variant="small" color="textSecondary">
          {badLines} {badLines === 1 ? 'line' : 'lines'} told nothing and {badLines === 1 ? 'was' : 'were'}{' '}
          left out{lastBad ? `, the last “${lastBad.slice(0, 30)}”` : ''}.
        </Typography>
      ) : null}
      {connected === 'on' ? children(here[0]) : null}
    </Fold>
  );
}

/** Takes the value that a device shows now. */
export function TakeReading({
  device,
  field,
  onTake,
}: {
  device: InstrumentReading | undefined;
  field: string;
  onTake(value: number): void;
}) {
  const { reader } = useReader();
  const value = device?.values[field];
  if (value === undefined) return null;
  return (
    <Button onClick={() => onTake(value)}>
      Take {formatText(value, INSTRUMENT_QUANTITIES[field]!, reader, 5)}
    </Button>
  );
}
