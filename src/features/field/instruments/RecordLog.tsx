import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { InstrumentRecording } from '@/core/physics/instruments/recording';
import { counted } from '@/words/lists';
import { Instruments } from './Instruments';
import { isFirst, listen } from './instruments';

const MS_PER_S = 1000;
const SHOWN_EVERY_MS = 500;

/** Records all that instruments say, on one clock, as a log. */
export function RecordLog({ onFile }: { onFile(file: File): void }) {
  const recording = useRef<InstrumentRecording>(undefined);
  const [readings, show] = useState<number>();
  const records = readings !== undefined;
  useEffect(() => {
    if (!records) return;
    const kept = new InstrumentRecording();
    recording.current = kept;
    const stop = listen((reading) => {
      if (isFirst(reading)) kept.hear(reading, performance.now() / MS_PER_S);
    });
    const timer = setInterval(() => show(kept.readings), SHOWN_EVERY_MS);
    return () => {
      stop();
      clearInterval(timer);
    };
  }, [records]);
  const end = () => {
    show(undefined);
    const csv = recording.current?.csv();
    const at = new Date().toISOString().slice(0, 19).replaceAll(':', '-');
    if (csv !== undefined) onFile(new File([csv], `recorded-${at}.csv`, { type: 'text/csv' }));
  };
  return (
    <Instruments>
      {() => (
        <>
          <Button variant={records ? 'stop' : 'go'} onClick={() => (records ? end() : show(0))}>
            {records ? 'Stop, and make it a log' : 'Record a log'}
          </Button>
          <Typography color="textSecondary">
            {records
              ? `${counted(readings, 'reading', 'readings')} so far.`
              : 'Speed, turns, volts, amperes, temperature and yaw rate of all that speak, on one clock.'}
          </Typography>
        </>
      )}
    </Instruments>
  );
}
