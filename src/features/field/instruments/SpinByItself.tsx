import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useEffectEvent, useState } from 'react';
import { type HeldSpin, SpinRecorder } from '@/core/physics/instruments/spinRecorder';
import { devicesOf, isFirst, listen } from './instruments';
import { useInstruments } from './useInstruments';

/** Notes turns and diameter at every speed that is held, while the hands stay behind the shield. */
export function SpinByItself({ onReading }: { onReading(held: HeldSpin): void }) {
  const [records, record] = useState(false);
  const gauge = devicesOf(useInstruments(), 'gauge')[0];
  const note = useEffectEvent(onReading);
  useEffect(() => {
    if (!records) return;
    const recorder = new SpinRecorder();
    return listen((reading) => {
      const held = isFirst(reading) ? recorder.hear(reading) : undefined;
      if (held) note(held);
    });
  }, [records]);
  return (
    <>
      <Button variant={records ? 'stop' : 'go'} disabled={!gauge} onClick={() => record(!records)}>
        {records ? 'Stop recording' : 'Record growth by itself'}
      </Button>
      <Typography color="textSecondary">
        {!gauge
          ? 'A gauge across the tread records the growth by itself; without one, type the diameter.'
          : records
            ? 'Hold each speed for two seconds: turns and diameter are noted once.'
            : `${gauge.device} reads across the tread.`}
      </Typography>
    </>
  );
}
