'use client';

import { createContext, type ReactNode, use, useMemo, useState } from 'react';
import { overallRatio } from '@/core/car/document/drive';
import type { SearchSort } from '@/core/physics/transmissions/gearSearch';
import type { RatioWish } from '@/core/worked/transmissions/searchOfBuild';
import { useBuild } from '../../session/BuildContext';

export const AMONG = ['hand', 'any', 'sets'] as const;
export type Among = (typeof AMONG)[number];

/** What is typed; nothing where it is left as it comes. */
export interface Typed {
  overall?: number | undefined;
  tolerancePct: number;
  stages: number;
  sort: SearchSort;
  among: Among;
  ringTeethMax: number;
  outsideMaxMm?: number | undefined;
}

const FIRST: Typed = { tolerancePct: 2, stages: 1, sort: 'closest', among: 'hand', ringTeethMax: 90 };

interface Held {
  typed: Typed;
  change(part: Partial<Typed>): void;
}

const WishContext = createContext<Held | undefined>(undefined);

/** What is searched is said on the bench and read beside it. */
export function WishProvider({ children }: { children: ReactNode }) {
  const [typed, setTyped] = useState(FIRST);
  const held = useMemo(
    () => ({ typed, change: (part: Partial<Typed>) => setTyped((now) => ({ ...now, ...part })) }),
    [typed],
  );
  return <WishContext value={held}>{children}</WishContext>;
}

export function useWish() {
  const held = use(WishContext);
  if (!held) throw new Error('outside of the search');
  const { document } = useBuild();
  const { typed } = held;
  const present = overallRatio(document.drive);
  const overall = typed.overall ?? present;
  const wish: RatioWish | undefined =
    overall === undefined
      ? undefined
      : {
          overall,
          tolerancePct: typed.tolerancePct,
          stages: typed.stages,
          sort: typed.sort,
          anyTeeth: typed.among === 'any',
        };
  return { ...held, wish, present, ...typed };
}
