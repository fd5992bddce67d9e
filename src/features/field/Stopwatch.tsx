'use client';

import sheetsCss from '@/features/field/sheets/sheets.module.css';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState } from 'react';
import { numberFormat } from '@/core/base/units/numberFormat';
import { useReader } from '@/ui/reader';

/** One large button: start, stop, and the time is an attempt; with `again` the watch goes on and each press is one. */
export function Stopwatch({ again, onTime }: { again?: string; onTime(seconds: number): void }) {
  const { reader } = useReader();
  const [startedAt, setStartedAt] = useState<number>();
  const [shown, setShown] = useState(0);
  const frame = useRef(0);
  useEffect(() => {
    if (startedAt === undefined) return;
    const tick = () => {
      setShown((performance.now() - startedAt) / 1000);
      frame.current = requestAnimationFrame(tick);
    };
    frame.current = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame.current);
  }, [startedAt]);
  const press = () => {
    const now = performance.now();
    if (startedAt === undefined) return setStartedAt(now);
    const seconds = (now - startedAt) / 1000;
    setStartedAt(again ? now : undefined);
    setShown(seconds);
    onTime(Number(seconds.toFixed(2)));
  };
  return (
    <>
      <div className={sheetsCss.watch} aria-live="off">
        {numberFormat(reader.locale, { minimumFractionDigits: 2, maximumFractionDigits: 2 }).format(shown)}
      </div>
      <Button variant={startedAt === undefined ? 'go' : 'stop'} onClick={press}>
        {startedAt === undefined ? 'Start' : (again ?? 'Stop')}
      </Button>
      {again && startedAt !== undefined ? (
        <Button onClick={() => setStartedAt(undefined)}>Stop the watch</Button>
      ) : null}
    </>
  );
}
