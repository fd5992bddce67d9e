import Button from '@mui/material/Button';
import { Row } from '@/ui/layout/Row';
import { useEffect, useEffectEvent, useState } from 'react';
import { HOT_PLACES, type HotPlace } from '@/core/car/records/report';
import { Instruments, TakeReading } from './Instruments';
import { isFirst, listen } from './instruments';

const EVERY_MS = 30_000;
const MS_PER_MINUTE = 60_000;

/** A probe on one place: a reading by hand, or one every half minute by the probe's own clock. */
export function TemperatureSeries({
  onReading,
}: {
  onReading(place: HotPlace, valueC: number, minutes?: number): void;
}) {
  const [place, setPlace] = useState<HotPlace>();
  const note = useEffectEvent(onReading);
  useEffect(() => {
    if (place === undefined) return;
    let startMs: number | undefined;
    let lastMs = -Infinity;
    return listen((reading) => {
      const { kind, ms, values } = reading;
      if (kind !== 'thermometer' || !isFirst(reading) || (ms >= lastMs && ms - lastMs < EVERY_MS)) return;
      // a probe that starts again counts from 0
      if (startMs === undefined || ms < lastMs) startMs = ms;
      lastMs = ms;
      note(place, values.c!, Number(((ms - startMs) / MS_PER_MINUTE).toFixed(1)));
    });
  }, [place]);
  return (
    <Instruments kind="thermometer">
      {(device) =>
        HOT_PLACES.map((one) => (
          <Row key={one}>
            {one}: <TakeReading device={device} field="c" onTake={(valueC) => onReading(one, valueC)} />
            <Button variant="link" onClick={() => setPlace(place === one ? undefined : one)}>
              {place === one ? 'stop the series' : 'every half minute'}
            </Button>
          </Row>
        ))
      }
    </Instruments>
  );
}
