import { useEffect, useMemo, useState } from 'react';
import type { BuildDocument } from '@/core/car/document/document';
import { type DropOfCar, dropOfCar } from '@/core/worked/space/dropOfCar';
import type { Assembled } from '@/core/base/assembled';

/** How many times slower than it happens a landing is played. */
export const SLOWED = 40;
const USUAL_DROP_M = 0.3;

export interface PlayedDrop {
  dropM: number;
  setDropM(dropM: number): void;
  found: Assembled<DropOfCar>;
  /** The moment that is shown. */
  index: number;
  show(index: number): void;
  playing: boolean;
  play(): void;
}

/** A landing of the car, moment by moment, while it is looked at. */
export function useDrop(document: BuildDocument, looked: boolean): PlayedDrop | undefined {
  const [chosenM, setDropM] = useState<number>();
  const dropM = chosenM ?? document.brief.dropHeightM ?? USUAL_DROP_M;
  const found = useMemo(() => (looked ? dropOfCar(document, dropM) : undefined), [document, dropM, looked]);
  const [index, setIndex] = useState(0);
  const [playing, setPlaying] = useState(false);
  const last = found?.ok ? found.value.moments.length - 1 : 0;
  const endS = found?.ok ? found.value.moments[last]!.tS : 0;
  useEffect(() => {
    if (!playing || !looked) return;
    const start = performance.now();
    let frame = requestAnimationFrame(function draw(now) {
      // a frame may have begun before it was asked for
      const share = Math.min(1, Math.max(0, now - start) / 1000 / (SLOWED * endS || 1));
      setIndex(Math.round(share * last));
      if (share < 1) frame = requestAnimationFrame(draw);
      else setPlaying(false);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, looked, last, endS]);
  if (!found) return undefined;
  return {
    dropM,
    setDropM: (next) => {
      setPlaying(false);
      setDropM(next);
    },
    found,
    index: Math.min(index, last),
    show: (next) => {
      setPlaying(false);
      setIndex(next);
    },
    playing,
    play: () => setPlaying(true),
  };
}
