import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import type { Plot, Stretch } from './plotScales';

const STEPS = 50;
const FAST = 5;
/** Each press of plus shows this share of what was shown. */
const CLOSER = 0.5;

/** Reading a chart off by pointer and keys: arrows move, plus and minus look closer and farther, Escape shows all. */
export function useReading(whole: Stretch) {
  const [at, setAt] = useState<number>();
  const [stretch, setStretch] = useState<Stretch>();
  const [from, to] = stretch ?? whole;
  const within = (value: number) => Math.max(from, Math.min(to, value));
  const look = (share: number) => {
    const middle = at ?? (from + to) / 2;
    const half = ((to - from) * share) / 2;
    const next: Stretch = [Math.max(whole[0], middle - half), Math.min(whole[1], middle + half)];
    setStretch(next[0] <= whole[0] && next[1] >= whole[1] ? undefined : next);
  };
  const showAll = () => {
    setStretch(undefined);
    setAt(undefined);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = ((to - from) / STEPS) * (event.shiftKey ? FAST : 1);
    const acts: Readonly<Record<string, (() => void) | undefined>> = {
      ArrowRight: () => setAt(within((at ?? from) + step)),
      ArrowLeft: () => setAt(within((at ?? to) - step)),
      Home: () => setAt(from),
      End: () => setAt(to),
      '+': () => look(CLOSER),
      '-': () => look(1 / CLOSER),
      Escape: at === undefined && !stretch ? undefined : showAll,
    };
    const act = acts[event.key];
    if (!act || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  };
  const pointAt = (event: PointerEvent<SVGSVGElement>, { area, at: valueOf }: Plot, width: number) => {
    const rect = event.currentTarget.getBoundingClientRect();
    const pixel = ((event.clientX - rect.left) * width) / rect.width;
    setAt(pixel < area.left || pixel > area.right ? undefined : valueOf(pixel));
  };
  return { at, stretch, setStretch, showAll, onKeyDown, pointAt, leave: () => setAt(undefined) };
}
