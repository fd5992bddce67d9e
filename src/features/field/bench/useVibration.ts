import { useState } from 'react';

const LASTS_MS = 3000;
const FEWEST = 20;

type Shake = 'idle' | 'measuring' | 'nothing';

interface AsksFirst {
  requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** Root mean square of the device's own acceleration over three seconds, m/s², where its browser gives one. */
export function useVibration(onMeasured: (amplitude: number) => void): {
  state: Shake;
  start: (() => void) | undefined;
} {
  const [state, setState] = useState<Shake>('idle');
  const gives = typeof window !== 'undefined' && 'DeviceMotionEvent' in window;
  return { state, start: gives ? () => void measure() : undefined };

  async function measure() {
    setState('measuring');
    const asked = await (DeviceMotionEvent as unknown as AsksFirst)
      .requestPermission?.()
      .catch(() => 'denied' as const);
    if (asked === 'denied') return setState('nothing');
    const seen: number[][] = [];
    const note = ({ accelerationIncludingGravity: read }: DeviceMotionEvent) => {
      if (read?.x != null && read.y != null && read.z != null) seen.push([read.x, read.y, read.z]);
    };
    window.addEventListener('devicemotion', note);
    setTimeout(() => {
      window.removeEventListener('devicemotion', note);
      if (seen.length < FEWEST) return setState('nothing');
      setState('idle');
      onMeasured(shakeOf(seen));
    }, LASTS_MS);
  }
}

/** Root mean square about the mean, which is gravity, of all three axes together. */
function shakeOf(seen: readonly (readonly number[])[]): number {
  const squares = [0, 1, 2].map((axis) => {
    const mean = seen.reduce((sum, one) => sum + one[axis]!, 0) / seen.length;
    return seen.reduce((sum, one) => sum + (one[axis]! - mean) ** 2, 0) / seen.length;
  });
  return Number(Math.sqrt(squares[0]! + squares[1]! + squares[2]!).toPrecision(3));
}
