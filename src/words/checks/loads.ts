import type { LoadedPart } from '@/core/worked/parts/loadedPart';
import type { PullCase } from '@/core/worked/parts/solidOfPart';
import { LOAD_FROM } from '../terms';
import { WHEEL_LOAD_TERMS } from './links';

/** A case that acts on a part, as a sentence names it. */
export const caseWords = ({ from, end, load }: PullCase): string =>
  end && load !== undefined ? `${WHEEL_LOAD_TERMS[load] ?? load}, ${end} wheel` : LOAD_FROM[from];

/** The same of what a load leaves. */
export const loadWords = ({ from, wheelLoad }: Pick<LoadedPart, 'from' | 'wheelLoad'>): string =>
  from === 'all' ? LOAD_FROM.all : caseWords({ from, ...wheelLoad });
