import { useEffect, useState } from 'react';

const A_MINUTE_MS = 60_000;

/** The time of day, a minute fine; 0 until the page lives. */
export function useNow(): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    const tick = () => setNow(Date.now());
    queueMicrotask(tick);
    const timer = setInterval(tick, A_MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}
